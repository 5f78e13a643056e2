import { STATIONS, type StationId } from '@overhaul/core/brake/station'
import type { RackCounts, RackPart } from '@overhaul/core/http/contract'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { and, asc, eq, inArray, isNotNull, lte, type SQL, sql } from 'drizzle-orm'
import { groupBy } from '../app/group-by.ts'
import { type JobAt, LAST_SEQ } from '../bench/summary.ts'
import { soughtIn } from '../db/rack.ts'
import { bicycles, hanging, jobs, tags } from '../db/schema.ts'
import type { Db } from '../db/store.ts'

/** Parts of the rail. */
export const PARTS: readonly RackPart[] = ['hanging', 'open', 'out', 'unfit', 'released', 'due', 'retired']

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

/** Beside when they were counted. */
export type Counts = Omit<RackCounts, 'changes' | 'epoch'>

/** What puts a bicycle in a part of the rail. */
const IN_PART: Readonly<Record<RackPart, (today: string) => SQL | undefined>> = {
  hanging: () => eq(tags.isRetired, false),
  retired: () => eq(tags.isRetired, true),
  open: () => and(eq(tags.isRetired, false), eq(tags.isOpen, true)),
  out: () => and(eq(tags.isRetired, false), eq(tags.isOut, true)),
  unfit: () => and(eq(tags.isRetired, false), eq(tags.isUnfit, true)),
  released: () => and(eq(tags.isRetired, false), eq(tags.isReleased, true)),
  due: (today) => and(eq(tags.isRetired, false), lte(tags.lookAgain, today)),
}

/** What must be so of the brake that is asked for, for its bicycle to be in this part. */
const BRAKE_IN: Readonly<Partial<Record<RackPart, (today: string) => SQL>>> = {
  open: () => eq(hanging.state, 'open'),
  out: () => eq(hanging.isOut, true),
  unfit: () => eq(hanging.state, 'closed'),
  released: () => eq(hanging.state, 'released'),
  due: (today) => lte(hanging.lookAgain, today),
}

/** Bicycles with a brake that is all of what is asked of it. */
function onBrake({ part, family, station }: RackWish, today: string): SQL | undefined {
  if (family === undefined && station === undefined) return undefined
  const brake = and(
    family === undefined ? undefined : eq(hanging.family, family),
    station === undefined ? undefined : eq(hanging.station, station),
    part && BRAKE_IN[part]?.(today),
  )
  return sql`${tags.bicycleId} IN (SELECT ${hanging.bicycleId} FROM ${hanging} WHERE ${brake})`
}

function wanted(wish: RackWish, today: string): SQL | undefined {
  const sought = wish.q === undefined ? undefined : soughtIn(wish.q)
  return and(
    wish.part && IN_PART[wish.part](today),
    onBrake(wish, today),
    sought === undefined ? undefined : sql`${tags.n} IN (SELECT rowid FROM tag_words WHERE tag_words MATCH ${sought})`,
  )
}

const AFTER = {
  name: (id: string) =>
    sql`(tags.name COLLATE NOCASE, tags.bicycleId) > (SELECT seen.name, seen.bicycleId FROM tags AS seen WHERE seen.bicycleId = ${id})`,
  recent: (id: string) =>
    sql`(tags.touchedAt, tags.bicycleId) < (SELECT seen.touchedAt, seen.bicycleId FROM tags AS seen WHERE seen.bicycleId = ${id})`,
} as const
const ORDER = {
  name: sql`tags.name COLLATE NOCASE, tags.bicycleId`,
  recent: sql`tags.touchedAt DESC, tags.bicycleId DESC`,
} as const

/** Today, by which something is due; ISO 8601. */
const todayNow = () => new Date().toISOString().slice(0, 10)

/** How many bicycles are wanted, on all pages. */
export async function countWanted(db: Db, wish: RackWish, today = todayNow()): Promise<number> {
  const [row] = await db.select({ count: sql<number>`count(*)` }).from(tags).where(wanted(wish, today))
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
  const wantedIds = db
    .select({ id: tags.bicycleId })
    .from(tags)
    .where(and(wanted(wish, today), after === undefined ? undefined : AFTER[wish.sort](after)))
    .orderBy(ORDER[wish.sort])
    .limit(limit)
    .as('wanted')
  const page = await db
    .select({ bicycle: bicycles })
    .from(wantedIds)
    .innerJoin(bicycles, eq(bicycles.id, wantedIds.id))
    .innerJoin(tags, eq(tags.bicycleId, bicycles.id))
    .orderBy(ORDER[wish.sort])
  const rows = await db
    .select({ brake: hanging, job: jobs, lastSeq: LAST_SEQ })
    .from(hanging)
    .leftJoin(jobs, eq(jobs.id, hanging.jobId))
    .where(
      inArray(
        hanging.bicycleId,
        page.map(({ bicycle }) => bicycle.id),
      ),
    )
    .orderBy(asc(hanging.end))
  const ofBicycle = groupBy(rows, ({ brake }) => brake.bicycleId)
  return page.map(({ bicycle }) => ({
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
export async function countRack(db: Db, today = todayNow()): Promise<Counts> {
  const [parts] = await db
    .select(
      Object.fromEntries(
        PARTS.map((part) => [part, sql<number>`count(*) FILTER (WHERE ${IN_PART[part](today)})`]),
      ) as Record<RackPart, SQL<number>>,
    )
    .from(tags)
  const by = async (
    column: typeof hanging.family | typeof hanging.station,
    known: readonly { readonly id: string; readonly title: string }[],
  ) => {
    const rows = await db
      .select({ of: column, count: sql<number>`count(DISTINCT ${hanging.bicycleId})` })
      .from(hanging)
      .where(
        and(
          isNotNull(column),
          sql`${hanging.bicycleId} NOT IN (SELECT ${tags.bicycleId} FROM ${tags} WHERE ${tags.isRetired})`,
        ),
      )
      .groupBy(column)
    const counts = new Map(rows.map(({ of, count }) => [of as string, count]))
    return known.flatMap(({ id, title }) => {
      const count = counts.get(id)
      return count === undefined ? [] : [{ id, title, count }]
    })
  }
  return {
    parts: parts ?? (Object.fromEntries(PARTS.map((part) => [part, 0])) as Record<RackPart, number>),
    families: await by(hanging.family, FAMILIES),
    stations: await by(hanging.station, STATIONS),
  }
}
