import { cableAdjusters } from '../../bench/adjusters.ts'
import { retold } from '../../bench/steps.ts'
import type { DimensionSpec, Dimensions, Here } from '../../brake/dimension.ts'
import type { Family } from '../../brake/family.ts'
import type { BrakeModel } from '../../brake/model.ts'
import { linearPull } from '../../calculations/linear-pull.ts'
import { GUIDE } from '../../features/guide-pipe/feature.ts'
import { SCREW_READINGS } from '../../features/rim-dial/readings.ts'
import { UPRIGHT_ARMS } from '../../features/upright-arms/feature.ts'
import { linearPullLinkage } from '../../linkages/linear-pull.ts'
import { type Outcome, ok } from '../../outcome/outcome.ts'
import { SPRING_DIMENSIONS, springHole, springScrew } from '../rim/adjusters.ts'
import { rimModel } from '../rim/assemble.ts'
import { RIM_DIMENSIONS } from '../rim/dimensions.ts'
import { rimFamily } from '../rim/family.ts'
import { length } from '../rim/parts.ts'
import { linearPullOutline } from './outline.ts'

const ARM_DIMENSIONS: readonly DimensionSpec[] = [
  length('pivotSpacingMm', 'boss spacing', 80, 50, 120),
  length('armMm', 'boss to cable point', 105, 70, 140),
  length('padHeightMm', 'boss to pad, along the arm', 28, 12, 60),
  length('padStandoffMm', 'boss to pad face, square to the arm', 28, 5, 50),
]

function fit(d: Dimensions, here: Here): Outcome<BrakeModel> {
  const linkage = linearPullLinkage(d as never)
  if (!linkage.ok) return linkage
  const adjusters = [
    ...cableAdjusters(d),
    springScrew('left', d),
    springScrew('right', d),
    springHole('left', d),
    springHole('right', d),
  ]
  return ok(rimModel(d, here, linkage.value, adjusters, linearPullOutline(d, linkage.value)))
}

const SHAPE = ['pivotSpacingMm', 'armMm', 'padHeightMm', 'padStandoffMm', 'rimWidthMm'] as const

export const linearPullFamily: Family = rimFamily('boss', {
  opens:
    'To take the wheel out, press both arms to the rim and unhook the guide pipe. Before riding, hook it in again, boot over its end, and squeeze the lever hard: it must not come to the bar.',
  id: 'linear-pull',
  title: 'linear-pull',
  dimensions: [...ARM_DIMENSIONS, ...SPRING_DIMENSIONS, ...RIM_DIMENSIONS],
  readings: [SCREW_READINGS.left, SCREW_READINGS.right],
  features: [GUIDE, UPRIGHT_ARMS],
  steps: [
    retold('dead-first', {
      title: 'guide pipe hooked',
      say: 'First hook the guide pipe, and look at the cable’s head.',
      done: {
        well: 'Hooked',
        remedy:
          'See what holds it open: a guide pipe worn out of its slot, a cable’s head out of its pocket. Put that right first.',
      },
    }),
    retold('untouched', {
      title: 'mounting bolts, pivots, anchor and guide pipe',
      more: 'The guide pipe hooked; nothing cracked where it hangs.',
      why: 'A dead brake is often just an unhooked guide pipe; a loose bolt undoes every setting.',
    }),
  ],
  worked({ dimensions: d, number }) {
    return {
      dimensions: SHAPE,
      worked: linearPull.work({
        ...Object.fromEntries(SHAPE.map((id) => [id, d[id]])),
        gapLeftMm: number('gapLeft') ?? 1,
        gapRightMm: number('gapRight') ?? 1,
      }),
    }
  },
  fit,
})
