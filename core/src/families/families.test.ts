import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bookDimensions, hereAt } from '../brake/dimension.ts'
import { cantileverLinkage } from '../linkages/cantilever.ts'
import { centrePullLinkage } from '../linkages/centre-pull.ts'
import { compileLinkage } from '../linkages/compile.ts'
import { dualPivotLinkage, singlePivotLinkage } from '../linkages/pivots.ts'
import { type Linkage, linkageRatio, openingForGap, restOpening, tieLength } from '../mechanics/linkage.ts'
import { expectOk } from '../outcome/outcome.ts'
import { outputs } from '../testing/calculate.ts'
import { FAMILIES, findFamily, fitFamily } from '../workshop/families.ts'

const near = (value: number, share = 0.15) =>
  fc.double({ min: value * (1 - share), max: value * (1 + share), noNaN: true })
const gap = fc.double({ min: 0, max: 3, noNaN: true })

/** Behind, the cable usually comes to the left. */
const REAR = false
const cantilever = fc
  .record({
    pivotSpacingMm: near(80),
    cableOutMm: fc.double({ min: -10, max: 45, noNaN: true }),
    cableUpMm: near(48, 0.4),
    padHeightMm: near(28),
    rimWidthMm: near(22),
    slack: fc.double({ min: 1.5, max: 2.5, noNaN: true }),
  })
  .map(({ slack, ...d }) => ({ ...d, straddleMm: slack * (d.pivotSpacingMm + 2 * d.cableOutMm) }))
const centrePull = fc
  .record({
    caliperReachMm: near(52),
    pivotSpacingMm: near(46),
    cableAcrossMm: near(64),
    cableUpMm: near(38, 0.4),
    rimWidthMm: near(20),
    slack: fc.double({ min: 1.5, max: 2.5, noNaN: true }),
  })
  .map(({ slack, ...d }) => ({ ...d, straddleMm: slack * Math.abs(2 * d.cableAcrossMm - d.pivotSpacingMm) }))
const sidePull = fc.record({
  caliperReachMm: near(53),
  secondPivotMm: near(25),
  cableOffsetMm: near(58),
  barrelHeightMm: near(30),
  anchorHeightMm: fc.double({ min: -10, max: 20, noNaN: true }),
  rimWidthMm: near(20),
})

const linkages: readonly (readonly [string, fc.Arbitrary<Linkage>])[] = [
  [
    'cantilever',
    cantilever
      .map(cantileverLinkage)
      .filter((built) => built.ok)
      .map(expectOk),
  ],
  [
    'centre-pull',
    centrePull
      .map(centrePullLinkage)
      .filter((built) => built.ok)
      .map(expectOk),
  ],
  [
    'dual-pivot',
    sidePull
      .map((d) => dualPivotLinkage(d, REAR))
      .filter((built) => built.ok)
      .map(expectOk),
  ],
  [
    'single-pivot',
    sidePull
      .map((d) => singlePivotLinkage(d, REAR))
      .filter((built) => built.ok)
      .map(expectOk),
  ],
]

