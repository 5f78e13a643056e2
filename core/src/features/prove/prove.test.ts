import tReference from '@stdlib/stats-base-dists-t-quantile'
import { describe, expect, it } from 'vitest'
import { stopTest } from '../../calculations/stop-test.ts'
import { tQuantile } from '../../mechanics/student.ts'
import { expectOk } from '../../outcome/outcome.ts'
import { parseQuantity } from '../../quantity/quantity.ts'
import { STOPPING_RULES } from '../../reference/stopping-rules.ts'
import { jobSheet } from '../../sheet/job-sheet.ts'
import { seededRandom } from '../../simulate/random.ts'
import { anyStop, loggerLines, recorded, SPOILT, type Spoilt } from '../../simulate/stop-run.ts'
import type { EntryBody } from '../../stand/entries.ts'
import { HARDWARE, PREPARED, reading, refusal, SOUND, seen, turn, written } from '../../testing/stand.ts'
import { openJob, openStand } from '../../workshop/open.ts'
import { fitStop, stopsIn } from './fit.ts'
import { limitsFor, rulesBeside } from './limits.ts'
import { pulsesOf, seriesOfPulses } from './logger.ts'
import { brakingM, checkRun, type RunEntry, runsIn } from './runs.ts'
import { apartM, seriesOfRows, seriesOfTrack } from './series.ts'
import { FEWEST, halfWidth, LEVEL, MOST, meanGiveOrTakeM, verdictOf } from './verdict.ts'

type Run = EntryBody & { kind: 'run' }
const run = (phase: 'before' | 'after', distanceM: number, more: Partial<Run> = {}): Run => ({
  kind: 'run',
  phase,
  direction: 'out',
  speedKmh: 25,
  distanceM,
  ...more,
})
const asRuns = (bodies: readonly Run[]): readonly RunEntry[] => runsIn(written(...bodies))
/** As many runs as distances, out and back. */
/** Read closer than they scatter, so that the scatter alone is what is tested. */
const CLOSE: Partial<Run> = { speedSdKmh: 0.1, distanceSdM: 0.02 }
const side = (phase: 'before' | 'after', distances: readonly number[], more: Partial<Run> = {}): readonly Run[] =>
  distances.map((distanceM, index) => run(phase, distanceM, { direction: index % 2 ? 'back' : 'out', ...more }))
const verdict = (...bodies: readonly Run[]) => verdictOf(asRuns(bodies))

