import type { AdjusterSpec, FamilyModel } from '../families/family.ts'
import { formatNumber, formatQuantity, type LengthUnit, shownUnit, type UnitId } from '../quantity/quantity.ts'
import { choiceOfPart } from './choices.ts'
import type { Entry, EntryBody } from './entries.ts'
import { FIRST_TOUCH, findOption, findReading, findSeen, readingTitle } from './readings.ts'

/** A value with its unit, as this workshop reads it. `unit` is the canonical one. */
export function showQuantity(value: number, unit: UnitId, length: LengthUnit = 'mm'): string {
  return formatQuantity(value, shownUnit(unit, length))
}

/** Decimals worth showing: none where the instrument reads to the millimetre. */
const decimalsOf = (id: string, shown: UnitId): number | undefined =>
  (findReading(id)?.sd ?? 0) >= 1 ? (shown === 'in' ? 2 : 0) : undefined

/** A reading's number and unit apart, for a screen that sets them in different sizes. */
export function showParts(id: string, value: number, length: LengthUnit = 'mm'): { number: string; unit: string } {
  const unit = findReading(id)?.unit ?? 'mm'
  const shown = shownUnit(unit, length)
  const decimals = decimalsOf(id, shown)
  const number = formatNumber(value, shown, decimals)
  return { number, unit: formatQuantity(value, shown, decimals).slice(number.length).trim() }
}

/** A reading as this workshop reads it, rounded to what its instrument resolves. */
export function showReading(id: string, value: number, length: LengthUnit = 'mm'): string {
  const { number, unit } = showParts(id, value, length)
  return `${number} ${unit}`.trim()
}

/** A reading in words, whether it was measured or seen. */
export const showAnswer = (id: string, value: number | string, length: LengthUnit = 'mm'): string =>
  findSeen(id) ? (findOption(id, value)?.title ?? String(value)) : showReading(id, Number(value), length)

/** “Left screw in ½ turn”, “Let cable out at the anchor 2.0 mm”. */
export function sayTurn(spec: AdjusterSpec, amount: number, length: LengthUnit = 'mm'): string {
  const act = amount < 0 ? spec.minus : spec.plus
  return `${act} ${showQuantity(Math.abs(amount), spec.unit, length)}`
}

export interface Naming {
  readonly model: FamilyModel
  readonly length?: LengthUnit
  /** Titles of run-sheet steps, which the stand does not know. */
  readonly stepTitle: (id: string) => string
  /** The entry a correction strikes, if it is at hand. */
  readonly find?: (id: string) => Entry | undefined
}

/** One entry in the words of the bench; the same for the tape's echo, the log and the sheet. */
export function describe(entry: EntryBody, naming: Naming): string {
  const { model, length = 'mm', stepTitle, find } = naming
  switch (entry.kind) {
    case 'reading': {
      if (entry.reading === FIRST_TOUCH.id)
        return entry.value === 'both' ? 'both touch together' : `${entry.value} touches first`
      return `${readingTitle(entry.reading)} ${showAnswer(entry.reading, entry.value, length)}`
    }
    case 'turn': {
      const spec = model.adjusters.find((each) => each.id === entry.adjuster)
      const said = spec ? sayTurn(spec, entry.amount, length) : `${entry.adjuster} ${entry.amount}`
      return lowerFirst(said) + (entry.endReached ? ', to its end' : '')
    }
    case 'confirm':
      if (entry.step === 'squeezes') return `squeezed ${entry.count ?? 10} times`
      if (entry.step.endsWith('-loosened')) return stepTitle(entry.step)
      return `${stepTitle(entry.step)}: ${entry.well === false ? 'no' : 'yes'}`
    case 'skip':
      return `skipped ${stepTitle(entry.step)}: ${entry.reason}`
    case 'swap': {
      const choice = choiceOfPart(entry.part)
      if (choice) return `${choice.title}: ${choice.options.find((each) => each.id === entry.to)?.title ?? entry.to}`
      return entry.part === 'school.bite' ? `bite school ${entry.to}` : `${entry.part} replaced: ${entry.to}`
    }
    case 'plan':
      return `${entry.plan}: way ${entry.to}${entry.parts.length > 0 ? ` with ${entry.parts.map(({ count, name }) => (count > 1 ? `${count} × ${name}` : name)).join(', ')}` : ''}`
    case 'route':
      return `cable’s way: ${entry.segments.length} pieces, ${showQuantity(
        entry.segments.reduce((sum, each) => sum + each.lengthMm, 0),
        'mm',
        length,
      )}`
    case 'torque':
      return `${entry.fastener} tightened to ${showQuantity(entry.valueNm, 'Nm', length)}`
    case 'correction': {
      const struck = find?.(entry.strikes)
      return `struck${struck ? `: ${describe(struck, naming)}` : ''}${entry.why ? ` (${entry.why})` : ''}`
    }
    case 'note':
      return entry.text
    case 'release':
      return `released by ${entry.initials}`
    case 'close':
      return `closed by ${entry.initials}, not to be ridden: ${entry.why}`
  }
}

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
