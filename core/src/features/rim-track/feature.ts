import type { Feature } from '../../brake/feature.ts'
import { WHEEL_READINGS, WHEEL_SEEN } from './readings.ts'
import { TRACK_STEPS } from './steps.ts'

/** The rim as a brake track. */
export const RIM_TRACK: Feature = { id: 'rim-track', readings: WHEEL_READINGS, seen: WHEEL_SEEN, steps: TRACK_STEPS }
