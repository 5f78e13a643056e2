import { loosening } from '../../brake/acts.ts'
import type { Feature } from '../../brake/feature.ts'
import { ROTOR_HOLDS } from './fasteners.ts'
import { ROTOR_READINGS, ROTOR_SEEN, ROTOR_STEP, RUNOUT_SEEN, RUNOUT_STEP } from './rotor.ts'
import { CHANGE_READINGS, CHANGE_SEEN, ROTOR_BEFORE, ROTOR_STEPS, ROTOR_WORK } from './rotor-change.ts'

/** A disc’s rotor: sound, and changed. */
export const ROTOR: Feature = {
  id: 'rotor',
  works: [ROTOR_WORK],
  readings: [...ROTOR_READINGS, ...CHANGE_READINGS],
  seen: [...ROTOR_SEEN, RUNOUT_SEEN, ...CHANGE_SEEN],
  steps: [...ROTOR_BEFORE, ...ROTOR_STEPS, ROTOR_STEP, RUNOUT_STEP],
  fasteners: ROTOR_HOLDS,
  acts: [loosening('rotor', 'rotor bolts loosened', 'the rotor’s bolts were loosened')],
  standsOn: { 'confirm:wheel-seated': ['confirm:rotor-off'], 'reading:reserve': ['swap:rotor'] },
  causes: { 'confirm:rotor-off': 'the rotor was off' },
}
