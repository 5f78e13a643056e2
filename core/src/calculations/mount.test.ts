import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BEAD_SEATS_MM } from '../reference/wheel-sizes.ts'
import { fault, outputs } from '../testing/calculate.ts'

const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('reach-change', () => {
  // ISO 5775-1: 630 to 622 is 8 mm less in diameter; a caliper must reach 4 mm further.
  it('630 to 622 reaches 4 mm further down, and on bosses sits 4 mm nearer', () => {
    expect(outputs('reach-change', { fromBsdMm: 630, toBsdMm: 622 }).reachChangeMm).toBe(4)
    expect(outputs('reach-change', { fromBsdMm: 630, toBsdMm: 622, mount: 'boss' }).reachChangeMm).toBe(-4)
  })

  it('there and back is nothing, for every pair of sizes there are', () => {
    for (const from of BEAD_SEATS_MM)
      for (const to of BEAD_SEATS_MM) {
        const change = (a: number, b: number) =>
          outputs('reach-change', { fromBsdMm: a, toBsdMm: b }).reachChangeMm as number
        expect(change(from, to) + change(to, from)).toBe(0)
      }
  })

  it('offers the nearest where there is no such size', () => {
    expect(fault('reach-change', { fromBsdMm: 700, toBsdMm: 622 })).toMatchObject({
      code: 'unknown-bead-seat',
      field: 'fromBsdMm',
      message: expect.stringContaining('635'),
    })
    expect(fault('reach-change', { fromBsdMm: 622, toBsdMm: 560 })?.message).toContain('559')
  })
})

describe('reach-fit', () => {
  // From memory: common caliper reaches 39–49, 47–57, 55–73 mm.
  it('52 mm stands in the middle of a 47–57 caliper and outside a 39–49 one', () => {
    expect(outputs('reach-fit', { reachNeededMm: 52, slotMinMm: 47, slotMaxMm: 57 })).toEqual({
      fits: true,
      slotPosition: 0.5,
      marginMm: 5,
    })
    const short = outputs('reach-fit', { reachNeededMm: 52, slotMinMm: 39, slotMaxMm: 49 })
    expect(short).toMatchObject({ fits: false, marginMm: -3 })
    expect(short.slotPosition).toBeCloseTo(1.3, 12)
  })

  it('fits exactly when the margin is not negative, and the ends themselves fit', () => {
    fc.assert(
      fc.property(mm(20, 90), (reachNeededMm) => {
        const { fits, marginMm, slotPosition } = outputs('reach-fit', { reachNeededMm, slotMinMm: 47, slotMaxMm: 57 })
        expect(fits).toBe((marginMm as number) >= 0)
        expect(fits).toBe((slotPosition as number) >= 0 && (slotPosition as number) <= 1)
      }),
    )
    expect(outputs('reach-fit', { reachNeededMm: 47, slotMinMm: 47, slotMaxMm: 57 }).fits).toBe(true)
    expect(fault('reach-fit', { reachNeededMm: 50, slotMinMm: 57, slotMaxMm: 47 })).toMatchObject({
      field: 'slotMaxMm',
    })
  })
})

describe('thread-engagement', () => {
  // FED-STD-H28/2, Machinery’s Handbook (from memory): M6 6H/6g takes 4.65 mm.
  it('M6 takes 4.65 mm', () => {
    const m6 = { stressAreaMm2: 20.1, internalMinorMaxMm: 5.153, externalPitchMinMm: 5.212, pitchMm: 1 }
    expect(outputs('thread-engagement', m6).minimumLengthMm).toBeCloseTo(4.65, 2)
  })
  it('a sloppier thread needs more', () => {
    const at = (externalPitchMinMm: number) =>
      outputs('thread-engagement', { stressAreaMm2: 20.1, internalMinorMaxMm: 5.153, externalPitchMinMm, pitchMm: 1 })
        .minimumLengthMm as number
    expect(at(5.1)).toBeGreaterThan(at(5.212))
    expect(
      fault('thread-engagement', { stressAreaMm2: 20.1, internalMinorMaxMm: 5.153, externalPitchMinMm: 4, pitchMm: 1 }),
    ).toMatchObject({ code: 'impossible-geometry' })
  })
})

