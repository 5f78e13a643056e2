import type { Dimensions, End } from './dimension.ts'

/** What a gauge shows of a reading, or an eye sees. */
export type Shown = number | string | undefined

/** A practice bicycle, as whatever is read at it sees it: its hardware, its own luck, and what was done to it. */
export interface PracticeBrake {
  readonly dimensions: Dimensions
  readonly end: End
  /** A figure of this very bicycle between two others: the same place of the same part always draws the same. */
  readonly draw: (part: 'wheel' | 'lever', place: number, between: readonly [number, number]) => number
  /** A reading as it was last measured, in this job or an earlier one. */
  readonly last: (reading: string) => number | undefined
  /** How far an adjuster was turned since a reading was last measured. */
  readonly since: (adjuster: string, reading: string) => number
  /** Where an adjuster stands from its lower end, as a hand would count it. */
  readonly position: (adjuster: string) => number | undefined
}

/**
 * What the practice gauge shows: the same on every bicycle, or by the bicycle. `null` where it shows nothing. What is seen
 * and says nothing of it is answered by its first option, the one that is well; what the stand-in itself reads, by that.
 */
export type Practice = number | string | null | ((brake: PracticeBrake) => Shown)

/** To the tenth that a rule or a pointer shows. */
export const tenth = (value: number): number => Math.round(value * 10) / 10

/** In front one thing, behind another. */
export const byEnd =
  (front: Shown, rear: Shown) =>
  ({ end }: PracticeBrake): Shown =>
    end === 'front' ? front : rear
