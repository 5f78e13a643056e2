import type { Job } from '@overhaul/core/run-sheet/job'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { lastSeen } from '@overhaul/core/stand/fold'
import { WORK } from '@overhaul/core/stand/readings'
import { Options } from '../ui/Options.tsx'
import { Slate } from '../ui/parts.tsx'

const SAYS: Readonly<Record<string, string>> = {
  adjust: 'The whole sheet; the brake stays on its frame.',
  fit: 'The whole sheet, with reach and ways of mounting.',
  rub: 'A short sheet: the wheel first, as a sudden rub usually sits there (common practice), then gaps and bite.',
}

/** What the job is for; it decides which steps stand on its sheet. */
export function WorkSwitch({ job, write }: { job: Job; write: (bodies: readonly EntryBody[]) => boolean }) {
  const work = lastSeen(job.state, WORK.id) ?? 'adjust'
  if (job.state.ended) return null
  return (
    <div style={{ padding: '10px 0' }}>
      <Options
        legend={WORK.title}
        options={WORK.options}
        value={work}
        onChange={(value) => write([{ kind: 'reading', reading: WORK.id, value, unit: '' }])}
      />
      <Slate>{SAYS[work]}</Slate>
    </div>
  )
}
