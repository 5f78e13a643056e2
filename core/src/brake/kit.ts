import type { ActSpec } from './acts.ts'
import type { AdjusterSpec } from './adjuster.ts'
import type { Family } from './family.ts'
import type { FastenerSpec } from './fastener.ts'
import { type Fact, type Graph, type Grounds, graphOf, groundsIn, joined } from './graph.ts'
import type { BrakeModel } from './model.ts'
import type { ReadingSpec, SeenOption, SeenSpec } from './reading.ts'
import { partOf, type SchoolOption, type SchoolSpec } from './school.ts'
import { STATIONS, type StationId } from './station.ts'
import { asksFor, type StepSpec } from './step.ts'

/** What every cable-pulled brake brings to the stand, whatever its family. */
export interface Common {
  readonly readings: readonly ReadingSpec[]
  readonly seen: (family: Family) => readonly SeenSpec[]
  readonly steps: readonly StepSpec[]
  readonly causes: Readonly<Record<string, string>>
  readonly acts: readonly ActSpec[]
  /** Parts that can be replaced at a brake on these grounds. */
  readonly parts: (grounds: Grounds) => readonly string[]
  /** What is moved at the lever beside what a family’s model has. */
  readonly levers: readonly AdjusterSpec[]
  /** Turns that shake only what stands on them by name. */
  readonly apart: readonly Fact[]
  /** Steps and graph that tick a family’s fasteners off. */
  readonly ticks: (fasteners: readonly FastenerSpec[]) => {
    readonly steps: readonly StepSpec[]
    readonly standsOn: Graph
  }
}

/** All that is read, seen and done at one family’s brake: its own and what is common, merged once. */
export interface Kit {
  readonly family: Family
  readonly readings: readonly ReadingSpec[]
  readonly seen: readonly SeenSpec[]
  readonly schools: readonly SchoolSpec[]
  /** In working order. */
  readonly steps: readonly StepSpec[]
  /** The whole graph of its run sheet. */
  readonly standsOn: Graph
  readonly grounds: Grounds
  readonly causes: Readonly<Record<string, string>>
  readonly levers: readonly AdjusterSpec[]
  /** By its name at the bench. */
  readonly fastener: (name: string) => FastenerSpec | undefined
  /** What can be loosened here: the word of the tape and the act it logs. */
  readonly loosenable: Readonly<Record<string, string>>
  /** An act that loosens something, by its id. */
  readonly act: (id: string) => ActSpec | undefined
  /** Parts that can be replaced here. */
  readonly parts: readonly string[]
  /** Ids of readings in working order: what is seen beside what is measured at the same station. */
  readonly order: readonly string[]
  readonly reading: (id: string) => ReadingSpec | undefined
  readonly seeing: (id: string) => SeenSpec | undefined
  readonly option: (id: string, value: unknown) => SeenOption | undefined
  readonly title: (id: string) => string
  readonly step: (id: string) => StepSpec | undefined
  /** The steps that ask for a reading, those it is only taken beside among them. */
  readonly askedBy: (reading: string) => readonly string[]
  /** The title of a step, or of an act of the bench. */
  readonly stepTitle: (id: string) => string
  readonly school: (id: string) => SchoolSpec | undefined
  /** Readings shown as gauges at a station. */
  readonly gauges: (station: StationId) => readonly string[]
  /** The school that a swap of this part chooses; undefined where it swaps a part of the brake. */
  readonly schoolAt: (part: string) => SchoolSpec | undefined
  /** The school and the option a word of the tape names. */
  readonly schoolOf: (word: string) => { readonly school: SchoolSpec; readonly option: SchoolOption } | undefined
}

/**
 * Steps by station: the common ones in their order, a family’s before the one it names or after them all. One of a family’s
 * with the name of a common one stands in its place.
 */
function merged(common: readonly StepSpec[], own: readonly StepSpec[]): readonly StepSpec[] {
  return STATIONS.flatMap(({ id }) => {
    const here = own.filter((step) => step.station === id)
    const stands = (step: StepSpec): readonly StepSpec[] => [
      ...here.filter(({ before }) => before === step.id).flatMap(stands),
      step,
    ]
    const placed = common
      .filter((step) => step.station === id)
      .flatMap((step) => stands(here.find((each) => each.id === step.id) ?? step))
    const isBefore = ({ before }: StepSpec) => [...placed, ...here].some((each) => each.id === before)
    return [...placed, ...here.filter((step) => !placed.includes(step) && !isBefore(step)).flatMap(stands)]
  })
}

