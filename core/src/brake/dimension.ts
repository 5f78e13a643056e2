import type { Source } from '../calculation/source.ts'
import type { UnitId } from '../quantity/quantity.ts'

/** A dimension of the hardware: measured on this bicycle, or the book figure until it is. */
export interface DimensionSpec {
  readonly id: string
  readonly title: string
  readonly unit: UnitId | 'N/mm' | 'GPa' | 'mm²' | ''
  readonly book: number
  /** Where a front brake’s usual figure is another: its cable is half as long. */
  readonly bookFront?: number
  readonly min: number
  readonly max: number
  readonly source: Source
}

/** The range of a dimension, for a reading of the same thing: what is measured is never dropped for being out of it. */
export function rangeOf(specs: readonly DimensionSpec[], id: string): readonly [number, number] {
  const spec = specs.find((each) => each.id === id)
  if (!spec) throw new Error(`There is no dimension “${id}”.`)
  return [spec.min, spec.max]
}

export type Dimensions = Readonly<Record<string, number>>

export type End = 'front' | 'rear'

/** Hardware that is no number: one of a few answers, usual ones until somebody has looked. */
export interface TraitSpec {
  readonly id: string
  readonly title: string
  readonly options: readonly { readonly id: string; readonly title: string }[]
  readonly usual: (end: End) => string
  readonly source: Source
}

/** Where a brake hangs and how it was built, beside its dimensions. */
export interface Here {
  readonly end: End
  readonly traits: Readonly<Record<string, string>>
}

/** What has book figures and traits: a family. */
interface Dimensioned {
  readonly dimensions: readonly DimensionSpec[]
  readonly traits: readonly TraitSpec[]
}

/** The book figure of a dimension at this end of a bicycle. */
export const bookOf = (spec: DimensionSpec, end: End): number =>
  end === 'front' ? (spec.bookFront ?? spec.book) : spec.book

/** The family's book dimensions at this end with what was measured laid over them. */
export function bookDimensions(family: Dimensioned, measured: Dimensions = {}, end: End = 'rear'): Dimensions {
  const book = Object.fromEntries(family.dimensions.map((spec) => [spec.id, bookOf(spec, end)]))
  return { ...book, ...measured }
}

/** Where a brake of this family hangs, built as usual at that end, with what was seen of it laid over. */
export const hereAt = (family: Dimensioned, end: End, seen: Readonly<Record<string, string>> = {}): Here => ({
  end,
  traits: { ...Object.fromEntries(family.traits.map((each) => [each.id, each.usual(end)])), ...seen },
})
