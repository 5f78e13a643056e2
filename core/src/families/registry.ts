import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { cantileverFamily } from './cantilever/family.ts'
import { centrePullFamily } from './centre-pull/family.ts'
import { dualPivotFamily } from './dual-pivot/family.ts'
import type { DimensionSpec, Dimensions, End, Family, FamilyModel, Here } from './family.ts'
import { linearPullFamily } from './linear-pull/family.ts'
import { singlePivotFamily } from './single-pivot/family.ts'

/** Every brake family there is. Adding one is adding a folder and a line here. */
export const FAMILIES: readonly Family[] = [
  linearPullFamily,
  cantileverFamily,
  dualPivotFamily,
  singlePivotFamily,
  centrePullFamily,
]

export function findFamily(id: string): Outcome<Family> {
  const found = FAMILIES.find((family) => family.id === id)
  return found
    ? ok(found)
    : refuse(
        'unknown-family',
        'family',
        `There is no brake family “${id}”. Accepted: ${FAMILIES.map((each) => each.id).join(', ')}.`,
      )
}

/** The book figure of a dimension at this end of a bicycle. */
export const bookOf = (spec: DimensionSpec, end: End): number =>
  end === 'front' ? (spec.bookFront ?? spec.book) : spec.book

/** The family's book dimensions at this end with what was measured laid over them. */
export function bookDimensions(family: Family, measured: Dimensions = {}, end: End = 'rear'): Dimensions {
  const book = Object.fromEntries(family.dimensions.map((spec) => [spec.id, bookOf(spec, end)]))
  return { ...book, ...measured }
}

/** Where a brake of this family hangs, built as usual at that end, with what was seen of it laid over. */
export const hereAt = (family: Family, end: End, seen: Readonly<Record<string, string>> = {}): Here => ({
  end,
  traits: { ...Object.fromEntries(family.traits.map((each) => [each.id, each.usual(end)])), ...seen },
})

/** A family's model fitted to dimensions, built as usual; for places that hold hardware already checked. */
export const fitFamily = (familyId: string, d: Dimensions, end: End = 'rear'): Outcome<FamilyModel> => {
  const family = findFamily(familyId)
  return family.ok ? family.value.fit(bookDimensions(family.value, d, end), hereAt(family.value, end)) : family
}
