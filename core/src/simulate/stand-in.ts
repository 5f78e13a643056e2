import type { From } from '../brake/adjuster.ts'
/** What a gauge, or the truth, says of each reading. */
export type Readings = Readonly<Record<string, number | string>>

/** A simulated brake as whoever works on it meets it: it is turned, squeezed and measured. */
export interface StandIn {
  /**
   * Turns an adjuster, wound in to contact first where that is told; gives the amount it really went before an end stopped
   * it.
   */
  readonly turn: (
    adjuster: string,
    amount: number,
    from?: From['contact'],
  ) => { readonly turned: number; readonly endReached: boolean }
  readonly squeeze: (times: number) => void
  /** Shoes that centre themselves while they are held on and tightened. */
  readonly settle?: () => void
  /** Where an adjuster stands from its lower end: what a hand would count. */
  readonly position: (adjuster: string) => number | undefined
  /** How it truly is. For judging, never for advice. */
  readonly truth: () => Readings
  /** Readings as a gauge shows them, and what each one misread this time would have said. */
  readonly gauge: () => { readonly shown: Readings; readonly misread: Readings }
}
