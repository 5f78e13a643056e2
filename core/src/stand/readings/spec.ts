import type { Source } from '../../calculation/source.ts'
import type { UnitId } from '../../quantity/quantity.ts'

/** Something a mechanic measures. */
export interface ReadingSpec {
  readonly id: string
  readonly title: string
  /** Bench shorthand on the tape. */
  readonly shorthand: string
  readonly unit: UnitId
  /** What is accepted, in canonical units. */
  readonly min: number
  readonly max: number
  /** Standard uncertainty of the usual instrument. */
  readonly sd: number
  readonly instrument: string
  /** How the hand takes it. */
  readonly how: string
  /** The dimension of the hardware it is: measured in a job, it stands for the book figure. */
  readonly dimension?: string
  /** Its window where that is the same on every bicycle. */
  readonly limit?: { readonly low: number; readonly high: number; readonly text: string; readonly source: Source }
}

/** Something a mechanic sees, one of a few answers. */
export interface SeenSpec {
  readonly id: string
  readonly title: string
  readonly shorthand: string
  readonly how: string
  readonly options: readonly SeenOption[]
}

export interface SeenOption {
  readonly id: string
  /** In the words of the bench, after the title. */
  readonly title: string
  /** What must be done about it; absent where all is well. */
  readonly remedy?: string
  /** Not to be ridden like this: the step cannot be skipped. */
  readonly stop?: true
}

/** Readings of length, in mm, taken by instruments of about one uncertainty; `more` says what else one of them has. */
export const lengths =
  (sd: number) =>
  (
    id: string,
    title: string,
    shorthand: string,
    [min, max]: readonly [number, number],
    instrument: string,
    how: string,
    more: Partial<ReadingSpec> = {},
  ): ReadingSpec => ({ id, title, shorthand, unit: 'mm', min, max, sd, instrument, how, ...more })
