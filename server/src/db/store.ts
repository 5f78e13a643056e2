import { existsSync, mkdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { type Client, createClient } from '@libsql/client'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import { sql } from 'drizzle-orm'
import type { BatchItem } from 'drizzle-orm/batch'
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql'
import { migrate } from 'drizzle-orm/libsql/migrator'
import { beginCheck, type Check, checkDatabase, layIn } from './aside.ts'
import { backUp, backupsOf, offerBackup, offerSound } from './backups.ts'
import { giveCodes } from './codes.ts'
import { finishRestore } from './restore.ts'
import { Count, counted, databaseIn, lastRun, lock, watchFiles, watchLock, writeRun } from './run.ts'
import * as schema from './schema.ts'
import { DataTrouble } from './trouble.ts'

export type Db = LibSQLDatabase<typeof schema>
export type Statement = BatchItem<'sqlite'> & PromiseLike<unknown>

/** The workshop's data: one SQLite file, owned by one process. */
export interface Store {
  readonly db: Db
  readonly schemaVersion: number
  /** Told apart from every other state of the data: on a restored one a count of changes, or of entries, means something else. */
  readonly epoch: string
  /** True when this start made the file. */
  readonly isNew: boolean
  /** Several statements, all or nothing. */
  readonly write: (statements: readonly Statement[]) => Promise<void>
  /** Why nothing is written any more: the files are gone, replaced or damaged. */
  readonly trouble: () => string | undefined
  /** Whether it is damage that stops the writing. */
  readonly isDamaged: () => boolean
  readonly close: () => Promise<void>
}

const MIGRATIONS = fileURLToPath(new URL('../../drizzle', import.meta.url))

interface Journal {
  readonly entries: readonly { readonly idx: number; readonly when: number }[]
}

const journal = (): Journal => JSON.parse(readFileSync(join(MIGRATIONS, 'meta', '_journal.json'), 'utf8')) as Journal

const PRAGMAS = [
  'PRAGMA journal_mode = WAL',
  'PRAGMA synchronous = FULL',
  'PRAGMA foreign_keys = ON',
  'PRAGMA busy_timeout = 5000',
  // The short log is laid in beside the writing, below; this only keeps it from growing without end.
  'PRAGMA wal_autocheckpoint = 10000',
]

/** Lays its pragmas on a fresh connection; `mostMb` is how large the file may grow. */
type Prepare = (client: Client) => Promise<void>

const prepareWith =
  (mostMb?: number): Prepare =>
  async (client) => {
    for (const pragma of PRAGMAS) await client.execute(pragma)
    if (mostMb === undefined) return
    const { rows } = await client.execute('PRAGMA page_size')
    const pages = Math.max(1, Math.floor((mostMb * 1e6) / Number(rows[0]?.page_size)))
    await client.execute(`PRAGMA max_page_count = ${pages}`)
  }

function makeDirectory(directory: string): Outcome<() => void> {
  try {
    mkdirSync(directory, { recursive: true })
    return lock(directory)
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException
    return refuse(
      'data-not-writable',
      'OVERHAUL_DATA',
      `The data directory ${directory} cannot be written (${code}). Choose another with OVERHAUL_DATA.`,
    )
  }
}

/** Whether the data was written by a newer program, an older one, or this; `none` where nobody wrote yet. */
async function writtenBy(client: Client): Promise<'newer' | 'older' | 'this' | 'none'> {
  const table = await client.execute("SELECT name FROM sqlite_master WHERE name = '__drizzle_migrations'")
  if (table.rows.length === 0) return 'none'
  const { rows } = await client.execute('SELECT max(created_at) AS at FROM __drizzle_migrations')
  const last = Number(rows[0]?.at ?? 0)
  const newest = journal().entries.at(-1)?.when ?? 0
  return last > newest ? 'newer' : last < newest ? 'older' : 'this'
}

/** What tells this state of the data from another. */
async function marksOf(db: Db): Promise<{ readonly written: number; readonly epoch: string }> {
  const [row] = await db.select({ written: schema.changes.written, epoch: schema.changes.epoch }).from(schema.changes)
  return row ?? { written: 0, epoch: '' }
}

/** Signs of an earlier run beside the database itself. */
const ranBefore = (directory: string): boolean =>
  lastRun(directory) !== undefined || existsSync(`${databaseIn(directory)}-wal`) || backupsOf(directory).length > 0

/** Whether nothing of a workshop was ever in this directory. */
export const isUntouched = (directory: string): boolean => !existsSync(databaseIn(directory)) && !ranBefore(directory)

/** What stands against opening this file as the workshop's data: nothing that was lost is taken for a new beginning. */
async function standsAgainst(directory: string, path: string): Promise<Outcome<never> | undefined> {
  const size = existsSync(path) ? statSync(path).size : undefined
  if (size === undefined || size === 0) {
    return ranBefore(directory)
      ? refuse(
          'data-missing',
          'OVERHAUL_DATA',
          `${path} ${size === 0 ? 'is empty' : 'is gone'}, though Overhaul ran here before. ${offerBackup(directory)} To begin anew, move ${directory} away.`,
        )
      : undefined
  }
  if (lastRun(directory) !== 'open') return undefined
  const wrong = await checkDatabase(path)
  return wrong.length === 0 ? undefined : refuseDamaged(directory, wrong.join('; '))
}

/** Damaged data, with the way out of it. */
const refuseDamaged = async (directory: string, why: string): Promise<Outcome<never>> =>
  refuse(
    'data-damaged',
    'OVERHAUL_DATA',
    `${databaseIn(directory)} is damaged: ${why}. ${await offerSound(directory)} To begin anew, move ${directory} away.`,
  )

/** What was acknowledged and is not in the data, as when its log was lost after a sudden end. */
async function lostOf(directory: string, written: number): Promise<Outcome<never> | undefined> {
  const lost = (counted(directory) ?? 0) - written
  if (lost <= 0) return undefined
  const path = databaseIn(directory)
  return refuse(
    'log-missing',
    'OVERHAUL_DATA',
    `The last ${lost === 1 ? 'write is' : `${lost} writes are`} not in ${path}: its log, ${path}-wal, is gone, or an older file stands in its place. Bring it back. Or go on as it is, without them: “npm start -- --as-it-is”. ${await offerSound(directory)}`,
  )
}

/** After so many writes the short log is laid into the file, aside: an entry would have to wait for it. */
const LAY_IN_AFTER = 250

/** After this much rest everything stands in the one file. */
const REST_MS = 20_000

export interface Opening {
  /** It grows to this at most, in MB; absent where only the disk limits it. */
  readonly mostMb?: number
  /** Goes on without writes that were acknowledged and lost. */
  readonly asItIs?: boolean
}

/**
 * Opens the workshop's data, bringing an older file up to date, of which a backup is made first. Refuses a directory it cannot
 * write, a newer file, and one that lost something.
 */
export async function openStore(directory: string, { mostMb, asItIs }: Opening = {}): Promise<Outcome<Store>> {
  const prepare = prepareWith(mostMb)
  const locked = makeDirectory(directory)
  if (!locked.ok) return locked
  finishRestore(directory)
  const path = databaseIn(directory)
  const against = await standsAgainst(directory, path)
  if (against) {
    locked.value()
    return against
  }
  const isNew = !existsSync(path) || statSync(path).size === 0
  const unchecked = lastRun(directory) === 'clean'
  const client = createClient({ url: `file:${path}`, timeout: 5000 } as Parameters<typeof createClient>[0])
  const giveUp = (outcome: Outcome<never>) => {
    client.close()
    locked.value()
    return outcome
  }
  try {
    await prepare(client)
    const by = await writtenBy(client)
    if (by === 'newer') {
      return giveUp(
        refuse(
          'newer-database',
          'OVERHAUL_DATA',
          `${path} was written by a newer Overhaul. Update the program; nothing was changed.`,
        ),
      )
    }
    if (by === 'older') {
      const backup = await backUp(directory)
      if (!backup.ok) return giveUp(backup)
    }
    const db = drizzle(client, { schema })
    await migrate(db, { migrationsFolder: MIGRATIONS })
    await prepare(client)
    const { written, epoch } = await marksOf(db)
    const lost = asItIs ? undefined : await lostOf(directory, written)
    if (lost) return giveUp(lost)
    await giveCodes(db)
    writeRun(directory, 'open')
    const count = new Count(directory, written)
    return ok(new OpenStore(client, prepare, db, directory, epoch, count, isNew, unchecked, locked.value))
  } catch (error) {
    const { message, code } = error as Error & { code?: string }
    return giveUp(
      /^SQLITE_(NOTADB|CORRUPT|IOERR_SHORT_READ)/.test(String(code))
        ? await refuseDamaged(directory, message)
        : refuse('data-not-readable', 'OVERHAUL_DATA', `${path} could not be opened: ${message}`),
    )
  }
}

/** Reads the data of a store that is open in this process, on a connection of its own: for work beside the one that writes. */
export async function reader(directory: string): Promise<Db> {
  const client = createClient({ url: `file:${databaseIn(directory)}`, timeout: 5000 } as Parameters<
    typeof createClient
  >[0])
  await client.execute('PRAGMA query_only = ON')
  // Opens the files now, as the writer has: both go on reading where somebody takes them away.
  await client.execute('SELECT count(*) FROM sqlite_master')
  return drizzle(client, { schema })
}

class OpenStore implements Store {
  readonly schemaVersion = journal().entries.length
  private moved: () => string | undefined
  private readonly holds: () => boolean
  private resting: NodeJS.Timeout | undefined
  private fault: string | undefined
  private damaged = false
  private notLaidIn = 0
  private layingIn: Promise<unknown> = Promise.resolve()
  private readonly check: Check | undefined

  constructor(
    private readonly client: Client,
    private readonly prepare: Prepare,
    readonly db: Db,
    private readonly directory: string,
    readonly epoch: string,
    private readonly count: Count,
    readonly isNew: boolean,
    unchecked: boolean,
    private readonly unlock: () => void,
  ) {
    this.moved = watchFiles(databaseIn(directory))
    this.holds = watchLock(directory)
    this.rest()
    // After a clean stop nobody waits for the check; what it finds stops the writing.
    if (!unchecked) return
    this.check = beginCheck(databaseIn(directory))
    this.check.found.then((wrong) => this.found(wrong)).catch((error) => console.error(error))
  }

  private async found(wrong: readonly string[]): Promise<void> {
    if (wrong.length === 0) return
    this.damaged = true
    const say = `The workshop's data is damaged (${wrong.join('; ')}). Stop Overhaul.`
    this.fault = say
    this.fault = `${say} ${await offerSound(this.directory)}`
    console.error(this.fault)
  }

  readonly isDamaged = () => this.damaged

  /** Why nothing more may be acknowledged, if something is wrong with the files. */
  trouble(): string | undefined {
    const moved = this.fault ? undefined : this.moved()
    if (moved) {
      this.fault = `${moved} was deleted or replaced while Overhaul ran. Nothing more is written: what is typed waits on its screen. Stop Overhaul and look. ${offerBackup(this.directory)}`
      console.error(this.fault)
    }
    if (!this.fault && !this.holds()) {
      this.fault = `Another Overhaul took ${this.directory} over. Nothing more is written here: stop one of the two, then start this one again.`
      console.error(this.fault)
    }
    return this.fault
  }

  readonly write = async (statements: readonly Statement[]): Promise<void> => {
    // A connection opened anew makes its log anew.
    if (statements.length === 0) return
    const counting = this.db.update(schema.changes).set({ written: sql`${schema.changes.written} + 1` })
    if (await writeAll(this.client, this.prepare, this.db, [...statements, counting]))
      this.moved = watchFiles(databaseIn(this.directory))
    // Nothing is acknowledged that could not be read again.
    const trouble = this.trouble()
    if (trouble) throw new DataTrouble(trouble)
    this.count.goOn()
    this.notLaidIn += 1
    if (this.notLaidIn >= LAY_IN_AFTER) {
      this.notLaidIn = 0
      this.layingIn = layIn(databaseIn(this.directory)).catch((error) => console.error(error))
    }
    this.rest()
  }

  /** Once the hands rest, the short log is laid into the file: what is copied by hand is whole. */
  private rest(): void {
    clearTimeout(this.resting)
    this.resting = setTimeout(() => this.gather().catch((error) => console.error(error)), REST_MS)
    this.resting.unref()
  }

  private async gather(): Promise<void> {
    if (!this.trouble()) await this.client.execute('PRAGMA wal_checkpoint(TRUNCATE)')
  }

  readonly close = async (): Promise<void> => {
    clearTimeout(this.resting)
    this.check?.stop()
    await this.layingIn
    const whole = await this.gather().then(
      () => this.fault === undefined,
      () => false,
    )
    this.client.close()
    this.count.close()
    if (whole) writeRun(this.directory, 'clean')
    this.unlock()
  }
}

/** Whether a write failed because a row that must be the only one is there already. */
export const isTaken = (error: unknown): boolean => {
  const { code, cause } = error as { code?: string; cause?: unknown }
  return String(code).startsWith('SQLITE_CONSTRAINT') || (cause !== undefined && isTaken(cause))
}

/** After one SQLITE_BUSY the client fails every later batch until it reconnects: reconnect once and try again. True where it had to. */
async function writeAll(
  client: Client,
  prepare: Prepare,
  db: Db,
  [first, ...rest]: readonly Statement[],
): Promise<boolean> {
  if (!first) return false
  const write = () => db.batch([first, ...rest])
  try {
    await write()
    return false
  } catch (error) {
    if (!String((error as { code?: string }).code).startsWith('SQLITE_BUSY')) throw error
    await client.reconnect()
    await prepare(client)
    await write()
    return true
  }
}
