import type { Kit } from '@overhaul/core/brake/kit'
import type { ReadingSpec } from '@overhaul/core/brake/reading'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import { type LengthUnit, parseQuantity, shownUnit } from '@overhaul/core/quantity/quantity'
import { showParts } from '@overhaul/core/stand/describe'
import type { EntryBody } from '@overhaul/core/stand/entries'

/** What a finger can aim at, in canonical units. */
export const stepOf = (spec: ReadingSpec): number => (spec.unit === 'turn' ? 0.25 : spec.sd >= 1 ? 1 : 0.1)

/** The nearest step to a dragged or nudged value, inside what is accepted. */
export const roundToHand = (value: number, spec: ReadingSpec): number => {
  const step = stepOf(spec)
  return Math.min(spec.max, Math.max(spec.min, Math.round(value / step) * step))
}

/** A draft as the entry it would be, or why it cannot be read. */
export function draftBody(kit: Kit, reading: string, text: string, length: LengthUnit): Outcome<EntryBody> {
  if (kit.seeing(reading)) return ok({ kind: 'reading', reading, value: text, unit: '' })
  const spec = kit.reading(reading)
  if (!spec) return refuse('unknown-reading', 'reading', `This brake has no reading “${reading}”.`)
  const value = parseQuantity(text, shownUnit(spec.unit, length), spec.title)
  return value.ok
    ? ok({ kind: 'reading', reading, value: value.value, unit: spec.unit, instrument: spec.instrument })
    : value
}

/** A value as a draft's text, in the workshop's unit and to what the instrument resolves. */
export function writeDraft(kit: Kit, spec: ReadingSpec, value: number, length: LengthUnit): string {
  return spec.unit === 'turn' ? String(value) : showParts(kit, spec.id, value, length).number.replace('−', '-')
}
