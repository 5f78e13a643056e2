import { formatNumber, parseQuantity, shownUnit, UNITS } from '@overhaul/core/quantity/quantity'
import type { FastenerStatus } from '@overhaul/core/run-sheet/fasteners'
import { useState } from 'react'
import { FormRow } from '../../ui/FormRow.tsx'
import { Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Complaint } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'

interface Props extends Pick<NotesProps, 'length' | 'write'> {
  readonly held: FastenerStatus
}

/** The maker’s figure told: kept with the brake, shown beside ours. */
export function MakersFigure({ held: { spec, maker }, length, write }: Props) {
  const unit = shownUnit('Nm', length)
  const shown = (nm: number | undefined) => (nm === undefined ? '' : formatNumber(nm, unit))
  const [low, setLow] = useState(shown(maker?.low))
  const [high, setHigh] = useState(shown(maker?.high))
  const [fault, setFault] = useState<string>()
  const log = () => {
    const from = parseQuantity(low, unit, 'maker’s figure, from')
    const to = high.trim() === '' ? from : parseQuantity(high, unit, 'maker’s figure, to')
    if (!from.ok) return setFault(from.error.message)
    if (!to.ok) return setFault(to.error.message)
    setFault(undefined)
    write([{ kind: 'figure', fastener: spec.id, lowNm: from.value, highNm: to.value }])
  }
  return (
    <FormRow label={`maker’s figure of the ${spec.id}`} onDone={log}>
      <TextField label={`maker’s, ${UNITS[unit].symbol}, from`} decimal width={140} value={low} onChange={setLow} />
      <TextField label="to" decimal width={80} value={high} onChange={setHigh} />
      <Press type="submit" isDisabled={low.trim() === ''}>
        Keep it
      </Press>
      {fault && <Complaint>{fault}</Complaint>}
    </FormRow>
  )
}