describe('a run', () => {
  // 16 CFR 1512.18 (from memory): 15 mph in 15 ft is 0.50 g.
  it('is read in miles and feet as well', () => {
    const speedKmh = expectOk(parseQuantity('15 mph', 'kmh'))
    const distanceM = expectOk(parseQuantity('15 ft', 'm')) / 1000
    expect(speedKmh).toBeCloseTo(24.14016, 6)
    expect(distanceM).toBeCloseTo(4.572, 9)
    expect(expectOk(stopTest.work({ speedKmh, distanceM })).outputs.decelerationG).toBeCloseTo(0.5, 2)
    expect(expectOk(parseQuantity('7 m/s', 'kmh'))).toBeCloseTo(25.2, 9)
  })

  it('without its reaction is what the brake did', () => {
    // 25 km/h is 6.944 m/s: 0.7 s of it is 4.86 m.
    expect(brakingM(run('after', 12, { reactionS: 0.7 }))).toBeCloseTo(12 - 4.861, 3)
    expect(checkRun(run('after', 4, { reactionS: 0.7 }))).toMatchObject({ ok: false, error: { code: 'contradiction' } })
  })

  it.each<[string, Partial<Run>, RegExp]>([
    ['a speed no bicycle is tested at', { speedKmh: 120 }, /speed of the run is 120 km\/h. Accepted: 5 to 80/],
    ['standing still', { speedKmh: 1 }, /Accepted: 5 to 80/],
    [
      'a plateau no brake makes',
      { decelerationMs2: 19.6 },
      /19\.6 m\/s²: no bicycle stops so hard. Accepted: up to 11\.8/,
    ],
    ['a distance no brake makes', { distanceM: 1 }, /2\.46 g: no bicycle stops so hard. Accepted: 2\.0 m or more/],
    ['rolling out', { distanceM: 120 }, /it rolled out/],
    ['a reaction nobody has', { reactionS: 9 }, /reaction is 9 s/],
    ['a load no bicycle carries', { loadKg: 900 }, /load is 900 kg/],
  ])('%s is refused', (_, more, words) => {
    const checked = checkRun({ ...run('before', 7), ...more })
    expect(checked.ok).toBe(false)
    if (!checked.ok) expect(checked.error.message).toMatch(words)
  })

  // Nobody rides hard before strap or caliper, wheel, inner, lever and the walk were looked at on this visit.
  it('is never ridden before what a ride hangs on was looked at, nor while something stands against it', () => {
    expect(refusal([], run('before', 7))).toMatchObject({
      code: 'not-looked-at',
      message: expect.stringMatching(/wheel fast and straight.*and \d+ more/),
    })
    expect(refusal(SOUND, run('before', 7))).toBeUndefined()
    const split = [...PREPARED, seen('housingState', 'split')]
    expect(refusal(split, run('before', 7))).toMatchObject({
      code: 'not-to-be-ridden',
      message: expect.stringContaining('split'),
    })
    expect(refusal([...split, seen('housingState', 'sound')], run('before', 7))).toMatchObject({
      code: 'not-looked-at',
    })
    expect(refusal(PREPARED, run('after', 6))).toMatchObject({ code: 'not-looked-at' })
    expect(refusal([...SOUND, turn('barrel', 0.5)], run('after', 6))).toMatchObject({
      code: 'not-looked-at',
      message: expect.stringContaining('walk test'),
    })
    expect(refusal(SOUND, run('after', 6))).toBeUndefined()
    expect(refusal([...SOUND, seen('padFace', 'clean'), reading('reserve', 5)], run('after', 6))).toMatchObject({
      code: 'not-to-be-ridden',
    })
  })
})

