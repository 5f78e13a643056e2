import { CAUTIONS } from '@overhaul/core/reference/cautions'
import type { Job } from '@overhaul/core/run-sheet/job'
import { cautionsOf } from '@overhaul/core/run-sheet/next'
import { Cautions, Read } from '../../ui/words.tsx'

/** What can hurt in this act, where the hand is about to do it. */
export function ActCautions({ job }: { job: Job }) {
  const cautions = cautionsOf(job.next, job.model)
  if (cautions.length === 0) return null
  return (
    <Cautions aria-label="Cautions">
      {cautions.map((id) => (
        <li key={id}>
          <Read>{CAUTIONS[id].text}</Read>
        </li>
      ))}
    </Cautions>
  )
}
