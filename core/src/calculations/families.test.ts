import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cablePull, gapAt, type Linkage, linkageRatio, padAt } from '../mechanics/linkage.ts'
import { bandCrossings, fitLine } from '../mechanics/regression.ts'
import { expectOk } from '../outcome/outcome.ts'
import { fault, outputs } from '../testing/calculate.ts'
import { work } from './registry.ts'

const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('cantilever', () => {
  const brake = { pivotSpacingMm: 80, cablePoint: [-20, 40], padFace: [28, 28], straddleLengthMm: 170 }

  // Independent check: the general arm-and-tie linkage, turned a little, by virtual work.
  it('agrees with the general linkage turned a little', () => {
    fc.assert(
      fc.property(
        mm(60, 90),
        mm(-35, 0),
        mm(25, 60),
        mm(20, 40),
        mm(1.02, 1.6),
        (pivotSpacingMm, cx, cy, fy, longer) => {
          const half = pivotSpacingMm / 2 - cx
          const straddleLengthMm = 2 * half * longer
          const out = outputs('cantilever', {
            pivotSpacingMm,
            cablePoint: [cx, cy],
            padFace: [28, fy],
            straddleLengthMm,
          })
          const arm = (side: -1 | 1) => ({
            pivot: [(side * pivotSpacingMm) / 2, 0] as const,
            padFace: [(side * pivotSpacingMm) / 2 - side * 28, fy] as const,
            cable: [(side * pivotSpacingMm) / 2 - side * cx, cy] as const,
            opens: (side === -1 ? 1 : -1) as 1 | -1,
          })
          const linkage: Linkage = {
            left: arm(-1),
            right: arm(1),
            tie: { kind: 'straddle', lengthMm: straddleLengthMm },
          }
          const step = 1e-5
          const pull =
            cablePull(linkage, { left: step, right: step }) - cablePull(linkage, { left: -step, right: -step })
          const gaps = 2 * (gapAt(linkage.left, step) - gapAt(linkage.left, -step))
          expect(out.linkageRatio / (pull / gaps)).toBeCloseTo(1, 4)
          expect(linkageRatio(linkage, { left: 0, right: 0 }).mean).toBeCloseTo(out.linkageRatio, 9)
        },
      ),
    )
  })

  // Fact of the trade: a lower yoke (shorter straddle, flatter cable) gives more pull.
  it('a flatter straddle gives a higher ratio', () => {
    const at = (straddleLengthMm: number) => outputs('cantilever', { ...brake, straddleLengthMm }).linkageRatio
    expect(at(130)).toBeGreaterThan(at(150))
    expect(at(150)).toBeGreaterThan(at(200))
    expect(outputs('cantilever', { ...brake, straddleLengthMm: 120 * Math.SQRT2 }).straddleAngleDeg).toBeCloseTo(45, 9)
  })

  it('refuses a straddle shorter than the span, and points that cannot brake', () => {
    expect(fault('cantilever', { ...brake, straddleLengthMm: 119 })).toMatchObject({
      field: 'straddleLengthMm',
      message: expect.stringContaining('120'),
    })
    expect(fault('cantilever', { ...brake, padFace: [28, -3] })).toMatchObject({ field: 'padFace' })
    expect(fault('cantilever', { ...brake, cablePoint: [41, 40] })).toMatchObject({ field: 'cablePoint' })
  })
})

