import type { Arm, Linkage } from '../mechanics/linkage.ts'
import type { Outcome } from '../outcome/outcome.ts'
import { tooWide } from './closes.ts'
import { yoked } from './yoke.ts'

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
  const wide = tooWide(d)
  if (wide) return wide
  const arm = (side: -1 | 1): Arm => {
    const pivot = (side * d.pivotSpacingMm) / 2
    return {
      pivot: [pivot, 0],
      padFace: [(side * d.rimWidthMm) / 2, d.padHeightMm],
      cable: [pivot + side * d.cableOutMm, d.cableUpMm],
      opens: side === -1 ? 1 : -1,
    }
  }
  return yoked(arm(-1), arm(1), d.straddleMm, { field: 'cableUpMm', look: 'arm' })
}
