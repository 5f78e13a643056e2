import { asksFor, type Step } from '@overhaul/core/brake/step'
import { showAnswer } from '@overhaul/core/stand/show'
import { sayShortDay } from '@overhaul/core/stand/when'
import { lower } from '@overhaul/core/stand/words'
import styled from 'styled-components'
import { Mark } from '../drawing/Mark.tsx'
import type { NotesProps } from '../features/notes.ts'
import { Press } from '../ui/Press.tsx'
import { Label, Slate } from '../ui/words.tsx'

const List = styled.ul`
  margin-top: 6px;
  li {
    display: grid;
    grid-template-columns: 22px minmax(0, 1fr) auto;
    gap: 10px;
    align-items: center;
    border-top: 1px solid var(--rule);
    min-height: 48px;
  }
`

/** The readings of some steps that are kept from an earlier visit, in working order. */
function keptIn(job: NotesProps['job'], steps: readonly Step[]): readonly string[] {
  const ids = steps.flatMap((step) => (step.done.kind === 'dialled-in' ? job.model.needed : asksFor(step)))
  return [...new Set(ids)].filter((id) => job.state.readings[id]?.carried)
}

/** What is kept from earlier visits: its value, when and by whom. One press takes it anew. */
export function Kept({ job, length, write, steps }: NotesProps & { readonly steps: readonly Step[] }) {
  const kept = keptIn(job, steps)
  if (kept.length === 0) return null
  const isEnded = job.state.ended !== undefined
  return (
    <section aria-label="Kept from earlier visits">
      <Label>Kept from earlier visits</Label>
      <List>
        {kept.map((id) => {
          const { value, carried } = job.state.readings[id] as (typeof job.state.readings)[string]
          const was = carried && carried.was !== value ? `, from ${showAnswer(job.kit, id, carried.was, length)}` : ''
          return (
            <li key={id}>
              <Mark shape="carried" size={20} />
              <span>
                {job.kit.title(id)} <b>{lower(showAnswer(job.kit, id, value, length))}</b>{' '}
                <Slate style={{ whiteSpace: 'nowrap' }}>
                  {carried && `${sayShortDay(carried.at)}, by ${carried.by}, kept${was}`}
                </Slate>
              </span>
              {!isEnded && (
                <Press
                  quiet
                  onPress={() => write([{ kind: 'anew', of: id }])}
                  aria-label={`${job.kit.title(id)}, anew`}
                >
                  Anew
                </Press>
              )}
            </li>
          )
        })}
      </List>
      {!isEnded && (
        <Press quiet hint="k" data-key="anew" onPress={() => write(kept.map((of) => ({ kind: 'anew' as const, of })))}>
          {kept.length === 1 ? 'Take it anew' : 'Take them all anew'}
        </Press>
      )}
    </section>
  )
}
