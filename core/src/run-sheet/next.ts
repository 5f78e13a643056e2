import { WORK } from '../bench/work.ts'
import { LOOSENED } from '../brake/acts.ts'
import type { Fact } from '../brake/graph.ts'
import type { Kit } from '../brake/kit.ts'
import { STATIONS, type StationId } from '../brake/station.ts'
import type { Circumstances, Step, StepSpec } from '../brake/step.ts'
import { isBetween, isUnsafe, placement } from '../brake/window.ts'
import { type Advice, derivedNow } from '../dial-in/advice.ts'
import type { Turn } from '../dial-in/turn.ts'
import type { EntryOf } from '../stand/entries.ts'
import type { Established } from '../stand/fold.ts'
import { placed } from './placed.ts'
import type { Stand } from './stand.ts'

/** The one thing to do next. */
export type Act =
  /** `ill`: it was answered not well, and this is then done. */
  | {
      readonly kind: 'confirm'
      readonly step: Step
      readonly again?: string
      readonly ill?: { readonly say: string; readonly stop: boolean }
    }
  | { readonly kind: 'measure'; readonly step: Step; readonly readings: readonly string[]; readonly why?: string }
  /** Readings taken, and what they come to is not well. */
  | {
      readonly kind: 'mend'
      readonly step: Step
      readonly readings: readonly string[]
      readonly say: string
      readonly remedy?: string
      readonly stop: boolean
    }
  | { readonly kind: 'plan'; readonly step: Step; readonly again?: string }
  | {
      readonly kind: 'turn'
      readonly step: Step
      readonly turn: Turn
      readonly chanceNow: number
      readonly others: readonly Turn[]
      /** Why it is asked for although the readings are well. */
      readonly why?: string
    }
  | { readonly kind: 'stuck'; readonly step: Step; readonly say: string }
  | { readonly kind: 'sign'; readonly step: Step }
  | { readonly kind: 'released'; readonly step: Step; readonly release: EntryOf<'release'> }
  | {
      readonly kind: 'closed'
      readonly step: Step
      readonly close: EntryOf<'close'>
      readonly findings: readonly Finding[]
    }

export type StepState = 'done' | 'skipped' | 'recheck' | 'out' | 'open'

export interface StepStatus {
  readonly step: Step
  readonly state: StepState
  readonly cause?: string
  /** Well, and yet something is to be said of it. */
  readonly remark?: string
  /** It may not be skipped: not to be ridden like this. */
  readonly stop?: true
}

/** Something that says the bicycle is not to be ridden; no typed reason takes it away. */
export interface Finding {
  readonly step: string
  readonly say: string
  /** It was not found wrong: it was not done. */
  readonly undone?: true
}

type At = Omit<StepStatus, 'step'>

const PARTS_OF_THE_RUN: ReadonlySet<string> = new Set(['cable', 'housing', 'lever', 'brake'])

export function circumstancesOf({ here, number, seen, plan, family, state }: Stand): Circumstances {
  const work = seen(WORK) ?? family.works[0]?.id ?? ''
  return {
    end: here.end,
    number,
    seen,
    work,
    way: (id) => plan(id)?.to,
    cableAnew:
      work === 'fit' || state.standing.some((entry) => entry.kind === 'swap' && PARTS_OF_THE_RUN.has(entry.part)),
    loosened: (adjuster) =>
      state.standing.some(
        (entry) =>
          (entry.kind === 'turn' && entry.adjuster === adjuster) ||
          (entry.kind === 'confirm' && entry.step === LOOSENED[adjuster]),
      ),
  }
}

/** What a step is established by: its readings, its confirmation, its plan. */
export function factsOf({ id, done }: StepSpec, needed: readonly string[]): readonly Fact[] {
  if (done.kind === 'confirmed') return [`confirm:${id}`]
  if (done.kind === 'planned') return [`plan:${done.plan}`]
  if (done.kind === 'dialled-in') return needed.map((each): Fact => `reading:${each}`)
  return done.kind === 'signed' ? [] : done.readings.map((each): Fact => `reading:${each}`)
}

