import type { Worked } from '../../calculation/calculation.ts'
import { wearForecast } from '../../calculations/wear-forecast.ts'
import { type Outcome, ok } from '../../outcome/outcome.ts'

/** The applied arm’s angle from the ridge, and when it was measured (ISO 8601). */
export interface ArmReading {
  readonly at: string
  readonly deg: number
}

/** Fewer readings than this draw no band. */
const ENOUGH = 3
const DAY_MS = 86_400_000
/** Parallel with the ridge: the linings are at their end. */
const PARALLEL_DEG = 0

/** When the linings come to their end: dates (ISO 8601), open at either side where the band never meets it there. */
export interface LiningForecast {
  readonly kind: 'forecast'
  readonly at: string
  readonly earliest?: string
  readonly latest?: string
  readonly worked: Worked
}

export type Wear =
  | LiningForecast
  /** So many readings more, on other days, until there is a band. */
  | { readonly kind: 'too-few'; readonly more: number }
  /** The readings do not go down: nothing wears as far as they tell. */
  | { readonly kind: 'no-wear'; readonly worked: Worked }

/** A line through the readings of one pair of linings, and its band. Refuses readings the calculation refuses. */
export function liningsLast(readings: readonly ArmReading[]): Outcome<Wear> {
  const first = readings[0]
  const days = readings.map(({ at }) => (Date.parse(at) - Date.parse(first?.at ?? at)) / DAY_MS)
  const apart = new Set(days.map((day) => Math.floor(day))).size
  if (!first || apart < ENOUGH) return ok({ kind: 'too-few', more: ENOUGH - apart })
  const worked = wearForecast.work({ x: days, y: readings.map(({ deg }) => deg), limit: PARALLEL_DEG })
  if (!worked.ok) return worked
  const { slope, crossing, crossingEarliest, crossingLatest } = worked.value.outputs
  if (slope >= 0 || crossing === null) return ok({ kind: 'no-wear', worked: worked.value })
  const dated = (day: number) => new Date(Date.parse(first.at) + day * DAY_MS).toISOString()
  return ok({
    kind: 'forecast',
    at: dated(crossing),
    ...(crossingEarliest !== null && { earliest: dated(crossingEarliest) }),
    ...(crossingLatest !== null && { latest: dated(crossingLatest) }),
    worked: worked.value,
  })
}
