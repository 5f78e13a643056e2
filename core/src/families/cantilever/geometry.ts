import { type Arm, type Linkage, linkageRatio, tieRates } from '../../mechanics/linkage.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { closes } from '../rim/assemble.ts'

/** What can be measured on a cantilever brake at contact, in mm. */
export interface CantileverDimensions {
  readonly pivotSpacingMm: number
  /** Boss to straddle cable’s end, outward from the wheel and up. */
  readonly cableOutMm: number
  readonly cableUpMm: number
  /** Boss to middle of the pad, up. */
  readonly padHeightMm: number
  /** Straddle cable from end to end. */
  readonly straddleMm: number
  readonly rimWidthMm: number
}

/** The brake at contact. Refuses a rim wider than the bosses, a straddle shorter than its span, and a pull that opens. */
export function cantileverLinkage(d: CantileverDimensions): Outcome<Linkage> {
  if (d.rimWidthMm >= d.pivotSpacingMm) {
    return refuse(
      'impossible-geometry',
      'rimWidthMm',
      `A rim ${d.rimWidthMm} mm wide does not fit between bosses ${d.pivotSpacingMm} mm apart.`,
    )
  }
  const span = d.pivotSpacingMm + 2 * d.cableOutMm
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
      padFace: [(side * d.rimWidthMm) / 2, d.padHeightMm],
      cable: [pivot + side * d.cableOutMm, d.cableUpMm],
      opens: side === -1 ? 1 : -1,
    }
  }
  const linkage: Linkage = { left: arm(-1), right: arm(1), tie: { kind: 'straddle', lengthMm: d.straddleMm } }
  return closes(tieRates(linkage, { left: 0, right: 0 }), linkageRatio(linkage, { left: 0, right: 0 }).mean)
    ? ok(linkage)
    : refuse('impossible-geometry', 'cableUpMm', 'Pulled up, this yoke would open the brake: check arm and straddle.')
}
