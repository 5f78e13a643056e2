import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import { outputs } from '../testing/calculate.ts'
import { CALCULATIONS, work } from './registry.ts'

describe('stop-test', () => {
  // 16 CFR 1512.5/1512.18 (US, public; from memory): 15 mph in 15 ft is 0.50 g.
  it('15 mph stopped in 15 ft is 4.92 m/s², 0.50 g', () => {
    const out = outputs('stop-test', { speedKmh: 15 * 1.609344, distanceM: 15 * 0.3048 })
    expect(out.decelerationMs2).toBeCloseTo(4.92, 2)
    expect(out.decelerationG).toBeCloseTo(0.5, 2)
  })

  // ISO 4210-4 (from memory): the corrected distance goes with the square of the speed ratio.
  it('corrects a distance to the nominal speed', () => {
    const out = outputs('stop-test', { speedKmh: 24, distanceM: 5, nominalSpeedKmh: 25 })
    expect(out.correctedDistanceM).toBeCloseTo(5 * (25 / 24) ** 2, 10)
  })

  // First-order propagation: 2 % of speed counts double, 3 % of distance once.
  it('carries the uncertainty of speed twice and of distance once', () => {
    const out = outputs('stop-test', {
      speedKmh: 25,
      distanceM: 5,
      speedUncertaintyKmh: 0.5,
      distanceUncertaintyM: 0.15,
    })
    expect((out.decelerationUncertaintyMs2 as number) / (out.decelerationMs2 as number)).toBeCloseTo(0.05, 10)
  })
})

describe('torque-from-pull', () => {
  // Exact unit arithmetic: 11 lbf at 4 in is 4.97 N·m, 50 N at 100 mm is 5.0 N·m.
  it('11 lbf at 4 in is 4.97 N·m', () => {
    expect(outputs('torque-from-pull', { forceN: 11 * 4.4482216152605, lengthMm: 101.6 }).torqueNm).toBeCloseTo(4.97, 2)
  })
  it('50 N at 100 mm is 5 N·m, and half of it at 30°', () => {
    expect(outputs('torque-from-pull', { forceN: 50, lengthMm: 100 }).torqueNm).toBeCloseTo(5, 12)
    expect(outputs('torque-from-pull', { forceN: 50, lengthMm: 100, angleDeg: 30 }).torqueNm).toBeCloseTo(2.5, 12)
  })
})

describe('cable-friction', () => {
  // Euler–Eytelwein: one radian at μ = 1 leaves 1/e.
  it('one radian at friction 1 leaves 1/e', () => {
    expect(outputs('cable-friction', { friction: 1, bendDeg: 180 / Math.PI }).efficiency).toBeCloseTo(1 / Math.E, 12)
  })
  it('two bends lose as the product of each', () => {
    const loss = (bendDeg: number) => outputs('cable-friction', { friction: 0.12, bendDeg }).efficiency as number
    expect(loss(90) * loss(45)).toBeCloseTo(loss(135), 12)
  })
})

describe('cable-stretch', () => {
  // Hooke’s law: 1 kN on 1 mm² and 1 m of 200 GPa steel is 5 mm.
  it('1 kN on 1 mm² of steel stretches a metre by 5 mm', () => {
    const inputs = { tensionN: 1000, lengthMm: 1000, areaMm2: 1, modulusGpa: 200 }
    expect(outputs('cable-stretch', inputs).stretchMm).toBeCloseTo(5, 12)
  })
})

describe('toe-shim', () => {
  // ISO/IEC 7810 ID-1: a bank card is 0.76 mm; similar triangles.
  it('a bank card under the rear edge toes the pad in by its own thickness', () => {
    const out = outputs('toe-shim', { padLengthMm: 50, shimThicknessMm: 0.76, shimFromFrontMm: 50 })
    expect(out.rearGapMm).toBeCloseTo(0.76, 12)
    expect(out.toeDeg).toBeCloseTo((0.76 / 50) * (180 / Math.PI), 3)
  })
  it('a shim half way gives twice its thickness at the rear', () => {
    const out = outputs('toe-shim', { padLengthMm: 60, shimThicknessMm: 0.25, shimFromFrontMm: 30 })
    expect(out.rearGapMm).toBeCloseTo(0.5, 12)
  })
  it('refuses a shim behind the pad’s end', () => {
    expect(work('toe-shim', { padLengthMm: 50, shimThicknessMm: 0.5, shimFromFrontMm: 60 })).toMatchObject({
      ok: false,
      error: { field: 'shimFromFrontMm' },
    })
  })
})

