import type { Dimensions, Here } from '../brake/dimension.ts'
import { singlePivotLinkage } from '../linkages/pivots.ts'
import { cable, turnedOnBolt } from './drives.ts'
import type { VirtualSpec } from './virtual-brake.ts'

/** A single-pivot brake on the simulated stand. */
export const singlePivot = (d: Dimensions, here: Here): VirtualSpec => ({
  stiffness: 45,
  linkage: (own) => singlePivotLinkage(own, here.traits.cableSide === 'right'),
  scattered: { cableOffsetMm: 0.1 },
  adjusters: { ...cable(d), caliper: turnedOnBolt(d) },
})
