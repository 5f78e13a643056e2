import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { End } from '../../brake/dimension.ts'
import type { Side } from '../../brake/frame.ts'
import type { PadArm } from '../../brake/model.ts'
import { cantileverFamily } from '../../families/cantilever/family.ts'
import { dualPivotFamily } from '../../families/dual-pivot/family.ts'
import { linearPullFamily } from '../../families/linear-pull/family.ts'
import { expectOk } from '../../outcome/outcome.ts'
import { fault, outputs } from '../../testing/calculate.ts'
import { DIMENSIONS } from '../../testing/stand.ts'
import { FAMILIES, fitFamily } from '../../workshop/families.ts'
import { driftOutline } from './drift-outline.ts'
import { driftOf, leanOverRims, leavesTrack, padPaths, startHeight, unevenWear, washerStacks } from './pads.ts'

const armsOf = (id: string, end: End = 'rear') =>
  expectOk(fitFamily(id, {}, end)).padArm as Readonly<Record<Side, PadArm>>
const RIMS = FAMILIES.filter(({ track }) => track === 'rim')
const armOf = (family: (typeof FAMILIES)[number]) => armsOf(family.id).left

/** The same drift by small steps of the arm: turn it until the face has gone in far enough, written apart from the closed form. */
function bySteps(inMm: number, upMm: number, wornMm: number): number {
  const steps = 20_000
  let x = inMm
  let y = upMm
  const dx = wornMm / steps
  for (let k = 0; k < steps; k += 1) {
    // An arm turning by dθ moves its pad by (y, −x)·dθ: midpoint rule.
    const midY = y - (x / y) * (dx / 2)
    const midX = x + dx / 2
    y -= (midX / midY) * dx
    x += dx
  }
  return y - upMm
}

describe('drift as the pad wears', () => {
  it('agrees with the arm turned in small steps', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -40, max: 40, noNaN: true }),
        fc.double({ min: 15, max: 70, noNaN: true }),
        fc.boolean(),
        fc.double({ min: 0.1, max: 6, noNaN: true }),
        (inMm, up, below, wornMm) => {
          const upMm = below ? -up : up
          fc.pre((inMm + wornMm) ** 2 < 0.9 * (inMm ** 2 + upMm ** 2))
          expect(outputs('pad-drift', { padInMm: inMm, padUpMm: upMm, wornMm }).riseMm).toBeCloseTo(
            bySteps(inMm, upMm, wornMm),
            4,
          )
        },
      ),
      { numRuns: 40 },
    )
  })

  // Mechanics: typical linear-pull, pad 28 up and 28 in: each mm of wear drops the pad 1.0 mm.
  it('a typical linear-pull pad drops 1.0 mm for each mm worn', () => {
    expect(outputs('pad-drift', { padInMm: 28, padUpMm: 28, wornMm: 1 }).riseAtOnceMm).toBeCloseTo(-1, 9)
    expect(outputs('pad-drift', { padInMm: 28, padUpMm: 28, wornMm: 0.01 }).riseMm / 0.01).toBeCloseTo(-1, 2)
  })

  it('on every family the model’s arm says the same as its linkage', () => {
    for (const family of RIMS) expect(Math.abs(armOf(family).upMm)).toBeGreaterThan(10)
    expect(armOf(linearPullFamily)).toMatchObject({ inMm: 28, upMm: 28 })
    expect(armOf(cantileverFamily).inMm).toBeCloseTo(28, 9)
    expect(armOf(dualPivotFamily).upMm).toBe(-49)
  })

  // From memory: in front the cable usually comes to the rider’s right, behind to the left; the arms change sides with it.
  it('which pad climbs and which sinks follows from the side the cable comes to', () => {
    const paths = (end: 'front' | 'rear') =>
      expectOk(padPaths(armsOf('dual-pivot', end), 2.5, { trackMm: 14, padMm: 10 }))
    const rise = (end: 'front' | 'rear', side: 'left' | 'right') =>
      paths(end).find(({ sides }) => sides.includes(side))?.drift.riseMm as number
    expect(rise('rear', 'left')).not.toBeCloseTo(rise('rear', 'right'), 1)
    expect(rise('front', 'left')).toBeCloseTo(rise('rear', 'right'), 9)
    expect(rise('front', 'right')).toBeCloseTo(rise('rear', 'left'), 9)
  })

  // From memory: a dual-pivot’s two arms swing about different bolts, one each side of the rim’s middle.
  it('the pads of a dual-pivot part ways, those of an even brake go as one', () => {
    const pad = { trackMm: 14, padMm: 10 }
    const of = (family: (typeof FAMILIES)[number]) => expectOk(padPaths(armsOf(family.id), 2.5, pad))
    const [left, right, ...more] = of(dualPivotFamily)
    expect(more).toEqual([])
    expect(left).toMatchObject({ sides: ['left'], drift: { say: expect.stringContaining('the left pad sinks') } })
    expect(right).toMatchObject({ sides: ['right'], drift: { say: expect.stringContaining('the right pad climbs') } })
    expect(of(linearPullFamily)).toMatchObject([{ sides: ['left', 'right'], drift: { name: 'the pad' } }])
  })

  it('a pad that can no longer reach is refused', () => {
    expect(fault('pad-drift', { padInMm: 28, padUpMm: 10, wornMm: 5 })).toMatchObject({ code: 'impossible-geometry' })
    expect(fault('pad-height', { trackMm: 8, padMm: 10, riseMm: 0 })).toMatchObject({ field: 'padMm' })
  })
})

