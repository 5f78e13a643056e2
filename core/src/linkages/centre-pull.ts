import type { Arm, Linkage } from '../mechanics/linkage.ts'
import type { Outcome } from '../outcome/outcome.ts'
import { yoked } from './yoke.ts'

/** What can be measured on a centre-pull caliper at contact, in mm; origin at the mounting bolt. */
export interface CentrePullDimensions {
  readonly caliperReachMm: number
  /** Between the two pivots on the bridge plate, and how far they stand below the bolt. */
  readonly pivotSpacingMm: number
  /** Pivot to the straddle’s end on the far side of the wheel, across and up. */
  readonly cableAcrossMm: number
  readonly cableUpMm: number
  readonly straddleMm: number
  readonly rimWidthMm: number
}

/**
 * The brake at contact. The arms cross above the tyre: each carries the pad on its pivot’s side and is pulled up on the
 * other. Refuses a straddle shorter than its span, and a pull that opens.
 */
export function centrePullLinkage(d: CentrePullDimensions): Outcome<Linkage> {
  const arm = (side: -1 | 1): Arm => {
    const pivot = (side * d.pivotSpacingMm) / 2
    return {
      pivot: [pivot, 0],
      padFace: [(side * d.rimWidthMm) / 2, -d.caliperReachMm],
      cable: [pivot - side * d.cableAcrossMm, d.cableUpMm],
      opens: side === -1 ? -1 : 1,
    }
  }
  return yoked(arm(-1), arm(1), d.straddleMm, { field: 'cableAcrossMm', look: 'arms' })
}
