import type { KindSpec } from '../entry-kind.ts'
import { optional, remark, word } from '../fields.ts'

export const fields = { strikes: word, why: optional(remark(500)) }

/** Strikes an entry that never happened. */
export const correction: KindSpec<'correction'> = {
  say({ strikes, why }, { find }, say) {
    const struck = find?.(strikes)
    return `struck${struck ? `: ${say(struck)}` : ''}${why ? ` (${why})` : ''}`
  },
  station: ({ strikes }, _, of) => of(strikes),
  asksNext: true,
}
