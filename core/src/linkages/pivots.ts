import type { Linkage } from '../mechanics/linkage.ts'
import type { Outcome } from '../outcome/outcome.ts'
import { type SidePullDimensions, sidePullLinkage } from './side-pull.ts'

type Lengths = Readonly<Record<string, number>>

/** One arm on the mounting bolt, one on a second pivot at its side. */
export const dualPivotLinkage = (d: Lengths, cableOnRight: boolean): Outcome<Linkage> =>
  sidePullLinkage(d as unknown as SidePullDimensions, [d.secondPivotMm as number, 0], cableOnRight)

/** Both arms on the mounting bolt. */
export const singlePivotLinkage = (d: Lengths, cableOnRight: boolean): Outcome<Linkage> =>
  sidePullLinkage(d as unknown as SidePullDimensions, [0, 0], cableOnRight)
