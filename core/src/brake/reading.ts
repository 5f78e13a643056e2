import type { Source } from '../calculation/source.ts'
import type { UnitId } from '../quantity/quantity.ts'
import type { Fact } from './graph.ts'
import type { Keeps } from './keeps.ts'
import type { Practice } from './practice.ts'
import type { StationId } from './station.ts'

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
  /** Decimals it is shown with in millimetres, where its usual ones are too coarse. */
  readonly decimals?: 2
  readonly instrument: string
  /** How the hand takes it. */
  readonly how: string
  /** The dimension of the hardware it is: measured in a job, it stands for the book figure. */
  readonly dimension?: string
  /** How long it is good; taken on every visit if not given. */
  readonly keeps?: Keeps
  /** Its window where that is the same on every bicycle. */
  readonly limit?: Limit
  /** What makes it asked again. */
  readonly standsOn?: readonly Fact[]
  /** The stations at which it is shown as a gauge. */
  readonly gauge?: readonly StationId[]
  readonly practice?: Practice
  /** Taken by riding hard: not before everything that a ride hangs on was looked at. */
  readonly ridden?: true
}

/** An interval that is the same on every bicycle, with why. */
export interface Limit {
  readonly low: number
  readonly high: number
  /** The part of it that is wanted: between this and its ends it is said, not stopped. */
  readonly wanted?: Span
  /** Where it is not to be ridden. */
  readonly unsafe?: Unsafe
  readonly text: string
  readonly source: Source
}

export interface Span {
  readonly low: number
  readonly high: number
}

/** Where a measured thing is not to be ridden: at or under a figure, under it, over it, or at or over it. */
export interface Unsafe {
  readonly atMost?: number
  readonly below?: number
  readonly above?: number
  readonly atLeast?: number
  readonly say: string
}

/** Something a mechanic sees, one of a few answers. */
export interface SeenSpec {
  readonly id: string
  readonly title: string
  readonly shorthand: string
  readonly how: string
  /** The trait of the hardware it is: seen in a job, it stands for the usual one. */
  readonly trait?: string
  /** Good until a part that it stands on is changed; looked at on every visit if not given. */
  readonly keeps?: 'hardware'
  /** What makes it asked again. */
  readonly standsOn?: readonly Fact[]
  readonly practice?: Practice
  readonly options: readonly SeenOption[]
}

export interface SeenOption {
  readonly id: string
  /** In the words of the bench, after the title. */
  readonly title: string
  /** The whole of it in words, where title and answer side by side do not read well. */
  readonly told?: string
  /** Words of the tape that mean it too. */
  readonly also?: readonly string[]
  /** Told of a hard ride: not before everything that a ride hangs on was looked at. */
  readonly ridden?: true
  /** Well, and yet something is to be said of it. */
  readonly remark?: string
  /** What must be done about it; absent where all is well. */
  readonly remedy?: string
  /** Not to be ridden like this: it is put right, or the job is closed. */
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

/** Where what is dialled in is shown. */
export const DIALLED: readonly StationId[] = ['bite', 'centre', 'prove', 'release']
