import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { cantileverFamily } from './cantilever/family.ts'
import { centrePullFamily } from './centre-pull/family.ts'
import { dualPivotFamily } from './dual-pivot/family.ts'
import type { Dimensions, Family, FamilyModel } from './family.ts'
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

/** The family's book dimensions with what was measured laid over them. */
export function bookDimensions(family: Family, measured: Dimensions = {}): Dimensions {
  const book = Object.fromEntries(family.dimensions.map((spec) => [spec.id, spec.book]))
  return { ...book, ...measured }
}

/** A family's model fitted to dimensions; for places that hold hardware already checked. */
export const fitFamily = (familyId: string, d: Dimensions): Outcome<FamilyModel> => {
  const family = findFamily(familyId)
  return family.ok ? family.value.fit(bookDimensions(family.value, d)) : family
}
