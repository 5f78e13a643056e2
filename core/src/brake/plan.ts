import type { Outcome } from '../outcome/outcome.ts'
import type { CautionId } from '../reference/cautions.ts'
import type { Fact } from './graph.ts'
import type { OnStand } from './on-stand.ts'

/** A part a plan uses: `partId` where the drawer holds it. */
export interface PlannedPart {
  readonly name: string
  readonly count: number
  readonly partId?: string
}

/** A way chosen, with what it takes from the drawer and the cautions that were read. */
export interface ChosenPlan {
  readonly plan: string
  readonly to: string
  readonly parts: readonly PlannedPart[]
  readonly acknowledged: readonly string[]
  readonly figures?: Readonly<Record<string, number>>
}

/** Something that is planned before it is done: its ways, and whether one may be chosen as things stand. */
export interface PlanSpec {
  readonly id: string
  readonly title: string
  /** What makes its choice asked again. */
  readonly standsOn: readonly Fact[]
  readonly ways: readonly { readonly id: string; readonly title: string; readonly cautions: readonly CautionId[] }[]
  /** `figures`: what was chosen, in numbers, where a way alone does not tell it. */
  readonly admit: (at: OnStand, way: string, figures: Readonly<Record<string, number>>) => Outcome<true>
}