describe('bolt-preload', () => {
  // Shigley; Machinery’s Handbook: T = K·F·d, K ≈ 0.20 dry. ISO 898-1 (from memory): M6 class 8.8 proves at 20.1 mm² × 580 MPa = 11.66 kN.
  it('14 N·m on a dry M6 8.8 bolt is just its proof load', () => {
    const torqueNm = (0.2 * 6 * 20.1 * 580) / 1000
    const out = outputs('bolt-preload', { torqueNm, diameterMm: 6, stressAreaMm2: 20.1, proofStressMpa: 580 })
    expect(out.preloadN).toBeCloseTo(11_658, 6)
    expect(out.proofFraction).toBeCloseTo(1, 12)
  })
  it('grease (K 0.15) pulls a third more from the same torque', () => {
    const at = (nutFactor?: number) =>
      outputs('bolt-preload', {
        torqueNm: 8,
        diameterMm: 6,
        stressAreaMm2: 20.1,
        proofStressMpa: 580,
        ...(nutFactor && { nutFactor }),
      }).preloadN as number
    expect(at(0.15) / at()).toBeCloseTo(4 / 3, 12)
  })
})

describe('through-bolt', () => {
  const bolt = { boltProtrusionMm: 38, frameDepthMm: 22, washersMm: [3, 3, 1], nutHeightMm: 5, pitchMm: 1 }

  it('counts the thread beyond the nut', () => {
    expect(outputs('through-bolt', bolt)).toEqual({ engagementMm: 5, threadsShowing: 4, shoulders: false, fits: true })
    expect(outputs('through-bolt', { ...bolt, boltProtrusionMm: 32 })).toMatchObject({
      engagementMm: 3,
      threadsShowing: 0,
      fits: false,
    })
    expect(outputs('through-bolt', { ...bolt, boltProtrusionMm: 20 })).toMatchObject({ engagementMm: 0, fits: false })
  })

  it('a plain shank that reaches the nut first does not clamp', () => {
    expect(outputs('through-bolt', { ...bolt, threadedLengthMm: 8 })).toMatchObject({ shoulders: true, fits: false })
    expect(outputs('through-bolt', { ...bolt, threadedLengthMm: 9 })).toMatchObject({ shoulders: false, fits: true })
  })

  it('fits only with a thread showing and never shouldering, whatever the parts', () => {
    fc.assert(
      fc.property(
        mm(5, 80),
        mm(5, 40),
        fc.array(mm(0, 6), { maxLength: 4 }),
        mm(3, 10),
        mm(1, 60),
        (boltProtrusionMm, frameDepthMm, washersMm, nutHeightMm, threadedLengthMm) => {
          const out = outputs('through-bolt', {
            boltProtrusionMm,
            frameDepthMm,
            washersMm,
            nutHeightMm,
            pitchMm: 1,
            threadedLengthMm,
          })
          expect(out.fits).toBe((out.threadsShowing as number) >= 1 && !out.shoulders)
          if (out.fits) expect(out.engagementMm).toBeCloseTo(nutHeightMm, 9)
        },
      ),
    )
  })

  it.each([
    [{ frameDepthMm: 0 }, 'frameDepthMm'],
    [{ frameDepthMm: -4 }, 'frameDepthMm'],
    [{ washersMm: [1, -1] }, 'washersMm'],
    [{ pitchMm: 0 }, 'pitchMm'],
  ])('refuses %j', (change, field) => {
    expect(fault('through-bolt', { ...bolt, ...change })).toMatchObject({ code: 'out-of-range', field })
  })
})

