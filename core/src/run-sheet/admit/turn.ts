import type { AdjusterSpec, From } from '../../brake/adjuster.ts'
import { adjustersOf } from '../../brake/kit.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { formatQuantity } from '../../quantity/quantity.ts'
import type { EntryBody } from '../../stand/entries.ts'
import type { Stand } from '../stand.ts'

const MOST_CABLE_MM = 60
const HALF_STEP = 0.02
/** Less than this nobody turns, in any unit: a hundredth. Our choice. */
const LEAST = 0.01
const SET_IN = { turn: 'turns', mm: 'mm', hole: 'holes', click: 'clicks' } as const

/** What stands only in whole ones, and why. */
const WHOLE: Readonly<Record<string, string>> = { hole: 'a pin stands in a hole', click: 'a click is felt or not' }

/** Why an adjuster is not found anew so; nothing where it is. */
function foundAmiss(
  { title, contact, plus, minus }: AdjusterSpec,
  from: From,
  amount: number,
): Outcome<never> | undefined {
  if (!contact)
    return refuse(
      'no-contact',
      'from',
      `The ${title} meets nothing when it is wound in. Accepted: how far it was turned from where it stood.`,
    )
  if (contact.at[from.contact] === undefined)
    return refuse(
      'no-contact',
      'from',
      `The ${title} is not brought to its place by “${from.contact}”. Accepted: ${Object.keys(contact.at).join(', ')}.`,
    )
  if (contact.inward && amount * contact.inward > 0)
    return refuse(
      'out-of-range',
      'amount',
      `From contact the ${title} goes back: ${contact.inward > 0 ? minus : plus}.`,
    )
  return undefined
}

/** A turn of something this brake has, as far as it goes. */
export function admitTurn(
  { kit, model, family, state }: Stand,
  entry: EntryBody & { kind: 'turn' },
): Outcome<EntryBody> {
  const all = adjustersOf(kit, model)
  const spec = all.find((each) => each.id === entry.adjuster)
  if (!spec) {
    const known = all.map((each) => each.id).join(', ')
    return refuse(
      'unknown-adjuster',
      'adjuster',
      `A ${family.title} brake has no “${entry.adjuster}”. Accepted: ${known}.`,
    )
  }
  if (entry.unit !== spec.unit)
    return refuse('wrong-unit', 'unit', `The ${spec.title} is set in ${SET_IN[spec.unit]}, not “${entry.unit}”.`)
  const amiss = entry.from && foundAmiss(spec, entry.from, entry.amount)
  if (amiss) return amiss
  if (entry.tried !== undefined && (entry.amount !== 0 || !entry.endReached)) {
    return refuse('out-of-range', 'tried', 'What was tried is told where nothing moved: amount 0, at its end.')
  }
  const stays = entry.from !== undefined && spec.contact?.gives?.includes(0)
  if (!Number.isFinite(entry.amount) || (entry.amount === 0 && !entry.endReached && !stays)) {
    return refuse('out-of-range', 'amount', `${spec.title} by ${entry.amount}: say how far, for example ${spec.step}.`)
  }
  if (entry.amount !== 0 && Math.abs(entry.amount) < LEAST)
    return refuse(
      'out-of-range',
      'amount',
      `${spec.title} by ${entry.amount}: no hand turns so little. Accepted: ${LEAST} ${SET_IN[spec.unit]} or more.`,
    )
  const whole = WHOLE[spec.unit]
  if (whole && !Number.isInteger(entry.amount) && !entry.endReached) {
    return refuse(
      'out-of-range',
      'amount',
      `${spec.title} by ${entry.amount}: ${whole}. Accepted: whole ${SET_IN[spec.unit]}.`,
    )
  }
  if (spec.travel === undefined) {
    const before = state.adjusters[spec.id]?.turned ?? 0
    return Math.abs(entry.amount) <= MOST_CABLE_MM && Math.abs(before + entry.amount) <= MOST_CABLE_MM
      ? ok(entry)
      : refuse(
          'out-of-range',
          'amount',
          `${spec.title}: ${formatQuantity(entry.amount, spec.unit)}. Accepted: up to ${formatQuantity(MOST_CABLE_MM, spec.unit)} either way in all.`,
        )
  }
  const { roomDown, roomUp } = state.adjusters[spec.id] as { roomDown: number; roomUp: number }
  const room = entry.from ? spec.travel : entry.amount > 0 ? roomUp : roomDown
  if (Math.abs(entry.amount) > room + HALF_STEP) {
    const way = entry.amount > 0 ? spec.plus : spec.minus
    return refuse(
      'past-its-end',
      'amount',
      `${way} ${formatQuantity(Math.abs(entry.amount), spec.unit)}: it has only ${formatQuantity(Math.max(0, room), spec.unit)} to go that way. Log what it really turned.`,
    )
  }
  return ok(entry)
}
