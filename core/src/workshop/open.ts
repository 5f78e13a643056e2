import { findFamily } from './families.ts'
import { openerOf } from './opener.ts'

/** Opens brakes of every family there is. */
export const { openStand, openJob, admitAll, checkHardware, hardwareAfter } = openerOf(findFamily)
