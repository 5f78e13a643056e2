import type { Dimensions, Here } from '../brake/dimension.ts'
import { dualPivotLinkage } from '../linkages/pivots.ts'
import { cable, screw, turnedOnBolt } from './drives.ts'
import type { VirtualSpec } from './virtual-brake.ts'

/** A dual-pivot brake on the simulated stand. */
export const dualPivot = (d: Dimensions, here: Here): VirtualSpec => ({
  stiffness: 45,
  linkage: (own) => dualPivotLinkage(own, here.traits.cableSide === 'right'),
  scattered: { cableOffsetMm: 0.08, secondPivotMm: 0.05 },
  adjusters: {
    ...cable(d),
    centringScrew: {
      ...screw(d, 1),
      perUnit: (2 * (d.screwPitchMm as number)) / (d.screwRadiusMm as number),
      eitherWay: true,
    },
    caliper: turnedOnBolt(d),
  },
})
