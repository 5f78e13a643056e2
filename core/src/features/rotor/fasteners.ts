import { fastener, M5 } from '../../bench/fasteners.ts'
import type { FastenerSpec } from '../../brake/fastener.ts'
import type { Looked } from '../../brake/on-stand.ts'
import { changingRotor } from './rotor-change.ts'

/** A rotor on a toothed hub, under one ring. */
const isRinged = ({ seen }: Looked): boolean => seen('rotorHold') === 'ring'

export const ROTOR_HOLDS: readonly FastenerSpec[] = [
  fastener('rotor', ['confirm:rotor-loosened', 'swap:rotor'], {
    id: 'rotor bolts',
    stands: (looked) => !isRinged(looked),
    bolt: M5,
    tool: 'star key T25, or 4 mm hex key',
    rule: 'in a star, two rounds; medium threadlocker, fresh; never grease',
    // Where the rotor is changed the star of that work tightens them.
    when: (here) => !isRinged(here) && !changingRotor(here) && !here.swapped('rotor'),
  }),
  fastener('lock-ring', ['confirm:rotor-loosened', 'swap:rotor'], {
    id: 'lock ring',
    title: 'rotor’s lock ring',
    tool: 'ring tool, torque wrench',
    stands: isRinged,
    when: (here) => isRinged(here) && !changingRotor(here) && !here.swapped('rotor'),
  }),
]
