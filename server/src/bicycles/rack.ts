import type { StationId } from '@overhaul/core/brake/station'
import { and, asc, eq, inArray, isNotNull, isNull, type SQL, sql } from 'drizzle-orm'
import { groupBy } from '../app/group-by.ts'
import { type JobAt, LAST_SEQ } from '../bench/summary.ts'
import { soughtIn } from '../db/rack.ts'
import { bicycles, hanging, jobs } from '../db/schema.ts'
import type { Db } from '../db/store.ts'

/** Parts of the rail. */
export const PARTS = ['hanging', 'open', 'out', 'unfit', 'released', 'due', 'retired'] as const
export type RackPart = (typeof PARTS)[number]

export const SORTS = ['name', 'recent'] as const

/** Which bicycles are wanted, and in what order. */
export interface RackWish {
  /** Everything, off the rack or on it, where none is named. */
  readonly part?: RackPart
  /** Every word of it must begin a word on the tag. */
  readonly q?: string
  /** A brake that hangs there is of this family, and its open job at this station. */
  readonly family?: string
  readonly station?: StationId
  readonly sort: (typeof SORTS)[number]
}

export interface RackCounts {
  readonly parts: Readonly<Record<RackPart, number>>
  readonly families: Readonly<Record<string, number>>
  readonly stations: Readonly<Record<string, number>>
}

/** What of a brake puts its bicycle in a part of the rail. */
const BRAKE_IN: Readonly<Record<RackPart, (today: string) => SQL | undefined>> = {
  hanging: () => undefined,
  retired: () => undefined,
  open: () => eq(hanging.state, 'open'),
  out: () => eq(hanging.isOut, true),
  unfit: () => eq(hanging.state, 'closed'),
  released: () => eq(hanging.state, 'released'),
  due: (today) => sql`${hanging.lookAgain} <= ${today}`,
}

/** Released means all of it: no brake is open, and none is not to be ridden. */
const NONE_LEFT = sql`NOT EXISTS (SELECT 1 FROM hanging AS other WHERE other.bicycleId = ${bicycles.id} AND other.state IN ('open', 'closed'))`

function wanted({ part, q, family, station }: RackWish, today: string): SQL | undefined {
  const brake = and(
    part && BRAKE_IN[part](today),
    family === undefined ? undefined : eq(hanging.family, family),
    station === undefined ? undefined : eq(hanging.station, station),
  )
  const sought = q === undefined ? undefined : soughtIn(q)
  return and(
    part === undefined ? undefined : part === 'retired' ? isNotNull(bicycles.retiredAt) : isNull(bicycles.retiredAt),
    brake && sql`EXISTS (SELECT 1 FROM ${hanging} WHERE ${hanging.bicycleId} = ${bicycles.id} AND ${brake})`,
    part === 'released' ? NONE_LEFT : undefined,
    sought === undefined
      ? undefined
      : sql`${bicycles.id} IN (SELECT tags.bicycleId FROM tag_words JOIN tags ON tags.n = tag_words.rowid WHERE tag_words MATCH ${sought})`,
  )
}

const TOUCHED = sql`coalesce((SELECT max(touched.touchedAt) FROM hanging AS touched WHERE touched.bicycleId = bicycles.id), bicycles.createdAt)`
const AFTER = {
  name: (id: string) =>
    sql`(bicycles.name COLLATE NOCASE, bicycles.id) > (SELECT seen.name COLLATE NOCASE, seen.id FROM bicycles AS seen WHERE seen.id = ${id})`,
  recent: (id: string) =>
    sql`(${TOUCHED}, bicycles.id) < (SELECT coalesce((SELECT max(h.touchedAt) FROM hanging AS h WHERE h.bicycleId = seen.id), seen.createdAt), seen.id FROM bicycles AS seen WHERE seen.id = ${id})`,
} as const
const ORDER = {
  name: sql`bicycles.name COLLATE NOCASE, bicycles.id`,
  recent: sql`${TOUCHED} DESC, bicycles.id DESC`,
} as const

