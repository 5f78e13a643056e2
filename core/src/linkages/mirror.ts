import type { Arm, Linkage } from '../mechanics/linkage.ts'
import type { Point } from '../mechanics/vector.ts'

const flip = ([x, y]: Point): Point => [-x, y]

const flipArm = (arm: Arm): Arm => ({
  pivot: flip(arm.pivot),
  padFace: flip(arm.padFace),
  cable: flip(arm.cable),
  opens: arm.opens === 1 ? -1 : 1,
})

/** The same brake built the other way round: left and right stay the rider’s. */
export const mirroredLinkage = ({ left, right, tie }: Linkage): Linkage => ({
  left: flipArm(right),
  right: flipArm(left),
  tie,
})
