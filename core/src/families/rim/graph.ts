import { MOVED, SHOES_LOOSE, SQUEEZED } from '../../bench/graph.ts'
import type { Fact, Graph } from '../../brake/graph.ts'

const TURNED_SHOES: readonly Fact[] = ['swap:pads', 'swap:brake', 'confirm:mount-fitted', ...SHOES_LOOSE]
const PADS_SET: readonly Fact[] = ['swap:pads', 'swap:wheel', 'swap:brake', 'confirm:mount-fitted', ...SHOES_LOOSE]

/** What wheel, pads and readings of a rim brake stand on. */
export const RIM_GRAPH: Graph = {
  'reading:wheelOffset': ['confirm:wheel-seated'],
  'reading:lateralRunout': ['confirm:wheel-seated'],
  'reading:radialRunout': ['confirm:wheel-seated'],
  'reading:rimWall': ['swap:wheel'],
  'reading:rimMark': ['swap:wheel'],
  'reading:wearLine': ['swap:wheel'],
  'reading:trackStep': ['swap:wheel'],
  'reading:trackFace': ['swap:wheel'],
  'reading:rimMaterial': ['swap:wheel'],
  'reading:padCompound': ['swap:pads'],
  'confirm:provisional-clamp': ['swap:cable', 'swap:brake', 'swap:lever', 'swap:housing'],
  'reading:padLeft': ['swap:pads'],
  'reading:padRight': ['swap:pads'],
  'reading:padFace': ['swap:pads', 'reading:trackFace'],
  'reading:shoeLeft': TURNED_SHOES,
  'reading:shoeRight': TURNED_SHOES,
  'reading:padTall': ['swap:pads'],
  'reading:padLength': ['swap:pads'],
  'reading:padShape': ['swap:pads'],
  'reading:padDeep': ['swap:pads'],
  'reading:armSpace': ['swap:wheel', 'swap:brake'],
  'reading:padArc': PADS_SET,
  'reading:trackTall': ['swap:wheel'],
  'reading:padEdgeLeft': PADS_SET,
  'reading:padEdgeRight': PADS_SET,
  'reading:toeLeft': PADS_SET,
  'reading:toeRight': PADS_SET,
  'confirm:pads-tight': ['swap:pads', 'swap:wheel', 'swap:brake', 'confirm:mount-fitted', ...SHOES_LOOSE],
  'reading:gapLeft': SQUEEZED,
  'reading:gapRight': SQUEEZED,
  'reading:biteTravel': SQUEEZED,
  'reading:firstTouch': [...SQUEEZED, 'reading:wheelOffset', 'confirm:axle-loosened'],
  'reading:padsBack': MOVED,
  'reading:spin': [...SQUEEZED, 'confirm:axle-loosened'],
}

/** A caliper on one bolt: found askew and turned square again, its pads stand elsewhere. */
export const ON_ONE_BOLT: Graph = Object.fromEntries(
  ['gapLeft', 'gapRight', 'biteTravel', 'firstTouch', 'spin'].map((id) => [
    `reading:${id}`,
    ['reading:caliperSits'] as readonly Fact[],
  ]),
)
