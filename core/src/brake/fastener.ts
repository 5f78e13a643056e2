import type { Fact } from './graph.ts'
import type { Looked } from './on-stand.ts'
import type { Span } from './reading.ts'
import type { Circumstances } from './step.ts'

/** Something that holds the brake together, as the bench goes over it. */
export interface FastenerSpec {
  /** Its name on the tape and in the log: `anchor`, `left pad`. */
  readonly id: string
  readonly title: string
  readonly thread: string
  /** The thread the working is done with, where it is the usual one: nominal diameter mm, stress area mm². */
  readonly bolt?: { readonly diameterMm: number; readonly stressAreaMm2: number }
  readonly tool: string
  /** A figure to start from, N·m, from memory; none where only the maker’s will do. */
  readonly nm?: Span
  /** Dry, grease, oil or threadlocker, and what else belongs to it. */
  readonly rule: string
  /** The step that says it is tight, where the brake has one of its own. */
  readonly tick?: string
  /** What leaves it loose. */
  readonly loosenedBy: readonly Fact[]
  /** Whether this brake, as it was seen, is held by it; always if not given. */
  readonly stands?: (looked: Looked) => boolean
  /** Where a step of its own is made for it only then: in other jobs a step of the work tightens it. */
  readonly when?: (here: Circumstances) => boolean
}

/** The step that ticks a fastener off: its own, or one made for it. */
export const tickOf = ({ id, tick }: FastenerSpec): string => tick ?? `tight-${id.replaceAll(' ', '-')}`
