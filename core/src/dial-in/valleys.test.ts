import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import { contestOf } from '../passes/contest.ts'
import { bookBicycle } from '../passes/fleet.ts'
import { judged } from '../passes/trial.ts'
import { fold } from '../stand/fold.ts'
import { FAMILIES } from '../workshop/families.ts'
import { type Belief, believe } from './belief.ts'
import { linearise } from './likelihood.ts'

/** What a log costs at a guess: minus its log-likelihood, the prior in it. */
const costAt = ({ model, layout, happenings }: Belief, theta: Float64Array) =>
  linearise(model, layout, happenings, theta, { y: new Float64Array(model.readings.length), slopes: [] }).at

/** Less than this is the same valley, a little up its side: e^1.5 is no evidence (Jeffreys, from memory). */
const SAME_VALLEY = 1.5

describe.each(FAMILIES.map((family) => [family.id, family] as const))('a log of a %s brake', (_, family) => {
  // By definition of a likeliest reading: what was believed before is still to be had after one more look.
  it('is never read worse after one more look than as it was believed before', () => {
    const bicycle = bookBicycle(family)
    const kit = kitOf(family)
    const { draw, habit, book } = contestOf(bicycle)
    for (let seed = 1; seed <= 9; seed += 1) {
      const { log } = judged(bicycle, draw(seed, 'usual'), seed % 2 ? habit : book)
      const looks = log.flatMap((entry, index) => (entry.kind === 'reading' && index > 6 ? [index] : []))
      for (const index of looks.slice(0, 8)) {
        const [before, after] = [index, index + 1].map((end) =>
          believe(kit, bicycle.model, fold(kit, bicycle.model, log.slice(0, end))),
        ) as [Belief, Belief]
        const alike = before.model.adjusters.every(({ book: way }, k) => way === after.model.adjusters[k]?.book)
        if (!alike || before.layout.unknowns.length !== after.layout.unknowns.length) continue
        expect(costAt(after, after.mean), `brake ${seed}, entry ${index}`).toBeLessThan(
          costAt(after, before.mean) + SAME_VALLEY,
        )
      }
    }
  })
})
