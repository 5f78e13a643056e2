import type { SeenSpec } from '../../brake/reading.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { formatQuantity } from '../../quantity/quantity.ts'
import type { EntryBody } from '../../stand/entries.ts'
import type { Stand } from '../stand.ts'
import { mayRide } from './riding.ts'

/** A reading in its unit and range, and possible beside the others of the same brake. */
export function admitReading(stand: Stand, entry: EntryBody & { kind: 'reading' }): Outcome<EntryBody> {
  const { kit } = stand
  const seen = kit.seeing(entry.reading)
  if (seen) return admitSeen(stand, seen, entry)
  const spec = kit.reading(entry.reading)
  if (!spec) {
    return refuse(
      'unknown-reading',
      'reading',
      `A ${stand.family.title} brake has no reading “${entry.reading}”. Accepted: ${kit.order.join(', ')}.`,
    )
  }
  if (entry.unit !== spec.unit)
    return refuse('wrong-unit', 'unit', `${spec.title} is kept in ${spec.unit}, not “${entry.unit}”.`)
  if (typeof entry.value !== 'number' || !(entry.value >= spec.min && entry.value <= spec.max)) {
    const range = `${formatQuantity(spec.min, spec.unit)} to ${formatQuantity(spec.max, spec.unit)}`
    const shown = typeof entry.value === 'number' ? formatQuantity(entry.value, spec.unit) : `“${entry.value}”`
    return refuse('out-of-range', 'value', `${spec.title} is ${shown}. Accepted: ${range}.`)
  }
  if (spec.ridden && entry.value > 0) {
    const rides = mayRide(stand, 'reading')
    if (!rides.ok) return rides
  }
  return admitAmong(stand, entry.reading, entry.value, entry)
}

function admitSeen(stand: Stand, seen: SeenSpec, entry: EntryBody & { kind: 'reading' }): Outcome<EntryBody> {
  if (entry.unit !== '')
    return refuse('wrong-unit', 'unit', `${seen.title} is seen, not measured: it has no unit, not “${entry.unit}”.`)
  const answer = seen.options.find((each) => each.id === entry.value)
  if (!answer)
    return refuse(
      'not-a-choice',
      'value',
      `${seen.title} is “${entry.value}”. Accepted: ${seen.options.map((each) => each.id).join(', ')}.`,
    )
  const rides = answer.ridden ? mayRide(stand, 'reading') : ok(true)
  return rides.ok ? ok(entry) : rides
}

/** A measurement beside the others of the same brake: a hole wider than its tube was misread. */
function admitAmong(stand: Stand, id: string, value: number, entry: EntryBody): Outcome<EntryBody> {
  const { family, kit } = stand
  const checked = family.check?.({ seen: stand.seen, number: (each) => (each === id ? value : stand.number(each)) })
  if (checked && !checked.ok) return checked
  const dimension = kit.reading(id)?.dimension
  const fitted = dimension ? family.fit({ ...stand.dimensions, [dimension]: value }, stand.here) : ok(entry)
  return fitted.ok ? ok(entry) : fitted
}
