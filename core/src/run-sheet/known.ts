import type { Entry } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'

/** An earlier visit of the same brake: what it taught becomes the prior of this one. */
export interface Visit {
  readonly hardware: Hardware
  readonly entries: readonly Entry[]
  /** When its job was opened, ISO 8601. */
  readonly openedAt?: string
}

/** What a job knows beside its own log. It is handed to the stand by whoever opens it: screen, ledger, bench and print alike. */
export interface Known {
  /** When the job was opened, ISO 8601: nothing is judged by a clock, all by this. */
  readonly openedAt?: string
  /** What the rider complains of, in the rider’s words. */
  readonly complaints: readonly string[]
  /** Earlier visits, the oldest first. */
  readonly visits: readonly Visit[]
}

/** A brake nobody has seen before, and of which nobody complains. */
export const NOTHING_KNOWN: Known = { complaints: [], visits: [] }

/** What a job’s own record says beside its log. */
export const knownOf = (
  { openedAt, complaint }: { readonly openedAt: string; readonly complaint?: string | null },
  visits: readonly Visit[],
): Known => ({ openedAt, complaints: complaint ? [complaint] : [], visits })
