import { BITE, rimThrowOf } from '@overhaul/core/families/rim/bite'
import type { Job } from '@overhaul/core/run-sheet/job'

/** Whether this brake bites by the gaps on both sides of a rim. */
export const bitesOnRim = ({ family, model }: Job): boolean =>
  family.schools.includes(BITE) && rimThrowOf(model) !== undefined
