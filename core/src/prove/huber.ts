import type { Series } from './series.ts'

/** A line through part of a trace that a slipped pulse does not draw away. */
export interface RobustLine {
  readonly slope: number
  readonly intercept: number
  readonly slopeSd: number
  readonly count: number
}

/** Residuals beyond this many deviations count less (Huber, Robust Statistics): 95 % as good as least squares on a bell curve. */
const BEND = 1.345
const ROUNDS = 12
/** A median deviation as a standard one, of a bell curve. */
const AS_SD = 1.4826

/** Huber’s line through the places from `a` to `b`, with the standard deviation of its slope. Undefined where there are too few. */
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
  let [squares, flat] = [0, 0]
  for (let index = 0; index < count; index += 1) {
    const off = ((y[index] as number) - line.intercept - line.slope * (x[index] as number)) / scale
    squares += Math.min(Math.abs(off), BEND) ** 2
    if (Math.abs(off) <= BEND) flat += 1
  }
  const share = flat / count
  // Huber’s variance of the slope: what the residuals spread once bent, over how many of them still pull, by their reach in time.
  const few = 1 + (2 / count) * ((1 - share) / share)
  const variance = (few ** 2 * scale ** 2 * (squares / (count - 2))) / (share ** 2 * line.spreadX)
  return { slope: line.slope, intercept: line.intercept, slopeSd: Math.sqrt(variance), count }
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
  let [spreadX, cross, allX] = [0, 0, 0]
  for (let index = 0; index < x.length; index += 1) {
    const dx = (x[index] as number) - meanX
    spreadX += (w[index] as number) * dx * dx
    allX += dx * dx
    cross += (w[index] as number) * dx * ((y[index] as number) - meanY)
  }
  const slope = cross / spreadX
  return { slope, intercept: meanY - slope * meanX, spreadX: allX }
}

/** Median deviation as a standard one; never under half the plain one, so that coarse steps do not read as none. */
function scaleOf(x: Float64Array, y: Float64Array, line: { slope: number; intercept: number }): number {
  const off = y.map((each, index) => Math.abs(each - line.intercept - line.slope * (x[index] as number)))
  const plain = Math.sqrt(off.reduce((sum, each) => sum + each * each, 0) / Math.max(1, off.length - 2))
  const median = off.sort()[off.length >> 1] as number
  return Math.max(AS_SD * median, plain / 2, 1e-6)
}