/** What the wheel was found to rub on, until something has moved. */
export function rubbing({
  family,
  state,
}: Pick<Stand, 'family' | 'state'>): { readonly rubs: string; readonly on: string } | undefined {
  const spun = family.rubbed && state.readings[family.rubbed.seen]
  if (!family.rubbed || spun?.status !== 'current') return undefined
  const rubs = family.rubbed.of[String(spun.value)]
  return rubs ? { rubs, on: String(spun.value) } : undefined
}

export function establishedAs({ state }: Pick<Stand, 'state'>, fact: Fact): Established<unknown> | undefined {
  const [kind, id = ''] = fact.split(':') as [string, string?]
  if (kind === 'reading') return state.readings[id]
  if (kind === 'confirm') return state.confirmed[id]
  return kind === 'plan' ? state.plans[id] : undefined
}

function factTitle(kit: Kit, fact: Fact): string {
  const [kind, id = ''] = fact.split(':') as [string, string?]
  if (kind === 'reading') return kit.title(id)
  return kind === 'plan' ? (kit.family.plans.find((each) => each.id === id)?.title ?? id) : kit.stepTitle(id)
}

const isOut = (stand: Stand, id: string): boolean => {
  const value = stand.state.readings[id]?.value
  return value !== undefined && placed(stand, id, value) !== 'in'
}

/** Whether what was read is not to be ridden: an answer that says so, or a figure past its limit. */
function isStop({ kit, state, windows }: Stand, id: string): boolean {
  const value = state.readings[id]?.value
  if (typeof value === 'number') return isUnsafe(windows.of[id], value)
  return kit.option(id, value)?.stop === true
}

/** The readings a step asks for here: not those that another answer makes needless. */
export function wantedOf({ exempt, done }: StepSpec, { state }: Pick<Stand, 'state'>): readonly string[] {
  if (!('readings' in done)) return []
  return done.readings.filter((id) => {
    const unless = exempt?.[id]
    return !unless || state.readings[unless.reading]?.value !== unless.is
  })
}

/** What is allowed and yet not what is wanted, said where it is measured. */
function between({ kit, state, windows }: Stand, readings: readonly string[]): string | undefined {
  const said = readings.flatMap((id) => {
    const value = state.readings[id]?.value
    const window = windows.of[id]
    return typeof value === 'number' && window?.wanted && isBetween(window, value)
      ? [`${kit.title(id)} allowed, but at most ${window.wanted.high} mm is wanted`]
      : []
  })
  return said.length > 0 ? said.join('; ') : undefined
}

/** Something once established that must be looked at again. */
function staleOf(stand: Stand, facts: readonly Fact[]): At | undefined {
  const stale = facts.map((fact) => establishedAs(stand, fact)).find((each) => each?.status === 'recheck')
  return stale && { state: 'recheck', cause: stale.cause ?? '' }
}

const before = new WeakMap<Kit, ReadonlyMap<string, readonly Fact[]>>()

/** What each step stands on among the steps before it; what comes after unsettles it only when it is done. */
function groundsUnder({ kit, model: { needed } }: Stand): ReadonlyMap<string, readonly Fact[]> {
  const known = before.get(kit)
  if (known) return known
  const found = new Map(
    kit.steps.map((step, index) => {
      const earlier = new Set(kit.steps.slice(0, index).flatMap((each) => factsOf(each, needed)))
      const grounds = factsOf(step, needed).flatMap((fact) => [...kit.grounds.groundsOf(fact)])
      return [step.id, grounds.filter((ground) => earlier.has(ground))]
    }),
  )
  before.set(kit, found)
  return found
}

/** A ground under a step that must itself be looked at again: nothing stays done on it. */
function staleGround(stand: Stand, step: Step): At | undefined {
  for (const ground of groundsUnder(stand).get(step.id) ?? []) {
    if (establishedAs(stand, ground)?.status === 'recheck')
      return { state: 'recheck', cause: `${factTitle(stand.kit, ground)} must be looked at again` }
  }
  return undefined
}

function readingsState(stand: Stand, step: Step, readings: readonly string[]): At {
  const out = readings.filter((id) => isOut(stand, id))
  const stop = readings.some((id) => isStop(stand, id)) && ({ stop: true } as const)
  const missing = readings.some((id) => !stand.state.readings[id])
  if (missing) return stop ? { state: 'out', ...stop } : { state: 'open' }
  if (step.done.kind === 'in-window' && out.length > 0) return { state: 'out', ...stop }
  if (step.done.kind === 'judged') {
    const verdict = step.done.judge(stand)
    if (verdict?.state === 'out') return { state: 'out', cause: verdict.say, ...(verdict.stop ? { stop: true } : stop) }
    return { state: 'done', ...(verdict?.remark && { remark: verdict.remark }) }
  }
  const remark = between(stand, readings)
  return { state: 'done', ...(remark && { remark }) }
}

