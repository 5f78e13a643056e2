import { randomUUID } from 'node:crypto'
import { checkPart, countAfter, type Move, type Part, type PartShape } from '@overhaul/core/drawer/part'
import type { CountedPart } from '@overhaul/core/drawer/rows'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import { asc, desc, eq, inArray, sql } from 'drizzle-orm'
import { jobs, moves, parts } from '../db/schema.ts'
import { type Db, isTaken, type Store } from '../db/store.ts'

export type MoveRow = typeof moves.$inferSelect

/** What a file would do to the drawer. */
export interface Restocking {
  readonly added: readonly string[]
  readonly changed: readonly string[]
  readonly unchanged: readonly string[]
}

/** Parts of a kind that a job holds. */
export interface HeldPart {
  readonly partId: string
  readonly name: string
  readonly count: number
}

/** A row of a file, and what it makes of its part. */
interface Restocked {
  readonly becomes: 'added' | 'changed' | 'unchanged'
  readonly row: typeof parts.$inferInsert
  readonly delta: number
}

const STOCK_TAKE = 'stock count'
/** Rows of a file written together: a hand at a bench waits some milliseconds for them. */
const ROWS_AT_ONCE = 200
/** Every column of a part as a row brings it. */
const REPLACED = Object.fromEntries(
  (['code', 'kind', 'name', 'dimensions', 'material', 'minimum', 'price'] as const).map((column) => [
    column,
    sql.raw(`excluded.${column}`),
  ]),
)

/** What a job holds of the drawer: taken less returned, by part. */
export async function heldBy(db: Db, jobId: string): Promise<readonly HeldPart[]> {
  const rows = await db
    .select({ partId: moves.partId, name: parts.name, count: sql<number>`-sum(${moves.delta})` })
    .from(moves)
    .innerJoin(parts, eq(parts.id, moves.partId))
    .where(eq(moves.jobId, jobId))
    .groupBy(moves.partId)
    .orderBy(asc(parts.name))
  return rows.filter((each) => each.count > 0)
}

/** What is in the drawer, with how many there are: all of it, or these. */
export function partsOf(db: Db, ids?: readonly string[]): Promise<readonly Part[]> {
  const count = sql<number>`coalesce(sum(${moves.delta}), 0)`
  return db
    .select({
      id: parts.id,
      code: parts.code,
      kind: parts.kind,
      name: parts.name,
      dimensions: parts.dimensions,
      material: parts.material,
      minimum: parts.minimum,
      price: parts.price,
      count,
    })
    .from(parts)
    .leftJoin(moves, eq(moves.partId, parts.id))
    .where(ids && inArray(parts.id, [...ids]))
    .groupBy(parts.id)
    .orderBy(asc(parts.kind), asc(parts.name), asc(parts.code))
}

/** The drawer of small parts. One process owns the data; writes queue, so that a count is true when it is judged. */
export class Drawer {
  private queue: Promise<unknown> = Promise.resolve()

  constructor(private readonly store: Store) {}

  parts(): Promise<readonly Part[]> {
    return partsOf(this.store.db)
  }

  /** Moves, newest first: of one job, or of everything lately. */
  movesOf(jobId: string | undefined, most = 200): Promise<readonly (MoveRow & { readonly name: string })[]> {
    return this.store.db
      .select({
        id: moves.id,
        partId: moves.partId,
        delta: moves.delta,
        jobId: moves.jobId,
        why: moves.why,
        by: moves.by,
        at: moves.at,
        name: parts.name,
      })
      .from(moves)
      .innerJoin(parts, eq(parts.id, moves.partId))
      .where(jobId === undefined ? undefined : eq(moves.jobId, jobId))
      .orderBy(desc(sql`${moves}.rowid`))
      .limit(most)
  }

  /** What a job holds of the drawer: taken less returned, by part. */
  heldBy(jobId: string): Promise<readonly HeldPart[]> {
    return heldBy(this.store.db, jobId)
  }

  add(shape: PartShape, count: number, by: string): Promise<Outcome<Part>> {
    return this.inTurn(async () => {
      const checked = checkPart(shape)
      if (!checked.ok) return checked
      const part: Part = { ...checked.value, id: randomUUID(), count }
      const { count: _, ...row } = part
      try {
        await this.store.write([
          this.store.db.insert(parts).values(row),
          ...(count > 0 ? [this.store.db.insert(moves).values(this.stockTake(part.id, count, by))] : []),
        ])
      } catch (error) {
        if (!isTaken(error)) throw error
        return refuse(
          'code-taken',
          'code',
          `The code “${shape.code}” belongs to another part. Accepted: one that is free.`,
        )
      }
      return ok(part)
    })
  }

  change(id: string, change: Partial<PartShape>): Promise<Outcome<Part>> {
    return this.inTurn(async () => {
      const [part] = await partsOf(this.store.db, [id])
      if (!part) return refuse('no-such-part', 'id', `There is no part “${id}” in the drawer.`)
      const { id: _, count, ...shape } = part
      const checked = checkPart({ ...shape, ...change })
      if (!checked.ok) return checked
      try {
        await this.store.write([this.store.db.update(parts).set(checked.value).where(eq(parts.id, id))])
      } catch (error) {
        if (!isTaken(error)) throw error
        return refuse('code-taken', 'code', `The code “${checked.value.code}” belongs to another part.`)
      }
      return ok({ ...checked.value, id, count })
    })
  }

