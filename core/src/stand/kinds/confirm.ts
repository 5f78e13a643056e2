import { SQUEEZES } from '../../brake/acts.ts'
import type { KindSpec } from '../entry-kind.ts'
import { number, one, optional, word } from '../fields.ts'

export const fields = {
  step: word,
  count: optional(number({ whole: true, least: 1, most: 1000 })),
  /** Without it, it is well. */
  well: optional(one(false)),
  /** How long the card it was answered on was on show, seconds. */
  tookS: optional(number({ least: 0, most: 86_400 })),
}

/** The hand’s answer to a step, or an act of the bench. */
export const confirm: KindSpec<'confirm'> = {
  fact: (entry) => `confirm:${entry.step}`,
  fold(draft, entry) {
    draft.confirmed[entry.step] = { value: entry.well !== false, entry, status: 'current' }
    delete draft.skipped[entry.step]
  },
  say(entry, { kit }) {
    if (entry.step === SQUEEZES) return `squeezed ${entry.count ?? 10} times`
    if (kit.act(entry.step)) return kit.stepTitle(entry.step)
    return `${kit.stepTitle(entry.step)}: ${entry.well === false ? 'no' : 'yes'}`
  },
  station: (entry, kit) => kit.step(entry.step)?.station ?? 'bite',
}
