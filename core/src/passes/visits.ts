import { kitOf } from '../bench/kit.ts'
import type { Family } from '../brake/family.ts'
import type { Drift } from '../brake/keeps.ts'
import type { Kit } from '../brake/kit.ts'
import type { ReadingSpec } from '../brake/reading.ts'
import { expectOk } from '../outcome/outcome.ts'
import { judgedAs } from '../run-sheet/carried.ts'
import type { Visit } from '../run-sheet/known.ts'
import type { Stand } from '../run-sheet/stand.ts'
import { stepsOn, wantedOf } from '../run-sheet/status.ts'
import { practiceGauge } from '../simulate/practice.ts'
import { type Random, seededRandom } from '../simulate/random.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { hardwareAfter, openStand } from '../workshop/open.ts'

/** What ten visits to each of many brakes came to, with readings carried and with every one taken anew. See docs/bench.md. */
export interface VisitsReport {
  readonly family: string
  readonly brakes: number
  readonly visits: number
  readonly seed: number
  /** Numbers asked for on a visit after the first, before anything is turned. */
  readonly numbers: { readonly carrying: number; readonly full: number }
  /** Visits at which a full sheet would have stopped the rider by a reading that was carried and not looked at. */
  readonly missed: { readonly count: number; readonly inThousand: number }
  /** Visits at which it would have asked for something to be put right, though it may be ridden. */
  readonly leftOut: { readonly count: number; readonly inThousand: number }
}

const VISITS = 10
const DAY_MS = 24 * 3600 * 1000
const YEAR_DAYS = 365.25
const BEGIN = Date.parse('2026-03-01T09:00:00Z')

/** Rates of one brake stray from the book’s by this (log-normal), and of one in ten by three times more than that. */
const RATE_SD = 0.5
const FAST_SHARE = 0.1
const FAST = 3
/** So often a visit comes after a swap, and after a fall, that nobody wrote down. */
const FORGOTTEN_SWAP = 1 / 100
const FALL = 1 / 60
const FALL_UNTOLD = 0.2
/** A wheel put in unwritten comes out of the heap: its rim or rotor is worn that far into the last of it. */
const HEAP_WORN = 0.05

/**
 * What is looked at on every visit although its figure is kept (a pad whole on the track, a wheel that neither wobbles nor
 * hops), and how far an eye errs in it, mm. Our estimate.
 */
const EYE_ERRS_MM: Readonly<Record<string, number>> = {
  padEdgeLeft: 0.7,
  padEdgeRight: 0.7,
  lateralRunout: 0.5,
  radialRunout: 0.5,
}

type Truth = Record<string, number>

interface World {
  readonly kit: Kit
  readonly random: Random
  readonly truth: Truth
  readonly rates: Readonly<Record<string, number>>
}

const driftOf = (spec: ReadingSpec): Drift | undefined => (typeof spec.keeps === 'object' ? spec.keeps : undefined)

/** How this brake truly is to begin with, by its practice values, and how fast each reading of it truly drifts. */
function worldOf(kit: Kit, hardware: Hardware, stand: Stand, seed: number): World {
  const random = seededRandom(seed)
  const shown = practiceGauge(kit, hardware.practiceSeed, stand.dimensions, stand.here, []) ?? {}
  const truth = Object.fromEntries(
    kit.readings.flatMap(({ id }) => (typeof shown[id] === 'number' ? [[id, shown[id] as number]] : [])),
  )
  const fast = random.chance(FAST_SHARE) ? FAST : 1
  const rates = Object.fromEntries(
    kit.readings.flatMap((spec) => {
      const drift = driftOf(spec)
      if (!drift) return []
      const rate =
        drift.perYear === 0 ? random.normal(drift.sdPerYear) : drift.perYear * Math.exp(random.normal(RATE_SD)) * fast
      return [[spec.id, rate] as const]
    }),
  )
  return { kit, random, truth, rates }
}

