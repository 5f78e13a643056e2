import type { AdjusterSpec, From } from '../brake/adjuster.ts'
import type { Window } from '../brake/window.ts'
import { type Belief, standingWalk } from './belief.ts'
import { normalDraws } from './draws.ts'
import { settingScatter } from './layout.ts'
import { backward } from './matrix.ts'
import type { Expected } from './turn.ts'
import type { Walk } from './walk.ts'

const SQUEEZES = 10

/** A reading to be steered into its window, by its place in the model's readings. */
export interface Aim {
  readonly index: number
  readonly window: Window
}

/** One possible brake as it stands now, and how its next clamping would come out. */
export interface Sample {
  readonly walk: Walk
  readonly q: Float64Array
  readonly setNoise: number
}

/** What stands hidden while a reading shows nothing, by its place in the model’s inputs. */
export type Hidden = readonly { readonly input: number; readonly from: number; readonly to: number }[]

/**
 * The belief as a set of possible brakes, each brought to where it stands after ten squeezes. A reading of nothing says only
 * “at most”, and the belief stays at its edge: behind it they are spread evenly over what may be hidden.
 */
export function samplesOf(belief: Belief, from: number, to: number, hidden: Hidden = []): readonly Sample[] {
  const n = belief.layout.unknowns.length
  const draws = normalDraws(n + 1)
  return Array.from({ length: to - from }, (_, index) => {
    const z = draws(from + index)
    const own = believedBy(belief, from + index)
    const theta = backward(own.factor, n, z)
    for (let k = 0; k < n; k += 1) theta[k] = (theta[k] as number) + (own.mean[k] as number)
    return sampleAt(own, theta, z[n] as number, hidden, from + index)
  })
}

const GOLDEN = 0.6180339887498949
/** Fractions that fill an interval evenly, and none of them the others’. */
const SPREAD = [Math.SQRT2, Math.sqrt(3), Math.sqrt(7)] as const

/** Which of the rival beliefs a draw is taken from: as often as each is likely. */
function believedBy(belief: Belief, index: number): Belief {
  let left = ((index + 0.5) * GOLDEN) % 1
  for (const each of [belief, ...belief.rivals]) {
    left -= each.weight
    if (left < 0) return each
  }
  return belief
}

/** One possible brake, its unknowns given, and which of those spread over what is hidden it is; the middle one if none. */
export function sampleAt(
  belief: Belief,
  theta: Float64Array,
  setNoise: number,
  hidden: Hidden = [],
  draw?: number,
): Sample {
  const walk = standingWalk(belief, theta)
  walk.squeeze(SQUEEZES)
  walk.settle()
  hidden.forEach(({ input, from, to }, k) => {
    const along = draw === undefined ? 0.5 : ((draw + 0.5) * (SPREAD[k % SPREAD.length] as number)) % 1
    walk.q[input] = (walk.q[input] as number) + from + (to - from) * along
  })
  return { walk, q: walk.q, setNoise }
}

/** A move: how far each of some adjusters goes, by their place in the model. */
export interface Amounts {
  readonly adjusters: readonly number[]
  readonly amounts: readonly number[]
  /** The last of them is told from contact, or each of them; else those before it are turned on from where they stand. */
  readonly from?: From['contact']
  readonly each?: true
}

/** Whether one of a move’s adjusters is told from contact: the last, as nothing turned after it reaches it, or each. */
export const isMet = ({ adjusters, from, each }: Amounts, k: number): boolean =>
  from !== undefined && (each === true || k === adjusters.length - 1)

const DEPTH = 0.1

/** Tries moves on possible brakes. */
export class Bench {
  private readonly moved: Float64Array
  private readonly y: Float64Array

  constructor(
    private readonly belief: Belief,
    private readonly aims: readonly Aim[],
  ) {
    this.moved = new Float64Array(belief.layout.inputs)
    this.y = new Float64Array(belief.model.readings.length)
  }

