import type { BrakeModel } from '../brake/model.ts'
import type { Step } from '../brake/step.ts'
import { placedIn } from '../brake/window.ts'
import { type Advice, derivedNow } from '../dial-in/advice.ts'
import type { Turn } from '../dial-in/turn.ts'
import type { CautionId } from '../reference/cautions.ts'
import type { EntryOf } from '../stand/entries.ts'
import { upper } from '../stand/words.ts'
import { type Finding, findingsOf } from './findings.ts'
import type { Stand } from './stand.ts'
import { isOut, isStop, rubbing, settled, sheetOf, wantedOf } from './status.ts'
import type { StepStatus } from './step-state.ts'

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

/** What can hurt in this act: in its step, and in each thing it has the hand turn. */
export function cautionsOf(act: Act, { adjusters }: BrakeModel): readonly CautionId[] {
  const turned = act.kind === 'turn' ? act.turn.moves.map(({ adjuster }) => adjuster) : []
  const own = adjusters.flatMap(({ id, cautions = [] }) => (turned.includes(id) ? cautions : []))
  return [...new Set([...act.step.cautions, ...own])]
}

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
        say: step.done.unless?.(stand)?.remedy ?? step.done.remedy,
        stop: first.stop === true,
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
  const measured = out.some((id) => typeof state.readings[id]?.value === 'number')
  const said = [...says, ...(measured && step.whenOut ? [step.whenOut] : [])]
  return { kind: 'mend', step, readings: out, say: said.join(' '), stop: stop === true }
}

const inHundred = (chance: number): string => (100 * chance).toFixed(0)

/** Nothing that is steered reads outside its window. */
const readsWell = (stand: Stand): boolean =>
  stand.model.steered.every((id) => {
    const derived = stand.model.derived.find((each) => each.id === id)
    const now = derived && derivedNow(derived, stand.state)
    return derived ? now === undefined || placedIn(stand.windows, id, now) === 'in' : !isOut(stand, id)
  })

const doubts = ({ kit }: Stand, readings: readonly string[]): string =>
  `${upper(readings.map((id) => kit.title(id)).join(', '))}: does not agree with the rest of the log. What is measured after the turn tells.`

function dialAct(stand: Stand, step: Step, advice: Advice): Act {
  const rub = rubbing(stand)
  if (advice.kind === 'turn') {
    const why = rub
      ? `The wheel rubs on the ${rub.on}. See first that it is seated and true.`
      : readsWell(stand)
        ? `All reads well, and is so in ${inHundred(advice.chanceNow)} of 100; this makes it ${inHundred(advice.turn.chance)}.`
        : advice.doubted && doubts(stand, advice.doubted)
    const { turn, chanceNow, others } = advice
    return { kind: 'turn', step, turn, chanceNow, others, ...(why && { why }) }
  }
  if (advice.kind === 'measure') return { kind: 'measure', step, readings: advice.readings, why: advice.why }
  return { kind: 'stuck', step, say: advice.kind === 'in-window' ? step.say : advice.say }
}
