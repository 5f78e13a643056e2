import { stopTest } from '../../calculations/stop-test.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import type { Entry, EntryOf } from '../../stand/entries.ts'

export type RunEntry = EntryOf<'run'>

const SPEED_KMH = { min: 5, max: 80 } as const
const DISTANCE_M = { min: 0.3, max: 150 } as const
const REACTION_S = { min: 0.1, max: 3 } as const
/** Harder than this no bicycle stops, softer than this it only rolls out, m/s²: 1.2 g and 0.03 g. Our choice. */
const HARDEST_MS2 = 11.8
const SOFTEST_MS2 = 0.3

/** What is travelled before the brake holds, m: where the distance was taken with the rider’s reaction in it. */
const reactionM = ({ reactionS, speedKmh }: Pick<RunEntry, 'reactionS' | 'speedKmh'>): number =>
  reactionS === undefined ? 0 : (reactionS * speedKmh) / 3.6

/** The braking distance of a run by itself, m. */
export const brakingM = (run: Pick<RunEntry, 'reactionS' | 'speedKmh' | 'distanceM'>): number =>
  run.distanceM - reactionM(run)

type Told = Omit<Extract<RunEntry, { kind: 'run' }>, 'id' | 'at' | 'by'>

/** Whether a run can have been: refuses speeds, distances and stops no bicycle makes, naming what would be accepted. */
export function checkRun(run: Told): Outcome<true> {
  const { speedKmh, distanceM, reactionS } = run
  const within = (
    field: string,
    value: number,
    { min, max }: { min: number; max: number },
    unit: string,
    what: string,
  ) =>
    value >= min && value <= max
      ? undefined
      : refuse('out-of-range', field, `${what} is ${value} ${unit}. Accepted: ${min} to ${max} ${unit}.`)
  const fault =
    within('speedKmh', speedKmh, SPEED_KMH, 'km/h', 'The speed of the run') ??
    within('distanceM', distanceM, DISTANCE_M, 'm', 'The stopping distance') ??
    (reactionS === undefined ? undefined : within('reactionS', reactionS, REACTION_S, 's', 'The reaction')) ??
    (run.loadKg === undefined ? undefined : within('loadKg', run.loadKg, { min: 20, max: 400 }, 'kg', 'The load')) ??
    (run.pressureBar === undefined
      ? undefined
      : within('pressureBar', run.pressureBar, { min: 0.5, max: 12 }, 'bar', 'The tyre’s pressure'))
  if (fault) return fault
  const braking = brakingM(run)
  if (!(braking > 0))
    return refuse(
      'contradiction',
      'reactionS',
      `In ${reactionS} s at ${speedKmh} km/h the bicycle rolls ${reactionM(run).toFixed(1)} m, more than the ${distanceM} m of the run. Was the reaction outside the distance?`,
    )
  const worked = stopTest.work({ speedKmh, distanceM: braking })
  if (!worked.ok) return worked
  const { decelerationMs2, decelerationG } = worked.value.outputs
  if (decelerationMs2 > HARDEST_MS2)
    return refuse(
      'out-of-range',
      'distanceM',
      `From ${speedKmh} km/h in ${braking.toFixed(1)} m is ${decelerationG.toFixed(2)} g: no bicycle stops so hard. Accepted: ${shortest(speedKmh)} m or more from that speed.`,
    )
  if (run.decelerationMs2 !== undefined && run.decelerationMs2 > HARDEST_MS2)
    return refuse(
      'out-of-range',
      'decelerationMs2',
      `A plateau of ${run.decelerationMs2} m/s²: no bicycle stops so hard. Accepted: up to ${HARDEST_MS2} m/s².`,
    )
  return decelerationMs2 < SOFTEST_MS2
    ? refuse(
        'out-of-range',
        'distanceM',
        `From ${speedKmh} km/h in ${braking.toFixed(0)} m is ${decelerationG.toFixed(2)} g: it rolled out, it was not braked.`,
      )
    : ok(true)
}

const shortest = (speedKmh: number): string => ((speedKmh / 3.6) ** 2 / (2 * HARDEST_MS2)).toFixed(1)

/** The runs of a job that stand, in order. */
export const runsIn = (standing: readonly Entry[]): readonly RunEntry[] =>
  standing.filter((entry): entry is RunEntry => entry.kind === 'run')
