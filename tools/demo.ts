import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { createClient } from '@libsql/client'
import { expectOk } from '@overhaul/core/outcome/outcome'
import { serve } from '@overhaul/server/app/serve'
import { databaseIn } from '@overhaul/server/db/run'
import { seedDemo } from '@overhaul/server/demo/seed'

/** Works Lockside Hire out as a user would make it, and writes its rows down to be shipped: `npm run demo`. */
const MADE = '2026-03-20T12:00:00.000Z'
const TABLES = ['bicycles', 'brakes', 'jobs', 'entries', 'parts', 'moves', 'workshop'] as const
const KEPT_AS_JSON = new Set(['hardware', 'summary', 'entry', 'dimensions'])
const camel = (name: string) => name.replace(/_(\w)/g, (_, letter: string) => letter.toUpperCase())

const data = mkdtempSync(join(tmpdir(), 'overhaul-demo-'))
const workshop = expectOk(await serve({ data, port: 0, host: '127.0.0.1', empty: true, share: false }))
await seedDemo(`http://127.0.0.1:${workshop.port}`, new Date(MADE))
await workshop.close()

const client = createClient({ url: `file:${databaseIn(data)}` })
const rowsOf = async (table: string) => {
  const { rows, columns } = await client.execute(`SELECT * FROM ${table} ORDER BY rowid`)
  return rows.map((row) =>
    Object.fromEntries(
      columns.map((column, index) => {
        const value = row[index]
        return [camel(column), KEPT_AS_JSON.has(column) ? JSON.parse(String(value)) : value]
      }),
    ),
  )
}
/** What the interface stamps with today stands on the day the demo was made. */
const today = new Date().toISOString().slice(0, 10)
const onTheDay = (row: Record<string, unknown>) =>
  Object.fromEntries(
    Object.entries(row).map(([key, value]) => [
      key,
      typeof value === 'string' && value.startsWith(today) ? MADE : value,
    ]),
  )
type Row = Readonly<Record<string, string>>

/** Each job is opened with its first entry, and what it is worked on hung there by then: all was made within one minute. */
function asItCame(tables: Record<string, readonly Row[]>): Record<string, readonly Row[]> {
  const { jobs = [], brakes = [], bicycles = [], entries = [] } = tables
  const first = (moments: readonly string[]): string => [...moments].sort()[0] ?? MADE
  const opened = jobs.map((job): Row => {
    const log = entries.filter(({ jobId }) => jobId === job.id).map(({ entry }) => entry as unknown as { at: string })
    return { ...job, openedAt: first(log.map(({ at }) => at)) }
  })
  const fitted = brakes.map((brake): Row => {
    const its = opened.filter(({ brakeId }) => brakeId === brake.id)
    return { ...brake, createdAt: first(its.map(({ openedAt = MADE }) => openedAt)) }
  })
  const hung = bicycles.map((bicycle): Row => {
    const its = fitted.filter(({ bicycleId }) => bicycleId === bicycle.id)
    return { ...bicycle, createdAt: first(its.map(({ createdAt = MADE }) => createdAt)) }
  })
  return { ...tables, jobs: opened, brakes: fitted, bicycles: hung }
}

const made = Object.fromEntries(
  await Promise.all(TABLES.map(async (table) => [table, (await rowsOf(table)).map(onTheDay) as Row[]] as const)),
)
const hung: Record<string, unknown> = { made: MADE, ...asItCame(made) }
client.close()
rmSync(data, { recursive: true, force: true })
const to = fileURLToPath(new URL('../server/src/demo/hung.json', import.meta.url))
writeFileSync(to, `${JSON.stringify(hung)}\n`)
console.log(`Lockside Hire: ${made.entries?.length} entries written to server/src/demo/hung.json`)