describe('caliper', () => {
  const single = {
    pivotLeft: [0, 0],
    pivotRight: [0, 0],
    padFaceLeft: [-12, -50],
    padFaceRight: [12, -50],
    cableLeft: [45, -20],
    cableRight: [45, 20],
    gapLeftMm: 1.5,
    gapRightMm: 1.5,
  }

  // Worked by hand at contact: both arms turn about the bolt, cable lever 45 mm, pad lever 50 mm: κ = 45/50 for each pad.
  it('a single pivot with a 45 mm cable lever and a 50 mm pad lever has a ratio of 0.9 at contact', () => {
    const out = outputs('caliper', { ...single, gapLeftMm: 0, gapRightMm: 0 })
    expect(out.linkageRatio).toBeCloseTo(0.9, 9)
    expect(out.cablePullMm).toBeCloseTo(0, 9)
  })

  it('pulls about the ratio times both gaps', () => {
    const out = outputs('caliper', single)
    expect(out.cablePullMm / 3).toBeCloseTo(0.9, 1)
  })

  // By virtual work: where the ratio is negative the pads open as the lever is pulled.
  it('a tie that turns back on the way is refused; whatever is answered pulls the pads on', () => {
    const turns = {
      pivotLeft: [22, 6],
      pivotRight: [-14, 5],
      padFaceLeft: [-19, -39],
      padFaceRight: [8, -53],
      cableLeft: [6, -35],
      cableRight: [14, 43],
      gapLeftMm: 3,
      gapRightMm: 12,
    }
    expect(fault('caliper', turns)).toMatchObject({ code: 'impossible-geometry', field: 'cableLeft' })
    const place = (low: number, high: number) => fc.integer({ min: low, max: high })
    const at = fc.tuple(place(-60, 60), place(-60, 60))
    fc.assert(
      fc.property(at, at, at, at, place(0, 15), place(0, 15), (...drawn) => {
        const [pivotLeft, pivotRight, cableLeft, cableRight, gapLeftMm, gapRightMm] = drawn
        const worked = work('caliper', {
          ...single,
          pivotLeft,
          pivotRight,
          cableLeft,
          cableRight,
          gapLeftMm,
          gapRightMm,
        })
        if (!worked.ok) return
        const { linkageRatio: ratio, cablePullMm } = worked.value.outputs as Record<string, number>
        expect(ratio).toBeGreaterThan(0)
        expect(cablePullMm).toBeGreaterThanOrEqual(0)
      }),
      { numRuns: 1000 },
    )
  })

  it('its ratio is the numerical derivative of its pull, at any state of any geometry that brakes', () => {
    fc.assert(
      fc.property(
        mm(-15, 15),
        mm(20, 60),
        mm(35, 70),
        mm(30, 60),
        mm(0.2, 3),
        mm(0.2, 3),
        (bolt, across, reach, cable, gapLeftMm, gapRightMm) => {
          const geometry = {
            ...single,
            pivotLeft: [bolt, 0],
            padFaceLeft: [-12, -reach],
            padFaceRight: [12, -reach],
            cableLeft: [across, -cable / 2],
            cableRight: [across, cable / 2],
          }
          const at = (left: number, right: number) =>
            work('caliper', { ...geometry, gapLeftMm: left, gapRightMm: right })
          const here = at(gapLeftMm, gapRightMm)
          fc.pre(here.ok)
          const pull = (left: number, right: number) =>
            (expectOk(at(left, right)).outputs as { cablePullMm: number }).cablePullMm
          const step = 1e-4
          const left = (pull(gapLeftMm + step, gapRightMm) - pull(gapLeftMm - step, gapRightMm)) / (2 * step)
          const right = (pull(gapLeftMm, gapRightMm + step) - pull(gapLeftMm, gapRightMm - step)) / (2 * step)
          expect((expectOk(here).outputs as { linkageRatio: number }).linkageRatio).toBeCloseTo((left + right) / 2, 3)
        },
      ),
    )
  })

  it('refuses cable points given to the wrong arms, and pads on the wrong side', () => {
    expect(fault('caliper', { ...single, cableLeft: [45, 20], cableRight: [45, -20] })).toMatchObject({
      code: 'impossible-geometry',
      field: 'cableLeft',
    })
    expect(fault('caliper', { ...single, padFaceLeft: [12, -50] })).toMatchObject({ field: 'padFaceLeft' })
  })
})

describe('disc-caliper', () => {
  it('an arm of 30 mm and a lead of 3 mm/rad pulls ten times the gaps', () => {
    const out = outputs('disc-caliper', { armMm: 30, leadMmPerRad: 3, gapMovingMm: 0.4, gapFixedMm: 0.2 })
    expect(out.linkageRatio).toBe(10)
    expect(out.cablePullMm).toBeCloseTo(6, 9)
    expect(out.rubs).toBe(false)
  })
  it('rubs when half the runout exceeds the smaller gap', () => {
    const at = (runoutMm: number) =>
      outputs('disc-caliper', { armMm: 30, leadMmPerRad: 3, gapMovingMm: 0.4, gapFixedMm: 0.2, runoutMm }).rubs
    expect([at(0.39), at(0.4), at(0.41)]).toEqual([false, false, true])
  })
})

