import type { Point } from '../../calculation/calculation.ts'
import type { Arm } from '../../mechanics/linkage.ts'
import { add, rotateAbout } from '../../mechanics/vector.ts'
import type { Shape } from '../family.ts'

const moved = (shapes: readonly Shape[], move: (point: Point) => Point): readonly Shape[] =>
  shapes.map((shape) =>
    shape.kind === 'circle' ? { ...shape, centre: move(shape.centre) } : { ...shape, points: shape.points.map(move) },
  )

/** Shapes of an arm, drawn at contact, as they lie when it stands open by an angle. */
export const turned = (shapes: readonly Shape[], arm: Arm, openRad: number): readonly Shape[] =>
  moved(shapes, (point) => rotateAbout(point, arm.pivot, arm.opens * openRad))

export const shifted = (shapes: readonly Shape[], by: Point): readonly Shape[] =>
  moved(shapes, (point) => add(point, by))
