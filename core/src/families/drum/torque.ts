import type { Dimensions, Here } from '../../brake/dimension.ts'
import { drumTorque } from '../../calculations/drum.ts'
import { type Outcome, ok } from '../../outcome/outcome.ts'

/** Pressure the shoes are worked out at; torque and force go with it. */
const AT_KPA = 1000

/** What the shoes of this drum make of a newton at the cable. */
export interface PerNewton {
  readonly torqueNm: number
  /** Greatest pressure on the leading shoe, kPa. */
  readonly pressureKpa: number
}

export const camRatio = (d: Dimensions): number => (d.armMm as number) / (d.camHalfMm as number)

/** The drum’s own shoes worked at a pressure, by the cam it has. */
export const shoesAt = (d: Dimensions, { traits }: Pick<Here, 'traits'>, maxPressureKpa: number, friction?: number) =>
  drumTorque.work({
    drumRadiusMm: d.drumRadiusMm,
    faceWidthMm: d.faceMm,
    friction: friction ?? d.padFriction,
    pivotRadiusMm: (d.hingeShare as number) * (d.drumRadiusMm as number),
    leverArmMm: (d.shoeArmShare as number) * (d.drumRadiusMm as number),
    startDeg: d.liningStartDeg,
    endDeg: d.liningEndDeg,
    maxPressureKpa,
    cam: traits.cam === 'fixed' ? 'fixed' : 'floating',
  })

/** Both tip forces together are the cable’s tension times arm over cam. Refuses shoes that lock or have no lining. */
export function perNewton(d: Dimensions, here: Pick<Here, 'traits'>, friction?: number): Outcome<PerNewton> {
  const worked = shoesAt(d, here, AT_KPA, friction)
  if (!worked.ok) return worked
  const { actuatingForceN, totalTorqueNm } = worked.value.outputs
  const tensionN = (2 * actuatingForceN) / camRatio(d)
  return ok({ torqueNm: totalTorqueNm / tensionN, pressureKpa: AT_KPA / tensionN })
}
