/**
 * Evenly spread normal draws, the same every time: a rank-1 lattice on the roots of primes, through the inverse
 * normal distribution. Fixed draws keep the advice from flickering between equal readings.
 */
const PRIMES = [
  2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47, 53, 59, 61, 67, 71, 73, 79, 83, 89, 97, 101, 103, 107, 109,
  113, 127, 131, 137, 139, 149, 151, 157, 163, 167, 173,
]

/** Inverse of the standard normal distribution; Acklam's rational fit (relative error below 1.2e-9). From memory. */
export function normalQuantile(p: number): number {
  const a = [
    -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239,
  ] as const
  const b = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572] as const
  const c = [
    -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
    2.938163982698783,
  ] as const
  const d = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416] as const
  if (p > 0.97575) return -normalQuantile(1 - p)
  if (p < 0.02425) {
    const q = Math.sqrt(-2 * Math.log(p))
    return (
      (((((c[0] * q + c[1]) * q + c[2]) * q + c[3]) * q + c[4]) * q + c[5]) /
      ((((d[0] * q + d[1]) * q + d[2]) * q + d[3]) * q + 1)
    )
  }
  const q = p - 0.5
  const r = q * q
  return (
    ((((((a[0] * r + a[1]) * r + a[2]) * r + a[3]) * r + a[4]) * r + a[5]) * q) /
    (((((b[0] * r + b[1]) * r + b[2]) * r + b[3]) * r + b[4]) * r + 1)
  )
}

const table = new Map<number, Float64Array[]>()

/** The `index`-th draw of `dimensions` independent standard normals. */
export function normalDraws(dimensions: number): (index: number) => Float64Array {
  const draws = table.get(dimensions) ?? []
  table.set(dimensions, draws)
  return (index) => {
    const known = draws[index]
    if (known) return known
    const draw = Float64Array.from({ length: dimensions }, (_, k) => {
      const alpha = Math.sqrt(PRIMES[k % PRIMES.length] as number) * (1 + Math.floor(k / PRIMES.length) * 0.618)
      const u = (((index + 1) * alpha) % 1) * 0.998 + 0.001
      return normalQuantile(u)
    })
    draws[index] = draw
    return draw
  }
}
