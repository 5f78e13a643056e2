import type { Section } from '../../brake/family.ts'
import type { Feature } from '../../brake/feature.ts'
import type { OnStand } from '../../brake/on-stand.ts'
import { CAUTIONS, type CautionId } from '../../reference/cautions.ts'
import { MOUNT_CAUSES } from './causes.ts'
import { BOSS_BOLTS, CENTRE_BOLT } from './fasteners.ts'
import { reachAt } from './judge.ts'
import { MOUNT_PLAN } from './plan-spec.ts'
import { BOLT_READINGS, BOLT_SEEN, BOSS_READINGS, REACH_READINGS } from './readings.ts'
import { MOUNT_SCHOOL } from './schools.ts'
import { BOLT_STEPS, BOSS_STEPS } from './steps.ts'
import { findWay, wayName } from './ways.ts'

/** What was worked out and chosen at the mount. */
function mountingOf(at: OnStand): readonly Section[] {
  const chosen = at.plan('mount')
  const way = chosen && findWay(chosen.to)
  const reach = reachAt(at)
  const lines = [
    ...(reach?.ok ? [reach.value.say] : []),
    ...(way && chosen
      ? [
          `Way ${wayName(way)}: ${way.says}`,
          ...(chosen.parts.length > 0
            ? [`With ${chosen.parts.map(({ count, name }) => `${count} × ${name}`).join(', ')}.`]
            : []),
          ...chosen.acknowledged.flatMap((id) => (id in CAUTIONS ? [`Read: ${CAUTIONS[id as CautionId].text}`] : [])),
        ]
      : []),
  ]
  return [{ title: 'Mounting', lines }]
}

/** Arms on frame bosses. */
export const BOSS_MOUNT: Feature = {
  id: 'boss-mount',
  readings: [...REACH_READINGS, ...BOSS_READINGS],
  steps: BOSS_STEPS,
  fasteners: BOSS_BOLTS,
  causes: MOUNT_CAUSES,
  sections: mountingOf,
}

/** A caliper on one bolt through bridge or crown. */
export const BOLT_MOUNT: Feature = {
  id: 'bolt-mount',
  readings: [...REACH_READINGS, ...BOLT_READINGS],
  seen: BOLT_SEEN,
  steps: BOLT_STEPS,
  schools: [MOUNT_SCHOOL],
  plans: [MOUNT_PLAN],
  fasteners: CENTRE_BOLT,
  causes: MOUNT_CAUSES,
  sections: mountingOf,
}
