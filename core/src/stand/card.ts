import type { PostureId } from '../brake/posture.ts'
import type { Step } from '../brake/step.ts'
import type { EntryBody } from './entries.ts'

/** One thing of a card, answered by entries of its own. */
export interface Row {
  readonly step: Step
  readonly act: 'confirm' | 'measure'
  /** What the hand does in it: the step’s own line, or what of it this row asks. */
  readonly say: string
  /** What is looked at or measured in it; none where the hand says how it is. */
  readonly readings: readonly string[]
  /** What it comes to where all is sound; missing where the hand must choose or measure. */
  readonly sound?: readonly EntryBody[]
  /** All of that is what an earlier visit answered. */
  readonly kept?: true
}

/** What is done in one posture with one tool, each row an answer of its own. */
export interface Card {
  readonly posture: PostureId
  readonly title: string
  /** In the order of the sheet; the first is the act in hand. */
  readonly rows: readonly Row[]
}

/** Nobody reads a row in less, seconds. Our choice. */
const ROW_TAKES_S = 1

/** How much longer a card must be on show before all of it can be said to be sound, seconds. */
export const readIn = ({ rows }: Card, shownS: number): number =>
  Math.max(0, Math.ceil(rows.length * ROW_TAKES_S - shownS))

/** What all of a card comes to where it is sound; rows that the hand must choose or measure are not in it. */
export const soundIn = ({ rows }: Card): readonly EntryBody[] => rows.flatMap(({ sound }) => sound ?? [])
