import { puttingOn, type SparePads, sparePads } from '@overhaul/core/pads/at-hand'
import { formatNumber, shownUnit } from '@overhaul/core/quantity/quantity'
import { lastReading, lastSeen } from '@overhaul/core/stand/fold'
import styled from 'styled-components'
import { useSettings } from '../../app/settings.ts'
import { DRAWER, moveParts, useDrawer, useIsMoving } from '../../data/drawer.ts'
import { Press } from '../../ui/Press.tsx'
import { Label, Slate } from '../../ui/words.tsx'
import { WaitingChanges } from '../../waiting/WaitingChanges.tsx'
import type { NotesProps } from '../notes.ts'

const Pads = styled.li`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  padding: 4px 0;
  > span:first-child {
    flex: 1 1 240px;
  }
`

/** Pads in the drawer that may go on this rim: taken for this job and written as put on in one act. */
export function SpareNotes({ job, jobId, length, write }: Omit<NotesProps, 'onWorked'> & { readonly jobId: string }) {
  const { by } = useSettings()
  const { data: stock = [] } = useDrawer()
  const isMoving = useIsMoving()
  const [lengthMm, heightMm, trackMm] = ['padLength', 'padTall', 'trackTall'].map((id) => lastReading(job.state, id))
  const spares = sparePads(stock, { rim: lastSeen(job.state, 'rimMaterial'), lengthMm, heightMm, trackMm })
  const putOn = ({ part }: SparePads) => {
    moveParts([{ partId: part.id, name: part.name, delta: -1, jobId, by }])
    write(puttingOn(part))
  }
  const shown = shownUnit('mm', length)
  const size = ({ part: { dimensions } }: SparePads) =>
    `${[dimensions.lengthMm, dimensions.heightMm, dimensions.thicknessMm]
      .map((each) => formatNumber(each as number, shown, shown === 'in' ? 2 : 0))
      .join(' × ')} ${shown}`
  return (
    <section aria-label="Pads in the drawer">
      <Label>Pads in the drawer</Label>
      {spares.length === 0 && <Slate>None that suit this rim and fit on its track.</Slate>}
      <ul>
        {spares.slice(0, 4).map((each) => (
          <Pads key={each.part.id}>
            <span>
              <b>{each.part.name}</b>, {size(each)}
              <br />
              <Slate>{[each.say, `${each.part.count} left`].filter(Boolean).join(', ')}</Slate>
            </span>
            {!job.state.ended && (
              <Press isDisabled={isMoving} onPress={() => putOn(each)} aria-label={`Put on ${each.part.name}`}>
                Put on
              </Press>
            )}
          </Pads>
        ))}
      </ul>
      <WaitingChanges about={DRAWER} />
    </section>
  )
}
