import type { Learnt } from '@overhaul/core/dial-in/layout'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import type { Visit } from '@overhaul/core/run-sheet/job'
import type { Stand } from '@overhaul/core/run-sheet/stand'
import type { Entry } from '@overhaul/core/stand/entries'
import { endingOf } from '@overhaul/core/stand/fold'
import type { Hardware } from '@overhaul/core/stand/hardware'
import { hardwareAsOf } from '@overhaul/core/stand/history'
import { admitAll, hardwareAfter, learntFrom, openStand } from '@overhaul/core/workshop/open'
import { and, asc, desc, eq, gt, isNotNull, lt, or } from 'drizzle-orm'
import { notFound } from '../app/fault.ts'
import { bicycles, brakes, entries, jobs } from '../db/schema.ts'
import type { Statement, Store } from '../db/store.ts'
import { isStale, type JobAt, summaryOf } from './summary.ts'

/** A job held in memory while it is worked on: its hardware, its log, and what earlier visits left. */
export interface OpenJob {
  readonly job: typeof jobs.$inferSelect
  readonly bicycle: typeof bicycles.$inferSelect
  readonly hardware: Hardware
  readonly visits: readonly Visit[]
  /** What those visits taught: worked out once, as they cannot change. */
  readonly learnt: Learnt
  readonly entries: Entry[]
  readonly ids: Set<string>
  /** The stand as its log leaves it, folded on with every append; missing until something is appended. */
  stand?: Stand
}

export interface Appended {
  readonly accepted: readonly string[]
  readonly known: readonly string[]
  /** The accepted entries as they now stand in the log. */
  readonly entries: readonly Entry[]
}

const HELD = 64
/** Earlier visits that a brake's prior is learnt from; a practice brake also lives through them, so it has more. */
const MOST_VISITS = 3
const MOST_PRACTISED = 20
const SUMMARY_REST_MS = 300
const SUMMARY_LATEST_MS = 3000

/** Entries not in the log yet, those that are, and the stand as they leave it. */
interface Checked {
  readonly fresh: Entry[]
  readonly known: string[]
  readonly stand?: Stand
}

/** Appends to jobs' logs, in order and once, and keeps the rack's summaries. One process, so memory is the truth's copy. */
export class Ledger {
  private readonly held = new Map<string, Promise<OpenJob>>()
  private readonly queues = new Map<string, Promise<unknown>>()
  private readonly summaries = new Map<string, { readonly timer: NodeJS.Timeout; readonly since: number }>()

  constructor(private readonly store: Store) {}

  open(jobId: string): Promise<OpenJob> {
    const held = this.held.get(jobId)
    this.held.delete(jobId)
    const opening = held ?? this.load(jobId)
    this.held.set(jobId, opening)
    if (!held) opening.catch(() => this.held.delete(jobId))
    if (this.held.size > HELD) this.dropIdle(jobId)
    return opening
  }

  /** Lets go of the job longest untouched that nobody is writing to. */
  private dropIdle(keep: string): void {
    for (const id of this.held.keys()) {
      if (id === keep || this.queues.has(id)) continue
      this.held.delete(id)
      return
    }
  }

  private async load(jobId: string): Promise<OpenJob> {
    const { db } = this.store
    const [row] = await db
      .select({ job: jobs, brake: brakes, bicycle: bicycles })
      .from(jobs)
      .innerJoin(brakes, eq(brakes.id, jobs.brakeId))
      .innerJoin(bicycles, eq(bicycles.id, brakes.bicycleId))
      .where(eq(jobs.id, jobId))
    if (!row) throw notFound('unknown-job', 'id', `There is no job “${jobId}”.`)
    const log = await this.logOf(jobId)
    const earlier = await db
      .select()
      .from(jobs)
      .where(
        and(
          eq(jobs.brakeId, row.brake.id),
          or(isNotNull(jobs.releasedAt), isNotNull(jobs.closedAt)),
          lt(jobs.number, row.job.number),
        ),
      )
      .orderBy(desc(jobs.number))
      .limit(row.brake.hardware.practiceSeed === undefined ? MOST_VISITS : MOST_PRACTISED)
    const visits = await Promise.all(
      earlier.reverse().map(async ({ id }) => ({ hardware: row.brake.hardware, entries: await this.logOf(id) })),
    )
    // An ended job stays as it was judged; earlier visits teach by the best that is known of the brake today.
    const ended = row.job.releasedAt ?? row.job.closedAt
    return {
      job: row.job,
      bicycle: row.bicycle,
      hardware: ended ? hardwareAsOf(row.brake.hardware, ended) : row.brake.hardware,
      visits,
      learnt: learntFrom(visits),
      entries: log,
      ids: new Set(log.map((entry) => entry.id)),
    }
  }

