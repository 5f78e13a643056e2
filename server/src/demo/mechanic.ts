import { randomUUID } from 'node:crypto'
import type { End } from '@overhaul/core/brake/dimension'
import type { RouteSegment } from '@overhaul/core/brake/route'
import { leverMovesAt } from '@overhaul/core/features/lever-fit/fit'
import { expectOk } from '@overhaul/core/outcome/outcome'
import type { Job } from '@overhaul/core/run-sheet/job'
import { heldAt, sheetOf } from '@overhaul/core/run-sheet/status'
import { practiceGauge } from '@overhaul/core/simulate/practice'
import type { Entry, EntryBody } from '@overhaul/core/stand/entries'
import type { Hardware } from '@overhaul/core/stand/hardware'
import { openJob } from '@overhaul/core/workshop/open'

const MOST_ACTS = 90
const SECONDS_AN_ENTRY = 40

/** What an ordinary visit takes at Lockside Hire; made up. */
const MINUTES = 25
const LABOUR_EUR = 20
const LOOK_AGAIN_DAYS = 14

interface DemoRuns {
  readonly before: readonly number[]
  readonly after: readonly number[]
}

/** Stops from about the same speed, out and back. */
const ridden = (phase: 'before' | 'after', distances: readonly number[]): readonly EntryBody[] =>
  distances.map((distanceM, index) => ({
    kind: 'run',
    phase,
    direction: index % 2 === 0 ? 'out' : 'back',
    speedKmh: 25 + (index - 1) / 2,
    distanceM,
    loadKg: 95,
    surface: 'dry',
    brakes: 'both',
    instrument: 'mark on the ground',
  }))

const dayAfter = (at: string, days: number): string =>
  new Date(Date.parse(at) + days * 86_400_000).toISOString().slice(0, 10)

/** Where a demo mechanic laid the work down: at this step, this many turns into the dial-in. */
export interface StopAt {
  readonly step: string
  readonly turns?: number
  /** In the dial-in: before the readings are taken, rather than with the next turn on the screen. */
  readonly measuring?: true
  /** With what was found not well on the screen, rather than before it is measured. */
  readonly found?: true
}

/** How a cable lies on these invented bicycles. */
const ROUTES: Readonly<Record<End, readonly RouteSegment[]>> = {
  front: [{ kind: 'housing', lengthMm: 480, bendDeg: 120, radiusMm: 80, from: 'barrel', to: 'ferrule' }],
  rear: [
    { kind: 'housing', lengthMm: 420, bendDeg: 110, radiusMm: 90, from: 'barrel', to: 'ferrule' },
    { kind: 'bare', lengthMm: 600 },
    { kind: 'housing', lengthMm: 260, bendDeg: 120, radiusMm: 70, from: 'ferrule', to: 'ferrule' },
  ],
}

/** What was found not well is put right, and measured or seen again as it then is. */
function putRight(job: Job, reading: string): EntryBody {
  const seen = job.kit.seeing(reading)?.options.find(({ remedy }) => remedy === undefined)?.id
  const window = job.windows.of[reading]
  const value = seen ?? (window ? Math.round(10 * (window.wanted?.high ?? window.target)) / 10 : 0)
  return { kind: 'reading', reading, value, unit: job.kit.reading(reading)?.unit ?? '' }
}

