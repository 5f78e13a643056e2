import { cableAdjusters } from '../../bench/adjusters.ts'
import { withBook } from '../../bench/dimensions.ts'
import type { Family } from '../../brake/family.ts'
import { singlePivotLinkage } from '../../linkages/pivots.ts'
import { ok } from '../../outcome/outcome.ts'
import { wholeCaliper } from '../rim/adjusters.ts'
import { rimModel } from '../rim/assemble.ts'
import { RIM_DIMENSIONS } from '../rim/dimensions.ts'
import { length } from '../rim/parts.ts'
import { cableOnRight, sidePullFamily, sidePullOutline } from '../rim/side-pull.ts'

/** Both arms on the mounting bolt; centred by turning the whole caliper on it. */
export const singlePivotFamily: Family = sidePullFamily({
  id: 'single-pivot',
  title: 'single-pivot',
  dimensions: [
    length('caliperReachMm', 'mounting bolt to pad', 50, 30, 100),
    length('cableOffsetMm', 'mounting bolt to cable, sideways', 67, 20, 90),
    length('barrelHeightMm', 'barrel’s end above the bolt', 32, 5, 70),
    length('anchorHeightMm', 'anchor above the bolt', 8, -30, 50),
    ...withBook(RIM_DIMENSIONS, { leverCableArmMm: 20, tyreWidthMm: 28, rimWidthMm: 20, brakeStiffness: 250 }),
  ],
  fit(d, here) {
    const linkage = singlePivotLinkage(d, cableOnRight(here))
    if (!linkage.ok) return linkage
    const outline = sidePullOutline(d, linkage.value, here, [], { caliper: [0, 0] })
    return ok(
      rimModel(d, here, linkage.value, [...cableAdjusters(d), wholeCaliper(d.caliperReachMm as number)], outline),
    )
  },
})
