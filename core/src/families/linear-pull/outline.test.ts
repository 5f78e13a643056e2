import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Shape } from '../../brake/frame.ts'
import type { Point } from '../../calculation/calculation.ts'
import { linearPullLinkage } from '../../linkages/linear-pull.ts'
import { expectOk } from '../../outcome/outcome.ts'
import { DIMENSIONS } from '../../testing/stand.ts'
import type { Outline } from '../rim/outline.ts'
import { linearPullOutline } from './outline.ts'

const gap = fc.double({ min: 0, max: 3, noNaN: true })
const shift = fc.double({ min: -0.8, max: 0.8, noNaN: true })

const outlineAt = linearPullOutline(DIMENSIONS, expectOk(linearPullLinkage(DIMENSIONS as never)))
const draw = (gapLeftMm: number, gapRightMm: number, rimShiftMm = 0): Outline =>
  outlineAt({ gapLeftMm, gapRightMm, rimShiftMm })
const pointsOf = (shape: Shape): readonly Point[] => (shape.kind === 'circle' ? [shape.centre] : shape.points)
const role = (shapes: readonly Shape[], wanted: string) =>
  shapes.filter((each) => each.role === wanted).flatMap(pointsOf)
const middle = (a: Point, b: Point): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
/** Middle of the pad's face: the first and last corner of its box lie on the face. */
const face = (shapes: readonly Shape[]): Point => {
  const corners = role(shapes, 'pad')
  return middle(corners[0] as Point, corners[3] as Point)
}

describe('the drawing of a linear-pull brake', () => {
  it('shows the gaps it was given, to scale, at the middle of the pads', () => {
    fc.assert(
      fc.property(gap, gap, shift, (left, right, rim) => {
        const outline = draw(left, right, rim)
        const half = (DIMENSIONS.rimWidthMm as number) / 2
        expect(rim - half - face(outline.left)[0]).toBeCloseTo(left, 6)
        expect(face(outline.right)[0] - (rim + half)).toBeCloseTo(right, 6)
      }),
    )
  })

  it('turns its arms as rigid bodies about bosses that stay where they are', () => {
    fc.assert(
      fc.property(gap, gap, (left, right) => {
        const closed = draw(0, 0)
        const open = draw(left, right)
        const boss = (outline: Outline) => role(outline.left, 'boss')[0] as Point
        expect(boss(open)[0]).toBeCloseTo(-(DIMENSIONS.pivotSpacingMm as number) / 2, 9)
        const spans = (outline: Outline) =>
          role(outline.left, 'arm').map(([x, y]) => Math.hypot(x - boss(outline)[0], y - boss(outline)[1]))
        spans(open).forEach((span, index) => {
          expect(span).toBeCloseTo(spans(closed)[index] as number, 6)
        })
      }),
    )
  })

  it('is a mirror image of itself with the gaps swapped', () => {
    const one = draw(0.5, 1.5)
    const other = draw(1.5, 0.5)
    role(one.left, 'arm').forEach(([x, y], index) => {
      const mirrored = role(other.right, 'arm')[index] as Point
      expect(mirrored[0]).toBeCloseTo(-x, 6)
      expect(mirrored[1]).toBeCloseTo(y, 6)
    })
  })

  it('points its leader lines into the gaps', () => {
    fc.assert(
      fc.property(gap, gap, (left, right) => {
        const { anchors, left: leftShapes } = draw(left, right)
        const half = (DIMENSIONS.rimWidthMm as number) / 2
        const [x] = anchors.gapLeft as Point
        expect(x).toBeLessThanOrEqual(-half + 1e-6)
        expect(x).toBeGreaterThanOrEqual(face(leftShapes)[0] - 1e-6)
        expect(Object.keys(anchors)).toEqual(expect.arrayContaining(['leftScrew', 'rightScrew', 'anchor', 'barrel']))
      }),
    )
  })

  it('keeps everything that moves inside its bounds', () => {
    const { bounds, left, right, cable } = draw(3, 3)
    for (const [x, y] of [...left, ...right, ...cable].flatMap(pointsOf)) {
      expect(x).toBeGreaterThanOrEqual(bounds.min[0])
      expect(x).toBeLessThanOrEqual(bounds.max[0])
      expect(y).toBeGreaterThanOrEqual(bounds.min[1])
      expect(y).toBeLessThanOrEqual(bounds.max[1])
    }
  })

  it('draws the rim and the tyre as wide as they are', () => {
    const width = (points: readonly Point[]) =>
      Math.max(...points.map(([x]) => x)) - Math.min(...points.map(([x]) => x))
    const { fixed } = draw(1, 1)
    expect(width(role(fixed, 'cut'))).toBeCloseTo(DIMENSIONS.rimWidthMm as number, 6)
    expect(width(role(fixed, 'tyre'))).toBeCloseTo(DIMENSIONS.tyreWidthMm as number, 0)
  })
})
