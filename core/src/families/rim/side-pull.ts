import { retold } from '../../bench/steps.ts'
import type { Dimensions, Here, TraitSpec } from '../../brake/dimension.ts'
import type { Family } from '../../brake/family.ts'
import type { Feature } from '../../brake/feature.ts'
import type { Shape } from '../../brake/frame.ts'
import type { OnStand } from '../../brake/on-stand.ts'
import type { SeenSpec } from '../../brake/reading.ts'
import { type StepSpec, wholeSheet } from '../../brake/step.ts'
import { caliper } from '../../calculations/families.ts'
import { mirroredLinkage } from '../../linkages/mirror.ts'
import { type SidePullDimensions, sidePullLinkage } from '../../linkages/side-pull.ts'
import { cableAt, type Linkage } from '../../mechanics/linkage.ts'
import { add, type Point } from '../../mechanics/vector.ts'
import { rimFamily } from './family.ts'
import { mirroredOutline, mirroredPose } from './mirror.ts'
import type { Outline, Pose } from './outline.ts'
import { bend, hexagon, limb, padShapes, pin } from './parts.ts'
import { opened, shifted, turned } from './pose.ts'
import { rimSection } from './section.ts'

/** Which side of the caliper the cable comes to. */
const CABLE_SIDE: TraitSpec = {
  id: 'cableSide',
  title: 'cable comes to',
  options: [
    { id: 'left', title: 'the left' },
    { id: 'right', title: 'the right' },
  ],
  usual: (end) => (end === 'front' ? 'right' : 'left'),
  source: {
    kind: 'from-memory',
    title: 'In front usually on the rider’s right, behind on the left (from memory); look at this brake',
  },
}

export const cableOnRight = ({ traits }: Here): boolean => traits.cableSide === 'right'

/** The same, seen in a job. */
const CABLE_SIDE_SEEN: SeenSpec = {
  id: 'cableSide',
  title: 'cable comes to',
  shorthand: 'cside',
  standsOn: ['swap:brake'],
  how: 'From the saddle: which side of the caliper the cable comes to.',
  trait: 'cableSide',
  options: [
    { id: 'left', title: 'the left' },
    { id: 'right', title: 'the right' },
  ],
}

const CABLE_SIDE_STEP: StepSpec = {
  id: 'cable-side',
  posture: 'walk-round',
  station: 'match',
  before: 'cable-match',
  title: 'side the cable comes to',
  say: 'From behind the bar: on which side does the cable come to the caliper?',
  why: 'It tells which arm turns about which pivot, and so which pad climbs and which sinks as they wear. In front it is usually the right, behind the left (from memory).',
  cautions: [],
  maySkip: 'which pad climbs and which sinks is taken as usual',
  done: { kind: 'measured', readings: ['cableSide'] },
  when: wholeSheet,
}

/** A caliper that is dead is most often only open. */
const DEAD_FIRST = retold('dead-first', {
  title: 'quick-release of the brake closed',
  say: 'First close the quick-release of the brake, and look at the cable’s head.',
  done: {
    well: 'Closed, head home',
    remedy:
      'See what holds it open: a cable’s head out of its pocket, a quick-release that does not stay shut. Put that right first.',
  },
})

const SHAPE = [
  'caliperReachMm',
  'secondPivotMm',
  'cableOffsetMm',
  'barrelHeightMm',
  'anchorHeightMm',
  'rimWidthMm',
] as const

/** The working behind a side-pull caliper, at the gaps as they were last measured. */
function sidePullWorked({ dimensions: d, here, number }: OnStand) {
  const names = SHAPE.filter((id) => id in d)
  const built = sidePullLinkage(d as unknown as SidePullDimensions, [d.secondPivotMm ?? 0, 0], cableOnRight(here))
  const worked = built.ok
    ? caliper.work({
        pivotLeft: built.value.left.pivot,
        pivotRight: built.value.right.pivot,
        padFaceLeft: built.value.left.padFace,
        padFaceRight: built.value.right.padFace,
        cableLeft: built.value.left.cable,
        cableRight: built.value.right.cable,
        gapLeftMm: number('gapLeft') ?? 1,
        gapRightMm: number('gapRight') ?? 1,
      })
    : built
  return { dimensions: names, worked }
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
      fixing: { 'mounting bolt': [0, 0], 'pivot nut': onBolt ? [0, 0] : right.pivot },
      bounds: { min: [-78, -reach - 36], max: [78, (d.barrelHeightMm as number) + 24] },
    }
  }
}

type Own = Pick<Family, 'id' | 'title' | 'fit'> & Pick<Feature, 'dimensions'>

/** A family of calipers whose cable pulls both arms together on one side: which side is asked, drawn and worked with. */
export const sidePullFamily = (own: Own): Family =>
  rimFamily('centre-bolt', {
    ...own,
    traits: [CABLE_SIDE],
    opens:
      'Where it has a small lever at the caliper or at the brake lever, that opens it to take the wheel out; closed, it stands as it was handed over. Before riding, close it and squeeze hard: the lever must not come to the bar.',
    seen: [CABLE_SIDE_SEEN],
    steps: [CABLE_SIDE_STEP, DEAD_FIRST],
    worked: sidePullWorked,
  })
