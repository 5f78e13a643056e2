import type { JobRecord, JobSummary } from '@overhaul/core/http/contract'
import { type Outcome, ok } from '@overhaul/core/outcome/outcome'
import { findingsOf } from '@overhaul/core/run-sheet/findings'
import type { Job } from '@overhaul/core/run-sheet/job'
import { NOTHING_KNOWN } from '@overhaul/core/run-sheet/known'
import { runLine } from '@overhaul/core/run-sheet/line'
import { type Stand, standAfter } from '@overhaul/core/run-sheet/stand'
import { type Told, tellNext } from '@overhaul/core/run-sheet/told'
import type { Ending } from '@overhaul/core/stand/draft'
import type { Entry } from '@overhaul/core/stand/entries'
import type { Hardware } from '@overhaul/core/stand/hardware'
import { hardwareAfter, openStand } from '@overhaul/core/workshop/open'
import { hold } from '../app/hold.ts'
import { endsOf } from '../db/ends.ts'
import { epochOf } from '../db/rack.ts'
import type { Db } from '../db/store.ts'
import { DamagedRecord } from '../db/trouble.ts'
import { workshopIn } from '../db/workshop.ts'
import { heldBy } from '../drawer/drawer.ts'
import type { Papers } from '../print/press.ts'
import { judge, type Verdict } from './judge.ts'
import { besideJob, lastOf, logOf, type OpenJob, readJob } from './open-job.ts'
import { inUtc, isEnded, summaryOf, workedJob } from './summary.ts'

/** What is to be written, and what is there already. */
export interface Judged extends Pick<Verdict, 'fresh' | 'known'> {
  /** Where they end the job, or open it again. */
  readonly ending?: Ends
}

/** How a log now ends its job, or opens it again, and what else is then to be written. */
export interface Ends {
  readonly brakeId: string
  readonly jobNumber: number
  readonly at: { readonly releasedAt: string | null; readonly closedAt: string | null }
  /** What a released job measured of the brake: as it was known to the job, and as it is known now; missing where that is nothing. */
  readonly taught?: { readonly was: Hardware; readonly now: Hardware }
}

/** So many jobs are held open; the longest untouched is let go. */
const MOST_HELD = 64

/**
 * Everything that is worked out of a job, apart from whoever answers the network: it reads the workshop's data and writes
 * nothing. What was written it sees in the log.
 */
export class Bench {
  private readonly held = new Map<string, OpenJob>()

  constructor(private readonly db: Db) {}

  /** A job as it is written: one held goes on from where it was, or is read anew. */
  private async open(jobId: string): Promise<Outcome<OpenJob>> {
    const held = this.held.get(jobId)
    this.held.delete(jobId)
    try {
      if (held && (await this.goesOn(held))) {
        this.held.set(jobId, held)
        return ok(held)
      }
      const opened = await readJob(this.db, jobId)
      if (!opened.ok) return opened
      hold(this.held, jobId, opened.value, MOST_HELD)
      return opened
    } catch (error) {
      // Said as a refusal: another thread would not know the error for what it is.
      if (error instanceof DamagedRecord) return { ok: false, error: error.fault }
      throw error
    }
  }

  /** Reads what was written to a job since it was held. False where it is to be read anew. */
  private async goesOn(open: OpenJob): Promise<boolean> {
    const { job, entries, ids } = open
    const since = await logOf(this.db, job.id, lastOf(entries))
    if (since.length === 0) return true
    const { judged } = open
    delete open.judged
    const isAsJudged = judged?.fresh.length === since.length && judged.fresh.every(({ id }, at) => id === since[at]?.id)
    let stand = isAsJudged && judged.stand ? ok(judged.stand) : standing(open)
    for (const entry of since) {
      if (!stand.ok) return false
      if (!isAsJudged) stand = standAfter(stand.value, entry)
      entries.push(entry)
      ids.add(entry.id)
    }
    if (!stand.ok) return false
    open.stand = stand.value
    const ended = endedAt(stand.value.state.ended)
    // One opened again is judged by its brake as it is known today.
    const isReopened = isEnded(job) && !isEnded(ended)
    Object.assign(job, ended)
    return !isReopened
  }

