import type { KindSpec } from '../entry-kind.ts'
import { number, one, optional, remark } from '../fields.ts'
import { showQuantity, showSpeed, showWay } from '../show.ts'

export const fields = {
  phase: one('before', 'after'),
  direction: one('out', 'back'),
  speedKmh: number(),
  distanceM: number(),
  /** Where the rider’s reaction is inside the distance. */
  reactionS: optional(number()),
  loadKg: optional(number()),
  pressureBar: optional(number()),
  surface: optional(one('dry', 'wet')),
  /** Which brakes were squeezed: this one alone, or both. */
  brakes: optional(one('this', 'both')),
  /** Standard uncertainties, where they are known. */
  speedSdKmh: optional(number({ least: 0, most: 20 })),
  distanceSdM: optional(number({ least: 0, most: 20 })),
  /** How it was taken: a mark on the ground, or a trace with the deceleration of its plateau, m/s². */
  instrument: optional(remark(80)),
  decelerationMs2: optional(number({ least: 0, most: 20 })),
  decelerationSdMs2: optional(number({ least: 0, most: 20 })),
}

/** A stop ridden before or after the work. */
export const run: KindSpec<'run'> = {
  say: (entry, { length = 'mm' }) =>
    [
      `stop ${entry.phase} the work, ${entry.direction}: ${showSpeed(entry.speedKmh, length)} in ${showWay(entry.distanceM, length)}`,
      ...(entry.reactionS === undefined ? [] : [`reaction of ${entry.reactionS} s inside`]),
      ...(entry.surface === 'wet' ? ['wet'] : []),
      ...(entry.loadKg === undefined ? [] : [showQuantity(entry.loadKg, 'kg', length)]),
      ...(entry.instrument ? [entry.instrument] : []),
    ].join(', '),
  station: () => undefined,
}
