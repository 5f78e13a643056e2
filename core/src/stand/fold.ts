import { SQUEEZING } from '../brake/acts.ts'
import type { Fact } from '../brake/graph.ts'
import { adjustersOf, type Kit } from '../brake/kit.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { Span } from '../brake/reading.ts'
import type { RouteSegment } from '../brake/route.ts'
import { type ChosenSchools, usualSchools } from '../brake/school.ts'
import { type AdjusterState, adjustersIn, moved, untouched } from './adjusters.ts'
import type { Draft, Ending, Established } from './draft.ts'
import type { Entry, EntryBody, EntryOf } from './entries.ts'
import { kindOf } from './kinds.ts'
import { inOrder, overtakers, strikes, unseenBy } from './log-order.ts'

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
  /** What earlier visits left and this one was opened with, as long as nobody asked for it anew. */
  readonly carried: Readonly<Record<string, Established<number | string>>>
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
  /** It waits for another bench, until something is done to the brake again. */
  readonly parked: EntryOf<'park'> | undefined
}

/** What an entry establishes or shakes. */
export const factOf = (entry: EntryBody): Fact | undefined => kindOf(entry).fact?.(entry)

/** What happened, in the words that stand beside what must be looked at again. */
function causeOf(kit: Kit, model: BrakeModel, by: Fact): string {
  const [kind, id = ''] = by.split(':') as [string, string?]
  if (kind === 'turn') return `${adjustersOf(kit, model).find((each) => each.id === id)?.title ?? id} turned`
  const said = kit.causes[by]
  if (said) return said
  if (kind === 'reading') return `${kit.title(id)} was measured again`
  return kind === 'swap' ? `${id} was changed` : `${kit.step(id)?.title ?? id} was done again`
}

/** One standing entry more. `late`: somebody else’s turn that its author had not seen. */
function read(kit: Kit, model: BrakeModel, draft: Draft, entry: Entry, late: Entry | undefined): void {
  const fact = factOf(entry)
  if (fact) draft.parked = undefined
  const shaken = fact && kit.grounds.unsettledBy(fact)
  if (fact && shaken && shaken.size > 0) unsettle(draft, causeOf(kit, model, fact), shaken, settles(entry))
  kindOf(entry).fold?.(draft, entry, kit, model, late)
}

/** Hard squeezes that moved nothing: what was read on an earlier visit has been ridden since, and settled long ago. */
const settles = (entry: Entry): boolean => entry.kind === 'confirm' && SQUEEZING.has(entry.step) && entry.well !== false

/** What stood on something that was done again must be looked at again. */
function unsettle(draft: Draft, cause: string, shaken: ReadonlySet<string>, sparesCarried: boolean): void {
  const mark = <V>(facts: Record<string, Established<V>>, prefix: 'reading' | 'confirm' | 'plan' | 'torque') => {
    for (const [id, each] of Object.entries(facts)) {
      if (sparesCarried && each.carried) continue
      if (each.status === 'current' && shaken.has(`${prefix}:${id}`)) facts[id] = { ...each, status: 'recheck', cause }
    }
  }
  mark(draft.readings, 'reading')
  mark(draft.confirmed, 'confirm')
  mark(draft.plans, 'plan')
  mark(draft.torques, 'torque')
}

const settledState = (
  { ending, parked, ...draft }: Draft,
  line: readonly FoldedEntry[],
  standing: readonly Entry[],
  adjusters: StandState['adjusters'],
  lastSeq: number,
): StandState => ({
  ...draft,
  line,
  standing,
  lastSeq,
  adjusters,
  ended: ending,
  released: ending?.kind === 'release' ? ending : undefined,
  closed: ending?.kind === 'close' ? ending : undefined,
  // What ended waits for nothing.
  parked: ending ? undefined : parked,
})

/**
 * The stand as the log tells it, begun with what earlier visits left. Pure: the same entries give the same stand on every
 * screen.
 */
export function fold(
  kit: Kit,
  model: BrakeModel,
  entries: readonly Entry[],
  carried: StandState['carried'] = {},
): StandState {
  const ordered = inOrder(entries)
  const struck = strikes(ordered)
  const overtaken = overtakers(ordered, struck)
  const standing = ordered.filter((entry) => !struck.has(entry.id))
  const draft: Draft = {
    readings: { ...carried },
    carried: { ...carried },
    earlier: {},
    confirmed: {},
    torques: {},
    makers: {},
    skipped: {},
    plans: {},
    schools: { ...usualSchools(kit.schools) },
    route: [],
    ending: undefined,
    parked: undefined,
  }
  for (const entry of standing) read(kit, model, draft, entry, overtaken.get(entry.id))
  const line = ordered.map((entry): FoldedEntry => {
    const struckBy = struck.get(entry.id)
    const overtakenBy = overtaken.get(entry.id)
    return { entry, ...(struckBy && { struckBy }), ...(overtakenBy && { overtakenBy }) }
  })
  const lastSeq = ordered.reduce((last, entry) => Math.max(last, entry.seq ?? 0), 0)
  return settledState(draft, line, standing, adjustersIn(model, standing), lastSeq)
}

/** Whether an entry only goes on from a stand: it strikes nothing, and comes after everything there is. One that waits comes last. */
export const goesOn = ({ line }: StandState, entry: Entry): boolean => {
  const last = line.at(-1)?.entry
  return (
    entry.kind !== 'correction' && (last === undefined || entry.seq === undefined || (last.seq ?? Infinity) < entry.seq)
  )
}

/**
 * The stand with one entry more that goes on from it: what is new is read, not what is there. The same as `fold` of them all;
 * `model` may be another than before, where the entry measured the hardware.
 */
export function foldOn(kit: Kit, model: BrakeModel, state: StandState, entry: Entry, sameModel: boolean): StandState {
  const late = entry.kind === 'reading' && entry.basedOn !== undefined ? unseenBy(state.standing, entry) : undefined
  const { line, standing, lastSeq, adjusters, ended: ending, released: __, closed: ___, ...facts } = state
  const earlier: Record<string, number[]> = { ...(facts.earlier as Record<string, number[]>) }
  if (entry.kind === 'reading' && earlier[entry.reading]) earlier[entry.reading] = [...(earlier[entry.reading] ?? [])]
  const draft: Draft = {
    readings: { ...facts.readings },
    carried: { ...facts.carried },
    earlier,
    confirmed: { ...facts.confirmed },
    torques: { ...facts.torques },
    makers: { ...facts.makers },
    skipped: { ...facts.skipped },
    plans: { ...facts.plans },
    schools: { ...facts.schools },
    route: facts.route,
    ending,
    parked: facts.parked,
  }
  read(kit, model, draft, entry, late)
  const nowStanding = [...standing, entry]
  const nowAdjusters = sameModel
    ? Object.fromEntries(
        model.adjusters.map((spec) => [spec.id, moved(spec, adjusters[spec.id] ?? untouched(spec), entry)]),
      )
    : adjustersIn(model, nowStanding)
  return settledState(
    draft,
    [...line, { entry, ...(late && { overtakenBy: late }) }],
    nowStanding,
    nowAdjusters,
    entry.seq ?? lastSeq,
  )
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
