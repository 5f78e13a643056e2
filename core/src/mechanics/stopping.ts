/** Standard gravity, m/s² (exact by definition, ISO 80000-3). */
export const GRAVITY = 9.80665

export const metresPerSecond = (kmh: number): number => kmh / 3.6

/** Constant deceleration that stops from a speed (m/s) within a distance (m). */
export const stopDeceleration = (speedMs: number, distanceM: number): number => (speedMs * speedMs) / (2 * distanceM)

/** Deceleration over g at which the rear wheel lifts: x/h, x the centre of mass behind the front contact, h its height. */
export const tipOverLimit = (cgHeightMm: number, cgBehindFrontMm: number): number => cgBehindFrontMm / cgHeightMm

/** Wheel loads (N) under braking; the rear is never below nothing, and then the front carries all. */
export function wheelLoads(
  massKg: number,
  wheelbaseMm: number,
  cgHeightMm: number,
  cgBehindFrontMm: number,
  decelerationG: number,
) {
  const weight = massKg * GRAVITY
  const rear = weight * (cgBehindFrontMm / wheelbaseMm - (decelerationG * cgHeightMm) / wheelbaseMm)
  return { front: weight - Math.max(0, rear), rear: Math.max(0, rear), rearLifts: rear <= 0 }
}
