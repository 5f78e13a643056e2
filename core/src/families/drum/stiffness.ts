import type { Dimensions } from '../../brake/dimension.ts'
import { inSeries, wireStiffness } from '../../mechanics/cable.ts'

/** Wire, housing and brake in series, N/mm at the cable. */
export function stiffnessOf(d: Dimensions): number {
  const of = (id: string) => d[id] as number
  return inSeries(
    wireStiffness(of('cableModulusGpa'), of('cableAreaMm2'), of('cableLengthMm')),
    of('housingStiffness'),
    of('brakeStiffness'),
  )
}
