import { FROM_MEMORY } from '../../bench/dimensions.ts'
import type { DimensionSpec } from '../../brake/dimension.ts'
import type { Shape } from '../../brake/frame.ts'
import type { Point } from '../../calculation/calculation.ts'
import { add } from '../../mechanics/vector.ts'

const PAD_HALF_HEIGHT = 5
const PAD_THICKNESS = 9

/** A length of the brake itself, typical until it is measured. */
export const length = (id: string, title: string, book: number, min: number, max: number): DimensionSpec => ({
  id,
  title,
  unit: 'mm',
  book,
  min,
  max,
  source: FROM_MEMORY,
})

/** A limb of even breadth along a path, as a closed outline. */
export function limb(path: readonly Point[], breadth: number): readonly Point[] {
  const side = (sign: number) =>
    path.map(([x, y], index): Point => {
      const before = path[Math.max(0, index - 1)] as Point
      const after = path[Math.min(path.length - 1, index + 1)] as Point
      const span = Math.hypot(after[0] - before[0], after[1] - before[1]) || 1
      return [
        x + (sign * breadth * -(after[1] - before[1])) / span / 2,
        y + (sign * breadth * (after[0] - before[0])) / span / 2,
      ]
    })
  return [...side(1), ...side(-1).toReversed()]
}

/** A curve through three points, bending at the middle one. */
export const bend = (from: Point, by: Point, to: Point): readonly Point[] =>
  Array.from({ length: 13 }, (_, index): Point => {
    const t = index / 12
    const u = 1 - t
    return [u * u * from[0] + 2 * u * t * by[0] + t * t * to[0], u * u * from[1] + 2 * u * t * by[1] + t * t * to[1]]
  })

/** Pad, shoe and post of one side, standing out from the rim at a pad face. */
export function padShapes(side: -1 | 1, [x, y]: Point): readonly Shape[] {
  const box = (u0: number, u1: number, half: number): readonly Point[] => [
    [x + side * u0, y - half],
    [x + side * u1, y - half],
    [x + side * u1, y + half],
    [x + side * u0, y + half],
  ]
  return [
    { kind: 'polygon', role: 'pad', points: box(0, PAD_THICKNESS, PAD_HALF_HEIGHT) },
    { kind: 'polygon', role: 'shoe', points: box(PAD_THICKNESS, PAD_THICKNESS + 2.4, PAD_HALF_HEIGHT - 1) },
    { kind: 'polygon', role: 'post', points: box(PAD_THICKNESS + 2.4, PAD_THICKNESS + 10, 3) },
  ]
}

export const hexagon = (centre: Point, radius: number): readonly Point[] =>
  Array.from({ length: 6 }, (_, index) =>
    add(centre, [radius * Math.cos((index * Math.PI) / 3), radius * Math.sin((index * Math.PI) / 3)]),
  )

/** A pin an arm turns on. */
export const pin = (centre: Point, radius: number): readonly Shape[] => [
  { kind: 'circle', role: 'boss', centre, radius },
  { kind: 'circle', role: 'bolt', centre, radius: radius / 2 },
]
