import { rimFasteners } from '../../bench/fasteners.ts'
import { COMMON_TRAITS } from '../../bench/traits.ts'
import { worksWith } from '../../bench/work.ts'
import type { Family, Section } from '../../brake/family.ts'
import { joined } from '../../brake/graph.ts'
import type { OnStand } from '../../brake/on-stand.ts'
import { leverWeightAt } from '../../cable/judge.ts'
import { routeOf } from '../../cable/route.ts'
import { hasStraddle } from '../../cable/straddle.ts'
import { MOUNT_CAUSES } from '../../mount/causes.ts'
import { reachAt } from '../../mount/judge.ts'
import { checkMeasured } from '../../mount/measured.ts'
import { MOUNT_PLAN } from '../../mount/plan-spec.ts'
import { BOLT_READINGS, BOLT_SEEN, BOSS_READINGS, REACH_READINGS } from '../../mount/readings.ts'
import { MOUNT_SCHOOL } from '../../mount/schools.ts'
import { BOLT_STEPS, BOSS_STEPS } from '../../mount/steps.ts'
import { findWay, wayName } from '../../mount/ways.ts'
import { padPathsAt, TOE } from '../../pads/judges.ts'
import { PAD_SCHOOLS } from '../../pads/schools.ts'
import { CAUTIONS, type CautionId } from '../../reference/cautions.ts'
import { wetShare } from '../../reference/pad-friction.ts'
import { BITE } from './bite.ts'
import { ON_ONE_BOLT } from './graph.ts'
import { OWN_READINGS, OWN_SEEN } from './readings.ts'
import { RIM_STEPS } from './steps.ts'

const WORKS = worksWith('The whole sheet, with reach and ways of mounting.')

/** What was worked out and chosen at the mount. */
function mountingOf(at: OnStand): readonly string[] {
  const chosen = at.plan('mount')
  const way = chosen && findWay(chosen.to)
  const reach = reachAt(at)
  return [
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
}

/** Where the pads were set to stay on their track, and what they were toed in to. */
function padsOf(at: OnStand): readonly string[] {
  const paths = padPathsAt(at)
  const [left, right] = [TOE.left, TOE.right].map(at.number)
  return [
    ...(paths?.ok ? paths.value.map(({ drift }) => drift.say) : []),
    ...(left === undefined || right === undefined
      ? []
      : [`Toe-in ${left.toFixed(1)} mm left, ${right.toFixed(1)} mm right, at the rear edges.`]),
  ]
}

/** How the cable was cut, and what a scale on the blade told of it. */
function cableOf(at: OnStand): readonly string[] {
  const { route: segments, dimensions, model, family } = at
  const route = segments.length > 0 ? routeOf(segments, dimensions, model.throw.squeezeTensionN) : undefined
  const weight = leverWeightAt(at)
  return [
    ...(route?.ok ? [...route.value.cuts, ...route.value.warnings] : []),
    ...(hasStraddle(family) ? [`Straddle ${(dimensions.straddleMm as number).toFixed(0)} mm, end to end.`] : []),
    ...(weight?.ok ? [weight.value.say] : []),
  ]
}

const rimSections = (at: OnStand): readonly Section[] => [
  { title: 'Mounting', lines: mountingOf(at) },
  { title: 'Pads', lines: padsOf(at) },
  { title: 'Cable', lines: cableOf(at) },
]

type Own = Pick<Family, 'id' | 'title' | 'dimensions' | 'fit' | 'worked' | 'opens'> &
  Partial<Pick<Family, 'traits' | 'readings' | 'seen' | 'steps' | 'standsOn'>>

const HUNG = {
  boss: {
    readings: [...REACH_READINGS, ...BOSS_READINGS],
    seen: [],
    steps: BOSS_STEPS,
    standsOn: {},
    schools: [],
    plans: [],
  },
  'centre-bolt': {
    readings: [...REACH_READINGS, ...BOLT_READINGS],
    seen: BOLT_SEEN,
    steps: BOLT_STEPS,
    standsOn: ON_ONE_BOLT,
    schools: [MOUNT_SCHOOL],
    plans: [MOUNT_PLAN],
  },
} as const

/** A family of rim brakes: what they share, how it hangs on the frame, and its own. */
export function rimFamily(mount: 'boss' | 'centre-bolt', own: Own): Family {
  const hung = HUNG[mount]
  return {
    ...own,
    traits: [...COMMON_TRAITS, ...(own.traits ?? [])],
    mount,
    track: 'rim',
    works: WORKS,
    readings: [...OWN_READINGS, ...hung.readings, ...(own.readings ?? [])],
    seen: [...OWN_SEEN, ...hung.seen, ...(own.seen ?? [])],
    schools: [BITE, ...PAD_SCHOOLS, ...hung.schools],
    steps: [...(own.steps ?? []), ...hung.steps, ...RIM_STEPS],
    standsOn: joined(hung.standsOn, own.standsOn ?? {}),
    fasteners: rimFasteners(
      mount,
      own.dimensions.some(({ id }) => id === 'straddleMm'),
    ),
    dial: {
      bite: ['biteTravel'],
      centre: ['gapLeft', 'gapRight'],
      beside: 'firstTouch',
      say: 'both gaps and the bite',
    },
    rubbed: { seen: 'spin', of: { left: 'gapLeft', right: 'gapRight' } },
    plans: hung.plans,
    causes: MOUNT_CAUSES,
    wetShare: ({ seen }) => wetShare(seen('rimMaterial'), seen('padCompound')).share,
    check: ({ number, seen }) => checkMeasured({ end: 'rear', number, seen }),
    sections: rimSections,
    drawings: async () =>
      (await import('./drawings/drawings.ts')).rimDrawings(
        mount,
        (own.seen ?? []).some(({ id }) => id === 'guideBoot'),
      ),
  }
}
