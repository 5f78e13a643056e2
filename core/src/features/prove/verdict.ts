import type { Worked } from '../../calculation/calculation.ts'
import { stopTest } from '../../calculations/stop-test.ts'
import { tQuantile } from '../../mechanics/student.ts'
import type { LengthUnit } from '../../quantity/quantity.ts'
import { showSpeed, showWay } from '../../stand/show.ts'
import { brakingM, type RunEntry } from './runs.ts'

/** Fewest runs each way that say anything: one proves nothing, three show a scatter (common practice). */
export const FEWEST = 3
/** After so many each way the question is left: more would tell of the day, not of the brake. Our choice. */
export const MOST = 10
/**
 * At each look a difference counts only beyond this two-sided level, so that with a look after every run from three to
 * ten each way no more than one in ten finds a difference that is not there: shown by simulation, `npm run bench`.
 */
export const LEVEL = 0.022
/** A gain worth having, m, until the workshop says another: our choice. */
export const WORTH_M = 1

/** The runs of one side: how far it stops from the nominal speed. */
export interface Side {
  readonly count: number
  readonly meanM: number
  readonly sdM: number
  readonly corrected: readonly number[]
}

export type Proof = 'too-few' | 'shorter' | 'longer' | 'no-difference' | 'more' | 'open'

export interface Verdict {
  readonly proof: Proof
  readonly nominalKmh: number
  readonly before: Side | undefined
  readonly after: Side | undefined
  /** How much shorter after than before, and give or take how much: m. */
  readonly gainM?: number
  readonly giveOrTakeM?: number
  /** Runs each way that are still needed, as far as the scatter so far tells. */
  readonly more: number
  readonly say: string
  /** What differs between before and after besides the brake: said with the sentence, never left out. */
  readonly differs: readonly string[]
  readonly worked: readonly Worked[]
}

/** The finest step that figures were read to: 25 and 24 to a whole, 24.5 to a tenth; and what that leaves open, one deviation. */
function readTo(values: readonly number[]): number {
  const decimals = Math.max(0, ...values.map((value) => (String(Number(value.toFixed(3))).split('.')[1] ?? '').length))
  return 10 ** -decimals / Math.sqrt(12)
}

/**
 * No scatter is less than tape, speed and mark let one see, m: their own uncertainty where it was told, else what the figures
 * were read to, by first-order propagation to the corrected distance.
 */
function leastSdM(runs: readonly RunEntry[], nominalKmh: number): number {
  const tape = readTo(runs.map(({ distanceM }) => distanceM))
  const speed = readTo(runs.map(({ speedKmh }) => speedKmh))
  const each = runs.map((run) => {
    const share = (nominalKmh / run.speedKmh) ** 2
    const byTape = run.distanceSdM ?? tape
    const bySpeed = (2 * brakingM(run) * (run.speedSdKmh ?? speed)) / run.speedKmh
    return share * Math.hypot(byTape, bySpeed)
  })
  return Math.sqrt(each.reduce((sum, sd) => sum + sd * sd, 0) / each.length)
}

function sideOf(runs: readonly RunEntry[], nominalKmh: number): { side: Side; worked: readonly Worked[] } | undefined {
  const worked = runs.flatMap((run) => {
    const each = stopTest.work({
      speedKmh: run.speedKmh,
      distanceM: brakingM(run),
      nominalSpeedKmh: nominalKmh,
      ...(run.speedSdKmh !== undefined && { speedUncertaintyKmh: run.speedSdKmh }),
      ...(run.distanceSdM !== undefined && { distanceUncertaintyM: run.distanceSdM }),
    })
    return each.ok ? [each.value] : []
  })
  if (worked.length === 0) return undefined
  const corrected = worked.map(({ outputs }) => outputs.correctedDistanceM)
  const meanM = corrected.reduce((sum, each) => sum + each, 0) / corrected.length
  const squares = corrected.reduce((sum, each) => sum + (each - meanM) ** 2, 0)
  const scatterM = corrected.length > 1 ? Math.sqrt(squares / (corrected.length - 1)) : Number.NaN
  const sdM = Math.max(scatterM, leastSdM(runs, nominalKmh))
  return { side: { count: corrected.length, meanM, sdM, corrected }, worked }
}

