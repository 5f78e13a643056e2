import type { Dimensions, Here } from '../brake/dimension.ts'
import { cantilever } from './cantilever.ts'
import { centrePull } from './centre-pull.ts'
import { dualPivot } from './dual-pivot.ts'
import { linearPull } from './linear-pull.ts'
import { singlePivot } from './single-pivot.ts'
import type { VirtualSpec } from './virtual-brake.ts'

/** How each family hangs on the simulated stand. */
export const VIRTUAL: Readonly<Record<string, (d: Dimensions, here: Here) => VirtualSpec>> = {
  'linear-pull': linearPull,
  cantilever,
  'dual-pivot': dualPivot,
  'single-pivot': singlePivot,
  'centre-pull': centrePull,
}
