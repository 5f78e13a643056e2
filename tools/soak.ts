import { spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { checkDatabase } from '@overhaul/server/db/aside'
import { backUp } from '@overhaul/server/db/backups'
import { databaseIn } from '@overhaul/server/db/run'
import { ended, pause, served } from './served.ts'

/**
 * Writers, readers, streams, malformed requests, kills, restores stopped on their way, a clock years off and a disk that is
 * full for a while, on a workshop of its own, for so many seconds: what was acknowledged must be in the log, once, in order
 * and without a gap, and heard on the stream so.
 * Prints one line of counts; ends with 1 where anything was lost.
 */
const { values } = parseArgs({
  options: {
    seconds: { type: 'string', default: '60' },
    writers: { type: 'string', default: '6' },
    port: { type: 'string', default: '4390' },
    kills: { type: 'string', default: '12' },
  },
})
const [seconds, writers, port, kills] = [values.seconds, values.writers, values.port, values.kills].map(Number) as [
  number,
  number,
  number,
  number,
]
const data = mkdtempSync(join(tmpdir(), 'overhaul-soak-'))
const base = `http://127.0.0.1:${port}/api`
/** The time counts from when there is something to write to, however long that took to start. */
let until = 0
const counts = {
  acknowledged: 0,
  refused: 0,
  away: 0,
  full: 0,
  kills: 0,
  backups: 0,
  restored: 0,
  restoresKilled: 0,
  figures: 0,
  fuzz: 0,
  failed500: 0,
  lost: 0,
  doubled: 0,
  gaps: 0,
  heard: 0,
  misheard: 0,
  reads: 0,
}

/** A clock that is years behind or ahead, as on a machine whose battery is empty; in the process that is started and its workers. */
const CLOCK = `data:text/javascript,${encodeURIComponent(`
const own = Date
const off = Number(process.env.SOAK_CLOCK_MS)
globalThis.Date = class extends own {
  constructor(...at) {
    if (at.length > 0) super(...at)
    else super(own.now() + off)
  }
  static now() {
    return own.now() + off
  }
}`)}`
const YEAR_MS = 365 * 86_400_000
const CLOCKS_MS = [0, -6 * YEAR_MS, 9 * YEAR_MS]

/** `full`: on a disk with no room left. With each start the clock is another. */
const ready = (full = false) =>
  served({
    data,
    port,
    node: ['--import', CLOCK],
    env: {
      SOAK_CLOCK_MS: String(CLOCKS_MS[counts.kills % CLOCKS_MS.length]),
      ...(full && { OVERHAUL_MOST_MB: '0.001' }),
    },
  })

async function call(
  method: string,
  path: string,
  body?: unknown,
  patienceMs = 8000,
): Promise<{ status: number; body: unknown } | undefined> {
  try {
    const response = await fetch(`${base}/${path}`, {
      method,
      signal: AbortSignal.timeout(patienceMs),
      ...(body !== undefined && { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
    })
    return { status: response.status, body: await response.json().catch(() => undefined) }
  } catch {
    counts.away += 1
    return undefined
  }
}

/** The first answers wait for a server that has only just started, on a machine that may be busy. */
const STARTING_MS = 40_000

async function newJob(index: number): Promise<{ readonly id: string; readonly brakeId: string }> {
  const made = async (path: string, body: unknown) => {
    const answer = await call('POST', path, body, STARTING_MS)
    if (!answer) throw new Error(`no answer to ${path}`)
    return (answer.body as { id: string }).id
  }
  const bicycleId = await made('bicycles', { name: `Soak ${index}` })
  const brakeId = await made('brakes', { bicycleId, hardware: { family: 'linear-pull', end: 'rear', dimensions: {} } })
  return { id: await made('jobs', { brakeId }), brakeId }
}

const MOST_ENTRIES = 400

const isFull = (body: unknown): boolean => (body as { error?: { code?: string } })?.error?.code === 'disk-full'

/** Writes until the time is up, each entry again and again until it is answered: what was acknowledged is kept to be looked for. */
async function write(jobId: string, acknowledged: Set<string>): Promise<void> {
  while (Date.now() < until && acknowledged.size < MOST_ENTRIES) {
    const entry = { id: randomUUID(), at: new Date().toISOString(), by: '3', kind: 'note', text: 'soaked' }
    for (let answered = false; !answered; ) {
      const answer = await call('POST', `jobs/${jobId}/entries`, entry)
      if (answer && isFull(answer.body)) counts.full += 1
      if (answer === undefined || answer.status >= 500) await pause(100)
      else {
        answered = true
        if (answer.status < 300) acknowledged.add(entry.id)
        else counts.refused += 1
      }
      if (Date.now() > until + 20_000) return
    }
    await pause(5)
  }
}

/** Measures a brake again and again beside the writing: the last figure acknowledged, or one sent since, is the one that stands. */
async function measure(brakeId: string): Promise<{ readonly acknowledged: number; readonly sent: number }> {
  let acknowledged = 0
  let sent = 0
  while (Date.now() < until) {
    sent += 1
    const change = { dimension: 'leverReachMm', value: 50 + (sent % 40), provenance: 'measured', instrument: 'rule' }
    const since = new Date(Date.UTC(2026, 0, 1) + sent * 60_000).toISOString()
    const answer = await call('PATCH', `brakes/${brakeId}`, { changes: [{ ...change, since, by: '3' }] })
    if (answer?.status === 200) {
      acknowledged = sent
      counts.figures += 1
    }
    await pause(100)
  }
  return { acknowledged, sent }
}

type Figures = Readonly<Record<string, { readonly since?: string }>>

/** The figure that stands, by the moment it was sent with. */
async function standing(brakeId: string): Promise<number> {
  const hung = ((await call('GET', 'brakes'))?.body ?? []) as { id: string; hardware: { dimensions: Figures } }[]
  const { since = '' } = hung.find(({ id }) => id === brakeId)?.hardware.dimensions.leverReachMm ?? {}
  return (Date.parse(since) - Date.UTC(2026, 0, 1)) / 60_000
}

async function read(jobs: readonly string[]): Promise<void> {
  for (let at = 0; Date.now() < until; at += 1) {
    const answer = await call('GET', at % 3 === 0 ? 'bicycles' : `jobs/${jobs[at % jobs.length]}/entries`)
    if (answer?.status === 200) counts.reads += 1
    await pause(20)
  }
}

/** Hears one job as a screen does, over every reconnection: what it heard, in the order it came. */
async function listen(jobId: string, heard: number[]): Promise<void> {
  while (Date.now() < until) {
    try {
      const left = AbortSignal.timeout(Math.max(1, until - Date.now()))
      const response = await fetch(`${base}/jobs/${jobId}/stream?after=${heard.at(-1) ?? 0}`, { signal: left })
      let text = ''
      for await (const chunk of (response.body ?? new ReadableStream()).pipeThrough(new TextDecoderStream())) {
        const events = (text + chunk).split('\n\n')
        text = events.pop() ?? ''
        for (const each of events) {
          const seq = /^id: (\d+)$/m.exec(each)?.[1]
          if (seq) heard.push(Number(seq))
        }
      }
    } catch {
      await pause(50)
    }
  }
}

const WILD = [null, '', [], {}, -1e308, '\u202e', '2026-02-31', 'x'.repeat(5000), { kind: 'turn' }, [1, 2]]

async function fuzz(jobs: readonly string[]): Promise<void> {
  for (let at = 0; Date.now() < until; at += 1) {
    const wild = WILD[at % WILD.length]
    const path = [`jobs/${jobs[at % jobs.length]}/entries`, 'bicycles', 'drawer/moves', 'jobs/%zz'][at % 4] as string
    const answer = await call('POST', path, { id: wild, kind: 'reading', value: wild, name: wild })
    counts.fuzz += 1
    if (answer && answer.status === 500) counts.failed500 += 1
    await pause(10)
  }
}

/** About how long a restore takes with the program that makes it. */
const RESTORED_MS = 2500
const MOST_FULL_MS = 10_000

let server = await ready()
// However this ends, its server ends with it: one left behind holds the output open that somebody waits for.
process.once('exit', () => server.kill('SIGKILL'))

/** Just that backup put in the place of the data, and stopped somewhere on the way: whichever of both stands then, it is whole. */
async function restoreKilled(): Promise<void> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'tools/restore.ts'], {
    env: { ...process.env, OVERHAUL_DATA: data },
    stdio: 'ignore',
  })
  const timer = setTimeout(() => child.kill('SIGKILL'), RESTORED_MS * Math.random())
  const signal = await new Promise((resolve) => child.once('exit', (_, by) => resolve(by)))
  clearTimeout(timer)
  counts[signal ? 'restoresKilled' : 'restored'] += 1
}

