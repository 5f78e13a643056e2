import type { AdjusterSpec, From } from '../brake/adjuster.ts'
import type { Kit } from '../brake/kit.ts'
import { formatNumber, formatQuantity, type LengthUnit, shownUnit, type UnitId } from '../quantity/quantity.ts'
import { lower } from './words.ts'

/** A value with its unit, as this workshop reads it. `unit` is the canonical one. */
export function showQuantity(value: number, unit: UnitId, length: LengthUnit = 'mm'): string {
  return formatQuantity(value, shownUnit(unit, length))
}

/** Decimals worth showing: none where the instrument reads to the millimetre. */
export const decimalsOf = (kit: Kit, id: string, shown: UnitId): number | undefined => {
  const spec = kit.reading(id)
  if (spec?.decimals) return shown === 'in' ? spec.decimals + 1 : spec.decimals
  return (spec?.sd ?? 0) >= 1 ? (shown === 'in' ? 2 : 0) : undefined
}

/** A speed as this workshop rides it, and a way as it paces it out. `km/h` and `m` are what is kept. */
export const showSpeed = (kmh: number, length: LengthUnit): string =>
  length === 'in' ? formatQuantity(kmh, 'mph') : formatQuantity(kmh, 'kmh')
export const showWay = (metres: number, length: LengthUnit): string =>
  length === 'in' ? formatQuantity(metres * 1000, 'ft') : formatQuantity(metres * 1000, 'm')

/** A reading's number and unit apart, for a screen that sets them in different sizes. */
export function showParts(
  kit: Kit,
  id: string,
  value: number,
  length: LengthUnit = 'mm',
): { number: string; unit: string } {
  const unit = kit.reading(id)?.unit ?? 'mm'
  const shown = shownUnit(unit, length)
  const decimals = decimalsOf(kit, id, shown)
  const number = formatNumber(value, shown, decimals)
  return { number, unit: formatQuantity(value, shown, decimals).slice(number.length).trim() }
}

/** A reading as this workshop reads it, rounded to what its instrument resolves. */
export function showReading(kit: Kit, id: string, value: number, length: LengthUnit = 'mm'): string {
  const { number, unit } = showParts(kit, id, value, length)
  return `${number} ${unit}`.trim()
}

/** A reading in words, whether it was measured or seen. */
export const showAnswer = (kit: Kit, id: string, value: number | string, length: LengthUnit = 'mm'): string =>
  typeof value === 'string' ? (kit.option(id, value)?.title ?? value) : showReading(kit, id, value, length)

/** “Left screw in ½ turn”, “Let cable out at the anchor 2.0 mm”. */
export function sayTurn(spec: AdjusterSpec, amount: number, length: LengthUnit = 'mm'): string {
  const act = amount < 0 ? spec.minus : spec.plus
  return `${act} ${showQuantity(Math.abs(amount), spec.unit, length)}`
}

/** A move as it is asked for, and as it is told: “Knob in to the first scrape on a turning wheel, then out 6 clicks”. */
export function sayMove(
  spec: AdjusterSpec,
  { amount, from }: { readonly amount: number; readonly from?: From | undefined },
  length: LengthUnit = 'mm',
): string {
  if (from && spec.contact?.say) return spec.contact.say(amount)
  const said = sayTurn(spec, amount, length)
  if (!from || from.contact === 'float') return said
  const inward = spec.contact?.inward === -1 ? spec.minus : spec.plus
  return `${inward} ${FROM_CONTACT[from.contact]}, then ${lower(said)}`
}

/** A move once it was made, as a sheet has it: “Cable let out at the anchor 2.0 mm”. */
export function sayMade(
  spec: AdjusterSpec,
  move: { readonly amount: number; readonly from?: From | undefined },
  length: LengthUnit = 'mm',
): string {
  const { contact } = spec
  return sayMove(
    { ...spec, ...spec.done, ...(contact?.done && { contact: { ...contact, say: contact.done } }) },
    move,
    length,
  )
}

/** What a turn began from. */
const FROM_CONTACT = {
  ear: 'to the first scrape on a turning wheel',
  feel: 'until it is felt on a still wheel',
} as const
