import { SQUEEZES } from '../brake/acts.ts'
import type { AdjusterSpec, From } from '../brake/adjuster.ts'
import { adjustersOf, type Kit } from '../brake/kit.ts'
import type { BrakeModel } from '../brake/model.ts'
import { formatNumber, formatQuantity, type LengthUnit, shownUnit, type UnitId } from '../quantity/quantity.ts'
import { showMoney } from './costs.ts'
import type { Entry, EntryBody } from './entries.ts'
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
  const said = sayTurn(spec, amount, length)
  if (!from) return said
  const inward = spec.contact && spec.contact.inward < 0 ? spec.minus : spec.plus
  return `${inward} ${FROM_CONTACT[from.contact]}, then ${lower(said)}`
}

/** What a turn began from. */
const FROM_CONTACT = {
  ear: 'to the first scrape on a turning wheel',
  feel: 'until it is felt on a still wheel',
} as const

/** “Bracket and spacers: on a bracket”. */
function planTitle({ family }: Kit, { plan, to }: EntryBody & { kind: 'plan' }): string {
  const spec = family.plans.find(({ id }) => id === plan)
  return `${spec?.title ?? plan}: ${spec?.ways.find(({ id }) => id === to)?.title ?? to}`
}

export interface Naming {
  readonly kit: Kit
  readonly model: BrakeModel
  readonly length?: LengthUnit
  /** The entry a correction strikes, if it is at hand. */
  readonly find?: (id: string) => Entry | undefined
}

/** One entry in the words of the bench; the same for the tape's echo, the log and the sheet. */
export function describe(entry: EntryBody, naming: Naming): string {
  const { kit, model, length = 'mm', find } = naming
  const { stepTitle } = kit
  switch (entry.kind) {
    case 'reading': {
      const told = kit.option(entry.reading, entry.value)?.told
      return told ?? `${kit.title(entry.reading)} ${showAnswer(kit, entry.reading, entry.value, length)}`
    }
    case 'turn': {
      const spec = adjustersOf(kit, model).find((each) => each.id === entry.adjuster)
      const said = spec ? sayMove(spec, entry, length) : `${entry.adjuster} ${entry.amount}`
      return lower(said) + (entry.endReached ? ', to its end' : '')
    }
    case 'confirm':
      if (entry.step === SQUEEZES) return `squeezed ${entry.count ?? 10} times`
      if (kit.act(entry.step)) return stepTitle(entry.step)
      return `${stepTitle(entry.step)}: ${entry.well === false ? 'no' : 'yes'}`
    case 'skip':
      return `skipped ${stepTitle(entry.step)}: ${entry.reason}`
    case 'swap': {
      const school = kit.schoolAt(entry.part)
      if (!school) return `${entry.part} replaced: ${entry.to}`
      const [word = '', amount] = entry.to.split(' ')
      const option = school.options.find((each) => each.id === word)
      return option?.amount || amount
        ? `${school.title} school ${entry.to}`
        : `${school.title}: ${option?.title ?? entry.to}`
    }
    case 'plan':
      return `${planTitle(kit, entry)}${entry.parts.length > 0 ? ` with ${entry.parts.map(({ count, name }) => (count > 1 ? `${count} × ${name}` : name)).join(', ')}` : ''}`
    case 'route':
      return `cable’s way: ${entry.segments.length} pieces, ${showQuantity(
        entry.segments.reduce((sum, each) => sum + each.lengthMm, 0),
        'mm',
        length,
      )}`
    case 'torque':
      return `${entry.fastener} tightened to ${showQuantity(entry.valueNm, 'Nm', length)}${entry.instrument ? `, ${entry.instrument}` : ''}`
    case 'figure':
      return `maker’s figure of the ${entry.fastener}: ${showQuantity(entry.lowNm, 'Nm', length)}${entry.highNm === entry.lowNm ? '' : ` to ${showQuantity(entry.highNm, 'Nm', length)}`}`
    case 'run':
      return [
        `stop ${entry.phase} the work, ${entry.direction}: ${showSpeed(entry.speedKmh, length)} in ${showWay(entry.distanceM, length)}`,
        ...(entry.reactionS === undefined ? [] : [`reaction of ${entry.reactionS} s inside`]),
        ...(entry.surface === 'wet' ? ['wet'] : []),
        ...(entry.loadKg === undefined ? [] : [showQuantity(entry.loadKg, 'kg', length)]),
        ...(entry.instrument ? [entry.instrument] : []),
      ].join(', ')
    case 'estimate':
      return `estimate: ${entry.minutes} min, ${showMoney(entry.cost, entry.currency)}`
    case 'spent':
      return [
        `spent: ${entry.minutes} min, ${showMoney(entry.labour, entry.currency)}`,
        ...entry.parts.map(({ name, count, price }) => `${count} × ${name} at ${showMoney(price, entry.currency)}`),
      ].join('; ')
    case 'correction': {
      const struck = find?.(entry.strikes)
      return `struck${struck ? `: ${describe(struck, naming)}` : ''}${entry.why ? ` (${entry.why})` : ''}`
    }
    case 'note':
      return entry.text
    case 'release':
      return `released by ${entry.initials}${entry.lookAgain ? `, look again by ${entry.lookAgain}` : ''}`
    case 'close':
      return `closed by ${entry.initials}, not to be ridden: ${entry.why}`
  }
}
