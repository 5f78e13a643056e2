import type { Dimensions, Here } from '../../brake/dimension.ts'
import type { Family } from '../../brake/family.ts'
import type { BrakeModel } from '../../brake/model.ts'
import type { ChosenSchools } from '../../brake/school.ts'
import { RESERVE_MARGIN_MM } from '../../brake/window.ts'
import type { Worked } from '../../calculation/calculation.ts'
import { cableFriction } from '../../calculations/cable.ts'
import { handTorque, leverTravel, rearSkid } from '../../calculations/hand-force.ts'
import { wantedStop } from '../../mechanics/stopping.ts'
import { type Outcome, ok } from '../../outcome/outcome.ts'

export type LeverVerdict = 'fits' | 'weak' | 'weak-wet' | 'bar'

/** What the match is judged for: the job’s own schools, and the share of the friction that is left in the wet. */
export interface MatchedFor {
  readonly schools: ChosenSchools
  readonly wetShare: number
}

/** Lever, brake, wheel and rider together. */
export interface LeverMatch {
  readonly verdict: LeverVerdict
  readonly say: string
  readonly remedy: string
  /** It fits, and yet: the stop that is reached where the whole of it is not. */
  readonly remark?: string
  /** Where the chosen school has the brake bite, in words of the pads. */
  readonly setting: string
  readonly contactTravelMm: number
  readonly contactShare: number
  readonly reserveMm: number
  readonly leverage: number
  /** Braking torque for each newton of tension at the brake, N·m, dry. */
  readonly torqueNmPerN: number
  readonly handForceN: number
  readonly decelerationG: number
  readonly wetHandForceN: number
  readonly wetDecelerationG: number
  readonly worked: readonly Worked[]
}

/** Most a hand should need: 178 N (40 lbf), 16 CFR 1512.18 (from memory). */
export const MOST_HAND_N = 178
/** Wanted in the wet of a brake by itself: 16 km/h stopped in 5 m, behind in 10 m; ISO 4210-4 (from memory). */
export const WANTED_WET_G = { front: 0.2, rear: 0.1 } as const
/** Heavier than this, bicycle and load, it is asked whether one brake must stop it alone, and said which it is, kg. Our choice. */
export const HEAVY_KG = 120
/** More than this with one finger tires. Our choice. */
export const ONE_FINGER_N = 60

const n = (value: number) => `${Math.round(value)} N`

/** Common cable arms, short-pull and long-pull, mm (from memory). */
const COMMON_ARMS = [
  { armMm: 20, title: 'short-pull' },
  { armMm: 30, title: 'long-pull' },
] as const

const NO_LEVER: Readonly<Record<Exclude<LeverVerdict, 'fits'>, string>> = {
  bar: 'No common lever puts it right: choose a school that bites earlier, or look for a soft housing, a reach too short, or a brake with less linkage.',
  weak: 'No common lever puts it right: look at its friction and the load, or fit a brake with more linkage.',
  'weak-wet': 'Keep clean what rubs, and tell the rider what rain does.',
}

/** Whether this lever belongs to this brake, computed for this wheel and this load rather than only named. */
export function leverMatch(family: Family, d: Dimensions, here: Here, matched: MatchedFor): Outcome<LeverMatch> {
  const model = family.fit(d, here)
  if (!model.ok) return model
  const match = judge(d, model.value, here, matched)
  if (!match.ok || match.value.verdict === 'fits') return match
  const { verdict } = match.value
  const other = COMMON_ARMS.find(({ armMm }) => {
    const own = { ...d, leverCableArmMm: armMm }
    const fitted = family.fit(own, here)
    const judged = fitted.ok ? judge(own, fitted.value, here, matched) : fitted
    return judged.ok && judged.value.verdict === 'fits'
  })
  const remedy = other
    ? `Fit a ${other.title} lever, about ${other.armMm} mm from pivot to cable end: this brake works with it.`
    : (model.value.noLever?.[verdict] ?? NO_LEVER[verdict])
  return ok({ ...match.value, remedy })
}

/** The stop (g) at which the lever still stands its margin from the bar: travel after contact grows with the pull. */
const reachedG = (wantedG: number, fromContactMm: number, reserveMm: number): number =>
  (wantedG * (fromContactMm - RESERVE_MARGIN_MM)) / (fromContactMm - reserveMm)

