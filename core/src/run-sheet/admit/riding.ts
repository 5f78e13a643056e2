import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { findingsOf, sayFindings } from '../findings.ts'
import type { Stand } from '../stand.ts'
import { SETTLED, stepStatus, stepsOn } from '../status.ts'

/** So many of what is still to be looked at are named. */
const NAMED = 4

/**
 * Whether this bicycle may be ridden hard now: nothing says that it is not to be ridden, and what a ride hangs on was looked
 * at on this visit and still stands, the walk last. `field`: where the refusal points.
 */
export function mayRide(stand: Stand, field: string): Outcome<true> {
  const against = findingsOf(stand, SETTLED).filter(({ undone }) => !undone)
  if (against.length > 0)
    return refuse(
      'not-to-be-ridden',
      field,
      `Not to be ridden: ${sayFindings(against).join('; ')}. Put that right before it is ridden.`,
    )
  const open = stepsOn(stand).filter((step) => step.beforeRiding && stepStatus(step, stand, SETTLED).state !== 'done')
  if (open.length === 0) return ok(true)
  const named = open.slice(0, NAMED).map(({ title }) => title)
  const more = open.length - named.length
  return refuse(
    'not-looked-at',
    field,
    `Before it is ridden hard, look at: ${named.join('; ')}${more > 0 ? `; and ${more} more` : ''}. Accepted once that is done on this visit.`,
  )
}
