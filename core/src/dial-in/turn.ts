import type { Move } from '../brake/adjuster.ts'

export interface Expected {
  readonly reading: string
  readonly value: number
  readonly sd: number
}

export interface Turn {
  readonly moves: readonly Move[]
  /** Readings after the turn and ten squeezes. */
  readonly expected: readonly Expected[]
  /** Chance that every reading then falls in its window. */
  readonly chance: number
  /** An adjuster it also finds out about: which way it works is not known yet; and what to expect if it works one way or the other. */
  readonly probes?: string
  readonly either?: readonly (readonly Expected[])[]
}

/** Two outcomes of a reading nearer than this are one. */
const SAME_MM = 0.15

/** What a turn may give: one set of readings, or one for each way an adjuster may work. Their mean is what neither will give. */
export const waysOf = ({ expected, either }: Turn): readonly (readonly Expected[])[] => either ?? [expected]

/** What to expect of one reading after a turn, smallest first; one value where both ways give the same. */
export function outcomesOf(turn: Turn, reading: string): readonly number[] {
  const values = waysOf(turn).flatMap((way) => way.find((each) => each.reading === reading)?.value ?? [])
  const [low, high] = [Math.min(...values), Math.max(...values)]
  if (values.length === 0) return []
  return high - low < SAME_MM ? [(low + high) / 2] : [low, high]
}