  /** Readings of one possible brake after a move, into `y`. */
  after(sample: Sample, move: Amounts, withNoise: boolean): Float64Array {
    const { adjusters, amounts, from } = move
    const { moved, y, belief } = this
    moved.set(sample.q)
    for (let k = 0; k < adjusters.length; k += 1) {
      const adjuster = adjusters[k] as number
      const amount = amounts[k] as number
      const spec = belief.model.adjusters[adjuster] as AdjusterSpec
      const contact = from !== undefined && isMet(move, k) && spec.contact
      if (amount === 0 && !contact) continue
      const input = belief.layout.drives[adjuster] as number
      const untried = belief.layout.effect[adjuster] === -1 ? spec.effectSpread * amount : 0
      const scatter = Math.hypot(settingScatter(spec, contact ? from : undefined), untried * spec.book)
      const noise = (withNoise ? scatter * sample.setNoise : 0) + sample.walk.creep(adjuster)
      const set = contact ? sample.walk.fromContact(adjuster, amount, from) : undefined
      if (set !== undefined) {
        moved[input] = set + noise
        continue
      }
      const reached = sample.walk.reach(adjuster, amount) + noise
      moved[input] = (moved[input] as number) + reached
      const also = belief.layout.alsoDrives[adjuster] as number
      if (also >= 0) moved[also] = (moved[also] as number) + (belief.layout.share[adjuster] as number) * reached
    }
    belief.model.predict(moved, y)
    return y
  }

  /** Share of possible brakes with every reading in its window, and how far off the rest are. */
  score(samples: readonly Sample[], move: Amounts): number {
    let inside = 0
    let off = 0
    let depth = 0
    for (const sample of samples) {
      const y = this.after(sample, move, true)
      let worst = -1
      for (const { index, window } of this.aims) {
        const value = y[index] as number
        const half = (window.high - window.low) / 2
        const out = Math.max(window.low - value, value - window.high) / half
        if (out > worst) worst = out
      }
      if (worst <= 0) {
        inside += 1
        depth -= worst
      } else off += Math.min(worst, 4)
    }
    return (inside - 0.02 * off + DEPTH * depth) / samples.length
  }

  /** How far off a brake is after a move, in half-windows of its worst reading; 0 with all of them in. */
  distance(sample: Sample, move: Amounts): number {
    return this.offs(sample, move, Math.max)
  }

  /** All that is off of a brake after a move, each reading in its half-windows. */
  offInAll(sample: Sample, move: Amounts): number {
    return this.offs(sample, move, (sum, off) => sum + off)
  }

  /** The same in squares, which a search follows down to its foot. */
  squaresOff(sample: Sample, move: Amounts): number {
    return this.offs(sample, move, (sum, off) => sum + off ** 2)
  }

  /** What each reading is off after a move, in its half-windows and 0 inside, taken together from 0. */
  private offs(sample: Sample, move: Amounts, together: (all: number, off: number) => number): number {
    const y = this.after(sample, move, false)
    return this.aims.reduce((all, { index, window }) => {
      const value = y[index] as number
      const half = (window.high - window.low) / 2
      return together(all, Math.max(0, window.low - value, value - window.high) / half)
    }, 0)
  }

  private isIn(y: Float64Array): boolean {
    for (const { index, window } of this.aims) {
      const value = y[index] as number
      if (value < window.low || value > window.high) return false
    }
    return true
  }

  chance(samples: readonly Sample[], move: Amounts): number {
    let inside = 0
    for (const sample of samples) {
      const y = this.after(sample, move, true)
      if (this.isIn(y)) inside += 1
    }
    return inside / samples.length
  }

  /** Readings to expect after a move, with their spread, and the chance that all are in their windows. */
  outcome(samples: readonly Sample[], move: Amounts): { expected: readonly Expected[]; chance: number } {
    const n = samples.length
    const sum = new Float64Array(this.y.length)
    const squares = new Float64Array(this.y.length)
    let inside = 0
    for (const sample of samples) {
      const y = this.after(sample, move, true)
      for (let r = 0; r < y.length; r += 1) {
        const value = y[r] as number
        sum[r] = (sum[r] as number) + value
        squares[r] = (squares[r] as number) + value * value
      }
      if (this.isIn(y)) inside += 1
    }
    const { readings, steered } = this.belief.model
    const derived = new Set(this.belief.model.derived.map(({ id }) => id))
    const expected = steered.map((reading) => {
      const index = readings.indexOf(reading)
      const mean = (sum[index] as number) / n
      return {
        reading,
        value: derived.has(reading) ? mean : Math.max(0, mean),
        sd: Math.sqrt(Math.max(0, (squares[index] as number) / n - mean * mean)),
      }
    })
    return { expected, chance: inside / n }
  }
}
