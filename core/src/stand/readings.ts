import { CABLE_READINGS, CABLE_SEEN } from './readings/cable.ts'
import { DIAL_READINGS, FIRST_TOUCH, WORK } from './readings/dial.ts'
import { MATCH_READINGS, MATCH_SEEN } from './readings/match.ts'
import { MAKER_TORQUE, MOUNT_READINGS, MOUNT_SEEN } from './readings/mount.ts'
import { PAD_READINGS, PAD_SEEN } from './readings/pads.ts'
import type { ReadingSpec, SeenSpec } from './readings/spec.ts'
import { WHEEL_READINGS, WHEEL_SEEN } from './readings/wheel.ts'

export { FIRST_TOUCH, WORK } from './readings/dial.ts'
export type { ReadingSpec, SeenOption, SeenSpec } from './readings/spec.ts'

/** Everything that is measured at a brake, in working order. */
export const READINGS: readonly ReadingSpec[] = [
  ...WHEEL_READINGS,
  ...MATCH_READINGS,
  ...MOUNT_READINGS,
  MAKER_TORQUE,
  ...PAD_READINGS,
  ...DIAL_READINGS,
  ...CABLE_READINGS,
]

/** Everything that is seen and told, in working order. */
export const SEEN: readonly SeenSpec[] = [
  WORK,
  ...WHEEL_SEEN,
  ...MATCH_SEEN,
  ...MOUNT_SEEN,
  ...PAD_SEEN,
  ...CABLE_SEEN,
  FIRST_TOUCH,
]

export const findReading = (id: string): ReadingSpec | undefined => READINGS.find((each) => each.id === id)
export const findSeen = (id: string): SeenSpec | undefined => SEEN.find((each) => each.id === id)

export const findOption = (id: string, value: unknown) => findSeen(id)?.options.find((each) => each.id === value)

export const readingTitle = (id: string): string => (findReading(id) ?? findSeen(id))?.title ?? id

/** In working order: what is seen beside what is measured at the same station. */
export const READING_ORDER: readonly string[] = [...READINGS, ...SEEN].map((each) => each.id)
