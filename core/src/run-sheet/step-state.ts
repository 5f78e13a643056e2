import type { Step } from '../brake/step.ts'

export type StepState = 'done' | 'skipped' | 'recheck' | 'out' | 'open'

export interface StepStatus {
  readonly step: Step
  readonly state: StepState
  /** What is the matter with it; of one that was left, what was found. */
  readonly cause?: string
  /** Well, and yet something is to be said of it. */
  readonly remark?: string
  /** Not to be ridden like this: it is put right, or the job is closed. */
  readonly stop?: true
  /** Not all of it is answered yet, and something that is answered is not well. */
  readonly wrong?: true
}

export type At = Omit<StepStatus, 'step'>

/** What keeps a step from being passed over: it is not ridden like this, it must be put right, or it must be looked at. */
export type Held = 'stop' | 'wrong' | 'unlooked'

/**
 * Whether a step may be passed over with a reason as it stands: skipped where it need not be looked at, left where what
 * was found is unwanted and no more. `stale`: what it was judged by must be looked at again.
 */
export function heldBy({ maySkip, mayLeave }: Step, at: At, stale: boolean): Held | undefined {
  if (at.stop) return 'stop'
  const isWrong = at.state === 'out' || at.state === 'recheck' || at.wrong === true
  if (isWrong && mayLeave === undefined) return 'wrong'
  const isLookedAt = at.state !== 'open' && !stale
  return isLookedAt || maySkip !== undefined ? undefined : 'unlooked'
}
