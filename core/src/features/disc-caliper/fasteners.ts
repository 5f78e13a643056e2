import { fastener, M6 } from '../../bench/fasteners.ts'
import { MOUNT_LOOSE } from '../../bench/unsettled.ts'

export const CALIPER_BOLTS = fastener('caliper', MOUNT_LOOSE, {
  id: 'caliper bolts',
  bolt: M6,
  tool: '5 mm hex key',
  tick: 'caliper-tight',
})