  private async worked<T>(jobId: string, tell: (job: Job, open: OpenJob) => T | Promise<T>): Promise<Outcome<T>> {
    const open = await this.open(jobId)
    if (!open.ok) return open
    const job = workedJob(open.value)
    return job.ok ? ok(await tell(job.value, open.value)) : job
  }

  /** Entries judged on a log of any length, whatever they ask of it. */
  async judge(jobId: string, incoming: readonly Entry[]): Promise<Outcome<Judged>> {
    const opened = await this.open(jobId)
    if (!opened.ok) return opened
    const { job, today, entries, ids } = opened.value
    const judged = judge({ ids, last: lastOf(entries), stand: standing(opened.value) }, incoming)
    if (!judged.ok) return judged
    opened.value.judged = judged.value
    const { fresh, known, stand: after } = judged.value
    const at = endedAt(after?.state.ended)
    if (!after || (at.releasedAt === job.releasedAt && at.closedAt === job.closedAt)) return ok({ fresh, known })
    const knownNow = at.releasedAt === null ? today : hardwareAfter(today, [...entries, ...fresh])
    return ok({
      fresh,
      known,
      ending: {
        brakeId: job.brakeId,
        jobNumber: job.number,
        at,
        ...(knownNow !== today && { taught: { was: today, now: knownNow } }),
      },
    })
  }

  /** Jobs whose bicycle or brake was changed: they are read anew when they are next asked for. */
  async forget(jobIds: readonly string[]): Promise<void> {
    for (const id of jobIds) this.held.delete(id)
  }

  /** A job with its log and everything its stand says, as JSON: a long log is put into words here, not where the network waits. */
  record(jobId: string): Promise<Outcome<string>> {
    return this.worked(jobId, async (worked, { job, bicycle, hardware, known, entries }) => {
      const { state, advice, next } = worked
      const told: JobRecord & { readonly parts: unknown; readonly state: unknown } = {
        epoch: await epochOf(this.db),
        job,
        bicycle,
        hardware,
        visits: known.visits,
        entries,
        parts: await heldBy(this.db, jobId),
        beside: await besideJob(this.db, job),
        state: {
          readings: state.readings,
          confirmed: state.confirmed,
          adjusters: state.adjusters,
          schools: state.schools,
          stations: runLine(worked, advice),
          findings: findingsOf(worked, advice),
          next,
        },
      }
      return JSON.stringify(told)
    })
  }

  next(jobId: string): Promise<Outcome<Told>> {
    return this.worked(jobId, (job) => tellNext(job))
  }

  async summary(jobId: string): Promise<Outcome<JobSummary>> {
    const open = await this.open(jobId)
    return open.ok ? ok(summaryOf(open.value)) : open
  }

  /** What the rack tells of a job as it is opened. */
  async opening(hardware: Hardware, entries: readonly Entry[]): Promise<JobSummary> {
    return summaryOf({ hardware, entries: [...entries], known: NOTHING_KNOWN })
  }

  /** A job as the press is handed it. */
  async papers(jobId: string): Promise<Outcome<Papers>> {
    const open = await this.open(jobId)
    if (!open.ok) return open
    const { job, bicycle, hardware, known, entries } = open.value
    const whose = {
      jobNumber: job.number,
      complaint: job.complaint,
      bicycle: bicycle.name,
      code: bicycle.code ?? '',
      ends: await endsOf(this.db, bicycle.id),
      from: await workshopIn(this.db),
    }
    return ok({ whose, hardware, known, entries, parts: await heldBy(this.db, jobId) })
  }
}

/** The stand as its log leaves it; opened once, and held. */
function standing(open: OpenJob): Outcome<Stand> {
  const stand = open.stand ? ok(open.stand) : openStand(open.hardware, open.entries, open.known)
  if (stand.ok) open.stand = stand.value
  return stand
}

/** When a log ended its job, and how; neither while it is open. */
const endedAt = (ending: Ending | undefined): Ends['at'] => ({
  releasedAt: ending?.kind === 'release' ? inUtc(ending.at) : null,
  closedAt: ending?.kind === 'close' ? inUtc(ending.at) : null,
})
