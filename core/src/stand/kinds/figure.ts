import type { KindSpec } from '../entry-kind.ts'
import { number, word } from '../fields.ts'
import { showQuantity } from '../show.ts'

export const fields = { fastener: word, lowNm: number(), highNm: number() }

/** The maker’s figure of one fastener: kept with the brake. */
export const figure: KindSpec<'figure'> = {
  fold(draft, entry) {
    draft.makers[entry.fastener] = { low: entry.lowNm, high: entry.highNm }
  },
  say: ({ fastener, lowNm, highNm }, { length }) =>
    `maker’s figure of the ${fastener}: ${showQuantity(lowNm, 'Nm', length)}${highNm === lowNm ? '' : ` to ${showQuantity(highNm, 'Nm', length)}`}`,
  station: () => 'tighten',
}
