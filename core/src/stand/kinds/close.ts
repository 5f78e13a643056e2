import type { KindSpec } from '../entry-kind.ts'
import { remark } from '../fields.ts'

export const fields = { initials: remark(60), why: remark(1000) }

/** Ends a job whose brake cannot be put right: not to be ridden. */
export const close: KindSpec<'close'> = {
  fold(draft, entry) {
    draft.ending = entry
  },
  say: ({ initials, why }) => `closed by ${initials}, not to be ridden: ${why}`,
  station: () => 'release',
  asksNext: true,
}