describe.each(linkages)('%s at random geometry', (_, linkage) => {
  const opened = (each: Linkage, left: number, right: number) => ({
    left: openingForGap(each.left, left) as number,
    right: openingForGap(each.right, right) as number,
  })

  // Virtual work: the ratio from geometry is the numerical derivative of the pull, at every state.
  it('the ratio is the derivative of the pull over the closing of both pads', () => {
    fc.assert(
      fc.property(linkage, gap, gap, (each, left, right) => {
        const step = 1e-4
        const at = (shift: number) => tieLength(each, opened(each, left + shift, right + shift))
        const { mean } = linkageRatio(each, opened(each, left, right))
        expect((at(step) - at(-step)) / (4 * step)).toBeCloseTo(mean, 4)
      }),
    )
  })

  it('each pad’s own ratio is the derivative over its own closing', () => {
    fc.assert(
      fc.property(linkage, gap, gap, (each, left, right) => {
        const step = 1e-4
        const pull = (l: number, r: number) => tieLength(each, opened(each, l, r))
        const ratio = linkageRatio(each, opened(each, left, right))
        expect((pull(left + step, right) - pull(left - step, right)) / (2 * step)).toBeCloseTo(ratio.left, 4)
        expect((pull(left, right + step) - pull(left, right - step)) / (2 * step)).toBeCloseTo(ratio.right, 4)
      }),
    )
  })

  it('the quick tie used for advice is the slow one', () => {
    fc.assert(
      fc.property(linkage, gap, gap, (each, left, right) => {
        const opening = opened(each, left, right)
        expect(compileLinkage(each).tie(opening.left, opening.right)).toBeCloseTo(tieLength(each, opening), 9)
      }),
    )
  })

  it('the quick rest of the arms is the slow one', () => {
    const cable = fc.double({ min: 0.2, max: 8, noNaN: true })
    const difference = fc.double({ min: -0.03, max: 0.03, noNaN: true })
    fc.assert(
      fc.property(linkage, cable, difference, (each, out, apart) => {
        const slow = restOpening(each, out, apart)
        expect(compileLinkage(each).restMean(out, apart)).toBeCloseTo((slow.left + slow.right) / 2, 4)
      }),
    )
  })

  it('more cable let out opens both pads', () => {
    fc.assert(
      fc.property(linkage, fc.double({ min: 0.1, max: 4, noNaN: true }), (each, cable) => {
        const fast = compileLinkage(each)
        expect(fast.restMean(cable + 0.2, 0)).toBeGreaterThan(fast.restMean(cable, 0))
      }),
    )
  })
})

describe('against the calculations with their own formulas', () => {
  // κ = (c_y·cot γ − c_x)/(2·f_y), γ the straddle's angle from horizontal: the closed form of the cantilever.
  it('a symmetric cantilever has the closed form’s ratio', () => {
    fc.assert(
      fc.property(cantilever, (d) => {
        const built = cantileverLinkage(d)
        fc.pre(built.ok)
        const closed = outputs('cantilever', {
          pivotSpacingMm: d.pivotSpacingMm,
          cablePoint: [-d.cableOutMm, d.cableUpMm],
          padFace: [(d.pivotSpacingMm - d.rimWidthMm) / 2, d.padHeightMm],
          straddleLengthMm: d.straddleMm,
        })
        expect(linkageRatio(expectOk(built), { left: 0, right: 0 }).mean).toBeCloseTo(closed.linkageRatio, 6)
      }),
    )
  })

  it('a side-pull has the ratio and the pull of the caliper calculation', () => {
    fc.assert(
      fc.property(sidePull, gap, (d, each) => {
        const built = dualPivotLinkage(d, REAR)
        fc.pre(built.ok)
        const linkage = expectOk(built)
        const worked = outputs('caliper', {
          pivotLeft: [0, 0],
          pivotRight: [d.secondPivotMm, 0],
          padFaceLeft: [-d.rimWidthMm / 2, -d.caliperReachMm],
          padFaceRight: [d.rimWidthMm / 2, -d.caliperReachMm],
          cableLeft: [-d.cableOffsetMm, d.barrelHeightMm],
          cableRight: [-d.cableOffsetMm, d.anchorHeightMm],
          gapLeftMm: each,
          gapRightMm: each,
        })
        const opening = {
          left: openingForGap(linkage.left, each) as number,
          right: openingForGap(linkage.right, each) as number,
        }
        expect(worked.cablePullMm).toBeCloseTo(
          tieLength(linkage, opening) - tieLength(linkage, { left: 0, right: 0 }),
          6,
        )
        expect(worked.linkageRatio).toBeCloseTo(linkageRatio(linkage, opening).mean, 6)
      }),
    )
  })
})

