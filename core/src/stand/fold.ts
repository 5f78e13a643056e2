import { tickOf } from '../brake/fastener.ts'
import type { Fact } from '../brake/graph.ts'
import { adjustersOf, type Kit } from '../brake/kit.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { Span } from '../brake/reading.ts'
import type { RouteSegment } from '../brake/route.ts'
import { type ChosenSchool, type ChosenSchools, partOf, readSchool, usualSchools } from '../brake/school.ts'
import type { Entry, EntryBody, EntryOf } from './entries.ts'

export type FactStatus = 'current' | 'recheck'

/** Something once established, and whether it still stands. */
export interface Established<V> {
  readonly value: V
  readonly entry: Entry
  readonly status: FactStatus
  /** What has happened since that calls for another look. */
  readonly cause?: string
}

/** How far an adjuster has been turned in this job and what is known of its ends. */
export interface AdjusterState {
  readonly id: string
  /** Net amount in this job. */
  readonly turned: number
  /** From its lower end, if its position was ever told or an end was felt. */
  readonly position: number | undefined
  /** How much further it can go each way; infinite where nothing is known to limit it. */
  readonly roomDown: number
  readonly roomUp: number
}

export interface FoldedEntry {
  readonly entry: Entry
  /** The correction that struck it. */
  readonly struckBy?: Entry
  /** Somebody else turned something between what its author saw and its arrival. */
  readonly overtakenBy?: Entry
}

export interface StandState {
  readonly line: readonly FoldedEntry[]
  /** Entries that count: not struck, in order. */
  readonly standing: readonly Entry[]
  readonly lastSeq: number
  readonly readings: Readonly<Record<string, Established<number | string>>>
  /** Earlier standing values of each reading, oldest first, the last one excluded. */
  readonly earlier: Readonly<Record<string, readonly number[]>>
  /** Confirmations: whether it was well. */
  readonly confirmed: Readonly<Record<string, Established<boolean>>>
  /** Torques, N·m, by fastener. */
  readonly torques: Readonly<Record<string, Established<number>>>
  /** The makers’ figures told in this job, N·m, by fastener. */
  readonly makers: Readonly<Record<string, Span>>
  readonly skipped: Readonly<Record<string, string>>
  /** The way chosen for each thing that is planned. */
  readonly plans: Readonly<Record<string, Established<EntryOf<'plan'>>>>
  readonly adjusters: Readonly<Record<string, AdjusterState>>
  /** The cable’s way, as last written. */
  readonly route: readonly RouteSegment[]
  /** The schools this job goes by. */
  readonly schools: ChosenSchools
  /** What ended the job: a release, or a closing without one. */
  readonly ended: Ending | undefined
  readonly released: EntryOf<'release'> | undefined
  /** Ended without a release: not to be ridden. */
  readonly closed: EntryOf<'close'> | undefined
}

export type Ending = EntryOf<'release'> | EntryOf<'close'>

/** What ended the job, as its log stands. */
export function endingOf(entries: readonly Entry[]): Ending | undefined {
  const ordered = inOrder(entries)
  const struck = strikes(ordered)
  return ordered.findLast(
    (entry): entry is Ending => (entry.kind === 'release' || entry.kind === 'close') && !struck.has(entry.id),
  )
}

/** Log order: the server's seq first, then entries still waiting, as they were made. */
export const inOrder = (entries: readonly Entry[]): readonly Entry[] =>
  entries
    .map((entry, index) => ({ entry, index }))
    .sort((a, b) => (a.entry.seq ?? Infinity) - (b.entry.seq ?? Infinity) || a.index - b.index)
    .map(({ entry }) => entry)

const sameHand = (a: Entry, b: Entry): boolean => a.by === b.by && a.device === b.device

