import { kitOf } from '../bench/kit.ts'
import type { Family } from '../brake/family.ts'
import type { Windows } from '../brake/window.ts'
import { type Advice, advise } from '../dial-in/advice.ts'
import { type Belief, believe, believedReading, knownBy, lessons } from '../dial-in/belief.ts'
import type { Learnt } from '../dial-in/layout.ts'
import { asLastRead } from '../dial-in/timeline.ts'
import { learnScrew, REACH_SCREW, type ScrewEffect } from '../features/lever-fit/screw.ts'
import { fold } from '../stand/fold.ts'
import type { Visit } from './known.ts'
import { type Act, nextAct } from './next.ts'
import { placed } from './placed.ts'
import { hardwareIn, type Stand } from './stand.ts'
import { rubbing } from './status.ts'

export type { Stand } from './stand.ts'

/** Everything a screen or a sheet needs to know of a job: the stand, what is believed of the brake, and what to do next. */
export interface Job extends Stand {
  readonly belief: Belief
  readonly advice: Advice
  readonly next: Act
  /** What this lever’s reach screw does, as far as its visits have shown. */
  readonly screw: ScrewEffect
}

/** What one more visit taught: it starts from what the ones before it left. */
function learntOn(family: Family, { hardware, entries }: Visit, before: Learnt): Learnt {
  const kit = kitOf(family)
  const { dimensions, here } = hardwareIn(kit, hardware, entries)
  const model = family.fit(dimensions, here)
  if (!model.ok) return before
  const state = fold(kit, model.value, entries)
  return {
    ...lessons(believe(kit, model.value, state, before)),
    [REACH_SCREW]: learnScrew(state.standing, before[REACH_SCREW]),
  }
}

const taught = new WeakMap<readonly Visit[], { readonly family: Family; readonly learnt: Learnt }>()

/** What earlier visits taught, worked out once. One on a brake of another family taught nothing of this one. */
export function learntFrom({ family, known: { visits } }: Pick<Stand, 'family' | 'known'>): Learnt {
  const held = taught.get(visits)
  if (held?.family === family) return held.learnt
  const learnt = visits
    .filter(({ hardware }) => hardware.family === family.id)
    .reduce<Learnt>((before, visit) => learntOn(family, visit, before), {})
  taught.set(visits, { family, learnt })
  return learnt
}

/**
 * The stand with its belief, the advice and the next act worked out. Windows that were narrowed and that no turn brings the
 * brake into are let go: what is well by the wider ones is not sent away.
 */
export function workOut(stand: Stand): Job {
  const { kit, model, state } = stand
  const learnt = learntFrom(stand)
  const belief = believe(kit, model, state, learnt)
  const read = asLastRead(model, state)
  const known = knownBy(read === state ? belief : believe(kit, model, read, learnt))
  const windows = model.windows(state.schools, stand, known)
  const closer = narrowed(belief, { ...stand, windows })
  const screw = learnScrew(state.standing, learnt[REACH_SCREW])
  const job = aimedAt({ ...stand, belief, screw }, closer)
  return job.advice.kind === 'no-setting' && closer !== windows ? aimedAt(job, windows) : job
}

/** The same brake and belief aimed at these windows: what to do next follows from them. */
export function aimedAt(job: Stand & Pick<Job, 'belief' | 'screw'>, windows: Windows): Job {
  const judged = { ...job, windows }
  const advice = advise(job.belief, job.state, windows, rubbing(judged))
  return { ...judged, advice, next: nextAct(judged, advice) }
}

/** The windows, narrowed where what is believed and what still stands as seen say so together. */
function narrowed(belief: Belief, { model, state, windows }: Stand): Windows {
  const current = (id: string) => {
    const each = state.readings[id]
    return each?.status === 'current' ? each.value : undefined
  }
  return (
    model.narrowed?.(windows, (id) => believedReading(belief, id), {
      number(id) {
        const value = current(id)
        return typeof value === 'number' ? value : undefined
      },
      seen(id) {
        const value = current(id)
        return typeof value === 'string' ? value : undefined
      },
    }) ?? windows
  )
}

/** `carried`: read on an earlier visit, and well. */
export type Mark = 'in' | 'carried' | 'low' | 'high' | 'recheck' | 'unmeasured' | 'left-out'

/** How the step that asks for a reading judges it, where its own window lets it pass. */
function judgedMark(stand: Stand, id: string): Mark {
  const found = stand.kit.askedBy(id).flatMap((step) => {
    const done = stand.kit.step(step)?.done
    return (done?.kind === 'judged' && done.judge(stand)?.outside?.[id]) || []
  })
  return found[0] ?? 'in'
}

/** A reading's state shape: shape first, colour second. */
export function readingMark(stand: Stand, id: string): Mark {
  const reading = stand.state.readings[id]
  if (!reading) return 'unmeasured'
  if (reading.status === 'recheck') return 'recheck'
  const at = placed(stand, id, reading.value)
  const judged = at === 'in' ? judgedMark(stand, id) : at
  return judged === 'in' && reading.carried ? 'carried' : judged
}