async function killed(full = false): Promise<void> {
  await ended(server, 'SIGKILL')
  counts.kills += 1
  // Made of what a kill left: it takes nothing from it, and the workshop starts again.
  if ((await backUp(data)).ok) {
    counts.backups += 1
    if (counts.kills % 2 === 0) await restoreKilled()
  }
  server = await ready(full)
}

/** Long notes, so that the disk is full soon, however slow the others write; what is taken of them is kept to be looked for. */
async function fill(): Promise<void> {
  const entry = { id: randomUUID(), at: new Date().toISOString(), by: '3', kind: 'note', text: 'x'.repeat(1000) }
  const answer = await call('POST', `jobs/${jobs[0]}/entries`, entry)
  if (answer && answer.status < 300) (written[0] as Set<string>).add(entry.id)
  if (answer && isFull(answer.body)) counts.full += 1
}

/** Killed again and again; after the first time the disk is full for a while. */
async function kill(): Promise<void> {
  for (let at = 0; at < kills && Date.now() < until - 3000; at += 1) {
    await pause((seconds * 1000) / (kills + 1))
    await killed(at === 0)
    if (at > 0) continue
    for (const end = Date.now() + MOST_FULL_MS; counts.full === 0 && Date.now() < end; ) await fill()
    await killed()
  }
}