const byId = <T extends { readonly id: string }>(all: readonly T[]) => {
  const map = new Map(all.map((each) => [each.id, each]))
  return (id: string) => map.get(id)
}

/** The order in which the steps ask for readings; those no step asks for come last. */
function workingOrder(steps: readonly StepSpec[], ids: readonly string[]): readonly string[] {
  const asked = steps.flatMap(asksFor)
  return [...new Set([...asked.filter((id) => ids.includes(id)), ...ids])]
}

/** Which steps ask for each reading. */
function askers(steps: readonly StepSpec[]): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, string[]>()
  for (const step of steps) for (const id of asksFor(step)) found.set(id, [...(found.get(id) ?? []), step.id])
  return found
}

/** What each station shows as gauges: a family’s own first, and of the rest only what it is asked for. */
function gaugesAt(
  { readings, dial }: Family,
  common: readonly ReadingSpec[],
  isAsked: (reading: string) => boolean,
): ReadonlyMap<StationId, readonly string[]> {
  const set = [...dial.bite, ...dial.centre]
  const shown = [...readings, ...common].filter(({ id }) => isAsked(id) || set.includes(id))
  return new Map(
    STATIONS.map(({ id: station }) => [
      station,
      shown.filter(({ gauge }) => gauge?.includes(station)).map(({ id }) => id),
    ]),
  )
}

export function makeKit(common: Common, family: Family): Kit {
  const readings = [...common.readings, ...family.readings]
  const seen = [...common.seen(family), ...family.seen]
  const ticks = common.ticks(family.fasteners)
  const steps = merged(common.steps, [...family.steps, ...ticks.steps])
  const standsOn = [family.standsOn, ticks.standsOn].reduce(
    joined,
    graphOf({ readings, seen, steps: [...common.steps, ...family.steps], plans: family.plans }),
  )
  const grounds = groundsIn(standsOn, common.apart)
  const fastener = byId(family.fasteners)
  const acts = [...common.acts, ...(family.acts ?? [])]
  const act = byId(acts)
  const reading = byId(readings)
  const seeing = byId(seen)
  const step = byId(steps)
  const asked = askers(steps)
  const gauges = gaugesAt(family, common.readings, (id) => asked.has(id))
  return {
    family,
    readings,
    seen,
    schools: family.schools,
    steps,
    standsOn,
    grounds,
    levers: common.levers,
    fastener: (name) => fastener(name.trim().toLowerCase()),
    loosenable: Object.fromEntries(
      acts.filter(({ id }) => grounds.unsettledBy(`confirm:${id}`).size > 0).map(({ loosens, id }) => [loosens, id]),
    ),
    act,
    causes: {
      ...common.causes,
      ...Object.fromEntries(acts.map(({ id, cause }) => [`confirm:${id}`, cause])),
      ...family.causes,
    },
    parts: common.parts(grounds),
    order: workingOrder(
      steps,
      [...readings, ...seen].map((each) => each.id),
    ),
    reading,
    seeing,
    option: (id, value) => seeing(id)?.options.find((each) => each.id === value),
    title: (id) => (reading(id) ?? seeing(id))?.title ?? id,
    step,
    askedBy: (id) => asked.get(id) ?? [],
    stepTitle: (id) => (act(id) ?? step(id))?.title ?? id,
    gauges: (station) => gauges.get(station) ?? [],
    school: byId(family.schools),
    schoolAt: (part) => family.schools.find((school) => partOf(school) === part),
    schoolOf(word) {
      for (const school of family.schools) {
        const option = school.options.find((each) => each.id === word)
        if (option) return { school, option }
      }
      return undefined
    },
  }
}

/** Everything that can be turned or moved here: the model’s adjusters and what is moved at the lever. */
export const adjustersOf = (kit: Kit, model: Pick<BrakeModel, 'adjusters'>): readonly AdjusterSpec[] => [
  ...model.adjusters,
  ...kit.levers,
]
