import { AXLE_NUTS, anchor, LEVER_CLAMP } from '../../bench/fasteners.ts'
import { COMMON_TRAITS } from '../../bench/traits.ts'
import { worksWith } from '../../bench/work.ts'
import type { Family } from '../../brake/family.ts'
import { compose } from '../../brake/feature.ts'
import { DRUM } from '../../features/drum/feature.ts'
import { drumModel } from './model.ts'
import { shoesAt } from './torque.ts'

/** What is shown of the shoes until a stop is asked of them. */
const SHOWN_KPA = 1000

/** A hub drum: two shoes on a cam. 70 and 90 mm are hardware. */
export const drumFamily: Family = compose({
  id: 'drum',
  title: 'drum',
  mount: 'axle',
  track: 'drum',
  features: [
    {
      id: 'drum',
      traits: COMMON_TRAITS,
      works: worksWith('The whole sheet, the arm set on the bicycle.'),
      fasteners: [AXLE_NUTS, ...LEVER_CLAMP],
    },
    DRUM,
    { id: 'drum-anchor', fasteners: [anchor('anchor-rim')] },
  ],
  dial: { bite: ['biteTravel'], centre: [], beside: 'drag', say: 'the bite, and whether it drags', asksBeside: true },
  rubbed: { seen: 'drag', of: { once: 'shoesClear', lightly: 'shoesClear', hard: 'shoesClear' } },
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
  opens: 'The brake stays closed. A reaction arm that is not strapped is not to be ridden.',
  wheelCloses: ['Nuts: tight on both sides, the reaction arm strapped. Unsure, let somebody look before it is ridden.'],
  puncture: [
    'Out: cable off the brake arm, strap off the reaction arm, then both nuts; see how the washers lie.',
    'In: each washer back as it lay, wheel straight, strap and cable on, then the nuts, both sides by turns. Squeeze hard: the lever must not come to the bar. Spin: it runs free.',
  ],
  drawings: async () => (await import('./drawings/drawings.ts')).DRUM_DRAWINGS,
})
