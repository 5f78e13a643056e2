import { SIGN_IDS, SINCE_IDS, type Sign, sayComplaint, tellsOfAFall } from '../../brake/signs.ts'
import type { KindSpec } from '../entry-kind.ts'
import { list, one, optional, remark } from '../fields.ts'
import { forgetCarried } from './anew.ts'

export const fields = {
  signs: list<Sign>(one(...SIGN_IDS), 6),
  since: optional(one(...SINCE_IDS)),
  /** In the rider’s own words. */
  text: optional(remark(2000)),
}

/** What the rider complains of. After a fall nothing is trusted that was read before it. */
export const complaint: KindSpec<'complaint'> = {
  fold(draft, entry) {
    if (tellsOfAFall(entry)) forgetCarried(draft)
  },
  say: (entry) => `complaint: ${sayComplaint(entry)}`,
  station: () => undefined,
}
