import type { Kit } from '../../brake/kit.ts'
import type { StationId } from '../../brake/station.ts'
import { asksFor } from '../../brake/step.ts'
import { UNITS, type UnitId } from '../../quantity/quantity.ts'
import type { KindSpec } from '../entry-kind.ts'
import { answer, flag, number, one, optional, remark, word } from '../fields.ts'
import { showAnswer } from '../show.ts'

export const fields = {
  reading: word,
  /** A number, or for what is seen one of its answers. */
  value: answer(20),
  unit: one<UnitId | ''>(...(Object.keys(UNITS) as UnitId[]), ''),
  instrument: optional(remark(60)),
  /** False where the hand was not sure of it: it counts in this job, and is kept for no other. */
  sure: optional(flag),
  /** How long the card it was answered on was on show, seconds. */
  tookS: optional(number({ least: 0, most: 86_400 })),
}

/** The step of the whole dial-in: what the model needs measured is asked for there. */
const DIAL_IN = 'dial-in'

/** The station whose step asks for a reading; of one that a turn is made by, the dial-in’s. */
function stationOf({ family, steps }: Kit, id: string): StationId | undefined {
  if (family.dial.centre.includes(id)) return 'centre'
  if (family.dial.bite.includes(id) || id === family.dial.beside) return 'bite'
  return steps.find((step) => asksFor(step).includes(id))?.station
}

/** Something measured, or seen. */
export const reading: KindSpec<'reading'> = {
  fact: (entry) => `reading:${entry.reading}`,
  fold(draft, entry, kit, model, late) {
    const before = draft.readings[entry.reading]
    if (typeof before?.value === 'number') {
      draft.earlier[entry.reading] ??= []
      draft.earlier[entry.reading]?.push(before.value)
    }
    // What was passed over before this was found is not passed over with it.
    for (const step of kit.askedBy(entry.reading)) delete draft.skipped[step]
    if (model.needed.includes(entry.reading)) delete draft.skipped[DIAL_IN]
    draft.readings[entry.reading] = late
      ? { value: entry.value, entry, status: 'recheck', cause: 'taken before somebody else’s turn was seen' }
      : { value: entry.value, entry, status: 'current' }
  },
  say: (entry, { kit, length }) =>
    kit.option(entry.reading, entry.value)?.told ??
    `${kit.title(entry.reading)} ${showAnswer(kit, entry.reading, entry.value, length)}`,
  station: (entry, kit) => stationOf(kit, entry.reading),
}
