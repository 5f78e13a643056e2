import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { UNITS } from '../../quantity/quantity.ts'

/** A wheel's or a bicycle's speed over time: seconds, metres a second; a place that was not read is left out. */
export interface Series {
  readonly t: Float64Array
  readonly v: Float64Array
}

/** What a speed is written in; one metre a second is so much of it. */
export const SPEED_UNITS = {
  'm/s': 1,
  'km/h': UNITS.ms.size / UNITS.kmh.size,
  mph: UNITS.ms.size / UNITS.mph.size,
} as const
export type SpeedUnit = keyof typeof SPEED_UNITS

/** A trace as it was read: its unit as written, or guessed and then asked. */
export interface Read {
  readonly series: Series
  readonly unit: SpeedUnit
  /** The file says so itself; otherwise it was guessed from its size. */
  readonly isSure: boolean
}

/** No bicycle goes faster than this, m/s: 120 km/h. Our choice. */
const FASTEST_MS = 120 / 3.6
const FEWEST = 12
/** A file in which more than this share cannot be read is another kind of file. */
const MOST_BAD = 0.2

const isTime = (head: string) => /^\s*(t|time|zeit|elapsed|timestamp|seconds?|secs?|ms|millis\w*)\b/i.test(head)
const isSpeed = (head: string) => /speed|velocity|^\s*v\b|km\/?h|kph|mph|m\/s/i.test(head)

/** The unit a heading names, if it does. */
export function unitIn(head: string): SpeedUnit | undefined {
  if (/km\s*\/?\s*h|kph|kmh/i.test(head)) return 'km/h'
  if (/mph|mi\/h/i.test(head)) return 'mph'
  return /m\s*\/\s*s|mps/i.test(head) ? 'm/s' : undefined
}

/** Metres a second up to a sprinter’s 45 km/h, else kilometres an hour: a guess, to be asked. */
const guessUnit = (fastest: number): SpeedUnit => (fastest <= 12.5 ? 'm/s' : 'km/h')

const numberOf = (cell: string | undefined): number => {
  const text = (cell ?? '').trim().replace(/^(-?\d+),(\d+)$/, '$1.$2')
  return text === '' ? Number.NaN : Number(text)
}

const secondsOf = (cell: string | undefined): number => {
  const plain = numberOf(cell)
  return Number.isNaN(plain) && /[-:T]/.test(cell ?? '') ? Date.parse(cell ?? '') / 1000 : plain
}

/**
 * A trace from the rows of a table: a column of time and one of speed, by their headings or the first two. `unit` is what
 * somebody said the speed is in; otherwise what the heading says, or a guess. Refuses a table without them, one that is
 * mostly something else, time that runs backwards, and speeds no bicycle makes.
 */
export function seriesOfRows(rows: readonly (readonly string[])[], unit?: SpeedUnit): Outcome<Read> {
  const heads = rows[0] ?? []
  const headed = heads.some((cell) => cell.trim() !== '' && Number.isNaN(secondsOf(cell)))
  const timeAt = headed ? heads.findIndex(isTime) : 0
  const speedAt = headed ? heads.findIndex((head, index) => index !== timeAt && isSpeed(head)) : 1
  if (timeAt < 0 || speedAt < 0 || (rows[headed ? 1 : 0]?.length ?? 0) < 2)
    return refuse(
      'no-trace',
      'file',
      `There is no ${timeAt < 0 ? 'time' : 'speed'} among the columns ${heads.map((each) => `“${each.trim()}”`).join(', ') || 'of this file'}. Accepted: a column “time, s” and one “speed, km/h”, “speed, mph” or “speed, m/s”.`,
    )
  const body = headed ? rows.slice(1) : rows
  const told = headed ? unitIn(heads[speedAt] ?? '') : undefined
  const inMs = headed && /\bms\b|millis/i.test(heads[timeAt] ?? '')
  const t: number[] = []
  const v: number[] = []
  let bad = 0
  let firstBad = 0
  for (const [index, row] of body.entries()) {
    const [at, speed] = [secondsOf(row[timeAt]), numberOf(row[speedAt])]
    const line = index + (headed ? 2 : 1)
    if (Number.isNaN(at) || Number.isNaN(speed)) {
      bad += 1
      firstBad ||= line
      continue
    }
    const before = t.at(-1)
    const seconds = inMs ? at / 1000 : at
    if (before !== undefined && seconds < before)
      return refuse(
        'time-backwards',
        'file',
        `Time runs backwards on line ${line}: ${seconds} s after ${before} s. Accepted: a file in the order it was recorded.`,
      )
    if (before === seconds) continue
    t.push(seconds)
    v.push(speed)
  }
  if (bad > MOST_BAD * body.length)
    return refuse(
      'not-a-number',
      'file',
      `Line ${firstBad} is no time and speed, and so are ${bad} of ${body.length}. Accepted: numbers, now and then a gap.`,
    )
  return finish(t, v, unit ?? told ?? guessUnit(Math.max(...chunked(v))), unit !== undefined || told !== undefined)
}