describe('the verdict', () => {
  it('one run each way proves nothing', () => {
    const one = verdict(run('before', 9), run('after', 6))
    expect(one).toMatchObject({ proof: 'too-few', more: FEWEST - 1 })
    expect(one.say).toMatch(/too few to prove anything. 2 more before and 2 more after/)
    expect(verdict().say).toMatch(/3 before the work and 3 after it, alternating/)
  })

  // By hand: means 10 and 6.6, both sd 0.2, n 3: se 0.1633, t(4 df) at 0.022 two-sided.
  it('a plain sentence with its interval', () => {
    const shown = verdict(...side('before', [9.8, 10, 10.2], CLOSE), ...side('after', [6.4, 6.6, 6.8], CLOSE))
    const half = tQuantile(1 - 0.011, 4) * Math.sqrt((0.04 + 0.04) / 3)
    expect(shown.gainM).toBeCloseTo(3.4, 9)
    expect(shown.giveOrTakeM).toBeCloseTo(half, 9)
    expect(shown.say).toBe(`Shorter by 3.4 m, give or take ${half.toFixed(1)} m, from 25.0 km/h (9 in 10). Enough.`)
    expect(verdict(...side('after', [9.8, 10, 10.2]), ...side('before', [6.4, 6.6, 6.8])).say).toMatch(
      /^Longer by 3\.4 m/,
    )
  })

  it('distances are corrected to one speed: d·(v₀/v)²', () => {
    const shown = verdict(...side('before', [9, 9, 9], { speedKmh: 30 }), ...side('after', [4, 4, 4], { speedKmh: 20 }))
    expect(shown.nominalKmh).toBe(25)
    expect(shown.before?.meanM).toBeCloseTo(9 * (25 / 30) ** 2, 9)
    expect(shown.after?.meanM).toBeCloseTo(4 * (25 / 20) ** 2, 9)
    // The same deceleration, 3.86 m/s²: nothing was gained.
    expect(shown.gainM).toBeCloseTo(0, 9)
    expect(shown.differs.join()).toMatch(/speeds of 30\.0 km\/h before, 20\.0 km\/h after/)
  })

  // By hand: tape to 0.1 m, speed to 1 km/h: 0.1/√12 and 2·6.5/25·1/√12, together 0.153 m a run.
  it('no scatter proves nothing: tape and speed let no more be seen', () => {
    const shown = verdict(...side('before', [6.5, 6.5, 6.5]), ...side('after', [6.4, 6.4, 6.4]))
    expect(shown.before?.sdM).toBeCloseTo(Math.hypot(0.1, (2 * 6.5) / 25) / Math.sqrt(12), 9)
    expect(shown.proof).toBe('no-difference')
    expect(shown.giveOrTakeM).toBeGreaterThan(0.3)
    // Whoever tells how closely was measured is taken at that.
    const close = verdict(...side('before', [6.5, 6.5, 6.5], CLOSE), ...side('after', [6.0, 6.0, 6.0], CLOSE))
    expect(close.before?.sdM).toBeCloseTo(Math.hypot(0.02, (2 * 6.5 * 0.1) / 25), 9)
    expect(close.proof).toBe('shorter')
    // Figures read to a tenth leave less open than whole ones.
    const tenth = verdict(
      ...side('before', [6.5, 6.5, 6.5], { speedKmh: 24.9 }),
      ...side('after', [6.4, 6.4, 6.4], { speedKmh: 25.1 }),
    )
    expect(tenth.before?.sdM).toBeLessThan((shown.before?.sdM ?? 0) / 2)
  })

  it('says how many more would tell, and when it is no use', () => {
    const some = verdict(...side('before', [7.2, 7.9, 6.7]), ...side('after', [6.4, 7.1, 6.2]))
    expect(some.proof).toBe('more')
    expect(some.say).toMatch(/not proven yet. About (one|\d) more each way/)
    expect(some.more).toBeGreaterThan(0)
    expect(verdict(...side('before', [5, 9, 7]), ...side('after', [4.6, 8.7, 6.8]))).toMatchObject({ proof: 'open' })
    expect(verdict(...side('before', [7, 7.1, 6.9, 7]), ...side('after', [7, 7.05, 6.95, 7]))).toMatchObject({
      proof: 'no-difference',
      say: expect.stringContaining('No difference worth 1.0 m'),
    })
  })

  it('different loads, grounds, pressures are never compared without saying so', () => {
    const before = side('before', [9.8, 10, 10.2], { loadKg: 95, surface: 'wet', pressureBar: 3 })
    const after = side('after', [6.4, 6.6, 6.8], { loadKg: 80, surface: 'dry', pressureBar: 4 })
    expect(verdict(...before, ...after).say).toMatch(
      /Not the brake alone: ground wet before, dry after; load 95 kg before, 80 kg after; tyre pressure 3 bar before, 4 bar after|Not the brake alone: load 95 kg before, 80 kg after; ground wet before, dry after; tyre pressure 3 bar before, 4 bar after/,
    )
    expect(verdict(...side('before', [9.8, 10, 10.2], { loadKg: 95 }), ...side('after', [6.4, 6.6, 6.8])).say).toMatch(
      /told on one side only/,
    )
    expect(verdict(...before.map((each) => ({ ...each, direction: 'out' as const })), ...after).differs.join()).toMatch(
      /one direction only/,
    )
    expect(verdict(...side('before', [9.8, 10, 10.2]), ...side('after', [6.4, 6.6, 6.8])).differs).toEqual([])
  })

  it('reads in miles and feet where the workshop does', () => {
    const runs = asRuns([...side('before', [9.8, 10, 10.2], CLOSE), ...side('after', [6.4, 6.6, 6.8], CLOSE)])
    expect(verdictOf(runs, 1, 'in').say).toMatch(/^Shorter by 11\.2 ft, give or take 1\.\d ft, from 15\.5 mph/)
  })

  /** Looks after every run from the third each way, as a workshop would; a verdict ends it. */
  function decided(seed: number, gainM: number, sdM: number, worthM: number) {
    const random = seededRandom(seed)
    const bodies: Run[] = []
    const ride = (phase: 'before' | 'after', index: number) =>
      bodies.push(
        run(phase, (phase === 'before' ? 7 + gainM : 7) + random.normal(sdM), {
          direction: index % 2 ? 'back' : 'out',
        }),
      )
    for (let index = 0; index < MOST; index += 1) {
      for (const phase of ['before', 'after'] as const) {
        ride(phase, index)
        const { proof } = verdictOf(asRuns(bodies), worthM)
        if (proof === 'shorter' || proof === 'longer' || proof === 'no-difference') return proof
      }
    }
    return 'open'
  }
  const share = (found: readonly string[], ...words: readonly string[]) =>
    found.filter((each) => words.includes(each)).length / found.length
  const TRIES = 400

  it.each([0.3, 1, 2])(
    'looking after every run finds a difference that is not there at most 1 time in 10 (scatter %f m)',
    (sdM) => {
      const found = Array.from({ length: TRIES }, (_, seed) => decided(seed + 1, 0, sdM, 0.5))
      expect(share(found, 'shorter', 'longer')).toBeLessThanOrEqual(0.1)
    },
  )

  it('nor misses a gain worth having more often, and finds a large one', () => {
    const found = Array.from({ length: TRIES }, (_, seed) => decided(seed + 1, 1, 0.5, 1))
    expect(share(found, 'no-difference', 'longer')).toBeLessThanOrEqual(0.1)
    expect(share(found, 'shorter')).toBeGreaterThan(0.85)
  })

  // Welch–Satterthwaite, worked apart: variances 1 and 4 of 5 and 10 runs: 0.2 + 0.4, df 0.36 / (0.04/4 + 0.16/9) = 12.96.
  // NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.2: heat flow meter data, N = 195, 95 % limits 9.258242 and 9.264679.
  it('a mean is known as far as Student’s interval says; of a single run nothing is known but itself', () => {
    const meter = { count: 195, meanM: 9.26146, sdM: 0.022789, corrected: [] }
    const half = meanGiveOrTakeM(meter, 0.05) ?? 0
    expect(meter.meanM - half).toBeCloseTo(9.258242, 5)
    expect(meter.meanM + half).toBeCloseTo(9.264679, 5)
    expect(meanGiveOrTakeM({ ...meter, count: 1 })).toBeUndefined()
  })

  it('its interval is Welch’s', () => {
    const one = { count: 5, meanM: 0, sdM: 1, corrected: [] }
    const two = { count: 10, meanM: 0, sdM: 2, corrected: [] }
    expect(halfWidth(one, two, 0.1)).toBeCloseTo(tQuantile(0.95, 12.96) * Math.sqrt(0.6), 6)
  })

  // Two means of n runs each are told apart by d where t(1 − α/2, 2n − 2)·s·√(2/n) ≤ d (any textbook of statistics), t from a
  // reference library (@stdlib/stats-base-dists-t-quantile).
  it.each([0.6, 0.7, 0.8])('asks for as many more runs as a scatter of %f m needs to show a metre', (scatterM) => {
    let needed = FEWEST
    while (tReference(1 - LEVEL / 2, 2 * needed - 2) * scatterM * Math.sqrt(2 / needed) > 1) needed += 1
    // Three runs with that scatter about one mean, before and after alike: nothing gained, nothing proven.
    const scattered = [10 - scatterM, 10, 10 + scatterM]
    const { proof, more } = verdict(...side('before', scattered, CLOSE), ...side('after', scattered, CLOSE))
    expect(needed).toBeLessThanOrEqual(MOST)
    expect([proof, more]).toEqual(['more', needed - 3])
  })
})

