import type { Step } from '../brake/step.ts'

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

export type At = Omit<StepStatus, 'step'>