/** Welch’s interval of the difference of two means at a two-sided level: half of it, m. */
export function halfWidth(one: Side, other: Side, level: number): number {
  const [a, b] = [one.sdM ** 2 / one.count, other.sdM ** 2 / other.count]
  const error = Math.sqrt(a + b)
  if (error === 0) return 0
  const freedom = (a + b) ** 2 / (a ** 2 / (one.count - 1) + b ** 2 / (other.count - 1))
  return tQuantile(1 - level / 2, freedom) * error
}

/**
 * How far the mean of one side's runs is known, m, either way: Student's interval at the level at which the two sides are told
 * apart. Undefined for a single run, of which nothing is known but itself.
 */
export const meanGiveOrTakeM = ({ count, sdM }: Side, level = LEVEL): number | undefined =>
  count < 2 ? undefined : (tQuantile(1 - level / 2, count - 1) * sdM) / Math.sqrt(count)

/** Fewest runs each way at which the scatter so far would let this difference be told, at most `MOST` + 1. */
function neededFor(sdM: number, differenceM: number): number {
  for (let each = FEWEST; each <= MOST; each += 1)
    if (tQuantile(1 - LEVEL / 2, 2 * each - 2) * sdM * Math.sqrt(2 / each) <= differenceM) return each
  return MOST + 1
}

const LOAD_KG = 3
const PRESSURE_BAR = 0.3
const SPEED_SHARE = 0.15

/** What differs between the two sides besides the brake. */
function differences(before: readonly RunEntry[], after: readonly RunEntry[], length: LengthUnit): readonly string[] {
  const span = (runs: readonly RunEntry[], of: (run: RunEntry) => number | undefined) => {
    const told = runs.flatMap((run) => of(run) ?? [])
    return told.length === 0 ? undefined : { low: Math.min(...told), high: Math.max(...told) }
  }
  const apart = (what: string, unit: string, room: number, of: (run: RunEntry) => number | undefined) => {
    const [one, other] = [span(before, of), span(after, of)]
    if (!one || !other) return []
    const off = Math.max(one.high, other.high) - Math.min(one.low, other.low)
    const said = ({ low, high }: { low: number; high: number }) => (low === high ? `${low}` : `${low}–${high}`)
    return off > room ? [`${what} ${said(one)} ${unit} before, ${said(other)} ${unit} after`] : []
  }
  const kinds = (runs: readonly RunEntry[], of: (run: RunEntry) => string | undefined) =>
    [...new Set(runs.flatMap((run) => of(run) ?? []))].sort().join(' and ')
  const unlike = (what: string, of: (run: RunEntry) => string | undefined) => {
    const [one, other] = [kinds(before, of), kinds(after, of)]
    return one !== '' && other !== '' && one !== other ? [`${what} ${one} before, ${other} after`] : []
  }
  const loads = [before, after].map((runs) => runs.filter(({ loadKg }) => loadKg !== undefined).length)
  const mean = (runs: readonly RunEntry[]) => runs.reduce((sum, { speedKmh }) => sum + speedKmh, 0) / runs.length
  const [slow, fast] = [mean(before), mean(after)].sort((a, b) => a - b) as [number, number]
  return [
    ...unlike('brakes', ({ brakes }) => (brakes === 'this' ? 'this one alone' : brakes)),
    ...apart('load', 'kg', LOAD_KG, ({ loadKg }) => loadKg),
    ...((loads[0] === 0) !== (loads[1] === 0) ? ['the load was told on one side only'] : []),
    ...unlike('ground', ({ surface }) => surface),
    ...apart('tyre pressure', 'bar', PRESSURE_BAR, ({ pressureBar }) => pressureBar),
    ...unlike('distance taken', ({ reactionS }) => (reactionS === undefined ? 'without reaction' : 'with reaction')),
    ...(fast > slow * (1 + SPEED_SHARE)
      ? [`speeds of ${showSpeed(mean(before), length)} before, ${showSpeed(mean(after), length)} after`]
      : []),
  ]
}

/** Runs made in one direction only: a slope or the wind stands in them. */
const oneWay = (runs: readonly RunEntry[]) => new Set(runs.map(({ direction }) => direction)).size < 2

