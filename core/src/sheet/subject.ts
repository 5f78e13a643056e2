import type { Workshop } from './workshop.ts'

/** What a paper is about, beside the job itself. */
export interface Subject {
  readonly jobNumber: number
  readonly bicycle: string
  /** The bicycle’s own code, as on its tag. */
  readonly code?: string | null
  /** Whose paper it is. */
  readonly from?: Workshop
}
