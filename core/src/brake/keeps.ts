import type { Source } from '../calculation/source.ts'

/**
 * How long something once read is good, where it is kept from one visit to the next. `hardware`: until a part that it stands
 * on is changed. A drift: until it may have left its window. Not given: a look, taken on every visit.
 */
export type Keeps = 'hardware' | Drift

/** What a reading does by itself in a year of use, in its own unit, and how far one brake differs from another in it. */
export interface Drift {
  readonly perYear: number
  readonly sdPerYear: number
  readonly source: Source
}

/** What was read on an earlier visit and still stands: what it was then, when and by whom, and how well it is known now. */
export interface Carried<V> {
  readonly was: V
  /** When it was read, ISO 8601. */
  readonly at: string
  readonly by: string
  /** Standard deviation today, in the reading’s unit; 0 of what is seen. */
  readonly sd: number
  /** Of that, what may have changed since it was read: without what the gauge is unsure of. */
  readonly moved: number
  /** As it would be by now, had it gone as fast as anything of its kind was ever seen to; missing of what does not wear. */
  readonly atWorst?: number
}

/** Wear and drift are of the use a hire bicycle sees: our estimate, to be moved by the shed’s own visits. */
export const OUR_ESTIMATE: Source = {
  kind: 'from-memory',
  title: 'What a year of hire takes off it: our estimate until this brake’s own visits say more',
}

export const wears = (perYear: number, sdPerYear: number): Drift => ({ perYear, sdPerYear, source: OUR_ESTIMATE })
/** A setting that stays where it was put, more or less. */
export const settles = (sdPerYear: number): Drift => ({ perYear: 0, sdPerYear, source: OUR_ESTIMATE })
