import { type Outcome, ok } from '../../outcome/outcome.ts'
import type { DimensionSpec, Dimensions, Family, FamilyModel, Here } from '../family.ts'
import { cableAdjusters, SPRING_DIMENSIONS, springHole, springScrew } from '../rim/adjusters.ts'
import { rimModel } from '../rim/assemble.ts'
import { RIM_DIMENSIONS } from '../rim/dimensions.ts'
import { length } from '../rim/parts.ts'
import { linearPullLinkage } from './geometry.ts'
import { linearPullOutline } from './outline.ts'

const ARM_DIMENSIONS: readonly DimensionSpec[] = [
  length('pivotSpacingMm', 'boss spacing', 80, 50, 120),
  length('armMm', 'boss to cable point', 105, 70, 140),
  length('padHeightMm', 'boss to pad, along the arm', 28, 12, 60),
  length('padStandoffMm', 'boss to pad face, square to the arm', 28, 5, 50),
]

function fit(d: Dimensions, { end }: Here): Outcome<FamilyModel> {
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

export const linearPullFamily: Family = {
  id: 'linear-pull',
  title: 'linear-pull',
  mount: 'boss',
  track: 'rim',
  dimensions: [...ARM_DIMENSIONS, ...SPRING_DIMENSIONS, ...RIM_DIMENSIONS],
  traits: [],
  fit,
}
