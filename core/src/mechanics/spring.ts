/**
 * Two sprung arms on one cable. Each spring's torque is k(φ + ψ), φ the closing angle from its own free
 * stop and ψ its preload. The cable pulls both alike, so at rest φL − φR = ψR − ψL.
 */

/** Preload added by a centring screw, in radians a turn: pitch over the radius at which it bears. */
export const preloadPerTurn = (screwPitchMm: number, bearingRadiusMm: number): number => screwPitchMm / bearingRadiusMm

/** How far one screw turn moves its own pad out and the other in, in mm (small angles). */
export const padShiftPerTurn = (screwPitchMm: number, bearingRadiusMm: number, padHeightMm: number): number =>
  (padHeightMm * preloadPerTurn(screwPitchMm, bearingRadiusMm)) / 2
