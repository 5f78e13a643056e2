import type { Shape } from '../../brake/frame.ts'
import type { Point } from '../../calculation/calculation.ts'
import { type Arm, type Linkage, openingForGap, padAt } from '../../mechanics/linkage.ts'
import { add, rotateAbout } from '../../mechanics/vector.ts'
import type { Pose } from './outline.ts'

const moved = (shapes: readonly Shape[], move: (point: Point) => Point): readonly Shape[] =>
  shapes.map((shape) =>
    shape.kind === 'circle' ? { ...shape, centre: move(shape.centre) } : { ...shape, points: shape.points.map(move) },
  )

/** Shapes of an arm, drawn at contact, as they lie when it stands open by an angle. */
export const turned = (shapes: readonly Shape[], arm: Arm, openRad: number): readonly Shape[] =>
  moved(shapes, (point) => rotateAbout(point, arm.pivot, arm.opens * openRad))

export const shifted = (shapes: readonly Shape[], by: Point): readonly Shape[] =>
  moved(shapes, (point) => add(point, by))

/** How far both arms stand open at a pose, and where its gaps are pointed at: half-way from pad to rim. */
export function opened({ left, right }: Linkage, { gapLeftMm, gapRightMm, rimShiftMm }: Pose) {
  const openLeft = openingForGap(left, gapLeftMm - rimShiftMm) ?? 0
  const openRight = openingForGap(right, gapRightMm + rimShiftMm) ?? 0
  const gapAt = (arm: Arm, openRad: number): Point => {
    const [x, y] = padAt(arm, openRad)
    return [(x + arm.padFace[0] + rimShiftMm) / 2, y]
  }
  return { openLeft, openRight, gaps: { gapLeft: gapAt(left, openLeft), gapRight: gapAt(right, openRight) } }
}