/** A value that its gauge can show. */
const onGauge = ({ min, max }: ReadingSpec, value: number): number => Math.min(max, Math.max(min, value))

/** Time goes by: everything drifts at its own rate. */
function live({ kit, truth, rates }: World, days: number): void {
  for (const [id, rate] of Object.entries(rates)) {
    const spec = kit.reading(id) as ReadingSpec
    const now = (truth[id] ?? Number.NaN) + (rate * days) / YEAR_DAYS
    if (!Number.isNaN(now)) truth[id] = onGauge(spec, now)
  }
}

/** What stands on a part is another’s after it was swapped: as it was new, or out of the heap. */
function swapped({ kit, random, truth }: World, part: string, first: Truth): void {
  for (const shaken of kit.grounds.unsettledBy(`swap:${part}`)) {
    const id = shaken.replace('reading:', '')
    const spec = kit.reading(id)
    if (!spec || first[id] === undefined) continue
    truth[id] = first[id]
    const drift = driftOf(spec)
    if (part === 'wheel' && drift !== undefined && drift.perYear < 0 && spec.limit && random.chance(HEAP_WORN))
      truth[id] = Math.max(spec.min, spec.limit.low - Math.abs(random.normal(0.2)))
  }
}

/** What is taken for hardware and can yet stop a rider is knocked by so much in a fall, mm: a shoe, an arm. */
const KNOCKED_MM = 0.6

/** A fall bends and shifts what is set: by as much as two years do; and what stays for good otherwise. */
function fallen({ kit, random, truth }: World): void {
  for (const spec of kit.readings) {
    const drift = driftOf(spec)
    const isHardware = spec.keeps === 'hardware' && spec.unit === 'mm' && spec.limit?.unsafe !== undefined
    const shift = drift?.perYear === 0 ? 2 * drift.sdPerYear : isHardware ? KNOCKED_MM : undefined
    if (shift === undefined || truth[spec.id] === undefined) continue
    const now = (truth[spec.id] as number) + random.normal(shift)
    truth[spec.id] = onGauge(spec, now)
  }
}

/** Numbers the sheet asks for before anything is turned. */
function askedOn(stand: Stand): readonly string[] {
  const wanted = stepsOn(stand).flatMap((step) =>
    step.done.kind === 'dialled-in' ? stand.model.needed : wantedOf(step, stand),
  )
  return [...new Set(wanted)].filter((id) => stand.kit.reading(id) && !stand.state.readings[id])
}

interface Tally {
  visits: number
  carrying: number
  full: number
  missed: number
  leftOut: number
}

/** A brake as it comes to its next visit. */
interface Bicycle {
  readonly world: World
  readonly first: Truth
  readonly visits: Visit[]
  hardware: Hardware
}

/** What happened to it since, and whether somebody tells of a fall. */
function happened({ world, first }: Bicycle): readonly EntryBody[] {
  const { random } = world
  const falls = random.chance(FALL)
  if (falls) fallen(world)
  if (random.chance(FORGOTTEN_SWAP)) swapped(world, random.chance(0.5) ? 'pads' : 'wheel', first)
  return falls && !random.chance(FALL_UNTOLD) ? [{ kind: 'complaint', signs: ['fell'] }] : []
}

/** What was carried and so not looked at, judged as it truly is. */
function count(
  { world: { truth }, hardware }: Bicycle,
  stand: Stand,
  asked: readonly string[],
  caught: ReadonlySet<string>,
  tally: Tally,
): void {
  tally.visits += 1
  tally.carrying += asked.length
  tally.full += askedOn(expectOk(openStand(hardware, []))).length
  const judged = Object.keys(stand.state.carried)
    .filter((id) => truth[id] !== undefined && !stand.model.needed.includes(id) && !caught.has(id))
    .map((id) => judgedAs(stand, id, truth[id] as number))
  if (judged.includes('stop')) tally.missed += 1
  else if (judged.includes('out')) tally.leftOut += 1
}

