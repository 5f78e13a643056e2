import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import { findingsOf } from '@overhaul/core/run-sheet/findings'
import type { Job } from '@overhaul/core/run-sheet/job'
import { runLine } from '@overhaul/core/run-sheet/line'
import { type Told, tellNext } from '@overhaul/core/run-sheet/told'
import type { Entry } from '@overhaul/core/stand/entries'
import type { Ending } from '@overhaul/core/stand/fold'
import type { Hardware } from '@overhaul/core/stand/hardware'
import { admitAll, hardwareAfter, openStand } from '@overhaul/core/workshop/open'
import type { JobSummary } from '../db/schema.ts'
import type { Db } from '../db/store.ts'
import { heldBy } from '../drawer/drawer.ts'
import type { Papers } from '../print/press.ts'
import { lastSeqOf, type OpenJob, readJob } from './open-job.ts'
import { isEnded, summaryOf, workedJob } from './summary.ts'

/** Entries not in the log yet, with their places in it, those that are, and what else is to be written with them. */
export interface Judged {
  readonly fresh: readonly Entry[]
  readonly known: readonly string[]
  readonly brakeId: string
  readonly jobNumber: number
  /** When the log now ends the job, and how; missing where it ended before as it does now. */
  readonly ended?: { readonly releasedAt: string | null; readonly closedAt: string | null }
  /** The brake with what a released job measured of it; missing where that is nothing. */
  readonly hardware?: Hardware
}

/** So many jobs are held open; the longest untouched is let go. */
const MOST_HELD = 64

/**
 * Everything that is worked out of a job, apart from whoever answers the network: it reads the workshop's data and writes
 * nothing. Whether what it judged was written it sees in the log.
 */
export class Bench {
  private readonly held = new Map<string, OpenJob>()

  constructor(private readonly db: Db) {}

  /** A job as it is written: one held is read anew where the log is not what it was judged to become. */
  private async open(jobId: string): Promise<Outcome<OpenJob>> {
    const held = this.held.get(jobId)
    this.held.delete(jobId)
    if (held && (await this.isAsWritten(held))) {
      this.held.set(jobId, held)
      return ok(held)
    }
    const opened = await readJob(this.db, jobId)
    if (!opened.ok) return opened
    this.held.set(jobId, opened.value)
    const [oldest] = this.held.keys()
    if (oldest !== undefined && this.held.size > MOST_HELD) this.held.delete(oldest)
    return opened
  }

  /** Whether a job that is held is what the log says, with what was judged last if that was written. */
  private async isAsWritten(open: OpenJob): Promise<boolean> {
    const { pending, job, entries, ids } = open
    delete open.pending
    const last = await lastSeqOf(this.db, job.id)
    if (last === (entries.at(-1)?.seq ?? 0)) return true
    if (!pending || last !== pending.fresh.at(-1)?.seq) return false
    entries.push(...pending.fresh)
    for (const { id } of pending.fresh) ids.add(id)
    open.stand = pending.stand
    const ended = endedAt(pending.stand.state.ended)
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

  /** Entries judged in turn, each on what the ones before it leave; one refusal refuses all. */
  async judge(jobId: string, incoming: readonly Entry[]): Promise<Outcome<Judged>> {
    const opened = await this.open(jobId)
    if (!opened.ok) return opened
    const open = opened.value
    const seen = new Set<string>()
    const known: string[] = []
    const places: number[] = []
    for (const [place, { id }] of incoming.entries()) {
      if (open.ids.has(id) || seen.has(id)) known.push(id)
      else places.push(place)
      seen.add(id)
    }
    const last = open.entries.at(-1)?.seq ?? 0
    const ahead = places.find((place) => (incoming[place]?.basedOn ?? 0) > last)
    if (ahead !== undefined) {
      return refuse(
        'log-behind',
        incoming.length > 1 ? `${ahead}.basedOn` : 'basedOn',
        `This was written on entry ${incoming[ahead]?.basedOn} of a log that ends at ${last}: the workshop’s log is older than what this screen saw. Reload, look at the log, then write it again or let it go.`,
      )
    }
    const { brakeId, number: jobNumber } = open.job
    const fresh = places.map((place, index) => ({ ...(incoming[place] as Entry), seq: last + index + 1 }))
    if (fresh.length === 0) return ok({ fresh, known, brakeId, jobNumber })
    const stand = open.stand ? ok(open.stand) : openStand(open.hardware, open.entries)
    if (!stand.ok) return stand
    const judged = admitAll(stand.value, fresh, open.learnt)
    if ('error' in judged) {
      const { code, field, message } = judged.error
      return refuse(code, incoming.length > 1 ? `${places[judged.index]}.${field}` : field, message)
    }
    open.pending = { fresh, stand: judged.stand }
    const ended = endedAt(judged.stand.state.ended)
    const changes = ended.releasedAt !== open.job.releasedAt || ended.closedAt !== open.job.closedAt
    const hardware =
      changes && ended.releasedAt !== null ? hardwareAfter(open.today, [...open.entries, ...fresh]) : open.today
    return ok({
      fresh,
      known,
      brakeId,
      jobNumber,
      ...(changes && { ended }),
      ...(hardware !== open.today && { hardware }),
    })
  }

  /** Jobs whose bicycle or brake was changed: they are read anew when they are next asked for. */
  async forget(jobIds: readonly string[]): Promise<void> {
    for (const id of jobIds) this.held.delete(id)
  }

  /** A job with its log and everything its stand says, as JSON: a long log is put into words here, not where the network waits. */
  record(jobId: string): Promise<Outcome<string>> {
    return this.worked(jobId, async (worked, { job, bicycle, hardware, visits, entries }) => {
      const { state, advice, next } = worked
      return JSON.stringify({
        job,
        bicycle,
        hardware,
        visits,
        entries,
        parts: await heldBy(this.db, jobId),
        state: {
          readings: state.readings,
          confirmed: state.confirmed,
          adjusters: state.adjusters,
          schools: state.schools,
          stations: runLine(worked, advice),
          findings: findingsOf(worked, advice),
          next,
        },
      })
    })
  }

  next(jobId: string): Promise<Outcome<Told>> {
    return this.worked(jobId, (job) => tellNext(job))
  }

  async summary(jobId: string): Promise<Outcome<JobSummary>> {
    const open = await this.open(jobId)
    return open.ok ? ok(summaryOf(open.value)) : open
  }

  /** What the rack tells of a job that has no entry yet. */
  async opening(hardware: Hardware): Promise<JobSummary> {
    return summaryOf({ hardware, entries: [], learnt: {} })
  }

  /** A job as the press is handed it. */
  async papers(jobId: string): Promise<Outcome<Papers>> {
    const open = await this.open(jobId)
    if (!open.ok) return open
    const { job, bicycle, hardware, learnt, entries } = open.value
    const whose = {
      jobNumber: job.number,
      complaint: job.complaint,
      bicycle: bicycle.name,
      code: bicycle.code ?? '',
    }
    return ok({ whose, hardware, learnt, entries, parts: await heldBy(this.db, jobId) })
  }
}

/** When a log ended its job, and how; neither while it is open. */
const endedAt = (ending: Ending | undefined): NonNullable<Judged['ended']> => ({
  releasedAt: ending?.kind === 'release' ? ending.at : null,
  closedAt: ending?.kind === 'close' ? ending.at : null,
})
