import type { Arm, Linkage } from '../../mechanics/linkage.ts'
import type { AdjusterSpec, Dimensions, FamilyModel, PadArm } from '../family.ts'
import { RIM_BEDDING, RIM_DISTURBANCES } from './adjusters.ts'
import { RIM_INPUTS, RIM_READINGS, rimReadings, rimSqueeze, rimThrow } from './model.ts'

const padArm = ({ pivot, padFace }: Arm): PadArm => ({
  inMm: -Math.sign(padFace[0]) * (padFace[0] - pivot[0]),
  upMm: padFace[1] - pivot[1],
})

/** A rim brake’s model from its linkage: what differs between families is geometry, adjusters and how it is drawn. */
export const rimModel = (
  d: Dimensions,
  linkage: Linkage,
  adjusters: readonly AdjusterSpec[],
  outline: FamilyModel['outline'],
): FamilyModel => ({
  throw: rimThrow(d, linkage),
  padArm: { left: padArm(linkage.left), right: padArm(linkage.right) },
  inputs: RIM_INPUTS,
  readings: RIM_READINGS,
  adjusters,
  ...rimReadings(d, linkage),
  bedding: RIM_BEDDING,
  outline,
  squeeze: (q, travelMm) => rimSqueeze(d, linkage, q, travelMm),
  disturbances: RIM_DISTURBANCES,
})

/** A linkage whose tie shortens as both pads close. */
export const closes = (rates: { readonly left: number; readonly right: number }, ratio: number): boolean =>
  rates.left > 0 && rates.right > 0 && ratio > 0
