import type { Feature } from '../../brake/feature.ts'
import { WORK } from '../../brake/work.ts'
import type { DiscKind } from '../disc-caliper/kind.ts'
import { ROTOR_WORK } from '../rotor/rotor-change.ts'
import { BEDDED_LOOKED, BEDDING_READING, BEDDING_STEP, beddingSection } from './bedding.ts'
import { PAD_TRAITS, PADS_LOOK, PADS_WORK, padSeen, padSteps } from './pad-change.ts'
import { DISC_PAD_READINGS, DISC_PAD_SEEN } from './readings.ts'

const NEW_WORKS: ReadonlySet<string> = new Set([ROTOR_WORK.id, PADS_WORK.id])

/** A disc’s pads: sound, changed, and bedded in. */
export const discPadsFeature = (kind: DiscKind): Feature => ({
  id: 'disc-pads',
  traits: PAD_TRAITS,
  works: [PADS_WORK, PADS_LOOK],
  readings: [...DISC_PAD_READINGS, BEDDING_READING],
  seen: [...DISC_PAD_SEEN, ...padSeen(kind)],
  steps: [...padSteps(kind), BEDDING_STEP, BEDDED_LOOKED],
  standsOn: { 'confirm:wheel-fastened': ['confirm:wheel-back'], 'confirm:walk-test': ['confirm:wheel-back'] },
  causes: {
    'confirm:pads-in': 'pads went in',
    'confirm:wheel-back': 'the wheel was out',
    'confirm:caliper-off': 'the caliper was off',
  },
  sections: (at) => [beddingSection(at, NEW_WORKS.has(at.seen(WORK) ?? ''))],
})
