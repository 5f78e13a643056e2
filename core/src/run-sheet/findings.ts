import type { Step } from '../brake/step.ts'
import type { Advice } from '../dial-in/advice.ts'
import { lower, upper } from '../stand/words.ts'
import type { Stand } from './stand.ts'
import { heldAt, isStop, settled, sheetOf, wantedOf } from './status.ts'
import type { StepStatus } from './step-state.ts'

/** Something that says the bicycle is not to be ridden; no typed reason takes it away. */
export interface Finding {
  readonly step: string
  readonly say: string
  /** It was not found wrong: it was not done. */
  readonly undone?: true
}

/** The readings a step goes by here. */
const askedAt = (stand: Stand, step: Step): readonly string[] =>
  step.done.kind === 'dialled-in' ? stand.model.needed : wantedOf(step, stand)

function whyUnsafe({ state, windows, kit }: Stand, id: string): string {
  const value = state.readings[id]?.value
  return typeof value === 'number' ? (windows.of[id]?.unsafe?.say ?? '') : lower(kit.option(id, value)?.title ?? '')
}

/** What one step says against riding: what was found there, or that it was not done. */
function findingsAt(stand: Stand, { step, state: at, cause, stop }: StepStatus): readonly Finding[] {
  const found = (say: string): Finding => ({ step: step.id, say })
  const verdict = step.done.kind === 'judged' ? step.done.judge(stand) : undefined
  if (verdict?.stop) return [found(verdict.say)]
  const unsafe = stop ? askedAt(stand, step).filter((id) => isStop(stand, id)) : []
  if (unsafe.length > 0) return unsafe.map((id) => found(`${stand.kit.title(id)}: ${whyUnsafe(stand, id)}`))
  if (stop && step.done.kind === 'confirmed' && stand.state.confirmed[step.id]?.value === false)
    return [found(`${step.title}: ${lower(step.done.ill)}`)]
  if (stop) return [found(`${step.title}: ${cause ?? 'not well'}`)]
  if (settled(at) || step.done.kind === 'signed') return []
  const held = heldAt(step, stand)
  if (held === 'wrong') return [found(`${step.title}: ${cause ?? 'not well'}`)]
  return held === 'unlooked' ? [{ ...found(step.title), undone: true }] : []
}

/** Why this bicycle is not to be ridden as it stands; empty where nothing says so. */
export const findingsOf = (stand: Stand, advice: Advice): readonly Finding[] =>
  stand.state.released ? [] : sheetOf(stand, advice).flatMap((each) => findingsAt(stand, each))

/** What was passed over, as it is printed: what was found and left, or that it was not looked at; and why. */
export const sayPassed = ({ step, cause }: StepStatus, why: string): string =>
  cause ? `${upper(cause)}; left: ${why}` : `${upper(step.title)} not looked at: ${why}`

/** So many of what was not done are named; the rest is counted. */
const NAMED = 6

/** Findings as they are read: each that was found, then in one line what was not done. */
export function sayFindings(findings: readonly Finding[]): readonly string[] {
  const undone = findings.filter((each) => each.undone).map((each) => each.say)
  const found = findings.filter((each) => !each.undone).map((each) => each.say)
  if (undone.length === 0) return found
  const named = undone.length > NAMED + 1 ? undone.slice(0, NAMED) : undone
  const more = undone.length - named.length
  return [...found, `not done: ${named.join(', ')}${more > 0 ? ` and ${more} more` : ''}`]
}
