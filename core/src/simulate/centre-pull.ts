import type { Dimensions } from '../brake/dimension.ts'
import { centrePullLinkage } from '../linkages/centre-pull.ts'
import { cable, turnedOnBolt } from './drives.ts'
import type { VirtualSpec } from './virtual-brake.ts'

/** A centre-pull brake on the simulated stand. */
export const centrePull = (d: Dimensions): VirtualSpec => ({
  stiffness: 45,
  linkage: (own) => centrePullLinkage(own as never),
  scattered: { cableAcrossMm: 0.05, straddleMm: 0.01 },
  adjusters: { ...cable(d), caliper: turnedOnBolt(d) },
})
