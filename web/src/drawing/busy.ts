import type { Shape } from '@overhaul/core/brake/frame'
import type { Place } from './boxes.ts'
import type { Scale } from './paint.tsx'

/** Points along everything drawn, so that words keep clear of it. */
export function busyAt(shapes: readonly Shape[], scale: Scale): readonly Place[] {
  return shapes.flatMap((shape): readonly Place[] => {
    if (shape.role === 'axis') return []
    const points =
      shape.kind === 'circle'
        ? [0, 1, 2, 3, 4, 5].map((each): readonly [number, number] => [
            shape.centre[0] + shape.radius * Math.cos(each),
            shape.centre[1] + shape.radius * Math.sin(each),
          ])
        : shape.points
    const closed = shape.kind === 'line' ? points : [...points, ...points.slice(0, 1)]
    return closed.slice(1).flatMap((to, index) => {
      const from = closed[index] as readonly [number, number]
      const steps = Math.max(1, Math.round((Math.hypot(to[0] - from[0], to[1] - from[1]) * scale.k) / 8))
      return Array.from({ length: steps }, (_, step) => ({
        x: scale.x(from[0] + ((to[0] - from[0]) * step) / steps),
        y: scale.y(from[1] + ((to[1] - from[1]) * step) / steps),
      }))
    })
  })
}