describe('a trace', () => {
  // The least an unbiased line can do is known where the noise is: Gauss and Markov, by dense elimination, no code shared.
  const bestHalf = (count: number, hz: number, alike: (apart: number) => number) => {
    const rows = Array.from({ length: count }, (_, i) => [
      ...Array.from({ length: count }, (_, j) => alike(Math.abs(i - j))),
      1,
      (i - (count - 1) / 2) / hz,
    ])
    rows.forEach((pivot, k) => {
      for (const row of rows.slice(k + 1)) {
        const times = (row[k] as number) / (pivot[k] as number)
        if (times !== 0) for (const [j, each] of pivot.entries()) row[j] = (row[j] as number) - times * each
      }
    })
    const sum = (p: number, q: number) =>
      rows.reduce(
        (all, row, k) => all + ((row[count + p] as number) * (row[count + q] as number)) / (row[k] as number),
        0,
      )
    return 1.645 * Math.sqrt(sum(0, 0) / (sum(0, 0) * sum(1, 1) - sum(0, 1) ** 2))
  }
  const own = (sd: number) => (apart: number) => (apart === 0 ? sd * sd : 0)
  const ALIKE: Readonly<Record<Spoilt, (apart: number) => number>> = {
    white: own(0.15),
    // Three degrees tell twice what a bell curve of that deviation does: (ν+1)/(ν+3) over the scale squared (Lange, Little, Taylor 1989).
    'heavy-tailed': own(0.15 / Math.sqrt(2)),
    quantised: own(Math.hypot(0.15, 0.2 / Math.sqrt(12))),
    gaps: own(0.15),
    averaged: (apart) => (apart === 0 ? 1.02 : Math.max(0, 1 - apart / 5)) * (0.15 ** 2 / 5),
    lingering: (apart) => 0.15 ** 2 * 0.9 ** apart,
    slips: own(0.15),
    coarse: own(Math.hypot(0.075, 1 / 3.6 / Math.sqrt(12))),
  }

  it.each(SPOILT)(
    '%s: a stated interval of nine in ten covers 86 to 95 of a hundred, and is no wider than three times what could be known',
    (spoilt) => {
      let [covered, fitted, half, best] = [0, 0, 0, 0]
      for (let index = 1; index <= 300; index += 1) {
        const stop = anyStop(index)
        const hz = index % 2 ? 50 : 100
        const series = recorded(stop, spoilt, index, { hz })
        const found = fitStop(series, stopsIn(series)[0] as never)
        // Ten places a second of a short hard stop are too few, and said to be.
        if (!found.ok) {
          expect(found.error.code).toBe('too-coarse')
          continue
        }
        const { lowMs2, highMs2, plateau } = found.value
        fitted += 1
        covered += Number(lowMs2 <= stop.decelerationMs2 && stop.decelerationMs2 <= highMs2)
        if (index > 40) continue
        const rate = spoilt === 'coarse' ? 10 : hz
        half += (highMs2 - lowMs2) / 2
        best += bestHalf(Math.round((plateau[1] - plateau[0]) * rate), rate, ALIKE[spoilt])
      }
      expect(fitted).toBeGreaterThan(spoilt === 'coarse' ? 250 : 299)
      expect(covered / fitted).toBeGreaterThanOrEqual(0.86)
      expect(covered / fitted).toBeLessThanOrEqual(0.95)
      expect(half).toBeLessThan(3 * best)
    },
  )

  // v²/2a, worked by hand: 8 m/s at 4 m/s² is 8 m, from 3 s to 5 s.
  const CLEAN = { speedMs: 8, decelerationMs2: 4, beginS: 3, buildUpS: 0.001 }
  const clean = recorded(CLEAN, 'white', 1, { hz: 100, sdMs: 0 })
  const cleanFit = (startS?: number) => expectOk(fitStop(clean, stopsIn(clean)[0] as never, startS))

  it('without noise: begin, end, speed, plateau and way as they were', () => {
    const fit = cleanFit()
    expect(fit.startS).toBeCloseTo(3, 1)
    expect(fit.endS).toBeCloseTo(5, 1)
    expect(fit.speedMs).toBeCloseTo(8, 1)
    expect(fit.decelerationMs2).toBeCloseTo(4, 2)
    expect(fit.distanceM).toBeCloseTo(8, 0)
    expect(fit.residuals.every(([, off]) => Math.abs(off) < 0.02)).toBe(true)
  })

  it('a begin moved by hand changes what it says, and is refused outside the stop', () => {
    const later = cleanFit(3.5)
    expect(later.byHand).toBe(true)
    expect(later.speedMs).toBeCloseTo(6, 1)
    expect(later.distanceM).toBeCloseTo(4.5, 1)
    expect(later.decelerationMs2).toBeCloseTo(4, 2)
    expect(fitStop(clean, stopsIn(clean)[0] as never, 9)).toMatchObject({
      ok: false,
      error: { code: 'out-of-range', field: 'startS' },
    })
  })

  it('one without a stop, too coarse or too short says so', () => {
    const rolling = recorded({ ...CLEAN, beginS: 99 }, 'white', 1, { hz: 50 })
    expect(stopsIn(rolling)).toEqual([])
    const coarse = recorded(CLEAN, 'white', 1, { hz: 2, seconds: 10 })
    expect(fitStop(coarse, stopsIn(coarse)[0] as never)).toMatchObject({ ok: false, error: { code: 'too-coarse' } })
  })

  it('a slipped pulse or two does not draw the line away', () => {
    const spoilt = { t: clean.t, v: clean.v.map((each, index) => (index % 40 === 7 ? each * 0.6 : each)) }
    const fit = expectOk(fitStop(spoilt, stopsIn(spoilt)[0] as never))
    expect(fit.decelerationMs2).toBeCloseTo(4, 1)
  })
})

