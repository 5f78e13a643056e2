import type { Fact } from '../brake/graph.ts'
import type { Kit } from '../brake/kit.ts'
import { asksFor, type Circumstances, type Say, type Step, type StepSpec } from '../brake/step.ts'
import { isBetween, isUnsafe, placement } from '../brake/window.ts'
import { WORK } from '../brake/work.ts'
import { type Advice, derivedNow } from '../dial-in/advice.ts'
import { factOf } from '../stand/fold.ts'
import { showReading } from '../stand/show.ts'
import { lower } from '../stand/words.ts'
import { establishedAs, factsOf, staleGround, staleOf } from './facts.ts'
import { placed } from './placed.ts'
import type { Stand } from './stand.ts'
import { type At, type Held, heldBy, type StepState, type StepStatus } from './step-state.ts'

/** For whatever asks nothing of the advice; and for what must not be taken for settled by it. */
export const SETTLED = { kind: 'in-window', chanceNow: 1 } as const
const UNSETTLED = { kind: 'no-setting', say: '' } as const

const PARTS_OF_THE_RUN: readonly string[] = ['cable', 'housing', 'lever', 'brake']

/** The act of the bench that loosens this. */
const loosenedAs = ({ loosenable }: Kit, what: string): readonly Fact[] =>
  loosenable[what] === undefined ? [] : [`confirm:${loosenable[what]}`]

