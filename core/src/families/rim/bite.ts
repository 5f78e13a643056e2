import { BENCH_HABIT, ridersChoice, thirdOfTravel } from '../../bench/bite.ts'
import type { Throw } from '../../brake/model.ts'
import type { ChosenSchool, SchoolSpec } from '../../brake/school.ts'
import { bisect } from '../../mechanics/bisect.ts'
import { cableFromTravel, fingerTravel } from '../../mechanics/lever.ts'

/** What a bite school needs to know of a rim brake. */
export interface RimThrow extends Throw {
  /** Cable (mm) from contact for the same gap (mm) at each pad. */
  readonly cableForGap: (gapMm: number) => number
}

/** What a rim brake’s throw knows beyond every brake’s; undefined for one that has no rim to stand off. */
export const rimThrowOf = (brake: { readonly throw: Throw }): RimThrow | undefined =>
  'cableForGap' in brake.throw ? (brake.throw as RimThrow) : undefined

/** Where the brake shall bite. All options name one and the same setting in their own words. */
export const BITE: SchoolSpec = {
  id: 'bite',
  title: 'bite',
  options: [
    thirdOfTravel('The bite comes about one third of the way to the bar.'),
    {
      id: 'give-back',
      title: 'give back',
      says: 'Pull both pads to the rim, then let 4 mm of cable back through the anchor.',
      source: BENCH_HABIT,
      amount: { unit: 'mm', usual: 4, min: 1, max: 20 },
    },
    {
      id: 'gap',
      title: 'gaps first',
      says: 'Each pad stands a set distance off the rim.',
      source: BENCH_HABIT,
      amount: { unit: 'mm', usual: 1.5, min: 0.3, max: 4 },
    },
    ridersChoice('Pull in fully, back off a little, try it: small hands want it short, others long.'),
  ],
}

export const DEFAULT_BITE: ChosenSchool = { option: 'third', amount: 1 / 3 }

/** What a setting is in every school's words. Gaps equal, rim centred. */
export interface BiteSetting {
  readonly cableMm: number
  readonly gapMm: number
  readonly travelMm: number
  readonly share: number
}

/** Wider than any brake is set. */
export const WIDEST_GAP_MM = 10

/** The gap at each pad that a length of cable from contact opens, by bisection: cable grows with the gap. */
const gapForCable = (brake: RimThrow, cableMm: number): number =>
  bisect(0, WIDEST_GAP_MM, (gap) => brake.cableForGap(gap) < cableMm)

/** One setting from any school; the bridge on which they convert into one another. */
export function biteSetting({ option, amount = 0 }: ChosenSchool, brake: RimThrow): BiteSetting {
  const fromCable = (cableMm: number): BiteSetting => {
    const travelMm = fingerTravel(brake.lever, cableMm + brake.freePlayMm)
    return { cableMm, gapMm: gapForCable(brake, cableMm), travelMm, share: travelMm / brake.lever.reachMm }
  }
  const fromTravel = (travelMm: number) =>
    fromCable(Math.max(0, cableFromTravel(brake.lever, travelMm) - brake.freePlayMm))
  if (option === 'third') return fromTravel(amount * brake.lever.reachMm)
  if (option === 'rider') return fromTravel(amount)
  return fromCable(option === 'gap' ? brake.cableForGap(amount) : amount)
}

/** The same setting said by another school. */
export function convertBite(school: ChosenSchool, to: string, brake: RimThrow): ChosenSchool {
  const setting = biteSetting(school, brake)
  const amounts: Readonly<Record<string, number>> = {
    third: setting.share,
    'give-back': setting.cableMm,
    gap: setting.gapMm,
    rider: setting.travelMm,
  }
  return { option: to, amount: amounts[to] ?? setting.travelMm }
}