describe('a file', () => {
  const rows = (head: readonly string[] | undefined, unit = 1) => [
    ...(head ? [head] : []),
    ...Array.from({ length: 40 }, (_, index) => [String(index / 10), String(Math.max(0, 7 - index / 5) * unit)]),
  ]

  it.each([
    [['time s', 'speed km/h'], 3.6, 'km/h', true],
    [['t', 'v (m/s)'], 1, 'm/s', true],
    [['seconds', 'speed mph'], 2.2369362920544, 'mph', true],
    [undefined, 1, 'm/s', false],
    [['time', 'speed'], 3.6, 'km/h', false],
  ] as const)('%j', (head, unit, named, isSure) => {
    const read = expectOk(seriesOfRows(rows(head, unit)))
    expect(read).toMatchObject({ unit: named, isSure })
    expect(read.series.v[0]).toBeCloseTo(7, 6)
  })

  it('what somebody says of its unit goes before the guess', () => {
    const read = expectOk(seriesOfRows(rows(undefined, 3.6), 'km/h'))
    expect(read).toMatchObject({ unit: 'km/h', isSure: true })
    expect(read.series.v[0]).toBeCloseTo(7, 6)
  })

  it('milliseconds and moments are read as seconds; a comma may be a decimal', () => {
    const ms = rows(['time ms', 'speed m/s']).map(([t, v], index) =>
      index === 0 ? [t, v] : [String(Number(t) * 1000), String(v).replace('.', ',')],
    ) as string[][]
    expect(expectOk(seriesOfRows(ms)).series.t[10]).toBeCloseTo(1, 9)
    const at = rows(['time', 'speed m/s']).map(([t, v], index) =>
      index === 0 ? [t, v] : [new Date(1e12 + Number(t) * 1000).toISOString(), v],
    ) as string[][]
    expect(expectOk(seriesOfRows(at)).series.t[10]).toBeCloseTo(1, 3)
  })

  it.each<[string, readonly (readonly string[])[], string, RegExp]>([
    [
      'time running backwards',
      [...rows(['time s', 'speed m/s']), ['1', '0']],
      'time-backwards',
      /line 42: 1 s after 3\.9 s/,
    ],
    ['no speed', rows(['time s', 'height']), 'no-trace', /no speed among the columns “time s”, “height”/],
    [
      'words',
      [['time s', 'speed m/s'], ...Array.from({ length: 30 }, () => ['x', 'y'])],
      'not-a-number',
      /Line 2 is no time and speed/,
    ],
    ['speeds no bicycle makes', rows(['time s', 'speed m/s'], 20), 'too-fast', /504 km\/h, read as m\/s/],
    [
      'nothing',
      [
        ['time s', 'speed m/s'],
        ['0', '1'],
      ],
      'too-short',
      /Only 1 places/,
    ],
  ])('%s is refused', (_, table, code, words) => {
    const read = seriesOfRows(table)
    expect(read).toMatchObject({ ok: false, error: { code } })
    if (!read.ok) expect(read.error.message).toMatch(words)
  })

  it('a track is read by its places: a degree of latitude is 111.2 km', () => {
    expect(apartM({ lat: 50, lon: 8, at: 0 }, { lat: 51, lon: 8, at: 1 }) / 1000).toBeCloseTo(111.19, 1)
    const places = Array.from({ length: 20 }, (_, index) => ({ lat: 50 + index * 6e-5, lon: 8, at: index }))
    const { series } = expectOk(seriesOfTrack(places))
    expect(series.v[3]).toBeCloseTo(6.67, 1)
    expect(seriesOfTrack([...places, { lat: 50, lon: 8, at: 3 }])).toMatchObject({
      ok: false,
      error: { code: 'time-backwards' },
    })
  })
})

