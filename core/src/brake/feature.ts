import type { ActSpec } from './acts.ts'
import type { DimensionSpec, TraitSpec } from './dimension.ts'
import type { Family, Section, WorkSpec } from './family.ts'
import type { FastenerSpec } from './fastener.ts'
import { type Graph, joined } from './graph.ts'
import type { OnStand } from './on-stand.ts'
import type { PlanSpec } from './plan.ts'
import type { ReadingSpec, SeenSpec } from './reading.ts'
import type { SchoolSpec } from './school.ts'
import type { StepSpec } from './step.ts'

/** What one piece of hardware, or one capability, brings to a brake. Everything of it is said here, and nowhere else. */
export interface Feature {
  readonly id: string
  readonly dimensions?: readonly DimensionSpec[]
  readonly traits?: readonly TraitSpec[]
  /** What a job can be for. */
  readonly works?: readonly WorkSpec[]
  readonly readings?: readonly ReadingSpec[]
  readonly seen?: readonly SeenSpec[]
  readonly steps?: readonly StepSpec[]
  readonly schools?: readonly SchoolSpec[]
  readonly fasteners?: readonly FastenerSpec[]
  /** What of it can be loosened in a job. */
  readonly acts?: readonly ActSpec[]
  readonly plans?: readonly PlanSpec[]
  /** What another feature’s readings and steps stand on besides, where this one is there. */
  readonly standsOn?: Graph
  /** Acts that set it anew, as they are said where something must be looked at again. */
  readonly causes?: Readonly<Record<string, string>>
  /** Lines of the job sheet. */
  readonly sections?: (at: OnStand) => readonly Section[]
}

type Merged = Required<Feature>
type Listed =
  | 'dimensions'
  | 'traits'
  | 'works'
  | 'readings'
  | 'seen'
  | 'steps'
  | 'schools'
  | 'fasteners'
  | 'acts'
  | 'plans'
const LISTED: readonly Listed[] = [
  'dimensions',
  'traits',
  'works',
  'readings',
  'seen',
  'steps',
  'schools',
  'fasteners',
  'acts',
  'plans',
]

/** Refuses a second home for one thing: whoever reads the first would never know of the other. */
function once(family: string, list: string, all: readonly { readonly id: string; readonly from: string }[]): void {
  const homes = new Map<string, string>()
  for (const { id, from } of all) {
    const other = homes.get(id)
    if (other !== undefined) throw new Error(`${family}: “${id}” of ${list} is defined in ${other} and in ${from}.`)
    homes.set(id, from)
  }
}

/** Words of the tape: each is one reading’s, one sight’s or one step’s. */
const wordsOf = ({ id: from, readings = [], seen = [], steps = [] }: Feature) =>
  [...readings, ...seen, ...steps].flatMap(({ shorthand }) =>
    shorthand === undefined ? [] : [{ id: shorthand, from }],
  )

type Own = Omit<Family, keyof Merged | 'id'> & { readonly id: string; readonly features: readonly Feature[] }

/**
 * A family as the list of its features: what they bring, in their order. Refuses, at once and by name, a reading, a step, a
 * fastener or a word of the tape that two of them define.
 */
export function compose({ features, ...own }: Own): Family {
  for (const list of LISTED)
    once(
      own.id,
      list,
      features.flatMap(({ id: from, ...feature }) => (feature[list] ?? []).map(({ id }) => ({ id, from }))),
    )
  once(own.id, 'the tape’s words', features.flatMap(wordsOf))
  const all = <List extends Listed>(list: List) =>
    features.flatMap((feature): readonly unknown[] => feature[list] ?? []) as unknown as Merged[List]
  return {
    ...own,
    dimensions: all('dimensions'),
    traits: all('traits'),
    works: all('works'),
    readings: all('readings'),
    seen: all('seen'),
    steps: all('steps'),
    schools: all('schools'),
    fasteners: all('fasteners'),
    acts: all('acts'),
    plans: all('plans'),
    standsOn: features.reduce<Graph>((graph, { standsOn }) => joined(graph, standsOn ?? {}), {}),
    causes: Object.assign({}, ...features.map(({ causes }) => causes)),
    sections: (at) => features.flatMap(({ sections }) => sections?.(at) ?? []),
  }
}
