import type { Point } from '../../calculation/calculation.ts'
import { type Arm, cableAt, type Linkage } from '../../mechanics/linkage.ts'
import { add } from '../../mechanics/vector.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import type { Dimensions, Here, Outline, Pose, Shape, TraitSpec } from '../family.ts'
import { closes } from './assemble.ts'
import { mirroredLinkage, mirroredOutline, mirroredPose } from './mirror.ts'
import { bend, hexagon, limb, padShapes, pin } from './parts.ts'
import { opened, shifted, turned } from './pose.ts'
import { rimSection } from './section.ts'

/** What can be measured on a side-pull caliper at contact, in mm; origin at the mounting bolt, seen from the saddle. */
export interface SidePullDimensions {
  /** Mounting bolt to middle of the pad, straight down. */
  readonly caliperReachMm: number
  /** Mounting bolt to the cable, sideways: both arms are pulled there. */
  readonly cableOffsetMm: number
  /** Height of the barrel’s end of the cable above the bolt, and of the anchor’s. */
  readonly barrelHeightMm: number
  readonly anchorHeightMm: number
  readonly rimWidthMm: number
}

/** Which side of the caliper the cable comes to. */
export const CABLE_SIDE: TraitSpec = {
  id: 'cableSide',
  title: 'cable comes to',
  options: ['left', 'right'],
  usual: (end) => (end === 'front' ? 'right' : 'left'),
  source: {
    kind: 'from-memory',
    title: 'In front usually on the rider’s right, behind on the left (from memory); look at this brake',
  },
}

export const cableOnRight = ({ traits }: Here): boolean => traits.cableSide === 'right'

/**
 * A caliper whose inner and housing pull its arms together on the left (mirrored where the cable comes to the right): the housing pushes down the arm that turns on
 * the mounting bolt and carries the left pad; the inner pulls up the arm that turns on the second pivot and carries the
 * right one. With both on the bolt it is a single-pivot. Refuses an anchor above the barrel and a pull that opens.
 */
export function sidePullLinkage(d: SidePullDimensions, secondPivot: Point, here: Here): Outcome<Linkage> {
  if (d.barrelHeightMm <= d.anchorHeightMm) {
    return refuse(
      'impossible-geometry',
      'anchorHeightMm',
      `The anchor stands ${d.anchorHeightMm} mm above the bolt, the barrel ${d.barrelHeightMm} mm. Accepted: the anchor below the barrel.`,
    )
  }
  const left: Arm = {
    pivot: [0, 0],
    padFace: [-d.rimWidthMm / 2, -d.caliperReachMm],
    cable: [-d.cableOffsetMm, d.barrelHeightMm],
    opens: -1,
  }
  const right: Arm = {
    pivot: secondPivot,
    padFace: [d.rimWidthMm / 2, -d.caliperReachMm],
    cable: [-d.cableOffsetMm, d.anchorHeightMm],
    opens: 1,
  }
  const linkage: Linkage = { left, right, tie: { kind: 'direct' } }
  return closes(linkage)
    ? ok(cableOnRight(here) ? mirroredLinkage(linkage) : linkage)
    : refuse(
        'impossible-geometry',
        'cableOffsetMm',
        'The cable would lengthen as the pads close: check where it pulls.',
      )
}

/** The caliper drawn from the geometry the core computes with: arms arched over the tyre, pulled together on one side. */
export function sidePullOutline(
  d: Dimensions,
  linkage: Linkage,
  here: Here,
  own: readonly Shape[],
  anchors: Outline['anchors'],
): (pose: Pose) => Outline {
  if (!cableOnRight(here)) return cableOnLeft(d, linkage, own, anchors)
  const draw = cableOnLeft(d, mirroredLinkage(linkage), own, anchors)
  return (pose) => mirroredOutline(draw(mirroredPose(pose)))
}

function cableOnLeft(
  d: Dimensions,
  linkage: Linkage,
  own: readonly Shape[],
  anchors: Outline['anchors'],
): (pose: Pose) => Outline {
  const reach = d.caliperReachMm as number
  const wheel = rimSection(d.rimWidthMm as number, d.tyreWidthMm as number, -reach)
  const half = (d.rimWidthMm as number) / 2
  const wide = Math.max((d.tyreWidthMm as number) / 2 + 9, half + 17)
  const { left, right } = linkage
  const shoulder = (side: -1 | 1): Point => [side * wide, -8]
  const foot = (side: -1 | 1): Point => [side * (half + 15), -reach + 2]
  const leftArm: readonly Shape[] = [
    { kind: 'polygon', role: 'arm', points: limb(bend(left.cable, [-6, (left.cable[1] + 6) / 2], left.pivot), 9) },
    { kind: 'polygon', role: 'arm', points: limb(bend(left.pivot, shoulder(-1), foot(-1)), 10) },
    ...padShapes(-1, left.padFace),
  ]
  const rightArm: readonly Shape[] = [
    { kind: 'polygon', role: 'arm', points: limb(bend(right.cable, [-2, right.cable[1] + 1], right.pivot), 8) },
    { kind: 'polygon', role: 'arm', points: limb(bend(right.pivot, shoulder(1), foot(1)), 10) },
    ...padShapes(1, right.padFace),
    ...own,
  ]
  const onBolt = right.pivot[0] === left.pivot[0] && right.pivot[1] === left.pivot[1]
  const pins = [...pin(left.pivot, 5.5), ...(onBolt ? [] : pin(right.pivot, 4))]
  return (pose) => {
    const { openLeft, openRight, gaps } = opened(linkage, pose)
    const barrel = cableAt(left, openLeft)
    const anchor = cableAt(right, openRight)
    return {
      fixed: shifted(wheel, [pose.rimShiftMm, 0]),
      left: turned(leftArm, left, openLeft),
      right: [...turned(rightArm, right, openRight), ...pins],
      cable: [
        { kind: 'line', role: 'housing', points: [add(barrel, [-1, 20]), add(barrel, [0, 7])] },
        { kind: 'line', role: 'cable', points: [add(barrel, [0, 7]), add(anchor, [0, -9])] },
        { kind: 'polygon', role: 'bolt', points: hexagon(anchor, 3.2) },
      ],
      anchors: {
        ...gaps,
        anchor,
        barrel: add(barrel, [0, 10]),
        ...anchors,
      },
      bounds: { min: [-78, -reach - 36], max: [78, (d.barrelHeightMm as number) + 24] },
    }
  }
}
