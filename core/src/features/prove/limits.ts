import type { OnStand } from '../../brake/on-stand.ts'
import type { Worked } from '../../calculation/calculation.ts'
import { rearSkid } from '../../calculations/hand-force.ts'
import { tipOverLimit } from '../../calculations/loads.ts'
import { stopTest } from '../../calculations/stop-test.ts'
import { GRAVITY } from '../../mechanics/stopping.ts'
import { STOPPING_RULES, type StoppingRule } from '../../reference/stopping-rules.ts'
import { brakingM, type RunEntry } from './runs.ts'

/** What no brake of this bicycle can do better, and what stands against it. */
export interface Limit {
  readonly id: 'tip' | 'rear-tyre'
  readonly title: string
  /** Over g, and as m/s². */
  readonly g: number
  readonly ms2: number
}

/** Where the rear lifts, and where the rear tyre lets go under its own brake, for this bicycle and load. */
export function limitsFor({ dimensions: d }: Pick<OnStand, 'dimensions'>): {
  readonly limits: readonly Limit[]
  readonly worked: readonly Worked[]
} {
  const tip = tipOverLimit.work({ cgHeightMm: d.cgHeightMm, cgBehindFrontMm: d.cgBehindFrontMm })
  const skid = rearSkid.work({
    tyreFriction: d.tyreFriction,
    wheelbaseMm: d.wheelbaseMm,
    cgHeightMm: d.cgHeightMm,
    cgBehindFrontMm: d.cgBehindFrontMm,
  })
  const limit = (id: Limit['id'], title: string, g: number): Limit => ({ id, title, g, ms2: g * GRAVITY })
  return {
    limits: [
      ...(tip.ok ? [limit('tip', 'the rear wheel lifts', tip.value.outputs.limitG)] : []),
      ...(skid.ok ? [limit('rear-tyre', 'the rear tyre lets go, braked alone', skid.value.outputs.limitG)] : []),
    ],
    worked: [...(tip.ok ? [tip.value] : []), ...(skid.ok ? [skid.value] : [])],
  }
}

/** A public rule beside what was ridden: undefined where no run is of its kind. */
export interface RuleBeside {
  readonly rule: StoppingRule
  readonly meanM?: number
  readonly holds?: boolean
}

/** Every public rule, with the mean of the runs that are of its kind, corrected to its speed. After the work only. */
export function rulesBeside(runs: readonly RunEntry[], end: 'front' | 'rear'): readonly RuleBeside[] {
  return STOPPING_RULES.map((rule) => {
    const alike = runs.filter(
      ({ phase, brakes = 'both', surface = 'dry' }) =>
        phase === 'after' && surface === rule.surface && (brakes === 'both' ? 'both' : end) === rule.brakes,
    )
    const corrected = alike.flatMap((run) => {
      const worked = stopTest.work({ speedKmh: run.speedKmh, distanceM: brakingM(run), nominalSpeedKmh: rule.speedKmh })
      return worked.ok ? [worked.value.outputs.correctedDistanceM] : []
    })
    if (corrected.length === 0) return { rule }
    const meanM = corrected.reduce((sum, each) => sum + each, 0) / corrected.length
    return { rule, meanM, holds: meanM <= rule.distanceM }
  })
}
