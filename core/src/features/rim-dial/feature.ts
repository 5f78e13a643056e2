import type { Feature } from '../../brake/feature.ts'
import { DIAL_READINGS, DIAL_SEEN } from './readings.ts'
import { DIAL_STEPS } from './steps.ts'

/** Gaps, bite and what the wheel does between the pads. */
export const RIM_DIAL: Feature = { id: 'rim-dial', readings: DIAL_READINGS, seen: DIAL_SEEN, steps: DIAL_STEPS }
