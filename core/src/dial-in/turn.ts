/** One thing for the hand to do, in the steps a hand can make. */
export interface Move {
  readonly adjuster: string
  readonly amount: number
  readonly unit: 'turn' | 'mm' | 'hole'
}

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

/** Readings the advice steers, in the model's order. */
export const STEERED = ['gapLeft', 'gapRight', 'biteTravel', 'reserve', 'gapDifference'] as const
/** Readings that must be measured before a turn can be advised. */
export const NEEDED = ['gapLeft', 'gapRight', 'biteTravel'] as const
