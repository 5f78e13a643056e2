import { type Arm, gapRate, type Linkage, restOpening, tieRates } from '../mechanics/linkage.ts'

/** A linkage with its constants worked out once, for the thousands of predictions behind one piece of advice. */
export interface FastLinkage {
  readonly gapLeft: (openRad: number) => number
  readonly gapRight: (openRad: number) => number
  /** d gap / d angle at contact, mm per radian. */
  readonly rateLeft: number
  readonly rateRight: number
  readonly tie: (leftRad: number, rightRad: number) => number
  /** The tie with both pads on the rim. */
  readonly atContact: number
  /** Mean opening at rest for a cable let-out (mm) and a difference between the arms (rad). */
  readonly restMean: (cableOutMm: number, differenceRad: number) => number
}

/** Cable left over before the last correction of a rest position, and the steps it may take. */
const REST_MM = 3e-4
const MOST_STEPS = 12
/** An arm opened further than this has left its brake: the quick way is given up for the safe one. */
const WIDEST_RAD = 1
/** Cable let out for which the guess is right. */
const USUAL_MM = 8

const compiled = new WeakMap<Linkage, FastLinkage>()

function fastGap(arm: Arm): (openRad: number) => number {
  const x = arm.padFace[0] - arm.pivot[0]
  const y = arm.padFace[1] - arm.pivot[1]
  const outward = Math.sign(arm.padFace[0])
  return (angle) => outward * (x * (Math.cos(angle) - 1) - y * Math.sin(arm.opens * angle))
}

function directTie({ left, right }: Linkage): (leftRad: number, rightRad: number) => number {
  const lx = left.cable[0] - left.pivot[0]
  const ly = left.cable[1] - left.pivot[1]
  const rx = right.cable[0] - right.pivot[0]
  const ry = right.cable[1] - right.pivot[1]
  const dx = right.pivot[0] - left.pivot[0]
  const dy = right.pivot[1] - left.pivot[1]
  return (leftRad, rightRad) => {
    const cl = Math.cos(leftRad)
    const sl = left.opens * Math.sin(leftRad)
    const cr = Math.cos(rightRad)
    const sr = right.opens * Math.sin(rightRad)
    const x = dx + cr * rx - sr * ry - cl * lx + sl * ly
    const y = dy + sr * rx + cr * ry - sl * lx - cl * ly
    return Math.sqrt(x * x + y * y)
  }
}

/** Height of the yoke, downwards, for a straddle cable of fixed length: the tie that shortens as the brake closes. */
function straddleTie({ left, right }: Linkage, lengthMm: number): (leftRad: number, rightRad: number) => number {
  const lx = left.cable[0] - left.pivot[0]
  const ly = left.cable[1] - left.pivot[1]
  const rx = right.cable[0] - right.pivot[0]
  const ry = right.cable[1] - right.pivot[1]
  const half = lengthMm / 2
  return (leftRad, rightRad) => {
    const cl = Math.cos(leftRad)
    const sl = left.opens * Math.sin(leftRad)
    const cr = Math.cos(rightRad)
    const sr = right.opens * Math.sin(rightRad)
    const span = (right.pivot[0] + cr * rx - sr * ry - (left.pivot[0] + cl * lx - sl * ly)) / 2
    const height = (left.pivot[1] + sl * lx + cl * ly + right.pivot[1] + sr * rx + cr * ry) / 2
    return -(height + Math.sqrt(Math.max(0, half * half - span * span)))
  }
}

export function compileLinkage(linkage: Linkage): FastLinkage {
  const known = compiled.get(linkage)
  if (known) return known
  const rates = tieRates(linkage, { left: 0, right: 0 })
  const rate = rates.left + rates.right
  const tie = linkage.tie.kind === 'direct' ? directTie(linkage) : straddleTie(linkage, linkage.tie.lengthMm)
  const atContact = tie(0, 0)

  /** Corrected by the slope met on the way; the last correction leaves far less than `REST_MM`. */
  const solve = (cableOutMm: number, half: number, from: number): number | undefined => {
    let mean = from
    let slope = rate
    let last = 0
    for (let step = 0; step < MOST_STEPS; step += 1) {
      const error = tie(mean + half, mean - half) - atContact - cableOutMm
      if (step > 0 && error !== last) slope *= 1 - error / last
      mean -= error / slope
      if (!(slope > 0 && Math.abs(mean) < WIDEST_RAD)) return undefined
      if (Math.abs(error) < REST_MM) return mean
      last = error
    }
    return undefined
  }

  const usual = solve(USUAL_MM, 0, USUAL_MM / rate) ?? USUAL_MM / rate
  const bend = (usual - USUAL_MM / rate) / (USUAL_MM * USUAL_MM)
  const fast: FastLinkage = {
    gapLeft: fastGap(linkage.left),
    gapRight: fastGap(linkage.right),
    rateLeft: gapRate(linkage.left, 0),
    rateRight: gapRate(linkage.right, 0),
    tie,
    atContact,
    restMean(cableOutMm, differenceRad) {
      const half = differenceRad / 2
      const guess = cableOutMm / rate + bend * cableOutMm * cableOutMm
      return solve(cableOutMm, half, guess) ?? restOpening(linkage, cableOutMm, differenceRad).left - half
    },
  }
  compiled.set(linkage, fast)
  return fast
}
