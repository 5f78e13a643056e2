import type { KindSpec } from '../entry-kind.ts'
import { remark } from '../fields.ts'

export const fields = { why: remark(500) }

/** The job waits, open and not to be ridden, for another bench or a part; whatever is done to the brake next takes it up again. */
export const park: KindSpec<'park'> = {
  fold(draft, entry) {
    draft.parked = entry
  },
  say: ({ why }) => `parked: ${why}`,
  station: () => undefined,
}
