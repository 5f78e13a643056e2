import type { CautionId } from '../reference/cautions.ts'

/** What an adjuster is moved by. A click is one of the caliper’s own count a turn. */
export type TurnUnit = 'turn' | 'mm' | 'hole' | 'click'

/** What an adjuster was wound in to before it was backed off: heard on a turning wheel, or felt on a still one. */
export interface From {
  readonly contact: 'ear' | 'feel'
}

/** One thing for the hand to do, in the steps a hand can make. */
export interface Move {
  readonly adjuster: string
  readonly amount: number
  readonly unit: TurnUnit
  readonly from?: From
}

/** Where an adjuster without lost motion meets something when it is wound in. */
export interface Contact {
  /** The sign of the amounts that wind it in. */
  readonly inward: 1 | -1
  /** Its input where ear and hand find that it meets, and how well they do; in the input’s own unit. */
  readonly at: Readonly<Record<From['contact'], number>>
  readonly sd: Readonly<Record<From['contact'], number>>
}

/** Something a hand can turn, clamp or move, and what is believed of it before anyone has tried. */
export interface AdjusterSpec {
  readonly id: string
  readonly title: string
  /** Bench shorthand on the tape. */
  readonly shorthand: string
  readonly unit: TurnUnit
  /** The smallest step a hand can make. */
  readonly step: number
  /** What the hand does for a positive and for a negative amount: “Left screw in”. */
  readonly plus: string
  readonly minus: string
  /** The model input it drives and the book effect on it, per unit. */
  readonly input: string
  readonly book: number
  /** What it gives another input of what it does to its own: −1 where it gives what it takes. */
  readonly also?: { readonly input: string; readonly share: number }
  /** Standard deviation of the logarithm of its true effect over the book's. */
  readonly effectSpread: number
  /** Lost motion on reversal, in its own unit. */
  readonly play?: { readonly mean: number; readonly sd: number }
  /** Scatter each time it is set, in its own unit: a clamp creeps as it is tightened. */
  readonly settingSd: number
  /** Between its two ends, in its own unit; absent where nothing limits it. */
  readonly travel?: number
  /** The reading that tells how far it stands from its lower end. */
  readonly positionReading?: string
  /** Position taken before anyone has looked, from its lower end; half its travel if not given. */
  readonly assumedPosition?: number
  /** Which way it works differs by design: `book` holds one way, the other is as likely until the brake shows. */
  readonly eitherWay?: true
  /** Only when nothing gentler is left: a spring moved to another hole. */
  readonly lastResort?: true
  /** Wound in, it brings the pad to its track: its turns may be told from there. */
  readonly contact?: Contact
  /** What can hurt as it is touched. */
  readonly cautions?: readonly CautionId[]
  /** What touching it costs, as a share of the chance of success. */
  readonly price: number
  /** The reading that shows what a turn of it does, where its effect on its input is positive and where it is negative. */
  readonly shows?: { readonly plus: string; readonly minus: string }
  /** A screw: drawn with what it was turned, and the arrow of its next turn. */
  readonly screw?: true
}
