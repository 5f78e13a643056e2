import type { End } from '../brake/dimension.ts'
import { sayDay } from '../stand/when.ts'

/** How the brake at one end of a bicycle stands, by the last job on it. */
export type EndState = 'none' | 'open' | 'released' | 'closed'

/** An end with what its last job left to be said of it. */
export interface EndStands {
  readonly state: EndState
  /** The day by which a released one is to be looked at again, ISO 8601. */
  readonly lookAgain?: string
}

const SAYS: Readonly<Record<EndState, string>> = {
  none: 'not looked at',
  open: 'in work, not released',
  released: 'released',
  closed: 'not to be ridden',
}

export type EndsStand = Readonly<Partial<Record<End, EndStands>>>

const ENDS = ['front', 'rear'] as const

/** Both ends of a bicycle, as its tag says them: what nobody looked at is not well. */
export const sayEnds = (ends: EndsStand): readonly string[] =>
  ENDS.map((end) => {
    const { state, lookAgain } = ends[end] ?? { state: 'none' }
    return `${end}: ${SAYS[state]}${state === 'released' && lookAgain ? `, next look by ${sayDay(lookAgain)}` : ''}`
  })

/** Why a bicycle is not ridden though the brake at this end is released: the other end’s work is not at its end, or ended ill. */
export function otherWaits(ends: EndsStand, here: End): string | undefined {
  const other = ENDS.find((end) => end !== here) as End
  const state = ends[other]?.state
  if (state !== 'open' && state !== 'closed') return undefined
  return `The bicycle is not to be ridden yet: its ${other} brake is ${state === 'open' ? SAYS.open : 'closed as not to be ridden'}.`
}
