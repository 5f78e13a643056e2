import type { Windows } from '@overhaul/core/brake/window'
import { aimedAt, type Job } from '@overhaul/core/run-sheet/job'
import { useMemo, useState } from 'react'

/** The windows a hand is typing against, and the schools they were made by. */
export interface Held {
  readonly windows: Windows
  readonly schools: string
}

/**
 * While something is typed and not yet saved, the windows stay where the hand saw them, whatever another screen logs
 * meanwhile. Another school, which somebody chose, moves them at once.
 */
export function heldFor(before: Held | undefined, job: Job, drafting: boolean): Held {
  const schools = JSON.stringify(job.state.schools)
  return drafting && before?.schools === schools ? before : { windows: job.windows, schools }
}

export function useHeldWindows(job: Job, drafting: boolean): Job {
  const [held, setHeld] = useState<Held>()
  const now = heldFor(held, job, drafting)
  if (now.windows !== held?.windows) setHeld(now)
  return useMemo(() => (now.windows === job.windows ? job : aimedAt(job, now.windows)), [job, now.windows])
}
