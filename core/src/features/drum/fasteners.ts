import { fastener } from '../../bench/fasteners.ts'
import { SHOES_LOOSE } from '../../bench/unsettled.ts'
import type { FastenerSpec } from '../../brake/fastener.ts'

export const DRUM_HOLDS: readonly FastenerSpec[] = [
  fastener('makers-own', SHOES_LOOSE, {
    id: 'lock nut',
    title: 'lock nut of the cone',
    tool: 'spanner to fit',
    tick: 'lock-nut',
  }),
  fastener('makers-own', ['confirm:strap-loosened'], {
    id: 'reaction arm',
    title: 'reaction arm’s strap',
    tool: 'spanner or screwdriver to fit',
    tick: 'reaction-arm',
  }),
]
