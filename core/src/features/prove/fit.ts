import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { huberLine, medianLine, pulledIn, type RobustLine, stepIn } from './huber.ts'
import { slopeInNoise } from './noise.ts'
import type { Series } from './series.ts'

/** A stop found in a trace: from where, to where, by their places in it. */
export interface Stop {
  readonly from: number
  readonly to: number
  readonly peakMs: number
}

/** The braking phase of a stop. Seconds from the trace’s begin, SI. */
export interface StopFit {
  readonly startS: number
  readonly endS: number
  /** Speed when the brake began to hold. */
  readonly speedMs: number
  /** On the plateau, between building up and standing still. */
  readonly decelerationMs2: number
  readonly sdMs2: number
  /** 9 times in 10 between these. */
  readonly lowMs2: number
  readonly highMs2: number
  /** From start to standstill, under the trace. */
  readonly distanceM: number
  readonly plateau: readonly [number, number]
  /** Where the plateau’s own line stands at the begin, m/s. */
  readonly lineMs: number
  /** What the trace shows beyond the fitted line: place and difference, m/s. */
  readonly residuals: readonly (readonly [number, number])[]
  /** The start was put there by hand. */
  readonly byHand: boolean
}

/** Slower than this it stands; a stop begins above this, m/s. Our choice. */
const STANDS_MS = 0.5
export const BEGINS_MS = 2.5
/** The plateau leaves so much of the phase to building up and to the last of it. Our choice. */
const EDGE = 0.15
const FEWEST = 8
const CONFIDENCE = 0.9
/**
 * A wheel slips where it lies under the line by more than so many deviations, their excess summed over neighbouring
 * places is over the sum (Page 1954, the cumulative sum), and no longer than so many seconds. Our choice.
 */
const SLIP_SCALES = 1
const SLIP_SUM = 7
const SLIP_S = 0.4
/** The last of what rolled before the brake is nearest to what it met: so much of it, or what there is, s. */
const BEFORE_S = 0.5

/** Mean of a few neighbours, so that one slip does not end a stop. */
function smoothed({ v }: Series): Float64Array {
  const half = 2
  return v.map((_, index) => {
    let [sum, count] = [0, 0]
    for (let at = Math.max(0, index - half); at <= Math.min(v.length - 1, index + half); at += 1) {
      sum += v[at] as number
      count += 1
    }
    return sum / count
  })
}

/** Every place where the trace comes from rolling to a standstill, in order. */
export function stopsIn(series: Series): readonly Stop[] {
  const v = smoothed(series)
  const stops: Stop[] = []
  let begin = 0
  let peakAt = -1
  for (let index = 0; index < v.length; index += 1) {
    const now = v[index] as number
    if (peakAt < 0 ? now >= BEGINS_MS : now >= (v[peakAt] as number)) peakAt = index
    if (peakAt >= 0 && now < STANDS_MS) {
      stops.push({ from: begin, to: index, peakMs: v[peakAt] as number })
      peakAt = -1
      begin = index
    }
  }
  return stops
}

/** The last place at which a smoothed trace was still at this speed, before an index. */
function lastAbove(v: Float64Array, speed: number, before: number, from: number): number {
  for (let index = before; index >= from; index -= 1) if ((v[index] as number) >= speed) return index
  return from
}

/** How fast it rolled just before the brake: where the trace, followed back from standstill, stops rising. */
function rollingAt(
  series: Series,
  v: Float64Array,
  { from, to }: Stop,
): { readonly at: number; readonly speedMs: number } {
  // Followed back, the speed rises as long as the brake holds; half a second without a rise ends it.
  let best = to
  for (let index = to; index >= from; index -= 1) {
    if ((v[index] as number) > (v[best] as number) * 1.01 + 0.02) best = index
    else if ((series.t[best] as number) - (series.t[index] as number) > 0.5) break
  }
  return { at: best, speedMs: v[best] as number }
}

/**
 * The braking phase of one stop: where it begins, the deceleration of its plateau with its uncertainty, where it ends.
 * `startS` puts the begin there by hand. Refuses a stop too coarse to tell, and a begin outside it.
 */
