import { SQUEEZING } from '../brake/acts.ts'
import type { Dimensions, Here } from '../brake/dimension.ts'
import type { Kit } from '../brake/kit.ts'
import type { Practice, PracticeBrake, Shown } from '../brake/practice.ts'
import { doesNotSlide } from '../stand/adjusters.ts'
import type { Entry } from '../stand/entries.ts'
import { luckOf } from './luck.ts'
import type { StandIn } from './stand-in.ts'
import { standInOf } from './stand-ins.ts'

/** What the practice gauge shows, by reading. */
export type PracticeReadings = Readonly<Record<string, number | string>>

/** Turned at the lever: no part of the brake moves. */
const AT_THE_LEVER: ReadonlySet<string> = new Set(['reachScrew', 'leverAlong'])

/** Entries by which the gauge was held to the brake, or the brake moved: after each the gauge shows a little else. */
const heldOrMoved = (reads: readonly string[]) => (entry: Entry) =>
  entry.kind === 'turn' ||
  (entry.kind === 'confirm' && SQUEEZING.has(entry.step)) ||
  (entry.kind === 'reading' && reads.includes(entry.reading))

/** A brake lives through a log: what was turned and squeezed. */
function live(brake: StandIn, lived: readonly Entry[]): void {
  for (const entry of lived) {
    if (entry.kind === 'turn' && !doesNotSlide(entry) && !AT_THE_LEVER.has(entry.adjuster))
      brake.turn(entry.adjuster, entry.amount, entry.from?.contact)
    if (entry.kind === 'confirm' && entry.step === 'shoes-centred') brake.settle?.()
    if (entry.kind === 'confirm' && SQUEEZING.has(entry.step)) brake.squeeze(entry.count ?? 10)
  }
}

/** The bicycle round the brake, for whatever says by itself what is read of it. */
function bicycle(
  d: Dimensions,
  here: Here,
  seed: number,
  lived: readonly Entry[],
  position: StandIn['position'],
): PracticeBrake {
  const isOf = (reading: string) => (entry: Entry) => entry.kind === 'reading' && entry.reading === reading
  return {
    dimensions: d,
    end: here.end,
    draw: (part, place, [low, high]) => {
      const luck = luckOf(part, seed)
      for (let before = 0; before < place; before += 1) luck.uniform(0, 1)
      return luck.uniform(low, high)
    },
    last: (reading) => {
      const entry = lived.findLast(isOf(reading))
      return entry?.kind === 'reading' && typeof entry.value === 'number' ? entry.value : undefined
    },
    since: (adjuster, reading) =>
      lived
        .slice(lived.findLastIndex(isOf(reading)) + 1)
        .reduce((sum, entry) => (entry.kind === 'turn' && entry.adjuster === adjuster ? sum + entry.amount : sum), 0),
    position,
  }
}

const shownBy = (practice: Practice | undefined, brake: PracticeBrake): Shown =>
  typeof practice === 'function' ? practice(brake) : (practice ?? undefined)

/**
 * The practice stand: a simulated brake that has lived through what earlier jobs did to it and through this job’s log, and
 * the gauge held to it now; all else is read as its own definition says. The same seed and logs always show the same, on
 * every screen. Undefined for a real brake, and for a family without a stand-in.
 */
export function practiceGauge(
  { family, readings, seen }: Pick<Kit, 'family' | 'readings' | 'seen'>,
  seed: number | undefined,
  d: Dimensions,
  here: Here,
  standing: readonly Entry[],
  earlier: readonly Entry[] = [],
): PracticeReadings | undefined {
  if (seed === undefined) return undefined
  const lived = [...earlier, ...standing]
  const held = standInOf(family.id, d, here, seed, (reads) => seed + 1009 * lived.filter(heldOrMoved(reads)).length)
  if (!held) return undefined
  live(held.brake, lived)
  const brake = bicycle(d, here, seed, lived, held.brake.position)
  const own = [
    ...readings.map(({ id, practice }) => [id, shownBy(practice, brake)] as const),
    ...seen.map(({ id, practice, trait, options }) => {
      const built = trait === undefined ? undefined : here.traits[trait]
      const answer = practice === undefined ? options[0]?.id : shownBy(practice, brake)
      return [id, built === undefined || built === 'unknown' ? answer : built] as const
    }),
  ].filter((each): each is readonly [string, number | string] => each[1] !== undefined)
  return { ...Object.fromEntries(own), ...held.shows() }
}