describe('the logger’s lines', () => {
  const STOP = { speedMs: 7, decelerationMs2: 4, beginS: 3, buildUpS: 0.1 }
  const fitOf = (lines: readonly string[], roundMm?: number) => {
    const { series } = expectOk(seriesOfPulses(expectOk(pulsesOf(lines)), roundMm))
    return expectOk(fitStop(series, stopsIn(series)[0] as never))
  }

  it('come to the deceleration they were made with, slips and lost pulses and all', () => {
    const off = Array.from({ length: 40 }, (_, seed) => fitOf(loggerLines(STOP, seed + 1)).decelerationMs2 - 4)
    const mean = off.reduce((sum, each) => sum + each, 0) / off.length
    expect(Math.abs(mean)).toBeLessThan(0.15)
    expect(Math.max(...off.map(Math.abs))).toBeLessThan(0.9)
  })

  it('a wheel told wrong makes everything longer by as much, and is put right', () => {
    const right = fitOf(loggerLines(STOP, 5))
    const wrong = fitOf(loggerLines(STOP, 5, { wheelFactor: 1.05 }))
    expect(wrong.speedMs / right.speedMs).toBeCloseTo(1.05, 2)
    expect(fitOf(loggerLines(STOP, 5, { wheelFactor: 1.05 }), 2096).speedMs).toBeCloseTo(right.speedMs, 6)
  })

  it.each([
    [['P 1', 'P 2'], 'missing'],
    [['W 30 8', 'P 1'], 'out-of-range'],
    [['W 2096 0.5', 'P 1'], 'out-of-range'],
    [['W 2096 8', 'P 20', 'P 10'], 'time-backwards'],
  ])('%j is refused', (lines, code) => {
    expect(pulsesOf(lines)).toMatchObject({ ok: false, error: { code } })
  })
})

