import { BENCH_HABIT, ridersChoice, thirdOfTravel } from '../../bench/bite.ts'
import type { Setting } from '../../brake/model.ts'
import type { ChosenSchool, ChosenSchools, SchoolSpec } from '../../brake/school.ts'
import { cableFromTravel, fingerTravel, type Lever } from '../../mechanics/lever.ts'

/** Where a disc shall bite: both pads pressing. */
export const DISC_BITE: SchoolSpec = {
  id: 'bite',
  title: 'bite',
  options: [
    thirdOfTravel('Both pads press about one third of the way to the bar.'),
    ridersChoice('Small hands want it short, others long.'),
  ],
}

/** How the gap of the fixed pad is made. All say one thing in mm at the rotor. */
export const FIXED_GAP: SchoolSpec = {
  id: 'gap',
  title: 'making the fixed gap',
  options: [
    {
      id: 'float',
      title: 'squeeze and tighten',
      says: 'Fixed pad wound in, caliper floated by a squeeze and tightened, then the pad backed off: that step makes the gap.',
      source: BENCH_HABIT,
      amount: { unit: 'mm', usual: 0.15, min: 0.05, max: 0.5 },
    },
    {
      id: 'quarter',
      title: 'wind in, back a quarter',
      says: 'To contact, then a quarter turn out: a quarter of the thread’s pitch.',
      source: BENCH_HABIT,
      amount: { unit: '', usual: 0.25, min: 0.05, max: 1 },
    },
    {
      id: 'clicks',
      title: 'clicks',
      says: 'To contact, then two or three clicks out, by the same feel of the hand on both knobs.',
      source: BENCH_HABIT,
      amount: { unit: '', usual: 3, min: 1, max: 16 },
    },
  ],
}

/** A pad brought to the rotor is backed off so far, mm at the rotor, whatever a school counts it in. */
export function backedOffMm({ option, amount = 0 }: ChosenSchool, pitchMm: number, clicksATurn: number): number {
  if (option === 'quarter') return amount * pitchMm
  return option === 'clicks' ? (amount * pitchMm) / clicksATurn : amount
}

/** The same gap in the words of another school. */
export function convertGap(school: ChosenSchool, to: string, pitchMm: number, clicksATurn: number): ChosenSchool {
  const mm = backedOffMm(school, pitchMm, clicksATurn)
  const amount = to === 'quarter' ? mm / pitchMm : to === 'clicks' ? (mm / pitchMm) * clicksATurn : mm
  return { option: to, amount }
}

const DEFAULT: ChosenSchool = { option: 'third', amount: 1 / 3 }

/** Finger travel at which both pads shall press, mm. */
export function wantedBiteMm(schools: ChosenSchools, lever: Lever): number {
  const { option, amount = 1 / 3 } = schools.bite ?? DEFAULT
  return option === 'rider' ? amount : amount * lever.reachMm
}

export function discSetting(schools: ChosenSchools, lever: Lever, freePlayMm: number, ratio: number): Setting {
  const travelMm = wantedBiteMm(schools, lever)
  const cableMm = Math.max(0, cableFromTravel(lever, travelMm) - freePlayMm)
  return {
    cableMm,
    travelMm: Math.max(travelMm, fingerTravel(lever, freePlayMm)),
    share: travelMm / lever.reachMm,
    words: `gaps ${(cableMm / ratio).toFixed(2)} mm in all`,
  }
}
