import { askedOf } from '../../bench/stops-with.ts'
import type { Dimensions, Here } from '../../brake/dimension.ts'
import type { BrakeModel, ModelInput } from '../../brake/model.ts'
import { compileLinkage } from '../../linkages/compile.ts'
import { bendEfficiency, inSeries, wireStiffness } from '../../mechanics/cable.ts'
import { leverage } from '../../mechanics/lever.ts'
import { type Linkage, linkageRatio, openingForGap } from '../../mechanics/linkage.ts'
import { padForce, rearSkidLimit, wantedStop } from '../../mechanics/stopping.ts'
import { toRad } from '../../mechanics/vector.ts'
import type { RimThrow } from './bite.ts'
import type { Squeeze } from './outline.ts'

/** The order of `q` for every rim brake. */
export const Q = { cable: 0, balance: 1, ratio: 2, freePlay: 3, lever: 4, stiffness: 5, offset: 6 } as const

export const RIM_INPUTS: readonly ModelInput[] = [
  { id: 'cable', title: 'cable let out from contact, mm', mean: 9, sd: 7, lasting: false },
  { id: 'balance', title: 'difference between the arms, rad', mean: 0, sd: 0.06, lasting: false },
  { id: 'ratio', title: 'true linkage ratio over the book’s, log', mean: 0, sd: 0.1, lasting: true },
  { id: 'freePlay', title: 'cable free play, mm', mean: 1, sd: 0.6, lasting: false },
  { id: 'lever', title: 'true lever ratio over the book’s, log', mean: 0, sd: 0.05, lasting: true },
  { id: 'stiffness', title: 'true stiffness over the book’s, log', mean: 0, sd: 0.3, lasting: true },
  { id: 'offset', title: 'rim off centre, mm to the right', mean: 0, sd: 1, lasting: false },
]

/** The order of `y` for every rim brake. */
export const RIM_READINGS = ['gapLeft', 'gapRight', 'biteTravel', 'reserve', 'gapDifference', 'wheelOffset'] as const

const AT_CONTACT = { left: 0, right: 0 }

/** Tension (N) at the brake that the stop asked of it needs, the pads pressing at contact. */
function stopTension(d: Dimensions, here: Here, contactRatio: number): number {
  const of = (id: string) => d[id] as number
  const skid = rearSkidLimit(of('tyreFriction'), of('wheelbaseMm'), of('cgHeightMm'), of('cgBehindFrontMm'))
  const track = of('beadSeatMm') / 2
  const pad = padForce(
    of('loadedMassKg'),
    askedOf(here) * wantedStop(here.end, skid),
    track,
    track + of('tyreWidthMm'),
    of('padFriction'),
  )
  return pad / contactRatio
}

/** Leverage, stiffness and the tension of the one squeeze that reserve and force are judged at. */
export function pull(d: Dimensions, linkage: Linkage, here: Here) {
  const ratio = leverage({
    cableArmMm: d.leverCableArmMm as number,
    fingerArmMm: d.leverFingerArmMm as number,
    reachMm: 0,
  })
  const efficiency = bendEfficiency(d.cableFriction as number, toRad(d.bendDeg as number))
  const stiffness = inSeries(
    wireStiffness(d.cableModulusGpa as number, d.cableAreaMm2 as number, d.cableLengthMm as number),
    d.housingStiffness as number,
    d.brakeStiffness as number,
  )
  const contactRatio = linkageRatio(linkage, AT_CONTACT).mean
  const hardTensionN = (d.hardSqueezeN as number) * ratio * efficiency
  return {
    leverage: ratio,
    efficiency,
    stiffness,
    contactRatio,
    squeezeTensionN: Math.max(hardTensionN, stopTension(d, here, contactRatio)),
  }
}

export type Pull = ReturnType<typeof pull>

/** Steps of a slope: of an input, in its prior’s spread; of an arm, in radians. */
const INPUT_STEP = 1e-3
const ARM_STEP = 1e-4