/** A derived reading outside its window: said where it is, as no single reading shows it. */
function derivedOut(stand: Stand): string | undefined {
  const { model, state, windows } = stand
  for (const derived of model.derived) {
    const window = windows.of[derived.id]
    const now = derivedNow(derived, state)
    if (window && now !== undefined && placement(window, now) !== 'in') return derived.say(now, windows, stand)
  }
  return undefined
}

function dialState(stand: Stand, advice: Advice): At {
  if (advice.kind === 'in-window') return { state: 'done' }
  const { needed } = stand.model
  if (needed.some((id) => !stand.state.readings[id])) return { state: 'open' }
  const apart = derivedOut(stand)
  return {
    state: needed.some((id) => isOut(stand, id)) || apart || advice.kind !== 'turn' ? 'out' : 'recheck',
    cause: apart ?? (rubbing(stand) ? 'the wheel rubs' : 'the readings do not agree yet'),
  }
}

function establishedState(stand: Stand, step: Step, advice: Advice): At {
  const { state } = stand
  const { done } = step
  switch (done.kind) {
    case 'signed':
      return { state: state.released ? 'done' : 'open' }
    case 'confirmed': {
      const answer = state.confirmed[step.id]
      if (!answer) return { state: 'open' }
      return answer.value
        ? { state: 'done' }
        : { state: 'out', cause: lower(done.ill), ...(done.stop && { stop: true }) }
    }
    case 'planned':
      return { state: state.plans[done.plan] ? 'done' : 'open' }
    case 'dialled-in':
      return dialState(stand, advice)
    default:
      return readingsState(stand, step, wantedOf(step, stand))
  }
}

/** Released, every step was done or skipped; one without a trace came to the sheet later and does not stand on this one. */
function releasedStatus(step: Step, stand: Stand): readonly StepStatus[] {
  if (stand.state.skipped[step.id] !== undefined) return [{ step, state: 'skipped' }]
  const traced =
    step.done.kind === 'signed' || factsOf(step, stand.model.needed).some((fact) => establishedAs(stand, fact))
  return traced ? [{ step, state: 'done' }] : []
}

export function stepStatus(step: Step, stand: Stand, advice: Advice): StepStatus {
  const at = establishedState(stand, step, advice)
  const stop = at.stop && ({ stop: true } as const)
  if (stand.state.skipped[step.id] !== undefined && !at.stop && !step.mustBeDone) return { step, state: 'skipped' }
  if (at.state === 'open') return { step, ...at }
  const stale = staleOf(stand, factsOf(step, stand.model.needed))
  if (stale && !(step.done.kind === 'dialled-in' && at.state === 'done')) return { step, ...stale, ...stop }
  return { step, ...(at.state === 'done' ? (staleGround(stand, step) ?? at) : at) }
}

/** The steps that stand on a sheet in these circumstances, as they are said there; `also` puts further ones on it. */
export const stepsFor = (
  kit: Kit,
  here: Circumstances,
  also: (step: StepSpec) => boolean = () => false,
): readonly Step[] =>
  kit.steps
    .filter((step) => (step.when?.(here) ?? true) || also(step))
    .map((step) => ({ ...step, say: typeof step.say === 'string' ? step.say : step.say(here) }))

/** The steps of this job’s sheet: those its circumstances call for, and any at which something unsafe was found. */
export function stepsOn(stand: Stand): readonly Step[] {
  const unsafe = (step: StepSpec) => 'readings' in step.done && step.done.readings.some((id) => isStop(stand, id))
  return stepsFor(stand.kit, circumstancesOf(stand), unsafe)
}

export function sheetOf(stand: Stand, advice: Advice): readonly StepStatus[] {
  const steps = stepsOn(stand)
  return stand.state.released
    ? steps.flatMap((step) => releasedStatus(step, stand))
    : steps.map((step) => stepStatus(step, stand, advice))
}

const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

