import { type Placement, placement, type Windows } from '../brake/window.ts'
import type { Entry, EntryOf } from '../stand/entries.ts'

/** What the gauge last said, as a hand without arithmetic reads it. */
export interface Seen {
  readonly gapLeft: number
  readonly gapRight: number
  readonly biteTravel: number
  /** Left less right. */
  readonly difference: number
  readonly bite: Placement
  /** Plainly not centred, or a pad within the rub wall. */
  readonly apart: boolean
  readonly rubs: boolean
}

/** By the book’s windows: the bite its school names, gaps alike, none within the rub wall. */
export function seenIn(windows: Windows, log: readonly Entry[]): Seen {
  const { gapLeft = 0, gapRight = 0, biteTravel = 0 } = latest(log)
  const place = (id: string, value: number) => {
    const window = windows.of[id]
    return window ? placement(window, value) : 'in'
  }
  const difference = gapLeft - gapRight
  return {
    gapLeft,
    gapRight,
    biteTravel,
    difference,
    bite: place('biteTravel', biteTravel),
    apart: place('gapDifference', difference) !== 'in',
    rubs: Math.min(gapLeft, gapRight) < (windows.of.gapLeft?.wallLow ?? 0),
  }
}

export const isWell = ({ bite, apart, rubs }: Seen): boolean => bite === 'in' && !apart && !rubs

export function latest(log: readonly Entry[]): Readonly<Record<string, number>> {
  const struck = new Set(log.flatMap((entry) => (entry.kind === 'correction' ? [entry.strikes] : [])))
  return Object.fromEntries(
    log.flatMap((entry) =>
      entry.kind === 'reading' && typeof entry.value === 'number' && !struck.has(entry.id)
        ? [[entry.reading, entry.value]]
        : [],
    ),
  )
}

export const turnsOf = (log: readonly Entry[], adjuster: RegExp) =>
  log.filter(
    (entry): entry is EntryOf<'turn'> => entry.kind === 'turn' && adjuster.test(entry.adjuster) && entry.amount !== 0,
  )

/** Whether it has been felt to stand at its end that way. */
export const ended = (log: readonly Entry[], adjuster: string, sign: number): boolean =>
  log.some(
    (entry) =>
      entry.kind === 'turn' &&
      entry.adjuster === adjuster &&
      entry.endReached === true &&
      (entry.tried ?? entry.amount) * sign > 0,
  )
