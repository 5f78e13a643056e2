import { bookOwn, COMMON_DIMENSIONS, FROM_MEMORY, withBook } from '../../bench/dimensions.ts'
import type { DimensionSpec, TraitSpec } from '../../brake/dimension.ts'

/** What every mechanical disc has: an arm and its cam, knobs, a rotor, and all that is common. From memory, checked for consistency. */
export const DISC_DIMENSIONS: readonly DimensionSpec[] = [
  bookOwn('armMm', 'arm, axis to cable', 'mm', 45, 15, 80),
  bookOwn('leadMmPerRad', 'pad travel for a radian of the arm', 'mm', 5, 1, 15),
  bookOwn('knobPitchMm', 'pad knob’s thread pitch', 'mm', 1, 0.3, 2),
  bookOwn('knobClicks', 'clicks of a pad knob in a turn', '', 16, 4, 60),
  bookOwn('rotorDiameterMm', 'rotor diameter', 'mm', 160, 100, 260),
  bookOwn('trackInsideMm', 'middle of the rotor’s track, inside its edge', 'mm', 9, 4, 20),
  bookOwn('rotorRunoutMm', 'rotor runout', 'mm', 0.15, 0, 5),
  bookOwn('rotorMostMm', 'thickest rotor the caliper takes', 'mm', 2, 1.5, 3),
  bookOwn('rotorStiffness', 'rotor’s stiffness sideways', 'N/mm', 35, 5, 400),
  ...withBook(COMMON_DIMENSIONS, { brakeStiffness: 100, padFriction: 0.4 }),
]

/** Whether its knobs’ pitch and clicks were counted on this caliper: then a click is known ten times better than guessed. */
export const KNOB_TRAIT: TraitSpec = {
  id: 'knobCounted',
  title: 'knob’s pitch and clicks',
  options: [
    { id: 'book', title: 'of the book' },
    { id: 'counted', title: 'counted on this caliper' },
  ],
  usual: () => 'book',
  source: FROM_MEMORY,
}

export const ASSISTED_TRAIT: TraitSpec = {
  id: 'assisted',
  title: 'motor',
  options: [
    { id: 'no', title: 'none' },
    { id: 'yes', title: 'assisted by a motor' },
  ],
  usual: () => 'no',
  source: FROM_MEMORY,
}

/** A caliper whose two pads move may be pulled by a cable and pressed by fluid. */
export const FLUID_TRAIT: TraitSpec = {
  id: 'fluid',
  title: 'inside the caliper',
  options: [
    { id: 'no', title: 'a cam' },
    { id: 'yes', title: 'fluid, pressed by the cable' },
  ],
  usual: () => 'yes',
  source: FROM_MEMORY,
}
