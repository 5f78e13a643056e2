import type { CautionId } from '../reference/cautions.ts'

/** What an adjuster is moved by. A click is one of the caliper’s own count a turn. */
export type TurnUnit = 'turn' | 'mm' | 'hole' | 'click'

/** How an adjuster finds where it begins anew, wherever it stood before. */
export const CONTACTS = ['ear', 'feel', 'float'] as const

/**
 * What an adjuster was brought to before it was moved by its amount: wound in until it is heard on a turning wheel, or felt
 * on a still one; or let go, so that it floats and a squeeze puts it in its place.
 */
export interface From {
  readonly contact: (typeof CONTACTS)[number]
}

/** One thing for the hand to do, in the steps a hand can make. */
export interface Move {
  readonly adjuster: string
  readonly amount: number
  readonly unit: TurnUnit
  readonly from?: From
}

/** Where an adjuster without lost motion meets something when it is wound in, or comes to lie when it floats. */
export interface Contact {
  /** The sign of the amounts that wind it in; absent where it is met from either side. */
  readonly inward?: 1 | -1
  /** Its input where each way finds that it meets, and how well it does; in the input’s own unit. Absent: not found so. */
  readonly at: Readonly<Partial<Record<From['contact'], number>>>
  readonly sd: Readonly<Partial<Record<From['contact'], number>>>
  /** All that a hand can give it from there, in its own unit, and then it is moved no other way; absent: by its own step. */
  readonly gives?: readonly number[]
  /** Being brought there in two words, as a drawing has them. */
  readonly brief?: string
  /** That it is brought there and moved by so much, in few words; absent: wound in by its own words, then back. */
  readonly say?: (amount: number) => string
  /** The same once it was done. */
  readonly done?: (amount: number) => string
}

/** How it is found best. */
export const bestFound = ({ sd }: Contact): From['contact'] =>
  CONTACTS.reduce((best, each) => ((sd[each] ?? Infinity) < (sd[best] ?? Infinity) ? each : best))

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
  /** The same once it was done, where it is said as a command. */
  readonly done?: { readonly plus: string; readonly minus: string }
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
  /** Of what it moves as it is set, the part that is the same each time, in its input’s own unit: how wide, and how it is told. */
  readonly creep?: { readonly sd: number; readonly say: (moved: number) => string }
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
  /** How a hand moves it by so much, where its name does not say it; sentences. */
  readonly how?: (amount: number) => string
  /** What can hurt as it is touched. */
  readonly cautions?: readonly CautionId[]
  /** What touching it costs, as a share of the chance of success. */
  readonly price: number
  /** The reading that shows what a turn of it does, where its effect on its input is positive and where it is negative. */
  readonly shows?: { readonly plus: string; readonly minus: string }
  /** A screw: drawn with what it was turned, and the arrow of its next turn. */
  readonly screw?: true
}
