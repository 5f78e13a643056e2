import { describe, expect, it } from 'vitest'
import { settles, wears } from '../brake/keeps.ts'
import { fitLine } from '../mechanics/regression.ts'
import { forecast } from './slope.ts'

describe('a reading carried forward', () => {
  const pads = wears(-1.2, 0.8)

  it('one point goes by the book, as wide as the book is and the gauge', () => {
    const { mean, sd } = forecast([{ year: 0, value: 4 }], pads, 0.3, 0.5)
    expect(mean).toBeCloseTo(4 - 0.6, 9)
    // Height ±0.3, half a year of a slope ±0.8, and half of that again for use that changes.
    expect(sd).toBeCloseTo(Math.hypot(0.3, 0.8 * 0.5, 0.5 * 0.8 * 0.5), 9)
  })

  it('on the day it was read it is what was read', () => {
    expect(forecast([{ year: 2, value: 3.1 }], pads, 0.3, 2)).toMatchObject({
      mean: expect.closeTo(3.1, 9),
      sd: expect.closeTo(0.3, 9),
    })
  })

  // Ordinary least squares is what is left where the book says nothing (reference: our own regression, held to NIST’s Norris).
  it('many points go by themselves: least squares where the book is wide', () => {
    const points = [0, 0.2, 0.5, 0.9, 1.4].map((year, k) => ({
      year,
      value: 5 - 2.1 * year + ([0.05, -0.1, 0.08, 0, -0.03][k] as number),
    }))
    const { slope, intercept } = fitLine(
      points.map(({ year }) => year),
      points.map(({ value }) => value),
    )
    expect(forecast(points, wears(-1, 1e4), 0.1, 1.4).mean).toBeCloseTo(intercept + slope * 1.4, 4)
    // With the book’s spread it lies between the two.
    const ahead = forecast(points, wears(-1.2, 0.8), 0.1, 2).mean
    expect(ahead).toBeGreaterThan(intercept + slope * 2 - 0.01)
    expect(ahead).toBeLessThan((points.at(-1)?.value as number) - 1.2 * 0.6)
  })

  it('nothing that wears grows back; a setting stays', () => {
    const up = [0, 0.5, 1].map((year) => ({ year, value: 3 + 0.2 * year }))
    expect(forecast(up, wears(-1.2, 10), 0.05, 2).mean).toBeLessThanOrEqual(3.21)
    expect(forecast([{ year: 0, value: 0.5 }], settles(0.2), 0.1, 1).mean).toBeCloseTo(0.5, 9)
  })

  it('a pad that grew back is another pad: what was read before it says nothing of it', () => {
    const before = [0, 0.3, 0.6].map((year) => ({ year, value: 4 - 5 * year }))
    const fresh = { year: 0.7, value: 4 }
    expect(forecast([...before, fresh], pads, 0.3, 1)).toEqual(forecast([fresh], pads, 0.3, 1))
    // A little more than before is only a reading of it.
    const again = { year: 0.7, value: 1.6 }
    expect(forecast([...before, again], pads, 0.3, 1).mean).toBeLessThan(1.4)
  })

  it('is known less the longer it is ago', () => {
    const sds = [0, 0.25, 1, 3].map((year) => forecast([{ year: 0, value: 4 }], pads, 0.3, year).sd)
    expect(sds).toEqual([...sds].sort((a, b) => a - b))
    expect(forecast([{ year: 0, value: 4 }], pads, 0.3, 0.25).atWorst).toBeCloseTo(4 - 12 * 1.2 * 0.25, 9)
    expect(forecast([{ year: 0, value: 4 }], settles(0.2), 0.3, 1).atWorst).toBeUndefined()
    expect(() => forecast([], pads, 0.3, 1)).toThrow(/needs a point/)
  })
})
