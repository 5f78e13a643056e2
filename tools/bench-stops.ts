import { fitStop, stopsIn } from '@overhaul/core/features/prove/fit'
import { runsIn } from '@overhaul/core/features/prove/runs'
import { MOST, type Proof, verdictOf } from '@overhaul/core/features/prove/verdict'
import { seededRandom } from '@overhaul/core/simulate/random'
import { anyStop, recorded, SPOILT, type Spoilt } from '@overhaul/core/simulate/stop-run'
import type { Entry } from '@overhaul/core/stand/entries'
import { type Line, quantile } from './bench-lines.ts'

const TRIES = 2000
const ENDS: ReadonlySet<Proof> = new Set(['shorter', 'longer', 'no-difference'])

/** What a workshop that looks after every run comes to, where the true gain and the scatter are these, m. */
function decided(seed: number, gainM: number, sdM: number, worthM: number): Proof {
  const random = seededRandom(seed)
  const log: Entry[] = []
  for (let index = 0; index < MOST; index += 1)
    for (const phase of ['before', 'after'] as const) {
      const distanceM = (phase === 'before' ? 7 + gainM : 7) + random.normal(sdM)
      const direction = index % 2 ? 'back' : 'out'
      const common = { id: `${log.length}`, at: '2026-03-01T09:00:00Z', by: '1' }
      log.push({ ...common, kind: 'run', phase, direction, speedKmh: 25, distanceM })
      const { proof } = verdictOf(runsIn(log), worthM)
      if (ENDS.has(proof)) return proof
    }
  return 'open'
}

function errorLine(what: string, gainM: number, sdM: number, wrong: readonly Proof[]): Line {
  const found = Array.from({ length: TRIES }, (_, seed) => decided(seed + 1, gainM, sdM, gainM || 0.5))
  const share = found.filter((each) => wrong.includes(each)).length / TRIES
  return { what: `${what}, of 100 workshops that look after every run`, value: 100 * share, unit: '', limit: 10 }
}

function fitLine(): Line {
  const stop = { speedMs: 8, decelerationMs2: 4, beginS: 50, buildUpS: 0.1 }
  const times = Array.from({ length: 60 }, (_, seed) => {
    const series = recorded(stop, 'heavy-tailed', seed + 1, { hz: 100, seconds: 60 })
    const start = performance.now()
    for (const each of stopsIn(series)) fitStop(series, each)
    return performance.now() - start
  })
  return {
    what: 'a trace of 60 s at 100 Hz: its stops found and fitted, p95',
    value: quantile(times, 0.95),
    unit: 'ms',
    limit: 100,
  }
}

/** Of a thousand traces spoilt in one way, how many in a hundred have the truth outside the stated nine in ten. */
function coverLine(spoilt: Spoilt): Line {
  let [missed, fitted] = [0, 0]
  for (let seed = 1; seed <= 1000; seed += 1) {
    const stop = anyStop(seed)
    const series = recorded(stop, spoilt, seed, { hz: seed % 2 ? 50 : 100 })
    const found = stopsIn(series)[0]
    const fit = found && fitStop(series, found)
    if (!fit?.ok) continue
    fitted += 1
    missed += Number(stop.decelerationMs2 < fit.value.lowMs2 || fit.value.highMs2 < stop.decelerationMs2)
  }
  return {
    what: `a trace, ${spoilt}: outside nine in ten, of 100`,
    value: (100 * missed) / fitted,
    unit: '',
    limit: 14,
  }
}

/** Stop tests: how quickly a trace is fitted, and how often looking each time is wrong. */
export const benchStops = (): readonly Line[] => [
  fitLine(),
  ...SPOILT.map(coverLine),
  errorLine('stop tests: a difference found that is not there, scatter 1 m', 0, 1, ['shorter', 'longer']),
  errorLine('stop tests: a gain of 1 m called no difference or worse, scatter 0.5 m', 1, 0.5, [
    'no-difference',
    'longer',
  ]),
]
