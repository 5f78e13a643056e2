import { cableAdjusters } from '../../bench/adjusters.ts'
import { withBook } from '../../bench/dimensions.ts'
import type { Family } from '../../brake/family.ts'
import { cantilever } from '../../calculations/families.ts'
import { STRADDLE } from '../../features/cable/feature.ts'
import { SCREW_READINGS } from '../../features/rim-dial/readings.ts'
import { cantileverLinkage } from '../../linkages/cantilever.ts'
import { ok } from '../../outcome/outcome.ts'
import { SPRING_DIMENSIONS, springHole, springScrew } from '../rim/adjusters.ts'
import { rimModel } from '../rim/assemble.ts'
import { RIM_DIMENSIONS } from '../rim/dimensions.ts'
import { rimFamily } from '../rim/family.ts'
import { length } from '../rim/parts.ts'
import { STRADDLE_FIRST } from '../rim/straddled.ts'
import { cantileverOutline } from './outline.ts'

const SHAPE = ['pivotSpacingMm', 'cableOutMm', 'cableUpMm', 'padHeightMm', 'straddleMm', 'rimWidthMm'] as const

/** Arms on bosses, pulled up by a straddle cable over a yoke; one centring screw, on the left arm. */
export const cantileverFamily: Family = rimFamily('boss', {
  opens:
    'To take the wheel out, press both pads to the rim and unhook the straddle cable at one arm. Before riding, hook it in again and squeeze the lever hard: it must not come to the bar.',
  id: 'cantilever',
  title: 'cantilever',
  dimensions: [
    length('pivotSpacingMm', 'boss spacing', 80, 50, 120),
    length('cableOutMm', 'boss to straddle end, outward', 16, -25, 60),
    length('cableUpMm', 'boss to straddle end, up', 48, 5, 90),
    length('padHeightMm', 'boss to pad, up', 28, 12, 60),
    length('straddleMm', 'straddle cable, end to end', 136, 60, 400),
    ...SPRING_DIMENSIONS,
    ...withBook(RIM_DIMENSIONS, { leverCableArmMm: 20, brakeStiffness: 200 }),
  ],
  readings: [SCREW_READINGS.left],
  steps: [STRADDLE_FIRST],
  features: [STRADDLE],
  worked({ dimensions: d }) {
    const [spacing, out, up, height, straddleLengthMm, rim] = SHAPE.map((id) => d[id] as number) as [
      number,
      number,
      number,
      number,
      number,
      number,
    ]
    return {
      dimensions: SHAPE,
      worked: cantilever.work({
        pivotSpacingMm: spacing,
        cablePoint: [-out, up],
        padFace: [(spacing - rim) / 2, height],
        straddleLengthMm,
      }),
    }
  },
  fit(d, here) {
    const linkage = cantileverLinkage(d as never)
    if (!linkage.ok) return linkage
    const adjusters = [...cableAdjusters(d), springScrew('left', d), springHole('left', d), springHole('right', d)]
    return ok(rimModel(d, here, linkage.value, adjusters, cantileverOutline(d, linkage.value)))
  },
})
