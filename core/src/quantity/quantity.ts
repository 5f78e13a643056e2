import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { formatFraction, parseNumber, plainDigits } from './number.ts'

/** What is measured. Each kind has one canonical unit in which everything is kept. */
export type Kind =
  | 'length'
  | 'torque'
  | 'force'
  | 'turn'
  | 'angle'
  | 'speed'
  | 'mass'
  | 'hole'
  | 'click'
  | 'count'
  | 'none'

export interface Unit {
  readonly id: string
  readonly kind: Kind
  /** Canonical units in one of this unit. */
  readonly size: number
  readonly symbol: string
  readonly aliases: readonly string[]
}

const INCH_MM = 25.4
const FOOT_MM = 304.8
const POUND_FORCE_N = 4.4482216152605
const KILOGRAM_FORCE_N = 9.80665
const POUND_KG = 0.45359237
const MILE_KM = 1.609344

/** Sizes are exact by definition: inch 25.4 mm, foot 304.8 mm, pound-force 4.4482216152605 N, kilogram-force 9.80665 N, mile 1.609344 km, pound 0.45359237 kg. */
export const UNITS = {
  mm: { id: 'mm', kind: 'length', size: 1, symbol: 'mm', aliases: ['mm'] },
  in: { id: 'in', kind: 'length', size: INCH_MM, symbol: 'in', aliases: ['in', '"', '”', 'inch', 'inches'] },
  m: { id: 'm', kind: 'length', size: 1000, symbol: 'm', aliases: ['m', 'metres', 'meters'] },
  ft: { id: 'ft', kind: 'length', size: FOOT_MM, symbol: 'ft', aliases: ['ft', 'feet', 'foot'] },
  Nm: { id: 'Nm', kind: 'torque', size: 1, symbol: 'N·m', aliases: ['nm', 'n·m', 'n*m', 'n m'] },
  inlb: {
    id: 'inlb',
    kind: 'torque',
    size: (POUND_FORCE_N * INCH_MM) / 1000,
    symbol: 'in·lb',
    aliases: ['in·lb', 'inlb', 'in-lb', 'in*lb', 'in lb', 'in·lbf', 'inlbf'],
  },
  N: { id: 'N', kind: 'force', size: 1, symbol: 'N', aliases: ['n'] },
  kgf: { id: 'kgf', kind: 'force', size: KILOGRAM_FORCE_N, symbol: 'kgf', aliases: ['kgf', 'kp'] },
  lbf: { id: 'lbf', kind: 'force', size: POUND_FORCE_N, symbol: 'lbf', aliases: ['lbf', 'lb'] },
  turn: { id: 'turn', kind: 'turn', size: 1, symbol: 'turn', aliases: ['turn', 'turns', 't'] },
  deg: { id: 'deg', kind: 'angle', size: 1, symbol: '°', aliases: ['deg', '°', 'degrees'] },
  ms: { id: 'ms', kind: 'speed', size: 3.6, symbol: 'm/s', aliases: ['m/s', 'mps'] },
  kmh: { id: 'kmh', kind: 'speed', size: 1, symbol: 'km/h', aliases: ['km/h', 'kmh', 'kph'] },
  mph: { id: 'mph', kind: 'speed', size: MILE_KM, symbol: 'mph', aliases: ['mph'] },
  kg: { id: 'kg', kind: 'mass', size: 1, symbol: 'kg', aliases: ['kg'] },
  lbm: { id: 'lbm', kind: 'mass', size: POUND_KG, symbol: 'lb', aliases: ['lbm', 'lb'] },
  hole: { id: 'hole', kind: 'hole', size: 1, symbol: 'hole', aliases: ['hole', 'holes'] },
  click: { id: 'click', kind: 'click', size: 1, symbol: 'click', aliases: ['click', 'clicks'] },
  count: { id: 'count', kind: 'count', size: 1, symbol: '', aliases: ['times', 'x'] },
} as const satisfies Record<string, Unit>

export type UnitId = keyof typeof UNITS

/** Any unit by its id, seen through the common interface. */
export const unitOf = (id: UnitId): Unit => UNITS[id]

