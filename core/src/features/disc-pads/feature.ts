import { WORK } from '../../bench/work.ts'
import type { Feature } from '../../brake/feature.ts'
import type { DiscKind } from '../disc-caliper/kind.ts'
import { ROTOR_WORK } from '../rotor/rotor-change.ts'
import { BEDDED_LOOKED, BEDDING_READING, BEDDING_STEP, beddingLines } from './bedding.ts'
import { PAD_TRAITS, PADS_WORK, padSeen, padSteps } from './pad-change.ts'
import { DISC_PAD_READINGS, DISC_PAD_SEEN } from './readings.ts'

const NEW_WORKS: ReadonlySet<string> = new Set([ROTOR_WORK.id, PADS_WORK.id])

/** A disc’s pads: sound, changed, and bedded in. */
export const discPadsFeature = (kind: DiscKind): Feature => ({
  id: 'disc-pads',
  traits: PAD_TRAITS,
  works: [PADS_WORK],
  readings: [...DISC_PAD_READINGS, BEDDING_READING],
  seen: [...DISC_PAD_SEEN, ...padSeen(kind)],
  steps: [...padSteps(kind), BEDDING_STEP, BEDDED_LOOKED],
  causes: { 'confirm:pads-in': 'new pads went in' },
  sections: (at) => [
    { title: 'Bedding-in', lines: beddingLines(at, NEW_WORKS.has(at.seen(WORK) ?? '')), forRider: true },
  ],
})