/**
 * Readings of a rim brake from its inputs: both gaps with the lever at rest, finger travel to first touch,
 * reserve at the squeeze it is judged at, and the wheel's offset; and their slopes, for which the arms’ rest is found once.
 * The arms rest where their springs balance; squeezed, both turn alike until one pad touches, then the other follows.
 */
export function rimReadings(d: Dimensions, linkage: Linkage, lever: Pull): Pick<BrakeModel, 'predict' | 'slopes'> {
  const fast = compileLinkage(linkage)
  const reach = d.leverReachMm as number
  const closedAt = contactOpening(linkage)

  const restOf = (q: Float64Array) =>
    fast.restMean((q[Q.cable] as number) / Math.exp(q[Q.ratio] as number), q[Q.balance] as number)

  const readAt = (mean: number, q: Float64Array, y: Float64Array) => {
    const ratio = Math.exp(q[Q.ratio] as number)
    const offset = q[Q.offset] as number
    const difference = q[Q.balance] as number
    const left = mean + difference / 2
    const right = mean - difference / 2
    const rawLeft = fast.gapLeft(left) + offset
    const rawRight = fast.gapRight(right) - offset
    y[0] = rawLeft + Math.min(0, rawRight)
    y[1] = rawRight + Math.min(0, rawLeft)
    const touchLeft = closedAt.left(-offset)
    const touchRight = closedAt.right(offset)
    const first = Math.max(0, Math.min(left - touchLeft, right - touchRight))
    const tieAtRest = fast.atContact + (q[Q.cable] as number) / ratio
    const toFirst = ratio * (tieAtRest - fast.tie(left - first, right - first))
    const toBoth = ratio * (tieAtRest - fast.tie(touchLeft, touchRight))
    const travel = lever.leverage * Math.exp(q[Q.lever] as number)
    const free = q[Q.freePlay] as number
    y[2] = travel * (free + toFirst)
    y[3] =
      reach - travel * (free + toBoth + lever.squeezeTensionN / (lever.stiffness * Math.exp(q[Q.stiffness] as number)))
    y[4] = (y[0] as number) - (y[1] as number)
    y[5] = offset
  }

  /** How the arms’ mean rest follows each input, from the tie’s slope at either arm: its length at rest is the cable’s. */
  const restSlopes = (mean: number, q: Float64Array): readonly number[] => {
    const half = (q[Q.balance] as number) / 2
    const [left, right] = [mean + half, mean - half]
    const at = fast.tie(left, right)
    const byLeft = (fast.tie(left + ARM_STEP, right) - at) / ARM_STEP
    const byRight = (fast.tie(left, right + ARM_STEP) - at) / ARM_STEP
    const cable = Math.exp(-(q[Q.ratio] as number)) / (byLeft + byRight)
    const slopes = RIM_INPUTS.map(() => 0)
    slopes[Q.cable] = cable
    slopes[Q.ratio] = -(q[Q.cable] as number) * cable
    slopes[Q.balance] = (byRight - byLeft) / 2 / (byLeft + byRight)
    return slopes
  }

  return {
    predict: (q, y) => readAt(restOf(q), q, y),
    slopes(q, y, jacobian) {
      const mean = restOf(q)
      const byInput = restSlopes(mean, q)
      const stepped = new Float64Array(y.length)
      readAt(mean, q, y)
      for (let i = 0; i < q.length; i += 1) {
        const step = INPUT_STEP * (RIM_INPUTS[i] as ModelInput).sd
        const at = q[i] as number
        q[i] = at + step
        readAt(mean + step * (byInput[i] as number), q, stepped)
        q[i] = at
        for (let r = 0; r < y.length; r += 1)
          jacobian[r * q.length + i] = ((stepped[r] as number) - (y[r] as number)) / step
      }
    },
  }
}

/** Opening angle at which each pad meets a rim standing `gap` off its nominal side (rim off centre). */
export function contactOpening(linkage: Linkage) {
  const fast = compileLinkage(linkage)
  const solve = (gapOf: (angle: number) => number, rate: number) => (gap: number) => {
    const angle = gap / rate
    return angle - (gapOf(angle) - gap) / rate
  }
  return { left: solve(fast.gapLeft, fast.rateLeft), right: solve(fast.gapRight, fast.rateRight) }
}

