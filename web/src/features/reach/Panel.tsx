import type { Worked } from '@overhaul/core/calculation/calculation'
import type { Reach } from '@overhaul/core/features/mount/reach'
import { formatNumber, type LengthUnit, shownUnit } from '@overhaul/core/quantity/quantity'
import { showQuantity } from '@overhaul/core/stand/show'
import styled from 'styled-components'
import { phone } from '../../app/theme.ts'
import { Mark } from '../../drawing/Mark.tsx'
import { WindowGauge } from '../../drawing/WindowGauge.tsx'
import { Press } from '../../ui/Press.tsx'
import { Label, Read, Slate } from '../../ui/words.tsx'
import { usePlans } from '../mount/use-plans.ts'
import type { NotesProps } from '../notes.ts'

const Line = styled.div`
  display: grid;
  grid-template-columns: 26px 1fr 110px;
  gap: 8px;
  align-items: center;
  ${phone} {
    grid-template-columns: 26px 1fr;
    > svg:nth-of-type(2) {
      grid-column: 1 / -1;
      grid-row: 2;
    }
  }
`

interface Props {
  readonly reach: Reach
  readonly length: LengthUnit
  readonly onWorked: (title: string, worked: readonly Worked[]) => void
}

/** How far the pads reach, once both lengths are measured. */
export function Panel({ job, jobId, drafts, length, onWorked }: NotesProps) {
  const { reach } = usePlans(job, jobId, drafts)
  return reach ? <ReachLine reach={reach} length={length} onWorked={onWorked} /> : null
}

/** Where in its slot the pad will stand: the same gauge as every measured thing, its window the slot. */
function ReachLine({ reach, length, onWorked }: Props) {
  const { neededMm, slotLowMm, slotHighMm, fits, position, marginMm } = reach
  const mark = fits ? 'in' : position < 0 ? 'low' : 'high'
  const margin = Math.max(5, slotHighMm - slotLowMm)
  return (
    <section aria-label="Reach">
      <Label>Will the pads reach?</Label>
      <Line>
        <Mark shape={mark} size={22} />
        <WindowGauge
          label="reach needed, in the slot of the brake"
          low={Math.min(slotLowMm, neededMm) - margin / 2}
          high={Math.max(slotHighMm, neededMm) + margin / 2}
          window={{ reading: 'reach', low: slotLowMm, high: slotHighMm, target: neededMm, because: [] }}
          bracket
          value={neededMm}
          sd={0.5}
          mark={mark}
          expected={[]}
          earlier={[]}
          draft={undefined}
          tick={(each) => formatNumber(each, shownUnit('mm', length), length === 'in' ? 2 : 0)}
          valueText={showQuantity(neededMm, 'mm', length)}
        />
        <b style={{ font: '600 1.625rem/1 var(--label)', textAlign: 'right' }}>
          {showQuantity(neededMm, 'mm', length)}
        </b>
      </Line>
      <p>
        <Read>{reach.say}</Read>
      </p>
      {reach.instead.length > 0 && !fits && (
        <p>
          Would reach: {reach.instead.map(([low, high]) => `${low}–${high} mm`).join(', ')}{' '}
          <Slate>common ranges, from memory</Slate>
        </p>
      )}
      {fits && marginMm < 1 && <p>Less than 1 mm to the end of the slot: there is little to move when pads wear.</p>}
      <Press quiet onPress={() => onWorked('reach', reach.worked)}>
        Working
      </Press>
    </section>
  )
}
