import type { StationId } from '../brake/station.ts'

/** What a rider complains of, and where it leads, likeliest first. Common practice, no source. */
export interface Symptom {
  readonly id: string
  readonly says: string
  readonly leads: readonly { readonly to: string; readonly station: StationId }[]
}

const at = (station: StationId, ...to: readonly string[]) => to.map((each) => ({ to: each, station }))

export const SYMPTOMS: readonly Symptom[] = [
  {
    id: 'rub',
    says: 'a sudden rub on one side',
    leads: at('wheel', 'the wheel’s seat in its dropouts, before the brake is touched'),
  },
  {
    id: 'squeal',
    says: 'squeal',
    leads: [
      ...at('wheel', 'wet weather: can be normal'),
      ...at('centre', 'pads that do not meet together'),
      ...at('pads', 'no toe-in', 'glaze', 'oil or grease'),
      ...at('mount', 'loose pivots'),
    ],
  },
  {
    id: 'judder',
    says: 'judder, mostly in front',
    leads: [
      ...at('centre', 'off centre'),
      ...at('mount', 'a loose mount'),
      ...at('wheel', 'a rim or rotor out of true'),
    ],
  },
  {
    id: 'drag',
    says: 'drag',
    leads: [
      ...at('centre', 'off centre', 'a weak or unhooked spring'),
      ...at('cable', 'a dirty housing'),
      ...at('mount', 'dry pivots'),
    ],
  },
  {
    id: 'bar',
    says: 'the lever comes to the bar',
    leads: [
      ...at('pads', 'worn pads'),
      ...at('bite', 'slack'),
      ...at('match', 'a lever of the wrong pull'),
      ...at('cable', 'an inner that slips'),
      ...at('mount', 'an unhooked guide pipe'),
    ],
  },
  {
    id: 'heavy',
    says: 'a heavy lever',
    leads: [...at('cable', 'friction', 'tight bends'), ...at('centre', 'centring screws too far in')],
  },
  {
    id: 'weak',
    says: 'weak although firm',
    leads: [...at('match', 'a lever of the wrong pull'), ...at('pads', 'glaze', 'oil', 'pads low on the track')],
  },
  { id: 'one', says: 'only one arm moves', leads: at('centre', 'the springs’ balance') },
  { id: 'gritty', says: 'a gritty lever', leads: at('cable', 'inner and housing') },
]
