import { MOVED, SHOES_LOOSE } from '../../bench/graph.ts'
import type { Fact, Graph } from '../../brake/graph.ts'

/** The plate off, or another one. */
export const OPENED: readonly Fact[] = ['confirm:plate-off', 'swap:pads', 'swap:wheel']

/** What common readings and steps stand on at a drum besides. */
export const DRUM_GRAPH: Graph = {
  'confirm:wheel-seated': ['confirm:plate-off', ...SHOES_LOOSE],
  'reading:reserve': ['confirm:plate-on'],
  'confirm:hard-squeezes': [...MOVED, 'confirm:plate-on'],
}
