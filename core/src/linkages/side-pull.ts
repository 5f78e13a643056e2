import type { Arm, Linkage } from '../mechanics/linkage.ts'
import type { Point } from '../mechanics/vector.ts'
import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { closes } from './closes.ts'
import { mirroredLinkage } from './mirror.ts'

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

/**
 * A caliper whose inner and housing pull its arms together on the left (mirrored where the cable comes to the right): the housing pushes down the arm that turns on
 * the mounting bolt and carries the left pad; the inner pulls up the arm that turns on the second pivot and carries the
 * right one. With both on the bolt it is a single-pivot. Refuses an anchor above the barrel and a pull that opens.
 */
export function sidePullLinkage(d: SidePullDimensions, secondPivot: Point, cableOnRight: boolean): Outcome<Linkage> {
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
    ? ok(cableOnRight ? mirroredLinkage(linkage) : linkage)
    : refuse(
        'impossible-geometry',
        'cableOffsetMm',
        'The cable would lengthen as the pads close: check where it pulls.',
      )
}
