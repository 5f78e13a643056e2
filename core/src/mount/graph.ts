import { MOUNT_LOOSE } from '../bench/graph.ts'
import type { Fact, Graph } from '../brake/graph.ts'

const MEASURED_HOLE: readonly Fact[] = [
  'reading:frameMaterial',
  'reading:cracks',
  'reading:rust',
  'reading:mountBody',
  'reading:boltKind',
  'reading:boltClass',
  'reading:makerApproval',
  'reading:makerTorque',
  'reading:holeFront',
  'reading:holeBack',
  'reading:frameDepth',
  'reading:mountTube',
  'reading:mountWall',
  'reading:curveFront',
  'reading:curveBack',
  'reading:roomBehind',
  'reading:boltOut',
  'reading:boltThreaded',
]

/** What a centre-bolt mount stands on. */
export const BOLT_GRAPH: Graph = {
  'reading:caliperSits': ['swap:brake', 'confirm:mount-loosened'],
  'reading:boltKind': ['swap:brake'],
  'reading:boltClass': ['swap:brake'],
  'reading:boltOut': ['swap:brake'],
  'reading:boltThreaded': ['swap:brake'],
  'reading:caliperDepth': ['swap:brake'],
  'plan:mount': ['swap:brake', ...MEASURED_HOLE],
  'reading:partsThere': ['plan:mount'],
  'confirm:mount-drilled': ['plan:mount'],
  'confirm:mount-fitted': ['plan:mount', 'confirm:mount-drilled', 'swap:brake'],
  'confirm:mount-tight': ['confirm:mount-fitted', ...MOUNT_LOOSE],
  'confirm:pivot-play': ['swap:brake'],
}

/** What a boss mount stands on. */
export const BOSS_GRAPH: Graph = {
  'confirm:boss-ready': ['swap:brake'],
  'confirm:boss-tight': ['confirm:boss-ready', 'swap:brake'],
  'confirm:arms-free': ['confirm:boss-ready', 'confirm:boss-tight', 'swap:brake'],
}

/** Whether the pads reach. */
export const REACH_GRAPH: Graph = {
  'reading:trackReach': ['swap:wheel'],
  'reading:beadFitted': ['swap:wheel'],
  'reading:slotLow': ['swap:brake'],
  'reading:slotHigh': ['swap:brake'],
}

export const MOUNT_CAUSES: Readonly<Record<string, string>> = {
  'confirm:mount-drilled': 'the mount was drilled',
  'confirm:mount-fitted': 'the brake was mounted again',
  'confirm:boss-ready': 'the arms were off their bosses',
  'confirm:boss-tight': 'the arms’ bolts were tightened',
  'plan:mount': 'another way of mounting was chosen',
}
