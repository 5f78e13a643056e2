import type { DimensionLine } from '@overhaul/core/brake/frame'
import type { Place } from './boxes.ts'
import type { Scale } from './paint.tsx'

/** A dimension as an engineer draws it, in pixels. */
export interface DrawnDimension {
  readonly from: Place
  readonly to: Place
  /** From what is measured to its line and a little beyond. */
  readonly witnesses: readonly (readonly [Place, Place])[]
  /** Too short for arrowheads between its ends: they stand outside and point inwards. */
  readonly outside: boolean
}

const SHORT = 30
const BEYOND = 5

/** Where a dimension's line, its witness lines and its arrowheads stand. */
export function drawnDimension(line: DimensionLine, scale: Scale): DrawnDimension {
  const at = ([x, y]: readonly [number, number]): Place => ({ x: scale.x(x), y: scale.y(y) })
  const [a, b] = [at(line.from), at(line.to)]
  const long = Math.hypot(b.x - a.x, b.y - a.y)
  const outside = line.of !== 'force' && line.of !== 'radius' && long < SHORT
  if (!line.beside || long === 0) return { from: a, to: b, witnesses: [], outside }
  // Left of the way from one to the other: on paper y runs down.
  const left = { x: (b.y - a.y) / long, y: -(b.x - a.x) / long }
  const off = line.beside * scale.k
  const move = ({ x, y }: Place, by: number): Place => ({ x: x + left.x * by, y: y + left.y * by })
  const beyond = off + Math.sign(off) * BEYOND
  return {
    from: move(a, off),
    to: move(b, off),
    witnesses: [
      [a, move(a, beyond)],
      [b, move(b, beyond)],
    ],
    outside,
  }
}
