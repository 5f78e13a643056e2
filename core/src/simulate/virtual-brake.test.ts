import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import { bookDimensions } from '../brake/dimension.ts'
import { linearPullFamily } from '../families/linear-pull/family.ts'
import type { EntryBody } from '../stand/entries.ts'
import { confirm, DIMENSIONS, HERE, turn, written } from '../testing/stand.ts'
import { VIRTUAL } from './families.ts'
import { practiceGauge } from './practice.ts'
import { seededRandom } from './random.ts'
import { virtualBrake } from './virtual-brake.ts'

const SPEC = (VIRTUAL['linear-pull'] as NonNullable<(typeof VIRTUAL)[string]>)(DIMENSIONS, HERE)
const brake = (seed: number) => virtualBrake(SPEC, DIMENSIONS, seed)
const SEEDS = Array.from({ length: 60 }, (_, index) => 1000 + index * 17)

describe('seeded random numbers', () => {
  // Textbook moments of the uniform and the normal distribution.
  it('are uniform and normal', () => {
    const random = seededRandom(5)
    const uniform = Array.from({ length: 20_000 }, () => random.uniform(0, 1))
    const normal = Array.from({ length: 20_000 }, () => random.normal(2))
    const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length
    expect(mean(uniform)).toBeCloseTo(0.5, 1)
    expect(mean(uniform.map((each) => (each - 0.5) ** 2))).toBeCloseTo(1 / 12, 2)
    expect(Math.abs(mean(normal))).toBeLessThan(0.06)
    expect(Math.abs(mean(normal.map((each) => each ** 2)) - 4)).toBeLessThan(0.2)
  })
  it('come back with their seed', () => {
    const draw = (seed: number) => Array.from({ length: 5 }, () => seededRandom(seed).uniform(0, 1))
    expect(draw(3)).toEqual(draw(3))
    expect(draw(3)).not.toEqual(draw(4))
  })
})

describe('a virtual brake', () => {
  // Fact of the trade: a screw turned in strengthens its spring and draws that pad away.
  it('draws a pad away with its own screw turned in, on every brake', () => {
    for (const seed of SEEDS) {
      const one = brake(seed)
      one.squeeze(60)
      const before = one.truth()
      const { turned } = one.turn('leftScrew', 1)
      one.squeeze(60)
      if (turned < 0.6) continue
      expect(one.truth().gapLeft).toBeGreaterThanOrEqual(before.gapLeft - 0.01)
      expect(one.truth().gapRight).toBeLessThanOrEqual(before.gapRight + 0.01)
    }
  })

  it('stops a screw at its end and says so', () => {
    const one = brake(7)
    const first = one.turn('rightScrew', 20)
    expect(first.endReached).toBe(true)
    expect(first.turned).toBeLessThan(6)
    expect(one.turn('rightScrew', 1)).toEqual({ turned: 0, endReached: true })
    expect(one.turn('rightScrew', -1)).toEqual({ turned: -1, endReached: false })
  })

  it('shows a screw’s full effect only after squeezes', () => {
    let waited = 0
    for (const seed of SEEDS) {
      const one = brake(seed)
      one.squeeze(80)
      const start = one.truth()
      one.turn('leftScrew', 1)
      const at = one.truth()
      one.squeeze(80)
      const end = one.truth()
      const moved = (to: typeof start) => to.gapLeft - start.gapLeft - (to.gapRight - start.gapRight)
      if (moved(end) > 0.3 && Math.min(end.gapLeft, end.gapRight, start.gapLeft, start.gapRight) > 0) {
        expect(moved(at)).toBeLessThan(moved(end))
        waited += 1
      }
    }
    expect(waited).toBeGreaterThan(10)
  })

  it('beds in: gaps grow with squeezes, by no more than the cable can give', () => {
    for (const seed of SEEDS) {
      const one = brake(seed)
      const sum = () => one.truth().gapLeft + one.truth().gapRight
      const before = sum()
      one.squeeze(500)
      expect(sum()).toBeGreaterThanOrEqual(before - 1e-9)
      expect(sum() - before).toBeLessThan(1.2 / 2)
    }
  })

  it('has play: a small turn back does nothing', () => {
    for (const seed of SEEDS.slice(0, 20)) {
      const one = brake(seed)
      one.turn('leftScrew', 0.75)
      one.squeeze(100)
      const before = one.truth()
      one.turn('leftScrew', -0.05)
      expect(one.truth()).toEqual(before)
    }
  })

  it('answers differently from brake to brake', () => {
    const effects = SEEDS.map((seed) => {
      const one = brake(seed)
      one.turn('leftScrew', 0.5)
      one.squeeze(100)
      const before = one.truth()
      one.turn('leftScrew', 0.5)
      one.squeeze(100)
      return one.truth().gapLeft - before.gapLeft
    }).filter((each) => each > 0.02)
    const mean = effects.reduce((sum, each) => sum + each, 0) / effects.length
    const sd = Math.sqrt(effects.reduce((sum, each) => sum + (each - mean) ** 2, 0) / effects.length)
    expect(sd / mean).toBeGreaterThan(0.25)
  })

  it('refuses an adjuster it does not have', () => {
    expect(() => brake(1).turn('nose', 1)).toThrow('nose')
  })
})

