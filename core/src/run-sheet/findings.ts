import type { Advice } from '../dial-in/advice.ts'
import { lower } from '../stand/words.ts'
import type { Stand } from './stand.ts'
import { isStop, sheetOf, wantedOf } from './status.ts'
import type { StepStatus } from './step-state.ts'

/** Something that says the bicycle is not to be ridden; no typed reason takes it away. */
export interface Finding {
  readonly step: string
  readonly say: string
  /** It was not found wrong: it was not done. */
  readonly undone?: true
}

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

/** Findings as they are read: each that was found, then in one line what was not done. */
export function sayFindings(findings: readonly Finding[]): readonly string[] {
  const undone = findings.filter((each) => each.undone).map((each) => each.say)
  const found = findings.filter((each) => !each.undone).map((each) => each.say)
  return undone.length > 0 ? [...found, `not done: ${undone.join(', ')}`] : found
}
