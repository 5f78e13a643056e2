import { type Random, seededRandom } from './random.ts'

/** A stop as it happens: rolled so fast, braked so hard after so long, the brake building up first. SI. */
export interface TrueStop {
  readonly speedMs: number
  readonly decelerationMs2: number
  readonly beginS: number
  readonly buildUpS: number
}

/** Any stop a bicycle makes, the same from the same seed. */
export function anyStop(seed: number): TrueStop {
  const random = seededRandom(seed * 7919)
  return {
    speedMs: random.uniform(5, 9.5),
    decelerationMs2: random.uniform(2.5, 6),
    beginS: random.uniform(2, 4),
    buildUpS: random.uniform(0.05, 0.2),
  }
}

/** Speed at a moment of such a stop, m/s. */
export function speedAt({ speedMs, decelerationMs2: a, beginS, buildUpS }: TrueStop, t: number): number {
  const since = t - beginS
  if (since <= 0) return speedMs
  const lost = since < buildUpS ? (a * since * since) / (2 * buildUpS) : (a * buildUpS) / 2 + a * (since - buildUpS)
  return Math.max(0, speedMs - lost)
}

/**
 * How a recorder spoils what it records: errors each by itself, now and then far off, written in steps, with gaps; a sensor
 * that gives the mean of its last five, errors of which nine tenths stay, a wheel that slips once or twice, whole
 * kilometres an hour ten times a second.
 */
export const SPOILT = [
  'white',
  'heavy-tailed',
  'quantised',
  'gaps',
  'averaged',
  'lingering',
  'slips',
  'coarse',
] as const
export type Spoilt = (typeof SPOILT)[number]

/** A wheel’s speed as a recorder of this kind writes it, at `hz` for `seconds`. A stand-in for tests and practice; shares nothing with the fit. */
export function recorded(
  stop: TrueStop,
  spoilt: Spoilt,
  seed: number,
  { hz = 50, seconds = 8, sdMs = 0.15 }: { hz?: number; seconds?: number; sdMs?: number } = {},
): { readonly t: Float64Array; readonly v: Float64Array } {
  const random = seededRandom(seed)
  const rate = spoilt === 'coarse' ? 10 : hz
  const slips = spoilt === 'slips' ? slipsOf(stop, random) : []
  const t: number[] = []
  const v: number[] = []
  const last: number[] = []
  let lingering = spoilt === 'lingering' ? random.normal(sdMs) : 0
  let silentUntil = -1
  for (let index = 0; index < rate * seconds; index += 1) {
    const at = index / rate
    if (spoilt === 'gaps' && at > silentUntil && random.chance(0.02)) silentUntil = at + random.uniform(0.04, 0.25)
    if (spoilt === 'lingering') lingering = 0.9 * lingering + random.normal(sdMs * Math.sqrt(1 - 0.81))
    const noise =
      spoilt === 'heavy-tailed'
        ? (sdMs / Math.sqrt(3)) * student3(random)
        : spoilt === 'lingering'
          ? lingering
          : random.normal(spoilt === 'coarse' ? sdMs / 2 : sdMs)
    const slipped = slips.find(({ from, to }) => at >= from && at < to)
    last.push(speedAt(stop, at) * (slipped ? slipped.leaves : 1) + noise)
    if (last.length > 5) last.shift()
    if (spoilt === 'gaps' && at <= silentUntil) continue
    t.push(at)
    v.push(written(spoilt, last))
  }
  return { t: Float64Array.from(t), v: Float64Array.from(v) }
}

function written(spoilt: Spoilt, last: readonly number[]): number {
  const raw = last.at(-1) as number
  if (spoilt === 'averaged') return last.reduce((sum, each) => sum + each, 0) / last.length
  const step = spoilt === 'quantised' ? 0.2 : 1 / 3.6
  return spoilt === 'quantised' || spoilt === 'coarse' ? Math.round(raw / step) * step : raw
}

/** Once or twice in a stop the wheel turns more slowly than the road goes by, for a moment. */
function slipsOf({ speedMs, decelerationMs2: a, beginS }: TrueStop, random: Random) {
  return Array.from({ length: random.chance(0.5) ? 1 : 2 }, () => {
    const from = beginS + random.uniform(0.1, 0.85) * (speedMs / a)
    return { from, to: from + random.uniform(0.04, 0.15), leaves: random.uniform(0.5, 0.8) }
  })
}

/** Student’s t of three degrees: now and then far off, as a slipping wheel is. */
const student3 = (random: Random): number => {
  const chi = random.normal(1) ** 2 + random.normal(1) ** 2 + random.normal(1) ** 2
  return random.normal(1) / Math.sqrt(chi / 3)
}

/** What a logger is told wrong, and what it misses. */
export interface LoggerFaults {
  /** The wheel there is, mm round. */
  readonly roundMm?: number
  /** The wheel it was told over the wheel there is. */
  readonly wheelFactor?: number
  /** Share of pulses it misses. */
  readonly lost?: number
  /** The wheel turns less than the road goes by, now and then. */
  readonly slips?: boolean
}

const ROUND_MM = 2096
const PULSES = 8
const EDGE_MS = 0.4

/** The lines a wheel-speed logger sends of a stop: `W` once, `P` for each pulse, `E`. A small stand-in that ships with the program. */
export function loggerLines(
  stop: TrueStop,
  seed: number,
  { roundMm = ROUND_MM, wheelFactor = 1, lost = 0.01, slips = true }: LoggerFaults = {},
): readonly string[] {
  const random = seededRandom(seed)
  const lines = [`W ${Math.round(roundMm * wheelFactor)} ${PULSES}`]
  const step = roundMm / 1000 / PULSES
  const tick = 0.0005
  let way = 0
  let next = step
  let slipUntil = -1
  for (let t = 0; t < stop.beginS + 12; t += tick) {
    const speed = speedAt(stop, t)
    if (slips && t > stop.beginS && t > slipUntil && random.chance(0.0002)) slipUntil = t + random.uniform(0.03, 0.12)
    way += speed * (t < slipUntil ? 0.7 : 1) * tick
    if (way >= next) {
      next += step
      if (!random.chance(lost)) lines.push(`P ${(t * 1000 + random.normal(EDGE_MS)).toFixed(1)}`)
    }
    if (speed === 0 && t > stop.beginS + 1) break
  }
  return [...lines, 'E']
}
