import type { PartKindId } from '@overhaul/core/drawer/kinds'
import type { JobSummary } from '@overhaul/core/http/contract'
import type { Entry } from '@overhaul/core/stand/entries'
import type { Hardware } from '@overhaul/core/stand/hardware'
import { sql } from 'drizzle-orm'
import { index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'

export const bicycles = sqliteTable('bicycles', {
  id: text().primaryKey(),
  /** Short, for its tag: given when it is hung up, and to older ones when the data is opened. */
  code: text().unique(),
  name: text().notNull(),
  description: text().notNull().default(''),
  createdAt: text().notNull(),
  /** Taken off the rack with its brakes and jobs, and brought back by taking this away. */
  retiredAt: text(),
})

export const brakes = sqliteTable(
  'brakes',
  {
    id: text().primaryKey(),
    bicycleId: text()
      .notNull()
      .references(() => bicycles.id),
    end: text({ enum: ['front', 'rear'] }).notNull(),
    hardware: text({ mode: 'json' }).$type<Hardware>().notNull(),
    createdAt: text().notNull(),
    /** Another brake hangs there now; this one keeps its jobs. */
    retiredAt: text(),
  },
  (table) => [
    index('brakes_by_bicycle').on(table.bicycleId),
    uniqueIndex('brakes_one_hanging_an_end').on(table.bicycleId, table.end).where(sql`${table.retiredAt} is null`),
  ],
)

export const jobs = sqliteTable(
  'jobs',
  {
    id: text().primaryKey(),
    number: integer().notNull().unique(),
    brakeId: text()
      .notNull()
      .references(() => brakes.id),
    complaint: text().notNull().default(''),
    openedAt: text().notNull(),
    releasedAt: text(),
    /** Ended without a release: not to be ridden. */
    closedAt: text(),
    /** When it ended by this machine’s own clock: what was known of the brake then is what it was judged by. */
    judgedAt: text(),
    summary: text({ mode: 'json' }).$type<JobSummary>().notNull(),
  },
  (table) => [
    index('jobs_by_brake').on(table.brakeId, table.number),
    uniqueIndex('jobs_one_unended_a_brake')
      .on(table.brakeId)
      .where(sql`${table.releasedAt} is null and ${table.closedAt} is null`),
  ],
)

/** The log. Rows are added, never changed or deleted. */
export const entries = sqliteTable(
  'entries',
  {
    id: text().primaryKey(),
    jobId: text()
      .notNull()
      .references(() => jobs.id),
    seq: integer().notNull(),
    entry: text({ mode: 'json' }).$type<Entry>().notNull(),
  },
  (table) => [uniqueIndex('entries_in_order').on(table.jobId, table.seq)],
)

/** Small parts by what they are; how many there are is the sum of their moves. */
export const parts = sqliteTable('parts', {
  id: text().primaryKey(),
  code: text().notNull().unique(),
  kind: text().$type<PartKindId>().notNull(),
  name: text().notNull(),
  dimensions: text({ mode: 'json' }).$type<Readonly<Record<string, number>>>().notNull(),
  material: text().notNull().default(''),
  minimum: integer().notNull().default(0),
  /** Of one piece, in the workshop’s own money; null where nobody said. */
  price: real(),
})

/** Parts put in, taken and returned. Rows are added, never changed or deleted. */
export const moves = sqliteTable(
  'moves',
  {
    id: text().primaryKey(),
    partId: text()
      .notNull()
      .references(() => parts.id),
    delta: integer().notNull(),
    jobId: text().references(() => jobs.id),
    why: text().notNull().default(''),
    by: text().notNull(),
    at: text().notNull(),
  },
  (table) => [index('moves_by_part').on(table.partId), index('moves_by_job').on(table.jobId)],
)

/** How the newest job on a brake stands. */
export const JOB_STATES = ['none', 'open', 'released', 'closed'] as const

/**
 * What the rack is filtered by, a narrow row for each brake that hangs there. Triggers derive it from brakes and jobs as they are
 * written, and the tags from it, so that neither can be forgotten or behind (drizzle/0005_rack.sql); so too the words that are
 * searched, in `tag_words` (by `tags.n`) and `job_words` (by a job’s number).
 */
export const hanging = sqliteTable(
  'hanging',
  {
    brakeId: text().primaryKey(),
    bicycleId: text().notNull(),
    end: text({ enum: ['front', 'rear'] }).notNull(),
    family: text().notNull(),
    jobId: text(),
    state: text({ enum: JOB_STATES }).notNull(),
    /** Something of an open job is out of its window. */
    isOut: integer({ mode: 'boolean' }).notNull(),
    /** Where an open job is. */
    station: text(),
    /** The day by which a released one is to be looked at again. */
    lookAgain: text(),
    touchedAt: text().notNull(),
  },
  (table) => [
    index('hanging_by_bicycle').on(table.bicycleId),
    index('hanging_by_family').on(table.family, table.bicycleId),
    index('hanging_by_station').on(table.station, table.bicycleId),
  ],
)

const flag = () => integer({ mode: 'boolean' }).notNull().default(false)

/** What a bicycle’s tag says of all its brakes together. */
export const tags = sqliteTable(
  'tags',
  {
    /** Its number among the words that are searched. */
    n: integer().primaryKey(),
    bicycleId: text().notNull().unique(),
    /** As it is put in order: each number in it is as long as the others. */
    name: text().notNull(),
    isRetired: flag(),
    isOpen: flag(),
    isOut: flag(),
    /** A brake was closed unreleased: not to be ridden. */
    isUnfit: flag(),
    /** All of it: no brake is open, and none is not to be ridden. */
    isReleased: flag(),
    /** The first day by which one of its released brakes is to be looked at again. */
    lookAgain: text(),
    touchedAt: text().notNull(),
  },
  (table) => [
    index('tags_by_name').on(sql`${table.name} COLLATE NOCASE`, table.bicycleId),
    index('tags_by_touch').on(table.touchedAt, table.bicycleId),
  ],
)

/** The workshop as its papers name it. One row, once somebody told. */
export const workshop = sqliteTable('workshop', {
  id: integer().primaryKey(),
  name: text().notNull().default(''),
  address: text().notNull().default(''),
  telephone: text().notNull().default(''),
})

/** Counts every change of what the rack shows: what was read at one count is still so while it stands. And what tells one state of the data from another. One row. */
export const changes = sqliteTable('changes', {
  id: integer().primaryKey(),
  rack: integer().notNull(),
  /** Acknowledged writes, counted beside the data too: what is missing of them was lost. */
  written: integer().notNull().default(0),
  /** Of the log: a restore renews it, so that nothing read before is taken for what is there now. */
  epoch: text().notNull().default(''),
})