  /** Moves parts, all or none; those already made change nothing. */
  move(
    wanted: readonly Move[],
  ): Promise<Outcome<{ readonly accepted: readonly string[]; readonly known: readonly string[] }>> {
    return this.inTurn(async () => {
      const { db } = this.store
      const ids = wanted.map(({ id }) => id)
      const made = await db.select({ id: moves.id }).from(moves).where(inArray(moves.id, ids))
      const known = new Set(made.map((each) => each.id))
      const fresh = wanted.filter(
        (each, at) => !known.has(each.id) && wanted.findIndex(({ id }) => id === each.id) === at,
      )
      const named = fresh.map(({ partId }) => partId)
      const stock = new Map((await partsOf(db, named)).map((part) => [part.id, part]))
      const held = new Map<string, number>()
      for (const { partId, delta, jobId } of fresh) {
        const part = stock.get(partId)
        if (!part) return refuse('no-such-part', 'partId', `There is no part “${partId}” in the drawer.`)
        const after = countAfter(part, delta)
        if (!after.ok) return after
        if (jobId !== undefined) {
          const left = await this.checkJob(jobId, part, delta, held)
          if (!left.ok) return left
        }
        stock.set(partId, { ...part, count: after.value })
      }
      const at = new Date().toISOString()
      const rows = fresh.map(({ jobId = null, why = '', ...each }) => ({ ...each, jobId, why, at }))
      if (rows.length > 0) await this.store.write([db.insert(moves).values(rows)])
      return ok({
        accepted: fresh.map((each) => each.id),
        known: wanted.filter((each) => known.has(each.id)).map((each) => each.id),
      })
    })
  }

  /** A job returns only what it took. */
  private async checkJob(jobId: string, part: Part, delta: number, held: Map<string, number>): Promise<Outcome<true>> {
    const [job] = await this.store.db.select().from(jobs).where(eq(jobs.id, jobId))
    if (!job) return refuse('no-such-job', 'jobId', `There is no job “${jobId}”.`)
    const key = `${jobId} ${part.id}`
    const now = held.get(key) ?? (await this.heldBy(jobId)).find((each) => each.partId === part.id)?.count ?? 0
    const after = now - delta
    if (after < 0)
      return refuse(
        'not-taken',
        'delta',
        `Job ${job.number} has ${now} × ${part.name}; ${delta} cannot come back from it.`,
      )
    held.set(key, after)
    return ok(true)
  }

  /** How many rows of a file are written, of how many; none of none while no file is. */
  progress: { readonly done: number; readonly of: number } = { done: 0, of: 0 }

  /**
   * Brings parts and counts to what a file says. Parts it does not name stay as they are. It is written a few hundred rows at a
   * time, so that nobody at a bench waits; cut short, the same file goes on where it stopped, as what is there is not changed again.
   */
  restock(rows: readonly CountedPart[], by: string, dryRun: boolean): Promise<Restocking> {
    return this.inTurn(async () => {
      const byCode = new Map((await this.parts()).map((part) => [part.code, part]))
      const read = rows.map((row) => this.restocked(row, byCode.get(row.part.code)))
      const codes = (wanted: Restocked['becomes']) =>
        read.filter(({ becomes }) => becomes === wanted).map(({ row }) => row.code)
      const report = { added: codes('added'), changed: codes('changed'), unchanged: codes('unchanged') }
      if (dryRun) return report
      const changing = read.filter(({ becomes }) => becomes !== 'unchanged')
      try {
        for (let done = 0; done < changing.length; done += ROWS_AT_ONCE) {
          this.progress = { done, of: changing.length }
          await this.writeRows(changing.slice(done, done + ROWS_AT_ONCE), by)
          await new Promise((resolve) => setImmediate(resolve))
        }
      } finally {
        this.progress = { done: 0, of: 0 }
      }
      return report
    })
  }

  /** What becomes of one row’s part. */
  private restocked({ part, count }: CountedPart, now: Part | undefined): Restocked {
    const delta = count - (now?.count ?? 0)
    const row = { ...part, id: now?.id ?? randomUUID() }
    if (!now) return { becomes: 'added', row, delta }
    const { id: _, count: __, ...shape } = now
    const isSame = delta === 0 && JSON.stringify(sorted(shape)) === JSON.stringify(sorted(part))
    return { becomes: isSame ? 'unchanged' : 'changed', row, delta }
  }

  private async writeRows(rows: readonly Restocked[], by: string): Promise<void> {
    const { db } = this.store
    const counted = rows.filter(({ delta }) => delta !== 0)
    const shapes = db.insert(parts).values(rows.map(({ row }) => row))
    await this.store.write([
      shapes.onConflictDoUpdate({ target: parts.id, set: REPLACED }),
      ...(counted.length > 0
        ? [db.insert(moves).values(counted.map(({ row, delta }) => this.stockTake(row.id, delta, by)))]
        : []),
    ])
  }

  private stockTake(partId: string, delta: number, by: string) {
    return { id: randomUUID(), partId, delta, jobId: null, why: STOCK_TAKE, by, at: new Date().toISOString() }
  }

  private inTurn<T>(act: () => Promise<T>): Promise<T> {
    const turn = this.queue.then(act)
    this.queue = turn.catch(() => undefined)
    return turn
  }
}

/** A part with its fields in one order, so that two can be compared. */
const sorted = ({ code, kind, name, material, minimum, price = null, dimensions }: PartShape) => [
  code,
  kind,
  name,
  material,
  minimum,
  price,
  Object.entries(dimensions).sort(([a], [b]) => a.localeCompare(b)),
]
