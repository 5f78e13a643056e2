import type { Frame, Shape } from '@overhaul/core/brake/frame'
import type { BrakeModel } from '@overhaul/core/brake/model'
import type { StationId } from '@overhaul/core/brake/station'
import { standingWalk } from '@overhaul/core/dial-in/belief'
import { waysOf } from '@overhaul/core/dial-in/turn'
import { formatFraction } from '@overhaul/core/quantity/number'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import { type Job, readingMark } from '@overhaul/core/run-sheet/job'
import type { Card } from '@overhaul/core/stand/card'
import type { Entry } from '@overhaul/core/stand/entries'
import { sayTurn, showParts } from '@overhaul/core/stand/show'
import type { HandleNote, LeaderNote } from '../drawing/annotations.tsx'

/** The brake as believed to stand now: the inputs behind every drawn frame. */
export const inputsNow = (job: Job): Float64Array => standingWalk(job.belief).q

/** Where the moving parts will stand after the next turn; each way where it may go either way. */
export function ghostsOf(job: Job): readonly (readonly Shape[])[] {
  if (job.next.kind !== 'turn') return []
  return waysOf(job.next.turn)
    .map((way) => job.model.ghost(Object.fromEntries(way.map(({ reading, value }) => [reading, value]))))
    .filter((ghost) => ghost.length > 0)
}

/** The readings on their leader lines: as measured at rest, as drawn under a squeeze. */
export function leadersOf(job: Job, frame: Frame, squeezing: boolean, length: LengthUnit): readonly LeaderNote[] {
  return frame.leaders.map(({ reading, drawn }) => {
    const value = squeezing ? drawn : job.state.readings[reading]?.value
    return {
      reading,
      title: job.kit.title(reading),
      text: typeof value === 'number' ? showParts(job.kit, reading, value, length).number : '?',
      mark: squeezing ? 'predicted' : readingMark(job, reading),
    }
  })
}

/** What each screw has been turned in this job, and what the next turn asks of whatever it moves. */
export function notesOf(job: Job, length: LengthUnit): readonly HandleNote[] {
  const moves = job.next.kind === 'turn' ? job.next.turn.moves : []
  return job.model.adjusters.flatMap((spec): readonly HandleNote[] => {
    const move = moves.find((each) => each.adjuster === spec.id)
    if (!spec.screw)
      return move
        ? [
            {
              adjuster: spec.id,
              // Its place says what it is.
              text: (spec.contact?.brief ?? sayTurn(spec, move.amount, length))
                .replace(` at the ${spec.title}`, '')
                .replace(/^Move the \w+ /, ''),
            },
          ]
        : []
    const state = job.state.adjusters[spec.id]
    if (!state) return []
    const where =
      state.position !== undefined
        ? `${formatFraction(state.position)} in`
        : state.turned === 0
          ? 'not turned yet'
          : `${formatFraction(Math.abs(state.turned))} ${state.turned > 0 ? 'in' : 'out'} so far`
    const next = move && {
      amount: `${move.amount > 0 ? '+' : '−'}${formatFraction(Math.abs(move.amount))}`,
      clockwise: move.amount > 0,
    }
    return [{ adjuster: spec.id, text: `${spec.title} · ${where}`, screw: next ? { next } : {} }]
  })
}

/** Readings that have their field in the act: what it asks for, and what is looked at beside it. */
export function askedNow({ family, model, next, kit }: Job, card?: Card): readonly string[] {
  if (next.kind !== 'measure') return []
  const { beside } = family.dial
  const asked = measuredOn({ kit }, card)?.rows.flatMap(({ readings }) => readings) ?? next.readings
  return beside && asked.some((id) => model.needed.includes(id)) ? [...asked, beside] : asked
}

/** A card of several things that are all measured, their fields in one form; undefined where it is looked at, or one thing. */
export const measuredOn = ({ kit }: Pick<Job, 'kit'>, card: Card | undefined): Card | undefined =>
  card && card.rows.length > 1 && card.rows.some(({ readings }) => readings.some((id) => kit.reading(id)))
    ? card
    : undefined

/** The readings of the row the hand is in, by the field it is in; of the act in hand where it is in none. */
function rowInHand({ kit, next }: Job, card: Card | undefined, field: string | undefined): readonly string[] {
  const row = measuredOn({ kit }, card)?.rows.find(({ readings }) => field !== undefined && readings.includes(field))
  return row?.readings ?? ('readings' in next ? next.readings : [])
}

/**
 * What the card in hand asks to be measured or done where the hand is in it, and what it takes beside; at another station, what
 * its gauges show.
 */
export function askedAt(
  job: Job,
  station: StationId,
  inHand: boolean,
  card?: Card,
  field?: string,
): { readonly wanted: readonly string[]; readonly beside: readonly string[] } {
  const { kit, model, next } = job
  if (inHand && next.kind === 'confirm') return { wanted: [next.step.id], beside: [] }
  const wanted = inHand ? rowInHand(job, card, field) : kit.gauges(station)
  // What is set by turns is shown on the brake itself.
  if (wanted.some((id) => model.needed.includes(id))) return { wanted: [], beside: [] }
  const { done } = next.step
  const beside = inHand && 'optional' in done ? (done.optional ?? []) : []
  return { wanted: wanted.filter(kit.reading), beside: beside.filter(kit.reading) }
}

/** Says so while the drawing shows the book's brake and not this one. */
export function captionOf(job: Job, frame: Frame): string | undefined {
  const measured = frame.leaders.some(({ reading }) => job.state.readings[reading])
  return measured || frame.leaders.length === 0 ? undefined : 'not measured yet: drawn from the book'
}

/** The travel at which a hard squeeze ends: the bar, or the hand's own strength. */
export function fullTravel(q: Float64Array, model: BrakeModel, reachMm: number): number {
  let travel = 0
  while (travel < reachMm && model.frame(q, { travelMm: travel, wheelDeg: 0 }).tensionN < model.throw.squeezeTensionN)
    travel += 1
  return Math.min(travel, reachMm)
}

/** The last turn that stands, of this hand or another's; empty before the first. */
export const lastMoved = (standing: readonly Entry[]): string =>
  standing.findLast((entry) => entry.kind === 'turn')?.id ?? ''