describe('the starting height', () => {
  it('keeps the pad on the track from new to worn out, wherever in its range it begins', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 20, noNaN: true }),
        fc.double({ min: 5, max: 12, noNaN: true }),
        fc.double({ min: 1, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (trackMm, padMm, usable, where) => {
          fc.pre(padMm <= trackMm)
          for (const family of RIMS) {
            const drift = driftOf(armOf(family), usable, { trackMm, padMm })
            if (!drift.ok || !drift.value.staysOn) continue
            const { edgeLeastMm, edgeMostMm, path } = drift.value
            const edge = edgeLeastMm + where * (edgeMostMm - edgeLeastMm)
            for (const { riseMm } of path) {
              expect(edge - riseMm).toBeGreaterThanOrEqual(-1e-6)
              expect(edge - riseMm + padMm).toBeLessThanOrEqual(trackMm + 1e-6)
            }
          }
        },
      ),
      { numRuns: 100 },
    )
  })

  it('says which way it drifts, and when the track has no room for it', () => {
    const pad = expectOk(driftOf({ inMm: 28, upMm: 28 }, 2.5, { trackMm: 14, padMm: 10 }))
    expect(pad.say).toMatch(/sinks 2\.7 mm: .* starts 0\.0 mm to 1\.3 mm below the track’s upper edge, best at 0\.6 mm/)
    expect(pad.staysOn).toBe(true)
    const long = expectOk(driftOf({ inMm: 28, upMm: 28 }, 6, { trackMm: 14, padMm: 10 }))
    expect(long.staysOn).toBe(false)
    expect(long.say).toContain('look again when half is worn')
  })
})

