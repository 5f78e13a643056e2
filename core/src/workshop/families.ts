import { bookDimensions, type Dimensions, type End, hereAt } from '../brake/dimension.ts'
import type { Family } from '../brake/family.ts'
import type { BrakeModel } from '../brake/model.ts'
import { cantileverFamily } from '../families/cantilever/family.ts'
import { centrePullFamily } from '../families/centre-pull/family.ts'
import { discBothMoveFamily, discFixedPadFamily, discTwoAdjustersFamily } from '../families/disc/family.ts'
import { drumFamily } from '../families/drum/family.ts'
import { dualPivotFamily } from '../families/dual-pivot/family.ts'
import { linearPullFamily } from '../families/linear-pull/family.ts'
import { singlePivotFamily } from '../families/single-pivot/family.ts'
import { type Outcome, ok } from '../outcome/outcome.ts'
import { unknownFamily } from './unknown.ts'

/** Every brake family there is. Adding one is adding a folder and a line here. */
export const FAMILIES: readonly Family[] = [
  linearPullFamily,
  cantileverFamily,
  dualPivotFamily,
  singlePivotFamily,
  centrePullFamily,
  discFixedPadFamily,
  discTwoAdjustersFamily,
  discBothMoveFamily,
  drumFamily,
]

export function findFamily(id: string): Outcome<Family> {
  const found = FAMILIES.find((family) => family.id === id)
  return found
    ? ok(found)
    : unknownFamily(
        id,
        FAMILIES.map((each) => each.id),
      )
}

/** A family's model fitted to dimensions, built as usual; for places that hold hardware already checked. */
export const fitFamily = (familyId: string, d: Dimensions, end: End = 'rear'): Outcome<BrakeModel> => {
  const family = findFamily(familyId)
  return family.ok ? family.value.fit(bookDimensions(family.value, d, end), hereAt(family.value, end)) : family
}