const opened = await Promise.all(Array.from({ length: writers }, (_, index) => newJob(index)))
const jobs = opened.map(({ id }) => id)
const written = jobs.map(() => new Set<string>())
const heard = jobs.map((): number[] => [])
until = Date.now() + seconds * 1000
const measured = opened[0]?.brakeId ?? ''
const [figures] = await Promise.all([
  measure(measured),
  ...jobs.map((job, index) => write(job, written[index] as Set<string>)),
  ...jobs.map((job, index) => listen(job, heard[index] as number[])),
  read(jobs),
  fuzz(jobs),
  kill(),
])

const figure = await standing(measured)
const hasFigure = figure >= figures.acknowledged && figure <= figures.sent
for (const [index, job] of jobs.entries()) {
  const log = ((await call('GET', `jobs/${job}/entries`))?.body ?? []) as { id: string; seq: number }[]
  const ids = new Set(log.map(({ id }) => id))
  const acknowledged = written[index] as Set<string>
  counts.acknowledged += acknowledged.size
  counts.lost += [...acknowledged].filter((id) => !ids.has(id)).length
  counts.doubled += log.length - ids.size
  const sounds = heard[index] as number[]
  counts.heard += sounds.length
  counts.misheard += sounds.filter((seq, at) => seq !== at + 1).length
  counts.gaps += log.filter(({ seq }, at) => seq !== at + 1).length
}
await ended(server, 'SIGTERM')
const damaged = (await checkDatabase(databaseIn(data))).length
rmSync(data, { recursive: true, force: true })
const wrong =
  (hasFigure ? 0 : 1) + counts.lost + counts.doubled + counts.gaps + counts.misheard + counts.failed500 + damaged
console.log(JSON.stringify({ seconds, writers, ...counts, hasFigure, damaged, wrong }))
process.exit(wrong > 0 ? 1 : 0)
