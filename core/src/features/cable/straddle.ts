import type { Dimensions, Here } from '../../brake/dimension.ts'
import type { Family } from '../../brake/family.ts'
import type { BrakeModel } from '../../brake/model.ts'
import type { ChosenSchools } from '../../brake/school.ts'
import { type LeverMatch, leverMatch } from '../match/lever-match.ts'

/** A straddle cable of one length, and what it makes of the brake. */
export interface StraddlePoint {
  readonly straddleMm: number
  /** Yoke above the cable’s ends, at contact. */
  readonly yokeMm: number
  readonly linkageRatio: number
  readonly travelMm: number
  readonly reserveMm: number
  readonly handForceN: number
  /** Neither weak nor to the bar. */
  readonly usable: boolean
}

export const hasStraddle = (family: Family): boolean => family.dimensions.some((each) => each.id === 'straddleMm')

/** Pads as far off as the chosen school has them: the gap that takes as much cable, mm. */
export const gapOf = ({ contactRatio = 1, setting }: BrakeModel, schools: ChosenSchools): number =>
  setting(schools).cableMm / (2 * contactRatio)

/** Distance between the straddle’s ends at contact. */
const spanOf = (d: Dimensions): number =>
  d.cableOutMm === undefined
    ? Math.abs(2 * (d.cableAcrossMm as number) - (d.pivotSpacingMm as number))
    : (d.pivotSpacingMm as number) + 2 * d.cableOutMm

/** The straddle’s length for a yoke height, mm. */
export const straddleFor = (d: Dimensions, yokeMm: number): number => 2 * Math.hypot(spanOf(d) / 2, yokeMm)

/** The yoke’s height for a straddle’s length, mm; undefined where it does not reach. */
export function yokeFor(d: Dimensions, straddleMm: number): number | undefined {
  const square = (straddleMm / 2) ** 2 - (spanOf(d) / 2) ** 2
  return square > 0 ? Math.sqrt(square) : undefined
}

/** Ordinary pads on an alloy rim keep about half of their friction in the wet (from memory). */
const ORDINARY_WET = 0.5

/** What a yoke height makes of this brake, lever and load with its pads this far off; undefined where it cannot brake. */
export function straddleAt(
  family: Family,
  d: Dimensions,
  here: Here,
  gapMm: number,
  yokeMm: number,
): StraddlePoint | undefined {
  const straddleMm = straddleFor(d, yokeMm)
  const own = { ...d, straddleMm }
  const model = family.fit(own, here)
  const match = leverMatch(family, own, here, {
    schools: { bite: { option: 'gap', amount: gapMm } },
    wetShare: ORDINARY_WET,
  })
  return match.ok && model.ok ? pointOf(straddleMm, yokeMm, model.value.contactRatio ?? 0, match.value) : undefined
}

const pointOf = (straddleMm: number, yokeMm: number, linkageRatio: number, match: LeverMatch): StraddlePoint => ({
  straddleMm,
  yokeMm,
  linkageRatio,
  travelMm: match.contactTravelMm,
  reserveMm: match.reserveMm,
  handForceN: match.handForceN,
  usable: match.verdict === 'fits',
})

export const LEAST_YOKE_MM = 15
export const MOST_YOKE_MM = 130
const STEP_MM = 2.5
/** A yoke so low that it pulls more than this is of no use with any lever, and would flatten the rest of the curve. */
const MOST_RATIO = 5

/** The whole curve, low yoke to high, from where the straddle still opens as far as the pads do. */
export function straddleCurve(family: Family, d: Dimensions, here: Here, gapMm: number): readonly StraddlePoint[] {
  const points: StraddlePoint[] = []
  for (let yoke = LEAST_YOKE_MM; yoke <= MOST_YOKE_MM; yoke += STEP_MM) {
    const point = straddleAt(family, d, here, gapMm, yoke)
    if (point) points.push(point)
  }
  const steepest = points.reduce(
    (best, point, index) => (point.linkageRatio > (points[best]?.linkageRatio ?? 0) ? index : best),
    0,
  )
  return points.slice(steepest).filter((point) => point.linkageRatio <= MOST_RATIO)
}
