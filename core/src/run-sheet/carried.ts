import type { Family } from '../brake/family.ts'
import type { Drift } from '../brake/keeps.ts'
import type { Kit } from '../brake/kit.ts'
import { tellsOfAFall, understood } from '../brake/signs.ts'
import { isUnsafe } from '../brake/window.ts'
import type { Established } from '../stand/draft.ts'
import type { Entry, EntryOf } from '../stand/entries.ts'
import { factOf } from '../stand/fold.ts'
import { inOrder, overtakers, standingIn, strikes } from '../stand/log-order.ts'
import { ANOTHER_SIGMAS, type Forecast, forecast, type Point } from '../wear/slope.ts'
import type { Known, Visit } from './known.ts'
import { placed } from './placed.ts'
import type { Stand } from './stand.ts'

type Reading = EntryOf<'reading'>
type Kept = Established<number | string>
export type CarriedReadings = Readonly<Record<string, Kept>>

const YEAR_MS = 365.25 * 24 * 3600 * 1000
/** A moment in years, from any beginning. */
export const yearOf = (at: string): number => Date.parse(at) / YEAR_MS

/**
 * Asked anew where the chance that it left its window since it was read, or changes the verdict, is over 1 in 50: a half of
 * that either way. What its gauge was unsure of, it was unsure of when it was found well.
 */
export const SIGMAS = 2.326
/** And where the chance that it stops a rider is over 1 in 10,000 either way: one visit in a thousand may be wrong in all. */
export const STOP_SIGMAS = 3.72

type Points = Map<string, Reading[]>

/** What an entry takes from under the readings that stood before it. */
function shake(kit: Kit, points: Points, entry: Entry): void {
  if (entry.kind === 'complaint' && tellsOfAFall(entry)) points.clear()
  if (entry.kind === 'anew' && entry.of === undefined) points.clear()
  if (entry.kind === 'anew' && entry.of !== undefined) points.delete(entry.of)
  const fact = factOf(entry)
  for (const shaken of fact ? kit.grounds.unsettledBy(fact) : [])
    if (shaken.startsWith('reading:')) points.delete(shaken.slice('reading:'.length))
}

/**
 * What goes on with a reading: read twice on one visit the last stands, and where it is quite another, what it was before that
 * visit says nothing of what is there now.
 */
function beforeIt(
  kit: Kit,
  read: readonly Reading[],
  { reading, value }: Reading,
  readHere: boolean,
): readonly Reading[] {
  if (!readHere) return read
  const was = read.at(-1)?.value
  const sd = kit.reading(reading)?.sd ?? 0
  const isAnother = typeof was === 'number' && typeof value === 'number' && Math.abs(was - value) > ANOTHER_SIGMAS * sd
  return isAnother ? [] : read.slice(0, -1)
}

/** What still stands of each reading over the logs of its visits, the newest last; none where it must be read anew. */
function standingPoints(
  kit: Kit,
  logs: readonly (readonly Entry[])[],
  before: ReadonlyMap<string, Reading[]> = new Map(),
): Points {
  const points: Points = new Map(before)
  for (const entries of logs) {
    const ordered = inOrder(entries)
    const late = overtakers(ordered, strikes(ordered))
    const readHere = new Set<string>()
    for (const entry of standingIn(entries)) {
      shake(kit, points, entry)
      if (entry.kind !== 'reading') continue
      const { reading } = entry
      const before = beforeIt(kit, points.get(reading) ?? [], entry, readHere.has(reading))
      if (entry.sure === false || late.has(entry.id)) points.delete(reading)
      else points.set(reading, [...before, entry])
      readHere.add(reading)
    }
  }
  return points
}

const leftBy = new WeakMap<readonly Visit[], { readonly kit: Kit; readonly points: Points }>()

/** What earlier visits of a brake of this family left standing, worked out once. */
function leftStanding(kit: Kit, visits: readonly Visit[]): Points {
  const held = leftBy.get(visits)
  if (held?.kit === kit) return held.points
  const own = visits.filter(({ hardware }) => hardware.family === kit.family.id)
  const points = standingPoints(
    kit,
    own.map(({ entries }) => entries),
  )
  leftBy.set(visits, { kit, points })
  return points
}

/** What of it still stands after this log, and what this log left. */
export const standingNow = (kit: Kit, visits: readonly Visit[], entries: readonly Entry[]): Points =>
  standingPoints(kit, [entries], leftStanding(kit, visits))

const kept = (entry: Reading, value: number | string, doubt: Omit<Forecast, 'mean'>): Kept => ({
  value,
  entry,
  status: 'current',
  carried: { was: entry.value, at: entry.at, by: entry.by, ...doubt },
})

/** Readings over time. */
export const pointsOf = (readings: readonly Reading[]): readonly Point[] =>
  readings.flatMap(({ at, value }) => (typeof value === 'number' ? [{ year: yearOf(at), value }] : []))

