import { checkRun } from '../../features/prove/runs.ts'
import { type Outcome, ok } from '../../outcome/outcome.ts'
import type { EntryBody } from '../../stand/entries.ts'
import type { Stand } from '../stand.ts'
import { mayRide } from './riding.ts'

/** A stop is ridden only where the bicycle may be ridden: before the work as after it. */
export function admitRun(stand: Stand, entry: EntryBody & { kind: 'run' }): Outcome<EntryBody> {
  const rides = mayRide(stand, 'phase')
  if (!rides.ok) return rides
  const checked = checkRun(entry)
  return checked.ok ? ok(entry) : checked
}
