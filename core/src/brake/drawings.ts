import type { Dimensions, Here } from './dimension.ts'
import type { DimensionLine, FrameLabel, Shape } from './frame.ts'
import type { Looked } from './on-stand.ts'

/** What a detail is drawn from: the hardware, and whatever was measured and seen. */
export interface DetailAt extends Looked {
  readonly dimensions: Dimensions
  readonly here: Here
}

/** A part of the brake drawn by itself, larger, with everything that is measured at it, mm. */
export interface Detail {
  readonly shapes: readonly Shape[]
  readonly dimensions: readonly DimensionLine[]
  readonly labels: readonly FrameLabel[]
  readonly bounds: { readonly min: readonly [number, number]; readonly max: readonly [number, number] }
  /** What is not to its scale, in words. */
  readonly enlarged?: string
}

export interface DetailSpec {
  readonly id: string
  /** What is seen, and from where. */
  readonly title: string
  /** Readings it shows. */
  readonly readings: readonly string[]
  /** Steps whose act it shows: a pin pulled, a plate lifted. */
  readonly steps?: readonly string[]
  readonly draw: (at: DetailAt) => Detail
}

/** A small drawing of one answer, in a field 60 wide and 40 high about the origin. */
export type Picture = readonly Shape[]
export const PICTURE = { width: 60, height: 40 } as const

/** Pictures by what is looked at and its answer; a step that is confirmed has `well` and `ill`. */
export type Pictures = Readonly<Record<string, Readonly<Record<string, Picture>>>>

/** What a family’s parts look like: fetched once they are to be seen. */
export interface Drawings {
  readonly details: readonly DetailSpec[]
  readonly pictures: Pictures
}

/** What was measured, or the figure a drawing makes do with until then. */
export const drawnAt = ({ number }: Looked, reading: string, until: number): number => number(reading) ?? until

const isShown = ({ readings, steps = [] }: DetailSpec, id: string): boolean =>
  readings.includes(id) || steps.includes(id)

/** The fewest details that show these readings and steps, those that show most of them first. */
export function detailsFor(details: readonly DetailSpec[], wanted: readonly string[]): readonly DetailSpec[] {
  const chosen: DetailSpec[] = []
  let left = wanted.filter((id) => details.some((each) => isShown(each, id)))
  while (left.length > 0) {
    const shows = (each: DetailSpec) => left.filter((id) => isShown(each, id)).length
    const best = details.reduce((a, b) => (shows(b) > shows(a) ? b : a))
    chosen.push(best)
    left = left.filter((id) => !isShown(best, id))
  }
  return chosen
}
