import type { JobSummary } from '@overhaul/core/http/contract'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import type { Entry } from '@overhaul/core/stand/entries'
import { taughtTo } from '@overhaul/core/stand/history'
import { desc, eq, inArray } from 'drizzle-orm'
import { orThrow } from '../app/fault.ts'
import type { Ends, Judged } from '../bench/bench.ts'
import { judge, type Verdict } from '../bench/judge.ts'
import { isEnded, isStale, type JobAt } from '../bench/summary.ts'
import { brakes, entries, jobs } from '../db/schema.ts'
import type { Statement, Store } from '../db/store.ts'
import type { Workers } from '../workers/workers.ts'
import { InHand } from './in-hand.ts'

type JobRow = typeof jobs.$inferSelect

export interface Appended {
  readonly accepted: readonly string[]
  readonly known: readonly string[]
  /** The accepted entries as they now stand in the log. */
  readonly entries: readonly Entry[]
}

const NOTHING = () => undefined
const SUMMARY_REST_MS = 1500
const SUMMARY_LATEST_MS = 5000

/** Appends to jobs' logs, in order and once, and keeps the rack's summaries. What takes long to judge or to tell is worked out at a bench. */
export class Ledger {
  private readonly inHand: InHand
  private readonly queues = new Map<string, Promise<unknown>>()
  private telling: Promise<void> = Promise.resolve()
  private closing = false
  private freshening: Promise<void> = Promise.resolve()
  private readonly summaries = new Map<string, { readonly timer: NodeJS.Timeout; readonly since: number }>()

  constructor(
    private readonly store: Store,
    private readonly workers: Workers,
  ) {
    this.inHand = new InHand(store.db)
  }

  /** One append at a time per job: the order of the log is the order of arrival. */
  append(jobId: string, incoming: readonly Entry[]): Promise<Outcome<Appended>> {
    return this.inTurn(jobId, () => this.appendNow(jobId, incoming))
  }

  /** One change of a brake’s hardware at a time: each is made of the row as the one before left it. */
  onBrake<T>(brakeId: string, change: () => Promise<T>): Promise<T> {
    return this.inTurn(`brake ${brakeId}`, change)
  }

  private inTurn<T>(queue: string, work: () => Promise<T>): Promise<T> {
    const before = this.queues.get(queue) ?? Promise.resolve()
    const turn = before.then(work)
    const settled = turn.catch(() => undefined)
    this.queues.set(queue, settled)
    settled.then(() => {
      if (this.queues.get(queue) === settled) this.queues.delete(queue)
    })
    return turn
  }

  private async appendNow(jobId: string, incoming: readonly Entry[]): Promise<Outcome<Appended>> {
    const log = await this.inHand.take(jobId, incoming)
    const judged: Outcome<Verdict & Pick<Judged, 'ending'>> = log
      ? judge(log, incoming)
      : await this.workers.ask('judge', jobId, incoming)
    if (!judged.ok) return judged
    const { fresh, known, stand, ending } = judged.value
    if (fresh.length > 0) {
      const written = await this.write(jobId, fresh, ending)
      if (!written.ok) return written
      if (log && stand) this.inHand.goOn(log, fresh, stand)
      this.summariseSoon(jobId)
    }
    return ok({ accepted: fresh.map((entry) => entry.id), known, entries: fresh })
  }

  /**
   * All stand or none; a release or a closing also ends the job, its strike opens it again. What a released job measured of the
   * brake itself goes to the brake.
   */
  private async write(jobId: string, fresh: readonly Entry[], ending?: Ends): Promise<Outcome<true>> {
    const { db } = this.store
    const rows = fresh.map(({ seq = 0, ...entry }) => ({ id: entry.id, jobId, seq, entry: entry as Entry }))
    const statements: Statement[] = [db.insert(entries).values(rows)]
    if (ending) {
      const { at, brakeId, jobNumber } = ending
      const newest = isEnded(at) ? jobNumber : await this.newestOn(brakeId)
      if (newest !== jobNumber) {
        return refuse(
          'newer-job',
          'strikes',
          `Job ${newest} was opened on this brake since: go on there, this one stays ended.`,
        )
      }
      const judgedAt = isEnded(at) ? new Date().toISOString() : null
      statements.push(
        db
          .update(jobs)
          .set({ ...at, judgedAt })
          .where(eq(jobs.id, jobId)),
      )
    }
    try {
      const { brakeId, taught } = ending ?? {}
      if (brakeId && taught)
        await this.onBrake(brakeId, async () =>
          this.store.write([...statements, ...(await this.teach(brakeId, taught))]),
        )
      else await this.store.write(statements)
    } catch (error) {
      // Whether it was written is not known: the log says so when it is next read.
      this.inHand.letGo([jobId])
      const taken = await this.takenElsewhere(fresh)
      if (taken) return refuse('id-taken', 'id', `The entry id ${taken} belongs to another job.`)
      throw error
    }
    return ok(true)
  }

