import type { OnStand } from '../../brake/on-stand.ts'
import type { Verdict } from '../../brake/step.ts'
import type { Outcome } from '../../outcome/outcome.ts'
import { type BoltMount, boltMountOf, checkMeasured, type Measured } from './measured.ts'
import { type Reach, reachOf } from './reach.ts'

/** What was measured and seen of the mount in this job. */
export const measuredAt = ({ here, number, seen }: OnStand): Measured => ({ end: here.end, number, seen })

export const reachAt = (at: OnStand): Outcome<Reach> | undefined =>
  reachOf(measuredAt(at), at.dimensions.beadSeatMm as number, at.family.mount)

export const boltMountAt = (at: OnStand): BoltMount | undefined => {
  const measured = measuredAt(at)
  return checkMeasured(measured).ok ? boltMountOf(measured) : undefined
}

/** Whether the pads reach the track. */
export function judgeReach(at: OnStand): Verdict | undefined {
  const reach = reachAt(at)
  if (!reach) return undefined
  if (!reach.ok) return { state: 'out', say: reach.error.message }
  const { fits, say, instead } = reach.value
  const ranges = instead.map(([low, high]) => `${low}–${high} mm`).join(' or ')
  return fits
    ? { state: 'well', say }
    : {
        state: 'out',
        stop: true,
        say,
        remedy: ranges
          ? `A brake with a reach of ${ranges} would (common ranges, from memory).`
          : 'No common reach would: another wheel size, or another brake.',
      }
}
