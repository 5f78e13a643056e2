import { MOUNT_LOOSE, MOVED, SHOES_LOOSE, SQUEEZED } from '../../bench/graph.ts'
import { type Fact, type Graph, joined } from '../../brake/graph.ts'
import { STACK_GRAPH } from '../../stack/steps.ts'
import type { DiscKind } from './kind.ts'
import { PADS_NEW } from './pad-change.ts'
import { ROTOR_GRAPH } from './rotor.ts'
import { CHANGE_GRAPH } from './rotor-change.ts'

/** A caliper or bracket that was off, even for a look at the pads, is aligned again: gaps, height, bite and bolts. */
const OFF: readonly Fact[] = [
  'confirm:mount-loosened',
  'confirm:stack-fitted',
  'confirm:rotor-off',
  'swap:brake',
  'swap:wheel',
  'swap:rotor',
]
const MOVED_OR_OFF: readonly Fact[] = [
  ...SQUEEZED,
  ...PADS_NEW,
  'confirm:caliper-set',
  'confirm:stack-fitted',
  'confirm:rotor-off',
  'swap:rotor',
  ...SHOES_LOOSE,
]

const own = (kind: DiscKind): Graph => ({
  ...CHANGE_GRAPH,
  ...STACK_GRAPH,
  'reading:padRoom': ['swap:brake'],
  'reading:padKeeper': ['swap:brake'],
  'reading:padOrder': ['swap:brake'],
  'confirm:pads-out': ['swap:brake'],
  'confirm:pads-in': ['confirm:pads-out', 'swap:pads'],
  'reading:beddedStops': [...PADS_NEW, 'swap:rotor', 'confirm:rotor-off'],
  'reading:rotorWide': ['swap:rotor'],
  'reading:bodyClearTop': OFF,
  'reading:bodyClearBottom': OFF,
  'reading:padCover': [...OFF, 'swap:pads'],
  'reading:padHung': [...OFF, 'swap:pads'],
  'reading:padFixed': PADS_NEW,
  'reading:padMoving': PADS_NEW,
  'reading:discPads': [...PADS_NEW, 'reading:rotorFace'],
  'reading:light': [...OFF, ...PADS_NEW, 'confirm:wheel-seated'],
  'confirm:pads-kept': [...PADS_NEW, 'swap:brake', ...SHOES_LOOSE],
  'confirm:caliper-set': OFF,
  'confirm:caliper-tight': [...OFF, ...MOUNT_LOOSE, 'confirm:caliper-set'],
  'reading:armStarts': MOVED_OR_OFF,
  'reading:armRest': MOVED_OR_OFF,
  'reading:biteTravel': MOVED_OR_OFF,
  'reading:rub': [...MOVED_OR_OFF, 'confirm:axle-loosened'],
  'confirm:bedded-looked': ['reading:beddedStops'],
  'reading:reserve': ['swap:rotor', 'confirm:caliper-set'],
  'confirm:hard-squeezes': [...MOVED, 'confirm:caliper-set', 'swap:rotor'],
  ...(kind === 'both-move'
    ? {
        'reading:gapInner': MOVED_OR_OFF,
        'reading:gapOuter': MOVED_OR_OFF,
        'reading:rotorTouch': [...MOVED_OR_OFF, 'confirm:axle-loosened'],
      }
    : { 'reading:gapFixed': MOVED_OR_OFF, 'reading:gapMoving': MOVED_OR_OFF }),
})

/** What wheel, pads and readings of a mechanical disc stand on. */
export const discGraph = (kind: DiscKind): Graph => joined(ROTOR_GRAPH, own(kind))
