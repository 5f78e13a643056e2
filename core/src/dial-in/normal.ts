/**
 * Standard normal density and distribution, by the error-function fit of Abramowitz and Stegun,
 * Handbook of Mathematical Functions, 7.1.26 (absolute error below 1.5e-7).
 */
export const normalDensity = (z: number): number => Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI)

export function normalCdf(z: number): number {
  const x = Math.abs(z) / Math.SQRT2
  const t = 1 / (1 + 0.3275911 * x)
  const poly = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
  const half = 0.5 * poly * Math.exp(-x * x)
  return z > 0 ? 1 - half : half
}

/** φ(z)/Φ(z), steady far out in the tail. */
export const inverseMills = (z: number): number => (z < -6 ? -z + 1 / -z : normalDensity(z) / normalCdf(z))
