import type { Fact } from '../brake/graph.ts'
import type { Kit } from '../brake/kit.ts'
import type { Step, StepSpec } from '../brake/step.ts'
import type { Established } from '../stand/draft.ts'
import type { Stand } from './stand.ts'
import type { At } from './step-state.ts'

/** What a step is established by: its readings, its confirmation, its plan. */
export function factsOf({ id, done }: StepSpec, needed: readonly string[]): readonly Fact[] {
  if (done.kind === 'confirmed') return [`confirm:${id}`]
  if (done.kind === 'planned') return [`plan:${done.plan}`]
  if (done.kind === 'dialled-in') return needed.map((each): Fact => `reading:${each}`)
  return done.kind === 'signed' ? [] : done.readings.map((each): Fact => `reading:${each}`)
}

export function establishedAs({ state }: Pick<Stand, 'state'>, fact: Fact): Established<unknown> | undefined {
  const [kind, id = ''] = fact.split(':') as [string, string?]
  if (kind === 'reading') return state.readings[id]
  if (kind === 'confirm') return state.confirmed[id]
  return kind === 'plan' ? state.plans[id] : undefined
}

function factTitle(kit: Kit, fact: Fact): string {
  const [kind, id = ''] = fact.split(':') as [string, string?]
  if (kind === 'reading') return kit.title(id)
  return kind === 'plan' ? (kit.family.plans.find((each) => each.id === id)?.title ?? id) : kit.stepTitle(id)
}

/** Something once established that must be looked at again. */
export function staleOf(stand: Stand, facts: readonly Fact[]): At | undefined {
  const stale = facts.map((fact) => establishedAs(stand, fact)).find((each) => each?.status === 'recheck')
  return stale && { state: 'recheck', cause: stale.cause ?? '' }
}

const before = new WeakMap<Kit, ReadonlyMap<string, readonly Fact[]>>()

/** What each step stands on among the steps before it; what comes after unsettles it only when it is done. */
function groundsUnder({ kit, model: { needed } }: Stand): ReadonlyMap<string, readonly Fact[]> {
  const known = before.get(kit)
  if (known) return known
  const found = new Map(
    kit.steps.map((step, index) => {
      const earlier = new Set(kit.steps.slice(0, index).flatMap((each) => factsOf(each, needed)))
      const grounds = factsOf(step, needed).flatMap((fact) => [...kit.grounds.groundsOf(fact)])
      return [step.id, grounds.filter((ground) => earlier.has(ground))]
    }),
  )
  before.set(kit, found)
  return found
}

/** A ground under a step that must itself be looked at again: nothing stays done on it. */
export function staleGround(stand: Stand, step: Step): At | undefined {
  for (const ground of groundsUnder(stand).get(step.id) ?? []) {
    if (establishedAs(stand, ground)?.status === 'recheck')
      return { state: 'recheck', cause: `${factTitle(stand.kit, ground)} must be looked at again` }
  }
  return undefined
}
