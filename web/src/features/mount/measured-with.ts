import { measuredAt } from '@overhaul/core/features/mount/judge'
import type { Measured } from '@overhaul/core/features/mount/measured'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { Drafts } from '../../drafts/use-drafts.ts'

/** Readings in the log with the drafts laid over them: the drawing follows the typing. */
export function measuredWith(job: Job, drafts: Drafts): Measured {
  const logged = measuredAt(job)
  return {
    end: logged.end,
    number: (id) => drafts.value(id) ?? logged.number(id),
    seen: (id) => drafts.text[id] ?? logged.seen(id),
  }
}
