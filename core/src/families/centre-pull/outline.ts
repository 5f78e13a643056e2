import type { Dimensions } from '../../brake/dimension.ts'
import type { Shape } from '../../brake/frame.ts'
import type { Point } from '../../calculation/calculation.ts'
import { yokeAt } from '../../linkages/yoke.ts'
import { type Arm, cableAt, type Linkage } from '../../mechanics/linkage.ts'
import { add } from '../../mechanics/vector.ts'
import type { Outline, Pose } from '../rim/outline.ts'
import { bend, limb, padShapes, pin } from '../rim/parts.ts'
import { opened, shifted, turned } from '../rim/pose.ts'
import { rimSection } from '../rim/section.ts'
import { straddleShapes } from '../rim/straddle.ts'

function armShapes(side: -1 | 1, arm: Arm, wide: number, foot: Point): readonly Shape[] {
  const over: Point = [(arm.pivot[0] + arm.cable[0]) / 2, arm.cable[1] * 0.35]
  return [
    { kind: 'polygon', role: 'arm', points: limb(bend(arm.cable, over, arm.pivot), 8) },
    { kind: 'polygon', role: 'arm', points: limb(bend(arm.pivot, [side * wide, -8], foot), 10) },
    ...padShapes(side, arm.padFace),
  ]
}

/** The caliper drawn from the geometry the core computes with: crossed arms on a plate, pulled up over a yoke. */
export function centrePullOutline(d: Dimensions, linkage: Linkage): (pose: Pose) => Outline {
  const reach = d.caliperReachMm as number
  const half = (d.rimWidthMm as number) / 2
  const { left, right } = linkage
  const wheel = rimSection(d.rimWidthMm as number, d.tyreWidthMm as number, -reach)
  const wide = Math.max((d.tyreWidthMm as number) / 2 + 12, right.pivot[0] + 8)
  const arms = {
    left: armShapes(-1, left, wide, [-half - 15, -reach + 2]),
    right: armShapes(1, right, wide, [half + 15, -reach + 2]),
  }
  const plate: readonly Shape[] = [
    { kind: 'polygon', role: 'arm', points: limb([left.pivot, right.pivot], 12) },
    ...pin(left.pivot, 4),
    ...pin(right.pivot, 4),
    ...pin([0, 0], 5.5),
  ]
  const top = yokeAt(linkage, 0, 0)[1]
  return (pose) => {
    const { openLeft, openRight, gaps } = opened(linkage, pose)
    const yoke = yokeAt(linkage, openLeft, openRight)
    return {
      fixed: shifted(wheel, [pose.rimShiftMm, 0]),
      left: turned(arms.left, left, openLeft),
      right: [...turned(arms.right, right, openRight), ...plate],
      cable: straddleShapes(linkage, openLeft, openRight),
      anchors: {
        ...gaps,
        caliper: [0, 0],
        anchor: add(yoke, [0, 4]),
        barrel: add(yoke, [0, 44]),
      },
      fixing: { 'mounting bolt': [0, 0], 'pivot nut': right.pivot, 'straddle anchor': cableAt(left, openLeft) },
      bounds: { min: [-78, -reach - 36], max: [78, top + 52] },
    }
  }
}