/** What one step says against riding: what was found there, or that it was not done. */
function findingsAt(stand: Stand, { step, state: at, cause, stop }: StepStatus): readonly Finding[] {
  const found = (say: string): Finding => ({ step: step.id, say })
  const verdict = step.done.kind === 'judged' ? step.done.judge(stand) : undefined
  if (verdict?.stop) return [found(verdict.say)]
  if (stop && 'readings' in step.done)
    return wantedOf(step, stand)
      .filter((id) => isStop(stand, id))
      .map((id) => {
        const value = stand.state.readings[id]?.value
        const why =
          typeof value === 'number'
            ? stand.windows.of[id]?.unsafe?.say
            : lower(stand.kit.option(id, value)?.title ?? '')
        return found(`${stand.kit.title(id)}: ${why}`)
      })
  if (stop && step.done.kind === 'confirmed' && stand.state.confirmed[step.id]?.value === false)
    return [found(`${step.title}: ${lower(step.done.ill)}`)]
  if (!step.mustBeDone || at === 'done') return []
  return [at === 'open' ? { ...found(step.title), undone: true } : found(`${step.title}: ${cause ?? 'not well'}`)]
}

/** Why this bicycle is not to be ridden as it stands; empty where nothing says so. */
export const findingsOf = (stand: Stand, advice: Advice): readonly Finding[] =>
  stand.state.released ? [] : sheetOf(stand, advice).flatMap((each) => findingsAt(stand, each))

const settled = (state: StepState) => state === 'done' || state === 'skipped'

/** What was answered not well comes first: putting it right shakes the rest. Else the first thing not done, in working order. */
export function nextAct(stand: Stand, advice: Advice): Act {
  const { state } = stand
  const sheet = sheetOf(stand, advice)
  const first =
    sheet.find(({ step, state: at }) => at === 'out' && step.done.kind === 'confirmed') ??
    sheet.find((each) => !settled(each.state)) ??
    (sheet.at(-1) as StepStatus)
  const { step, cause } = first
  const again = cause ? { again: cause } : {}
  if (state.released) return { kind: 'released', step, release: state.released }
  if (state.closed)
    return {
      kind: 'closed',
      step: (sheet.at(-1) as StepStatus).step,
      close: state.closed,
      findings: findingsOf(stand, advice),
    }
  switch (step.done.kind) {
    case 'signed':
      return { kind: 'sign', step }
    case 'confirmed': {
      const ill = first.state === 'out' && {
        say: step.done.remedy,
        stop: first.stop === true || step.mustBeDone === true,
      }
      return { kind: 'confirm', step, ...again, ...(ill && { ill }) }
    }
    case 'planned':
      return { kind: 'plan', step, ...again }
    case 'dialled-in':
      return dialAct(stand, step, advice)
    default: {
      const readings = wantedOf(step, stand)
      if (first.state === 'out') return mendAct(stand, first, readings)
      const wanted = readings.filter((id) => state.readings[id]?.status !== 'current')
      return { kind: 'measure', step, readings: wanted.length > 0 ? wanted : readings, ...(cause && { why: cause }) }
    }
  }
}

/** What was found is not well: what to do about it, and which readings to take again once it is done. */
function mendAct(stand: Stand, { step, stop }: StepStatus, readings: readonly string[]): Act {
  const { kit, state, windows } = stand
  const verdict = step.done.kind === 'judged' ? step.done.judge(stand) : undefined
  if (verdict)
    return {
      kind: 'mend',
      step,
      readings,
      say: verdict.say,
      ...(verdict.remedy && { remedy: verdict.remedy }),
      stop: stop === true,
    }
  const out = readings.filter((id) => isOut(stand, id))
  const says = out.flatMap((id) => {
    const value = state.readings[id]?.value
    const unsafe = typeof value === 'number' && isStop(stand, id) ? windows.of[id]?.unsafe : undefined
    if (unsafe) return [`${upper(kit.title(id))}: ${unsafe.say}. Do not ride.`]
    return kit.option(id, value)?.remedy ?? []
  })
  const measured = out.some((id) => typeof state.readings[id]?.value === 'number' && !isStop(stand, id))
  const said = [...says, ...(measured && step.whenOut ? [step.whenOut] : [])]
  return { kind: 'mend', step, readings: out, say: said.join(' '), stop: stop === true }
}

