import type { Worked } from '../calculation/calculation.ts'
import { cableFriction } from '../calculations/cable.ts'
import { handForce, leverTravel, rearSkid } from '../calculations/hand-force.ts'
import type { Dimensions, Family, FamilyModel } from '../families/family.ts'
import { type Outcome, ok } from '../outcome/outcome.ts'
import type { End } from '../stand/hardware.ts'

export type LeverVerdict = 'fits' | 'weak' | 'bar'

/** Lever, brake, wheel and rider together. */
export interface LeverMatch {
  readonly verdict: LeverVerdict
  readonly say: string
  readonly remedy: string
  readonly contactTravelMm: number
  readonly contactShare: number
  readonly reserveMm: number
  readonly leverage: number
  readonly linkageRatio: number
  readonly handForceN: number
  readonly decelerationG: number
  readonly worked: readonly Worked[]
}

/** The gap each side that the match is judged at: the middle of 1 to 2 mm (common practice). */
export const MATCH_GAP_MM = 1.5
/** Wanted of a front brake by itself: 0.50 g, 16 CFR 1512.18 (from memory). */
export const WANTED_G = 0.5
/** Most a hand should need: 178 N (40 lbf), 16 CFR 1512.18 (from memory). */
export const MOST_HAND_N = 178
const LEAST_RESERVE_MM = 10
/** More than this with one finger tires. Our choice. */
export const ONE_FINGER_N = 60
const STEP_MM = 0.05

/** Local linkage ratio at the match gap, pulled cable over both pads’ closing. */
const ratioOf = (model: FamilyModel): number =>
  (model.throw.cableForGap(MATCH_GAP_MM) - model.throw.cableForGap(MATCH_GAP_MM - STEP_MM)) / (2 * STEP_MM)

const n = (value: number) => `${Math.round(value)} N`

/** Common cable arms, short-pull and long-pull, mm (from memory). */
const COMMON_ARMS = [
  { armMm: 20, title: 'short-pull' },
  { armMm: 30, title: 'long-pull' },
] as const

/** Whether this lever belongs to this brake, computed for this wheel and this load rather than only named. */
export function leverMatch(family: Family, d: Dimensions, end: End): Outcome<LeverMatch> {
  const model = family.fit(d)
  if (!model.ok) return model
  const match = judge(d, model.value, end)
  if (!match.ok || match.value.verdict === 'fits') return match
  const other = COMMON_ARMS.find(({ armMm }) => {
    const own = { ...d, leverCableArmMm: armMm }
    const fitted = family.fit(own)
    const judged = fitted.ok ? judge(own, fitted.value, end) : fitted
    return judged.ok && judged.value.verdict === 'fits'
  })
  const remedy = other
    ? `Fit a ${other.title} lever, about ${other.armMm} mm from pivot to cable end: this brake works with it.`
    : match.value.verdict === 'bar'
      ? 'No common lever puts it right: look for a soft housing, a reach too short, or a brake with less linkage.'
      : 'No common lever puts it right: look at pads, rim and load, or fit a brake with more linkage.'
  return ok({ ...match.value, remedy })
}

function judge(d: Dimensions, model: FamilyModel, end: End): Outcome<LeverMatch> {
  const of = (id: string) => d[id] as number
  const friction = cableFriction.work({ friction: of('cableFriction'), bendDeg: of('bendDeg') })
  if (!friction.ok) return friction
  const { efficiency } = friction.value.outputs
  const lever = {
    leverCableArmMm: of('leverCableArmMm'),
    leverFingerArmMm: of('leverFingerArmMm'),
  }
  const travel = leverTravel.work({
    ...lever,
    cablePullMm: model.throw.cableForGap(MATCH_GAP_MM),
    freePlayMm: model.throw.freePlayMm,
    leverReachMm: of('leverReachMm'),
    cableForceN: model.throw.hardTensionN,
    stiffnessNPerMm: model.throw.stiffnessNPerMm,
  })
  if (!travel.ok) return travel
  const skid = rearSkid.work({
    wheelbaseMm: of('wheelbaseMm'),
    cgHeightMm: of('cgHeightMm'),
    cgBehindFrontMm: of('cgBehindFrontMm'),
    tyreFriction: of('tyreFriction'),
  })
  if (!skid.ok) return skid
  const decelerationG = end === 'front' ? WANTED_G : Math.min(WANTED_G, skid.value.outputs.limitG)
  const force = handForce.work({
    ...lever,
    massKg: of('loadedMassKg'),
    decelerationG,
    padFriction: of('padFriction'),
    trackRadiusMm: of('beadSeatMm') / 2,
    tyreRadiusMm: of('beadSeatMm') / 2 + of('tyreWidthMm'),
    linkageRatio: ratioOf(model),
    efficiency,
  })
  if (!force.ok) return force
  const { contactTravelMm, contactShare, reserveMm } = travel.value.outputs
  const { handForceN, leverage } = force.value.outputs
  const verdict: LeverVerdict = reserveMm < LEAST_RESERVE_MM ? 'bar' : handForceN > MOST_HAND_N ? 'weak' : 'fits'
  const stopped = end === 'front' ? 'half a g' : `${decelerationG.toFixed(2)} g, where the rear tyre lets go`
  const says: Readonly<Record<LeverVerdict, string>> = {
    fits: `Lever and brake belong together.${handForceN > ONE_FINGER_N ? ' Too much for one finger: place the lever for two.' : ''}`,
    weak: `Firm but weak: ${n(handForceN)} at the finger for ${stopped}. At most ${n(MOST_HAND_N)}.`,
    bar: `The lever comes to the bar: ${Math.max(0, Math.round(reserveMm))} mm left at a hard squeeze, at least ${LEAST_RESERVE_MM} mm wanted.`,
  }
  return ok({
    verdict,
    say: says[verdict],
    remedy: '',
    contactTravelMm,
    contactShare,
    reserveMm,
    leverage,
    linkageRatio: force.value.inputs.linkageRatio,
    handForceN,
    decelerationG,
    worked: [friction.value, travel.value, skid.value, force.value],
  })
}

/** Pads for one rim on another: what that does, or undefined where they belong together. */
export function padMismatch(rim: string, pads: string): string | undefined {
  if (rim === pads) return undefined
  if (rim === 'carbon') return 'Pads not made for carbon overheat and tear a carbon track: never. Fit pads for carbon.'
  if (pads === 'carbon')
    return `Pads made for carbon brake poorly and wear quickly on a ${rim} rim. Fit pads for ${rim}.`
  return rim === 'steel'
    ? 'Pads for alloy brake poorly on a steel rim, worst in the wet. Fit pads for steel.'
    : 'Pads for steel wear an alloy track quickly. Fit pads for alloy.'
}
