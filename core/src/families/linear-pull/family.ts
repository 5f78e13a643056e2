import { cableAdjusters } from '../../bench/adjusters.ts'
import type { DimensionSpec, Dimensions, Here } from '../../brake/dimension.ts'
import type { Family } from '../../brake/family.ts'
import type { BrakeModel } from '../../brake/model.ts'
import { wholeSheet } from '../../brake/step.ts'
import { linearPull } from '../../calculations/linear-pull.ts'
import { linearPullLinkage } from '../../linkages/linear-pull.ts'
import { type Outcome, ok } from '../../outcome/outcome.ts'
import { SPRING_DIMENSIONS, springHole, springScrew } from '../rim/adjusters.ts'
import { rimModel } from '../rim/assemble.ts'
import { RIM_DIMENSIONS } from '../rim/dimensions.ts'
import { rimFamily } from '../rim/family.ts'
import { length } from '../rim/parts.ts'
import { SCREW_READINGS } from '../rim/readings/dial.ts'
import { linearPullOutline } from './outline.ts'
import { GUIDE_BOOT } from './readings.ts'

const ARM_DIMENSIONS: readonly DimensionSpec[] = [
  length('pivotSpacingMm', 'boss spacing', 80, 50, 120),
  length('armMm', 'boss to cable point', 105, 70, 140),
  length('padHeightMm', 'boss to pad, along the arm', 28, 12, 60),
  length('padStandoffMm', 'boss to pad face, square to the arm', 28, 5, 50),
]

function fit(d: Dimensions, { end }: Here): Outcome<BrakeModel> {
  const linkage = linearPullLinkage(d as never)
  if (!linkage.ok) return linkage
  const adjusters = [
    ...cableAdjusters(d),
    springScrew('left', d),
    springScrew('right', d),
    springHole('left', d),
    springHole('right', d),
  ]
  return ok(rimModel(d, end, linkage.value, adjusters, linearPullOutline(d, linkage.value)))
}

const SHAPE = ['pivotSpacingMm', 'armMm', 'padHeightMm', 'padStandoffMm', 'rimWidthMm'] as const

export const linearPullFamily: Family = rimFamily('boss', {
  opens:
    'To take the wheel out, press both arms to the rim and unhook the guide pipe. Before riding, hook it in again, boot over its end, and squeeze the lever hard: it must not come to the bar.',
  id: 'linear-pull',
  title: 'linear-pull',
  dimensions: [...ARM_DIMENSIONS, ...SPRING_DIMENSIONS, ...RIM_DIMENSIONS],
  readings: [SCREW_READINGS.left, SCREW_READINGS.right],
  seen: [GUIDE_BOOT],
  steps: [
    {
      id: 'guide-boot',
      station: 'match',
      title: 'guide pipe with its boot',
      say: 'Look at the guide pipe: its boot on, the pipe in its slot?',
      why: 'Without its boot the pipe works out of its slot, and the brake is dead.',
      cautions: [],
      done: { kind: 'in-window', readings: ['guideBoot'] },
      when: wholeSheet,
    },
  ],
  standsOn: { 'reading:guideBoot': ['swap:brake', 'swap:cable'] },
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
