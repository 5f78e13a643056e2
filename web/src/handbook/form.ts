import type { InputSpec } from '@overhaul/core/calculation/calculation'
import { parseNumber } from '@overhaul/core/quantity/number'
import { type LengthUnit, lengthOf, parseQuantity } from '@overhaul/core/quantity/quantity'

/** What stands in a calculation’s fields, as typed. */
export type Texts = Readonly<Record<string, string>>

/** The unit an input is typed in: lengths in the workshop’s. */
export const fieldUnit = (unit: string, length: LengthUnit): string => (unit === 'mm' ? length : unit)

const show = (value: number, unit: string, length: LengthUnit): string =>
  unit === 'mm' ? String(Number(lengthOf(value, length).toFixed(length === 'in' ? 4 : 3))) : String(value)

/** An example’s value as it stands in its field. */
export function asText(spec: InputSpec, value: unknown, length: LengthUnit): string {
  if (value === undefined) return ''
  if (Array.isArray(value)) return value.map((each) => show(Number(each), spec.unit, length)).join(' ')
  return typeof value === 'number' ? show(value, spec.unit, length) : String(value)
}

/** What a field holds, for the calculation to judge; what is no number goes on as it was typed. */
export function fromText(spec: InputSpec, text: string, length: LengthUnit): unknown {
  const typed = text.trim()
  if (typed === '') return undefined
  const one = (word: string): unknown => {
    const read = spec.unit === 'mm' ? parseQuantity(word, length) : parseNumber(word, '')
    if (!read.ok) return word
    // Sizes of a standard are whole millimetres: what was rounded for an inch field is so again.
    return spec.unit === 'mm' ? Number(read.value.toFixed(2)) : read.value
  }
  if (spec.type === 'choice') return typed
  if (spec.type === 'number') return one(typed)
  return typed.split(/[\s;]+/).map(one)
}
