import { tickOf } from '../../brake/fastener.ts'
import type { KindSpec } from '../entry-kind.ts'
import { number, optional, remark, word } from '../fields.ts'
import { showQuantity } from '../show.ts'

export const fields = {
  fastener: word,
  valueNm: number(),
  /** Torque wrench, or a pull on a key of known length. */
  instrument: optional(remark(80)),
}

/** A fastener tightened. */
export const torque: KindSpec<'torque'> = {
  fold(draft, entry, kit) {
    const spec = kit.fastener(entry.fastener)
    draft.torques[spec?.id ?? entry.fastener] = { value: entry.valueNm, entry, status: 'current' }
    // A step made for one fastener asks nothing but that it be tight; a step of the brake’s own asks more.
    if (spec && !spec.tick) draft.confirmed[tickOf(spec)] = { value: true, entry, status: 'current' }
  },
  say: ({ fastener, valueNm, instrument }, { length }) =>
    `${fastener} tightened to ${showQuantity(valueNm, 'Nm', length)}${instrument ? `, ${instrument}` : ''}`,
  station: () => 'tighten',
}