/** What the shape of a brake is worked out from, and can be pointed at; a straddle lies along two sides. */
const WORKED = [
  'pivotSpacingMm',
  'armMm',
  'padHeightMm',
  'padStandoffMm',
  'caliperReachMm',
  'secondPivotMm',
  'cableOutMm',
  'cableUpMm',
  'cableAcrossMm',
  'cableOffsetMm',
  'barrelHeightMm',
  'anchorHeightMm',
]

const RIMS = FAMILIES.filter(({ track }) => track === 'rim')

describe.each(RIMS.map((family) => [family.id, family] as const))('%s', (_, family) => {
  const d = bookDimensions(family)
  const model = expectOk(family.fit(d, hereAt(family, 'rear')))

  const q = Float64Array.from(model.inputs, ({ mean }) => mean)
  const at = (travelMm: number) => model.frame(q, { travelMm, wheelDeg: 0 })

  it('draws every adjuster it can show, inside its bounds, however far it is squeezed', () => {
    for (const travelMm of [0, 15, 40]) {
      const { still, moving, cable, handles, leaders, bounds } = at(travelMm)
      for (const shape of [...still, ...moving, ...cable, ...model.ghost({ gapLeft: 3, gapRight: 0.2 })])
        for (const [x, y] of shape.kind === 'circle' ? [shape.centre] : shape.points) {
          expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true)
          expect(x).toBeGreaterThan(bounds.min[0] - 12)
          expect(x).toBeLessThan(bounds.max[0] + 12)
          expect(y).toBeGreaterThan(bounds.min[1] - 12)
          expect(y).toBeLessThan(bounds.max[1] + 12)
        }
      const shown = handles.map((each) => each.adjuster)
      for (const { id } of model.adjusters.filter((each) => !each.lastResort)) expect(shown).toContain(id)
      const [left, right] = leaders
      expect(left).toMatchObject({ reading: 'gapLeft', side: 'left' })
      expect(right).toMatchObject({ reading: 'gapRight', side: 'right' })
      expect(left?.to[0]).toBeLessThan(right?.to[0] ?? 0)
    }
  })

  // A picture is a measurement: what stands on a leader and between a dimension’s ends is what the model predicts.
  it('draws its gaps as it predicts them', () => {
    const y = new Float64Array(model.readings.length)
    model.predict(q, y)
    const { leaders, dimensions, insets } = at(0)
    for (const [index, { reading, drawn }] of leaders.entries()) {
      expect(drawn).toBeCloseTo(y[model.readings.indexOf(reading)] as number, 3)
      const line = dimensions.find((each) => each.id === reading)
      expect(Math.abs((line?.from[0] ?? 0) - (line?.to[0] ?? 0))).toBeCloseTo(drawn, 6)
      expect(insets[index]?.apartMm).toBeCloseTo(drawn, 6)
    }
    const focused = model.frame(q, { travelMm: 0, wheelDeg: 0, focus: 'gapRight' }).dimensions
    expect(focused.filter((each) => each.strong).map((each) => each.id)).toEqual(['gapRight'])
  })

  // A drawing that shows what to measure must show that very length, to scale.
  it('draws the dimension in hand as long as it is', () => {
    const drawn = family.dimensions.filter(({ id }) => {
      const [line] = model.frame(q, { travelMm: 0, wheelDeg: 0, focus: id }).dimensions.filter((each) => each.strong)
      if (!line) return false
      expect(line.id).toBe(id)
      expect(Math.hypot(line.from[0] - line.to[0], line.from[1] - line.to[1]), id).toBeCloseTo(
        Math.abs(d[id] as number),
        6,
      )
      return true
    })
    const lengths = family.dimensions.filter(({ id }) => WORKED.includes(id)).map(({ id }) => id)
    expect(drawn.map(({ id }) => id)).toEqual(expect.arrayContaining([...lengths, 'rimWidthMm', 'tyreWidthMm']))
  })

  it('squeezed, one pad touches first, then the other, then the cable tightens', () => {
    const off = Float64Array.from(q)
    off[1] = 0.02
    const frames = Array.from({ length: 60 }, (_, travelMm) => model.frame(off, { travelMm, wheelDeg: 0 }))
    const gaps = frames.map(({ leaders }) => leaders.reduce((sum, each) => sum + each.drawn, 0))
    for (let k = 1; k < gaps.length; k += 1) expect(gaps[k]).toBeLessThanOrEqual((gaps[k - 1] ?? 0) + 1e-6)
    expect(frames[0]?.tensionN).toBe(0)
    expect(frames.at(-1)?.tensionN).toBeGreaterThan(0)
  })

  // Calculus: a slope is what the prediction itself does over a small step, wherever no pad is just touching.
  it('the slopes of its readings are those of the readings', () => {
    const share = fc.double({ min: -0.5, max: 0.5, noNaN: true })
    const at = fc.tuple(fc.double({ min: 5, max: 12, noNaN: true }), ...model.inputs.slice(1).map(() => share))
    fc.assert(
      fc.property(at, ([cable, ...shares]) => {
        const q = Float64Array.from([cable, ...shares.map((each, k) => each * (model.inputs[k + 1]?.sd ?? 0))])
        const count = model.readings.length
        const [y, low, high] = [0, 0, 0].map(() => new Float64Array(count)) as [
          Float64Array,
          Float64Array,
          Float64Array,
        ]
        model.predict(q, y)
        fc.pre((y[0] ?? 0) > 0.2 && (y[1] ?? 0) > 0.2 && Math.abs((y[0] ?? 0) - (y[1] ?? 0)) > 0.2)
        const jacobian = new Float64Array(count * q.length)
        model.slopes(q, y, jacobian)
        model.inputs.forEach(({ sd }, i) => {
          const step = 0.01 * sd
          const moved = (by: number) => q.map((value, k) => (k === i ? value + by : value))
          model.predict(moved(step), high)
          model.predict(moved(-step), low)
          for (let r = 0; r < count; r += 1) {
            const slope = ((high[r] ?? 0) - (low[r] ?? 0)) / 2 / 0.01
            expect(Math.abs((jacobian[r * q.length + i] ?? 0) * sd - slope)).toBeLessThan(0.02 + 0.01 * Math.abs(slope))
          }
        })
      }),
      { numRuns: 60 },
    )
  })

  it('says of each dimension what it is, its range and where its book figure comes from', () => {
    for (const spec of family.dimensions) {
      expect(spec.book).toBeGreaterThanOrEqual(spec.min)
      expect(spec.book).toBeLessThanOrEqual(spec.max)
      expect(spec.source.title.length).toBeGreaterThan(3)
    }
    expect(new Set(family.dimensions.map((each) => each.id)).size).toBe(family.dimensions.length)
  })
})

describe('impossible geometry is refused in words', () => {
  const fault = (id: string, own: Record<string, number>) => {
    const family = expectOk(findFamily(id))
    const built = fitFamily(family.id, own)
    return built.ok ? undefined : built.error
  }
  it.each([
    ['cantilever', { straddleMm: 100 }, 'straddleMm', /does not reach over/],
    ['cantilever', { rimWidthMm: 60, pivotSpacingMm: 55 }, 'rimWidthMm', /does not fit/],
    ['centre-pull', { straddleMm: 60 }, 'straddleMm', /does not reach over/],
    ['dual-pivot', { anchorHeightMm: 35 }, 'anchorHeightMm', /below the barrel/],
    ['single-pivot', { anchorHeightMm: 40 }, 'anchorHeightMm', /below the barrel/],
  ])('%s %j', (id, own, field, words) => {
    expect(fault(id, own as unknown as Record<string, number>)).toMatchObject({
      code: 'impossible-geometry',
      field,
      message: expect.stringMatching(words),
    })
  })
})
