import { existsSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { type Outcome, ok } from '@overhaul/core/outcome/outcome'
import { databaseIn } from '../db/run.ts'
import { bicycles, brakes, entries, jobs, moves, parts, workshop } from '../db/schema.ts'
import { openStore, type Statement, type Store } from '../db/store.ts'
import hung from './hung.json' with { type: 'json' }

const DAY_MS = 86_400_000
const A_BATCH = 200

const DAY = /^\d{4}-\d\d-\d\d$/
const TIME = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d/

/** The same rows so many days later: whatever is a moment moves with them. */
const later = (value: unknown, ms: number): unknown => {
  if (typeof value === 'string' && DAY.test(value)) return new Date(Date.parse(value) + ms).toISOString().slice(0, 10)
  if (typeof value === 'string') return TIME.test(value) ? new Date(Date.parse(value) + ms).toISOString() : value
  if (Array.isArray(value)) return value.map((each) => later(each, ms))
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, later(each, ms)]))
}

/** Rows of every table of Lockside Hire as `npm run demo` worked them out stand in hung.json, in this order. */
const TABLES = { bicycles, brakes, jobs, entries, parts, moves, workshop }

/** Writes Lockside Hire into an empty workshop, as if today were the day it was made. */
export async function writeDemo({ db, write }: Pick<Store, 'db' | 'write'>, now = new Date()): Promise<void> {
  const days = Math.floor(now.getTime() / DAY_MS) - Math.floor(Date.parse(hung.made) / DAY_MS)
  for (const [name, table] of Object.entries(TABLES)) {
    const rows = later(hung[name as keyof typeof TABLES], days * DAY_MS) as Record<string, never>[]
    const statements: Statement[] = []
    for (let at = 0; at < rows.length; at += A_BATCH)
      statements.push(db.insert(table).values(rows.slice(at, at + A_BATCH) as never))
    await write(statements)
  }
}

/** Hangs the demo in a data directory that has none yet: whole, or not at all. */
export async function hangDemo(directory: string, now = new Date()): Promise<Outcome<true>> {
  const apart = join(directory, '.first')
  if (existsSync(apart)) rmSync(apart, { recursive: true })
  const store = await openStore(apart)
  if (!store.ok) return store
  await writeDemo(store.value, now)
  await store.value.close()
  if (!existsSync(databaseIn(directory))) renameSync(databaseIn(apart), databaseIn(directory))
  rmSync(apart, { recursive: true, force: true })
  return ok(true)
}
