import { standingWalk } from '@overhaul/core/dial-in/belief'
import { waysOf } from '@overhaul/core/dial-in/turn'
import type { Outline, Pose } from '@overhaul/core/families/family'
import { formatFraction } from '@overhaul/core/quantity/number'
import { formatQuantity, type LengthUnit } from '@overhaul/core/quantity/quantity'
import { type Job, readingMark } from '@overhaul/core/run-sheet/job'
import { sayTurn, showParts } from '@overhaul/core/stand/describe'
import type { Leader, ScrewNote } from '../drawing/BrakeDrawing.tsx'

/** The brake as believed to stand now: the inputs behind every drawn frame. */
export const inputsNow = (job: Job): Float64Array => standingWalk(job.belief).q

/** Where the arms will stand after the next turn; each way where it may go either way. */
export function ghostsOf(job: Job): readonly Outline[] {
  if (job.next.kind !== 'turn') return []
  return waysOf(job.next.turn).flatMap((way) => {
    const [gapLeftMm, gapRightMm] = ['gapLeft', 'gapRight'].map((id) => way.find((each) => each.reading === id)?.value)
    return gapLeftMm === undefined || gapRightMm === undefined
      ? []
      : [job.model.outline({ gapLeftMm, gapRightMm, rimShiftMm: 0 })]
  })
}

/** The gap readings on their leader lines: as measured at rest, as drawn under a squeeze. */
export function leadersOf(job: Job, pose: Pose, squeezing: boolean, length: LengthUnit): readonly Leader[] {
  return (['left', 'right'] as const).map((side) => {
    const reading = side === 'left' ? 'gapLeft' : 'gapRight'
    const measured = job.state.readings[reading]?.value
    const drawn = side === 'left' ? pose.gapLeftMm : pose.gapRightMm
    const value = squeezing ? drawn : measured
    return {
      reading,
      side,
      text: typeof value === 'number' ? showParts(reading, value, length).number : '?',
      mark: squeezing ? 'predicted' : readingMark(job.state, job.windows, reading),
    }
  })
}

const AT_CONTACT: Pose = { gapLeftMm: 0, gapRightMm: 0, rimShiftMm: 0 }
/** Nearer to the middle than this a part belongs to neither side of the drawing. */
const AXIS_MM = 10

/** What each adjuster has been turned in this job, and what the next turn asks of it. */
export function notesOf(job: Job, length: LengthUnit): readonly ScrewNote[] {
  const moves = job.next.kind === 'turn' ? job.next.turn.moves : []
  const { anchors } = job.model.outline(AT_CONTACT)
  const others = moves.flatMap(({ adjuster, amount }): readonly ScrewNote[] => {
    const spec = job.model.adjusters.find((each) => each.id === adjuster)
    if (!spec || spec.id.endsWith('Screw')) return []
    const x = anchors[spec.id]?.[0] ?? 0
    const side = x < -AXIS_MM || (x <= AXIS_MM && spec.id === 'anchor') ? 'left' : 'right'
    const onWheel = Math.abs(x) <= AXIS_MM && spec.id === 'caliper'
    return [
      {
        anchor: spec.id,
        side,
        text: sayTurn(spec, amount, length).replace(' at the anchor', ''),
        ...(onWheel && { above: true }),
      },
    ]
  })
  const screws = job.model.adjusters.flatMap(({ id, title }): readonly ScrewNote[] => {
    const state = job.state.adjusters[id]
    if (!state || !id.endsWith('Screw')) return []
    const move = moves.find((each) => each.adjuster === id)
    const where =
      state.position !== undefined
        ? `${formatFraction(state.position)} in`
        : state.turned === 0
          ? 'not turned yet'
          : `${formatFraction(Math.abs(state.turned))} ${state.turned > 0 ? 'in' : 'out'} so far`
    return [
      {
        anchor: id,
        side: (anchors[id]?.[0] ?? 0) < 0 ? 'left' : 'right',
        text: `${title} · ${where}`,
        ...(move && {
          next: `${move.amount > 0 ? '+' : '−'}${formatFraction(Math.abs(move.amount))}`,
          clockwise: move.amount > 0,
        }),
      },
    ]
  })
  return [...screws, ...others]
}

/** Says so while the drawing shows the book's brake and not this one. */
export function captionOf(job: Job): string | undefined {
  const measured = ['gapLeft', 'gapRight'].some((id) => job.state.readings[id])
  return measured ? undefined : 'gaps not measured: drawn from the book'
}

export const scaleBar = (length: LengthUnit) =>
  length === 'mm' ? { mm: 20, text: '20 mm' } : { mm: 25.4, text: formatQuantity(25.4, 'in', 0) }
