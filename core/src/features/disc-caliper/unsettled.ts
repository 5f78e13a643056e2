import { SHOES_LOOSE, SQUEEZED } from '../../bench/unsettled.ts'
import type { Fact } from '../../brake/graph.ts'

/** Another rotor: told as a swap, or taken off in the work of changing it. */
export const NEW_ROTOR: readonly Fact[] = ['swap:wheel', 'swap:rotor', 'confirm:rotor-off']

/** New pads: told as a swap, or put in in the work of changing them. */
export const PADS_NEW: readonly Fact[] = ['swap:pads', 'confirm:pads-in']

/** Reached past a wheel that was out, pads that stay the same stand anew all the same. */
export const WHEEL_WAS_OUT: Fact = 'confirm:wheel-back'

/** A caliper or bracket that was off, even for a look at the pads, is aligned again: gaps, height, bite and bolts. */
export const OFF: readonly Fact[] = [
  'confirm:mount-loosened',
  'confirm:caliper-off',
  'confirm:stack-fitted',
  'confirm:rotor-off',
  'swap:brake',
  'swap:wheel',
  'swap:rotor',
]

/** What moves pads, rotor or caliper against one another. */
export const MOVED_OR_OFF: readonly Fact[] = [
  ...SQUEEZED,
  ...PADS_NEW,
  'confirm:caliper-set',
  'confirm:caliper-off',
  WHEEL_WAS_OUT,
  'confirm:stack-fitted',
  'confirm:rotor-off',
  'swap:rotor',
  ...SHOES_LOOSE,
]
