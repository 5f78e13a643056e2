/** One measured thing and what it must not exceed. */
export interface Line {
  readonly what: string
  readonly value: number
  readonly unit: string
  readonly limit: number
}

export const quantile = (values: readonly number[], share: number): number => {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)] ?? Number.NaN
}
