import { SQUEEZING } from '../brake/acts.ts'
import type { From } from '../brake/adjuster.ts'
import type { Fact } from '../brake/graph.ts'
import type { Kit } from '../brake/kit.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { Observation } from '../brake/observation.ts'
import { doesNotSlide } from '../stand/adjusters.ts'
import type { Established } from '../stand/draft.ts'
import type { Entry } from '../stand/entries.ts'
import { factOf, type StandState } from '../stand/fold.ts'

/** The log as the belief reads it: what moved, what settled, what was seen. */
export type Happening =
  /** `from`: wound in to contact first, however far that was. */
  | { readonly kind: 'turn'; readonly adjuster: number; readonly amount: number; readonly from?: From['contact'] }
  | { readonly kind: 'squeeze'; readonly times: number }
  /** Extra doubt of some inputs, and with a new cable its bedding begun anew. */
  | {
      readonly kind: 'disturbance'
      readonly by: string
      readonly spread: Readonly<Record<string, number>>
      readonly bedding?: true
    }
  | {
      readonly kind: 'seen'
      readonly entryId: string
      readonly told: Observation
    }

function happeningsOf(entry: Entry, model: BrakeModel, kit: Kit): readonly Happening[] {
  if (entry.kind === 'turn') {
    const adjuster = model.adjusters.findIndex((each) => each.id === entry.adjuster)
    if (doesNotSlide(entry)) return []
    const from = model.adjusters[adjuster]?.contact && entry.from
    if (adjuster < 0) return disturbed(model, `turn:${entry.adjuster}`)
    return [{ kind: 'turn', adjuster, amount: entry.amount, ...(from && { from: from.contact }) }]
  }
  if (entry.kind === 'confirm' && SQUEEZING.has(entry.step)) return [{ kind: 'squeeze', times: entry.count ?? 10 }]
  if (entry.kind === 'reading') {
    const told = model.observe(entry.reading, entry.value, kit.reading(entry.reading))
    return told ? [{ kind: 'seen', entryId: entry.id, told }] : []
  }
  const fact = factOf(entry)
  return fact ? disturbed(model, fact) : []
}

function disturbed(model: BrakeModel, fact: Fact): readonly Happening[] {
  const disturbance = model.disturbs(fact)
  if (!disturbance || disturbance === 'forget') return []
  const bedding = model.bedding?.begins === fact && ({ bedding: true } as const)
  return [{ kind: 'disturbance', by: fact, spread: disturbance.spread, ...bedding }]
}

/** Where the log starts again: a new brake is not the one that was learnt of. */
function begunAnew(model: BrakeModel, standing: readonly Entry[]): number {
  return (
    standing.findLastIndex((entry) => {
      const fact = factOf(entry)
      return fact !== undefined && model.disturbs(fact) === 'forget'
    }) + 1
  )
}

/** Whether this job put another brake in the place of the one earlier visits taught of. */
export const isAnother = (model: BrakeModel, state: StandState): boolean => begunAnew(model, state.standing) > 0

/**
 * The stand as it was when something was last read or replaced. What was only turned or squeezed since taught nothing of the
 * brake itself: windows made of what is known are made anew by a reading, never by a turn.
 */
export function asLastRead(model: BrakeModel, state: StandState): StandState {
  const last = state.standing.findLastIndex((entry) => {
    const fact = entry.kind === 'reading' ? undefined : factOf(entry)
    return entry.kind === 'reading' || (fact !== undefined && model.disturbs(fact) !== undefined)
  })
  return last === state.standing.length - 1 ? state : { ...state, standing: state.standing.slice(0, last + 1) }
}

/** Standing entries only, and no reading that was overtaken by somebody else's turn. */
export function timeline(kit: Kit, model: BrakeModel, state: StandState): readonly Happening[] {
  const overtaken = new Set(state.line.filter((each) => each.overtakenBy).map((each) => each.entry.id))
  const anew = begunAnew(model, state.standing)
  const before = anew > 0 ? [] : Object.values(state.carried).flatMap((each) => carriedOver(each, model, kit))
  const logged = state.standing
    .slice(anew)
    .flatMap((entry) => (overtaken.has(entry.id) ? [] : happeningsOf(entry, model, kit)))
  return [...before, ...logged]
}

/** What an earlier visit left of this setting, as wide as it is known by now. */
function carriedOver(
  { value, entry, carried }: Established<number | string>,
  model: BrakeModel,
  kit: Kit,
): readonly Happening[] {
  if (entry.kind !== 'reading' || !carried) return []
  const told = model.observe(entry.reading, value, kit.reading(entry.reading))
  return told?.kind === 'value'
    ? [{ kind: 'seen', entryId: entry.id, told: { ...told, sd: Math.max(told.sd, carried.sd) } }]
    : []
}
