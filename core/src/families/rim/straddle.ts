import type { Point } from '../../calculation/calculation.ts'
import type { Linkage } from '../../mechanics/linkage.ts'
import { cableAt } from '../../mechanics/linkage.ts'
import { add } from '../../mechanics/vector.ts'
import type { Shape } from '../family.ts'
import { hexagon } from './parts.ts'

/** Where the yoke hangs at an opening of the arms. */
export function yokeAt(linkage: Linkage, openLeft: number, openRight: number): Point {
  const left = cableAt(linkage.left, openLeft)
  const right = cableAt(linkage.right, openRight)
  const half = linkage.tie.kind === 'straddle' ? linkage.tie.lengthMm / 2 : 0
  const span = Math.abs(right[0] - left[0]) / 2
  return [(left[0] + right[0]) / 2, (left[1] + right[1]) / 2 + Math.sqrt(Math.max(0, half * half - span * span))]
}

/** Straddle cable, yoke and the main cable’s end. */
export function straddleShapes(linkage: Linkage, openLeft: number, openRight: number): readonly Shape[] {
  const yoke = yokeAt(linkage, openLeft, openRight)
  return [
    {
      kind: 'line',
      role: 'cable',
      points: [cableAt(linkage.left, openLeft), yoke, cableAt(linkage.right, openRight)],
    },
    { kind: 'line', role: 'cable', points: [yoke, add(yoke, [0, 26])] },
    { kind: 'line', role: 'housing', points: [add(yoke, [0, 26]), add(yoke, [0, 46])] },
    {
      kind: 'polygon',
      role: 'arm',
      points: [add(yoke, [-7, -1]), add(yoke, [7, -1]), add(yoke, [4, 9]), add(yoke, [-4, 9])],
    },
    { kind: 'polygon', role: 'bolt', points: hexagon(add(yoke, [0, 4]), 2.6) },
  ]
}