  private async logOf(jobId: string): Promise<Entry[]> {
    const rows = await this.store.db.select().from(entries).where(eq(entries.jobId, jobId)).orderBy(asc(entries.seq))
    return rows.map(({ entry, seq }) => ({ ...entry, seq }))
  }

  /** One append at a time per job: the order of the log is the order of arrival. */
  append(jobId: string, incoming: readonly Entry[]): Promise<Outcome<Appended>> {
    const before = this.queues.get(jobId) ?? Promise.resolve()
    const turn = before.then(() => this.appendNow(jobId, incoming))
    const settled = turn.catch(() => undefined)
    this.queues.set(jobId, settled)
    settled.then(() => {
      if (this.queues.get(jobId) === settled) this.queues.delete(jobId)
    })
    return turn
  }

  private async appendNow(jobId: string, incoming: readonly Entry[]): Promise<Outcome<Appended>> {
    const open = await this.open(jobId)
    const checked = this.check(open, incoming)
    if (!checked.ok) return checked
    const { fresh, known, stand } = checked.value
    if (fresh.length > 0) {
      const written = await this.write(open, fresh)
      if (!written.ok) return written
      open.entries.push(...fresh)
      for (const entry of fresh) open.ids.add(entry.id)
      if (stand) open.stand = stand
      this.summariseSoon(jobId)
    }
    return ok({ accepted: fresh.map((entry) => entry.id), known, entries: fresh })
  }

  /** One batch writes them all, so that all stand or none; a release or a closing also ends the job, its strike opens it again. */
  private async write(open: OpenJob, fresh: readonly Entry[]): Promise<Outcome<true>> {
    const { db } = this.store
    const rows = fresh.map(({ seq = 0, ...entry }) => ({
      id: entry.id,
      jobId: open.job.id,
      seq,
      entry: entry as Entry,
    }))
    const ended = endedAt([...open.entries, ...fresh])
    const { releasedAt, closedAt } = open.job
    const changes = ended.releasedAt !== releasedAt || ended.closedAt !== closedAt
    const reopens = changes && ended.releasedAt === null && ended.closedAt === null
    const newer = reopens ? await this.newerJob(open) : undefined
    if (newer !== undefined) {
      return refuse(
        'newer-job',
        'strikes',
        `Job ${newer} was opened on this brake since: go on there, this one stays ended.`,
      )
    }
    const statements: Statement[] = [db.insert(entries).values(rows)]
    if (changes) statements.push(db.update(jobs).set(ended).where(eq(jobs.id, open.job.id)))
    if (changes && ended.releasedAt !== null) statements.push(...(await this.measured(open, fresh)))
    try {
      await this.store.write(statements)
    } catch (error) {
      const taken = await this.takenElsewhere(fresh)
      if (taken) return refuse('id-taken', 'id', `The entry id ${taken} belongs to another job.`)
      throw error
    }
    Object.assign(open.job, ended)
    if (reopens) this.held.delete(open.job.id)
    return ok(true)
  }

