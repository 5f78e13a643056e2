import { SHOES_LOOSE } from '../../bench/unsettled.ts'
import { loosening } from '../../brake/acts.ts'
import type { Feature } from '../../brake/feature.ts'
import type { OnStand } from '../../brake/on-stand.ts'
import { drumWear } from '../../calculations/drum.ts'
import { CAM_TRAIT, DRUM_DIMENSIONS } from './dimensions.ts'
import { DRUM_HOLDS } from './fasteners.ts'
import { DRUM_READINGS, DRUM_SEEN } from './readings.ts'
import { DRUM_BITE } from './schools.ts'
import { SERVICE_WORK, SQUEAL_WORK } from './service.ts'
import { DRUM_STEPS } from './steps.ts'

/** What the arm’s angle says of the linings. */
function wearLines({ number, dimensions }: OnStand): readonly string[] {
  const [rest, applied] = [number('armAtRest'), number('armApplied')]
  if (applied === undefined) return []
  const worked = drumWear.work({ armAppliedDeg: applied, camHalfMm: dimensions.camHalfMm })
  const remains = worked.ok
    ? `; about ${worked.value.outputs.liningMm.toFixed(1)} mm of lining until they are parallel`
    : ''
  return [
    `Arm from the ridge: ${rest === undefined ? '' : `${rest.toFixed(0)}° at rest, `}${applied.toFixed(0)}° applied${remains}. Parallel, replace the plate assembly, not the cable.`,
  ]
}

function squealLines({ seen, number }: OnStand): readonly string[] {
  const before = seen('squeals')
  if (before === undefined) return []
  const after = seen('squealsAfter')
  return [
    `Before: ${before === 'quiet' ? 'quiet' : 'it squeals'}. After ${number('hardStops') ?? 0} hard stops: ${after === undefined ? 'not tried yet' : after === 'gone' ? 'the squeal is gone' : 'it squeals still'}.`,
  ]
}

/** Common practice, no source. */
const LONG_HILLS = [
  'On a long descent a drum gets hot and fades: brake early, front and rear by turns, and stop to let it cool before the lever comes near the bar.',
]

/** Two shoes on a cam in a hub: measured, opened, closed, and quieted after damp. */
export const DRUM: Feature = {
  id: 'drum-shoes',
  dimensions: DRUM_DIMENSIONS,
  traits: [CAM_TRAIT],
  works: [SERVICE_WORK, SQUEAL_WORK],
  readings: DRUM_READINGS,
  seen: DRUM_SEEN,
  schools: [DRUM_BITE],
  steps: DRUM_STEPS,
  fasteners: DRUM_HOLDS,
  acts: [loosening('strap', 'reaction arm’s strap loosened', 'the reaction arm’s strap was loosened')],
  standsOn: {
    'confirm:wheel-seated': ['confirm:plate-off', ...SHOES_LOOSE],
    'reading:reserve': ['confirm:plate-on'],
    'confirm:hard-squeezes': ['confirm:plate-on'],
  },
  causes: {
    'confirm:plate-off': 'the drum was opened',
    'confirm:shoes-loosened': 'the shoes were loosened',
    'confirm:plate-on': 'the plate went back on',
    'confirm:shoes-centred': 'the shoes were centred anew',
    'confirm:lock-nut': 'the lock nut was tightened anew',
  },
  sections: (at) => [
    { title: 'Long hills', lines: LONG_HILLS, forRider: true },
    { title: 'Linings', lines: wearLines(at) },
    { title: 'Squeal after damp', lines: squealLines(at) },
  ],
}
