export type HousingEnd = 'ferrule' | 'bare' | 'barrel'

/** A piece of housing with its bend and ends, or a bare run of the inner. Lengths in mm, along the cable. */
export interface RouteSegment {
  readonly kind: 'housing' | 'bare'
  readonly lengthMm: number
  readonly bendDeg?: number
  readonly radiusMm?: number
  readonly from?: HousingEnd
  readonly to?: HousingEnd
}
