/** Bolt tension (N) from tightening torque (N·m): F = T/(K·d), d in mm. */
export const preloadFromTorque = (torqueNm: number, diameterMm: number, nutFactor: number): number =>
  (torqueNm * 1000) / (nutFactor * diameterMm)

/**
 * Length of thread engagement (mm) at which bolt and internal thread are equally strong:
 * Le = 2·As / (π·Kn·(½ + (Es − Kn)/(√3·p))), Kn the largest minor diameter inside, Es the smallest pitch diameter outside.
 */
export function equalStrengthEngagement(
  stressAreaMm2: number,
  internalMinorMaxMm: number,
  externalPitchMinMm: number,
  pitchMm: number,
): number {
  const shear = 0.5 + (externalPitchMinMm - internalMinorMaxMm) / (Math.sqrt(3) * pitchMm)
  return (2 * stressAreaMm2) / (Math.PI * internalMinorMaxMm * shear)
}
