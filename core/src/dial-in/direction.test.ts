import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import { dualPivotFamily } from '../families/dual-pivot/family.ts'
import { DEFAULT_BITE, type RimThrow, rimThrowOf } from '../families/rim/bite.ts'
import { windowsFor } from '../families/rim/windows.ts'
import { expectOk } from '../outcome/outcome.ts'
import type { EntryBody } from '../stand/entries.ts'
import { fold } from '../stand/fold.ts'
import { confirm, measured, turn, written } from '../testing/stand.ts'
import { fitFamily } from '../workshop/families.ts'
import { advise } from './advice.ts'
import { believe, isSettled, lessons } from './belief.ts'
import { outcomesOf } from './turn.ts'

const KIT = kitOf(dualPivotFamily)
const model = expectOk(fitFamily('dual-pivot', {}))
const windows = windowsFor(rimThrowOf(model) as RimThrow, DEFAULT_BITE, { lateralRunoutMm: 0.4, flexMm: 0.3 }, {})
const belief = (...bodies: readonly EntryBody[]) => believe(KIT, model, fold(KIT, model, written(...bodies)))
const advice = (...bodies: readonly EntryBody[]) => {
  const state = fold(KIT, model, written(...bodies))
  return advise(believe(KIT, model, state), state, windows)
}
const OFF = measured(2.4, 0.8, 16)
const half = [turn('centringScrew', 0.5), confirm('squeezes', 10)]

// Trade: on a dual-pivot the centring screw's direction differs by design; probe a quarter turn and see.
describe('a screw that may work either way', () => {
  it('is as likely the one as the other before it was turned', () => {
    const before = belief(...OFF)
    expect(before.weight).toBeCloseTo(0.5, 2)
    expect(before.rivals).toHaveLength(1)
    expect(isSettled(before)).toBe(false)
  })

  it('is probed, by half a turn at most, and said so', () => {
    const next = advice(...OFF)
    expect(next.kind).toBe('turn')
    const probe = next.kind === 'turn' ? next.turn : undefined
    expect(probe?.probes).toBe('centringScrew')
    const amount = probe?.moves.find((move) => move.adjuster === 'centringScrew')?.amount ?? 0
    expect(Math.abs(amount)).toBeGreaterThanOrEqual(0.25)
    expect(Math.abs(amount)).toBeLessThanOrEqual(0.5)
    expect(probe?.chance).toBeLessThan(0.7)
    // One gap gains what the other loses: the two outcomes lie either side of the mean, and neither is the mean.
    const [low = Number.NaN, high = Number.NaN] = probe ? outcomesOf(probe, 'gapLeft') : []
    const mean = probe?.expected.find((each) => each.reading === 'gapLeft')?.value ?? Number.NaN
    expect(high - low).toBeGreaterThan(0.3)
    expect(mean).toBeGreaterThan(low)
    expect(mean).toBeLessThan(high)
  })

  it.each([
    ['as the book', measured(1.6, 1.6, 18), -1],
    ['the other way', measured(3.2, 0.1, 13), 1],
  ] as const)('one turn shows it: %s', (_, after, sign) => {
    const shown = belief(...OFF, ...half, ...after)
    expect(isSettled(shown)).toBe(true)
    expect(Math.sign(shown.model.adjusters.find((each) => each.id === 'centringScrew')?.book ?? 0)).toBe(sign)
    const learnt = lessons(shown)
    expect(learnt['centringScrew.direction']?.mean).toBe(sign)
    const again = believe(KIT, model, fold(KIT, model, written(...OFF)), learnt)
    expect(isSettled(again)).toBe(true)
  })

  it('once known, goes all the way back in one turn', () => {
    const next = advice(...OFF, ...half, ...measured(3.2, 0.1, 13))
    expect(next.kind).toBe('turn')
    if (next.kind !== 'turn') return
    expect(next.turn.probes).toBeUndefined()
    expect(outcomesOf(next.turn, 'gapLeft')).toHaveLength(1)
    const amount = next.turn.moves.find((move) => move.adjuster === 'centringScrew')?.amount ?? 0
    expect(amount).toBeLessThan(-0.5)
  })
})
