import type { PlannedPart } from '../../brake/plan.ts'
import type { Worked } from '../../calculation/calculation.ts'
import { frameStops, SLEEVE_MM, type TubeLeft } from './drilling.ts'
import type { SleeveChoice, Stock, ThroughChoice } from './fit.ts'
import type { BoltMount } from './measured.ts'
import type { PlanState, Reason } from './reasons.ts'
import { sleevePlan } from './sleeve.ts'
import { throughPlan } from './through.ts'
import { type Preference, rankOf, WAYS, type Way } from './ways.ts'

/** The parts of a way as they lie along the bolt, for the drawing and the step list. */
export type Stack =
  | ({ readonly kind: 'sleeve'; readonly turnedRound: boolean } & SleeveChoice)
  | ({ readonly kind: 'through' } & ThroughChoice)

export interface Plan {
  readonly way: Way
  readonly state: PlanState
  readonly reasons: readonly Reason[]
  /** The choice that holds, where the drawer has one. */
  readonly stack?: Stack
  readonly parts: readonly PlannedPart[]
  readonly tube?: TubeLeft
  /** Bit standing out of the chuck, shortest and longest, mm. */
  readonly bit?: { readonly shortestMm: number; readonly longestMm: number }
  readonly steps: readonly string[]
  readonly tools: readonly string[]
  readonly worked: readonly Worked[]
}

/** Ways that make sense at this end, with this hole. */
function possible(mount: BoltMount): readonly Way[] {
  return WAYS.filter(({ id }) => {
    if (id === 'as-is') return mount.holeBackMm >= SLEEVE_MM
    if (id === 'B') return mount.end === 'rear' && mount.holeBackMm < SLEEVE_MM
    if (id === 'C') return mount.end === 'rear'
    if (id === 'fork') return mount.end === 'front' && mount.holeBackMm < SLEEVE_MM
    return id === 'D' || !mount.nutted
  })
}

const STATES: readonly PlanState[] = ['ready', 'buy', 'measure', 'no']

/**
 * Every way of mounting the brake here, none where the frame itself says stop; the best first: those that are ready, those that lack a part, those that lack
 * a measurement, those that cannot be; within each by what the workshop would rather.
 */
export function planMount(mount: BoltMount, stock: Stock, preference: Preference): readonly Plan[] {
  if (frameStops(mount).length > 0) return []
  return possible(mount)
    .map((way) => (way.id === 'A' || way.id === 'D' ? throughPlan(mount, stock, way) : sleevePlan(mount, stock, way)))
    .sort(
      (a, b) =>
        STATES.indexOf(a.state) - STATES.indexOf(b.state) ||
        rankOf(a.way.id, preference) - rankOf(b.way.id, preference),
    )
}
