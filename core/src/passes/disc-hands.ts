import { placement, type Windows } from '../brake/window.ts'
import { DISCS } from '../simulate/discs.ts'
import type { DiscSpec } from '../simulate/virtual-disc.ts'
import type { Entry } from '../stand/entries.ts'
import type { Bicycle } from './fleet.ts'
import { latest, turnsOf } from './seen.ts'
import type { Decision, Hand } from './trial.ts'

type Moves = Extract<Decision, { kind: 'turn' }>['moves']

const EAR = { contact: 'ear' } as const
const FLOAT = { contact: 'float' } as const

/** What the gauge last said, as a hand without arithmetic reads it. */
function seenAt(spec: DiscSpec, book: Windows, log: readonly Entry[]) {
  const now = latest(log)
  const of = (id: string) => now[id] ?? 0
  const place = (id: string) => {
    const window = book.of[id]
    return window ? placement(window, of(id)) : 'in'
  }
  const apart = of(spec.inner) - of(spec.outer)
  return {
    of,
    inner: place(spec.inner),
    outer: place(spec.outer),
    bite: place('biteTravel'),
    starts: place('armStarts'),
    rest: place('armRest'),
    apart: spec.bothMove && Math.abs(apart) > (book.of.gapDifference?.high ?? 0.2) ? apart : 0,
  }
}
type Seen = ReturnType<typeof seenAt>

const isWell = ({ inner, outer, bite, starts, rest, apart }: Seen): boolean =>
  [inner, outer, bite, starts, rest].every((each) => each === 'in') && apart === 0

/** A step that halves each time it was turned the other way, down to the least. */
function halving(log: readonly Entry[], adjuster: string, want: 1 | -1, first: number, least: number): number {
  const turns = turnsOf(log, new RegExp(`^${adjuster}$`)).map(({ amount }) => Math.sign(amount))
  return [...turns, want].reduce((step, direction, k, all) => {
    if (k === 0) return first
    return direction !== all[k - 1] ? Math.max(least, step / 2) : step
  }, first)
}

const turn = (...moves: Moves): Decision => ({ kind: 'turn', moves })

/** The slack of the cable, by the arm alone: off its stop, let out; starts late, taken up. */
function slackStep(seen: Seen, leverage: number, startsAt: number): Moves[number] | undefined {
  if (seen.rest !== 'in') return { adjuster: 'anchor', amount: Math.max(0.5, Math.round(2 * seen.of('armRest')) / 2) }
  if (seen.starts !== 'in')
    return {
      adjuster: 'anchor',
      amount: -Math.max(0.5, Math.round((2 * (seen.of('armStarts') - startsAt)) / leverage) / 2),
    }
  return undefined
}

/** Trial and error with the contact of the handbook’s schools: docs/bench.md, Discs. */
export function discHabit(bicycle: Bicycle): Hand {
  const spec = DISCS[bicycle.family.id] as DiscSpec
  const { lever, freePlayMm } = bicycle.model.throw
  const leverage = lever.fingerArmMm / lever.cableArmMm
  const quarter = Math.round((bicycle.dimensions.knobClicks as number) / 4)
  return ({ log, book, told }) => {
    const seen = seenAt(spec, book, log)
    if (isWell(seen) && !told) return { kind: 'stop' }
    const slack = slackStep(seen, leverage, leverage * (freePlayMm + 0.5))
    if (slack) return turn(slack)
    if (spec.bothMove) {
      return turn(
        seen.bite === 'high' ? { adjuster: 'barrel', amount: 0.5 } : { adjuster: 'caliper', amount: 0, from: FLOAT },
      )
    }
    const contacted = turnsOf(log, /^fixedPad$/).some((each) => each.from)
    if (seen.inner !== 'in') {
      if (!contacted) return turn({ adjuster: 'fixedPad', amount: -quarter, from: EAR })
      return turn({ adjuster: 'fixedPad', amount: seen.inner === 'low' ? -1 : 1 })
    }
    const wide = seen.outer === 'high' || seen.bite === 'high'
    if (spec.knobs.includes('movingPad')) {
      const touched = turnsOf(log, /^movingPad$/).length > 0
      if (!touched) return turn({ adjuster: 'movingPad', amount: -2 * quarter, from: EAR })
      const want = wide ? 1 : -1
      return turn({ adjuster: 'movingPad', amount: want * halving(log, 'movingPad', want, 3, 1) })
    }
    // No knob for the moving gap: the caliper is moved, and the fixed pad found again.
    const want = wide ? -1 : 1
    return turn(
      { adjuster: 'caliper', amount: want * halving(log, 'caliper', want, 0.2, 0.1) },
      { adjuster: 'fixedPad', amount: -quarter, from: EAR },
    )
  }
}

/** Rule and arithmetic of the book, both corrections at once, nothing learnt. */
export function discBookMechanic(bicycle: Bicycle): Hand {
  const spec = DISCS[bicycle.family.id] as DiscSpec
  const { dimensions: d, model } = bicycle
  const { lever, freePlayMm } = model.throw
  const leverage = lever.fingerArmMm / lever.cableArmMm
  const ratio = model.contactRatio as number
  const click = (d.knobPitchMm as number) / (d.knobClicks as number)
  return ({ log, wheel, book, told }) => {
    const seen = seenAt(spec, book, log)
    if (isWell(seen) && !told) return { kind: 'stop' }
    const slack = slackStep(seen, leverage, leverage * (freePlayMm + 0.5))
    if (spec.bothMove) {
      const apart = seen.of(spec.inner) - seen.of(spec.outer)
      const floatedBefore = turnsOf(log, /^caliper$/).length > 0
      // What a float left is met by a card at the near pad, half of it off the middle.
      const card = floatedBefore ? Math.min(0.15, Math.max(-0.15, Math.round(10 * apart) / 20)) : 0
      const float = { adjuster: 'caliper', amount: card, from: FLOAT }
      const moves = [...(slack ? [slack] : []), ...(seen.apart !== 0 || told || !slack ? [float] : [])]
      return turn(...moves)
    }
    const fixed = book.of[spec.inner]?.target ?? 0.2
    const back = Math.max(1, Math.round((fixed - (wheel.rotorRunout ?? 0) / 2 + click / 2) / click))
    const wanted = book.of.biteTravel?.target ?? 0
    // The sum the book’s lever and cam want, less the fixed gap, is the moving one’s.
    const moving = Math.max(book.of[spec.outer]?.low ?? 0.1, (wanted / leverage - freePlayMm) / ratio - fixed)
    const off = seen.of(spec.outer) - moving
    const again = { adjuster: 'fixedPad', amount: -back, from: EAR }
    if (spec.knobs.includes('movingPad')) {
      const clicks = Math.round(off / click)
      const moves = [
        ...(slack ? [slack] : []),
        ...(seen.inner !== 'in' || told ? [again] : []),
        ...((seen.outer !== 'in' || seen.bite !== 'in') && clicks !== 0
          ? [{ adjuster: 'movingPad', amount: clicks }]
          : []),
      ]
      return moves.length > 0 ? turn(...moves) : turn({ adjuster: 'movingPad', amount: off > 0 ? 1 : -1 })
    }
    const shift = -Math.round(10 * off) / 10
    const amiss = seen.outer !== 'in' || seen.bite !== 'in'
    const moves = [
      ...(slack ? [slack] : []),
      ...(amiss && shift !== 0 ? [{ adjuster: 'caliper', amount: shift }] : []),
      ...(amiss || seen.inner !== 'in' || told ? [again] : []),
    ]
    return moves.length > 0 ? turn(...moves) : turn(again)
  }
}
