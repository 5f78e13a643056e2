import { type Linkage, linkageRatio, tieRates } from '../mechanics/linkage.ts'
import { refuse } from '../outcome/outcome.ts'

/** The refusal of a rim that does not fit between its bosses. */
export const tooWide = (d: { readonly rimWidthMm: number; readonly pivotSpacingMm: number }) =>
  d.rimWidthMm >= d.pivotSpacingMm
    ? refuse(
        'impossible-geometry',
        'rimWidthMm',
        `A rim ${d.rimWidthMm} mm wide does not fit between bosses ${d.pivotSpacingMm} mm apart.`,
      )
    : undefined

const CONTACT = { left: 0, right: 0 }

/** A linkage whose tie shortens as both pads close. */
export function closes(linkage: Linkage): boolean {
  const rates = tieRates(linkage, CONTACT)
  return rates.left > 0 && rates.right > 0 && linkageRatio(linkage, CONTACT).mean > 0
}
