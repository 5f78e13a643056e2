import { WORK } from '@overhaul/core/brake/work'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { lastSeen } from '@overhaul/core/stand/fold'
import { workChosen } from '@overhaul/core/stand/work-chosen'
import { Toggles } from '../ui/Toggles.tsx'
import { Label, Slate } from '../ui/words.tsx'

/** What the job is for; it decides which steps stand on its sheet. */
export function WorkSwitch({ job, write }: { job: Job; write: (bodies: readonly EntryBody[]) => boolean }) {
  const { works } = job.family
  const id = lastSeen(job.state, WORK) ?? works[0]?.id
  if (job.state.ended || works.length < 2) return null
  return (
    <div style={{ padding: '10px 0' }}>
      <Label>{job.kit.title(WORK)}</Label>
      <Toggles
        label={job.kit.title(WORK)}
        options={works}
        value={id ?? ''}
        onChange={(value) => value !== id && write(workChosen(works, value))}
      />
      <Slate>{works.find((each) => each.id === id)?.says}</Slate>
    </div>
  )
}
