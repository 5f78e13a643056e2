import { type Arm, type Linkage, linkageRatio, tieRates } from '../../mechanics/linkage.ts'
import { refuse } from '../../outcome/outcome.ts'
import type { AdjusterSpec, Dimensions, End, FamilyModel, PadArm } from '../family.ts'
import { RIM_BEDDING, RIM_DISTURBANCES } from './adjusters.ts'
import { pull, RIM_INPUTS, RIM_READINGS, rimReadings, rimSqueeze, rimThrow } from './model.ts'

const padArm = ({ pivot, padFace }: Arm): PadArm => ({
  inMm: -Math.sign(padFace[0]) * (padFace[0] - pivot[0]),
  upMm: padFace[1] - pivot[1],
})

/** A rim brake’s model from its linkage: what differs between families is geometry, adjusters and how it is drawn. */
export function rimModel(
  d: Dimensions,
  end: End,
  linkage: Linkage,
  adjusters: readonly AdjusterSpec[],
  outline: FamilyModel['outline'],
): FamilyModel {
  const lever = pull(d, linkage, end)
  return {
    throw: rimThrow(d, linkage, lever),
    padArm: { left: padArm(linkage.left), right: padArm(linkage.right) },
    inputs: RIM_INPUTS,
    readings: RIM_READINGS,
    adjusters,
    ...rimReadings(d, linkage, lever),
    bedding: RIM_BEDDING,
    outline,
    squeeze: (q, travelMm) => rimSqueeze(linkage, lever, q, travelMm),
    disturbances: RIM_DISTURBANCES,
  }
}

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