describe('drum-torque', () => {
  const drum = {
    drumRadiusMm: 150,
    faceWidthMm: 32,
    friction: 0.32,
    pivotRadiusMm: 122.7,
    leverArmMm: 212,
    startDeg: 0,
    endDeg: 126,
    maxPressureKpa: 1000,
  }

  // Shigley, Mechanical Engineering Design, internal expanding rim brake example (from memory).
  it('is the handbook’s worked example', () => {
    const out = outputs('drum-torque', drum)
    expect(out.actuatingForceN / 1000).toBeCloseTo(2.28, 2)
    expect(out.leadingTorqueNm).toBeCloseTo(366, 0)
    expect(out.trailingPressureKpa).toBeCloseTo(443, 0)
    expect(out.trailingTorqueNm).toBeCloseTo(162, 0)
    expect(out.totalTorqueNm).toBeCloseTo(528, 0)
  })

  it('goes with the pressure, and the leading shoe always does more than the trailing', () => {
    fc.assert(
      fc.property(mm(0.1, 0.45), mm(60, 126), mm(100, 3000), (friction, endDeg, maxPressureKpa) => {
        const out = outputs('drum-torque', { ...drum, friction, endDeg, maxPressureKpa })
        expect(out.leadingTorqueNm).toBeGreaterThan(out.trailingTorqueNm)
        const twice = outputs('drum-torque', { ...drum, friction, endDeg, maxPressureKpa: 2 * maxPressureKpa })
        expect(twice.totalTorqueNm / out.totalTorqueNm).toBeCloseTo(2, 9)
        expect(twice.trailingPressureKpa / out.trailingPressureKpa).toBeCloseTo(2, 9)
      }),
    )
  })

  // Worked by hand: 0.32 × 1 MPa × 32 × 150² × (cos 110° − cos 150°)/sin 110° = 128.5 N·m; the peak is where the lining begins.
  it('a lining that begins beyond the square is pressed hardest where it begins', () => {
    expect(outputs('drum-torque', { ...drum, startDeg: 110, endDeg: 150 }).leadingTorqueNm).toBeCloseTo(128.48, 1)
  })

  it('refuses a shoe that would lock by itself and a lining that ends before it begins', () => {
    expect(fault('drum-torque', { ...drum, friction: 1.2 })).toMatchObject({ code: 'self-locking', field: 'friction' })
    expect(fault('drum-torque', { ...drum, startDeg: 130 })).toMatchObject({ field: 'endDeg' })
  })
})

describe('lever-shift', () => {
  const hand = {
    handOffsetMm: 10,
    handBreadthMm: 85,
    fingerBreadthMm: 20,
    clampMm: 150,
    clampToHookMm: 90,
    clampToTipMm: 110,
    reachMm: 60,
  }

  // Worked by hand: index at 10 + 85 − 10 = 85; hook at 150 − 90 = 60; blade’s end at 40, outboard of the finger’s edge at 75.
  it('moves the hook under the index finger', () => {
    expect(outputs('lever-shift', hand)).toEqual({ shiftInboardMm: 25, knuckleClash: true, usableTravelMm: 40 })
  })
  // Definition: a clash where the blade’s outer end lies outboard of the index finger’s outer edge, here 75 mm; level is none.
  it('clashes from where the blade ends outboard of the finger’s edge', () => {
    const clash = (clampMm: number) => outputs('lever-shift', { ...hand, clampMm }).knuckleClash
    expect([clash(184.9), clash(185), clash(185.1)]).toEqual([true, false, false])
  })
  it('a lever far enough inboard traps nothing and leaves its whole travel', () => {
    expect(outputs('lever-shift', { ...hand, clampMm: 190 })).toEqual({
      shiftInboardMm: -15,
      knuckleClash: false,
      usableTravelMm: 60,
    })
  })
})