/** What is kept and looks wrong to the eye on the walk round. */
const seenOut = ({ random, truth }: World, stand: Stand): ReadonlySet<string> =>
  new Set(
    Object.entries(EYE_ERRS_MM).flatMap(([id, sd]) => {
      const value = truth[id]
      if (value === undefined || !stand.state.carried[id]) return []
      return judgedAs(stand, id, value + random.normal(sd)) === 'stop' ? [id] : []
    }),
  )

/** One visit: what is asked is read as a gauge reads it, what is found out is put right. */
function visitNow(bicycle: Bicycle, seed: number, openedAt: string, tally: Tally): void {
  const { world, first, visits, hardware } = bicycle
  const { kit, random, truth } = world
  const told = visits.length > 0 ? happened(bicycle) : []
  const entries: Entry[] = []
  const write = (body: EntryBody) =>
    entries.push({
      ...body,
      id: `${seed}-${visits.length}-${entries.length}`,
      at: openedAt,
      by: '1',
      seq: entries.length + 1,
    } as Entry)
  for (const body of told) write(body)
  const stand = expectOk(openStand(hardware, entries, { openedAt, complaints: [], visits: [...visits] }))
  const asked = askedOn(stand)
  const caught = seenOut(world, stand)
  if (visits.length > 0) count(bicycle, stand, asked, caught, tally)
  for (const id of caught) {
    truth[id] = first[id] as number
    write({ kind: 'reading', reading: id, value: truth[id] as number, unit: kit.reading(id)?.unit ?? 'mm' })
  }
  for (const id of asked) {
    const spec = kit.reading(id) as ReadingSpec
    const value = onGauge(spec, (truth[id] ?? spec.min) + random.normal(spec.sd))
    write({ kind: 'reading', reading: id, value, unit: spec.unit })
    if (truth[id] === undefined || judgedAs(stand, id, value) === 'well') continue
    // New pads, a wheel trued, a shoe set again.
    truth[id] = first[id] as number
    write({ kind: 'reading', reading: id, value: truth[id] as number, unit: spec.unit })
  }
  visits.push({ hardware, entries, openedAt })
  bicycle.hardware = hardwareAfter(hardware, entries)
}

/** One brake over its visits, added to the tally. */
function liveThrough(family: Family, seed: number, tally: Tally): void {
  const kit = kitOf(family)
  const hardware: Hardware = {
    family: family.id,
    end: seed % 2 === 0 ? 'rear' : 'front',
    dimensions: {},
    practiceSeed: seed,
    traits: { motorAt: 'none' },
  }
  const world = worldOf(kit, hardware, expectOk(openStand(hardware, [])), seed)
  const bicycle: Bicycle = { world, first: { ...world.truth }, visits: [], hardware }
  let at = BEGIN
  for (let visit = 0; visit < VISITS; visit += 1) {
    visitNow(bicycle, seed, new Date(at).toISOString(), tally)
    const days = world.random.uniform(7, 90)
    live(world, days)
    at += days * DAY_MS
  }
}

/** Ten visits to each of so many brakes of a family. */
export function visitsOf({ family, brakes, seed }: { family: Family; brakes: number; seed: number }): VisitsReport {
  const tally: Tally = { visits: 0, carrying: 0, full: 0, missed: 0, leftOut: 0 }
  for (let brake = 0; brake < brakes; brake += 1) liveThrough(family, seed * 7919 + brake, tally)
  const rounded = (value: number, decimals: number) => Number(value.toFixed(decimals))
  const inThousand = (count: number) => rounded((1000 * count) / tally.visits, 2)
  return {
    family: family.id,
    brakes,
    visits: tally.visits,
    seed,
    numbers: { carrying: rounded(tally.carrying / tally.visits, 2), full: rounded(tally.full / tally.visits, 2) },
    missed: { count: tally.missed, inThousand: inThousand(tally.missed) },
    leftOut: { count: tally.leftOut, inThousand: inThousand(tally.leftOut) },
  }
}
