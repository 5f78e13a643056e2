import type { Dimensions, Here } from './dimension.ts'
import type { Family } from './family.ts'
import type { FastenerSpec } from './fastener.ts'
import type { BrakeModel } from './model.ts'
import type { ChosenPlan } from './plan.ts'
import type { Span } from './reading.ts'
import type { RouteSegment } from './route.ts'
import type { ChosenSchools } from './school.ts'
import type { Windows } from './window.ts'

/** What was measured and seen in a job, as last told; anything may still be missing. */
export interface Looked {
  readonly number: (id: string) => number | undefined
  readonly seen: (id: string) => string | undefined
}

/** A brake in the middle of its work: what was done of it and still stands. */
export interface InWork extends Looked {
  readonly here: Here
  readonly confirmed: (step: string) => boolean
}

/** A brake on the stand, for whoever judges it: what it is, what was found, and what is aimed at. */
export interface OnStand extends Looked {
  readonly family: Family
  readonly dimensions: Dimensions
  readonly here: Here
  readonly model: BrakeModel
  readonly windows: Windows
  readonly schools: ChosenSchools
  readonly route: readonly RouteSegment[]
  readonly plan: (id: string) => ChosenPlan | undefined
  readonly fasteners: readonly FastenerSpec[]
  /** Torques that were logged and still stand, N·m, by fastener. */
  readonly torques: Readonly<Record<string, number>>
  /** The makers’ figures of this brake’s own fasteners, N·m. */
  readonly makers: Readonly<Record<string, Span>>
}