export function fitStop(series: Series, stop: Stop, startS?: number): Outcome<StopFit> {
  const { t } = series
  const v = smoothed(series)
  const rolling = rollingAt(series, v, stop)
  // The middle of the fall is surely braking: its line leads to the begin and to the end.
  const upper = lastAbove(v, 0.85 * rolling.speedMs, stop.to, rolling.at)
  const lower = lastAbove(v, 0.15 * rolling.speedMs, stop.to, upper)
  const middle = withoutSlips(series, upper, lower).line
  if (!middle || lower - upper + 1 < FEWEST / 2 || !(middle.slope < 0)) return tooCoarse(lower - upper + 1)
  const before = beforeBrake(series, rolling.at)
  const rolled = before ?? rolling.speedMs
  const foundS = (rolled - middle.intercept) / middle.slope
  const endS = -middle.intercept / middle.slope
  const [first, last] = [t[stop.from] as number, t[stop.to] as number]
  if (startS !== undefined && !(startS >= first && startS < endS - 0.1))
    return refuse(
      'out-of-range',
      'startS',
      `A begin at ${startS.toFixed(2)} s is not in this stop. Accepted: ${first.toFixed(2)} to ${(endS - 0.1).toFixed(2)} s.`,
    )
  const begin = startS ?? Math.max(first, foundS)
  const span = endS - begin
  const [low, high] = [begin + EDGE * span, endS - EDGE * span]
  const [a, b] = [indexAt(t, low), indexAt(t, high) - 1]
  if (b - a + 1 < FEWEST) return tooCoarse(b - a + 1)
  const { line, held } = withoutSlips(series, a, b)
  if (!line || held.t.length < FEWEST || !(line.slope < 0)) return tooCoarse(held.t.length)
  const leastSd = stepIn(held.v) / Math.sqrt(12)
  const slope = slopeInNoise(held.t, pulledIn(held, line), leastSd, CONFIDENCE)
  // A wheel that was seen to slip also slipped unseen, beside the places cut: the band is wider by the share of them.
  const unseen = (b - a + 1) / held.t.length
  const decelerationMs2 = -slope.slope
  const residuals = Array.from({ length: b - a + 1 }, (_, k): readonly [number, number] => {
    const at = t[a + k] as number
    return [at, (series.v[a + k] as number) - (line.intercept + line.slope * at)]
  })
  return ok({
    startS: begin,
    endS: Math.min(endS, last + 1),
    speedMs: startS === undefined ? rolled : speedAt(series, v, startS),
    decelerationMs2,
    sdMs2: slope.sd * unseen,
    lowMs2: decelerationMs2 - unseen * (slope.high - slope.slope),
    highMs2: decelerationMs2 + unseen * (slope.slope - slope.low),
    distanceM: under(series, begin, endS),
    plateau: [low, high],
    lineMs: line.intercept + line.slope * begin,
    residuals,
    byHand: startS !== undefined,
  })
}

/**
 * The places between two of a trace without those where the wheel slipped: two or more in a row under the line and no
 * longer than a slip lasts. What lies far off by itself stays: Huber’s line bends it.
 */
function withoutSlips(series: Series, a: number, b: number): { readonly line?: RobustLine; readonly held: Series } {
  let held: Series = { t: series.t.slice(a, b + 1), v: series.v.slice(a, b + 1) }
  for (let round = 0; round < 3; round += 1) {
    const line = medianLine(held)
    const cut = line ? slipped(held, line) : new Set<number>()
    if (cut.size === 0) break
    const stays = (_: number, index: number) => !cut.has(index)
    held = { t: held.t.filter(stays), v: held.v.filter(stays) }
  }
  const line = huberLine(held, 0, held.t.length - 1)
  return line ? { line, held } : { held }
}

/** Which places of a trace lie in a slip. */
function slipped({ t, v }: Series, line: RobustLine): ReadonlySet<number> {
  const under = v.map((each, index) => (line.intercept + line.slope * (t[index] as number) - each) / line.scale)
  const beyond = (index: number) => (under[index] ?? 0) - SLIP_SCALES
  const cut = new Set<number>()
  let [from, sum] = [0, 0]
  for (let index = 0; index <= t.length; index += 1) {
    if (beyond(index) > 0) {
      if (sum === 0) from = index
      sum += beyond(index)
      continue
    }
    const lastsS = (t[index - 1] as number) - (t[from] as number)
    if (sum > SLIP_SUM && index - from > 1 && lastsS <= SLIP_S) for (let at = from; at < index; at += 1) cut.add(at)
    sum = 0
  }
  return cut
}

const tooCoarse = (places: number): Outcome<never> =>
  refuse(
    'too-coarse',
    'file',
    `Only ${places} places of this trace lie in the braking. Accepted: ${FEWEST} or more, five a second at the least.`,
  )

/** Mean speed of what rolled before the brake, m/s; undefined where the trace begins with the brake. */
function beforeBrake({ t, v }: Series, at: number): number | undefined {
  const places = v.subarray(indexAt(t, (t[at] as number) - BEFORE_S), at + 1)
  return places.length < 3 ? undefined : places.reduce((sum, each) => sum + each, 0) / places.length
}

/** First place at or after a moment. */
export function indexAt(t: Float64Array, seconds: number): number {
  let [low, high] = [0, t.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((t[middle] as number) < seconds) low = middle + 1
    else high = middle
  }
  return low
}

function speedAt({ t }: Series, v: Float64Array, seconds: number): number {
  const after = Math.min(t.length - 1, Math.max(1, indexAt(t, seconds)))
  const [t0, t1] = [t[after - 1] as number, t[after] as number]
  const share = t1 > t0 ? (seconds - t0) / (t1 - t0) : 0
  return (v[after - 1] as number) + share * ((v[after] as number) - (v[after - 1] as number))
}

/** Way under the trace between two moments, m; gaps are bridged straight. */
function under(series: Series, from: number, to: number): number {
  const { t, v } = series
  let way = 0
  let [lastT, lastV] = [from, speedAt(series, v, from)]
  for (let index = indexAt(t, from); index < t.length && (t[index] as number) < to; index += 1) {
    const [nowT, nowV] = [t[index] as number, Math.max(0, v[index] as number)]
    way += ((nowT - lastT) * (lastV + nowV)) / 2
    lastT = nowT
    lastV = nowV
  }
  return way + ((to - lastT) * lastV) / 2
}
