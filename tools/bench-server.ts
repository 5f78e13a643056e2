import { randomUUID } from 'node:crypto'
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import { ask, post, ROOT, started, stopped } from './bench-http.ts'
import { type Line, quantile } from './bench-lines.ts'

const A_SECOND = 50
const SECONDS = 8
/** The first seconds warm the server up and are not counted. */
const WARM = 2 * A_SECOND

async function newJobs(count: number): Promise<readonly string[]> {
  const jobs: string[] = []
  for (let index = 0; index < count; index += 1) {
    const bicycle = await post<{ id: string }>('bicycles', { name: `Bench ${index}` })
    const hardware = { family: 'linear-pull', end: 'rear', dimensions: {} }
    const brake = await post<{ id: string }>('brakes', { bicycleId: bicycle.id, hardware })
    jobs.push((await post<{ id: string }>('jobs', { brakeId: brake.id })).id)
  }
  return jobs
}

const readingNow = (value: number) => ({
  id: randomUUID(),
  at: new Date().toISOString(),
  by: '1',
  kind: 'reading',
  reading: 'gapLeft',
  value,
  unit: 'mm',
})

/** Entries appended through HTTP at a steady pace to one job. */
async function appendLine(): Promise<Line> {
  const data = mkdtempSync(join(tmpdir(), 'overhaul-bench-'))
  const server = await started(data)
  const jobs = await newJobs(5)
  const times: number[] = []
  const sent: Promise<void>[] = []
  const start = performance.now()
  for (let index = 0; index < A_SECOND * SECONDS; index += 1) {
    const due = start + (index * 1000) / A_SECOND
    await new Promise((resolve) => setTimeout(resolve, Math.max(0, due - performance.now())))
    const entry = readingNow(1 + (index % 10) / 10)
    sent.push(ask('POST', `jobs/${jobs[index % jobs.length]}/entries`, entry).then(({ ms }) => void times.push(ms)))
  }
  await Promise.all(sent)
  await stopped(server)
  rmSync(data, { recursive: true, force: true })
  return {
    what: `append of an entry through HTTP at ${A_SECOND} a second, p99`,
    value: quantile(times.slice(WARM), 0.99),
    unit: 'ms',
    limit: 15,
  }
}

/** An entry that is written and synced, and nothing else: the measure of what more is done to one. */
async function bareInserts(data: string): Promise<() => Promise<number>> {
  const client = createClient({ url: `file:${join(data, 'bare.db')}` })
  for (const statement of [
    'PRAGMA journal_mode = WAL',
    'PRAGMA synchronous = FULL',
    'CREATE TABLE bare (id TEXT PRIMARY KEY, entry TEXT)',
  ])
    await client.execute(statement)
  return async () => {
    const from = performance.now()
    await client.execute({ sql: 'INSERT INTO bare VALUES (?, ?)', args: [randomUUID(), 'x'.repeat(200)] })
    return performance.now() - from
  }
}

/** One entry after the other on a log of sixty, a bare insert after each: a disk and a processor that were at rest answer later. */
async function costLines(): Promise<readonly Line[]> {
  const data = mkdtempSync(join(tmpdir(), 'overhaul-bench-'))
  const server = await started(data)
  const [job = ''] = await newJobs(1)
  const reading = () => ({ ...readingNow(1.2), id: randomUUID() })
  await ask('POST', `jobs/${job}/entries`, Array.from({ length: 60 }, reading))
  const bare = await bareInserts(data)
  const [appended, inserted]: [number[], number[]] = [[], []]
  for (let index = 0; index < 300; index += 1) {
    appended.push((await ask('POST', `jobs/${job}/entries`, reading())).ms)
    inserted.push(await bare())
  }
  await stopped(server)
  rmSync(data, { recursive: true, force: true })
  const [append, insert] = [appended, inserted].map((times) => quantile(times.slice(100), 0.5)) as [number, number]
  const what = 'append of an entry through HTTP, from 60 on, median'
  return [
    { what, value: append, unit: 'ms', limit: 15 },
    { what: `${what}, in bare synced inserts of ${insert.toFixed(2)} ms`, value: append / insert, unit: '×', limit: 6 },
  ]
}

/** On a workshop that is installed, built and has its data. */
async function startLine(): Promise<Line> {
  const data = mkdtempSync(join(tmpdir(), 'overhaul-bench-'))
  await stopped(await started(data))
  const from = performance.now()
  const again = await started(data)
  const value = (performance.now() - from) / 1000
  await stopped(again)
  rmSync(data, { recursive: true, force: true })
  return { what: 'second `npm start` to the first answer', value, unit: 's', limit: 2 }
}

/**
 * All JavaScript a room loads, as it goes over the wire: its own chunk and everything it imports, and where it fetches one of
 * several beside it at once (`oneOf`), the largest of them.
 */
function bundleLine(room: string, limit: number, oneOf?: string): Line {
  const assets = join(ROOT, 'web/dist/assets')
  const files = readdirSync(assets).filter((name) => name.endsWith('.js'))
  const seen = new Set<string>()
  const visit = (name: string) => {
    if (seen.has(name)) return
    seen.add(name)
    const text = readFileSync(join(assets, name), 'utf8')
    for (const [, found] of text.matchAll(/(?:from|import)\s*["']\.\/([\w.-]+\.js)["']/g)) if (found) visit(found)
  }
  const sent = (name: string) =>
    statSync(join(assets, existsSync(join(assets, `${name}.br`)) ? `${name}.br` : name)).size
  const bytesOf = (names: ReadonlySet<string>) => [...names].reduce((sum, name) => sum + sent(name), 0)
  for (const begins of [`${room}Page`, 'index']) {
    const name = files.find((each) => each.startsWith(begins))
    if (name) visit(name)
  }
  const base = new Set(seen)
  const closures = files
    .filter((name) => oneOf !== undefined && name.startsWith(oneOf))
    .map((name) => {
      seen.clear()
      for (const each of base) seen.add(each)
      visit(name)
      return bytesOf(seen)
    })
  const bytes = closures.length > 0 ? Math.max(...closures) : bytesOf(base)
  return {
    what: `JavaScript for the ${room}, over the wire (${base.size} files)`,
    value: bytes / 1000,
    unit: 'kB',
    limit,
  }
}

export const benchServer = async (): Promise<readonly Line[]> => [
  await appendLine(),
  ...(await costLines()),
  await startLine(),
  bundleLine('Stand', 300, 'family-'),
  bundleLine('Rack', 220),
]
