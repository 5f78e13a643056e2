import type { Point } from '../calculation/calculation.ts'
import type { Shape, ShapeRole } from './frame.ts'

/** A closed figure, and an open path. */
export const figure = <Role extends string = ShapeRole>(role: Role, ...points: readonly Point[]): Shape<Role> => ({
  kind: 'polygon',
  role,
  points,
})
export const path = <Role extends string = ShapeRole>(role: Role, ...points: readonly Point[]): Shape<Role> => ({
  kind: 'line',
  role,
  points,
})
export const round = <Role extends string = ShapeRole>(role: Role, centre: Point, radius: number): Shape<Role> => ({
  kind: 'circle',
  role,
  centre,
  radius,
})

/** An upright rectangle between two corners. */
export const box = <Role extends string = ShapeRole>(role: Role, [x0, y0]: Point, [x1, y1]: Point): Shape<Role> =>
  figure(role, [x0, y0], [x1, y0], [x1, y1], [x0, y1])

const each = (shapes: readonly Shape[], move: (point: Point) => Point): readonly Shape[] =>
  shapes.map((shape) =>
    shape.kind === 'circle' ? { ...shape, centre: move(shape.centre) } : { ...shape, points: shape.points.map(move) },
  )

export const movedBy = (shapes: readonly Shape[], [dx, dy]: Point): readonly Shape[] =>
  each(shapes, ([x, y]) => [x + dx, y + dy])

export const mirrored = (shapes: readonly Shape[]): readonly Shape[] => each(shapes, ([x, y]) => [-x, y])

/** Turned about a point, anticlockwise, degrees. */
export function turnedBy(shapes: readonly Shape[], [cx, cy]: Point, deg: number): readonly Shape[] {
  const [sin, cos] = [Math.sin((deg * Math.PI) / 180), Math.cos((deg * Math.PI) / 180)]
  return each(shapes, ([x, y]) => [cx + (x - cx) * cos - (y - cy) * sin, cy + (x - cx) * sin + (y - cy) * cos])
}

/** Shapes as another part: a ghost of them, or a part found wrong. */
export const as = (role: ShapeRole, shapes: readonly Shape[]): readonly Shape[] =>
  shapes.map((shape) => ({ ...shape, role }))

/** Points of an arc about a centre, from one angle to another, degrees. */
export const arc = ([cx, cy]: Point, radius: number, from: number, to: number, steps = 18): readonly Point[] =>
  Array.from({ length: steps + 1 }, (_, index): Point => {
    const angle = ((from + ((to - from) * index) / steps) * Math.PI) / 180
    return [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)]
  })

/** An arrow from one point to another, its head at the end: where something is moved to. */
export function arrow([fromX, fromY]: Point, [x, y]: Point): readonly Shape[] {
  const long = Math.hypot(x - fromX, y - fromY)
  const [back, across] = [5, 4]
  const [dx, dy] = [(x - fromX) / long, (y - fromY) / long]
  const foot: Point = [x - back * dx, y - back * dy]
  return [
    path('cable', [fromX, fromY], [x, y]),
    path(
      'cable',
      [foot[0] - across * dy, foot[1] + across * dx],
      [x, y],
      [foot[0] + across * dy, foot[1] - across * dx],
    ),
  ]
}
