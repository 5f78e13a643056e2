import { type Random, seededRandom } from './random.ts'

/** A stop as it happens: rolled so fast, braked so hard after so long, the brake building up first. SI. */
export interface TrueStop {
  readonly speedMs: number
  readonly decelerationMs2: number
  readonly beginS: number
  readonly buildUpS: number
}

/** Speed at a moment of such a stop, m/s. */
export function speedAt({ speedMs, decelerationMs2: a, beginS, buildUpS }: TrueStop, t: number): number {
  const since = t - beginS
  if (since <= 0) return speedMs
  const lost = since < buildUpS ? (a * since * since) / (2 * buildUpS) : (a * buildUpS) / 2 + a * (since - buildUpS)
  return Math.max(0, speedMs - lost)
}

/** How a recorder spoils what it records. */
export type Spoilt = 'white' | 'heavy-tailed' | 'quantised' | 'gaps'

/** A wheel’s speed as a recorder of this kind writes it, at `hz` for `seconds`. A stand-in for tests and practice; shares nothing with the fit. */
export function recorded(
  stop: TrueStop,
  spoilt: Spoilt,
  seed: number,
  { hz = 50, seconds = 8, sdMs = 0.15 }: { hz?: number; seconds?: number; sdMs?: number } = {},
): { readonly t: Float64Array; readonly v: Float64Array } {
  const random = seededRandom(seed)
  const t: number[] = []
  const v: number[] = []
  let silentUntil = -1
  for (let index = 0; index < hz * seconds; index += 1) {
    const at = index / hz
    if (spoilt === 'gaps' && at > silentUntil && random.chance(0.02)) silentUntil = at + random.uniform(0.04, 0.25)
    const noise = spoilt === 'heavy-tailed' ? (sdMs / Math.sqrt(3)) * student3(random) : random.normal(sdMs)
    const raw = speedAt(stop, at) + noise
    if (spoilt === 'gaps' && at <= silentUntil) continue
    t.push(at)
    v.push(spoilt === 'quantised' ? Math.round(raw / 0.2) * 0.2 : raw)
  }
  return { t: Float64Array.from(t), v: Float64Array.from(v) }
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
