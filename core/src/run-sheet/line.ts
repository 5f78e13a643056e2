import type { Kit } from '../brake/kit.ts'
import { STATIONS, type StationId } from '../brake/station.ts'
import type { Advice } from '../dial-in/advice.ts'
import type { Act } from './next.ts'
import { placed } from './placed.ts'
import type { Stand } from './stand.ts'
import { derivedOut, isOut, outWords, settled, sheetOf } from './status.ts'
import type { StepStatus } from './step-state.ts'

export interface StationStatus {
  readonly id: StationId
  readonly title: string
  /** `left-out`: none of its steps stand on this job’s sheet. */
  readonly mark: 'in' | 'low' | 'high' | 'recheck' | 'unmeasured' | 'left-out'
  readonly cause?: string
}

/** The stations at which this family has anything to do, in whatever job; the others are not on its line. */
const stationsOf = ({ steps, family }: Kit): ReadonlySet<StationId> =>
  new Set([...steps.map(({ station }) => station), ...(family.dial.centre.length > 0 ? (['centre'] as const) : [])])

/** The run line: each station's state, and what caused a recheck. Bite and Centre share the dial-in but not their readings. */
export function runLine(stand: Stand, advice: Advice): readonly StationStatus[] {
  const sheet = sheetOf(stand, advice)
  return STATIONS.filter(({ id }) => stationsOf(stand.kit).has(id)).map(({ id, title }): StationStatus => {
    if (id === 'centre') return { id, title, ...centreMark(stand, sheet) }
    if (id === 'bite') return { id, title, ...readingsMark(stand, stand.family.dial.bite) }
    const steps = sheet.filter((each) => each.step.station === id)
    return { id, title, ...(steps.length === 0 ? { mark: 'left-out' } : stepsMark(steps)) }
  })
}

function centreMark(stand: Stand, sheet: readonly StepStatus[]): Pick<StationStatus, 'mark' | 'cause'> {
  const { centre } = stand.family.dial
  const steps = sheet.filter((each) => each.step.station === 'centre')
  if (centre.length === 0) return steps.length === 0 ? { mark: 'left-out' } : stepsMark(steps)
  const marked = readingsMark(stand, centre)
  if (marked.mark !== 'in') return marked
  const apart = derivedOut(stand)
  return apart ? { mark: 'high', cause: apart } : stepsMark(steps)
}

/** The mark of some steps together. */
function stepsMark(steps: readonly StepStatus[]): Pick<StationStatus, 'mark' | 'cause'> {
  const recheck = steps.find((each) => each.state === 'recheck')
  if (recheck) return { mark: 'recheck', ...(recheck.cause && { cause: recheck.cause }) }
  const out = steps.find((each) => each.state === 'out')
  if (out) return { mark: 'high', cause: out.cause ?? `${out.step.title}: not well` }
  return { mark: steps.every((each) => settled(each.state)) ? 'in' : 'unmeasured' }
}

function readingsMark(stand: Stand, ids: readonly string[]): Pick<StationStatus, 'mark' | 'cause'> {
  const { state } = stand
  if (ids.some((id) => !state.readings[id])) return { mark: 'unmeasured' }
  const stale = ids.map((id) => state.readings[id]).find((each) => each?.status === 'recheck')
  if (stale) return { mark: 'recheck', ...(stale.cause && { cause: stale.cause }) }
  for (const id of ids) {
    const value = state.readings[id]?.value
    const at = value === undefined ? 'in' : placed(stand, id, value)
    const cause = outWords(stand, id)
    if (at !== 'in') return { mark: at, ...(cause && { cause }) }
  }
  return { mark: 'in' }
}

/** The station the next act belongs to: a turn with the bite already in its window is a matter of centring. */
export function stationInHand(next: Act, stand: Stand): StationId {
  const centring = next.kind === 'turn' && !stand.family.dial.bite.some((id) => isOut(stand, id))
  return centring ? 'centre' : next.step.station
}
