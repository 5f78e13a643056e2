import { SWAPPED_PARTS } from '@overhaul/core/bench/graph'
import { LOOSENED } from '@overhaul/core/brake/acts'
import type { Kit } from '@overhaul/core/brake/kit'
import type { Step } from '@overhaul/core/brake/step'
import { type LengthUnit, parseQuantity, shownUnit } from '@overhaul/core/quantity/quantity'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { upper } from '@overhaul/core/stand/words'
import { type FormEvent, type ReactNode, useState } from 'react'
import styled from 'styled-components'
import { Choose, Complaint, Field, foldSummary, Press } from '../ui/parts.tsx'
import { CloseUnreleased } from './next/parts.tsx'

const Fold = styled.details`
  border-top: 1px solid var(--rule);
  margin-top: 6px;
  summary {
    min-height: 48px;
    ${foldSummary}
  }
`
const Line = styled.form`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 5px 0;
`

interface Props {
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

interface TextFieldProps {
  readonly label: string
  readonly value: string
  readonly onChange: (text: string) => void
  readonly placeholder?: string
  /** Fixed width in pixels; all the room there is if not given. */
  readonly width?: number
  readonly decimal?: boolean
}

const TextField = ({ label, value, onChange, placeholder, width, decimal }: TextFieldProps) => (
  <Field
    aria-label={label}
    placeholder={placeholder}
    inputMode={decimal ? 'decimal' : 'text'}
    style={width ? { width } : { flex: 1 }}
    value={value}
    onChange={(event) => onChange(event.target.value)}
  />
)

/** Everything else the tape takes, by touch: any reading, a note, a torque, a part replaced, a step skipped. */
export function Also({ kit, length, steps, write }: Props) {
  const [reading, setReading] = useState<string>(() => kit.readings[0]?.id ?? '')
  const [amount, setAmount] = useState('')
  const [note, setNote] = useState('')
  const [fastener, setFastener] = useState('anchor')
  const [torque, setTorque] = useState('')
  const [step, setStep] = useState('dial-in')
  const [reason, setReason] = useState('')
  const [fault, setFault] = useState<string>()
  const spec = kit.reading(reading)
  const torqueUnit = shownUnit('Nm', length)

  const log = (bodies: readonly EntryBody[], done: () => void) => {
    setFault(undefined)
    if (write(bodies)) done()
  }
  const logReading = () => {
    if (!spec) return
    const value = parseQuantity(amount, shownUnit(spec.unit, length), spec.title)
    if (!value.ok) return setFault(value.error.message)
    const { id, unit, instrument } = spec
    log([{ kind: 'reading', reading: id, value: value.value, unit, instrument }], () => setAmount(''))
  }
  const logTorque = () => {
    const value = parseQuantity(torque, torqueUnit, 'torque')
    if (!value.ok) return setFault(value.error.message)
    log([{ kind: 'torque', fastener: fastener.trim(), valueNm: value.value }], () => setTorque(''))
  }

  return (
    <Fold>
      <summary>Write something else</summary>
      <Line as="div">
        <Press onPress={() => write([{ kind: 'confirm', step: 'squeezes', count: 10 }])}>Squeezed ten times</Press>
        {Object.values(LOOSENED).map((step) => (
          <Press key={step} onPress={() => write([{ kind: 'confirm', step }])}>
            {upper(kit.stepTitle(step))}
          </Press>
        ))}
        {SWAPPED_PARTS.map((part) => (
          <Press key={part} onPress={() => write([{ kind: 'swap', part, to: 'new' }])}>
            {`${upper(part)} replaced`}
          </Press>
        ))}
      </Line>
      <Written onWrite={logReading}>
        <Choose aria-label="reading" value={reading} onChange={(event) => setReading(event.target.value)}>
          {kit.readings.map((each) => (
            <option key={each.id} value={each.id}>
              {each.title}, {shownUnit(each.unit, length)}
            </option>
          ))}
        </Choose>
        <TextField label="amount" value={amount} onChange={setAmount} width={90} decimal />
      </Written>
      <Written onWrite={logTorque}>
        <TextField label="fastener" value={fastener} onChange={setFastener} width={150} />
        <TextField
          label={`torque, ${torqueUnit}`}
          value={torque}
          onChange={setTorque}
          placeholder={torqueUnit === 'Nm' ? 'N·m' : 'in·lb'}
          width={90}
          decimal
        />
      </Written>
      <Written onWrite={() => log([{ kind: 'note', text: note.trim() }], () => setNote(''))}>
        <TextField label="note" value={note} onChange={setNote} placeholder="note" />
      </Written>
      <Written onWrite={() => log([{ kind: 'skip', step, reason }], () => setReason(''))}>
        <Choose aria-label="step to skip" value={step} onChange={(event) => setStep(event.target.value)}>
          {steps
            .filter((each) => each.done.kind !== 'signed')
            .map((each) => (
              <option key={each.id} value={each.id}>
                skip {each.title}
              </option>
            ))}
        </Choose>
        <TextField label="reason" value={reason} onChange={setReason} placeholder="reason" />
      </Written>
      <Line as="div">
        <CloseUnreleased write={write} />
      </Line>
      {fault && <Complaint>{fault}</Complaint>}
    </Fold>
  )
}
