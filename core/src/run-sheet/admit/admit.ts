import { SIGN_IDS } from '../../brake/signs.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import type { BodyFor, EntryBody, EntryKind } from '../../stand/entries.ts'
import { factOf } from '../../stand/fold.ts'
import { kindOf } from '../../stand/kinds.ts'
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
export const asksNext = (entry: Pick<EntryBody, 'kind'>): boolean => kindOf(entry).asksNext ?? false

type Rule<K extends EntryKind> = (stand: Stand, entry: BodyFor<K>, next: () => Act) => Outcome<EntryBody>

/** What may be written, kind by kind. */
const RULES: { readonly [K in EntryKind]: Rule<K> } = {
  reading: admitReading,
  turn: admitTurn,
  confirm: (stand, entry) => admitStep(stand, entry, entry.step),
  skip: (stand, entry) =>
    entry.reason.trim() === ''
      ? refuse('reason-missing', 'reason', 'Skipping a step needs a reason: it stands on the job sheet.')
      : admitSkip(stand, entry),
  swap: admitSwap,
  plan: admitPlan,
  route: admitRoute,
  torque: admitTorque,
  figure: admitFigure,
  estimate: admitCost,
  spent: admitCost,
  run: admitRun,
  note: (_, entry) =>
    entry.text.trim() !== '' && entry.text.length <= NOTE_LENGTH
      ? ok(entry)
      : refuse('out-of-range', 'text', `A note of ${entry.text.length} characters. Accepted: 1 to ${NOTE_LENGTH}.`),
  correction: admitCorrection,
  complaint: (_, entry) =>
    entry.signs.length > 0 || (entry.text ?? '').trim() !== ''
      ? ok(entry)
      : refuse(
          'missing',
          'signs',
          `A complaint names what is wrong. Accepted: ${SIGN_IDS.join(', ')}, or the rider’s own words.`,
        ),
  anew: ({ kit }, entry) =>
    entry.of === undefined || kit.reading(entry.of) || kit.seeing(entry.of)
      ? ok(entry)
      : refuse('unknown-reading', 'of', `There is no reading “${entry.of}”. Accepted: ${kit.order.join(', ')}.`),
  park: (_, entry) =>
    entry.why.trim() === ''
      ? refuse('reason-missing', 'why', 'Parked for what? Write it: hub bearings, headset, a part on its way.')
      : ok(entry),
  release: (_, entry, next) => admitRelease(entry, next()),
  close: (stand, entry, next) => admitClose(stand, entry, next()),
}

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
  // Each rule is only ever handed entries of its own kind.
  return (RULES[entry.kind] as Rule<EntryKind>)(stand, entry, next)
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
