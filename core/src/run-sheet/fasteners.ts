import { isNotTight } from '../bench/fasteners.ts'
import { type FastenerSpec, tickOf } from '../brake/fastener.ts'
import type { Span } from '../brake/reading.ts'
import type { Stand } from './stand.ts'
import { SETTLED, stepStatus, stepsOn } from './status.ts'
import type { StepState } from './step-state.ts'

/** How one fastener stands. */
export interface FastenerStatus {
  readonly spec: FastenerSpec
  readonly state: StepState
  /** Ticked off by itself, or by the one answer for all that nobody touched. */
  readonly ticked?: 'alone' | 'with all'
  readonly cause?: string
  /** As last logged and still standing, N·m, and how it was come to. */
  readonly torqueNm?: number
  readonly instrument?: string
  readonly maker?: Span
  /** The step that ticks it off, where that stands on this sheet. */
  readonly step?: string
  /** The act that says it was loosened. */
  readonly loosens?: string
}

const ALL = 'fasteners'

/** Every fastener of this brake and whether it is tight: what was loosened by its own tick, what was not by the answer for all. */
export function fastenersOf(stand: Stand): readonly FastenerStatus[] {
  const sheet = stepsOn(stand)
  const statusOf = (id: string) => {
    const step = sheet.find((each) => each.id === id)
    return step && stepStatus(step, stand, SETTLED)
  }
  const all = stand.state.confirmed[ALL]
  const acts = Object.values(stand.kit.loosenable)
  return stand.fasteners
    .filter(({ stands }) => stands?.(stand) ?? true)
    .map((spec): FastenerStatus => {
      const tick = statusOf(tickOf(spec))
      const whole = statusOf(ALL)
      const by = tick ?? whole
      const logged = stand.state.torques[spec.id]
      const standing = logged?.status === 'current' ? logged : undefined
      const maker = stand.makers[spec.id]
      // The answer for all is taken back by one torque that is off; the others stand as they were answered.
      const answered = !tick && all?.status === 'current' && all.value ? 'done' : (by?.state ?? 'open')
      const state = standing && isNotTight(standing.value, spec, maker) ? 'out' : answered
      const instrument = standing?.entry.kind === 'torque' ? standing.entry.instrument : undefined
      const loosens = acts.find((id) => spec.loosenedBy.includes(`confirm:${id}`))
      return {
        spec,
        state,
        ...(state === 'done' && { ticked: tick ? ('alone' as const) : ('with all' as const) }),
        ...(tick?.cause && { cause: tick.cause }),
        ...(standing && { torqueNm: standing.value }),
        ...(instrument && { instrument }),
        ...(maker && { maker }),
        ...(tick && { step: tick.step.id }),
        ...(loosens && { loosens }),
      }
    })
}
