import { type Advice, advise } from '../dial-in/advice.ts'
import { type Belief, believe, believedReading, lessons } from '../dial-in/belief.ts'
import type { Learnt } from '../dial-in/layout.ts'
import { findFamily } from '../families/registry.ts'
import { type Outcome, ok } from '../outcome/outcome.ts'
import type { Entry } from '../stand/entries.ts'
import { fold, type StandState } from '../stand/fold.ts'
import type { Hardware } from '../stand/hardware.ts'
import { centredCloser, PLAINLY_APART_MM, type Windows } from '../stand/windows.ts'
import { type Act, nextAct, rubbing } from './next.ts'
import { placed } from './placed.ts'
import { hardwareIn, openStand, type Stand } from './stand.ts'

export { openStand, type Stand } from './stand.ts'

/** Everything a screen or a sheet needs to know of a job: the stand, what is believed of the brake, and what to do next. */
export interface Job extends Stand {
  readonly belief: Belief
  readonly advice: Advice
  readonly next: Act
}

/** An earlier visit of the same brake: what it taught becomes the prior of this one. */
export interface Visit {
  readonly hardware: Hardware
  readonly entries: readonly Entry[]
}

/** What earlier visits taught, oldest first: each visit starts from what the ones before it left. */
export function learntFrom(visits: readonly Visit[]): Learnt {
  let learnt: Learnt = {}
  for (const { hardware, entries } of visits) {
    const family = findFamily(hardware.family)
    if (!family.ok) continue
    const { dimensions, here } = hardwareIn(family.value, hardware, entries)
    const model = family.value.fit(dimensions, here)
    if (model.ok) learnt = lessons(believe(model.value, fold(model.value, entries), learnt))
  }
  return learnt
}

/** The stand with its belief, the advice and the next act worked out. */
export function workOut(stand: Stand, learnt: Learnt = {}): Job {
  const { model, state } = stand
  const belief = believe(model, state, learnt)
  const windows = plainlyFirst(belief, stand)
  const advice = advise(belief, state, windows, rubbing(state))
  const judged = { ...stand, windows }
  return { ...judged, belief, advice, next: nextAct(judged, advice) }
}

/**
 * One pad is *plainly* first where it is seen to touch first and is believed clearly nearer too: then the gaps are held
 * closer together. Seen first alone only teaches.
 */
function plainlyFirst(belief: Belief, { state, windows }: Stand): Windows {
  const touch = state.readings.firstTouch
  if (touch?.status !== 'current' || touch.value === 'both') return windows
  const apart = believedReading(belief, 'gapDifference')
  const nearer = apart < 0 ? 'left' : 'right'
  return nearer === touch.value && Math.abs(apart) > PLAINLY_APART_MM
    ? centredCloser(
        windows,
        `The ${nearer} pad is seen to touch first and is believed ${Math.abs(apart).toFixed(1)} mm nearer: gaps at most ${PLAINLY_APART_MM} mm apart.`,
      )
    : windows
}

/** A job worked out from its hardware and its log. */
export function openJob(hardware: Hardware, entries: readonly Entry[], learnt: Learnt = {}): Outcome<Job> {
  const stand = openStand(hardware, entries)
  return stand.ok ? ok(workOut(stand.value, learnt)) : stand
}

export type Mark = 'in' | 'low' | 'high' | 'recheck' | 'unmeasured' | 'left-out'

/** A reading's state shape: shape first, colour second. */
export function readingMark(state: StandState, windows: Windows, id: string): Mark {
  const reading = state.readings[id]
  if (!reading) return 'unmeasured'
  if (reading.status === 'recheck') return 'recheck'
  return placed(windows, id, reading.value)
}
