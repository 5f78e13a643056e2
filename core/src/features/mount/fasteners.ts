import { fastener, M6 } from '../../bench/fasteners.ts'
import { MOUNT_LOOSE } from '../../bench/unsettled.ts'
import type { FastenerSpec } from '../../brake/fastener.ts'

const bossBolt = (side: 'left' | 'right') =>
  fastener('boss', [...MOUNT_LOOSE, 'swap:brake'], { id: `${side} boss bolt`, bolt: M6, tool: '5 mm hex key' })

export const BOSS_BOLTS: readonly FastenerSpec[] = [bossBolt('left'), bossBolt('right')]

export const CENTRE_BOLT: readonly FastenerSpec[] = [
  fastener('centre-bolt', [...MOUNT_LOOSE, 'swap:brake'], {
    id: 'mounting bolt',
    bolt: M6,
    tool: '10 mm spanner or 5 mm hex key',
  }),
  // Side-pull and centre-pull arms turn on a bolt whose nut is locked by another, or on one that is locked in its thread.
  fastener('makers-own', ['swap:brake'], {
    id: 'pivot nut',
    title: 'pivot’s lock nut or bolt',
    tool: 'two thin spanners, 10 mm is usual',
    tick: 'pivot-play',
    rule: 'locked against its adjusting nut, the arm free and without play; the maker’s figure',
  }),
]