describe('sleeve-nut', () => {
  const nut = {
    boltProtrusionMm: 16,
    frameDepthMm: 24,
    frontWasherMm: 2,
    rearWasherMm: 2,
    frontWallMm: 2,
    shankLengthMm: 20,
    threadDepthMm: 14,
    diameterMm: 6,
  }

  // Worked by hand: tip 2 + 24 + 2 − 20 = 8 behind the caliper; 16 − 8 = 8 engaged; 24 + 2 − 20 − 2 = 4 clear.
  it('holds by the overlap of bolt and nut, clear of the front wall', () => {
    expect(outputs('sleeve-nut', nut)).toEqual({
      engagementMm: 8,
      tipClearanceMm: 4,
      bottoms: false,
      shoulders: false,
      fits: true,
    })
  })

  it('too short strips, too long bottoms, an aluminium one wants twice as much', () => {
    expect(outputs('sleeve-nut', { ...nut, shankLengthMm: 16 })).toMatchObject({ engagementMm: 4, fits: false })
    expect(outputs('sleeve-nut', { ...nut, threadDepthMm: 7 })).toMatchObject({
      engagementMm: 7,
      bottoms: true,
      fits: false,
    })
    expect(outputs('sleeve-nut', { ...nut, engagementFactor: 2 })).toMatchObject({ engagementMm: 8, fits: false })
    expect(outputs('sleeve-nut', { ...nut, shankLengthMm: 25 })).toMatchObject({ tipClearanceMm: -1, fits: false })
    expect(outputs('sleeve-nut', { ...nut, threadedLengthMm: 7 })).toMatchObject({ shoulders: true, fits: false })
  })

  it('a longer nut never engages less, and what fits always holds', () => {
    fc.assert(
      fc.property(mm(8, 30), mm(10, 40), mm(6, 35), mm(0, 6), (boltProtrusionMm, frameDepthMm, shankLengthMm, more) => {
        const at = (shank: number) =>
          outputs('sleeve-nut', { ...nut, boltProtrusionMm, frameDepthMm, shankLengthMm: shank })
        expect(at(shankLengthMm + more).engagementMm).toBeGreaterThanOrEqual(at(shankLengthMm).engagementMm as number)
        const out = at(shankLengthMm)
        if (out.fits) {
          expect(out.engagementMm).toBeGreaterThanOrEqual(6)
          expect(out.bottoms || out.shoulders).toBe(false)
          expect(out.tipClearanceMm).toBeGreaterThanOrEqual(0)
        }
      }),
    )
  })
})

