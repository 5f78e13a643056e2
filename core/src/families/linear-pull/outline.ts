import type { Dimensions } from '../../brake/dimension.ts'
import type { Shape } from '../../brake/frame.ts'
import type { Point } from '../../calculation/calculation.ts'
import { type Arm, cableAt, type Linkage } from '../../mechanics/linkage.ts'
import { add, rotateAbout } from '../../mechanics/vector.ts'
import type { Outline, Pose } from '../rim/outline.ts'
import { hexagon } from '../rim/parts.ts'
import { opened, shifted, turned } from '../rim/pose.ts'
import { rimSection } from '../rim/section.ts'

const PAD_HALF_HEIGHT = 5
const PAD_THICKNESS = 9

/** Arm parts in the arm's own frame at contact: u outward from the wheel, v up, origin at the boss. */
function armShapes(d: Dimensions, arm: Arm): readonly Shape[] {
  const side = Math.sign(arm.pivot[0])
  const faceU = side * (arm.padFace[0] - arm.pivot[0])
  const faceV = arm.padFace[1] - arm.pivot[1]
  const tipV = d.armMm as number
  const at = (u: number, v: number): Point => [arm.pivot[0] + side * u, arm.pivot[1] + v]
  const box = (u0: number, u1: number, v0: number, v1: number): readonly Point[] => [
    at(u0, v0),
    at(u1, v0),
    at(u1, v1),
    at(u0, v1),
  ]
  const padBack = faceU + PAD_THICKNESS
  return [
    {
      kind: 'polygon',
      role: 'arm',
      points: [
        at(-6, -6),
        at(6, -6),
        at(7, 6),
        at(5.5, 40),
        at(3.6, tipV - 8),
        at(4, tipV + 5),
        at(-3.4, tipV + 5),
        at(-3.6, tipV - 8),
        at(-5, 40),
        at(-7, 6),
      ],
    },
    { kind: 'polygon', role: 'pad', points: box(faceU, padBack, faceV - PAD_HALF_HEIGHT, faceV + PAD_HALF_HEIGHT) },
    {
      kind: 'polygon',
      role: 'shoe',
      points: box(padBack, padBack + 2.4, faceV - PAD_HALF_HEIGHT + 1, faceV + PAD_HALF_HEIGHT - 1),
    },
    { kind: 'polygon', role: 'post', points: box(padBack + 2.4, -5.6, faceV - 2, faceV + 2) },
    { kind: 'polygon', role: 'post', points: box(5.7, 10, faceV - 3, faceV + 3) },
    { kind: 'circle', role: 'boss', centre: arm.pivot, radius: 4.6 },
    { kind: 'circle', role: 'bolt', centre: arm.pivot, radius: 2.2 },
    { kind: 'line', role: 'screw', points: [at(6.6, 3.6), at(13.5, 4.4)] },
  ]
}

/** The brake drawn from the geometry the core computes with, at any pose of its pads. */
export function linearPullOutline(d: Dimensions, linkage: Linkage): (pose: Pose) => Outline {
  const left = armShapes(d, linkage.left)
  const right = armShapes(d, linkage.right)
  const wheel = rimSection(d.rimWidthMm as number, d.tyreWidthMm as number, linkage.left.padFace[1])
  const tipV = d.armMm as number
  return (pose) => {
    const { openLeft, openRight, gaps } = opened(linkage, pose)
    const tipLeft = cableAt(linkage.left, openLeft)
    const tipRight = cableAt(linkage.right, openRight)
    const screwAt = (arm: Arm, open: number, side: number) =>
      rotateAbout([arm.pivot[0] + side * 13.5, arm.pivot[1] + 4.4], arm.pivot, arm.opens * open)
    /** The nut on a pad’s post, outside the arm. */
    const nutAt = (arm: Arm, open: number, side: number) =>
      rotateAbout([arm.pivot[0] + side * 8, arm.padFace[1]], arm.pivot, arm.opens * open)
    return {
      fixed: shifted(wheel, [pose.rimShiftMm, 0]),
      left: turned(left, linkage.left, openLeft),
      right: turned(right, linkage.right, openRight),
      cable: [
        { kind: 'line', role: 'cable', points: [add(tipLeft, [-13, -1]), tipLeft, tipRight] },
        { kind: 'line', role: 'housing', points: pipe(tipRight) },
        { kind: 'polygon', role: 'bolt', points: hexagon(tipLeft, 3.2) },
      ],
      anchors: {
        ...gaps,
        leftScrew: screwAt(linkage.left, openLeft, -1),
        rightScrew: screwAt(linkage.right, openRight, 1),
        anchor: tipLeft,
        barrel: add(tipRight, [20, 14]),
      },
      fixing: {
        'left boss bolt': linkage.left.pivot,
        'right boss bolt': linkage.right.pivot,
        'left pad': nutAt(linkage.left, openLeft, -1),
        'right pad': nutAt(linkage.right, openRight, 1),
      },
      bounds: { min: [-78, -16], max: [78, tipV + 20] },
    }
  }
}

/** The guide pipe: straight out of the arm, then bent up towards the lever. */
function pipe(tip: Point): readonly Point[] {
  const bend = Array.from({ length: 9 }, (_, index): Point => {
    const angle = (index / 8) * (Math.PI / 2)
    return add(tip, [8 + 10 * Math.sin(angle), 10 - 10 * Math.cos(angle)])
  })
  return [tip, ...bend, add(tip, [18, 17])]
}