describe('height schools', () => {
  const drift = expectOk(driftOf({ inMm: 28, upMm: 28 }, 2, { trackMm: 14, padMm: 8 }))

  // Handbook: top edge 1 to 2 mm below the rim’s, or the middle of the track (common practice).
  it('each starts the pad at its own height, within what the drift allows', () => {
    expect(startHeight(drift, 'top-edge')).toEqual({ lowMm: 1, highMm: 2, bent: false })
    expect(startHeight(drift, 'middle')).toEqual({ lowMm: 2.5, highMm: 3.5, bent: false })
    expect(startHeight(drift, 'longest')).toEqual({
      lowMm: drift.edgeLeastMm,
      highMm: drift.edgeMostMm,
      bent: false,
    })
  })

  it('a school that would leave the track is bent to the nearest height that does not', () => {
    const long = expectOk(driftOf({ inMm: 28, upMm: 28 }, 3, { trackMm: 14, padMm: 10 }))
    expect(startHeight(long, 'middle')).toMatchObject({ bent: true, highMm: expect.closeTo(long.edgeMostMm, 9) })
  })

  it('what stays on never leaves; what does not, leaves where the path crosses the track’s edge', () => {
    fc.assert(
      fc.property(fc.double({ min: -2, max: 8, noNaN: true }), (edge) => {
        const leaves = leavesTrack(drift, edge)
        const stays = edge >= drift.edgeLeastMm && edge <= drift.edgeMostMm
        expect(leaves === undefined).toBe(stays)
        if (!leaves || leaves.wornMm === 0) return
        const rise = outputs('pad-drift', { padInMm: 28, padUpMm: 28, wornMm: leaves.wornMm }).riseMm
        expect(edge - rise).toBeCloseTo(leaves.over === 'tyre' ? 0 : 14 - 8, 2)
      }),
    )
  })

  // Worked by hand on a straight path of 1 mm down for each mm worn: a pad 2 mm below the upper edge of a track 4 mm taller than it.
  it('leaves where the pad is worn out of its room, over the edge it goes', () => {
    const path = [0, 1, 2, 3].map((wornMm) => ({ wornMm, riseMm: -wornMm }))
    const straight = { ...drift, path, trackMm: 12, padMm: 8, arcMm: 0 }
    expect(leavesTrack(straight, 1)).toBeUndefined()
    expect(leavesTrack(straight, 2.5)).toEqual({ wornMm: 1.5, over: 'edge' })
    expect(leavesTrack(straight, -0.1)).toEqual({ wornMm: 0, over: 'tyre' })
    const climbing = { ...straight, path: path.map(({ wornMm }) => ({ wornMm, riseMm: wornMm })) }
    expect(leavesTrack(climbing, 1.25)).toEqual({ wornMm: 1.25, over: 'tyre' })
    expect(leavesTrack({ ...climbing, arcMm: 0.5 }, 1.25)).toEqual({ wornMm: 0.75, over: 'tyre' })
  })

  // Worked by hand: a track of 14 mm, a pad of 10 that falls by 3: begins between its edge and 1 mm below it, best halfway.
  it('begins where it may, best in the middle of that', () => {
    expect(outputs('pad-height', { trackMm: 14, padMm: 10, riseMm: -3 })).toMatchObject({
      edgeLeastMm: 0,
      edgeMostMm: 1,
      edgeBestMm: 0.5,
      staysOn: true,
    })
    expect(outputs('pad-height', { trackMm: 14, padMm: 10, riseMm: 3 })).toMatchObject({
      edgeLeastMm: 3,
      edgeBestMm: 3.5,
    })
  })

  // By hand: √(311² − 27.5²) = 309.782, so the middle of a 55 mm chord lies 1.218 mm inside its arc.
  it('a straight pad needs the height of its arc more room above', () => {
    expect(outputs('pad-arc', { padLengthMm: 55, trackRadiusMm: 311 }).arcMm).toBeCloseTo(1.218, 3)
    const straight = expectOk(
      driftOf({ inMm: 28, upMm: 28 }, 2, { trackMm: 14, padMm: 8, straight: { lengthMm: 55, radiusMm: 311 } }),
    )
    expect(straight.edgeLeastMm - drift.edgeLeastMm).toBeCloseTo(1.218, 3)
    expect(straight.edgeMostMm).toBe(drift.edgeMostMm)
    expect(fault('pad-arc', { padLengthMm: 80, trackRadiusMm: 40 })).toMatchObject({ field: 'padLengthMm' })
  })

  it('is drawn with the same numbers: three moments, each where the path says', () => {
    const { moments, track, bounds } = driftOutline(drift, 1.5, 4, { rimWidthMm: 24, tyreWidthMm: 37 })
    expect(moments.map((each) => each.name)).toEqual(['new', 'half worn', 'worn out'])
    for (const { wornMm, edgeMm, pad } of moments) {
      const rise = wornMm === 0 ? 0 : outputs('pad-drift', { padInMm: 28, padUpMm: 28, wornMm }).riseMm
      expect(edgeMm).toBeCloseTo(1.5 - rise, 9)
      const ys = pad.kind === 'polygon' ? pad.points.map(([, y]) => y) : []
      expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(8, 9)
      expect(Math.min(...ys)).toBeGreaterThan(bounds.min[1])
    }
    expect(track[0][1] - track[1][1]).toBe(14)
  })

  it('a pad thicker than the room between arm and rim is refused with what would go in', () => {
    expect(outputs('pad-space', { padDeepMm: 18, armSpaceMm: 24 }).leftMm).toBe(6)
    expect(fault('pad-space', { padDeepMm: 25, armSpaceMm: 24 })).toMatchObject({
      field: 'padDeepMm',
      message: expect.stringContaining('Accepted: a pad thinner than 24 mm'),
    })
  })
})

