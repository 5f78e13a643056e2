import type { Series } from './series.ts'

/** A line through part of a trace that a slipped pulse does not draw away. */
export interface RobustLine {
  readonly slope: number
  readonly intercept: number
  /** What a residual usually is, m/s. */
  readonly scale: number
  readonly count: number
}

/** Residuals beyond this many deviations count less (Huber, Robust Statistics): 95 % as good as least squares on a bell curve. */
const BEND = 1.345
const ROUNDS = 12
/** So many places are paired with each other at the most. */
const MOST_PAIRED = 120
/** A median deviation as a standard one, of a bell curve. */
const AS_SD = 1.4826

/** Huber’s line through the places from `a` to `b`. Undefined where there are too few. */
export function huberLine({ t, v }: Series, a: number, b: number): RobustLine | undefined {
  const count = b - a + 1
  if (count < 4) return undefined
  const x = t.subarray(a, b + 1)
  const y = v.subarray(a, b + 1)
  const weights = new Float64Array(count).fill(1)
  let line = weighted(x, y, weights)
  let scale = scaleOf(x, y, line)
  for (let round = 0; round < ROUNDS; round += 1) {
    for (let index = 0; index < count; index += 1) {
      const off = Math.abs((y[index] as number) - line.intercept - line.slope * (x[index] as number)) / scale
      weights[index] = off <= BEND ? 1 : BEND / off
    }
    const next = weighted(x, y, weights)
    const moved = Math.abs(next.slope - line.slope)
    line = next
    scale = scaleOf(x, y, line)
    if (moved < 1e-9) break
  }
  return { slope: line.slope, intercept: line.intercept, scale, count }
}

/**
 * What places far from the line count as (Huber’s pseudo-values): a residual bent at `BEND`, opened again by the share
 * that still pulls. Least squares through them is Huber’s line, and their spread is what its variance is taken from.
 */
export function pulledIn({ t, v }: Series, line: RobustLine): Float64Array {
  const off = v.map((each, index) => (each - line.intercept - line.slope * (t[index] as number)) / line.scale)
  const bent = off.map((each) => Math.max(-BEND, Math.min(BEND, each)))
  const share = off.filter((each) => Math.abs(each) <= BEND).length / off.length
  return bent.map(
    (each, index) => line.intercept + line.slope * (t[index] as number) + (each * line.scale) / Math.max(share, 0.5),
  )
}

function weighted(x: Float64Array, y: Float64Array, w: Float64Array) {
  let [sum, sumX, sumY] = [0, 0, 0]
  for (let index = 0; index < x.length; index += 1) {
    const weight = w[index] as number
    sum += weight
    sumX += weight * (x[index] as number)
    sumY += weight * (y[index] as number)
  }
  const [meanX, meanY] = [sumX / sum, sumY / sum]
  let [spreadX, cross] = [0, 0]
  for (let index = 0; index < x.length; index += 1) {
    const dx = (x[index] as number) - meanX
    spreadX += (w[index] as number) * dx * dx
    cross += (w[index] as number) * dx * ((y[index] as number) - meanY)
  }
  const slope = cross / spreadX
  return { slope, intercept: meanY - slope * meanX }
}

/** The line that almost half of the places may lie off without moving it much (Siegel 1982, repeated medians): undefined of fewer than four. */
export function medianLine({ t: x, v: y }: Series): RobustLine | undefined {
  if (x.length < 4) return undefined
  const every = Math.ceil(x.length / MOST_PAIRED)
  const places = Array.from(x.keys()).filter((index) => index % every === 0)
  const slopeFrom = (i: number) =>
    median(
      places
        .filter((j) => j !== i)
        .map((j) => ((y[j] as number) - (y[i] as number)) / ((x[j] as number) - (x[i] as number))),
    )
  const slope = median(places.map(slopeFrom))
  const line = { slope, intercept: median(places.map((i) => (y[i] as number) - slope * (x[i] as number))) }
  return { ...line, scale: scaleOf(x, y, line), count: x.length }
}

export function median(values: readonly number[]): number {
  const sorted = Float64Array.from(values).sort()
  const half = sorted.length >> 1
  return sorted.length % 2 ? (sorted[half] as number) : ((sorted[half - 1] as number) + (sorted[half] as number)) / 2
}

/** Median deviation as a standard one; never under what the recorder’s steps leave of it. */
function scaleOf(x: Float64Array, y: Float64Array, line: { slope: number; intercept: number }): number {
  const off = Array.from(y, (each, index) => Math.abs(each - line.intercept - line.slope * (x[index] as number)))
  return Math.max(AS_SD * median(off), stepIn(y) / Math.sqrt(12), 1e-6)
}

/** The step a recorder writes its speeds in, m/s: the least there is between two of them. */
export function stepIn(v: Float64Array): number {
  const sorted = v.slice().sort()
  let least = Number.POSITIVE_INFINITY
  for (let index = 1; index < sorted.length; index += 1) {
    const apart = (sorted[index] as number) - (sorted[index - 1] as number)
    if (apart > 1e-6 && apart < least) least = apart
  }
  return Number.isFinite(least) ? least : 0
}
