import styled from 'styled-components'
import { dropChange, undo, useChanges } from '../data/changes.ts'
import { Press } from '../ui/Press.tsx'
import { Complaint } from '../ui/words.tsx'

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  min-height: 46px;
`

/** What of the rack and of hardware waits to be sent, was refused, or was just written and can be taken back. */
export function WaitingChanges({ about }: { about?: string }) {
  const { waiting, last: sent, away } = useChanges()
  const [last] = sent
  const mine = waiting.filter((each) => about === undefined || each.about === about)
  const undoable = last && last.undo.length > 0 && (about === undefined || last.about === about) ? last : undefined
  if (mine.length === 0 && !undoable) return null
  return (
    <div aria-live="polite">
      {mine.map((each) => (
        <Line key={each.id}>
          {each.refused ? (
            <>
              <Complaint>
                Not taken: {each.says}. {each.refused.message}
              </Complaint>
              <Press onPress={() => dropChange(each.id)}>Drop it</Press>
            </>
          ) : (
            <span>
              {away ? 'Waits for the server' : 'Being written'}: {each.says}
            </span>
          )}
        </Line>
      ))}
      {mine.length === 0 && undoable && (
        <Line>
          <span>Written: {undoable.says}</span>
          <Press onPress={() => undo(undoable)}>Undo</Press>
        </Line>
      )}
    </div>
  )
}
