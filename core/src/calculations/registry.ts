import type { AnyCalculation, Worked } from '../calculation/calculation.ts'
import { type Outcome, refuse } from '../outcome/outcome.ts'
import { boltPreload, sleeveNut, threadEngagement, throughBolt } from './bolts.ts'
import { cableFriction, cableStretch } from './cable.ts'
import { boltHold, caliperStack } from './caliper-stack.ts'
import { drilledTube } from './drilled-tube.ts'
import { drillAccess, reaming } from './drilling.ts'
import { drumTorque, drumWear } from './drum.ts'
import { caliper, cantilever, discCaliper } from './families.ts'
import { handForce, handTorque, leverTravel, rearSkid } from './hand-force.ts'
import { bladeAngle, leverageChange, reachScrew } from './lever-fit.ts'
import { leverShift } from './lever-shift.ts'
import { leverWeight } from './lever-weight.ts'
import { linearPull } from './linear-pull.ts'
import { brakingLoad, tipOverLimit } from './loads.ts'
import { padArc, padDrift, padHeight, padSpace } from './pads.ts'
import { reachChange, reachFit } from './reach.ts'
import { bendSpace, cableRoute } from './routing.ts'
import { stopTest } from './stop-test.ts'
import { toeShim } from './toe-shim.ts'
import { pullForTorque, torqueFromPull } from './torque-from-pull.ts'
import { wearForecast } from './wear-forecast.ts'

/** Every calculation reachable by its id, in reading order. Ids and names are stable once shipped. */
export const CALCULATIONS: readonly AnyCalculation[] = [
  reachChange,
  reachFit,
  throughBolt,
  sleeveNut,
  threadEngagement,
  boltPreload,
  drilledTube,
  drillAccess,
  reaming,
  linearPull,
  cantilever,
  caliper,
  discCaliper,
  caliperStack,
  boltHold,
  drumTorque,
  drumWear,
  leverShift,
  leverageChange,
  reachScrew,
  bladeAngle,
  padDrift,
  padHeight,
  padArc,
  padSpace,
  toeShim,
  cableRoute,
  bendSpace,
  cableFriction,
  cableStretch,
  torqueFromPull,
  pullForTorque,
  tipOverLimit,
  brakingLoad,
  rearSkid,
  leverTravel,
  leverWeight,
  handForce,
  handTorque,
  stopTest,
  wearForecast,
]

export const findCalculation = (id: string) => CALCULATIONS.find((each) => each.id === id)

/** Works a calculation named by id from untrusted inputs. Refuses an unknown id, naming those there are. */
export function work(id: string, raw: unknown): Outcome<Worked> {
  const found = findCalculation(id)
  if (!found) {
    const known = CALCULATIONS.map((each) => each.id).join(', ')
    return refuse('unknown-calculation', 'id', `There is no calculation “${id}”. Accepted: ${known}.`)
  }
  return found.work(raw)
}