/**
 * Whether the brake stops shorter, and how sure that is. Distances are corrected to one speed; the interval holds at whatever
 * run one looks (see `LEVEL`).
 */
export function verdictOf(runs: readonly RunEntry[], worthM = WORTH_M, length: LengthUnit = 'mm'): Verdict {
  const m = (metres: number) => showWay(metres, length)
  const [before, after] = [
    runs.filter(({ phase }) => phase === 'before'),
    runs.filter(({ phase }) => phase === 'after'),
  ]
  const nominalKmh =
    runs.length === 0 ? 25 : Math.round(runs.reduce((sum, { speedKmh }) => sum + speedKmh, 0) / runs.length)
  const [one, other] = [sideOf(before, nominalKmh), sideOf(after, nominalKmh)]
  const from = showSpeed(nominalKmh, length)
  const base = {
    nominalKmh,
    before: one?.side,
    after: other?.side,
    worked: [...(one?.worked ?? []), ...(other?.worked ?? [])],
  }
  const fewer = Math.min(before.length, after.length)
  if (!one || !other || fewer < FEWEST) {
    const missing = [before, after].map((side) => Math.max(0, FEWEST - side.length)) as [number, number]
    return {
      ...base,
      proof: 'too-few',
      more: Math.max(...missing),
      differs: one && other ? differences(before, after, length) : [],
      say:
        runs.length === 0
          ? `No run yet: ${FEWEST} before the work and ${FEWEST} after it, alternating the direction.`
          : `${one ? `${m(one.side.meanM)} before` : 'Nothing before'}, ${other ? `${m(other.side.meanM)} after` : 'nothing after'}, from ${from}: too few to prove anything. ${missing[0] > 0 ? `${missing[0]} more before` : ''}${missing[0] > 0 && missing[1] > 0 ? ' and ' : ''}${missing[1] > 0 ? `${missing[1]} more after` : ''}.`,
    }
  }
  const gainM = one.side.meanM - other.side.meanM
  const giveOrTakeM = halfWidth(one.side, other.side, LEVEL)
  const differs = [
    ...differences(before, after, length),
    ...(oneWay(before) || oneWay(after) ? ['one side was ridden in one direction only'] : []),
  ]
  const sdM = Math.sqrt((one.side.sdM ** 2 + other.side.sdM ** 2) / 2)
  const told = { ...base, gainM, giveOrTakeM, differs }
  const within = `give or take ${m(giveOrTakeM)}, from ${from} (9 in 10)`
  const aside = differs.length > 0 ? ` Not the brake alone: ${differs.join('; ')}.` : ''
  if (gainM - giveOrTakeM > 0)
    return { ...told, proof: 'shorter', more: 0, say: `Shorter by ${m(gainM)}, ${within}. Enough.${aside}` }
  if (gainM + giveOrTakeM < 0)
    return {
      ...told,
      proof: 'longer',
      more: 0,
      say: `Longer by ${m(-gainM)}, ${within}: look again at what was done.${aside}`,
    }
  if (Math.abs(gainM) + giveOrTakeM < worthM)
    return {
      ...told,
      proof: 'no-difference',
      more: 0,
      say: `No difference worth ${m(worthM)}: ${m(Math.abs(gainM))} ${gainM >= 0 ? 'shorter' : 'longer'}, ${within}.${aside}`,
    }
  const needed = neededFor(sdM, Math.max(worthM, Math.abs(gainM)))
  if (fewer >= MOST || needed > MOST)
    return {
      ...told,
      proof: 'open',
      more: 0,
      say: `Not proven: ${m(Math.abs(gainM))} ${gainM >= 0 ? 'shorter' : 'longer'}, ${within}; these runs scatter too much (${m(sdM)}) for ${MOST} each way to tell ${m(worthM)}.${aside}`,
    }
  const more = Math.max(1, needed - fewer)
  return {
    ...told,
    proof: 'more',
    more,
    say: `${m(Math.abs(gainM))} ${gainM >= 0 ? 'shorter' : 'longer'}, ${within}: not proven yet. About ${more === 1 ? 'one more' : `${more} more`} each way.${aside}`,
  }
}
