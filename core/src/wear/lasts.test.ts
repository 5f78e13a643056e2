import { describe, expect, it } from 'vitest'
import { wears } from '../brake/keeps.ts'
import { FARTHEST_YEARS, lasts } from './slope.ts'

const BOOK = wears(-1.2, 1.5)

describe('how long it lasts', () => {
  it('is what is left over the slope: by the book from one reading, sums by hand', () => {
    // 3.9 mm over 1.5 mm at 1.2 mm a year: 2 years.
    expect(lasts([{ year: 0, value: 3.9 }], BOOK, 0.05, 1.5, 0).expected).toBeCloseTo(2, 1)
  })

  it('goes by this brake’s own slope once it has several: 2.4 mm a year is a year, whatever the book says', () => {
    const points = [0, 0.5, 1, 1.5].map((year) => ({ year, value: 7.5 - 2.4 * year }))
    const { expected = 0, soonest = 0 } = lasts(points, BOOK, 0.05, 1.5, 1.5)
    expect(expected).toBeCloseTo(1, 1)
    expect(soonest).toBeLessThan(expected)
    expect(soonest).toBeGreaterThan(0.3)
  })

  it('of what grows with use it is the upper limit that counts', () => {
    expect(lasts([{ year: 0, value: 70.3 }], wears(0.05, 0.01), 0.01, 70.4, 0).expected).toBeCloseTo(2, 1)
  })

  it('is over at its limit, and is not told beyond what anybody plans', () => {
    expect(lasts([{ year: 0, value: 1.5 }], BOOK, 0.05, 1.5, 0)).toEqual({ expected: 0, soonest: 0 })
    expect(
      lasts([{ year: 0, value: 1.6 + 1.2 * FARTHEST_YEARS }], wears(-1.2, 0.01), 0.05, 1.5, 0).expected,
    ).toBeUndefined()
  })
})
