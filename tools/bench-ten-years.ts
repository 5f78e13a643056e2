import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { open } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ask, memoryOf, started, stopped } from './bench-http.ts'
import { type Line, quantile } from './bench-lines.ts'
import { writeTenYears } from './ten-years.ts'

const RACKS = 10
const POLL_MS = 4000
/** At a start the data is read through and checked, beside everything else; what is measured is the day, not its first seconds. */
const CHECKED_MS = 10_000
/** What a hand types to find a bicycle, key by key. */
const TYPED = ['hire 0417', 'tourer sque', 'cargo 559 rear', 'rubs left', 'zz', '12']
const A_SECOND = 50
const SECONDS = 8
const WARM = 2 * A_SECOND
const A_PAGE = Buffer.alloc(4096)

interface RackRow {
  readonly id: string
  readonly brakes: readonly {
    readonly job: { readonly id: string; readonly releasedAt: string | null; readonly closedAt: string | null } | null
  }[]
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** A rack as a screen keeps it open: it asks whether anything changed, and reads its page again where it did. */
async function openRack(until: () => boolean, times: number[]): Promise<void> {
  const tags: Record<string, string> = {}
  const again = async (path: string) => {
    const answer = await ask('GET', path, undefined, tags[path] ? { 'If-None-Match': tags[path] } : {})
    if (answer.tag) tags[path] = answer.tag
    return answer
  }
  await pause(Math.random() * POLL_MS)
  while (!until()) {
    if ((await again('rack')).status === 200) times.push((await again('bicycles?part=hanging&limit=50')).ms)
    await pause(POLL_MS)
  }
}

async function searchTimes(): Promise<readonly number[]> {
  const times: number[] = []
  for (const typed of TYPED)
    for (let keys = 1; keys <= typed.length; keys += 1) {
      const q = encodeURIComponent(typed.slice(0, keys))
      times.push((await ask('GET', `bicycles?part=hanging&limit=50&q=${q}`)).ms)
    }
  return times
}

/** Open jobs spread over the rack. */
async function openJobs(): Promise<readonly string[]> {
  const rows = JSON.parse((await ask('GET', 'bicycles?part=open&limit=200&sort=recent')).text) as RackRow[]
  return rows.flatMap(({ brakes }) =>
    brakes.flatMap(({ job }) => (job && !job.releasedAt && !job.closedAt ? [job.id] : [])),
  )
}

/** Appends at a steady pace, and beside them writes to a file on the same disk, synced and nothing more: what the disk itself takes. */
async function appendTimes(jobs: readonly string[], data: string): Promise<{ appended: number[]; synced: number[] }> {
  const [appended, synced]: [number[], number[]] = [[], []]
  const sent: Promise<void>[] = []
  const path = join(data, 'bench.sync')
  const file = await open(path, 'w')
  const append = (index: number) => {
    const entry = { id: randomUUID(), at: new Date().toISOString(), by: '1', kind: 'note', text: 'looked at' }
    return ask('POST', `jobs/${jobs[index % jobs.length]}/entries`, entry).then(({ ms }) => void appended.push(ms))
  }
  const sync = async () => {
    const from = performance.now()
    await file.write(A_PAGE)
    await file.datasync()
    synced.push(performance.now() - from)
  }
  const start = performance.now()
  for (let index = 0; index < A_SECOND * SECONDS; index += 1) {
    await pause(Math.max(0, start + (index * 1000) / A_SECOND - performance.now()))
    sent.push(append(index))
    if (index % 4 === 2) sent.push(sync())
  }
  await Promise.all(sent)
  await file.close()
  rmSync(path)
  return { appended: appended.slice(WARM), synced }
}

/** A workshop of ten years, in a directory of its own or in one that was filled before, with ten racks open on it. */
export async function benchTenYears(filled?: string): Promise<readonly Line[]> {
  const data = filled ?? mkdtempSync(join(tmpdir(), 'overhaul-ten-years-'))
  if (!filled) await writeTenYears(data, { bicycles: 10_000, parts: 10_000 })
  const from = performance.now()
  const server = await started(data)
  const startS = (performance.now() - from) / 1000
  await pause(CHECKED_MS)
  let over = false
  const pages: number[] = []
  const racks = Array.from({ length: RACKS }, () => openRack(() => over, pages))
  const jobs = await openJobs()
  await pause(POLL_MS)
  const keys = await searchTimes()
  const opened: number[] = []
  for (const id of jobs.slice(0, 100)) opened.push((await ask('GET', `jobs/${id}`)).ms)
  const { appended, synced } = await appendTimes(jobs.slice(0, 20), data)
  await pause(POLL_MS)
  const memory = memoryOf(server.pid ?? 0)
  over = true
  await Promise.all(racks)
  await stopped(server)
  if (!filled) rmSync(data, { recursive: true, force: true })
  const line = (what: string, value: number, unit: string, limit: number): Line => ({
    what: `ten years: ${what}`,
    value,
    unit,
    limit,
  })
  return [
    line('start to the first answer', startS, 's', 3),
    line(`first page of the rack with ${RACKS} racks open, p95 of ${pages.length}`, quantile(pages, 0.95), 'ms', 200),
    line(`search, each key, p95 of ${keys.length}`, quantile(keys, 0.95), 'ms', 50),
    line('search, the slowest key', Math.max(...keys), 'ms', 50),
    line(`a job opened for the first time, p95 of ${opened.length}`, quantile(opened, 0.95), 'ms', 100),
    line(
      `append at ${A_SECOND} a second, p99; a synced write beside it ${quantile(synced, 0.99).toFixed(1)} ms`,
      quantile(appended, 0.99),
      'ms',
      15,
    ),
    line('memory, all processes', memory, 'MB', 300),
  ]
}