/** What a mechanic who does as told would write at this point of a job. */
function actOn(job: Job, by: string, own: Readonly<Record<string, number>>): readonly EntryBody[] {
  const { next, state, hardware, dimensions, here } = job
  const shown = { ...practiceGauge(job.kit, hardware.practiceSeed, dimensions, here, state.standing), ...own }
  const { beside } = job.family.dial
  const take = (ids: readonly string[]): readonly EntryBody[] =>
    ids.flatMap((reading): readonly EntryBody[] => {
      const value = shown[reading]
      return value === undefined
        ? []
        : [{ kind: 'reading', reading, value, unit: job.kit.reading(reading)?.unit ?? '' }]
    })
  switch (next.kind) {
    case 'mend': {
      const moves = next.step.id === 'lever-place' ? leverMovesAt(job, job.screw) : []
      if (moves.length > 0) return moves.map((move): EntryBody => ({ kind: 'turn', ...move }))
      if (heldAt(next.step, job) === undefined)
        return [{ kind: 'skip', step: next.step.id, reason: 'noted, the rider was told' }]
      return next.readings.map((reading) => putRight(job, reading))
    }
    case 'plan':
      return []
    case 'confirm':
      return [
        ...(next.step.id === 'cable-run' ? [{ kind: 'route', segments: ROUTES[hardware.end] } as const] : []),
        {
          kind: 'confirm',
          step: next.step.id,
          ...(next.step.done.kind === 'confirmed' && next.step.done.count && { count: next.step.done.count }),
        },
      ]
    case 'measure':
      return take(
        beside && next.readings.some((id) => job.model.needed.includes(id))
          ? [...next.readings, beside]
          : next.readings,
      )
    case 'turn':
      return [
        ...next.turn.moves.map((move): EntryBody => ({ kind: 'turn', ...move })),
        { kind: 'confirm', step: 'squeezes', count: 10 },
      ]
    case 'sign':
      return [
        { kind: 'spent', minutes: MINUTES, labour: LABOUR_EUR, currency: 'EUR', parts: [] },
        { kind: 'release', initials: by, lookAgain: dayAfter(state.standing.at(-1)?.at ?? '', LOOK_AGAIN_DAYS) },
      ]
    case 'stuck':
      return [{ kind: 'skip', step: next.step.id, reason: next.say }]
    case 'released':
    case 'closed':
      return []
  }
}

/** What a ride hangs on, looked at before anything is turned. */
function beforeRiding(job: Job): readonly (readonly EntryBody[])[] {
  const { hardware, dimensions, here, advice } = job
  const shown = practiceGauge(job.kit, hardware.practiceSeed, dimensions, here, []) ?? {}
  return sheetOf(job, advice)
    .filter(({ step }) => step.beforeRiding)
    .map(({ step: { id, done } }) =>
      'readings' in done
        ? done.readings.map(
            (reading): EntryBody => ({
              kind: 'reading',
              reading,
              value: shown[reading] ?? 0,
              unit: job.kit.reading(reading)?.unit ?? '',
            }),
          )
        : [{ kind: 'confirm', step: id }],
    )
}

const laidDown = ({ next, state }: Job, { step, turns = 0, measuring, found }: StopAt): boolean =>
  next.step.id === step &&
  (!found || next.kind === 'mend') &&
  state.standing.filter((each) => each.kind === 'confirm' && each.step === 'squeezes').length >= turns &&
  (step !== 'dial-in' || next.kind === (measuring ? 'measure' : 'turn'))

/** A job's log as a demo mechanic leaves it, to the end or where it was laid down, on the brake's own simulated stand-in. */
export function workedLog(
  hardware: Hardware,
  by: string,
  startedAt: Date,
  stopAt?: StopAt,
  first: readonly EntryBody[] = [],
  last: readonly EntryBody[] = [],
  shown: Readonly<Record<string, number>> = {},
  runs?: DemoRuns,
): readonly Entry[] {
  const log: Entry[] = []
  const write = (bodies: readonly EntryBody[]) => {
    for (const body of bodies) {
      const at = new Date(startedAt.getTime() + log.length * SECONDS_AN_ENTRY * 1000).toISOString()
      log.push({ ...body, id: randomUUID(), at, by, seq: log.length + 1 })
    }
  }
  write(first)
  if (runs) {
    // Before a stop is ridden, what a ride hangs on is looked at, and the bicycle walked.
    for (const each of beforeRiding(expectOk(openJob(hardware, log)))) write(each)
    write(ridden('before', runs.before))
  }
  for (let act = 0; act < MOST_ACTS; act += 1) {
    const job = expectOk(openJob(hardware, log))
    if (stopAt && laidDown(job, stopAt)) break
    const isProven = job.next.kind === 'sign' && !log.some((entry) => entry.kind === 'run' && entry.phase === 'after')
    const bodies = runs && isProven ? ridden('after', runs.after) : actOn(job, by, shown)
    if (bodies.length === 0) break
    write(bodies)
  }
  write(last)
  return log.map(({ seq: _, ...entry }) => entry as Entry)
}
