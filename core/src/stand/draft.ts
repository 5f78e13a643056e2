import type { Carried } from '../brake/keeps.ts'
import type { Span } from '../brake/reading.ts'
import type { RouteSegment } from '../brake/route.ts'
import type { ChosenSchool } from '../brake/school.ts'
import type { Entry, EntryOf } from './entries.ts'

export type FactStatus = 'current' | 'recheck'

/** Something once established, and whether it still stands. */
export interface Established<V> {
  readonly value: V
  readonly entry: Entry
  readonly status: FactStatus
  /** What has happened since that calls for another look. */
  readonly cause?: string
  /** Read on an earlier visit, and not in this one. */
  readonly carried?: Carried<V>
}

/** What ended a job. */
export type Ending = EntryOf<'release'> | EntryOf<'close'>

/** What is folded as the log is read on: filled in place, and never seen while it is. */
export interface Draft {
  readonly readings: Record<string, Established<number | string>>
  /** What earlier visits left, as long as nobody asked for it anew. */
  readonly carried: Record<string, Established<number | string>>
  readonly earlier: Record<string, number[]>
  readonly confirmed: Record<string, Established<boolean>>
  readonly torques: Record<string, Established<number>>
  readonly makers: Record<string, Span>
  readonly skipped: Record<string, string>
  readonly plans: Record<string, Established<EntryOf<'plan'>>>
  readonly schools: Record<string, ChosenSchool>
  route: readonly RouteSegment[]
  ending: Ending | undefined
  parked: EntryOf<'park'> | undefined
}
