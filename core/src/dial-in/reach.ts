import type { StandState } from '../stand/fold.ts'
import type { Belief } from './belief.ts'
import { FAR } from './candidates.ts'
import type { Amounts, Bench, Sample } from './possible.ts'

/** Possible brakes looked through for a setting. */
const TRIED = 12
/** Each adjuster in turn is gone along in so many steps, around where it stands, and the next round by finer ones. */
const ROUNDS = 40
const STEPS = 4
const FINER = 0.85
/** This near its windows, all that is off in squared half-windows, a setting counts: what is believed is not that exact. */
const NEAR = 0.2

/**
 * Whether its adjusters, as far as their ends are known, reach a setting with every reading in its window or all but there, in
 * any of the possible brakes. An end that is only guessed limits nothing: what may lie beyond it is tried, not ruled out.
 */
export const reachesAny = (bench: Bench, samples: readonly Sample[], belief: Belief, state: StandState): boolean =>
  samples.slice(0, TRIED).some((sample) => nearestOff(bench, sample, belief, state) <= NEAR)

/** What is left off at the setting of one possible brake that leaves the least. */
function nearestOff(bench: Bench, sample: Sample, { model }: Belief, { adjusters: known }: StandState): number {
  const adjusters = model.adjusters.map((_, k) => k)
  const ends = model.adjusters.map(({ id }) => ({
    low: -Math.min(FAR, known[id]?.leftDown ?? FAR),
    high: Math.min(FAR, known[id]?.leftUp ?? FAR),
  }))
  let amounts = ends.map(() => 0)
  let off = bench.squaresOff(sample, { adjusters, amounts })
  const trial = (k: number, amount: number) => {
    const move: Amounts = { adjusters, amounts: amounts.map((each, j) => (j === k ? amount : each)) }
    const then = bench.squaresOff(sample, move)
    if (then >= off) return
    off = then
    amounts = [...move.amounts]
  }
  for (let round = 0; round < ROUNDS && off > NEAR; round += 1)
    ends.forEach(({ low, high }, k) => {
      const step = ((high - low) / 2 / STEPS) * FINER ** round
      const middle = round === 0 ? (low + high) / 2 : (amounts[k] as number)
      for (let along = -STEPS; along <= STEPS; along += 1)
        trial(k, Math.min(high, Math.max(low, middle + along * step)))
    })
  return off
}
