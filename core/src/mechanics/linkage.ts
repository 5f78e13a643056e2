import { distance, type Point, rotateAbout } from './vector.ts'

/**
 * A brake arm in the front plane, in mm: x to the rider's right, y up, origin midway between the pivots.
 * Points are given as they lie at contact, when the pad face stands on the rim.
 */
export interface Arm {
  readonly pivot: Point
  readonly padFace: Point
  readonly cable: Point
  /** Rotation that opens the arm: +1 anticlockwise (left arm pivoted below its pad), −1 clockwise. */
  readonly opens: 1 | -1
}

/** How the cable ties the arms together: tip to tip, or a straddle cable of fixed length hung over a yoke. */
export type Tie = { readonly kind: 'direct' } | { readonly kind: 'straddle'; readonly lengthMm: number }

export interface Linkage {
  readonly left: Arm
  readonly right: Arm
  readonly tie: Tie
}

/** Opening angles of both arms from contact, in radians; 0 is contact, positive is open. */
export interface Opening {
  readonly left: number
  readonly right: number
}

export const padAt = (arm: Arm, openRad: number): Point => rotateAbout(arm.padFace, arm.pivot, arm.opens * openRad)
export const cableAt = (arm: Arm, openRad: number): Point => rotateAbout(arm.cable, arm.pivot, arm.opens * openRad)

/** Which way is off the rim for this arm: −1 for the left pad, +1 for the right. */
const outward = (arm: Arm): number => Math.sign(arm.padFace[0])

/** Horizontal distance the pad face has left the rim, in mm, at an opening angle. */
export const gapAt = (arm: Arm, openRad: number): number => outward(arm) * (padAt(arm, openRad)[0] - arm.padFace[0])

/** d gap / d angle at an opening, in mm per radian. */
export function gapRate(arm: Arm, openRad: number): number {
  const [, y] = padAt(arm, openRad)
  return outward(arm) * -arm.opens * (y - arm.pivot[1])
}

/**
 * The opening angle (rad) that gives a gap, by Newton's method from contact.
 * Undefined when the arm cannot reach that gap: the pad would swing past its widest point.
 */
export function openingForGap(arm: Arm, gapMm: number): number | undefined {
  let angle = gapMm / gapRate(arm, 0)
  for (let step = 0; step < 20; step += 1) {
    const rate = gapRate(arm, angle)
    if (!(rate > 0)) return undefined
    const error = gapAt(arm, angle) - gapMm
    angle -= error / rate
    if (Math.abs(error) < 1e-12) return angle
  }
  return Math.abs(gapAt(arm, angle) - gapMm) < 1e-6 ? angle : undefined
}

/** The length the cable must shorten as the brake closes, in mm: tip to tip, or minus the height of the yoke. */
export function tieLength(linkage: Linkage, opening: Opening): number {
  const left = cableAt(linkage.left, opening.left)
  const right = cableAt(linkage.right, opening.right)
  if (linkage.tie.kind === 'direct') return distance(left, right)
  const half = linkage.tie.lengthMm / 2
  const span = Math.abs(right[0] - left[0]) / 2
  return -((left[1] + right[1]) / 2 + Math.sqrt(Math.max(0, half * half - span * span)))
}

/** Cable pull from an opening to contact of both pads, in mm. */
export const cablePull = (linkage: Linkage, opening: Opening): number =>
  tieLength(linkage, opening) - tieLength(linkage, { left: 0, right: 0 })

/** d tie length / d opening angle of each arm, in mm per radian: the moment arms of the cable. */
export function tieRates(linkage: Linkage, opening: Opening): Opening {
  const left = cableAt(linkage.left, opening.left)
  const right = cableAt(linkage.right, opening.right)
  const velocity = (arm: Arm, tip: Point): Point => [
    -arm.opens * (tip[1] - arm.pivot[1]),
    arm.opens * (tip[0] - arm.pivot[0]),
  ]
  const vLeft = velocity(linkage.left, left)
  const vRight = velocity(linkage.right, right)
  if (linkage.tie.kind === 'direct') {
    const span = distance(left, right)
    const unit: Point = [(right[0] - left[0]) / span, (right[1] - left[1]) / span]
    return {
      left: -(unit[0] * vLeft[0] + unit[1] * vLeft[1]),
      right: unit[0] * vRight[0] + unit[1] * vRight[1],
    }
  }
  const half = linkage.tie.lengthMm / 2
  const side = Math.sign(right[0] - left[0]) || 1
  const span = (Math.abs(right[0] - left[0]) || 1e-9) / 2
  const rise = Math.sqrt(Math.max(1e-12, half * half - span * span))
  const slope = (span * side) / (2 * rise)
  return { left: -vLeft[1] / 2 - slope * vLeft[0], right: -vRight[1] / 2 + slope * vRight[0] }
}

/**
 * Linkage ratio at a state: cable pulled per mm of pad movement, for each pad and the mean of both,
 * which is d(pull)/d(gapLeft + gapRight) when both pads move alike. By virtual work without friction
 * it is also pad force over cable tension.
 */
export function linkageRatio(linkage: Linkage, opening: Opening): { left: number; right: number; mean: number } {
  const rates = tieRates(linkage, opening)
  const left = rates.left / gapRate(linkage.left, opening.left)
  const right = rates.right / gapRate(linkage.right, opening.right)
  return { left, right, mean: (left + right) / 2 }
}

/**
 * Arms at rest, their springs in balance: the opening angles for a given cable let-out (mm from contact)
 * and a given difference between the arms (rad, left minus right). Newton's method on the mean angle.
 */
export function restOpening(linkage: Linkage, cableOutMm: number, differenceRad: number): Opening {
  const atContact = tieRates(linkage, { left: 0, right: 0 })
  let mean = cableOutMm / (atContact.left + atContact.right)
  for (let step = 0; step < 12; step += 1) {
    const opening = { left: mean + differenceRad / 2, right: mean - differenceRad / 2 }
    const rates = tieRates(linkage, opening)
    const error = cablePull(linkage, opening) - cableOutMm
    mean -= error / (rates.left + rates.right)
    if (Math.abs(error) < 1e-9) break
  }
  return { left: mean + differenceRad / 2, right: mean - differenceRad / 2 }
}
