import type { Dimensions } from '../../brake/dimension.ts'
import type { Shape } from '../../brake/frame.ts'
import type { Point } from '../../calculation/calculation.ts'
import { yokeAt } from '../../linkages/yoke.ts'
import { type Arm, cableAt, type Linkage } from '../../mechanics/linkage.ts'
import { add, rotateAbout } from '../../mechanics/vector.ts'
import type { Outline, Pose } from '../rim/outline.ts'
import { bend, limb, padShapes, pin } from '../rim/parts.ts'
import { opened, shifted, turned } from '../rim/pose.ts'
import { rimSection } from '../rim/section.ts'
import { straddleShapes } from '../rim/straddle.ts'

function armShapes(side: -1 | 1, arm: Arm): readonly Shape[] {
  const post: Point = add(arm.padFace, [side * 16, 0])
  const middle: Point = [(arm.pivot[0] + arm.cable[0]) / 2 + side * 2, arm.cable[1] * 0.4]
  return [
    { kind: 'polygon', role: 'arm', points: limb(bend(arm.pivot, middle, arm.cable), 11) },
    {
      kind: 'polygon',
      role: 'arm',
      points: limb([arm.pivot, [(arm.pivot[0] + post[0]) / 2 + side * 3, post[1] * 0.55], post], 10),
    },
    ...padShapes(side, arm.padFace),
    ...pin(arm.pivot, 4.6),
  ]
}

/** The cantilever drawn from the geometry the core computes with. */
export function cantileverOutline(d: Dimensions, linkage: Linkage): (pose: Pose) => Outline {
  const { left, right } = linkage
  const wheel = rimSection(d.rimWidthMm as number, d.tyreWidthMm as number, left.padFace[1])
  const screw: readonly Shape[] = [
    { kind: 'line', role: 'screw', points: [add(left.pivot, [-7, 4]), add(left.pivot, [-14, 5])] },
  ]
  const shapes = { left: [...armShapes(-1, left), ...screw], right: armShapes(1, right) }
  const top = yokeAt(linkage, 0, 0)[1]
  const wide = Math.max(70, right.cable[0] + 12)
  return (pose) => {
    const { openLeft, openRight, gaps } = opened(linkage, pose)
    const yoke = yokeAt(linkage, openLeft, openRight)
    return {
      fixed: shifted(wheel, [pose.rimShiftMm, 0]),
      left: turned(shapes.left, left, openLeft),
      right: turned(shapes.right, right, openRight),
      cable: straddleShapes(linkage, openLeft, openRight),
      anchors: {
        ...gaps,
        leftScrew: rotateAbout(add(left.pivot, [-14, 5]), left.pivot, left.opens * openLeft),
        anchor: add(yoke, [0, 4]),
        barrel: add(yoke, [0, 44]),
      },
      fixing: {
        'left boss bolt': left.pivot,
        'right boss bolt': right.pivot,
        'straddle anchor': cableAt(left, openLeft),
      },
      bounds: { min: [-wide, -18], max: [wide, top + 52] },
    }
  }
}
