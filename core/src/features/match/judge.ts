import type { OnStand } from '../../brake/on-stand.ts'
import type { Verdict } from '../../brake/step.ts'
import type { Outcome } from '../../outcome/outcome.ts'
import { type LeverMatch, leverMatch } from './lever-match.ts'

/** Ordinary pads keep about half of their friction in the wet (from memory), where the family does not know better. */
const WET_SHARE = 0.5

export const leverMatchAt = ({ family, dimensions, here, schools, ...looked }: OnStand): Outcome<LeverMatch> =>
  leverMatch(family, dimensions, here, { schools, wetShare: family.wetShare?.(looked) ?? WET_SHARE })

/** Whether lever and brake belong together. */
export function judgeLever(at: OnStand): Verdict {
  const match = leverMatchAt(at)
  if (!match.ok) return { state: 'out', say: match.error.message }
  const { verdict, say, remedy, remark } = match.value
  return { state: verdict === 'fits' ? 'well' : 'out', say, ...(remedy && { remedy }), ...(remark && { remark }) }
}
