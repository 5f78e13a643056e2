import { CONTACTS } from '../../brake/adjuster.ts'
import { adjustersOf } from '../../brake/kit.ts'
import { doesNotSlide } from '../adjusters.ts'
import type { KindSpec } from '../entry-kind.ts'
import { flag, number, one, optional, record, word } from '../fields.ts'
import { sayMove } from '../show.ts'
import { lower } from '../words.ts'

export const fields = {
  adjuster: word,
  amount: number(),
  unit: one('turn', 'mm', 'hole', 'click'),
  endReached: optional(flag),
  /** The amount the hand tried, where nothing moved: which end it stands at. Without it an amount of 0 tells of no end. */
  tried: optional(number({ not: 0 })),
  /** Wound in to contact first, then back by the amount; or floated, and then moved by it. */
  from: optional(record({ contact: one(...CONTACTS) })),
}

/** An adjuster moved. */
export const turn: KindSpec<'turn'> = {
  fact: (entry) => `turn:${entry.adjuster}`,
  say(entry, { kit, model, length }) {
    const spec = adjustersOf(kit, model).find((each) => each.id === entry.adjuster)
    const said = spec ? sayMove(spec, entry, length) : `${entry.adjuster} ${entry.amount}`
    const ended = doesNotSlide(entry) ? ', and it does not slide' : ', to its end'
    return lower(said) + (entry.endReached ? ended : '')
  },
  station: () => 'bite',
}
