import { SHOES_LOOSE } from '../../bench/graph.ts'
import type { Fact, Graph } from '../../brake/graph.ts'

export const TURNED_SHOES: readonly Fact[] = ['swap:pads', 'swap:brake', 'confirm:mount-fitted', ...SHOES_LOOSE]
export const PADS_SET: readonly Fact[] = [
  'swap:pads',
  'swap:wheel',
  'swap:brake',
  'confirm:mount-fitted',
  ...SHOES_LOOSE,
]

/** A caliper on one bolt: found askew and turned square again, its pads stand elsewhere. */
export const ON_ONE_BOLT: Graph = Object.fromEntries(
  ['gapLeft', 'gapRight', 'biteTravel', 'firstTouch', 'spin'].map((id) => [
    `reading:${id}`,
    ['reading:caliperSits'] as readonly Fact[],
  ]),
)
