import type { Source } from '../calculation/source.ts'
import type { Limit, ReadingSpec, Span, Unsafe } from './reading.ts'

/** Why a window lies where it does: one line of working and its source. */
export interface Because {
  readonly text: string
  readonly source: Source
}

/** A window is a value: the interval a reading must fall in, the hard walls around it, and why. */
export interface Window {
  readonly reading: string
  readonly low: number
  readonly high: number
  readonly target: number
  /** Where physics forbids: rub below, bar above, or the other way about for the reserve. */
  readonly wallLow?: number
  readonly wallHigh?: number
  /** The part of it that is wanted: between this and its ends it is said, not stopped. */
  readonly wanted?: Span
  /** Where it is not to be ridden, whatever reason is typed. */
  readonly unsafe?: Unsafe
  /** Its upper edge is the book’s guess: this reading puts it in its place, and shows something while the reading itself is no more than this. */
  readonly guessed?: { readonly by: string; readonly upTo: number }
  readonly because: readonly Because[]
}

/** Kept from the bar at the squeeze it is judged at, mm. Our choice. */
export const RESERVE_MARGIN_MM = 10

/** No setting satisfies both walls and the school; said instead of a window. */
export interface EmptyWindow {
  readonly code: string
  readonly say: string
  readonly because: readonly Because[]
}

export interface Windows {
  readonly of: Readonly<Record<string, Window>>
  readonly empty?: EmptyWindow
}

export const windowOf = (reading: string, { low, high, wanted, unsafe, text, source }: Limit): Window => ({
  reading,
  low,
  high,
  target: ((wanted?.low ?? low) + (wanted?.high ?? high)) / 2,
  ...(wanted && { wanted }),
  ...(unsafe && { unsafe }),
  because: [{ text, source }],
})

const isTooLow = ({ atMost = -Infinity, below = -Infinity }: Unsafe, value: number): boolean =>
  value <= atMost || value < below
const isTooHigh = ({ above = Infinity, atLeast = Infinity }: Unsafe, value: number): boolean =>
  value > above || value >= atLeast

/** Whether a value is where nobody rides. */
export const isUnsafe = ({ unsafe }: Partial<Pick<Window, 'unsafe'>> = {}, value: number): boolean =>
  unsafe !== undefined && (isTooLow(unsafe, value) || isTooHigh(unsafe, value))

/** Allowed, but not what is wanted. */
export const isBetween = (window: Window | undefined, value: number): boolean =>
  window?.wanted !== undefined &&
  placement(window, value) === 'in' &&
  (value < window.wanted.low || value > window.wanted.high)

export type Placement = 'in' | 'low' | 'high'

export const placement = ({ low, high, unsafe }: Window, value: number): Placement => {
  if (value < low || (unsafe && isTooLow(unsafe, value))) return 'low'
  return value > high || (unsafe && isTooHigh(unsafe, value)) ? 'high' : 'in'
}

/** Windows of readings whose limits are the same on every bicycle. */
export const limitsOf = (readings: readonly ReadingSpec[]): Readonly<Record<string, Window>> =>
  Object.fromEntries(readings.flatMap(({ id, limit }) => (limit ? [[id, windowOf(id, limit)]] : [])))

/** Where a value stands: in or out of its window; without a window all is well. */
export const placedIn = (windows: Windows, id: string, value: number): Placement => {
  const window = windows.of[id]
  return window ? placement(window, value) : 'in'
}
