/** Tension lost over bends, Euler and Eytelwein: T_out/T_in = e^(−μβ), β the sum of all bends in radians. */
export const bendEfficiency = (friction: number, bendRad: number): number => Math.exp(-friction * bendRad)

/** Stiffness of a wire in tension, N/mm: E·A/L, modulus in GPa, area in mm², length in mm. */
export const wireStiffness = (modulusGpa: number, areaMm2: number, lengthMm: number): number =>
  (modulusGpa * 1000 * areaMm2) / lengthMm

/** Springs one after another: 1/K = Σ 1/k. */
export const inSeries = (...stiffnesses: readonly number[]): number =>
  1 / stiffnesses.reduce((sum, each) => sum + 1 / each, 0)
