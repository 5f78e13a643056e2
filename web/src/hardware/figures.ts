import type { DimensionSpec, Dimensions } from '@overhaul/core/brake/dimension'
import type { Family } from '@overhaul/core/brake/family'
import type { BrakeModel } from '@overhaul/core/brake/model'
import { type Fault, type Outcome, ok } from '@overhaul/core/outcome/outcome'
import { parseNumber } from '@overhaul/core/quantity/number'
import {
  formatNumber,
  type LengthUnit,
  parseQuantity,
  shownUnit,
  UNITS,
  type UnitId,
} from '@overhaul/core/quantity/quantity'
import { type Dimension, fitHardware, type Hardware } from '@overhaul/core/stand/hardware'
import { sayDay } from '@overhaul/core/stand/when'

const isUnit = (unit: string): unit is UnitId => unit in UNITS

/** How a figure’s unit is written in this workshop. */
export function unitWords({ unit }: DimensionSpec, length: LengthUnit): string {
  if (!isUnit(unit)) return unit
  return UNITS[shownUnit(unit, length)].symbol
}

/** A figure as this workshop reads it. */
export function showFigure({ unit }: DimensionSpec, value: number, length: LengthUnit): string {
  return isUnit(unit) ? formatNumber(value, shownUnit(unit, length)) : String(value)
}

/** A typed figure in its own unit, or why it cannot be read. */
function readFigure(spec: DimensionSpec, text: string, length: LengthUnit): Outcome<number> {
  return isUnit(spec.unit)
    ? parseQuantity(text, shownUnit(spec.unit, length), spec.title)
    : parseNumber(text, spec.title)
}

export type Typed = Readonly<Record<string, string>>

/** Every figure that was typed, in its own unit; the first that cannot be read refuses them all. */
export function readFigures(family: Family, typed: Typed, length: LengthUnit): Outcome<Dimensions> {
  const read: Record<string, number> = {}
  for (const spec of family.dimensions) {
    const text = typed[spec.id]?.trim()
    if (!text) continue
    const value = readFigure(spec, text, length)
    if (!value.ok) return value
    read[spec.id] = value.value
  }
  return ok(read)
}

/** A fault by the figure it is about; by none where it is about several. */
export function wrongWith({ dimensions }: Family, { field, message }: Fault): Readonly<Record<string, string>> {
  const spec = dimensions.find(({ id, title }) => field === title || field.split('.').includes(id))
  return spec ? { [spec.id]: message } : {}
}

/** The hardware with what is typed laid over it, as far as it can be read: the drawing follows the typing. */
export function withTyped(family: Family, hardware: Hardware, typed: Typed, length: LengthUnit): Hardware {
  const read = family.dimensions.flatMap((spec): readonly (readonly [string, Dimension])[] => {
    const text = typed[spec.id]?.trim()
    const value = text ? readFigure(spec, text, length) : undefined
    return value?.ok ? [[spec.id, { value: value.value, provenance: 'measured' }]] : []
  })
  return { ...hardware, dimensions: { ...hardware.dimensions, ...Object.fromEntries(read) } }
}

/** The brake as it would be with what is typed; as it is known where that could not brake. */
export function following(family: Family, hardware: Hardware, typed: Typed, length: LengthUnit): Outcome<BrakeModel> {
  const typedIn = fitHardware(family, withTyped(family, hardware, typed, length))
  return typedIn.ok ? typedIn : fitHardware(family, hardware)
}

/** Where a figure comes from, in few words; the book’s own sources stand in the working. */
export function provenanceOf(spec: DimensionSpec, known: Dimension | undefined): string {
  if (!known) return spec.source.kind === 'our-choice' ? 'assumed' : 'typical, from memory'
  const what = known.provenance === 'maker' ? 'maker’s figure' : 'measured'
  const when = known.since ? `, ${sayDay(known.since)}` : ''
  return `${what}${when}${known.by ? `, by ${known.by}` : ''}`
}

export interface FigureGroups {
  /** What can be pointed at on the drawing. */
  readonly shape: readonly DimensionSpec[]
  /** Other things a rule, a scale or a count tells. */
  readonly told: readonly DimensionSpec[]
  /** What is assumed until the brake shows it, and seldom measured. */
  readonly assumed: readonly DimensionSpec[]
}

/** A family’s dimensions by how they come to be known. */
export function groupsOf({ dimensions }: Family, model: BrakeModel): FigureGroups {
  const drawn = new Set(dimensions.filter(({ id }) => isDrawn(model, id)).map(({ id }) => id))
  const isAssumed = ({ unit, source }: DimensionSpec) => !isUnit(unit) || source.kind === 'our-choice'
  const others = dimensions.filter(({ id }) => !drawn.has(id))
  return {
    shape: dimensions.filter(({ id }) => drawn.has(id)),
    told: others.filter((spec) => !isAssumed(spec)),
    assumed: others.filter(isAssumed),
  }
}

const believed = ({ inputs }: BrakeModel) => Float64Array.from(inputs, ({ mean }) => mean)

/** The brake as its figures say, with the dimension in hand. */
export const frameOf = (model: BrakeModel, focus: string | undefined) =>
  model.frame(believed(model), { travelMm: 0, wheelDeg: 0, ...(focus !== undefined && { focus }) })

const isDrawn = (model: BrakeModel, id: string): boolean => frameOf(model, id).dimensions.some((each) => each.strong)
