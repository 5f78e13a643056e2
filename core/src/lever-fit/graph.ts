import type { Fact, Graph } from '../brake/graph.ts'
import { LEVER_ALONG, REACH_SCREW } from './screw.ts'

/** Turned or moved at the lever. The reach screw moves no part of the brake: what any turn shakes, it does not. */
export const REACH_TURNED: Fact = `turn:${REACH_SCREW}`
const ALONG: Fact = `turn:${LEVER_ALONG}`

export const LEVER_GRAPH: Graph = {
  'reading:leverFinger': [ALONG],
  'reading:leverOutside': ['swap:lever', REACH_TURNED],
  'reading:leverReach': [REACH_TURNED],
  'reading:biteTravel': [REACH_TURNED],
  'reading:reserve': [REACH_TURNED],
  'reading:clampAt': ['swap:lever', ALONG],
  'reading:clampToHook': ['swap:lever'],
  'reading:clampToTip': ['swap:lever'],
  'reading:bladeAngle': ['swap:lever', ALONG, 'confirm:lever-loosened'],
  'reading:leverHand': ['swap:lever', ALONG, REACH_TURNED, 'confirm:lever-loosened', 'reading:rider'],
  'reading:clampWay': ['confirm:lever-loosened', ALONG],
}
