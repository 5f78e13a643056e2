import { parseQuantity } from '@overhaul/core/quantity/quantity'
import { useState } from 'react'
import { useKept } from '../../data/use-kept.ts'
import { FormRow } from '../../ui/FormRow.tsx'
import { Press } from '../../ui/Press.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { Toggles } from '../../ui/Toggles.tsx'
import { Complaint } from '../../ui/words.tsx'
import type { NotesProps } from '../notes.ts'
import { other } from './stop-setting.ts'

interface Typed {
  readonly speed: string
  readonly distance: string
}

/** A stop measured on the ground: speed and distance, in this workshop’s units or with their own. */
export function ByMark({
  jobId,
  length,
  way,
  onLog,
}: {
  readonly jobId: string
  readonly length: NotesProps['length']
  readonly way: 'out' | 'back'
  readonly onLog: (speedKmh: number, distanceM: number, direction: 'out' | 'back') => string | undefined
}) {
  const [typed, change] = useKept<Typed>(`overhaul.stop.${jobId}`, { speed: '', distance: '' })
  const [turned, setTurned] = useState(false)
  const [fault, setFault] = useState<string>()
  const direction = turned ? other[way] : way
  const [speedUnit, wayUnit] = length === 'in' ? (['mph', 'ft'] as const) : (['kmh', 'm'] as const)
  const log = () => {
    const speed = parseQuantity(typed.speed, speedUnit, 'speed')
    if (!speed.ok) return setFault(speed.error.message)
    const distance = parseQuantity(typed.distance, wayUnit, 'distance')
    if (!distance.ok) return setFault(distance.error.message)
    const wrong = onLog(speed.value, distance.value / 1000, direction)
    setFault(wrong)
    setTurned(false)
    if (!wrong) change(() => ({ speed: '', distance: '' }))
  }
  return (
    <FormRow label="A run" onDone={log}>
      <TextField
        label={`speed, ${length === 'in' ? 'mph' : 'km/h'}`}
        decimal
        width={110}
        value={typed.speed}
        onChange={(speed) => change((now) => ({ ...now, speed }))}
      />
      <TextField
        label={`distance, ${wayUnit}`}
        decimal
        width={110}
        value={typed.distance}
        onChange={(distance) => change((now) => ({ ...now, distance }))}
      />
      <Toggles
        label="direction"
        options={[
          { id: 'out', title: 'out' },
          { id: 'back', title: 'back' },
        ]}
        value={direction}
        onChange={(id) => setTurned(id !== way)}
      />
      <Press type="submit" isDisabled={typed.speed.trim() === '' || typed.distance.trim() === ''}>
        Log this run
      </Press>
      {fault && <Complaint>{fault}</Complaint>}
    </FormRow>
  )
}
