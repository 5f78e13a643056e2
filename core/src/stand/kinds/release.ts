import type { KindSpec } from '../entry-kind.ts'
import { optional, remark, text } from '../fields.ts'

export const fields = {
  initials: remark(60),
  /** The day by which it should be looked at again, ISO 8601. */
  lookAgain: optional(text(10)),
}

export const release: KindSpec<'release'> = {
  fold(draft, entry) {
    draft.ending = entry
  },
  say: ({ initials, lookAgain }) => `released by ${initials}${lookAgain ? `, look again by ${lookAgain}` : ''}`,
  station: () => 'release',
  asksNext: true,
}
