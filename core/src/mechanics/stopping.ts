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

/** Deceleration over g at which the rear tyre lets go under its own brake: moments about the front contact, μ·N = m·a. */
export const rearSkidLimit = (
  tyreFriction: number,
  wheelbaseMm: number,
  cgHeightMm: number,
  cgBehindFrontMm: number,
): number => (tyreFriction * cgBehindFrontMm) / (wheelbaseMm + tyreFriction * cgHeightMm)

/** What one brake is asked to give by itself, over g: half a g of the front, 16 CFR 1512.18 (from memory). */
export const WANTED_G = 0.5

/** The stop one brake is judged by: half a g in front; behind no more than its tyre can hold. */
export const wantedStop = (end: 'front' | 'rear', skidLimitG: number): number =>
  end === 'front' ? WANTED_G : Math.min(WANTED_G, skidLimitG)

/** Force (N) of each of two pads on a track for a deceleration (over g): friction at the track, braking at the road. */
export const padForce = (
  massKg: number,
  decelerationG: number,
  trackRadiusMm: number,
  tyreRadiusMm: number,
  padFriction: number,
): number => (massKg * GRAVITY * decelerationG * tyreRadiusMm) / trackRadiusMm / (2 * padFriction)