export function circumstancesOf({ kit, here, number, seen, plan, schools, family, state }: Stand): Circumstances {
  const work = seen(WORK) ?? family.works[0]?.id ?? ''
  const swapped = (part: string) => state.standing.some((entry) => entry.kind === 'swap' && entry.part === part)
  const happened = (facts: readonly Fact[]) =>
    state.standing.some((entry) => {
      const fact = factOf(entry)
      return fact !== undefined && facts.includes(fact)
    })
  return {
    end: here.end,
    number,
    seen,
    work,
    school: (id) => schools[id]?.option,
    way: (id) => plan(id)?.to,
    cableAnew: work === 'fit' || PARTS_OF_THE_RUN.some(swapped),
    swapped,
    trait: (id) => here.traits[id],
    loosened: (what) => happened([`turn:${what}`, ...loosenedAs(kit, what)]),
    happened,
    ill: (id) => state.confirmed[id]?.value === false,
    shaken: (fact) => happened(kit.standsOn[fact] ?? []),
    loosensWheel: family.works.find(({ id }) => id === work)?.loosensWheel === true,
  }
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

export const isOut = (stand: Stand, id: string): boolean => {
  const value = stand.state.readings[id]?.value
  return value !== undefined && placed(stand, id, value) !== 'in'
}

/** Whether what was read is not to be ridden: an answer that says so, or a figure past its limit. */
export function isStop({ kit, state, windows }: Stand, id: string): boolean {
  const value = state.readings[id]?.value
  if (typeof value === 'number') return isUnsafe(windows.of[id], value)
  return kit.option(id, value)?.stop === true
}

/** The readings a step asks for here: not those that another answer makes needless. */
export function wantedOf({ exempt, done }: StepSpec, { state }: Pick<Stand, 'state'>): readonly string[] {
  if (!('readings' in done)) return []
  return done.readings.filter((id) => {
    const unless = exempt?.[id]
    if (!unless) return true
    const answer = state.readings[unless.reading]?.value
    return 'is' in unless ? answer !== unless.is : answer === unless.isNot
  })
}

/** What is allowed and yet not what is wanted, or well and yet something, said where it is measured or seen. */
function between({ kit, state, windows }: Stand, readings: readonly string[]): string | undefined {
  const said = readings.flatMap((id) => {
    const value = state.readings[id]?.value
    const window = windows.of[id]
    const remark = kit.option(id, value)?.remark
    if (remark) return [remark]
    if (typeof value !== 'number' || !window?.wanted || !isBetween(window, value)) return []
    const { low, high } = window.wanted
    return [`${kit.title(id)} allowed, but at ${value < low ? `least ${low}` : `most ${high}`} mm is wanted`]
  })
  return said.length > 0 ? said.join('; ') : undefined
}

function readingsState(stand: Stand, step: Step, readings: readonly string[]): At {
  const out = readings.filter((id) => isOut(stand, id))
  const stop = readings.some((id) => isStop(stand, id)) && ({ stop: true } as const)
  const missing = readings.some((id) => !stand.state.readings[id])
  if (missing) return stop ? { state: 'out', ...stop } : { state: 'open', ...(out.length > 0 && { wrong: true }) }
  if (step.done.kind === 'in-window' && out.length > 0)
    return { state: 'out', cause: firstOut(stand, out) ?? lower(step.title), ...stop }
  if (step.done.kind === 'judged') {
    const verdict = step.done.judge(stand)
    if (verdict?.state === 'out') return { state: 'out', cause: verdict.say, ...(verdict.stop ? { stop: true } : stop) }
    return { state: 'done', ...(verdict?.remark && { remark: verdict.remark }) }
  }
  const remark = between(stand, asksFor(step))
  return { state: 'done', ...(remark && { remark }) }
}

/** A derived reading outside its window: said where it is, as no single reading shows it. */
export function derivedOut(stand: Stand): string | undefined {
  const { model, state, windows } = stand
  for (const derived of model.derived) {
    const window = windows.of[derived.id]
    const now = derivedNow(derived, state)
    if (window && now !== undefined && placement(window, now) !== 'in') return derived.say(now, windows, stand)
  }
  return undefined
}

/** What is the matter with a reading, in figures or in the words of its answer; undefined where it is well. */
export function outWords(stand: Stand, id: string): string | undefined {
  const { kit, state, windows } = stand
  const value = state.readings[id]?.value
  if (value === undefined || !isOut(stand, id)) return undefined
  if (typeof value === 'string') return `${kit.title(id)}: ${lower(kit.option(id, value)?.title ?? value)}`
  const said = `${kit.title(id)} ${showReading(kit, id, value)}`
  const window = windows.of[id]
  if (!window) return said
  const isLow = value < window.low
  const limit = showReading(kit, id, isLow ? window.low : window.high)
  // Off by less than a gauge shows: “1.8 mm, at most 1.8 mm” would be read as a mistake.
  if (limit === showReading(kit, id, value)) return `${said}, just ${isLow ? 'under' : 'over'} its window`
  return `${said}, ${isLow ? 'at least' : 'at most'} ${limit}`
}

const firstOut = (stand: Stand, ids: readonly string[]): string | undefined =>
  ids.map((id) => outWords(stand, id)).find(Boolean)

function dialState(stand: Stand, advice: Advice): At {
  const { needed } = stand.model
  const stop = needed.some((id) => isStop(stand, id)) && ({ stop: true } as const)
  if (!stop && advice.kind === 'in-window') return { state: 'done' }
  if (!stop && needed.some((id) => !stand.state.readings[id])) return { state: 'open' }
  const apart = derivedOut(stand)
  return {
    state: needed.some((id) => isOut(stand, id)) || apart || advice.kind !== 'turn' ? 'out' : 'recheck',
    ...stop,
    cause: apart ?? firstOut(stand, needed) ?? (rubbing(stand) ? 'the wheel rubs' : 'the readings do not agree yet'),
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
      const against = answer.value ? done.unless?.(stand) : undefined
      if (against?.state === 'out')
        return { state: 'out', cause: against.say, ...(against.stop && { stop: true as const }) }
      return answer.value
        ? { state: 'done', ...(against?.remark && { remark: against.remark }) }
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
  if (stand.state.skipped[step.id] !== undefined) {
    const { state, cause } = establishedState(stand, step, UNSETTLED)
    return [{ step, state: 'skipped', ...(state === 'out' && cause && { cause }) }]
  }
  const traced =
    step.done.kind === 'signed' || factsOf(step, stand.model.needed).some((fact) => establishedAs(stand, fact))
  return traced ? [{ step, state: 'done' }] : []
}

/** How a step stands by itself, and what it was judged by that must be looked at again. */
function standing(step: Step, stand: Stand, advice: Advice): { readonly at: At; readonly stale: At | undefined } {
  const at = establishedState(stand, step, advice)
  const isSet = step.done.kind === 'dialled-in' && at.state === 'done'
  return { at, stale: at.state === 'open' || isSet ? undefined : staleOf(stand, factsOf(step, stand.model.needed)) }
}

/** What keeps a step from being skipped or left as things stand; undefined where it may be. */
export function heldAt(step: Step, stand: Stand): Held | undefined {
  const { at, stale } = standing(step, stand, UNSETTLED)
  return heldBy(step, at, stale !== undefined)
}

export function stepStatus(step: Step, stand: Stand, advice: Advice): StepStatus {
  const { at, stale } = standing(step, stand, advice)
  const passed = stand.state.skipped[step.id] !== undefined && !heldBy(step, at, stale !== undefined)
  if (passed && (at.state !== 'done' || stale))
    return { step, state: 'skipped', ...(at.cause && at.state === 'out' && { cause: at.cause }) }
  if (at.state === 'open') return { step, ...at }
  if (stale) return { step, ...stale, ...(at.stop && { stop: true as const }) }
  return { step, ...(at.state === 'done' ? (staleGround(stand, step) ?? at) : at) }
}

const saidHere = (say: Say, here: Circumstances): string => (typeof say === 'string' ? say : say(here))

/** The steps that stand on a sheet in these circumstances, as they are said there; `also` puts further ones on it. */
export const stepsFor = (
  kit: Kit,
  here: Circumstances,
  also: (step: StepSpec) => boolean = () => false,
): readonly Step[] =>
  kit.steps
    .filter((step) => (step.when?.(here) ?? true) || also(step))
    .map(({ say, more, ...step }) => ({
      ...step,
      say: saidHere(say, here),
      ...(more !== undefined && { more: saidHere(more, here) }),
    }))

/** Whether something at a step says that it is not to be ridden: one answer or figure, or what several come to. */
function stopsAt(stand: Stand, step: StepSpec): boolean {
  const { done } = step
  if (done.kind === 'confirmed')
    return stand.state.confirmed[step.id]?.value === false
      ? done.stop === true
      : stand.state.confirmed[step.id] !== undefined && done.unless?.(stand)?.stop === true
  if (asksFor(step).some((id) => isStop(stand, id))) return true
  return (
    done.kind === 'judged' &&
    wantedOf(step, stand).every((id) => stand.state.readings[id]) &&
    done.judge(stand)?.stop === true
  )
}

/** Nobody asked for it, and the hand did it. */
const toldUnasked = ({ state }: Stand, { id, unasked }: StepSpec): boolean =>
  unasked === true && state.confirmed[id] !== undefined

/** The steps of this job’s sheet: those its circumstances call for, any at which something unsafe was found, and what was told unasked. */
export const stepsOn = (stand: Stand): readonly Step[] =>
  stepsFor(stand.kit, circumstancesOf(stand), (step) => stopsAt(stand, step) || toldUnasked(stand, step))

/** What is undone by a later trial counts as done until hands go near once more; what is ridden is no work of the hands. */
function untilWork({ kit }: Stand, sheet: readonly StepStatus[]): readonly StepStatus[] {
  const isWaiting = ({ step, state }: StepStatus) => step.againForWork === true && state === 'recheck'
  const isRidden = ({ done }: Step) => done.kind === 'in-window' && done.readings.every((id) => kit.reading(id)?.ridden)
  const isWork = ({ step, state }: StepStatus) =>
    (state === 'out' && !isRidden(step)) || (!settled(state) && step.station !== 'prove' && step.station !== 'release')
  if (!sheet.some(isWaiting) || sheet.some((each) => !isWaiting(each) && isWork(each))) return sheet
  return sheet.map((each) => (isWaiting(each) ? { step: each.step, state: 'done' } : each))
}

export function sheetOf(stand: Stand, advice: Advice): readonly StepStatus[] {
  const steps = stepsOn(stand)
  return stand.state.released
    ? steps.flatMap((step) => releasedStatus(step, stand))
    : untilWork(
        stand,
        steps.map((step) => stepStatus(step, stand, advice)),
      )
}

export const settled = (state: StepState) => state === 'done' || state === 'skipped'
