import { CAUTIONS, type CautionId } from '@overhaul/core/reference/cautions'
import type { Job } from '@overhaul/core/run-sheet/job'
import { cautionsOf } from '@overhaul/core/run-sheet/next'
import { Cautions, Read } from '../../ui/words.tsx'

/** What can hurt in this act, where the hand is about to do it; `except` those that are read and ticked besides. */
export function ActCautions({ job, except = [] }: { job: Job; except?: readonly string[] }) {
  const cautions = cautionsOf(job.next, job.model).filter((id) => !except.includes(id))
  return <CautionList ids={cautions} />
}

/** What can hurt, in the handbook’s own words; nothing where nothing can. */
export function CautionList({ ids }: { ids: readonly CautionId[] }) {
  if (ids.length === 0) return null
  return (
    <Cautions aria-label="Cautions">
      {ids.map((id) => (
        <li key={id}>
          <Read>{CAUTIONS[id].text}</Read>
        </li>
      ))}
    </Cautions>
  )
}