/** A reading that drifts, carried forward to the day the job was opened; as finely as a hundredth. */
function drifted(readings: readonly Reading[], drift: Drift, readSd: number, openedAt: string): Kept | undefined {
  const last = readings.at(-1)
  if (!last) return undefined
  const points = pointsOf(readings)
  if (points.length === 0) return undefined
  const { mean, ...doubt } = forecast(points, drift, readSd, yearOf(openedAt))
  return kept(last, Math.round(mean * 100) / 100, doubt)
}

/** Everything that earlier visits of this very brake left standing, as it should be on the day the job was opened. */
function candidates(family: Family, kit: Kit, { visits, openedAt, complaints }: Known): CarriedReadings {
  // Said in the rider’s own words, a fall is a fall.
  if (complaints.some((text) => tellsOfAFall(understood(text)))) return {}
  if (openedAt === undefined || visits.some(({ hardware }) => hardware.family !== family.id)) return {}
  const found: Record<string, Kept> = {}
  for (const [id, readings] of leftStanding(kit, visits)) {
    const spec = kit.reading(id)
    const keeps = spec?.keeps ?? kit.seeing(id)?.keeps
    const last = readings.at(-1)
    if (!last || keeps === undefined) continue
    if (keeps === 'hardware') found[id] = kept(last, last.value, { sd: spec?.sd ?? 0, moved: 0 })
    else if (spec) {
      const now = drifted(readings, keeps, spec.sd, openedAt)
      if (now && Number(now.value) >= spec.min && Number(now.value) <= spec.max) found[id] = now
    }
  }
  return found
}

/** How a reading with this value would be judged: by its window, and by every step that asks for it. */
export function judgedAs(stand: Stand, id: string, value: number | string): 'well' | 'out' | 'stop' {
  if (typeof value === 'number' && isUnsafe(stand.windows.of[id], value)) return 'stop'
  const looked = {
    ...stand,
    number: (each: string) => (each === id && typeof value === 'number' ? value : stand.number(each)),
  }
  const verdicts = stand.kit.askedBy(id).flatMap((step) => {
    const done = stand.kit.step(step)?.done
    return (done?.kind === 'judged' && done.judge(looked)) || []
  })
  const against = verdicts.filter(({ state }) => state === 'out')
  if (against.some(({ stop }) => stop)) return 'stop'
  return placed(stand, id, value) === 'in' && against.length === 0 ? 'well' : 'out'
}

/**
 * Well as it is expected to be, and anywhere it is likely to be; and nowhere near where it stops a rider. What a turn is told
 * from is weighed by the advice, with all else that is known of this setting.
 */
function isSurelyWell(stand: Stand, id: string, { value, carried }: Kept): boolean {
  if (judgedAs(stand, id, value) !== 'well') return false
  if (stand.model.needed.includes(id)) return true
  if (typeof value !== 'number' || !carried || stand.kit.reading(id)?.keeps === 'hardware') return true
  const { sd, moved, atWorst } = carried
  const spec = stand.kit.reading(id)
  // Nothing is below what can be: a runout of 0.1 mm is not out for what would be under 0.
  const within = (each: number) => Math.min(spec?.max ?? each, Math.max(spec?.min ?? each, each))
  if (atWorst !== undefined && judgedAs(stand, id, atWorst) === 'stop') return false
  return [-1, 1].every(
    (way) =>
      judgedAs(stand, id, within(value + way * SIGMAS * moved)) === 'well' &&
      judgedAs(stand, id, within(value + way * STOP_SIGMAS * sd)) !== 'stop',
  )
}

/** A dimension that was told of the brake since is newer than what a visit read of it. */
const isAsBuilt = ({ kit, dimensions, here }: Stand, id: string, { value }: Kept): boolean => {
  const dimension = kit.reading(id)?.dimension
  const trait = kit.seeing(id)?.trait
  if (dimension !== undefined && dimension in dimensions) return dimensions[dimension] === value
  return trait === undefined || here.traits[trait] === value
}

/**
 * What this visit need not read again: what earlier visits of the same brake read, still standing on what it stood on then,
 * sure, and well today wherever it may have drifted to. `standWith` puts a stand together from what is carried, with nothing
 * logged yet: carried readings are judged as the job is opened, and by nothing that is written in it later.
 */
export function carriedTo(
  family: Family,
  kit: Kit,
  known: Known,
  standWith: (carried: CarriedReadings) => Stand,
): CarriedReadings {
  const found = candidates(family, kit, known)
  if (Object.keys(found).length === 0) return found
  const stand = standWith(found)
  return Object.fromEntries(
    Object.entries(found).filter(([id, each]) => isAsBuilt(stand, id, each) && isSurelyWell(stand, id, each)),
  )
}
