import type { Family } from '../brake/family.ts'
import type { FastenerSpec } from '../brake/fastener.ts'
import { type Kit, makeKit } from '../brake/kit.ts'
import { LEVER_ADJUSTERS } from '../features/lever-fit/adjusters.ts'
import { REACH_TURNED } from '../features/lever-fit/screw.ts'
import { COMMON_ACTS } from './acts.ts'
import { fastenerGraph, tickSteps } from './fasteners.ts'
import { COMMON_READINGS, COMMON_SEEN } from './readings.ts'
import { COMMON_STEPS } from './steps.ts'
import { COMMON_CAUSES, partsIn } from './unsettled.ts'
import { workSeen } from './work.ts'

const COMMON = {
  readings: COMMON_READINGS,
  seen: ({ works }: Family) => [workSeen(works), ...COMMON_SEEN],
  steps: COMMON_STEPS,
  levers: LEVER_ADJUSTERS,
  apart: [REACH_TURNED],
  causes: COMMON_CAUSES,
  acts: COMMON_ACTS,
  parts: partsIn,
  ticks: (fasteners: readonly FastenerSpec[]) => ({
    steps: tickSteps(fasteners),
    standsOn: fastenerGraph(fasteners),
  }),
}

const kits = new WeakMap<Family, Kit>()

/** All that is read, seen and done at a brake of this family; merged once. */
export function kitOf(family: Family): Kit {
  const kit = kits.get(family) ?? makeKit(COMMON, family)
  kits.set(family, kit)
  return kit
}
