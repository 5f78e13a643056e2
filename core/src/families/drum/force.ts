import type { Dimensions, Here } from '../../brake/dimension.ts'
import type { Worked } from '../../calculation/calculation.ts'
import { cableFriction } from '../../calculations/cable.ts'
import { handForce, handTorque, leverTravel } from '../../calculations/hand-force.ts'
import { type Outcome, ok } from '../../outcome/outcome.ts'
import { stiffnessOf } from './stiffness.ts'
import { camRatio, perNewton, shoesAt } from './torque.ts'

/** A stop that is asked of one brake, and what it takes. */
export interface Asked {
  readonly what: string
  readonly massKg: number
  readonly decelerationG: number
  readonly handN: number
  /** From blade to bar at that pull; below 0 the lever is at the bar before. Not for a rim brake, which has its own lever. */
  readonly reserveMm?: number
  /** Greatest pressure on the leading lining, MPa. */
  readonly pressureMpa?: number
  readonly worked: readonly Worked[]
}

/** Hub drums that are common, mm across. */
export const COMMON_DRUMS = [70, 90] as const

/** A usual rim brake to stand beside: two long arms, a long-pull lever. From memory. */
const RIM = { padFriction: 0.4, linkageRatio: 3.5, leverCableArmMm: 30, leverFingerArmMm: 75 } as const

interface Stop {
  readonly massKg: number
  readonly decelerationG: number
}

/** What this drum, or one of another radius on the same arm and lever, takes for a stop. */
export function drumStop(
  d: Dimensions,
  here: Pick<Here, 'traits'>,
  { massKg, decelerationG }: Stop,
  cableMm: number,
): Outcome<Asked> {
  const of = (id: string) => d[id] as number
  const each = perNewton(d, here)
  if (!each.ok) return each
  const friction = cableFriction.work({ friction: of('cableFriction'), bendDeg: of('bendDeg') })
  if (!friction.ok) return friction
  const lever = { leverCableArmMm: of('leverCableArmMm'), leverFingerArmMm: of('leverFingerArmMm') }
  const force = handTorque.work({
    ...lever,
    massKg,
    decelerationG,
    tyreRadiusMm: of('beadSeatMm') / 2 + of('tyreWidthMm'),
    torqueNmPerN: each.value.torqueNm,
    efficiency: friction.value.outputs.efficiency,
  })
  if (!force.ok) return force
  const { cableForceN, handForceN } = force.value.outputs
  const pressureKpa = each.value.pressureKpa * cableForceN
  const shoes = shoesAt(d, here, pressureKpa)
  const travel = leverTravel.work({
    ...lever,
    cablePullMm: cableMm,
    freePlayMm: 0,
    leverReachMm: of('leverReachMm'),
    cableForceN,
    stiffnessNPerMm: stiffnessOf(d),
  })
  if (!travel.ok) return travel
  return ok({
    what: `${Math.round(2 * of('drumRadiusMm'))} mm drum`,
    massKg,
    decelerationG,
    handN: handForceN,
    reserveMm: travel.value.outputs.reserveMm,
    pressureMpa: pressureKpa / 1000,
    worked: [friction.value, force.value, ...(shoes.ok ? [shoes.value] : []), travel.value],
  })
}

/** A rim brake on the same wheel, for the same stop. */
export function rimStop(d: Dimensions, { massKg, decelerationG }: Stop): Outcome<Asked> {
  const of = (id: string) => d[id] as number
  const friction = cableFriction.work({ friction: of('cableFriction'), bendDeg: of('bendDeg') })
  if (!friction.ok) return friction
  const force = handForce.work({
    ...RIM,
    massKg,
    decelerationG,
    trackRadiusMm: of('beadSeatMm') / 2,
    tyreRadiusMm: of('beadSeatMm') / 2 + of('tyreWidthMm'),
    efficiency: friction.value.outputs.efficiency,
  })
  return force.ok
    ? ok({
        what: 'a rim brake here',
        massKg,
        decelerationG,
        handN: force.value.outputs.handForceN,
        worked: [friction.value, force.value],
      })
    : force
}

/** Cable (mm) to the bite of the book: the shoes’ clearance at the cam, by arm over cam, and the free play before it. */
export const bookCableMm = (d: Dimensions, freePlayMm: number): number =>
  freePlayMm + camRatio(d) * (d.clearanceMm as number)