  /** What a released job measured of the brake itself goes to the brake. */
  private async measured({ job, entries: log }: OpenJob, fresh: readonly Entry[]): Promise<Statement[]> {
    const { db } = this.store
    const [brake] = await db.select().from(brakes).where(eq(brakes.id, job.brakeId))
    if (!brake) return []
    const hardware = hardwareAfter(brake.hardware, [...log, ...fresh])
    return hardware === brake.hardware ? [] : [db.update(brakes).set({ hardware }).where(eq(brakes.id, brake.id))]
  }

  /** The number of a later job on the same brake, if there is one. */
  private async newerJob({ job }: OpenJob): Promise<number | undefined> {
    const [row] = await this.store.db
      .select({ number: jobs.number })
      .from(jobs)
      .where(and(eq(jobs.brakeId, job.brakeId), gt(jobs.number, job.number)))
    return row?.number
  }

  /** Entries not in the log yet, with their places in it; one refusal refuses all. */
  private check(open: OpenJob, incoming: readonly Entry[]): Outcome<Checked> {
    const seen = new Set(open.ids)
    const known: string[] = []
    const places: number[] = []
    for (const [place, { id }] of incoming.entries()) {
      if (seen.has(id)) known.push(id)
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
    const fresh = places.map((place, index) => ({ ...(incoming[place] as Entry), seq: last + index + 1 }))
    if (fresh.length === 0) return ok({ fresh, known })
    const stand = open.stand ? ok(open.stand) : openStand(open.hardware, open.entries)
    if (!stand.ok) return stand
    const judged = admitAll(stand.value, fresh, open.learnt)
    if (!('error' in judged)) return ok({ fresh, known, stand: judged.stand })
    const { code, field, message } = judged.error
    return refuse(code, incoming.length > 1 ? `${places[judged.index]}.${field}` : field, message)
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
      this.summarise(jobId).catch((error) => console.error(error))
    }, delay)
    this.summaries.set(jobId, { timer, since })
  }

  private async summarise(jobId: string): Promise<void> {
    const open = await this.open(jobId)
    const summary = summaryOf(open)
    await this.store.db.update(jobs).set({ summary }).where(eq(jobs.id, jobId))
    Object.assign(open.job, { summary })
  }

  /** Rows as a reader may show them: a summary older than its log is worked out first. */
  async fresh(rows: readonly JobAt[]): Promise<(typeof jobs.$inferSelect)[]> {
    return Promise.all(
      rows.map(async (row) => {
        if (!isStale(row)) return row.job
        await this.summarise(row.job.id)
        return (await this.open(row.job.id)).job
      }),
    )
  }

  /** What changed of a bicycle, told to its jobs held in memory. */
  async changed(bicycleId: string, change: Partial<typeof bicycles.$inferSelect>): Promise<void> {
    for (const held of await Promise.allSettled(this.held.values()))
      if (held.status === 'fulfilled' && held.value.bicycle.id === bicycleId) Object.assign(held.value.bicycle, change)
  }

  /** A brake's hardware is known better: its jobs are opened anew with it. Answers with the jobs that are not ended. */
  async hardwareChanged(brakeId: string): Promise<readonly string[]> {
    const rows = await this.store.db.select().from(jobs).where(eq(jobs.brakeId, brakeId))
    const open = rows.filter(({ releasedAt, closedAt }) => !releasedAt && !closedAt).map(({ id }) => id)
    for (const { id } of rows) this.held.delete(id)
    for (const id of open) this.summariseSoon(id)
    return open
  }

  /** Writes every summary still waiting; called before the store closes. */
  async flush(): Promise<void> {
    const waiting = [...this.summaries.keys()]
    for (const { timer } of this.summaries.values()) clearTimeout(timer)
    this.summaries.clear()
    for (const jobId of waiting) await this.summarise(jobId)
  }
}

/** When a log ended its job, and how; neither while it is open. */
function endedAt(log: readonly Entry[]): Pick<typeof jobs.$inferSelect, 'releasedAt' | 'closedAt'> {
  const ending = endingOf(log)
  return {
    releasedAt: ending?.kind === 'release' ? ending.at : null,
    closedAt: ending?.kind === 'close' ? ending.at : null,
  }
}
