import type { Fact } from '../../brake/graph.ts'
import type { PlanSpec } from '../../brake/plan.ts'
import { ok, refuse } from '../../outcome/outcome.ts'
import { frameStops } from './drilling.ts'
import { boltMountAt } from './judge.ts'
import { planMount } from './plan.ts'
import { preferenceOf, WAYS } from './ways.ts'

/** Another hole, another bolt, other papers: the way is chosen anew. */
const MEASURED_HOLE: readonly Fact[] = [
  'reading:frameMaterial',
  'reading:cracks',
  'reading:rust',
  'reading:mountBody',
  'reading:boltKind',
  'reading:boltClass',
  'reading:makerApproval',
  'reading:makerTorque',
  'reading:holeFront',
  'reading:holeBack',
  'reading:frameDepth',
  'reading:mountTube',
  'reading:mountWall',
  'reading:curveFront',
  'reading:curveBack',
  'reading:roomBehind',
  'reading:boltOut',
  'reading:boltThreaded',
]

/** The mount as something planned: a way may be chosen only where it can be done. */
export const MOUNT_PLAN: PlanSpec = {
  id: 'mount',
  title: 'way of mounting',
  standsOn: ['swap:brake', ...MEASURED_HOLE],
  ways: WAYS,
  admit(at, to) {
    const mount = boltMountAt(at)
    if (!mount)
      return refuse('not-measured', 'plan', 'The mount is not measured yet: a way is chosen from its measurements.')
    const closed = frameStops(mount)[0]
    if (closed) return refuse('way-closed', 'to', `Nothing is mounted here. ${closed.say}`)
    const plan = planMount(mount, [], preferenceOf(at.schools.mount?.option ?? '')).find((each) => each.way.id === to)
    const stop = plan ? plan.reasons.find((each) => each.kind === 'stop') : undefined
    return plan && !stop
      ? ok(true)
      : refuse(
          'way-closed',
          'to',
          `Way ${to} cannot be done here. ${stop?.say ?? 'It does not belong to this end or this hole.'}`,
        )
  },
}
