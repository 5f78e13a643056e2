import { describe, expect, it } from 'vitest'
import { bookDimensions, hereAt } from '../../brake/dimension.ts'
import type { RouteSegment } from '../../brake/route.ts'
import { cantileverFamily } from '../../families/cantilever/family.ts'
import { centrePullFamily } from '../../families/centre-pull/family.ts'
import { expectOk } from '../../outcome/outcome.ts'
import { fault, outputs } from '../../testing/calculate.ts'
import { DIMENSIONS } from '../../testing/stand.ts'
import { routeOf } from './route.ts'
import { hasStraddle, straddleAt, straddleCurve, straddleFor, yokeFor } from './straddle.ts'

const WAY: readonly RouteSegment[] = [
  { kind: 'housing', lengthMm: 420, bendDeg: 110, radiusMm: 90, from: 'barrel', to: 'ferrule' },
  { kind: 'bare', lengthMm: 600 },
  { kind: 'housing', lengthMm: 260, bendDeg: 120, radiusMm: 70, from: 'ferrule', to: 'bare' },
]

const FRONT = hereAt(cantileverFamily, 'front')

describe('a cable along its route', () => {
  it('is cut once: every piece with its ends, the inner with its allowance', () => {
    const route = expectOk(routeOf(WAY, DIMENSIONS, 164))
    expect(route.innerMm).toBe(420 + 600 + 260 + 120)
    expect(route.cuts).toEqual([
      'Housing 1: 420 mm, into the barrel to ferrule',
      'Housing 2: 260 mm, ferrule to bare end',
      'Inner: 1400 mm, 120 mm of it beyond anchor and head; cap the end',
    ])
    expect(route.warnings).toEqual([])
  })

  // Euler–Eytelwein: 230° at μ 0.1 leaves e^(−0.401).
  it('loses over its bends what the belt equation says, more when gritty', () => {
    const { efficiencyNew, efficiencyGritty, bendDeg } = expectOk(routeOf(WAY, DIMENSIONS, 164))
    expect(bendDeg).toBe(230)
    expect(efficiencyNew).toBeCloseTo(Math.exp((-0.1 * 230 * Math.PI) / 180), 9)
    expect(efficiencyGritty).toBeCloseTo(Math.exp((-0.25 * 230 * Math.PI) / 180), 9)
  })

  // Hooke, by hand: 164 N × 1280 mm / (130 000 N/mm² × 1.2 mm²) = 1.346 mm.
  it('stretches by Hooke’s law and tells it as finger travel', () => {
    const { stretchMm, compressionMm, fingerMm } = expectOk(routeOf(WAY, DIMENSIONS, 164))
    expect(stretchMm).toBeCloseTo(1.3456, 3)
    expect(compressionMm).toBeCloseTo(0.005 * 0.68 * 164, 9)
    expect(fingerMm).toBeCloseTo(2.5 * (stretchMm + compressionMm), 9)
  })

  it('warns of a tight bend and refuses housing shorter than its own', () => {
    const tight = expectOk(routeOf([{ kind: 'housing', lengthMm: 200, bendDeg: 90, radiusMm: 40 }], DIMENSIONS, 164))
    expect(tight.warnings[0]).toContain('bends at 40 mm')
    expect(routeOf([{ kind: 'housing', lengthMm: 100, bendDeg: 120, radiusMm: 70 }], DIMENSIONS, 164)).toMatchObject({
      ok: false,
      error: { code: 'too-short', field: 'segments.0.lengthMm', message: expect.stringContaining('at least 147 mm') },
    })
    expect(
      fault('cable-route', {
        housingMm: [100],
        bareMm: [],
        bendDeg: [],
        allowanceMm: 0,
        tensionN: 1,
        areaMm2: 1,
        modulusGpa: 130,
      }),
    ).toMatchObject({ field: 'bendDeg' })
    expect(outputs('bend-space', { bendDeg: 180, radiusMm: 100 }).leastMm).toBeCloseTo(100 * Math.PI, 9)
  })
})

describe('the straddle planner', () => {
  const d = bookDimensions(cantileverFamily, {}, 'front')

  it('is for brakes that have one', () => {
    expect(hasStraddle(cantileverFamily)).toBe(true)
    expect(hasStraddle(centrePullFamily)).toBe(true)
  })

  it('length and yoke height are two words for one thing', () => {
    for (const yoke of [20, 47.5, 120]) expect(yokeFor(d, straddleFor(d, yoke))).toBeCloseTo(yoke, 9)
    expect(yokeFor(d, 100)).toBeUndefined()
  })

  // The trade: the lower the yoke, the more leverage and the more lever travel.
  it('lowering the yoke gives leverage and takes travel', () => {
    const curve = straddleCurve(cantileverFamily, d, FRONT, 1.5)
    for (let k = 1; k < curve.length; k += 1) {
      expect(curve[k]?.linkageRatio).toBeLessThan(curve[k - 1]?.linkageRatio ?? 0)
      expect(curve[k]?.travelMm).toBeLessThan(curve[k - 1]?.travelMm ?? 0)
      expect(curve[k]?.handForceN).toBeGreaterThan(curve[k - 1]?.handForceN ?? 0)
    }
    expect(curve.some((point) => point.usable)).toBe(true)
    expect(curve.some((point) => !point.usable)).toBe(true)
  })

  it('has the closed form’s ratio near contact', () => {
    const point = straddleAt(cantileverFamily, { ...d }, FRONT, 1.5, 60)
    const closed = outputs('cantilever', {
      pivotSpacingMm: d.pivotSpacingMm,
      cablePoint: [-(d.cableOutMm ?? 0), d.cableUpMm],
      padFace: [((d.pivotSpacingMm ?? 0) - (d.rimWidthMm ?? 0)) / 2, d.padHeightMm],
      straddleLengthMm: point?.straddleMm,
    })
    expect(closed.yokeHeightMm).toBeCloseTo(60, 6)
    expect(Math.abs((point?.linkageRatio ?? 0) / closed.linkageRatio - 1)).toBeLessThan(0.15)
  })
})