/** A reading its author took without having seen a turn that came first teaches nothing. */
function overtakers(ordered: readonly Entry[], struck: ReadonlyMap<string, Entry>): Map<string, Entry> {
  const overtaken = new Map<string, Entry>()
  const turns: Entry[] = []
  for (const entry of ordered) {
    if (struck.has(entry.id)) continue
    if (entry.kind === 'turn') turns.push(entry)
    if (entry.kind !== 'reading' || entry.basedOn === undefined) continue
    const unseen = turns.find(
      (turn) => turn.seq !== undefined && turn.seq > (entry.basedOn as number) && !sameHand(turn, entry),
    )
    if (unseen) overtaken.set(entry.id, unseen)
  }
  return overtaken
}

/** Corrections in order; one that is itself struck strikes nothing, so a strike can be taken back. */
function strikes(ordered: readonly Entry[]): ReadonlyMap<string, Entry> {
  const struck = new Map<string, Entry>()
  for (const entry of [...ordered].reverse()) {
    if (entry.kind === 'correction' && !struck.has(entry.id)) struck.set(entry.strikes, entry)
  }
  return struck
}

/** Entries that count, in order: not struck, or struck by a correction that was itself taken back. */
export function standingIn(entries: readonly Entry[]): readonly Entry[] {
  const ordered = inOrder(entries)
  const struck = strikes(ordered)
  return ordered.filter((entry) => !struck.has(entry.id))
}

/** What an entry establishes or shakes. */
export const factOf = (entry: EntryBody): Fact | undefined => {
  if (entry.kind === 'reading') return `reading:${entry.reading}`
  if (entry.kind === 'confirm') return `confirm:${entry.step}`
  if (entry.kind === 'turn') return `turn:${entry.adjuster}`
  if (entry.kind === 'swap') return `swap:${entry.part}`
  if (entry.kind === 'plan') return `plan:${entry.plan}`
  return undefined
}

/** What happened, in the words that stand beside what must be looked at again. */
function causeOf(kit: Kit, model: BrakeModel, by: Fact): string {
  const [kind, id = ''] = by.split(':') as [string, string?]
  if (kind === 'turn') return `${adjustersOf(kit, model).find((each) => each.id === id)?.title ?? id} turned`
  const said = kit.causes[by]
  if (said) return said
  if (kind === 'reading') return `${kit.title(id)} was measured again`
  return kind === 'swap' ? `${id} was changed` : `${kit.step(id)?.title ?? id} was done again`
}

