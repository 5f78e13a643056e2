import { bisect } from '../../mechanics/bisect.ts'
import { tCdf } from '../../mechanics/student.ts'
import { median } from './huber.ts'

/** How a recorder’s errors hang together: each by itself, fading over so many seconds (AR 1), or each the mean over so many. */
interface Noise {
  readonly kind: 'own' | 'fades' | 'mean'
  readonly overS: number
  /** How likely it is beforehand, against the others. */
  readonly prior: number
}

/** A slope and how unsure it is, under one kind of noise; `log` is how well that kind explains the residuals. */
interface UnderOne {
  readonly slope: number
  readonly sd: number
  readonly log: number
}

/** A slope with its band, over every kind of noise by how likely each is. */
export interface Slope {
  readonly slope: number
  readonly sd: number
  readonly low: number
  readonly high: number
}

/** What errors are known to fade or be averaged over, s: a wheel’s eccentricity, a filter, a phone’s own smoothing. Our choice. */
const FADES_S = Array.from({ length: 24 }, (_, index) => 0.01 * 60 ** (index / 23))
const MEANS = [2, 3, 4, 5, 6, 8, 10]
const LONGEST_MEAN_S = 0.3
/** A mean over places leaves so much that is each place’s own: no recorder is without it, and without it the sums run away. */
const OWN = 0.02

/**
 * The slope of a line through places `t`, `y` whose errors may hang together, with the band it lies in with this
 * probability. Every kind of noise is fitted by generalised least squares and weighed by its restricted likelihood
 * (Harville 1974); the band is that of the mixture (Bayesian model averaging: Hoeting, Madigan, Raftery, Volinsky 1999).
 * `leastSd` is what the recorder’s own steps leave unknown of each place.
 */
export function slopeInNoise(t: Float64Array, y: Float64Array, leastSd: number, confidence: number): Slope {
  const freedom = t.length - 2
  const each = noisesAt(stepOf(t)).map((noise) => underOne(t, y, noise, leastSd))
  const best = Math.max(...each.map(({ log }) => log))
  const all = each.reduce((sum, { log }) => sum + Math.exp(log - best), 0)
  const kinds = each.map((one) => ({ ...one, weight: Math.exp(one.log - best) / all })).filter(worthIt)
  const slope = kinds.reduce((sum, one) => sum + one.weight * one.slope, 0)
  const sd = Math.sqrt(kinds.reduce((sum, one) => sum + one.weight * (one.sd ** 2 + (one.slope - slope) ** 2), 0))
  const below = (x: number) => kinds.reduce((sum, one) => sum + one.weight * tCdf((x - one.slope) / one.sd, freedom), 0)
  const at = (share: number) => bisect(slope - 60 * sd, slope + 60 * sd, (x) => below(x) < share)
  return { slope, sd, low: at((1 - confidence) / 2), high: at((1 + confidence) / 2) }
}

/** Every kind of noise a recorder with this time between its places may have. Errors each by itself weigh as eight, the other two kinds as one each. Our choice. */
function noisesAt(everyS: number): readonly Noise[] {
  const means = MEANS.map((over) => over * everyS).filter((overS) => overS <= LONGEST_MEAN_S)
  return [
    { kind: 'own', overS: 0, prior: 8 },
    ...FADES_S.map((overS) => ({ kind: 'fades', overS, prior: 1 / FADES_S.length }) as const),
    ...means.map((overS) => ({ kind: 'mean', overS, prior: 1 / means.length }) as const),
  ]
}

const worthIt = ({ weight }: { readonly weight: number }) => weight > 1e-4

/** The usual time between two places, s. */
const stepOf = (t: Float64Array): number =>
  median(Array.from(t.subarray(1), (each, index) => each - (t[index] as number)))

function underOne(t: Float64Array, y: Float64Array, { kind, overS, prior }: Noise, leastSd: number): UnderOne {
  const columns = [new Float64Array(t.length).fill(1), centred(t), y.slice()]
  const logSize = kind === 'own' ? 0 : kind === 'fades' ? fade(columns, t, overS) : unmix(columns, t, overS)
  const [ones, x, v] = columns as [Float64Array, Float64Array, Float64Array]
  const [oo, ox, xx, ov, xv, vv] = [dot(ones, ones), dot(ones, x), dot(x, x), dot(ones, v), dot(x, v), dot(v, v)]
  const det = oo * xx - ox * ox
  const slope = (oo * xv - ox * ov) / det
  const level = (xx * ov - ox * xv) / det
  const freedom = t.length - 2
  const rest = Math.max(vv - level * ov - slope * xv, freedom * Math.max(leastSd, 1e-6) ** 2)
  return {
    slope,
    sd: Math.sqrt((rest / freedom) * (oo / det)),
    log: Math.log(prior) - 0.5 * (logSize + Math.log(det) + freedom * Math.log(rest)),
  }
}

function centred(t: Float64Array): Float64Array {
  const mean = t.reduce((sum, each) => sum + each, 0) / t.length
  return t.map((each) => each - mean)
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0
  for (let index = 0; index < a.length; index += 1) sum += (a[index] as number) * (b[index] as number)
  return sum
}

/** Makes errors that fade over so many seconds independent, gaps allowed for; gives the log of their determinant. */
function fade(columns: readonly Float64Array[], t: Float64Array, overS: number): number {
  let log = 0
  for (let index = t.length - 1; index > 0; index -= 1) {
    const left = Math.exp(((t[index - 1] as number) - (t[index] as number)) / overS)
    const own = Math.sqrt(1 - left * left)
    for (const column of columns)
      column[index] = ((column[index] as number) - left * (column[index - 1] as number)) / own
    log += 2 * Math.log(own)
  }
  return log
}

/** The same for places that are means over the last `spanS` seconds: a banded Cholesky factor, solved forwards. */
function unmix(columns: readonly Float64Array[], t: Float64Array, spanS: number): number {
  const count = t.length
  const rows: Float64Array[] = []
  const firsts: number[] = []
  let log = 0
  let first = 0
  for (let i = 0; i < count; i += 1) {
    while ((t[i] as number) - (t[first] as number) >= spanS) first += 1
    const row = new Float64Array(i - first + 1)
    for (let j = first; j <= i; j += 1) {
      const alike = i === j ? 1 : (1 - OWN) * (1 - ((t[i] as number) - (t[j] as number)) / spanS)
      const other = rows[j] ?? row
      const otherFirst = firsts[j] ?? first
      let sum = alike
      for (let k = Math.max(first, otherFirst); k < j; k += 1)
        sum -= (row[k - first] as number) * (other[k - otherFirst] as number)
      row[j - first] = i === j ? Math.sqrt(Math.max(sum, 1e-9)) : sum / (other[j - otherFirst] as number)
    }
    rows.push(row)
    firsts.push(first)
    const own = row[i - first] as number
    log += 2 * Math.log(own)
    for (const column of columns) {
      let rest = column[i] as number
      for (let k = first; k < i; k += 1) rest -= (row[k - first] as number) * (column[k] as number)
      column[i] = rest / own
    }
  }
  return log
}
