import { BENCH_HABIT, ridersChoice, thirdOfTravel } from '../../bench/bite.ts'
import type { Setting } from '../../brake/model.ts'
import type { ChosenSchools, SchoolSpec } from '../../brake/school.ts'
import { RESERVE_MARGIN_MM } from '../../brake/window.ts'
import { cableFromTravel, type Lever, leverage } from '../../mechanics/lever.ts'

/** How far a drum’s cable is taken up. */
export const DRUM_BITE: SchoolSpec = {
  id: 'bite',
  title: 'bite',
  options: [
    thirdOfTravel('The brake takes hold about one third of the way to the bar.'),
    {
      id: 'no-drag',
      title: 'in until it drags, back until it runs free',
      says: 'The barrel out until a shoe scrapes on the turning wheel, then in until it runs free.',
      source: BENCH_HABIT,
    },
    ridersChoice('Small hands want it short, others long.'),
  ],
}

/** Cable (mm) between running free and the first scrape, least and most: what a hand that backs off leaves. Our choice. */
export const RUNS_FREE = { least: 0.5, most: 3 } as const

/** Finger travel at which both shoes shall press, mm; undefined where the school goes by the drag. */
export function wantedBiteMm({ bite }: ChosenSchools, lever: Lever): number | undefined {
  if (bite?.option === 'no-drag') return undefined
  return bite?.option === 'rider' ? bite.amount : (bite?.amount ?? 1 / 3) * lever.reachMm
}

/** Bite this share of the reach to either side of the school’s. */
export const BITE_HALF = 0.07
/** A bite’s window is at least this wide, mm. */
const NARROWEST_MM = 2

/** Where a drum may take hold, mm of finger. */
export interface BiteSpan {
  /** Before this a shoe scrapes; and before this it does not run free for long. */
  readonly least: number
  readonly free: number
  readonly low: number
  readonly high: number
  /** After this the bar comes too near, or the school’s own span is over. */
  readonly latest: number
  readonly bar: number
  /** The bar, not the school, ends it. */
  readonly byBar: boolean
  readonly target: number
}

/**
 * The school’s span between drag and bar. `beforeMm` is cable that goes until both shoes press with nothing to spare. Where
 * the bar comes before the school’s own bite, it takes hold as much earlier: a hand still finds it.
 */
export function biteSpan(
  wanted: number | undefined,
  reachMm: number,
  leverage: number,
  beforeMm: number,
  stretchMm: number,
): BiteSpan {
  const least = leverage * beforeMm
  const free = leverage * (beforeMm + RUNS_FREE.least)
  const bar = reachMm - RESERVE_MARGIN_MM - stretchMm
  const half = BITE_HALF * reachMm
  const [aimLow, aimHigh] =
    wanted === undefined ? [free, leverage * (beforeMm + RUNS_FREE.most)] : [wanted - half, wanted + half]
  const latest = Math.min(aimHigh, bar)
  const low = Math.max(least, Math.min(aimLow, latest - (aimHigh - aimLow)))
  // Never so narrow that no hand could find it, while it is not known that there is no setting.
  const high = Math.max(latest, low + NARROWEST_MM)
  const room = (high - low) / 4
  const fits = wanted !== undefined && wanted >= low + room && wanted <= high - room
  return { least, free, low, high, latest, bar, byBar: latest < aimHigh, target: fits ? wanted : (low + high) / 2 }
}

/** Where the book’s brake takes hold by the chosen school. */
export function drumSetting(
  schools: ChosenSchools,
  lever: Lever,
  beforeMm: number,
  freePlayMm: number,
  stretchMm: number,
  ratio: number,
): Setting {
  const pulls = leverage(lever)
  const { target } = biteSpan(wantedBiteMm(schools, lever), lever.reachMm, pulls, beforeMm, stretchMm)
  const cableMm = Math.max(0, cableFromTravel(lever, target) - freePlayMm)
  return {
    cableMm,
    travelMm: target,
    share: target / lever.reachMm,
    words: `shoes ${(cableMm / ratio).toFixed(2)} mm clear at the cam`,
  }
}
