import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import type { Read } from './series.ts'

/**
 * The line protocol of a wheel-speed logger, one line each:
 * `W <wheel's way round, mm> <pulses a turn>` once, then `P <milliseconds>` for every pulse, and `E` at the end.
 * Lines of anything else are passed over, so that a logger may say more.
 */
export interface Pulses {
  readonly roundMm: number
  readonly pulses: number
  /** Seconds. */
  readonly at: readonly number[]
}

const ROUND_MM = { min: 700, max: 2600 } as const
const MOST_PULSES = 64

/** Reads what a logger sent so far. Refuses a wheel there is not, and pulses that come before the ones before. */
export function pulsesOf(lines: readonly string[]): Outcome<Pulses> {
  let round: number | undefined
  let pulses = 1
  const at: number[] = []
  for (const [index, line] of lines.entries()) {
    const [word, first = '', second = ''] = line.trim().split(/\s+/)
    if (word === 'W') {
      round = Number(first)
      pulses = Number(second || 1)
      if (!(round >= ROUND_MM.min && round <= ROUND_MM.max))
        return refuse(
          'out-of-range',
          'wheel',
          `The logger’s wheel is ${first} mm round. Accepted: ${ROUND_MM.min} to ${ROUND_MM.max} mm.`,
        )
      if (!(Number.isInteger(pulses) && pulses >= 1 && pulses <= MOST_PULSES))
        return refuse('out-of-range', 'pulses', `${second} pulses a turn. Accepted: 1 to ${MOST_PULSES}, whole.`)
    }
    if (word !== 'P') continue
    const seconds = Number(first) / 1000
    if (!Number.isFinite(seconds)) continue
    const before = at.at(-1)
    if (before !== undefined && seconds < before)
      return refuse('time-backwards', 'line', `A pulse on line ${index + 1} comes before the one before it.`)
    if (seconds !== before) at.push(seconds)
  }
  if (round === undefined)
    return refuse('missing', 'wheel', 'The logger has not said its wheel: a line “W 2096 8” comes before the pulses.')
  return ok({ roundMm: round, pulses, at })
}

/** Speeds are made of pulses at least so far apart, s: single ones are as noisy as their edges. */
const WINDOW_S = 0.04
/** After this long without a pulse the wheel stands, s. */
const STANDS_S = 0.6

/**
 * The trace a logger’s pulses tell: the way between pulses over the time between them. Where no pulse comes any more the
 * wheel stands; a pulse that was lost is a gap longer than its neighbours, and is left out. `roundMm`: the wheel as it is,
 * where the logger was told another.
 */
export function seriesOfPulses({ pulses, at, ...told }: Pulses, roundMm = told.roundMm): Outcome<Read> {
  const step = roundMm / 1000 / pulses
  const t: number[] = []
  const v: number[] = []
  let from = 0
  for (let index = 1; index < at.length; index += 1) {
    const span = (at[index] as number) - (at[from] as number)
    if (span < WINDOW_S) continue
    const speed = ((index - from) * step) / span
    const middle = ((at[index] as number) + (at[from] as number)) / 2
    const before = v.at(-1)
    const lost = index - from === 1 && before !== undefined && span < STANDS_S && speed < 0.6 * before
    if (!lost) {
      t.push(middle)
      v.push(speed)
    }
    from = index
  }
  const last = at.at(-1)
  if (t.length < 12 || last === undefined)
    return refuse('too-short', 'pulses', `Only ${at.length} pulses came. Accepted: enough for a stop, 20 or more.`)
  for (let still = 0.05; still <= 1; still += 0.05) {
    t.push(last + still)
    v.push(0)
  }
  const start = t[0] as number
  return ok({
    series: { t: Float64Array.from(t, (each) => each - start), v: Float64Array.from(v) },
    unit: 'm/s',
    isSure: true,
  })
}