/** Today, by which something is due; ISO 8601. */
const todayNow = () => new Date().toISOString().slice(0, 10)

/** How many bicycles are wanted, on all pages. */
export async function countWanted(db: Db, wish: RackWish, today = todayNow()): Promise<number> {
  const [row] = await db.select({ count: sql<number>`count(*)` }).from(bicycles).where(wanted(wish, today))
  return row?.count ?? 0
}

/** A bicycle with the brakes that hang on it and the newest job on each. */
export interface Hung {
  readonly bicycle: typeof bicycles.$inferSelect
  readonly brakes: readonly {
    readonly id: string
    readonly end: 'front' | 'rear'
    readonly family: string
    readonly newest: JobAt | undefined
  }[]
}

/** A page of the bicycles wanted: at most `limit` of them, from the one after `after`. */
export async function rackPage(
  db: Db,
  wish: RackWish,
  limit: number,
  after?: string,
  today = todayNow(),
): Promise<readonly Hung[]> {
  const page = await db
    .select()
    .from(bicycles)
    .where(and(wanted(wish, today), after === undefined ? undefined : AFTER[wish.sort](after)))
    .orderBy(ORDER[wish.sort])
    .limit(limit)
  const rows = await db
    .select({ brake: hanging, job: jobs, lastSeq: LAST_SEQ })
    .from(hanging)
    .leftJoin(jobs, eq(jobs.id, hanging.jobId))
    .where(
      inArray(
        hanging.bicycleId,
        page.map(({ id }) => id),
      ),
    )
    .orderBy(asc(hanging.end))
  const ofBicycle = groupBy(rows, ({ brake }) => brake.bicycleId)
  return page.map((bicycle) => ({
    bicycle,
    brakes: (ofBicycle.get(bicycle.id) ?? []).map(({ brake, job, lastSeq }) => ({
      id: brake.brakeId,
      end: brake.end,
      family: brake.family,
      newest: job ? { job, lastSeq } : undefined,
    })),
  }))
}

/** How many bicycles are in each part of the rail, have a brake of each family, and a job at each station. */
export async function countRack(db: Db, today = todayNow()): Promise<RackCounts> {
  const [parts] = await db.all<Record<RackPart, number>>(sql`
    WITH line AS (
      SELECT bicycles.id,
        bicycles.retiredAt IS NOT NULL AS retired,
        coalesce(max(state = 'open'), 0) AS open,
        coalesce(max(isOut), 0) AS out,
        coalesce(max(state = 'closed'), 0) AS unfit,
        coalesce(max(state = 'released'), 0) AND NOT coalesce(max(state IN ('open', 'closed')), 0) AS released,
        coalesce(max(lookAgain <= ${today}), 0) AS due
      FROM bicycles LEFT JOIN hanging ON hanging.bicycleId = bicycles.id
      GROUP BY bicycles.id
    )
    SELECT
      coalesce(sum(NOT retired), 0) AS hanging,
      coalesce(sum(retired), 0) AS retired,
      coalesce(sum(NOT retired AND open), 0) AS open,
      coalesce(sum(NOT retired AND out), 0) AS out,
      coalesce(sum(NOT retired AND unfit), 0) AS unfit,
      coalesce(sum(NOT retired AND released), 0) AS released,
      coalesce(sum(NOT retired AND due), 0) AS due
    FROM line`)
  const by = async (column: typeof hanging.family | typeof hanging.station) => {
    const rows = await db
      .select({ of: column, count: sql<number>`count(DISTINCT ${hanging.bicycleId})` })
      .from(hanging)
      .innerJoin(bicycles, eq(bicycles.id, hanging.bicycleId))
      .where(and(isNull(bicycles.retiredAt), isNotNull(column)))
      .groupBy(column)
    return Object.fromEntries(rows.map(({ of, count }) => [String(of), count]))
  }
  return {
    parts: parts as Record<RackPart, number>,
    families: await by(hanging.family),
    stations: await by(hanging.station),
  }
}
