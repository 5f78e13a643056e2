import { cableAdjusters } from '../../bench/adjusters.ts'
import { withBook } from '../../bench/dimensions.ts'
import type { Family } from '../../brake/family.ts'
import { STRADDLE } from '../../features/cable/feature.ts'
import { centrePullLinkage } from '../../linkages/centre-pull.ts'
import { ok } from '../../outcome/outcome.ts'
import { wholeCaliper } from '../rim/adjusters.ts'
import { rimModel } from '../rim/assemble.ts'
import { RIM_DIMENSIONS } from '../rim/dimensions.ts'
import { rimFamily } from '../rim/family.ts'
import { length } from '../rim/parts.ts'
import { STRADDLE_FIRST } from '../rim/straddled.ts'
import { centrePullOutline } from './outline.ts'

/** Two crossed arms on a plate hung from one bolt, pulled up by a straddle cable over a yoke. */
export const centrePullFamily: Family = rimFamily('centre-bolt', {
  opens:
    'To take the wheel out, press both pads to the rim and unhook the straddle cable at one arm. Before riding, hook it in again and squeeze the lever hard: it must not come to the bar.',
  id: 'centre-pull',
  title: 'centre-pull',
  steps: [STRADDLE_FIRST],
  features: [STRADDLE],
  dimensions: [
    length('caliperReachMm', 'pivots to pad, straight down', 42, 30, 100),
    length('pivotSpacingMm', 'pivot to pivot', 46, 20, 90),
    length('cableAcrossMm', 'pivot to straddle end, across', 64, 25, 110),
    length('cableUpMm', 'pivot to straddle end, up', 42, -10, 70),
    length('straddleMm', 'straddle cable, end to end', 106, 40, 400),
    ...withBook(RIM_DIMENSIONS, { leverCableArmMm: 20, tyreWidthMm: 28, rimWidthMm: 20, brakeStiffness: 300 }),
  ],
  fit(d, here) {
    const linkage = centrePullLinkage(d as never)
    if (!linkage.ok) return linkage
    const adjusters = [...cableAdjusters(d), wholeCaliper(d.caliperReachMm as number)]
    return ok(rimModel(d, here, linkage.value, adjusters, centrePullOutline(d, linkage.value)))
  },
})
