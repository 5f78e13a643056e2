import { partOf, readSchool } from '../../brake/school.ts'
import { routeOf } from '../../features/cable/route.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { CAUTIONS } from '../../reference/cautions.ts'
import type { EntryBody } from '../../stand/entries.ts'
import type { Stand } from '../stand.ts'

/** A way may be chosen only when it can be done here, and when each of its cautions was read. */
export function admitPlan(stand: Stand, entry: EntryBody & { kind: 'plan' }): Outcome<EntryBody> {
  const { plans, title } = stand.family
  const plan = plans.find((each) => each.id === entry.plan)
  const way = plan?.ways.find((each) => each.id === entry.to)
  if (!plan || !way) {
    const known = plans.map((each) => `${each.id}, by ${each.ways.map(({ id }) => id).join(', ')}`).join('; ')
    return refuse(
      'unknown-way',
      'to',
      `There is no way “${entry.to}” of a ${entry.plan} on a ${title} brake. Accepted: ${known || 'none'}.`,
    )
  }
  const unheard = entry.acknowledged.find((id) => !(id in CAUTIONS))
  if (unheard) {
    return refuse(
      'unknown-caution',
      'acknowledged',
      `There is no caution “${unheard}”. Accepted: ${way.cautions.join(', ') || 'none'}.`,
    )
  }
  const unread = way.cautions.find((id) => !entry.acknowledged.includes(id))
  if (unread) {
    return refuse('caution-unread', 'acknowledged', `Read and acknowledge first: ${CAUTIONS[unread].text}`)
  }
  const admitted = plan.admit(stand, way.id, entry.figures ?? {})
  return admitted.ok ? ok(entry) : admitted
}

/** A part that was swapped for another, or the school that is followed. */
export function admitSwap({ kit }: Stand, entry: EntryBody & { kind: 'swap' }): Outcome<EntryBody> {
  const school = kit.schoolAt(entry.part)
  if (school) {
    const read = readSchool(school, entry.to)
    return read.ok ? ok(entry) : read
  }
  if (!kit.parts.includes(entry.part)) {
    const known = [...kit.parts, ...kit.schools.map(partOf)].join(', ')
    return refuse(
      'unknown-part',
      'part',
      `A ${kit.family.title} brake has no part “${entry.part}”. Accepted: ${known}.`,
    )
  }
  return entry.to.trim() === '' ? refuse('missing', 'to', `Say what the ${entry.part} was swapped for.`) : ok(entry)
}

const MOST_SEGMENTS = 20

/** The way of the housing, as it is pulled. */
export function admitRoute({ dimensions, model }: Stand, entry: EntryBody & { kind: 'route' }): Outcome<EntryBody> {
  if (entry.segments.length < 1 || entry.segments.length > MOST_SEGMENTS) {
    return refuse(
      'out-of-range',
      'segments',
      `A way of ${entry.segments.length} pieces. Accepted: 1 to ${MOST_SEGMENTS}.`,
    )
  }
  const route = routeOf(entry.segments, dimensions, model.throw.squeezeTensionN)
  return route.ok ? ok(entry) : route
}
