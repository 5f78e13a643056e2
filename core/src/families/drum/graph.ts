import { MOVED, SHOES_LOOSE, SQUEEZED } from '../../bench/graph.ts'
import type { Fact, Graph } from '../../brake/graph.ts'

const OPENED: readonly Fact[] = ['confirm:plate-off', 'swap:pads', 'swap:wheel']

/** What wheel, linings and readings of a drum stand on. */
export const DRUM_GRAPH: Graph = {
  'confirm:arm-marked': ['swap:wheel'],
  'confirm:arm-angle': ['swap:wheel', 'swap:brake'],
  'confirm:plate-off': ['swap:wheel'],
  'reading:cleanedWith': OPENED,
  'reading:liningThick': OPENED,
  'reading:liningFace': OPENED,
  'reading:rivets': OPENED,
  'reading:drumInside': ['swap:wheel'],
  'reading:drumStamped': ['swap:wheel'],
  'confirm:greased': OPENED,
  'confirm:plate-on': OPENED,
  'confirm:shoes-centred': [...OPENED, ...SHOES_LOOSE, 'confirm:plate-on'],
  'reading:hubPlay': [...OPENED, ...SHOES_LOOSE, 'confirm:shoes-centred'],
  'confirm:lock-nut': ['confirm:plate-off', ...SHOES_LOOSE, 'confirm:shoes-centred', 'reading:hubPlay'],
  'confirm:wheel-seated': ['confirm:plate-off', ...SHOES_LOOSE],
  'reading:hubPlayNuts': ['confirm:lock-nut', 'confirm:wheel-seated', 'confirm:axle-loosened'],
  'confirm:reaction-arm': [
    'confirm:wheel-seated',
    'confirm:plate-off',
    'swap:brake',
    'swap:wheel',
    'confirm:axle-loosened',
  ],
  'confirm:cable-back': ['confirm:plate-off', 'swap:brake', 'swap:wheel', 'swap:pads'],
  'reading:armAtRest': ['swap:pads', 'confirm:plate-on'],
  'reading:armApplied': ['swap:pads', 'confirm:plate-on'],
  'reading:biteTravel': [...SQUEEZED, 'confirm:plate-on', 'confirm:shoes-centred', 'confirm:lock-nut'],
  'reading:drag': [
    ...SQUEEZED,
    'confirm:axle-loosened',
    'confirm:plate-on',
    'confirm:shoes-centred',
    'confirm:lock-nut',
  ],
  'reading:reserve': ['confirm:plate-on'],
  'reading:squealsAfter': ['reading:squeals'],
  'confirm:hard-squeezes': [...MOVED, 'confirm:plate-on'],
}
