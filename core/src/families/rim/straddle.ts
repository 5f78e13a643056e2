import type { Shape } from '../../brake/frame.ts'
import { yokeAt } from '../../linkages/yoke.ts'
import { cableAt, type Linkage } from '../../mechanics/linkage.ts'
import { add } from '../../mechanics/vector.ts'
import { hexagon } from './parts.ts'

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
