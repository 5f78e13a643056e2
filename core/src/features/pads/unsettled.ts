import { SHOES_LOOSE } from '../../bench/unsettled.ts'
import type { Fact } from '../../brake/graph.ts'

export const TURNED_SHOES: readonly Fact[] = ['swap:pads', 'swap:brake', 'confirm:mount-fitted', ...SHOES_LOOSE]
export const PADS_SET: readonly Fact[] = [
  'swap:pads',
  'swap:wheel',
  'swap:brake',
  'confirm:mount-fitted',
  ...SHOES_LOOSE,
]
