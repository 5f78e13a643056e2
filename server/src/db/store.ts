import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { type Client, createClient } from '@libsql/client'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import type { BatchItem } from 'drizzle-orm/batch'
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql'
import { migrate } from 'drizzle-orm/libsql/migrator'
import * as schema from './schema.ts'

export type Db = LibSQLDatabase<typeof schema>
export type Statement = BatchItem<'sqlite'>

/** The workshop's data: one SQLite file, owned by one process. */
export interface Store {
  readonly db: Db
  readonly schemaVersion: number
  /** True when this start made the file. */
  readonly isNew: boolean
  /** Several statements, all or nothing. */
  readonly write: (statements: readonly Statement[]) => Promise<void>
  readonly close: () => void
}

const MIGRATIONS = fileURLToPath(new URL('../../drizzle', import.meta.url))

interface Journal {
  readonly entries: readonly { readonly idx: number; readonly when: number }[]
}

const journal = (): Journal => JSON.parse(readFileSync(join(MIGRATIONS, 'meta', '_journal.json'), 'utf8')) as Journal

const PRAGMAS = [
  'PRAGMA journal_mode = WAL',
  'PRAGMA synchronous = NORMAL',
  'PRAGMA foreign_keys = ON',
  'PRAGMA busy_timeout = 5000',
]

async function prepare(client: Client): Promise<void> {
  for (const pragma of PRAGMAS) await client.execute(pragma)
}

/** One process owns the data: a second one would meet a busy database in the middle of somebody's job. */
function lock(directory: string): Outcome<() => void> {
  const path = join(directory, 'overhaul.lock')
  if (existsSync(path)) {
    const pid = Number(readFileSync(path, 'utf8'))
    if (pid !== process.pid && isAlive(pid)) {
      return refuse(
        'data-in-use',
        'OVERHAUL_DATA',
        `${directory} is in use by another Overhaul (process ${pid}). Stop it first, or choose another data directory.`,
      )
    }
  }
  writeFileSync(path, String(process.pid))
  return ok(() => rmSync(path, { force: true }))
}

function isAlive(pid: number): boolean {
  if (!Number.isInteger(pid) || pid <= 0) return false
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
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

async function newerThanProgram(client: Client): Promise<boolean> {
  const table = await client.execute("SELECT name FROM sqlite_master WHERE name = '__drizzle_migrations'")
  if (table.rows.length === 0) return false
  const last = await client.execute('SELECT max(created_at) AS at FROM __drizzle_migrations')
  const newest = journal().entries.at(-1)?.when ?? 0
  return Number(last.rows[0]?.at ?? 0) > newest
}

/** Opens the workshop's data, bringing an older file up to date. Refuses a directory it cannot write and a newer file. */
export async function openStore(directory: string): Promise<Outcome<Store>> {
  const locked = makeDirectory(directory)
  if (!locked.ok) return locked
  const path = join(directory, 'overhaul.db')
  const isNew = !existsSync(path)
  const client = createClient({ url: `file:${path}`, timeout: 5000 } as Parameters<typeof createClient>[0])
  const giveUp = (outcome: Outcome<never>) => {
    client.close()
    locked.value()
    return outcome
  }
  try {
    await prepare(client)
    if (await newerThanProgram(client)) {
      return giveUp(
        refuse(
          'newer-database',
          'OVERHAUL_DATA',
          `${path} was written by a newer Overhaul. Update the program; nothing was changed.`,
        ),
      )
    }
    const db = drizzle(client, { schema })
    await migrate(db, { migrationsFolder: MIGRATIONS })
    await prepare(client)
    return ok({
      db,
      schemaVersion: journal().entries.length,
      isNew,
      write: (statements) => writeAll(client, db, statements),
      close() {
        client.close()
        locked.value()
      },
    })
  } catch (error) {
    return giveUp(
      refuse('data-not-readable', 'OVERHAUL_DATA', `${path} could not be opened: ${(error as Error).message}`),
    )
  }
}

/** Whether a write failed because a row that must be the only one is there already. */
export const isTaken = (error: unknown): boolean => {
  const { code, cause } = error as { code?: string; cause?: unknown }
  return String(code).startsWith('SQLITE_CONSTRAINT') || (cause !== undefined && isTaken(cause))
}

/** After one SQLITE_BUSY the client fails every later batch until it reconnects: reconnect once and try again. */
async function writeAll(client: Client, db: Db, [first, ...rest]: readonly Statement[]): Promise<void> {
  if (!first) return
  try {
    await db.batch([first, ...rest])
  } catch (error) {
    if (!String((error as { code?: string }).code).startsWith('SQLITE_BUSY')) throw error
    await client.reconnect()
    await prepare(client)
    await db.batch([first, ...rest])
  }
}
