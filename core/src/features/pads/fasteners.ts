import { fastener, M6 } from '../../bench/fasteners.ts'
import { SHOES_LOOSE } from '../../bench/unsettled.ts'
import type { FastenerSpec } from '../../brake/fastener.ts'

const pad = (side: 'left' | 'right') =>
  fastener('rim-pad', SHOES_LOOSE, {
    id: `${side} pad`,
    bolt: M6,
    tool: '10 mm spanner or 5 mm hex key',
    tick: 'pads-tight',
  })

export const PAD_NUTS: readonly FastenerSpec[] = [pad('left'), pad('right')]
