import type { Kit } from '@overhaul/core/brake/kit'
import type { Step } from '@overhaul/core/brake/step'
import { type LengthUnit, parseQuantity, shownUnit, UNITS } from '@overhaul/core/quantity/quantity'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { upper } from '@overhaul/core/stand/words'
import { type FormEvent, type ReactNode, useState } from 'react'
import styled from 'styled-components'
import { useKept } from '../data/use-kept.ts'
import { Choose } from '../ui/Choose.tsx'
import { Fold } from '../ui/Fold.tsx'
import { Press } from '../ui/Press.tsx'
import { TextField } from '../ui/TextField.tsx'
import { Complaint } from '../ui/words.tsx'
import { CloseUnreleased } from './next/parts.tsx'

const Line = styled.form`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 5px 0;
`

interface Props {
  readonly jobId: string
  readonly kit: Kit
  readonly length: LengthUnit
  /** The steps on this job’s sheet. */
  readonly steps: readonly Step[]
  readonly write: (bodies: readonly EntryBody[]) => boolean
}

const Written = ({ onWrite, children }: { onWrite: () => void; children: ReactNode }) => (
  <Line
    onSubmit={(event: FormEvent) => {
      event.preventDefault()
      onWrite()
    }}
  >
    {children}
    <Press type="submit">Log</Press>
  </Line>
)

interface Typed {
  readonly reading: string
  readonly amount: string
  readonly fastener: string
  readonly torque: string
  readonly note: string
  readonly step: string
  readonly reason: string
}

/** Everything else the tape takes, by touch: any reading, a note, a torque, a part replaced, a step skipped. */
export function Also({ jobId, kit, length, steps, write }: Props) {
  const [open, setOpen] = useKept(`overhaul.also-open.${jobId}`, false)
  const [typed, change] = useKept<Typed>(`overhaul.also.${jobId}`, {
    reading: kit.readings[0]?.id ?? '',
    amount: '',
    fastener: 'anchor',
    torque: '',
    note: '',
    step: 'dial-in',
    reason: '',
  })
  const [fault, setFault] = useState<string>()
  const lay = (more: Partial<Typed>) => change((now) => ({ ...now, ...more }))
  const spec = kit.reading(typed.reading)
  const torqueUnit = shownUnit('Nm', length)

  const log = (bodies: readonly EntryBody[], done: Partial<Typed>) => {
    setFault(undefined)
    if (write(bodies)) lay(done)
  }
  const logReading = () => {
    if (!spec) return
    const value = parseQuantity(typed.amount, shownUnit(spec.unit, length), spec.title)
    if (!value.ok) return setFault(value.error.message)
    const { id, unit, instrument } = spec
    log([{ kind: 'reading', reading: id, value: value.value, unit, instrument }], { amount: '' })
  }
  const logTorque = () => {
    const value = parseQuantity(typed.torque, torqueUnit, 'torque')
    if (!value.ok) return setFault(value.error.message)
    log([{ kind: 'torque', fastener: typed.fastener.trim(), valueNm: value.value }], { torque: '' })
  }

  return (
    <Fold title="Write something else" open={open} onOpen={(now) => setOpen(() => now)}>
      <Line as="div">
        <Press onPress={() => write([{ kind: 'confirm', step: 'squeezes', count: 10 }])}>Squeezed ten times</Press>
        {Object.values(kit.loosenable).map((step) => (
          <Press key={step} onPress={() => write([{ kind: 'confirm', step }])}>
            {upper(kit.stepTitle(step))}
          </Press>
        ))}
        {kit.parts.map((part) => (
          <Press key={part} onPress={() => write([{ kind: 'swap', part, to: 'new' }])}>
            {`${upper(part)} replaced`}
          </Press>
        ))}
      </Line>
      <Written onWrite={logReading}>
        <Choose
          label="reading"
          unseen
          options={kit.readings.map(({ id, title, unit }) => ({
            id,
            title: `${title}, ${UNITS[shownUnit(unit, length)].symbol}`,
          }))}
          value={typed.reading}
          onChange={(reading) => lay({ reading })}
        />
        <TextField
          label="amount"
          unseen
          decimal
          width={90}
          value={typed.amount}
          onChange={(amount) => lay({ amount })}
        />
      </Written>
      <Written onWrite={logTorque}>
        <TextField
          label="fastener"
          unseen
          width={150}
          value={typed.fastener}
          onChange={(fastener) => lay({ fastener })}
        />
        <TextField
          label={`torque, ${torqueUnit}`}
          unseen
          decimal
          placeholder={torqueUnit === 'Nm' ? 'N·m' : 'in·lb'}
          width={90}
          value={typed.torque}
          onChange={(torque) => lay({ torque })}
        />
      </Written>
      <Written onWrite={() => log([{ kind: 'note', text: typed.note.trim() }], { note: '' })}>
        <TextField label="note" unseen placeholder="note" value={typed.note} onChange={(note) => lay({ note })} />
      </Written>
      <Written onWrite={() => log([{ kind: 'skip', step: typed.step, reason: typed.reason }], { reason: '' })}>
        <Choose
          label="step to skip"
          unseen
          options={steps
            .filter(({ maySkip, mayLeave }) => maySkip !== undefined || mayLeave !== undefined)
            .map(({ id, title, maySkip }) => ({ id, title: `${maySkip === undefined ? 'leave' : 'skip'} ${title}` }))}
          value={typed.step}
          onChange={(step) => lay({ step })}
        />
        <TextField
          label="reason"
          unseen
          placeholder="reason"
          value={typed.reason}
          onChange={(reason) => lay({ reason })}
        />
      </Written>
      <Line as="div">
        <CloseUnreleased jobId={jobId} write={write} />
      </Line>
      {fault && <Complaint>{fault}</Complaint>}
    </Fold>
  )
}
