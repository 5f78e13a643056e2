import type { Worked } from '../calculation/calculation.ts'
import type { Outcome } from '../outcome/outcome.ts'
import type { ActSpec } from './acts.ts'
import type { DimensionSpec, Dimensions, Here, TraitSpec } from './dimension.ts'
import type { Drawings } from './drawings.ts'
import type { FastenerSpec } from './fastener.ts'
import type { Fact, Graph } from './graph.ts'
import type { BrakeModel } from './model.ts'
import type { InWork, Looked, OnStand } from './on-stand.ts'
import type { PlanSpec } from './plan.ts'
import type { ReadingSpec, SeenSpec } from './reading.ts'
import type { SchoolSpec } from './school.ts'
import type { StepSpec } from './step.ts'

/** How a brake hangs on the frame: arms on bosses, one bolt through bridge or crown, two bolts on tabs, the wheel’s axle. */
export type Mount = 'boss' | 'centre-bolt' | 'tabs' | 'axle'

/** What the pads press on. */
export type Track = 'rim' | 'rotor' | 'drum'

/** What a job can be for; it decides which steps stand on the run sheet. The first is the usual one. */
export interface WorkSpec {
  readonly id: string
  readonly title: string
  readonly says: string
  /** It is not a full check: what that is called where it is printed. */
  readonly short?: string
  /** The part that is new in it: chosen, it is written as replaced. */
  readonly renews?: string
  /** Its wheel is loosened in it, if only to be pushed home. */
  readonly loosensWheel?: true
}

/** Lines of a job sheet under a heading of the family’s own. */
export interface Section {
  readonly title: string
  readonly lines: readonly string[]
  /** Also handed to whoever rides it. */
  readonly forRider?: true
}

/** A kind of brake: everything that differs from one to the next. The rooms above know only this. */
export interface Family {
  readonly id: string
  readonly title: string
  readonly mount: Mount
  readonly track: Track
  readonly dimensions: readonly DimensionSpec[]
  readonly traits: readonly TraitSpec[]
  readonly works: readonly WorkSpec[]
  readonly readings: readonly ReadingSpec[]
  readonly seen: readonly SeenSpec[]
  readonly schools: readonly SchoolSpec[]
  readonly steps: readonly StepSpec[]
  readonly standsOn: Graph
  /** What holds it together, in the order the bench goes over it. */
  readonly fasteners: readonly FastenerSpec[]
  /** What of it can be loosened in a job, beside what any brake has. */
  readonly acts?: readonly ActSpec[]
  /** The readings of the dial-in that belong to Bite and to Centre, and what is seen beside them. */
  readonly dial: {
    readonly bite: readonly string[]
    readonly centre: readonly string[]
    readonly beside?: string
    /** Readings of finger travel beside the bite: shown on the lever. */
    readonly lever?: readonly string[]
    /** How they are asked for together: “both gaps and the bite”. */
    readonly say: string
    /** What is seen beside them is asked for in that sentence too. */
    readonly asksBeside?: true
  }
  /** What is seen when the wheel rubs, and the reading each answer speaks of. */
  readonly rubbed?: { readonly seen: string; readonly of: Readonly<Record<string, string>> }
  readonly plans: readonly PlanSpec[]
  /** Acts that set it anew and what they are called where something must be looked at again. */
  readonly causes?: Readonly<Record<string, string>>
  /** The model for one set of dimensions, hung here; refuses impossible geometry. */
  readonly fit: (d: Dimensions, here: Here) => Outcome<BrakeModel>
  /** Refuses measurements that contradict each other. */
  readonly check?: (looked: Looked) => Outcome<true>
  /** Refuses what must not be done to it as it stands, saying what to do where it was done. */
  readonly allows?: (fact: Fact, at: InWork) => Outcome<true>
  /** Share of the dry friction that is left in the wet, by what was seen; a half (from memory) if not given. */
  readonly wetShare?: (looked: Looked) => number
  /** The working behind the drawing, with the dimensions it was made of. */
  readonly worked?: (at: OnStand) => { readonly dimensions: readonly string[]; readonly worked: Outcome<Worked> }
  /** How whoever rides it opens it to take the wheel out, and closes it; nothing where it does not open. */
  readonly opens?: string
  /** How its wheel is held, for whoever rides it; quick-release and nuts if not given. */
  readonly wheelCloses?: readonly string[]
  /** How its wheel goes out and in again on the road, and what to look at then; common practice, no source. */
  readonly puncture?: readonly string[]
  readonly sections?: (at: OnStand) => readonly Section[]
  /** Its parts by themselves, and what is looked at: fetched once they are to be seen. */
  readonly drawings?: () => Promise<Drawings>
}