/**
 * The brake at a finger travel: free play first, then both arms turn alike to first touch, then the touching pad
 * pushes the rim aside while the other follows, then the parts stretch. Drawn, and felt, in that order.
 */
export function rimSqueeze(linkage: Linkage, lever: Pull, q: Float64Array, travelMm: number): Squeeze {
  const ratio = Math.exp(q[Q.ratio] as number)
  const offset = q[Q.offset] as number
  const difference = q[Q.balance] as number
  const fast = compileLinkage(linkage)
  const closedAt = contactOpening(linkage)
  const rest = fast.restMean((q[Q.cable] as number) / ratio, difference)
  const left = rest + difference / 2
  const right = rest - difference / 2
  const cable =
    Math.max(0, travelMm / (lever.leverage * Math.exp(q[Q.lever] as number)) - (q[Q.freePlay] as number)) / ratio
  const tieAtRest = fast.tie(left, right)
  const both = (first: number) => tieAtRest - fast.tie(left - first, right - first)
  const marginLeft = left - closedAt.left(-offset)
  const marginRight = right - closedAt.right(offset)
  const first = Math.max(0, Math.min(marginLeft, marginRight))
  const closed = closing(both, Math.min(cable, both(first)), first)
  const pressing = Math.max(0, cable - both(first))
  const leftFirst = marginLeft <= marginRight
  const other = leftFirst ? marginRight - first : marginLeft - first
  const remaining =
    fast.tie(left - first, right - first) -
    fast.tie(left - first - (leftFirst ? 0 : other), right - first - (leftFirst ? other : 0))
  const share = remaining > 0 ? Math.min(1, pressing / remaining) : 1
  const follow = cable >= both(first) ? other * share : 0
  const gapLeft = fast.gapLeft(left - closed - (leftFirst ? 0 : follow)) + offset
  const gapRight = fast.gapRight(right - closed - (leftFirst ? follow : 0)) - offset
  const touched = cable >= both(first)
  const pushed = touched ? 0.25 * share * Math.abs(fast.gapLeft(other)) * (leftFirst ? 1 : -1) : 0
  const tensionN = Math.max(0, pressing - remaining) * ratio * lever.stiffness * Math.exp(q[Q.stiffness] as number)
  return {
    travelMm,
    gapLeftMm: Math.max(0, gapLeft),
    gapRightMm: Math.max(0, gapRight),
    rimShiftMm: offset + pushed,
    tensionN,
  }
}

function closing(pullAt: (angle: number) => number, cable: number, limit: number): number {
  const whole = pullAt(limit)
  if (!(whole > 0)) return 0
  const angle = (limit * cable) / whole
  const error = pullAt(angle) - cable
  return Math.min(limit, angle - (error * limit) / whole)
}

/** What the bite schools need: the lever, and the cable behind a gap each side. */
export function rimThrow(d: Dimensions, linkage: Linkage, lever: Pull): RimThrow {
  const fast = compileLinkage(linkage)
  return {
    lever: {
      cableArmMm: d.leverCableArmMm as number,
      fingerArmMm: d.leverFingerArmMm as number,
      reachMm: d.leverReachMm as number,
    },
    freePlayMm: RIM_INPUTS[Q.freePlay]?.mean ?? 0,
    squeezeTensionN: lever.squeezeTensionN,
    stiffnessNPerMm: lever.stiffness,
    stretchTravelMm: (lever.leverage * lever.squeezeTensionN) / lever.stiffness,
    cableForGap(gapMm) {
      const left = openingForGap(linkage.left, gapMm)
      const right = openingForGap(linkage.right, gapMm)
      return left === undefined || right === undefined
        ? Number.POSITIVE_INFINITY
        : fast.tie(left, right) - fast.tie(0, 0)
    },
  }
}
