import type { Draft } from '../draft.ts'
import type { KindSpec } from '../entry-kind.ts'
import { optional, word } from '../fields.ts'

/** `of`: one reading; all that is carried where missing. */
export const fields = { of: optional(word) }

/** What is carried from earlier visits counts no more: it is read anew. */
export function forgetCarried(draft: Draft, ids: readonly string[] = Object.keys(draft.carried)): void {
  for (const id of ids) {
    if (draft.readings[id]?.carried) delete draft.readings[id]
    delete draft.carried[id]
  }
}

/** One reading, or all that is carried, taken anew. */
export const anew: KindSpec<'anew'> = {
  fold(draft, { of }) {
    forgetCarried(draft, of === undefined ? undefined : [of])
    const own = of === undefined ? undefined : draft.readings[of]
    if (of !== undefined && own) draft.readings[of] = { ...own, status: 'recheck', cause: 'asked for anew' }
  },
  say: ({ of }, { kit }) => (of === undefined ? 'everything is read anew' : `${kit.title(of)} is read anew`),
  station: () => undefined,
}
