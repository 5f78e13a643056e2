import type { JobRecord } from '@overhaul/core/http/contract'
import type { Job } from '@overhaul/core/run-sheet/job'
import { standingIn } from '@overhaul/core/stand/log-order'
import type { Drafts } from '../drafts/use-drafts.ts'

/** On a practice brake, what fills in these readings as a gauge would show them; undefined on a real one. */
export function practiceGaugeOf(
  { hardware, visits }: JobRecord,
  job: Job,
  drafts: Drafts,
): ((readings: readonly string[]) => Promise<void>) | undefined {
  if (hardware.practiceSeed === undefined) return undefined
  return async (readings) => {
    const { practiceGauge } = await import('@overhaul/core/simulate/practice')
    const earlier = visits.flatMap(({ entries }) => standingIn(entries))
    const shown = practiceGauge(job.kit, hardware.practiceSeed, job.dimensions, job.here, job.state.standing, earlier)
    const { beside } = job.family.dial
    const wanted = beside && readings.some((id) => job.model.needed.includes(id)) ? [...readings, beside] : readings
    for (const id of wanted) {
      const value = shown?.[id]
      if (typeof value === 'number') drafts.setValue(id, value)
      else if (value !== undefined) drafts.set(id, value)
    }
  }
}
