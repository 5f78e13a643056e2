import type { ReadingSpec, SeenSpec } from '../../brake/reading.ts'
import { DIAL_READINGS, DIAL_SEEN } from './readings/dial.ts'
import { PAD_READINGS, PAD_SEEN } from './readings/pads.ts'
import { WHEEL_READINGS, WHEEL_SEEN } from './readings/wheel.ts'

/** What is measured at every rim brake beside what is common. */
export const OWN_READINGS: readonly ReadingSpec[] = [...WHEEL_READINGS, ...PAD_READINGS, ...DIAL_READINGS]

/** What is looked at on every rim brake beside what is common. */
export const OWN_SEEN: readonly SeenSpec[] = [...WHEEL_SEEN, ...PAD_SEEN, ...DIAL_SEEN]