function dialAct(stand: Stand, step: Step, advice: Advice): Act {
  const rub = rubbing(stand)
  if (advice.kind === 'turn')
    return {
      kind: 'turn',
      step,
      turn: advice.turn,
      chanceNow: advice.chanceNow,
      others: advice.others,
      ...(rub && { why: `The wheel rubs on the ${rub.on}. See first that it is seated and true.` }),
    }
  if (advice.kind === 'measure') return { kind: 'measure', step, readings: advice.readings, why: advice.why }
  return { kind: 'stuck', step, say: advice.kind === 'in-window' ? step.say : advice.say }
}

/** Findings as they are read: each that was found, then in one line what was not done. */
export function sayFindings(findings: readonly Finding[]): readonly string[] {
  const undone = findings.filter((each) => each.undone).map((each) => each.say)
  const found = findings.filter((each) => !each.undone).map((each) => each.say)
  return undone.length > 0 ? [...found, `not done: ${undone.join(', ')}`] : found
}

/** The station the next act belongs to: a turn with the bite already in its window is a matter of centring. */
export function stationInHand(next: Act, stand: Stand): StationId {
  const centring = next.kind === 'turn' && !stand.family.dial.bite.some((id) => isOut(stand, id))
  return centring ? 'centre' : next.step.station
}

export interface StationStatus {
  readonly id: StationId
  readonly title: string
  /** `left-out`: none of its steps stand on this job’s sheet. */
  readonly mark: 'in' | 'low' | 'high' | 'recheck' | 'unmeasured' | 'left-out'
  readonly cause?: string
}

/** The stations at which this family has anything to do, in whatever job; the others are not on its line. */
const stationsOf = ({ steps, family }: Kit): ReadonlySet<StationId> =>
  new Set([...steps.map(({ station }) => station), ...(family.dial.centre.length > 0 ? (['centre'] as const) : [])])

/** The run line: each station's state, and what caused a recheck. Bite and Centre share the dial-in but not their readings. */
export function runLine(stand: Stand, advice: Advice): readonly StationStatus[] {
  const sheet = sheetOf(stand, advice)
  return STATIONS.filter(({ id }) => stationsOf(stand.kit).has(id)).map(({ id, title }): StationStatus => {
    if (id === 'centre') return { id, title, ...centreMark(stand, sheet) }
    if (id === 'bite') return { id, title, ...readingsMark(stand, stand.family.dial.bite) }
    const steps = sheet.filter((each) => each.step.station === id)
    return { id, title, ...(steps.length === 0 ? { mark: 'left-out' } : stepsMark(steps)) }
  })
}

function centreMark(stand: Stand, sheet: readonly StepStatus[]): Pick<StationStatus, 'mark' | 'cause'> {
  const { centre } = stand.family.dial
  const steps = sheet.filter((each) => each.step.station === 'centre')
  if (centre.length === 0) return steps.length === 0 ? { mark: 'left-out' } : stepsMark(steps)
  const marked = readingsMark(stand, centre)
  if (marked.mark !== 'in') return marked
  const apart = derivedOut(stand)
  return apart ? { mark: 'high', cause: apart } : stepsMark(steps)
}

/** The mark of some steps together. */
function stepsMark(steps: readonly StepStatus[]): Pick<StationStatus, 'mark' | 'cause'> {
  const recheck = steps.find((each) => each.state === 'recheck')
  if (recheck) return { mark: 'recheck', ...(recheck.cause && { cause: recheck.cause }) }
  if (steps.some((each) => each.state === 'out')) return { mark: 'high' }
  return { mark: steps.every((each) => settled(each.state)) ? 'in' : 'unmeasured' }
}

function readingsMark(stand: Stand, ids: readonly string[]): Pick<StationStatus, 'mark' | 'cause'> {
  const { state } = stand
  if (ids.some((id) => !state.readings[id])) return { mark: 'unmeasured' }
  const stale = ids.map((id) => state.readings[id]).find((each) => each?.status === 'recheck')
  if (stale) return { mark: 'recheck', ...(stale.cause && { cause: stale.cause }) }
  for (const id of ids) {
    const value = state.readings[id]?.value
    const at = value === undefined ? 'in' : placed(stand, id, value)
    if (at !== 'in') return { mark: at }
  }
  return { mark: 'in' }
}
