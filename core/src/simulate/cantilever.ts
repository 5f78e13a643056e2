import type { Dimensions } from '../brake/dimension.ts'
import { cantileverLinkage } from '../linkages/cantilever.ts'
import { cable, screw, spring } from './drives.ts'
import type { VirtualSpec } from './virtual-brake.ts'

/** A cantilever brake on the simulated stand. */
export const cantilever = (d: Dimensions): VirtualSpec => ({
  stiffness: 45,
  linkage: (own) => cantileverLinkage(own as never),
  scattered: { padHeightMm: 0.1, cableUpMm: 0.05 },
  adjusters: { ...cable(d), leftScrew: screw(d, 1), leftSpring: spring(d, 1), rightSpring: spring(d, -1) },
})
