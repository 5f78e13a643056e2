import type { Source } from '../calculation/source.ts'

/** A public rule for how soon a bicycle stops: which brake it means, and on what. */
export interface StoppingRule {
  readonly id: string
  readonly title: string
  readonly brakes: 'both' | 'front' | 'rear'
  readonly surface: 'dry' | 'wet'
  readonly speedKmh: number
  readonly distanceM: number
  /** What it is for. */
  readonly says: string
  readonly source: Source
}

const ISO: Source = { kind: 'standard', title: 'ISO 4210-2 and -4, city and trekking bicycles (from memory)' }
const CFR: Source = { kind: 'standard', title: '16 CFR 1512.5 and 1512.18 (from memory)' }

/** 15 mph and 15 ft by definition of the units. */
const MPH_15_KMH = 15 * 1.609344
const FT_15_M = 15 * 0.3048

/** What new bicycles must show before they are sold; a workshop’s bicycle may be measured by it. */
export const STOPPING_RULES: readonly StoppingRule[] = [
  {
    id: 'us-15',
    title: '15 mph in 15 ft',
    brakes: 'both',
    surface: 'dry',
    speedKmh: MPH_15_KMH,
    distanceM: FT_15_M,
    says: 'New bicycles with hand brakes, a rider of 68 kg (150 lb), at most 178 N at the lever.',
    source: CFR,
  },
  {
    id: 'iso-dry-both',
    title: '25 km/h in 7 m, dry',
    brakes: 'both',
    surface: 'dry',
    speedKmh: 25,
    distanceM: 7,
    says: 'New city and trekking bicycles, 100 kg in all.',
    source: ISO,
  },
  {
    id: 'iso-dry-rear',
    title: '25 km/h in 15 m, dry',
    brakes: 'rear',
    surface: 'dry',
    speedKmh: 25,
    distanceM: 15,
    says: 'The same by the rear brake alone.',
    source: ISO,
  },
  {
    id: 'iso-wet-both',
    title: '16 km/h in 5 m, wet',
    brakes: 'both',
    surface: 'wet',
    speedKmh: 16,
    distanceM: 5,
    says: 'New city and trekking bicycles in the wet.',
    source: ISO,
  },
  {
    id: 'iso-wet-rear',
    title: '16 km/h in 10 m, wet',
    brakes: 'rear',
    surface: 'wet',
    speedKmh: 16,
    distanceM: 10,
    says: 'The same by the rear brake alone.',
    source: ISO,
  },
]