/** The stand as the log tells it. Pure: the same entries give the same stand on every screen. */
export function fold(kit: Kit, model: BrakeModel, entries: readonly Entry[]): StandState {
  const ordered = inOrder(entries)
  const struck = strikes(ordered)
  const overtaken = overtakers(ordered, struck)
  const standing = ordered.filter((entry) => !struck.has(entry.id))
  const readings: Record<string, Established<number | string>> = {}
  const earlier: Record<string, number[]> = {}
  const confirmed: Record<string, Established<boolean>> = {}
  const torques: Record<string, Established<number>> = {}
  const makers: Record<string, Span> = {}
  const skipped: Record<string, string> = {}
  const plans: Record<string, Established<EntryOf<'plan'>>> = {}
  const schools: Record<string, ChosenSchool> = { ...usualSchools(kit.schools) }
  let route: readonly RouteSegment[] = []
  let ending: Ending | undefined

  const unsettle = (fact: Fact, shaken: ReadonlySet<string>) => {
    const cause = causeOf(kit, model, fact)
    const mark = <V>(facts: Record<string, Established<V>>, prefix: 'reading' | 'confirm' | 'plan' | 'torque') => {
      for (const [id, each] of Object.entries(facts)) {
        if (shaken.has(`${prefix}:${id}`) && each.status === 'current')
          facts[id] = { ...each, status: 'recheck', cause }
      }
    }
    mark(readings, 'reading')
    mark(confirmed, 'confirm')
    mark(plans, 'plan')
    mark(torques, 'torque')
  }

  for (const entry of standing) {
    const fact = factOf(entry)
    const shaken = fact && kit.grounds.unsettledBy(fact)
    if (fact && shaken && shaken.size > 0) unsettle(fact, shaken)
    if (entry.kind === 'reading') {
      const before = readings[entry.reading]
      if (typeof before?.value === 'number') earlier[entry.reading] = [...(earlier[entry.reading] ?? []), before.value]
      const late = overtaken.get(entry.id)
      readings[entry.reading] = late
        ? { value: entry.value, entry, status: 'recheck', cause: 'taken before somebody else’s turn was seen' }
        : { value: entry.value, entry, status: 'current' }
    } else if (entry.kind === 'confirm') {
      confirmed[entry.step] = { value: entry.well !== false, entry, status: 'current' }
      delete skipped[entry.step]
    } else if (entry.kind === 'plan') plans[entry.plan] = { value: entry, entry, status: 'current' }
    else if (entry.kind === 'torque') {
      const spec = kit.fastener(entry.fastener)
      torques[spec?.id ?? entry.fastener] = { value: entry.valueNm, entry, status: 'current' }
      // A step made for one fastener asks nothing but that it be tight; a step of the brake’s own asks more.
      if (spec && !spec.tick) confirmed[tickOf(spec)] = { value: true, entry, status: 'current' }
    } else if (entry.kind === 'figure') makers[entry.fastener] = { low: entry.lowNm, high: entry.highNm }
    else if (entry.kind === 'route') route = entry.segments
    else if (entry.kind === 'skip') skipped[entry.step] = entry.reason
    else if (entry.kind === 'swap') {
      const school = kit.schools.find((each) => partOf(each) === entry.part)
      const read = school && readSchool(school, entry.to)
      if (school && read?.ok) schools[school.id] = read.value
    } else if (entry.kind === 'release' || entry.kind === 'close') ending = entry
  }

  return {
    line: ordered.map((entry) => {
      const struckBy = struck.get(entry.id)
      const overtakenBy = overtaken.get(entry.id)
      return { entry, ...(struckBy && { struckBy }), ...(overtakenBy && { overtakenBy }) }
    }),
    standing,
    lastSeq: ordered.reduce((last, entry) => Math.max(last, entry.seq ?? 0), 0),
    readings,
    earlier,
    confirmed,
    torques,
    makers,
    skipped,
    plans,
    adjusters: Object.fromEntries(model.adjusters.map((spec) => [spec.id, adjusterState(spec, standing)])),
    schools,
    route,
    ended: ending,
    released: ending?.kind === 'release' ? ending : undefined,
    closed: ending?.kind === 'close' ? ending : undefined,
  }
}

function adjusterState(spec: BrakeModel['adjusters'][number], standing: readonly Entry[]): AdjusterState {
  const travel = spec.travel ?? Infinity
  let turned = 0
  let lowest = 0
  let highest = 0
  let position: number | undefined
  for (const entry of standing) {
    if (entry.kind === 'reading' && entry.reading === spec.positionReading && typeof entry.value === 'number') {
      position = entry.value
    }
    if (entry.kind !== 'turn' || entry.adjuster !== spec.id) continue
    if (entry.from) {
      // However far it was wound in, only what came back from contact is known.
      turned = 0
      lowest = 0
      highest = 0
      position = undefined
    }
    turned += entry.amount
    lowest = Math.min(lowest, turned)
    highest = Math.max(highest, turned)
    if (position !== undefined) position = Math.min(travel, Math.max(0, position + entry.amount))
    const tried = entry.amount === 0 ? entry.tried : entry.amount
    if (entry.endReached && tried) position = tried > 0 ? travel : 0
  }
  const spread = highest - lowest
  return {
    id: spec.id,
    turned,
    position,
    roomDown: position ?? travel - spread + (turned - lowest),
    roomUp: position === undefined ? travel - spread + (highest - turned) : travel - position,
  }
}

/** The last value of a numeric reading, whether or not it still stands. */
export function lastReading(state: StandState, id: string): number | undefined {
  const value = state.readings[id]?.value
  return typeof value === 'number' ? value : undefined
}

/** The last answer to something seen. */
export function lastSeen(state: StandState, id: string): string | undefined {
  const value = state.readings[id]?.value
  return typeof value === 'string' ? value : undefined
}