/** The lean of an arm whose pad presses on a rim, found by turning the arm until it does: written apart from the closed form. */
function leanBySearch(standoffMm: number, rimWidthMm: number): number {
  const pivot = -(DIMENSIONS.pivotSpacingMm as number) / 2
  const face = (lean: number) =>
    pivot + standoffMm * Math.cos(lean) - (DIMENSIONS.padHeightMm as number) * Math.sin(lean)
  let [low, high] = [-0.8, 0.8]
  for (let k = 0; k < 60; k += 1) {
    const middle = (low + high) / 2
    if (face(middle) > -rimWidthMm / 2) low = middle
    else high = middle
  }
  return (low * 180) / Math.PI
}

describe('washers of threaded posts', () => {
  it('lean as an arm turned until its pad meets the rim, for every rim and either pair', () => {
    for (const { inside, points } of leanOverRims(DIMENSIONS, 'thin', 3)) {
      const standoff = (DIMENSIONS.padStandoffMm as number) + (inside === 'thin' ? 0 : 3)
      expect(points.length).toBeGreaterThan(20)
      for (const { rimWidthMm, leanDeg } of points)
        expect(leanDeg, `${inside} ${rimWidthMm}`).toBeCloseTo(leanBySearch(standoff, rimWidthMm), 6)
    }
  })

  // Handbook (common practice): a wide rim wants the thin pair inside.
  it('a wide rim wants the thin pair inside, a narrow one the thick', () => {
    const best = (rimWidthMm: number) => expectOk(washerStacks({ ...DIMENSIONS, rimWidthMm }, 'thick', 3))[0]?.inside
    expect(best(30)).toBe('thin')
    expect(best(20)).toBe('thick')
  })

  it('tells both, by the lean of the arms that the linear-pull calculation gives', () => {
    const [first, second] = expectOk(washerStacks(DIMENSIONS, 'thin', 3))
    expect(first).toMatchObject({ inside: 'thin', leanDeg: expect.closeTo(0, 6) })
    expect(Math.abs(second?.leanDeg ?? 0)).toBeGreaterThan(3)
  })
})

describe('wear', () => {
  // From 0.7 mm: our choice; what it means: common practice, no source.
  it('says what uneven pads mean, from 0.7 mm of difference', () => {
    expect(unevenWear(4, 3.4)).toBeUndefined()
    expect(unevenWear(3.3, 2.6)).toMatch(/right pad is 0.7 mm thinner.*centring/)
    expect(unevenWear(2.4, 4)).toMatch(/left pad is 1.6 mm thinner/)
  })
})
