import { describe, expect, it } from 'vitest'
import { bookDimensions, hereAt } from '../brake/dimension.ts'
import { discTwoAdjustersFamily } from '../families/disc/family.ts'
import { expectOk } from '../outcome/outcome.ts'
import { layoutFor } from './layout.ts'
import type { Happening } from './timeline.ts'
import { Walk } from './walk.ts'

const D = bookDimensions(discTwoAdjustersFamily, { rotorRunoutMm: 0.2 })
const MODEL = expectOk(discTwoAdjustersFamily.fit(D, hereAt(discTwoAdjustersFamily, 'rear')))
const at = (id: string) => MODEL.adjusters.findIndex((each) => each.id === id)
const [FIXED, CALIPER] = [at('fixedPad'), at('caliper')]

/** Inputs after these turns, every unknown at its mean but for what is given. */
function walked(turns: readonly Happening[], own: Readonly<Record<string, number>> = {}) {
  const layout = layoutFor(MODEL, turns, {})
  const theta = Float64Array.from(layout.unknowns, ({ id, mean }) => own[id] ?? mean)
  const walk = new Walk(MODEL, layout, theta)
  turns.forEach((each, index) => {
    walk.step(each, index)
  })
  walk.settle()
  const [inner = 0, outer = 0] = walk.q
  return { inner, outer, walk, layout }
}

const turned = (adjuster: number, amount: number, from?: 'ear' | 'feel'): Happening => ({
  kind: 'turn',
  adjuster,
  amount,
  ...(from && { from }),
})

describe('an adjuster that gives one input what it takes from another', () => {
  it('a caliper’s shift keeps the sum of the gaps, its creep too', () => {
    const before = walked([])
    const after = walked([turned(CALIPER, 0.3)], { 'caliper.set.0': 0.08, 'caliper.effect': 0.2 })
    expect(after.inner).not.toBeCloseTo(before.inner, 2)
    expect(after.inner + after.outer).toBeCloseTo(before.inner + before.outer, 9)
    expect(after.inner).toBeLessThan(before.inner)
  })

  it('tightened first, then contact by ear and back: what the bolts moved no longer reaches the fixed gap', () => {
    const moves = [turned(CALIPER, 0.3), turned(FIXED, -3, 'ear')]
    const [one, other] = [walked(moves, { 'caliper.set.0': 0.1 }), walked(moves, { 'caliper.set.0': -0.1 })]
    expect(one.inner).toBeCloseTo(other.inner, 9)
    // By ear half the runout, half a click less; then three clicks of a sixteenth of a millimetre.
    expect(one.inner).toBeCloseTo(0.1 - 0.03125 + 3 * 0.0625, 6)
    // The moving gap still has the creep.
    expect(one.outer - other.outer).toBeCloseTo(-0.2, 9)
  })

  it('by feel the rotor is pressed a little before a hand says it touches', () => {
    expect(walked([turned(FIXED, -3, 'feel')]).inner).toBeLessThan(walked([turned(FIXED, -3, 'ear')]).inner)
  })

  it('its slopes are those of its inputs, on both', () => {
    const moves = [turned(CALIPER, 0.3), turned(FIXED, -3, 'ear'), turned(CALIPER, -0.2)]
    const { walk, layout } = walked(moves)
    layout.unknowns.forEach(({ id, mean }, k) => {
      const step = 1e-5
      const [low, high] = [walked(moves, { [id]: mean - step }), walked(moves, { [id]: mean + step })]
      const by = (input: number) =>
        (layout.inputOf[k] === input ? (walk.slope[k] as number) : 0) +
        (layout.alsoOf[k] === input ? (walk.slopeAlso[k] as number) : 0)
      expect(by(0), id).toBeCloseTo((high.inner - low.inner) / (2 * step), 5)
      expect(by(1), id).toBeCloseTo((high.outer - low.outer) / (2 * step), 5)
    })
  })
})
