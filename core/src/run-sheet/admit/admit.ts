import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import type { EntryBody } from '../../stand/entries.ts'
import { factOf } from '../../stand/fold.ts'
import type { Act } from '../next.ts'
import type { Stand } from '../stand.ts'
import { admitCost } from './cost.ts'
import { admitClose, admitCorrection, admitRelease } from './ending.ts'
import { admitPlan, admitRoute, admitSwap } from './parts.ts'
import { admitReading } from './reading.ts'
import { admitRun } from './run.ts'
import { admitSkip, admitStep } from './step.ts'
import { admitFigure, admitTorque } from './torque.ts'
import { admitTurn } from './turn.ts'

const NOTE_LENGTH = 2000

/** Whether an entry is judged by what there is to do next: the others ask only how the brake stands, which costs nothing. */
export const asksNext = ({ kind }: Pick<EntryBody, 'kind'>): boolean =>
  kind === 'release' || kind === 'close' || kind === 'correction'

/**
 * Whether an entry may be written to this job as it stands. One rule for the tape, the touch controls and the server,
 * so that what one accepts the others do.
 */
export function admit(stand: Stand, entry: EntryBody, next: () => Act): Outcome<EntryBody> {
  const { released, ended: ending } = stand.state
  if (ending && !(entry.kind === 'correction' && entry.strikes === ending.id)) {
    return refuse(
      released ? 'job-released' : 'job-closed',
      'kind',
      `This job was ${released ? 'released' : 'closed unreleased'} by ${ending.initials}. Open a new job on this brake to go on, or take that back.`,
    )
  }
  const forbidden = forbiddenHere(stand, entry)
  if (forbidden) return forbidden
  switch (entry.kind) {
    case 'reading':
      return admitReading(stand, entry)
    case 'turn':
      return admitTurn(stand, entry)
    case 'confirm':
      return admitStep(stand, entry, entry.step)
    case 'skip':
      return entry.reason.trim() === ''
        ? refuse('reason-missing', 'reason', 'Skipping a step needs a reason: it stands on the job sheet.')
        : admitSkip(stand, entry)
    case 'swap':
      return admitSwap(stand, entry)
    case 'plan':
      return admitPlan(stand, entry)
    case 'route':
      return admitRoute(stand, entry)
    case 'torque':
      return admitTorque(stand, entry)
    case 'figure':
      return admitFigure(stand, entry)
    case 'estimate':
    case 'spent':
      return admitCost(stand, entry)
    case 'run':
      return admitRun(stand, entry)
    case 'note':
      return entry.text.trim() !== '' && entry.text.length <= NOTE_LENGTH
        ? ok(entry)
        : refuse('out-of-range', 'text', `A note of ${entry.text.length} characters. Accepted: 1 to ${NOTE_LENGTH}.`)
    case 'correction':
      return admitCorrection(stand, entry, next)
    case 'release':
      return admitRelease(entry, next())
    case 'close':
      return admitClose(stand, entry, next())
  }
}

/** What must not be done at this brake as it stands: its family knows. */
function forbiddenHere(stand: Stand, entry: EntryBody): Outcome<EntryBody> | undefined {
  const fact = factOf(entry)
  const allowed =
    fact &&
    stand.family.allows?.(fact, {
      ...stand,
      confirmed: (step) => {
        const answer = stand.state.confirmed[step]
        return answer?.status === 'current' && answer.value
      },
    })
  return allowed && !allowed.ok ? allowed : undefined
}
