import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compileLinkage } from '../linkages/compile.ts'
import { linearPullLinkage } from '../linkages/linear-pull.ts'
import { expectOk } from '../outcome/outcome.ts'
import {
  cablePull,
  gapAt,
  gapRate,
  type Linkage,
  linkageRatio,
  openingForGap,
  restOpening,
  tieLength,
  tieRates,
} from './linkage.ts'
import { padShiftPerTurn } from './spring.ts'

const dimensions = fc.record({
  pivotSpacingMm: fc.double({ min: 70, max: 95, noNaN: true }),
  armMm: fc.double({ min: 85, max: 125, noNaN: true }),
  padHeightMm: fc.double({ min: 22, max: 40, noNaN: true }),
  padStandoffMm: fc.double({ min: 24, max: 32, noNaN: true }),
  rimWidthMm: fc.double({ min: 18, max: 32, noNaN: true }),
})
const gap = fc.double({ min: 0, max: 3, noNaN: true })

/** A cantilever-like linkage on the same arms: a straddle cable over a yoke. */
const straddled = (linkage: Linkage): Linkage => ({
  left: { ...linkage.left, cable: [-62, 40] },
  right: { ...linkage.right, cable: [62, 40] },
  tie: { kind: 'straddle', lengthMm: 170 },
})

describe('the general linkage', () => {
  // Virtual work without friction: the ratio from geometry is the derivative of the pull. Textbook; a property, not a value.
  it.each([
    ['tip to tip', (linkage: Linkage) => linkage],
    ['over a yoke', straddled],
  ])('%s: the ratio from the geometry is the numerical derivative of the pull', (_, tie) => {
    fc.assert(
      fc.property(dimensions, gap, gap, (d, left, right) => {
        const built = linearPullLinkage(d)
        fc.pre(built.ok)
        const linkage = tie(expectOk(built))
        const opening = {
          left: openingForGap(linkage.left, left) ?? 0,
          right: openingForGap(linkage.right, right) ?? 0,
        }
        // Small enough for pads that move almost along the rim, where the pull for a gap bends sharply.
        const step = 1e-6
        const numeric = (side: 'left' | 'right') => {
          const up = { ...opening, [side]: opening[side] + step }
          const down = { ...opening, [side]: opening[side] - step }
          const pull = cablePull(linkage, up) - cablePull(linkage, down)
          return pull / (gapAt(linkage[side], up[side]) - gapAt(linkage[side], down[side]))
        }
        const ratio = linkageRatio(linkage, opening)
        expect(ratio.left / numeric('left')).toBeCloseTo(1, 4)
        expect(ratio.right / numeric('right')).toBeCloseTo(1, 4)
      }),
    )
  })

  it('is symmetric: swapping the gaps swaps the pads and keeps the pull', () => {
    fc.assert(
      fc.property(dimensions, gap, gap, (d, one, other) => {
        const built = linearPullLinkage(d)
        fc.pre(built.ok)
        const linkage = expectOk(built)
        const open = (left: number, right: number) => ({
          left: openingForGap(linkage.left, left) ?? 0,
          right: openingForGap(linkage.right, right) ?? 0,
        })
        expect(cablePull(linkage, open(one, other))).toBeCloseTo(cablePull(linkage, open(other, one)), 9)
        expect(linkageRatio(linkage, open(one, other)).left).toBeCloseTo(
          linkageRatio(linkage, open(other, one)).right,
          9,
        )
      }),
    )
  })

  it('pulls more cable for a wider gap, always', () => {
    fc.assert(
      fc.property(dimensions, gap, fc.double({ min: 0.01, max: 1, noNaN: true }), (d, at, more) => {
        const built = linearPullLinkage(d)
        fc.pre(built.ok)
        const linkage = expectOk(built)
        const pull = (g: number) => {
          const angle = openingForGap(linkage.left, g) ?? 0
          return cablePull(linkage, { left: angle, right: angle })
        }
        expect(pull(at + more)).toBeGreaterThan(pull(at))
      }),
    )
  })

  it('finds the angle that gives a gap', () => {
    fc.assert(
      fc.property(dimensions, gap, (d, wanted) => {
        const built = linearPullLinkage(d)
        fc.pre(built.ok)
        const { left } = expectOk(built)
        expect(gapAt(left, openingForGap(left, wanted) as number)).toBeCloseTo(wanted, 8)
      }),
    )
  })

  it('rests where the cable is used up and the springs differ as told', () => {
    fc.assert(
      fc.property(
        dimensions,
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: -0.06, max: 0.06, noNaN: true }),
        (d, cable, difference) => {
          const built = linearPullLinkage(d)
          fc.pre(built.ok)
          const linkage = expectOk(built)
          // Arms leaning in until their tips all but meet are no brake: there the tie has no slope to follow.
          fc.pre(tieLength(linkage, { left: 0, right: 0 }) > 40)
          const rest = restOpening(linkage, cable, difference)
          expect(cablePull(linkage, rest)).toBeCloseTo(cable, 6)
          expect(rest.left - rest.right).toBeCloseTo(difference, 9)
          const mean = compileLinkage(linkage).restMean(cable, difference)
          const quick = { left: mean + difference / 2, right: mean - difference / 2 }
          expect(cablePull(linkage, quick)).toBeCloseTo(cable, 3)
        },
      ),
    )
  })

  it('the compiled linkage agrees with the plain one', () => {
    fc.assert(
      fc.property(dimensions, gap, gap, (d, a, b) => {
        const built = linearPullLinkage(d)
        fc.pre(built.ok)
        const linkage = expectOk(built)
        const fast = compileLinkage(linkage)
        const opening = { left: a / 28, right: b / 28 }
        expect(fast.tie(opening.left, opening.right)).toBeCloseTo(tieLength(linkage, opening), 9)
        expect(fast.gapLeft(opening.left)).toBeCloseTo(gapAt(linkage.left, opening.left), 9)
        expect(fast.gapRight(opening.right)).toBeCloseTo(gapAt(linkage.right, opening.right), 9)
        expect(fast.rateLeft).toBeCloseTo(gapRate(linkage.left, 0), 9)
      }),
    )
  })

  it('a straddle’s yoke rises as its arms close', () => {
    const linkage = straddled(
      expectOk(
        linearPullLinkage({ pivotSpacingMm: 80, armMm: 105, padHeightMm: 28, padStandoffMm: 28, rimWidthMm: 24 }),
      ),
    )
    const rates = tieRates(linkage, { left: 0, right: 0 })
    expect(rates.left).toBeGreaterThan(0)
    expect(rates.left).toBeCloseTo(rates.right, 12)
  })
})

describe('spring balance', () => {
  // Worked figure: 0.75 mm pitch at 15 mm radius and 28 mm pad height is about 0.7 mm a turn, each way.
  it('one screw turn moves its pad out by about 0.7 mm', () => {
    expect(padShiftPerTurn(0.75, 15, 28)).toBeCloseTo(0.7, 2)
  })
})
