import type { Drift } from '../brake/keeps.ts'
import { bisect } from '../mechanics/bisect.ts'

/** A reading over time. */
export interface Point {
  /** When, in years from any beginning. */
  readonly year: number
  readonly value: number
}

/** A reading as it is expected to be, with its standard deviation, in its own unit. */
export interface Forecast {
  readonly mean: number
  readonly sd: number
  /** Of that, what may have changed since it was last read: without what the gauge is unsure of. */
  readonly moved: number
  /** Had it gone on at the fastest rate that is met; missing of what does not wear. */
  readonly atWorst?: number
}

/**
 * One brake in hundreds wears up to this many times as fast as the book’s: a cargo bicycle in winter, pads of the wrong compound. A
 * Gaussian does not know of it. Our estimate.
 */
const FASTEST = 12

/** Use differs from one year to the next by this share of what it differs from brake to brake. Our choice. */
const USE_CHANGES = 0.5

/** Two readings of one thing differ by no more than this many of their standard deviations; more is another thing. Our choice. */
export const ANOTHER_SIGMAS = 3 * Math.SQRT2

/** The points since the last that grew back: another part was put in, and nobody wrote it down. */
export function sinceChanged(points: readonly Point[], { perYear }: Drift, readSd: number): readonly Point[] {
  const grewBack = points.findLastIndex((point, index) => {
    const before = points[index - 1]
    const against = before ? (point.value - before.value) * -Math.sign(perYear) : 0
    return against > ANOTHER_SIGMAS * readSd
  })
  return points.slice(Math.max(0, grewBack))
}

/**
 * What a reading should be by now: a line through this brake’s own points by least squares, the book’s slope counted as one
 * more reading of it with the book’s spread (Gaussian prior of the slope; none of the height). One point goes by the book
 * alone, many by themselves. A slope against the book’s sense is taken as none: nothing that wears grows back. `readSd`: of one
 * reading. Throws where there is no point.
 */
export function forecast(all: readonly Point[], book: Drift, readSd: number, year: number): Forecast {
  const points = sinceChanged(all, book, readSd)
  const last = points.at(-1)
  if (!last) throw new Error('A forecast needs a point to begin from.')
  const weight = 1 / readSd ** 2
  const prior = 1 / book.sdPerYear ** 2
  let [p00, p01, p11, r0, r1] = [0, 0, prior, 0, prior * book.perYear]
  for (const { year: at, value } of points) {
    const t = at - last.year
    p00 += weight
    p01 += weight * t
    p11 += weight * t * t
    r0 += weight * value
    r1 += weight * t * value
  }
  const determinant = p00 * p11 - p01 * p01
  const height = (r0 * p11 - r1 * p01) / determinant
  const fitted = (p00 * r1 - p01 * r0) / determinant
  const slope = book.perYear !== 0 && fitted * book.perYear < 0 ? 0 : fitted
  const ahead = Math.max(0, year - last.year)
  const varianceAt = (years: number) => (p11 - 2 * years * p01 + years * years * p00) / determinant
  const variance = varianceAt(ahead)
  const use = USE_CHANGES * book.sdPerYear * ahead
  return {
    mean: height + slope * ahead,
    sd: Math.sqrt(variance + use * use),
    moved: Math.sqrt(Math.max(0, variance - varianceAt(0)) + use * use),
    ...(book.perYear !== 0 && { atWorst: last.value + FASTEST * book.perYear * ahead }),
  }
}

/** How long something that wears will last, in years from now; missing beyond `FARTHEST_YEARS`. */
export interface Lasts {
  readonly expected?: number
  /** So soon it is gone one time in twenty. */
  readonly soonest?: number
}

/** Nobody plans further ahead. Our choice. */
export const FARTHEST_YEARS = 5

const ONE_IN_TWENTY = 1.645

/** The first moment `gone` holds, in years from 0 on: what wears does not come back. */
function firstWhen(gone: (years: number) => boolean): number | undefined {
  if (gone(0)) return 0
  return gone(FARTHEST_YEARS) ? bisect(0, FARTHEST_YEARS, (years) => !gone(years)) : undefined
}

/** When a reading that wears comes to its limit, by the same line as `forecast`, counted from the year `now`. */
export function lasts(points: readonly Point[], book: Drift, readSd: number, limit: number, now: number): Lasts {
  const way = Math.sign(book.perYear)
  const goneBy = (sigmas: number) => (years: number) => {
    const { mean, sd } = forecast(points, book, readSd, now + years)
    return (mean + way * sigmas * sd - limit) * way >= 0
  }
  const [expected, soonest] = [firstWhen(goneBy(0)), firstWhen(goneBy(ONE_IN_TWENTY))]
  return { ...(expected !== undefined && { expected }), ...(soonest !== undefined && { soonest }) }
}
