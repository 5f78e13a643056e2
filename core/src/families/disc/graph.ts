import { MOVED } from '../../bench/graph.ts'
import type { Graph } from '../../brake/graph.ts'

/** What common readings and steps stand on at a mechanical disc besides. */
export const DISC_GRAPH: Graph = {
  'confirm:wheel-seated': ['confirm:rotor-off'],
  'reading:reserve': ['swap:rotor', 'confirm:caliper-set'],
  'confirm:hard-squeezes': [...MOVED, 'confirm:caliper-set', 'swap:rotor'],
}