  /** What a log taught, laid over the brake’s row as it is by now. */
  private async teach(brakeId: string, taught: NonNullable<Ends['taught']>): Promise<readonly Statement[]> {
    const { db } = this.store
    const [row] = await db.select({ hardware: brakes.hardware }).from(brakes).where(eq(brakes.id, brakeId))
    if (!row) return []
    const hardware = taughtTo(row.hardware, taught.was, taught.now)
    return [db.update(brakes).set({ hardware }).where(eq(brakes.id, brakeId))]
  }

  /** The number of the newest job on a brake. */
  private async newestOn(brakeId: string): Promise<number | undefined> {
    const [row] = await this.store.db
      .select({ number: jobs.number })
      .from(jobs)
      .where(eq(jobs.brakeId, brakeId))
      .orderBy(desc(jobs.number))
      .limit(1)
    return row?.number
  }

  private async takenElsewhere(fresh: readonly Entry[]): Promise<string | undefined> {
    for (const { id } of fresh) {
      const [row] = await this.store.db.select({ id: entries.id }).from(entries).where(eq(entries.id, id))
      if (row) return row.id
    }
    return undefined
  }

  /** The summary waits until the hand rests, though never for long: it costs a piece of advice. */
  private summariseSoon(jobId: string): void {
    const waiting = this.summaries.get(jobId)
    if (waiting) clearTimeout(waiting.timer)
    const since = waiting?.since ?? Date.now()
    const delay = Math.max(0, Math.min(SUMMARY_REST_MS, since + SUMMARY_LATEST_MS - Date.now()))
    const timer = setTimeout(() => {
      this.summaries.delete(jobId)
      // One after the other: whoever writes at the bench waits for one of them at most.
      this.telling = this.telling.then(() => this.summarise(jobId)).then(NOTHING, (error) => console.error(error))
    }, delay)
    this.summaries.set(jobId, { timer, since })
  }

  private async summarise(jobId: string): Promise<JobSummary> {
    const summary = orThrow(await this.workers.ask('summary', jobId))
    await this.store.db.update(jobs).set({ summary }).where(eq(jobs.id, jobId))
    return summary
  }

  /** A row as a reader may show it: a summary older than its log is worked out first. */
  async fresh(row: JobAt): Promise<JobRow> {
    return isStale(row) ? { ...row.job, summary: await this.summarise(row.job.id) } : row.job
  }

  /** Works out what is told of these jobs. */
  async freshen(jobIds: readonly string[]): Promise<void> {
    for (const id of jobIds) await this.summarise(id)
  }

  /** Begins to work out, one after the other, what is told of open jobs where it is older than their logs, as after a sudden end. */
  begin(): void {
    const all = async () => {
      for (const id of await this.workers.look('staleJobs')) if (!this.closing) await this.summarise(id)
    }
    this.freshening = all().catch((error) => console.error(error))
  }

  /** What these brakes are or hang on was changed: their jobs, which it answers with, are read anew. */
  async changed(brakeIds: readonly string[]): Promise<readonly Pick<JobRow, 'id' | 'releasedAt' | 'closedAt'>[]> {
    const rows = await this.store.db
      .select({ id: jobs.id, releasedAt: jobs.releasedAt, closedAt: jobs.closedAt })
      .from(jobs)
      .where(inArray(jobs.brakeId, [...brakeIds]))
    const ids = rows.map(({ id }) => id)
    this.inHand.letGo(ids)
    await this.workers.ask('forget', ids)
    return rows
  }

  /** A brake’s hardware is known better. Answers with its jobs that are not ended. */
  async hardwareChanged(brakeId: string): Promise<readonly string[]> {
    const rows = await this.changed([brakeId])
    const open = rows.filter((row) => !isEnded(row)).map(({ id }) => id)
    for (const id of open) this.summariseSoon(id)
    return open
  }

  /** Writes every summary still waiting; called before the store closes. */
  async flush(): Promise<void> {
    this.closing = true
    await Promise.all([this.freshening, this.telling])
    const waiting = [...this.summaries.keys()]
    for (const { timer } of this.summaries.values()) clearTimeout(timer)
    this.summaries.clear()
    for (const jobId of waiting) await this.summarise(jobId)
  }
}
