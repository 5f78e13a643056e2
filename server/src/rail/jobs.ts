import type { StationId } from '@overhaul/core/brake/station'
import { and, asc, desc, eq, gt, isNotNull, isNull, lt, type SQL, sql } from 'drizzle-orm'
import { type JobAt, LAST_SEQ } from '../bench/summary.ts'
import { soughtIn } from '../db/rack.ts'
import { brakes, jobs } from '../db/schema.ts'
import type { Db } from '../db/store.ts'

/** Which jobs are wanted, and in what order. */
export interface JobWish {
  readonly brakeId?: string
  readonly bicycleId?: string
  readonly state?: 'open' | 'released' | 'closed'
  /** Every word of it must begin a word of the job’s number, its complaint, its bicycle’s tag, its brake. */
  readonly q?: string
  readonly family?: string
  /** Where an open job is. */
  readonly station?: StationId
  readonly sort: 'newest' | 'oldest'
}

const IN_STATE = {
  open: and(isNull(jobs.releasedAt), isNull(jobs.closedAt)),
  released: and(isNotNull(jobs.releasedAt), isNull(jobs.closedAt)),
  closed: isNotNull(jobs.closedAt),
} as const

const onBrake = (condition: SQL) =>
  sql`EXISTS (SELECT 1 FROM ${brakes} WHERE ${brakes.id} = ${jobs.brakeId} AND ${condition})`

function wanted({ brakeId, bicycleId, state, q, family, station }: JobWish): SQL | undefined {
  const sought = q === undefined ? undefined : soughtIn(q)
  return and(
    brakeId === undefined ? undefined : eq(jobs.brakeId, brakeId),
    bicycleId === undefined ? undefined : onBrake(eq(brakes.bicycleId, bicycleId)),
    family === undefined ? undefined : onBrake(sql`json_extract(${brakes.hardware}, '$.family') = ${family}`),
    state && IN_STATE[state],
    station === undefined
      ? undefined
      : and(IN_STATE.open, sql`json_extract(${jobs.summary}, '$.station') = ${station}`),
    sought === undefined
      ? undefined
      : sql`${jobs.number} IN (SELECT rowid FROM job_words WHERE job_words MATCH ${sought})`,
  )
}

/** How many jobs are wanted, on all pages. */
export async function countJobs(db: Db, wish: JobWish): Promise<number> {
  const [row] = await db.select({ count: sql<number>`count(*)` }).from(jobs).where(wanted(wish))
  return row?.count ?? 0
}

/** A page of the jobs wanted, by number: at most `limit` of them, from the one after `after`. */
export function jobsPage(db: Db, wish: JobWish, limit: number, after?: string): Promise<readonly JobAt[]> {
  const [beyond, order] = wish.sort === 'newest' ? [lt, desc] : [gt, asc]
  const seen = sql`(SELECT seen.number FROM jobs AS seen WHERE seen.id = ${after ?? ''})`
  return db
    .select({ job: jobs, lastSeq: LAST_SEQ })
    .from(jobs)
    .where(and(wanted(wish), after === undefined ? undefined : beyond(jobs.number, seen)))
    .orderBy(order(jobs.number))
    .limit(limit)
}

/** Every job that is not ended. */
export function openJobs(db: Db): Promise<readonly JobAt[]> {
  return db.select({ job: jobs, lastSeq: LAST_SEQ }).from(jobs).where(IN_STATE.open)
}
