import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import { type Known, knownOf, type Visit } from '@overhaul/core/run-sheet/known'
import type { Stand } from '@overhaul/core/run-sheet/stand'
import type { Entry } from '@overhaul/core/stand/entries'
import type { Hardware } from '@overhaul/core/stand/hardware'
import { hardwareAsOf } from '@overhaul/core/stand/history'
import { and, asc, desc, eq, gt, isNotNull, lt, or, type SQL, sql } from 'drizzle-orm'
import { bicycles, brakes, entries, jobs } from '../db/schema.ts'
import type { Db } from '../db/store.ts'
import { DamagedRecord } from '../db/trouble.ts'
import type { Verdict } from './judge.ts'

/** A job held open while it is worked on: its hardware, its log, and what earlier visits left. */
export interface OpenJob {
  readonly job: typeof jobs.$inferSelect
  readonly bicycle: typeof bicycles.$inferSelect
  readonly hardware: Hardware
  /** The brake's hardware as it is known today; an ended job keeps the one it was judged by. */
  readonly today: Hardware
  readonly known: Known
  readonly entries: Entry[]
  readonly ids: Set<string>
  /** The stand as its log leaves it, folded on with every append; missing until it is asked for. */
  stand?: Stand
  /** What was judged last: where just that was written, the stand is the one it was judged to leave. */
  judged?: Verdict
}

/** Earlier visits that a brake is known by: what they taught, what they left standing, how it wore. A practice brake also lives through them. */
const MOST_VISITS = 12
const MOST_PRACTISED = 20

/** A job's log after this place in it, in order. Throws where an entry of it is damaged. */
export async function logOf(db: Db, jobId: string, after = 0): Promise<Entry[]> {
  const rows = await db
    .select({ text: sql<string>`${entries.entry}`, seq: entries.seq })
    .from(entries)
    .where(and(eq(entries.jobId, jobId), gt(entries.seq, after)))
    .orderBy(asc(entries.seq))
  const log: Entry[] = []
  for (const { text, seq } of rows) {
    try {
      log.push({ ...(JSON.parse(text) as Entry), seq })
    } catch {
      const [job] = await db.select({ number: jobs.number }).from(jobs).where(eq(jobs.id, jobId))
      throw new DamagedRecord(job?.number, seq)
    }
  }
  return log
}

/** The jobs just before and after one on the same brake, by their numbers; missing where there is none. */
export async function besideJob(db: Db, { brakeId, number }: Pick<typeof jobs.$inferSelect, 'brakeId' | 'number'>) {
  const nearest = (side: SQL, order: SQL) =>
    db
      .select({ id: jobs.id, number: jobs.number })
      .from(jobs)
      .where(and(eq(jobs.brakeId, brakeId), side))
      .orderBy(order)
      .limit(1)
  const [before] = await nearest(lt(jobs.number, number), desc(jobs.number))
  const [after] = await nearest(gt(jobs.number, number), asc(jobs.number))
  return { ...(before && { before }), ...(after && { after }) }
}

/** The log of an earlier visit; none where it is damaged, as it teaches nothing then. */
const visitOf = (db: Db, jobId: string): Promise<Entry[]> =>
  logOf(db, jobId).catch((error: unknown) => {
    if (error instanceof DamagedRecord) return []
    throw error
  })

/** The place of the last entry of a log; 0 where there is none. */
export const lastOf = (log: readonly Entry[]): number => log.at(-1)?.seq ?? 0

/** Reads a job with everything it is worked out from. Refuses one that is not there. */
export async function readJob(db: Db, jobId: string): Promise<Outcome<OpenJob>> {
  const [row] = await db
    .select({ job: jobs, brake: brakes, bicycle: bicycles })
    .from(jobs)
    .innerJoin(brakes, eq(brakes.id, jobs.brakeId))
    .innerJoin(bicycles, eq(bicycles.id, brakes.bicycleId))
    .where(eq(jobs.id, jobId))
  if (!row) return refuse('unknown-job', 'id', `There is no job “${jobId}”.`)
  const { hardware } = row.brake
  const log = await logOf(db, jobId)
  const earlier = await db
    .select({ id: jobs.id, openedAt: jobs.openedAt })
    .from(jobs)
    .where(
      and(
        eq(jobs.brakeId, row.brake.id),
        or(isNotNull(jobs.releasedAt), isNotNull(jobs.closedAt)),
        lt(jobs.number, row.job.number),
      ),
    )
    .orderBy(desc(jobs.number))
    .limit(hardware.practiceSeed === undefined ? MOST_VISITS : MOST_PRACTISED)
  const visits: Visit[] = []
  for (const { id, openedAt } of earlier.reverse()) visits.push({ hardware, entries: await visitOf(db, id), openedAt })
  // An ended job stays as it was judged; earlier visits teach by the best that is known of the brake today.
  const ended = row.job.judgedAt ?? row.job.releasedAt ?? row.job.closedAt
  return ok({
    job: row.job,
    bicycle: row.bicycle,
    hardware: ended ? hardwareAsOf(hardware, ended) : hardware,
    today: hardware,
    known: knownOf(row.job, visits),
    entries: log,
    ids: new Set(log.map((entry) => entry.id)),
  })
}
