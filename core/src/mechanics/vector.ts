export type Point = readonly [number, number]

export const subtract = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1]]
export const add = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1]]
export const distance = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1])

/** `point` turned about `centre`; positive is anticlockwise, y up. Angle in radians. */
export function rotateAbout(point: Point, centre: Point, angleRad: number): Point {
  const [x, y] = subtract(point, centre)
  const cos = Math.cos(angleRad)
  const sin = Math.sin(angleRad)
  return [centre[0] + cos * x - sin * y, centre[1] + sin * x + cos * y]
}

export const toRad = (deg: number): number => (deg * Math.PI) / 180
export const toDeg = (rad: number): number => (rad * 180) / Math.PI
