import type { Dimensions } from '../brake/dimension.ts'
import { linearPullLinkage } from '../linkages/linear-pull.ts'
import { cable, screw, spring } from './drives.ts'
import type { VirtualSpec } from './virtual-brake.ts'

/** A linear-pull brake on the simulated stand. */
export const linearPull = (d: Dimensions): VirtualSpec => ({
  linkage: (own) => linearPullLinkage(own as never),
  scattered: { padHeightMm: 0.1, armMm: 0.03 },
  adjusters: {
    ...cable(d),
    leftScrew: screw(d, 1),
    rightScrew: screw(d, -1),
    leftSpring: spring(d, 1),
    rightSpring: spring(d, -1),
  },
})
