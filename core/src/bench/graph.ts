import { ANY_TURN, type Fact, type Graph, type Grounds } from '../brake/graph.ts'

/** What moves the parts against one another. */
export const MOVED: readonly Fact[] = [
  'confirm:wheel-seated',
  'confirm:mount-fitted',
  'swap:pads',
  'swap:cable',
  'swap:housing',
  'swap:lever',
  'swap:brake',
  'confirm:shoes-loosened',
  'confirm:anchor-loosened',
  'confirm:mount-loosened',
  ANY_TURN,
]
export const SQUEEZED: readonly Fact[] = [...MOVED, 'confirm:hard-squeezes']
/** Loosened, a clamp has lost its tightness, and so has everything that was judged by it. */
export const ANCHOR_LOOSE: readonly Fact[] = ['turn:anchor', 'confirm:anchor-loosened']
export const MOUNT_LOOSE: readonly Fact[] = ['turn:caliper', 'confirm:mount-loosened']
export const SHOES_LOOSE: readonly Fact[] = ['confirm:shoes-loosened']

/**
 * The one graph of the run sheet: each thing that can be established, and what it stands on. When something it stands
 * on is done again, directly or through others, it must be looked at again. Readings stand on what moves the parts,
 * not on other readings, except where one is judged against another. This part of it is common; families add theirs.
 */
export const COMMON_GRAPH: Graph = {
  'confirm:dead-first': ['swap:cable', 'swap:brake', 'swap:lever'],
  'confirm:battery-out': ['swap:wheel', 'reading:cutOff'],
  'reading:cutOff': ['swap:lever'],
  'confirm:wheel-seated': ['swap:wheel'],
  'confirm:wheel-home': ['confirm:axle-loosened'],
  'confirm:hub-play': ['confirm:wheel-seated'],
  'confirm:looked-over': ['swap:brake', 'swap:wheel'],
  'reading:leverPull': ['swap:lever'],
  'reading:leverFinger': ['swap:lever'],
  'reading:leverReach': ['swap:lever'],
  'reading:stopsWith': [],
  'reading:housingKind': ['swap:housing'],
  'reading:housingState': ['swap:housing'],
  'reading:housingOuter': ['swap:housing'],
  'reading:housingEnds': ['swap:housing', 'swap:lever', 'swap:brake'],
  'reading:innerAnchor': ['swap:cable'],
  'reading:innerHead': ['swap:cable', 'swap:lever'],
  'reading:anchorBolt': ['swap:brake'],
  'confirm:untouched': ['swap:cable', 'swap:brake', 'swap:lever'],
  'confirm:cable-run': ['swap:cable', 'swap:housing', 'swap:lever', 'swap:brake'],
  'reading:cableLined': ['swap:housing', 'swap:cable'],
  'reading:cableFeel': ['swap:cable', 'swap:housing'],
  'confirm:barrel-in': ['swap:cable', 'swap:brake', 'swap:lever', 'swap:housing'],
  'reading:barrelOut': ['swap:cable', 'swap:brake'],
  'confirm:cable-clamped': ['swap:cable', 'swap:brake', ...ANCHOR_LOOSE],
  // What was loosened has a tick of its own; the one answer for the rest stands until the brake comes off.
  'confirm:fasteners': ['swap:brake', 'confirm:mount-fitted'],
  'confirm:wheel-fastened': ['confirm:wheel-seated', 'swap:wheel', 'confirm:axle-loosened'],
  'reading:reserve': [...MOVED, 'reading:leverReach'],
  'reading:leverWeight': MOVED,
  'reading:leverBack': MOVED,
  'confirm:hard-squeezes': MOVED,
  'confirm:walk-test': [...MOVED, 'confirm:axle-loosened'],
}

/** Parts that can be replaced in a job, and how that is said where something must be looked at again. */
const SWAPPED: Readonly<Record<string, string>> = {
  wheel: 'the wheel was changed',
  pads: 'pads were replaced',
  cable: 'the cable was replaced',
  housing: 'housing was replaced',
  lever: 'the lever was changed',
  brake: 'the brake was changed',
  rotor: 'the rotor was replaced',
}

/** Parts that can be replaced at a brake with this graph: those that something of it stands on. */
export const partsIn = ({ unsettledBy }: Grounds): readonly string[] =>
  Object.keys(SWAPPED).filter((part) => unsettledBy(`swap:${part}`).size > 0)

/** Acts that set things anew, as they are said where something must be looked at again. */
export const COMMON_CAUSES: Readonly<Record<string, string>> = {
  ...Object.fromEntries(Object.entries(SWAPPED).map(([part, says]) => [`swap:${part}`, says])),
  'confirm:wheel-seated': 'the wheel was seated again',
  'confirm:hard-squeezes': 'squeezed hard: cables settle and clamps slip',
  'confirm:shoes-loosened': 'a shoe was loosened',
  'confirm:anchor-loosened': 'the anchor was loosened',
  'confirm:mount-loosened': 'the brake was loosened on its mount',
  'confirm:lever-loosened': 'the lever clamp was loosened',
  'confirm:straddle-loosened': 'the straddle’s anchor was loosened',
  'confirm:bracket-loosened': 'the bracket was loosened',
  'confirm:rotor-loosened': 'the rotor’s bolts were loosened',
  'confirm:strap-loosened': 'the reaction arm’s strap was loosened',
  'confirm:axle-loosened': 'the wheel’s fastening was loosened',
}
