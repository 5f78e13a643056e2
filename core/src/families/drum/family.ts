import { DRUM_FASTENERS } from '../../bench/fasteners.ts'
import { COMMON_TRAITS } from '../../bench/traits.ts'
import { worksWith } from '../../bench/work.ts'
import type { Family } from '../../brake/family.ts'
import type { OnStand } from '../../brake/on-stand.ts'
import { drumWear } from '../../calculations/drum.ts'
import { CAM_TRAIT, DRUM_DIMENSIONS } from './dimensions.ts'
import { DRUM_GRAPH } from './graph.ts'
import { drumModel } from './model.ts'
import { DRUM_READINGS, DRUM_SEEN } from './readings.ts'
import { DRUM_BITE } from './schools.ts'
import { SERVICE_WORK, SQUEAL_WORK } from './service.ts'
import { DRUM_STEPS } from './steps.ts'
import { shoesAt } from './torque.ts'

/** What is shown of the shoes until a stop is asked of them. */
const SHOWN_KPA = 1000

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

/** A hub drum: two shoes on a cam. 70 and 90 mm are hardware. */
export const drumFamily: Family = {
  id: 'drum',
  title: 'drum',
  mount: 'axle',
  track: 'drum',
  dimensions: DRUM_DIMENSIONS,
  traits: [...COMMON_TRAITS, CAM_TRAIT],
  works: [...worksWith('The whole sheet, the arm set on the bicycle.'), SERVICE_WORK, SQUEAL_WORK],
  readings: DRUM_READINGS,
  seen: DRUM_SEEN,
  schools: [DRUM_BITE],
  steps: DRUM_STEPS,
  standsOn: DRUM_GRAPH,
  fasteners: DRUM_FASTENERS,
  dial: { bite: ['biteTravel'], centre: [], beside: 'drag', say: 'the bite, and whether it drags', asksBeside: true },
  rubbed: { seen: 'drag', of: { once: 'shoesClear', lightly: 'shoesClear', hard: 'shoesClear' } },
  plans: [],
  causes: {
    'confirm:plate-off': 'the drum was opened',
    'confirm:shoes-loosened': 'the shoes were loosened',
    'confirm:plate-on': 'the plate went back on',
    'confirm:shoes-centred': 'the shoes were centred anew',
    'confirm:lock-nut': 'the lock nut was tightened anew',
  },
  fit: drumModel,
  // A drum is closed: rain reaches little of it, and slowly (from memory).
  wetShare: () => 0.8,
  worked: ({ dimensions, here }) => ({
    dimensions: [
      'drumRadiusMm',
      'faceMm',
      'padFriction',
      'hingeShare',
      'shoeArmShare',
      'liningStartDeg',
      'liningEndDeg',
    ],
    worked: shoesAt(dimensions, here, SHOWN_KPA),
  }),
  opens:
    'The brake stays closed. For a flat tyre its strap and cable come off first, and go back on before the nuts are tight: a reaction arm that is not strapped is not to be ridden.',
  wheelCloses: ['Nuts: tight on both sides, the reaction arm strapped. Unsure, let somebody look before it is ridden.'],
  sections: (at) => [
    { title: 'Linings', lines: wearLines(at) },
    { title: 'Squeal after damp', lines: squealLines(at) },
  ],
  drawings: async () => (await import('./drawings/drawings.ts')).DRUM_DRAWINGS,
}