const LENGTH_OF_ALIAS = (unit: Unit, text: string) =>
  unit.aliases.find((alias) => text.endsWith(alias) && /[\d\s.,/½¼¾⅛⅜⅝⅞⅓⅔]$/.test(text.slice(0, -alias.length)))

/** The unit written at the end of a text, longest name first, and the text before it. */
function splitUnit(text: string, kind: Kind): { rest: string; unit: Unit | undefined } {
  const lower = text.trim().toLowerCase()
  const found = Object.values(UNITS)
    .flatMap((unit: Unit) => {
      const alias = LENGTH_OF_ALIAS(unit, lower)
      return alias ? [{ unit, alias }] : []
    })
    .sort((a, b) => b.alias.length - a.alias.length || Number(b.unit.kind === kind) - Number(a.unit.kind === kind))[0]
  return found
    ? { rest: text.trim().slice(0, -found.alias.length).trim(), unit: found.unit }
    : { rest: text.trim(), unit: undefined }
}

/**
 * A measured amount as typed, in canonical units: `1.4`, `1.4 mm`, `5/16in`, `44 in·lb`.
 * A bare number is taken in `fallback`. Refuses a unit of another kind, naming what is accepted.
 */
export function parseQuantity(text: string, fallback: UnitId, field = 'value'): Outcome<number> {
  const kind = UNITS[fallback].kind
  const { rest, unit = unitOf(fallback) } = splitUnit(plainDigits(text), kind)
  if (unit.kind !== kind) {
    const accepted = Object.values(UNITS).filter((each) => each.kind === kind)
    return refuse(
      'wrong-unit',
      field,
      `“${text}” is in ${unit.symbol}. Accepted here: ${accepted.map((each) => each.symbol || each.id).join(', ')}.`,
    )
  }
  const number = parseNumber(rest, field)
  return number.ok ? ok(Number((number.value * unit.size).toPrecision(12))) : number
}

export type LengthUnit = 'mm' | 'in'

/** Decimals that a bench tool can resolve: 0.1 mm, 0.005 in written with three. */
const DECIMALS: Record<UnitId, number> = {
  mm: 1,
  in: 3,
  m: 1,
  ft: 1,
  Nm: 1,
  inlb: 0,
  N: 0,
  kgf: 1,
  lbf: 0,
  turn: 2,
  deg: 0,
  ms: 1,
  kmh: 1,
  mph: 1,
  kg: 0,
  lbm: 0,
  hole: 0,
  click: 0,
  count: 0,
}

/** The number alone, rounded to what a hand can measure in that unit. `value` is canonical. */
export function formatNumber(value: number, unit: UnitId, decimals = DECIMALS[unit]): string {
  if (unit === 'turn') return formatFraction(value)
  const shown = (value / UNITS[unit].size).toFixed(decimals)
  return Number(shown) === 0 ? shown.replace('-', '') : shown.replace('-', '−')
}

/** Number and unit, ready to read. `value` is canonical. */
export function formatQuantity(value: number, unit: UnitId, decimals?: number): string {
  const number = formatNumber(value, unit, decimals)
  if (unit === 'turn') return `${number} ${Math.abs(value) > 1.001 ? 'turns' : 'turn'}`
  if (unit === 'hole' || unit === 'click') return `${number} ${unit}${Math.abs(value) > 1 ? 's' : ''}`
  if (unit === 'deg') return `${number}°`
  return `${number} ${UNITS[unit].symbol}`.trim()
}

/** Millimetres as this workshop counts lengths: for axes and fields that name their unit themselves. */
export const lengthOf = (mm: number, length: LengthUnit): number => mm / UNITS[length].size
export const mmOf = (value: number, length: LengthUnit): number => value * UNITS[length].size

const IN_INCH_SHOPS: Partial<Record<UnitId, UnitId>> = { Nm: 'inlb', kg: 'lbm' }

/** The unit a canonical quantity is shown in, for a workshop that reads millimetres or inches. */
export const shownUnit = (canonical: UnitId, length: LengthUnit): UnitId =>
  canonical === 'mm' ? length : length === 'in' ? (IN_INCH_SHOPS[canonical] ?? canonical) : canonical