describe('the gauge', () => {
  it('is noisy by its own scatter, rounds, and now and then is misread by a millimetre', () => {
    let misread = 0
    const errors: number[] = []
    const rounds = 4000
    const one = brake(SEEDS.find((seed) => brake(seed).truth().gapRight > 0.8) as number)
    for (let round = 0; round < rounds; round += 1) {
      const { shown, misread: wrong } = one.gauge()
      expect(Math.abs(shown.gapRight * 10 - Math.round(shown.gapRight * 10))).toBeLessThan(1e-9)
      expect(Number.isInteger(shown.biteTravel)).toBe(true)
      if (wrong.gapRight !== undefined) misread += 1
      else errors.push(shown.gapRight - one.truth().gapRight)
    }
    const sd = Math.sqrt(errors.reduce((sum, each) => sum + each * each, 0) / errors.length)
    expect(sd).toBeGreaterThan(0.08)
    expect(sd).toBeLessThan(0.14)
    expect(misread / rounds).toBeGreaterThan(0.02)
    expect(misread / rounds).toBeLessThan(0.04)
  })
})

describe('the practice gauge', () => {
  const KIT = kitOf(linearPullFamily)
  const dimensions = bookDimensions(linearPullFamily, { rimWidthMm: 24 })
  const shown = (seed: number, ...bodies: readonly EntryBody[]) =>
    practiceGauge(KIT, seed, dimensions, HERE, written(...bodies))

  it('shows the same for the same log, on every screen', () => {
    expect(shown(267)).toEqual(shown(267))
    expect(shown(267, turn('leftScrew', 1))).toEqual(shown(267, turn('leftScrew', 1)))
  })

  it('follows the log: the screw turned shows at the pad', () => {
    const before = shown(267)
    const after = shown(267, turn('leftScrew', 2), confirm('squeezes', 10))
    expect(Number(after?.gapLeft)).toBeGreaterThan(Number(before?.gapLeft))
  })

  it('remembers what an earlier job did to its brake', () => {
    const gauge = (now: readonly EntryBody[], earlier: readonly EntryBody[] = []) =>
      practiceGauge(KIT, 267, dimensions, HERE, written(...now), written(...earlier))
    const done = [turn('leftScrew', 2), confirm('squeezes', 10)]
    expect(gauge([], done)).toEqual(gauge(done))
    expect(Number(gauge([], done)?.gapLeft)).toBeGreaterThan(Number(gauge([])?.gapLeft))
  })

  it('reads everything the wheel and the lever have, and knows no other family', () => {
    expect(Object.keys(shown(267) ?? {})).toEqual(
      expect.arrayContaining([
        'gapLeft',
        'gapRight',
        'biteTravel',
        'reserve',
        'firstTouch',
        'lateralRunout',
        'radialRunout',
        'wheelOffset',
        'leverReach',
      ]),
    )
    expect(practiceGauge({ ...KIT, family: { ...KIT.family, id: 'none' } }, 1, dimensions, HERE, [])).toBeUndefined()
  })
})