function judge(d: Dimensions, model: BrakeModel, { end }: Here, matched: MatchedFor): Outcome<LeverMatch> {
  const of = (id: string) => d[id] as number
  const friction = cableFriction.work({ friction: of('cableFriction'), bendDeg: of('bendDeg') })
  if (!friction.ok) return friction
  const { efficiency } = friction.value.outputs
  const lever = {
    leverCableArmMm: of('leverCableArmMm'),
    leverFingerArmMm: of('leverFingerArmMm'),
  }
  const setting = model.setting(matched.schools)
  const travelAt = (cableForceN: number) =>
    leverTravel.work({
      ...lever,
      cablePullMm: setting.cableMm,
      freePlayMm: model.throw.freePlayMm,
      leverReachMm: of('leverReachMm'),
      cableForceN,
      stiffnessNPerMm: model.throw.stiffnessNPerMm,
    })
  const travel = travelAt(model.throw.squeezeTensionN)
  if (!travel.ok) return travel
  const atStop = model.throw.stopTensionN === undefined ? undefined : travelAt(model.throw.stopTensionN)
  if (atStop && !atStop.ok) return atStop
  const skid = rearSkid.work({
    wheelbaseMm: of('wheelbaseMm'),
    cgHeightMm: of('cgHeightMm'),
    cgBehindFrontMm: of('cgBehindFrontMm'),
    tyreFriction: of('tyreFriction'),
  })
  if (!skid.ok) return skid
  const asked = model.asked ?? 1
  const decelerationG = asked * wantedStop(end, skid.value.outputs.limitG)
  const wetDecelerationG = asked * WANTED_WET_G[end]
  const forceFor = (stopG: number, frictionShare: number) =>
    handTorque.work({
      ...lever,
      massKg: of('loadedMassKg'),
      decelerationG: stopG,
      tyreRadiusMm: of('beadSeatMm') / 2 + of('tyreWidthMm'),
      torqueNmPerN: model.torqueNm(1, frictionShare),
      efficiency,
    })
  const force = forceFor(decelerationG, 1)
  if (!force.ok) return force
  const wet = forceFor(wetDecelerationG, matched.wetShare)
  if (!wet.ok) return wet
  const { contactTravelMm, contactShare, reserveMm } = travel.value.outputs
  const { handForceN, leverage } = force.value.outputs
  const wetHandForceN = wet.value.outputs.handForceN
  const verdict: LeverVerdict =
    reserveMm <= RESERVE_MARGIN_MM
      ? 'bar'
      : handForceN > MOST_HAND_N
        ? 'weak'
        : wetHandForceN > MOST_HAND_N
          ? 'weak-wet'
          : 'fits'
  const stopReserveMm = atStop?.value.outputs.reserveMm
  const remark =
    stopReserveMm !== undefined && stopReserveMm <= RESERVE_MARGIN_MM
      ? `the lever is near the bar at ${reachedG(decelerationG, of('leverReachMm') - contactTravelMm, stopReserveMm).toFixed(2)} g, ${decelerationG.toFixed(2)} g wanted: say so to whoever rides it with load`
      : undefined
  const together =
    asked < 1
      ? 'Both brakes are judged together, half of the stop each. '
      : of('loadedMassKg') > HEAVY_KG
        ? 'Judged as the one brake that stops this load. '
        : ''
  const stopped =
    asked < 1
      ? `${decelerationG.toFixed(2)} g`
      : end === 'front'
        ? 'half a g'
        : `${decelerationG.toFixed(2)} g, where the rear tyre lets go`
  const says: Readonly<Record<LeverVerdict, string>> = {
    fits: `Lever and brake belong together.${handForceN > ONE_FINGER_N ? ' Too much for one finger: place the lever for two.' : ''}`,
    weak: `Firm but weak: ${n(handForceN)} at the finger for ${stopped}. At most ${n(MOST_HAND_N)}.`,
    'weak-wet': `Well dry, but weak in the wet: ${n(wetHandForceN)} at the finger for ${wetDecelerationG.toFixed(1)} g. At most ${n(MOST_HAND_N)}.`,
    bar: `The lever comes to the bar: ${Math.max(0, Math.round(reserveMm))} mm to the bar at the squeeze this stop needs, more than ${RESERVE_MARGIN_MM} mm wanted.`,
  }
  return ok({
    verdict,
    say: `${together}${says[verdict]}`,
    remedy: '',
    ...(remark && { remark }),
    setting: setting.words,
    contactTravelMm,
    contactShare,
    reserveMm,
    leverage,
    torqueNmPerN: force.value.inputs.torqueNmPerN,
    handForceN,
    decelerationG,
    wetHandForceN,
    wetDecelerationG,
    worked: [friction.value, travel.value, ...(atStop ? [atStop.value] : []), skid.value, force.value, wet.value],
  })
}
