import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { checkRun } from '../../prove/runs.ts'
import type { EntryBody } from '../../stand/entries.ts'
import { findingsOf, sayFindings } from '../findings.ts'
import type { Stand } from '../stand.ts'
import { SETTLED } from '../status.ts'

/** Nobody rides a stop while something says that it is not to be ridden; after the work it was walked first. */
export function admitRun(stand: Stand, entry: EntryBody & { kind: 'run' }): Outcome<EntryBody> {
  const against = findingsOf(stand, SETTLED).filter(({ undone }) => !undone)
  if (against.length > 0)
    return refuse(
      'not-to-be-ridden',
      'phase',
      `Not to be ridden: ${sayFindings(against).join('; ')}. Put that right before a stop is ridden.`,
    )
  const walked = stand.state.confirmed['walk-test']
  if (entry.phase === 'after' && stand.kit.step('walk-test') && !(walked?.value && walked.status === 'current'))
    return refuse(
      'not-walked',
      'phase',
      'After the work it is walked before it is ridden: do the walk test, then ride. Accepted: a run from before the work.',
    )
  const checked = checkRun(entry)
  return checked.ok ? ok(entry) : checked
}
