import { motorHere } from '../bench/motor.ts'
import { CAUTIONS } from '../reference/cautions.ts'
import { findingsOf, sayFindings, sayPassed } from '../run-sheet/findings.ts'
import type { Job } from '../run-sheet/job.ts'
import { circumstancesOf, sheetOf } from '../run-sheet/status.ts'
import { sayDay, sayWhen } from '../stand/when.ts'
import { upper } from '../stand/words.ts'
import type { Subject } from './subject.ts'
import { type EndStands, type EndsStand, otherWaits, sayEnds } from './tag.ts'
import { letterhead } from './workshop.ts'

/** What whoever rides the bicycle is handed with it: one slip, in words of the road. */
export interface Handover {
  /** Whose paper it is; empty where nobody told. */
  readonly from: string
  readonly heading: string
  readonly result: string
  /** Why it is not to be ridden; empty once released, and the other brake’s work ended well. */
  readonly unfit: readonly string[]
  readonly parts: readonly { readonly title: string; readonly lines: readonly string[] }[]
  readonly cautions: readonly string[]
  /** Both ends of the bicycle, as its tag says them; empty where nobody told how they stand. */
  readonly ends: readonly string[]
  /** What stands over the cautions. */
  readonly cautionsAre: string
}

/** Common practice, no source. */
const WHEEL_CLOSED = [
  'Quick-release: open, its lever stands away from the wheel. Close it with real force, so that it leaves its print in the palm, lying where it is seen and touching nothing. Then lift the wheel and strike it: it must not move.',
  'Nuts: tight on both sides. Unsure, let somebody look before it is ridden.',
]

const HANDS: Readonly<Record<string, string>> = { left: 'The left hand', right: 'The right hand' }

/** Common practice, no source; of the wheel this brake stops. */
function afterPuncture(job: Job): readonly string[] {
  const motor = motorHere(circumstancesOf(job))
    ? ['Battery out first. Note plug and washers as they lie, on each side; back in, each where it was.']
    : []
  return [...motor, ...(job.family.puncture ?? [])]
}

export interface SlipSubject extends Subject {
  /** How the brakes at both ends of the bicycle stand. */
  readonly ends?: EndsStand
}

const ownEnd = ({ lookAgain }: { readonly lookAgain?: string }): EndStands => ({
  state: 'released',
  ...(lookAgain && { lookAgain }),
})

/** The slip of a job: how brake and wheel open and close, bedding-in, what was left open, the next look. */
export function handoverOf(job: Job, subject: SlipSubject): Handover {
  const { family, hardware, here, state, advice } = job
  const { released, closed } = state
  const hand = HANDS[here.traits.frontHand ?? '']
  const skipped = sheetOf(job, advice).flatMap((status) => {
    const why = state.skipped[status.step.id]
    return why === undefined || status.state !== 'skipped' ? [] : [sayPassed(status, why)]
  })
  const waits = subject.ends && otherWaits(subject.ends, hardware.end)
  // Of its own end this very job knows best: what the house keeps of it may be a moment behind.
  const ends = subject.ends ? sayEnds({ ...subject.ends, ...(released && { [hardware.end]: ownEnd(released) }) }) : []
  const leftOpen = { title: 'Left open', lines: skipped }
  return {
    from: letterhead(subject.from),
    cautionsAre: released ? 'Before the first ride' : 'Not to be ridden',
    heading: `${subject.bicycle} · ${hardware.end} brake · job ${subject.jobNumber}${subject.code ? ` · ${subject.code}` : ''}`,
    result: released
      ? `Released by ${released.initials}, ${sayWhen(released.at)}`
      : closed
        ? `Not to be ridden: ${closed.why}`
        : state.parked
          ? `Not released, parked for ${state.parked.why}: do not ride.`
          : 'Not released: do not ride.',
    unfit: [...sayFindings(findingsOf(job, advice)), ...(released && waits ? [waits] : [])],
    // A bicycle that is not to be ridden is handed over without a word of riding it.
    parts: (released
      ? [
          {
            title: 'Which lever',
            lines: hand ? [`${hand} works the front brake on this bicycle. A local rule comes first.`] : [],
          },
          { title: 'The brake', lines: family.opens ? [family.opens] : [] },
          { title: 'The wheel', lines: family.wheelCloses ?? WHEEL_CLOSED },
          { title: 'After a puncture', lines: afterPuncture(job) },
          ...(family.sections?.(job) ?? []).filter(({ forRider }) => forRider),
          leftOpen,
          { title: 'Both brakes', lines: ends.map(upper) },
          {
            title: 'The next look',
            lines: [
              released?.lookAgain
                ? `By ${sayDay(released.lookAgain)}; sooner where the lever comes nearer the bar, it squeals, rubs or pulls unevenly.`
                : 'Where the lever comes nearer the bar, it squeals, rubs or pulls unevenly: before the next ride.',
            ],
          },
        ]
      : [leftOpen]
    ).filter(({ lines }) => lines.length > 0),
    ends,
    cautions: [...(released ? [CAUTIONS.walking.text] : []), CAUTIONS.maker.text],
  }
}
