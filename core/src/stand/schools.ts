import type { Source } from '../calculation/source.ts'
import type { Throw } from '../families/family.ts'
import { bisect } from '../mechanics/bisect.ts'
import { cableFromTravel, fingerTravel } from '../mechanics/lever.ts'
import { type Outcome, ok, refuse } from '../outcome/outcome.ts'

/** How a workshop says where the brake shall bite. All of them name one and the same setting in their own words. */
export type BiteSchool =
  /** First touch comes at this share of the way to the bar. */
  | { readonly school: 'third'; readonly share: number }
  /** Pull both pads to the rim, then let this much cable back through the anchor, in mm. */
  | { readonly school: 'give-back'; readonly cableMm: number }
  /** Each pad this far off the rim, in mm. */
  | { readonly school: 'gap'; readonly gapMm: number }
  /** Pulled in fully, backed off until the rider likes it: finger travel at first touch, in mm. */
  | { readonly school: 'rider'; readonly travelMm: number }

export type SchoolId = BiteSchool['school']

export interface SchoolSpec {
  readonly id: SchoolId
  readonly title: string
  readonly says: string
  readonly unit: 'mm' | ''
  readonly usual: number
  readonly min: number
  readonly max: number
  readonly source: Source
}

const COMMON: Source = { kind: 'common-practice', title: 'Bench habit' }

export const SCHOOLS: readonly SchoolSpec[] = [
  {
    id: 'third',
    title: 'third of the travel',
    says: 'First touch comes about one third of the way to the bar.',
    unit: '',
    usual: 1 / 3,
    min: 0.1,
    max: 0.7,
    source: COMMON,
  },
  {
    id: 'give-back',
    title: 'give back',
    says: 'Pull both pads to the rim, then let 4 mm of cable back through the anchor.',
    unit: 'mm',
    usual: 4,
    min: 1,
    max: 20,
    source: COMMON,
  },
  {
    id: 'gap',
    title: 'gap-led',
    says: 'Each pad stands a set distance off the rim.',
    unit: 'mm',
    usual: 1.5,
    min: 0.3,
    max: 4,
    source: COMMON,
  },
  {
    id: 'rider',
    title: 'rider’s choice',
    says: 'Pull in fully, back off a little, try it: small hands want it short, others long.',
    unit: 'mm',
    usual: 20,
    min: 5,
    max: 60,
    source: COMMON,
  },
]

export const DEFAULT_SCHOOL: BiteSchool = { school: 'third', share: 1 / 3 }

/** Reads a school as the log keeps it: `third`, `give-back 4`, `gap 1.2`, `rider 25`. */
export function parseSchool(text: string): Outcome<BiteSchool> {
  const [id = '', amount] = text.trim().split(/\s+/)
  const spec = SCHOOLS.find((each) => each.id === id)
  if (!spec)
    return refuse(
      'unknown-school',
      'to',
      `There is no bite school “${id}”. Accepted: ${SCHOOLS.map((each) => each.id).join(', ')}.`,
    )
  const value = amount === undefined ? spec.usual : Number(amount)
  if (!(value >= spec.min && value <= spec.max)) {
    return refuse('out-of-range', 'to', `${spec.title} ${amount}: accepted ${spec.min} to ${spec.max} ${spec.unit}.`)
  }
  return ok(schoolWith(spec.id, value))
}

export const writeSchool = (school: BiteSchool): string => `${school.school} ${Number(amountOf(school).toFixed(3))}`

export const amountOf = (school: BiteSchool): number =>
  school.school === 'third'
    ? school.share
    : school.school === 'give-back'
      ? school.cableMm
      : school.school === 'gap'
        ? school.gapMm
        : school.travelMm

/** A school at its usual figure. */
export const usualOf = (id: SchoolId): BiteSchool => schoolWith(id, SCHOOLS.find((each) => each.id === id)?.usual ?? 0)

const schoolWith = (id: SchoolId, value: number): BiteSchool =>
  id === 'third'
    ? { school: id, share: value }
    : id === 'give-back'
      ? { school: id, cableMm: value }
      : id === 'gap'
        ? { school: id, gapMm: value }
        : { school: id, travelMm: value }

/** What a setting is in every school's words. Gaps equal, rim centred. */
export interface Setting {
  readonly cableMm: number
  readonly gapMm: number
  readonly travelMm: number
  readonly share: number
}

/** Wider than any brake is set. */
export const WIDEST_GAP_MM = 10

/** The gap at each pad that a length of cable from contact opens, by bisection: cable grows with the gap. */
const gapForCable = (brake: Throw, cableMm: number): number =>
  bisect(0, WIDEST_GAP_MM, (gap) => brake.cableForGap(gap) < cableMm)

/** One setting from any school; the bridge on which they convert into one another. */
export function settingOf(school: BiteSchool, brake: Throw): Setting {
  const fromCable = (cableMm: number): Setting => {
    const travelMm = fingerTravel(brake.lever, cableMm + brake.freePlayMm)
    return { cableMm, gapMm: gapForCable(brake, cableMm), travelMm, share: travelMm / brake.lever.reachMm }
  }
  const fromTravel = (travelMm: number) =>
    fromCable(Math.max(0, cableFromTravel(brake.lever, travelMm) - brake.freePlayMm))
  if (school.school === 'third') return fromTravel(school.share * brake.lever.reachMm)
  if (school.school === 'rider') return fromTravel(school.travelMm)
  return fromCable(school.school === 'gap' ? brake.cableForGap(school.gapMm) : school.cableMm)
}

/** The same setting said by another school. */
export function convertSchool(school: BiteSchool, to: SchoolId, brake: Throw): BiteSchool {
  const setting = settingOf(school, brake)
  const amount = { third: setting.share, 'give-back': setting.cableMm, gap: setting.gapMm, rider: setting.travelMm }[to]
  return schoolWith(to, amount)
}