describe('drilled-tube', () => {
  // Computed reference: 16 × 1, 8 and 6 leave 0.69 and 0.43; before drilling (6 and 6) 0.74 and 0.50.
  it('16 × 1 with 8 and 6 keeps 0.69 of its section and 0.43 of its bending', () => {
    const drilled = outputs('drilled-tube', { outerDiameterMm: 16, wallMm: 1, holeMm: 8, oppositeHoleMm: 6 })
    expect(drilled.sectionRemaining).toBeCloseTo(0.69, 2)
    expect(drilled.bendingRemaining).toBeCloseTo(0.43, 2)
    expect(drilled.edgeRatio).toBe(1)
    const before = outputs('drilled-tube', { outerDiameterMm: 16, wallMm: 1, holeMm: 6, oppositeHoleMm: 6 })
    expect(before.sectionRemaining).toBeCloseTo(0.74, 2)
    expect(before.bendingRemaining).toBeCloseTo(0.5, 2)
  })

  it('a hole as wide as the tube leaves half a wall and no bending; two leave nothing', () => {
    const one = outputs('drilled-tube', { outerDiameterMm: 16, wallMm: 1, holeMm: 15 })
    expect(one.sectionRemaining).toBeCloseTo(0.5, 9)
    expect(
      outputs('drilled-tube', { outerDiameterMm: 16, wallMm: 1, holeMm: 15, oppositeHoleMm: 15 }).sectionRemaining,
    ).toBeCloseTo(0, 9)
  })

  // Independent check: the same integrals summed numerically round the wall.
  it('agrees with adding up the wall piece by piece', () => {
    fc.assert(
      fc.property(mm(12, 30), mm(0.5, 2), mm(2, 9), mm(0, 9), (outerDiameterMm, wallMm, holeMm, oppositeHoleMm) => {
        const out = outputs('drilled-tube', { outerDiameterMm, wallMm, holeMm, oppositeHoleMm })
        const radius = (outerDiameterMm - wallMm) / 2
        const pieces = 20_000
        let area = 0
        let second = 0
        for (let k = 0; k < pieces; k += 1) {
          const angle = (2 * Math.PI * (k + 0.5)) / pieces
          const hole = Math.cos(angle) > 0 ? holeMm : oppositeHoleMm
          if (Math.abs(radius * Math.sin(angle)) < hole / 2) continue
          area += 1 / pieces
          second += (2 * Math.cos(angle) ** 2) / pieces
        }
        expect(out.sectionRemaining).toBeCloseTo(area, 2)
        expect(out.bendingRemaining).toBeCloseTo(second, 2)
      }),
      { numRuns: 30 },
    )
  })

  it('refuses a hole larger than the tube and a wall thicker than it', () => {
    expect(fault('drilled-tube', { outerDiameterMm: 16, wallMm: 1, holeMm: 16 })).toMatchObject({ field: 'holeMm' })
    expect(fault('drilled-tube', { outerDiameterMm: 16, wallMm: 1, holeMm: 6, oppositeHoleMm: 20 })).toMatchObject({
      field: 'oppositeHoleMm',
    })
    expect(fault('drilled-tube', { outerDiameterMm: 16, wallMm: 9, holeMm: 6 })).toMatchObject({ field: 'wallMm' })
  })
})

describe('tip-over-limit and braking-load', () => {
  // Wilson, Bicycling Science (from memory): about 0.56 g for a typical upright rider.
  it('a typical upright rider goes over at about 0.56 g', () => {
    expect(outputs('tip-over-limit', { cgHeightMm: 1140, cgBehindFrontMm: 640 }).limitG).toBeCloseTo(0.56, 2)
  })

  const bicycle = { massKg: 90, wheelbaseMm: 1050, cgHeightMm: 1140, cgBehindFrontMm: 640 }
  it('standing, the loads share by the lever law and make up the weight', () => {
    const still = outputs('braking-load', { ...bicycle, decelerationG: 0 })
    expect(still.frontLoadN as number).toBeCloseTo((90 * 9.80665 * (1050 - 640)) / 1050, 6)
    expect((still.frontLoadN as number) + (still.rearLoadN as number)).toBeCloseTo(90 * 9.80665, 6)
  })

  it('the rear lifts exactly at the tip-over limit, and then the front carries all', () => {
    fc.assert(
      fc.property(mm(700, 1400), mm(300, 1000), mm(0, 1.5), (cgHeightMm, cgBehindFrontMm, decelerationG) => {
        const { limitG } = outputs('tip-over-limit', { cgHeightMm, cgBehindFrontMm })
        const out = outputs('braking-load', { ...bicycle, cgHeightMm, cgBehindFrontMm, decelerationG })
        if (Math.abs(decelerationG - (limitG as number)) > 1e-9)
          expect(out.rearLifts).toBe(decelerationG > (limitG as number))
        expect((out.frontLoadN as number) + (out.rearLoadN as number)).toBeCloseTo(90 * 9.80665, 6)
        expect(out.rearLoadN).toBeGreaterThanOrEqual(0)
      }),
    )
  })

  it('refuses a centre of mass behind the rear wheel', () => {
    expect(fault('braking-load', { ...bicycle, cgBehindFrontMm: 1100, decelerationG: 0.3 })).toMatchObject({
      field: 'cgBehindFrontMm',
    })
  })
})
