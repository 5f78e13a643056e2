import type { KindSpec } from '../entry-kind.ts'
import { remark, word } from '../fields.ts'

export const fields = { step: word, reason: remark(500) }

/** A step passed over, with its reason. */
export const skip: KindSpec<'skip'> = {
  fold(draft, entry) {
    draft.skipped[entry.step] = entry.reason
  },
  say: (entry, { kit }) => `skipped ${kit.stepTitle(entry.step)}: ${entry.reason}`,
  station: (entry, kit) => kit.step(entry.step)?.station ?? 'bite',
}
