import reference from '@stdlib/stats-base-dists-t-quantile'
import { describe, expect, it } from 'vitest'
import { tCdf, tQuantile } from './student.ts'

const FREEDOMS = [1, 1.3, 2, 3, 4, 5, 7.7, 10, 12.96, 30, 100, 1000, 100_000]
const LEVELS = [0.55, 0.75, 0.9, 0.95, 0.975, 0.989, 0.995, 0.999, 0.9999]

describe('Student’s t', () => {
  // Reference library: @stdlib/stats-base-dists-t-quantile, over the range that is used.
  it.each(FREEDOMS)('quantiles with %d degrees of freedom, to seven figures', (freedom) => {
    for (const level of LEVELS) {
      expect(tQuantile(level, freedom) / reference(level, freedom)).toBeCloseTo(1, 6)
      expect(tQuantile(1 - level, freedom)).toBeCloseTo(-tQuantile(level, freedom), 8)
      expect(tCdf(reference(level, freedom), freedom)).toBeCloseTo(level, 6)
    }
  })

  // Tabulated, Student 1908 and every table since: 6.314, 2.353, 1.812 at 95 % one-sided.
  it.each([
    [1, 6.314],
    [3, 2.353],
    [10, 1.812],
  ])('as tables print it, %d: %d', (freedom, printed) => expect(tQuantile(0.95, freedom)).toBeCloseTo(printed, 3))
})
