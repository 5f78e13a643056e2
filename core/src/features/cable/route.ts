import type { Dimensions } from '../../brake/dimension.ts'
import type { RouteSegment } from '../../brake/route.ts'
import type { Worked } from '../../calculation/calculation.ts'
import { bendSpace, cableRoute } from '../../calculations/routing.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'

/** Tighter than this a bend binds and wears. Our choice, no source. */
export const TIGHT_RADIUS_MM = 60
/** Left beyond the anchor for pliers and its cap, and at the head. Our choice. */
export const ALLOWANCE_MM = 120

/** From a lever to the brake beside it, and to the far end of a long bicycle; mm. Our choice. */
const LEAST_CABLE_MM = 50
const MOST_CABLE_MM = 6000

/** What a route needs and takes. */
export interface Route {
  readonly cuts: readonly string[]
  readonly warnings: readonly string[]
  readonly innerMm: number
  readonly bendDeg: number
  readonly efficiencyNew: number
  readonly efficiencyGritty: number
  readonly stretchMm: number
  readonly compressionMm: number
  readonly fingerMm: number
  readonly worked: readonly Worked[]
}

/** Compression of housing until measured: 0.005 mm a metre and newton. Our choice. */
const HOUSING_MM_PER_M_PER_N = 0.005

/** The dimensions of the hardware that a written route measures: they stand for the book figures from then on. */
export function routeDimensions(segments: readonly RouteSegment[]): Dimensions {
  const total = (of: (each: RouteSegment) => number) => segments.reduce((sum, each) => sum + of(each), 0)
  const housingMm = total((each) => (each.kind === 'housing' ? each.lengthMm : 0))
  return {
    cableLengthMm: total((each) => each.lengthMm),
    bendDeg: total((each) => each.bendDeg ?? 0),
    ...(housingMm > 0 && { housingStiffness: 1000 / (HOUSING_MM_PER_M_PER_N * housingMm) }),
  }
}

const END_WORDS = { ferrule: 'ferrule', bare: 'bare end', barrel: 'into the barrel' } as const

/** Lengths, cut list, friction and give of a cable along its segments. Refuses housing shorter than its own bend. */
export function routeOf(segments: readonly RouteSegment[], d: Dimensions, tensionN: number): Outcome<Route> {
  const housing = segments.filter((each) => each.kind === 'housing')
  const bare = segments.filter((each) => each.kind === 'bare')
  const wholeMm = segments.reduce((sum, each) => sum + each.lengthMm, 0)
  if (wholeMm < LEAST_CABLE_MM || wholeMm > MOST_CABLE_MM) {
    return refuse(
      'out-of-range',
      'segments',
      `A way of ${wholeMm.toFixed(0)} mm in all. Accepted: ${LEAST_CABLE_MM} to ${MOST_CABLE_MM} mm.`,
    )
  }
  for (const [index, segment] of segments.entries()) {
    if (segment.kind === 'bare' && (segment.bendDeg ?? 0) > 0) {
      return refuse(
        'out-of-range',
        `segments.${index}.bendDeg`,
        `Piece ${index + 1}: bare cable runs straight. Accepted: no bend, or housing round it.`,
      )
    }
    if (segment.kind !== 'housing' || !segment.bendDeg || !segment.radiusMm) continue
    const space = bendSpace.work({ bendDeg: segment.bendDeg, radiusMm: segment.radiusMm })
    if (!space.ok) return space
    if (segment.lengthMm < space.value.outputs.leastMm) {
      return refuse(
        'too-short',
        `segments.${index}.lengthMm`,
        `Piece ${index + 1}: ${segment.lengthMm} mm of housing for a bend of ${segment.bendDeg}° at ${segment.radiusMm} mm. Accepted: at least ${space.value.outputs.leastMm.toFixed(0)} mm.`,
      )
    }
  }
  const worked = cableRoute.work({
    housingMm: housing.map((each) => each.lengthMm),
    bareMm: bare.map((each) => each.lengthMm),
    bendDeg: housing.map((each) => each.bendDeg ?? 0),
    allowanceMm: ALLOWANCE_MM,
    friction: d.cableFriction,
    tensionN,
    areaMm2: d.cableAreaMm2,
    modulusGpa: d.cableModulusGpa,
    housingMmPerMPerN: HOUSING_MM_PER_M_PER_N,
    leverageAtLever: (d.leverFingerArmMm as number) / (d.leverCableArmMm as number),
  })
  if (!worked.ok) return worked
  const { innerMm, bendTotalDeg, ...rest } = worked.value.outputs
  const tight = housing.flatMap((each, index) =>
    each.radiusMm && each.bendDeg && each.radiusMm < TIGHT_RADIUS_MM
      ? [
          `Housing ${index + 1} bends at ${each.radiusMm} mm: below ${TIGHT_RADIUS_MM} mm (our choice) it binds. Lead it in a wider curve.`,
        ]
      : [],
  )
  return ok({
    cuts: [
      ...housing.map(
        (each, index) =>
          `Housing ${index + 1}: ${each.lengthMm.toFixed(0)} mm, ${END_WORDS[each.from ?? 'ferrule']} to ${END_WORDS[each.to ?? 'ferrule']}`,
      ),
      `Inner: ${innerMm.toFixed(0)} mm, ${ALLOWANCE_MM} mm of it beyond anchor and head; cap the end`,
    ],
    warnings: tight,
    innerMm,
    bendDeg: bendTotalDeg,
    efficiencyNew: rest.efficiencyNew,
    efficiencyGritty: rest.efficiencyGritty,
    stretchMm: rest.stretchMm,
    compressionMm: rest.compressionMm,
    fingerMm: rest.fingerMm,
    worked: [worked.value],
  })
}
