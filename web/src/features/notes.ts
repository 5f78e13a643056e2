import type { Worked } from '@overhaul/core/calculation/calculation'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { EntryBody } from '@overhaul/core/stand/entries'
import type { Drafts } from '../drafts/use-drafts.ts'

/** What the notes of a station are given: the job, how lengths are read, and where to write and show working. */
export interface NotesProps {
  readonly job: Job
  readonly jobId: string
  readonly length: LengthUnit
  /** What is typed and not saved yet. */
  readonly drafts: Drafts
  readonly write: (bodies: readonly EntryBody[]) => boolean
  readonly onWorked: (title: string, worked: readonly Worked[]) => void
}
