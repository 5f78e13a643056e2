import type { From, TurnUnit } from '../brake/adjuster.ts'
import type { PlannedPart } from '../brake/plan.ts'
import type { RouteSegment } from '../brake/route.ts'
import type { UnitId } from '../quantity/quantity.ts'

/**
 * The log. A job is an append-only list of entries; everything else is folded from it.
 * The shapes are part of the product's interface: fields are added, never changed.
 */
interface Common {
  /** Made by the client (UUID), so that a retry cannot double an entry. */
  readonly id: string
  /** ISO 8601, UTC. */
  readonly at: string
  /** Who, as the bench knows them: a number or initials. */
  readonly by: string
  /** The screen it was made on; tells two tablets of one person apart. */
  readonly device?: string
  /** Given by the server; missing while an entry still waits to be sent. */
  readonly seq?: number
  /** The last seq its author had seen. */
  readonly basedOn?: number
}

/** A part used up in a job, and what one of it costs. */
export interface SpentPart {
  readonly name: string
  readonly count: number
  readonly price: number
}

export type EntryBody =
  | {
      readonly kind: 'reading'
      readonly reading: string
      /** A number, or for what is seen one of its answers. */
      readonly value: number | string
      readonly unit: UnitId | ''
      readonly instrument?: string
    }
  | {
      readonly kind: 'turn'
      readonly adjuster: string
      readonly amount: number
      readonly unit: TurnUnit
      readonly endReached?: boolean
      /** The amount the hand tried, where nothing moved: which end it stands at. Without it an amount of 0 tells of no end. */
      readonly tried?: number
      /** Wound in to contact first, then back by the amount. */
      readonly from?: From
    }
  | { readonly kind: 'swap'; readonly part: string; readonly to: string }
  /** The hand’s answer. Without `well` it is well. */
  | { readonly kind: 'confirm'; readonly step: string; readonly count?: number; readonly well?: false }
  | { readonly kind: 'skip'; readonly step: string; readonly reason: string }
  | {
      /** A way of mounting chosen, with what it takes from the drawer and the cautions that were read. */
      readonly kind: 'plan'
      readonly plan: string
      readonly to: string
      readonly parts: readonly PlannedPart[]
      readonly acknowledged: readonly string[]
      /** What was chosen, in numbers, where a way alone does not tell it: it can be judged again without the drawer. */
      readonly figures?: Readonly<Record<string, number>>
    }
  /** The cable’s way from lever to brake, in order. */
  | { readonly kind: 'route'; readonly segments: readonly RouteSegment[] }
  /** `instrument`: torque wrench, or a pull on a key of known length. */
  | { readonly kind: 'torque'; readonly fastener: string; readonly valueNm: number; readonly instrument?: string }
  /** The maker’s figure of one fastener: kept with the brake. */
  | { readonly kind: 'figure'; readonly fastener: string; readonly lowNm: number; readonly highNm: number }
  /** What the work was expected to take, told before it. */
  | { readonly kind: 'estimate'; readonly minutes: number; readonly cost: number; readonly currency: string }
  /** What it took: minutes, what they cost, and parts; several add up. */
  | {
      readonly kind: 'spent'
      readonly minutes: number
      readonly labour: number
      readonly currency: string
      readonly parts: readonly SpentPart[]
    }
  /** A stop ridden before or after the work. `reactionS` where the rider’s reaction is inside the distance. */
  | {
      readonly kind: 'run'
      readonly phase: 'before' | 'after'
      readonly direction: 'out' | 'back'
      readonly speedKmh: number
      readonly distanceM: number
      readonly reactionS?: number
      readonly loadKg?: number
      readonly pressureBar?: number
      readonly surface?: 'dry' | 'wet'
      /** Which brakes were squeezed: this one alone, or both. */
      readonly brakes?: 'this' | 'both'
      /** Standard uncertainties, where they are known. */
      readonly speedSdKmh?: number
      readonly distanceSdM?: number
      /** How it was taken: a mark on the ground, or a trace with the deceleration of its plateau, m/s². */
      readonly instrument?: string
      readonly decelerationMs2?: number
      readonly decelerationSdMs2?: number
    }
  | { readonly kind: 'correction'; readonly strikes: string; readonly why?: string }
  | { readonly kind: 'note'; readonly text: string }
  /** `lookAgain`: the day by which it should be looked at again, ISO 8601. */
  | { readonly kind: 'release'; readonly initials: string; readonly lookAgain?: string }
  /** Ends a job whose brake cannot be put right: not to be ridden. */
  | { readonly kind: 'close'; readonly initials: string; readonly why: string }

export type Entry = Common & EntryBody
export type EntryKind = Entry['kind']
export type EntryOf<K extends EntryKind> = Extract<Entry, { kind: K }>

export const ENTRY_KINDS: readonly EntryKind[] = [
  'reading',
  'turn',
  'swap',
  'confirm',
  'skip',
  'plan',
  'route',
  'torque',
  'figure',
  'estimate',
  'spent',
  'run',
  'correction',
  'note',
  'release',
  'close',
]