describe('wear-forecast', () => {
  // NIST StRD, Norris: certified slope, intercept and residual standard deviation.
  const NORRIS =
    `0.1 0.2; 338.8 337.4; 118.1 118.2; 888.0 884.6; 9.2 10.1; 228.1 226.5; 668.5 666.3; 998.5 996.3; 449.1 448.6; 778.9 777.0;
    559.2 558.2; 0.3 0.4; 0.1 0.6; 778.1 775.5; 668.8 666.9; 339.3 338.0; 448.9 447.5; 10.8 11.6; 557.7 556.0; 228.3 228.1; 998.0 995.8; 888.8 887.6;
    119.6 120.2; 0.3 0.3; 0.6 0.3; 557.6 556.8; 339.3 339.1; 888.0 887.2; 998.5 999.0; 778.9 779.0; 10.2 11.1; 117.6 118.3; 228.9 229.2; 668.4 669.1;
    449.2 448.9; 0.2 0.5`
      .split(';')
      .map((pair) => pair.trim().split(/\s+/).map(Number) as [number, number])

  it('fits Norris as certified by NIST', () => {
    const out = outputs('wear-forecast', { x: NORRIS.map(([, x]) => x), y: NORRIS.map(([y]) => y), limit: 500 })
    expect(NORRIS).toHaveLength(36)
    expect(out.slope).toBeCloseTo(1.00211681802045, 11)
    expect(out.intercept).toBeCloseTo(-0.262323073774029, 9)
    expect(out.residualSd).toBeCloseTo(0.884796396144373, 10)
    expect(out.crossing).toBeCloseTo((500 + 0.262323073774029) / 1.00211681802045, 6)
  })

  // Student’s t table (textbook): t(0.95; 3) = 2.353.
  it('its band meets the limit where y ± t·s·√(1 + 1/n + …) does', () => {
    const x = [0, 30, 60, 95, 120]
    const y = [4, 3.7, 3.2, 2.9, 2.6]
    const out = outputs('wear-forecast', { x, y, limit: 1.5 })
    const line = fitLine(x, y)
    const edge = (at: number, sign: number) =>
      line.intercept +
      line.slope * at +
      sign * 2.353 * line.residualSd * Math.sqrt(1 + 1 / 5 + (at - line.meanX) ** 2 / line.spreadX)
    expect(edge(out.crossingEarliest, -1)).toBeCloseTo(1.5, 3)
    expect(edge(out.crossingLatest, 1)).toBeCloseTo(1.5, 3)
    expect(out.crossingEarliest).toBeLessThan(out.crossing)
    expect(out.crossingLatest).toBeGreaterThan(out.crossing)
  })

  it('more confidence is a wider band; readings that hardly wear never surely meet the limit', () => {
    const x = [0, 30, 60, 95, 120]
    const y = [4, 3.7, 3.2, 2.9, 2.6]
    const wide = outputs('wear-forecast', { x, y, limit: 1.5, confidence: 0.99 })
    const narrow = outputs('wear-forecast', { x, y, limit: 1.5, confidence: 0.5 })
    expect(wide.crossingEarliest).toBeLessThan(narrow.crossingEarliest)
    expect(wide.crossingLatest).toBeGreaterThan(narrow.crossingLatest)
    const hardly = outputs('wear-forecast', { x: [0, 10, 20, 30], y: [4, 4.2, 3.7, 3.95], limit: 1.5 })
    expect(hardly.crossingLatest).toBeNull()
    expect(hardly.crossingEarliest).toBeGreaterThan(30)
    expect(outputs('wear-forecast', { x: [0, 10, 20], y: [2, 2, 2], limit: 1.5 })).toMatchObject({
      crossing: null,
      crossingEarliest: null,
      crossingLatest: null,
    })
  })

  it('a perfect line has no doubt', () => {
    const { crossing, earliest, latest } = bandCrossings(fitLine([0, 1, 2], [3, 2, 1]), 0, 2)
    expect([crossing, earliest, latest]).toEqual([3, 3, 3])
  })

  it.each([
    [{ x: [1, 2], y: [1, 2], limit: 0 }, 'x'],
    [{ x: [1, 2, 3], y: [1, 2], limit: 0 }, 'y'],
    [{ x: [2, 2, 2], y: [1, 2, 3], limit: 0 }, 'x'],
    [{ x: [1, 2, 3], y: [1, 2, 3], limit: 0, confidence: 1 }, 'confidence'],
  ])('refuses %j', (inputs, field) => {
    expect(fault('wear-forecast', inputs)).toMatchObject({ code: 'out-of-range', field })
  })
})

describe('a drawn arm', () => {
  it('keeps its pad at the distance it has from its pivot, however far it turns', () => {
    const arm = { pivot: [3, 4], padFace: [-12, -50], cable: [45, -20], opens: -1 } as const
    const span = (open: number) => Math.hypot(padAt(arm, open)[0] - 3, padAt(arm, open)[1] - 4)
    expect(span(0.4)).toBeCloseTo(span(0), 12)
  })
})
