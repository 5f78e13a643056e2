import { ASSUMED, COMMON_DIMENSIONS, FROM_MEMORY } from '../../bench/dimensions.ts'
import type { DimensionSpec } from '../../brake/dimension.ts'

/** What every rim brake has, whatever its linkage: a rim between its pads, and all that is common. */
export const RIM_DIMENSIONS: readonly DimensionSpec[] = [
  { id: 'rimWidthMm', title: 'rim width', unit: 'mm', book: 24, min: 10, max: 60, source: FROM_MEMORY },
  ...COMMON_DIMENSIONS,
  { id: 'flexMm', title: 'rim movement under riding', unit: 'mm', book: 0.3, min: 0, max: 3, source: ASSUMED },
]