/** The largest of each thousand: a spread of a hundred thousand numbers is more than a call takes. */
const chunked = (values: readonly number[]): readonly number[] => {
  const largest: number[] = []
  for (let at = 0; at < values.length; at += 1000) largest.push(Math.max(...values.slice(at, at + 1000)))
  return largest
}

function finish(t: readonly number[], v: readonly number[], unit: SpeedUnit, isSure: boolean): Outcome<Read> {
  if (t.length < FEWEST)
    return refuse(
      'too-short',
      'file',
      `Only ${t.length} places of this trace can be read. Accepted: ${FEWEST} or more.`,
    )
  const fastest = Math.max(...chunked(v)) / SPEED_UNITS[unit]
  if (fastest > FASTEST_MS)
    return refuse(
      'too-fast',
      'unit',
      `${(fastest * 3.6).toFixed(0)} km/h, read as ${unit}: no bicycle goes so fast. Accepted: up to ${(FASTEST_MS * 3.6).toFixed(0)} km/h; another unit?`,
    )
  const from = t[0] as number
  return ok({
    series: {
      t: Float64Array.from(t, (each) => each - from),
      v: Float64Array.from(v, (each) => each / SPEED_UNITS[unit]),
    },
    unit,
    isSure,
  })
}

/** A place on a track: degrees, and seconds; its speed too where the recorder wrote one, m/s. */
export interface TrackPoint {
  readonly lat: number
  readonly lon: number
  readonly at: number
  readonly speedMs?: number
}

/** Mean radius of the earth, m (IUGG). */
const EARTH_M = 6_371_008.8

/** Metres between two places on the ground, by the haversine. */
export function apartM(one: TrackPoint, other: TrackPoint): number {
  const rad = Math.PI / 180
  const [lat, lon] = [(other.lat - one.lat) * rad, (other.lon - one.lon) * rad]
  const half = Math.sin(lat / 2) ** 2 + Math.cos(one.lat * rad) * Math.cos(other.lat * rad) * Math.sin(lon / 2) ** 2
  return 2 * EARTH_M * Math.asin(Math.min(1, Math.sqrt(half)))
}

/** A trace from a track: the recorder’s own speed where it wrote it, else the way between two places over the time. */
export function seriesOfTrack(points: readonly TrackPoint[]): Outcome<Read> {
  const t: number[] = []
  const v: number[] = []
  for (const [index, point] of points.entries()) {
    const before = points[index - 1]
    if (before && point.at < before.at)
      return refuse(
        'time-backwards',
        'file',
        `Time runs backwards at place ${index + 1} of the track. Accepted: a track in the order it was recorded.`,
      )
    if (point.speedMs !== undefined) {
      t.push(point.at)
      v.push(point.speedMs)
    } else if (before && point.at > before.at) {
      t.push((before.at + point.at) / 2)
      v.push(apartM(before, point) / (point.at - before.at))
    }
  }
  return finish(t, v, 'm/s', true)
}
