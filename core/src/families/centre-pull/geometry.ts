import { type Arm, type Linkage, linkageRatio, tieRates } from '../../mechanics/linkage.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { closes } from '../rim/assemble.ts'

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
  const span = Math.abs(2 * d.cableAcrossMm - d.pivotSpacingMm)
  if (d.straddleMm <= span) {
    return refuse(
      'impossible-geometry',
      'straddleMm',
      `A straddle cable of ${d.straddleMm} mm does not reach over ${span} mm between the arms. Accepted: more than ${span} mm.`,
    )
  }
  const arm = (side: -1 | 1): Arm => {
    const pivot = (side * d.pivotSpacingMm) / 2
    return {
      pivot: [pivot, 0],
      padFace: [(side * d.rimWidthMm) / 2, -d.caliperReachMm],
      cable: [pivot - side * d.cableAcrossMm, d.cableUpMm],
      opens: side === -1 ? -1 : 1,
    }
  }
  const linkage: Linkage = { left: arm(-1), right: arm(1), tie: { kind: 'straddle', lengthMm: d.straddleMm } }
  return closes(tieRates(linkage, { left: 0, right: 0 }), linkageRatio(linkage, { left: 0, right: 0 }).mean)
    ? ok(linkage)
    : refuse(
        'impossible-geometry',
        'cableAcrossMm',
        'Pulled up, this yoke would open the brake: check arms and straddle.',
      )
}
