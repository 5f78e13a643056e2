import { type Linkage, linkageRatio, type Opening, tieRates } from '../mechanics/linkage.ts'
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

const STEPS = 24
/** Less than this is no way. */
const AT_CONTACT_RAD = 1e-9

/** Whether the tie shortens all the way from an opening to contact: one that turns back would let go what it pulled. */
export const closesFrom = (linkage: Linkage, { left, right }: Opening): boolean =>
  Array.from({ length: STEPS + 1 }, (_, step) => {
    const share = step / STEPS
    const rates = tieRates(linkage, { left: left * share, right: right * share })
    // Each arm goes its own part of the way.
    return rates.left * left + rates.right * right
  }).every((rate) => rate > 0 || Math.max(Math.abs(left), Math.abs(right)) < AT_CONTACT_RAD)
