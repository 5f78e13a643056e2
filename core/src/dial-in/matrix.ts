/** Small dense linear algebra on row-major Float64Arrays: what a Gauss–Newton step needs and no more. */

/** Lower Cholesky factor of a symmetric positive definite n×n matrix. */
export function cholesky(a: Float64Array, n: number): Float64Array {
  const l = new Float64Array(n * n)
  for (let i = 0; i < n; i += 1) {
    for (let j = 0; j <= i; j += 1) {
      let sum = a[i * n + j] as number
      for (let k = 0; k < j; k += 1) sum -= (l[i * n + k] as number) * (l[j * n + k] as number)
      l[i * n + j] = i === j ? Math.sqrt(Math.max(sum, 1e-12)) : sum / (l[j * n + j] as number)
    }
  }
  return l
}

/** Solves L·x = b. */
export function forward(l: Float64Array, n: number, b: Float64Array): Float64Array {
  const x = new Float64Array(n)
  for (let i = 0; i < n; i += 1) {
    let sum = b[i] as number
    for (let k = 0; k < i; k += 1) sum -= (l[i * n + k] as number) * (x[k] as number)
    x[i] = sum / (l[i * n + i] as number)
  }
  return x
}

/** Solves Lᵀ·x = b. */
export function backward(l: Float64Array, n: number, b: Float64Array): Float64Array {
  const x = new Float64Array(n)
  for (let i = n - 1; i >= 0; i -= 1) {
    let sum = b[i] as number
    for (let k = i + 1; k < n; k += 1) sum -= (l[k * n + i] as number) * (x[k] as number)
    x[i] = sum / (l[i * n + i] as number)
  }
  return x
}
