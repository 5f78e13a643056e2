import { bookOwn, COMMON_DIMENSIONS, FROM_MEMORY, withBook } from '../../bench/dimensions.ts'
import type { DimensionSpec, TraitSpec } from '../../brake/dimension.ts'

/**
 * What every hub drum has. 70 and 90 mm are hardware: the drum’s own radius is measured, hinge and shoe are told as shares
 * of it, so that a larger drum is not reckoned with a small one’s shoes. From memory, checked for consistency.
 */
export const DRUM_DIMENSIONS: readonly DimensionSpec[] = [
  bookOwn('armMm', 'brake arm, cam to cable', 'mm', 65, 30, 120),
  bookOwn('camHalfMm', 'half of the cam’s width', 'mm', 5.5, 2, 15),
  bookOwn('drumRadiusMm', 'inside radius of the drum', 'mm', 35, 25, 80),
  bookOwn('faceMm', 'width of the lining', 'mm', 18, 8, 50),
  bookOwn('hingeShare', 'hinge from the middle, over the radius', '', 0.743, 0.5, 0.95),
  bookOwn('shoeArmShare', 'hinge to the cam’s push, over the radius', '', 1.371, 0.8, 1.9),
  bookOwn('liningStartDeg', 'lining begins, from the hinge', 'deg', 20, 0, 80),
  bookOwn('liningEndDeg', 'lining ends, from the hinge', 'deg', 125, 60, 180),
  bookOwn('clearanceMm', 'shoes’ clearance at the cam', 'mm', 0.3, 0.05, 2),
  ...withBook(COMMON_DIMENSIONS, { brakeStiffness: 50, padFriction: 0.35, leverCableArmMm: 20 }),
]

/** Whether the cam floats, so that both shoes are pushed alike, or is fixed, so that both wear to the same pressure. */
export const CAM_TRAIT: TraitSpec = {
  id: 'cam',
  title: 'cam',
  options: [
    { id: 'floating', title: 'floats: both shoes pushed alike' },
    { id: 'fixed', title: 'fixed in the plate: both worn to one pressure' },
  ],
  usual: () => 'floating',
  source: FROM_MEMORY,
}