describe('what stands beside', () => {
  it('limits of this bicycle: Wilson’s upright rider tips at about 0.56 g (from memory)', () => {
    const { limits } = limitsFor(expectOk(openStand(HARDWARE, [])))
    expect(limits.find(({ id }) => id === 'tip')?.g).toBeCloseTo(0.56, 2)
    expect(limits.find(({ id }) => id === 'rear-tyre')?.g).toBeLessThan(0.56)
  })

  // ISO 4210 (from memory): 25 km/h dry, 16 km/h wet; wet and rear alone are given more road.
  it('public rules say which brake they mean, and are held by runs of their kind alone', () => {
    const dry = STOPPING_RULES.filter(({ surface }) => surface === 'dry').map(({ speedKmh }) => Math.round(speedKmh))
    expect(new Set(dry)).toEqual(new Set([24, 25]))
    const both = asRuns(side('after', [6, 6, 6], { brakes: 'both' }))
    const held = (id: string, runs: readonly RunEntry[]) => rulesBeside(runs, 'rear').find(({ rule }) => rule.id === id)
    expect(held('iso-dry-both', both)).toMatchObject({ meanM: 6, holds: true })
    expect(held('us-15', both)?.holds).toBe(false)
    expect(held('iso-dry-rear', both)?.meanM).toBeUndefined()
    expect(held('iso-dry-rear', asRuns(side('after', [14], { brakes: 'this' })))?.holds).toBe(true)
    expect(held('iso-wet-both', both)?.meanM).toBeUndefined()
  })

  it('the sentence and the rules stand on the job sheet', () => {
    const log = [
      ...PREPARED,
      ...side('before', [9.8, 10, 10.2]),
      ...SOUND.slice(PREPARED.length),
      ...side('after', [6.4, 6.6, 6.8]),
    ]
    const sheet = jobSheet(expectOk(openJob(HARDWARE, written(...log))), {
      jobNumber: 1,
      bicycle: 'Hire 01',
      complaint: '',
    })
    const lines = sheet.sections.find(({ title }) => title === 'Stop tests')?.lines.join(' ')
    expect(lines).toMatch(/^Shorter by 3\.4 m, give or take 0\.\d m/)
    expect(lines).toMatch(/25 km\/h in 7 m, dry: 6\.6 m, held/)
  })
})
