import { type Outcome, ok } from '@overhaul/core/outcome/outcome'
import { asksNext } from '@overhaul/core/run-sheet/admit/admit'
import { knownOf } from '@overhaul/core/run-sheet/known'
import type { Stand } from '@overhaul/core/run-sheet/stand'
import type { Entry } from '@overhaul/core/stand/entries'
import { openStand } from '@overhaul/core/workshop/open'
import { eq } from 'drizzle-orm'
import { hold } from '../app/hold.ts'
import type { JudgedBy } from '../bench/judge.ts'
import { lastOf, logOf } from '../bench/open-job.ts'
import { isEnded, LAST_SEQ } from '../bench/summary.ts'
import { brakes, jobs } from '../db/schema.ts'
import type { Db } from '../db/store.ts'

/** So many jobs are held; the longest untouched is let go. */
const MOST_HELD = 64
/** Longer logs, and more at once, would hold up whoever else asks: they are judged at the bench. */
const LONGEST_LOG = 500
const MOST_AT_ONCE = 20

/** The log of a job in hand; it goes on as it is written. */
export interface LogInHand extends JudgedBy {
  readonly ids: Set<string>
  last: number
  stand: Outcome<Stand>
}

/**
 * Jobs in hand, on the thread that writes: an entry that asks only how the brake stands is judged here, in a tenth of the time it
 * takes to ask another thread.
 */
export class InHand {
  private readonly held = new Map<string, LogInHand>()
  private changes = 0

  constructor(private readonly db: Db) {}

  /** The log these are judged on here. Undefined where the bench has to: of a job that is not there too, as it says so. */
  async take(jobId: string, incoming: readonly Entry[]): Promise<LogInHand | undefined> {
    const held = this.held.get(jobId)
    this.held.delete(jobId)
    if (incoming.length > MOST_AT_ONCE || incoming.some(asksNext)) return undefined
    const { changes } = this
    const log = held ?? (await this.read(jobId))
    if (!log || log.last > LONGEST_LOG) return undefined
    // What was changed while it was read is read again the next time.
    if (changes === this.changes) hold(this.held, jobId, log, MOST_HELD)
    return log
  }

  private async read(jobId: string): Promise<LogInHand | undefined> {
    const [row] = await this.db
      .select({
        hardware: brakes.hardware,
        openedAt: jobs.openedAt,
        complaint: jobs.complaint,
        releasedAt: jobs.releasedAt,
        closedAt: jobs.closedAt,
        last: LAST_SEQ,
      })
      .from(jobs)
      .innerJoin(brakes, eq(brakes.id, jobs.brakeId))
      .where(eq(jobs.id, jobId))
    if (!row || isEnded(row) || row.last > LONGEST_LOG) return undefined
    const log = await logOf(this.db, jobId)
    const ids = new Set(log.map(({ id }) => id))
    // What earlier visits taught is asked for only by what there is to do next.
    return { ids, last: lastOf(log), stand: openStand(row.hardware, log, knownOf(row, [])) }
  }

  /** These were written. */
  goOn(log: LogInHand, fresh: readonly Entry[], stand: Stand): void {
    for (const { id } of fresh) log.ids.add(id)
    log.last = lastOf(fresh)
    log.stand = ok(stand)
  }

  /** Jobs whose brake was changed: they are read anew when they are next worked on. */
  letGo(jobIds: readonly string[]): void {
    this.changes += 1
    for (const id of jobIds) this.held.delete(id)
  }
}