describe('linear-pull', () => {
  const brake = { pivotSpacingMm: 80, armMm: 105, padHeightMm: 28, padStandoffMm: 28, rimWidthMm: 24 }
  const at = (gap: number) => outputs('linear-pull', { ...brake, gapLeftMm: gap, gapRightMm: gap })

  // Reference points computed by hand for a typical brake (pivot 40 mm out, arm 105, pad 28 up and 28 in).
  it.each([
    [0, 0, 3.75],
    [0.54, 4.01, 3.68],
    [1, 7.37, 3.623],
    [2, 14.5, 3.507],
  ])('gaps of %d mm take %d mm of cable at a ratio of %d', (gap, pull, ratio) => {
    expect(at(gap).cablePullMm).toBeCloseTo(pull, 2)
    expect(at(gap).linkageRatio).toBeCloseTo(ratio, 3)
  })

  it('stands upright at contact when the pads stand in by (spacing − rim)/2', () => {
    expect(at(0).armLeftDeg).toBeCloseTo(0, 10)
    expect(at(0).padLeftHeightMm).toBeCloseTo(28, 10)
  })

  // “Each mm of wear drops the pad 1.0 mm”: read the other way, each mm of gap lifts it.
  it('lifts the pad about 1 mm for each mm of gap', () => {
    expect((at(1).padLeftHeightMm as number) - (at(0).padLeftHeightMm as number)).toBeCloseTo(1, 1)
  })

  it('leans a narrow rim’s arms inward, a wide rim’s outward', () => {
    const lean = (rimWidthMm: number) =>
      outputs('linear-pull', { ...brake, rimWidthMm, gapLeftMm: 0, gapRightMm: 0 }).armLeftDeg as number
    expect(lean(20)).toBeLessThan(0)
    expect(lean(30)).toBeGreaterThan(0)
  })

  it.each([
    [{ rimWidthMm: 90 }, 'rimWidthMm'],
    [{ gapLeftMm: -1 }, 'gapLeftMm'],
    [{ gapRightMm: 16 }, 'gapRightMm'],
    [{ padStandoffMm: -40 }, 'padStandoffMm'],
    [{ armMm: 0 }, 'armMm'],
  ])('refuses %j', (change, field) => {
    const result = work('linear-pull', { ...brake, gapLeftMm: 1, gapRightMm: 1, ...change })
    expect(result).toMatchObject({ ok: false, error: { field } })
  })
})

describe('every calculation', () => {
  it.each(CALCULATIONS.map((each) => [each.id, each] as const))(
    '%s works its own example and shows its working',
    (_, each) => {
      const worked = expectOk(each.work(each.example))
      expect(Object.keys(worked.outputs).sort()).toEqual(Object.keys(each.outputs).sort())
      expect(worked.working.length).toBeGreaterThan(0)
      expect(worked.sources.length).toBeGreaterThan(0)
      for (const { numbers } of worked.working) expect(numbers).toMatch(/\d/)
    },
  )

  it('names what is missing, unknown or no number', () => {
    expect(work('stop-test', { speedKmh: 25 })).toMatchObject({
      ok: false,
      error: { code: 'missing', field: 'distanceM' },
    })
    expect(work('stop-test', { speedKmh: 25, distanceM: 5, colour: 1 })).toMatchObject({
      error: { code: 'unknown-input', field: 'colour' },
    })
    expect(work('stop-test', { speedKmh: '25', distanceM: 5 })).toMatchObject({ error: { code: 'not-a-number' } })
    expect(work('stop-test', { speedKmh: Number.NaN, distanceM: 5 })).toMatchObject({ error: { code: 'not-a-number' } })
    expect(work('stop-test', [])).toMatchObject({ error: { code: 'not-an-object' } })
    expect(work('brake-magic', {})).toMatchObject({ error: { code: 'unknown-calculation', field: 'id' } })
  })
})
