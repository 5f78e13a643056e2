import { type ChildProcess, spawn } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { type Line, quantile } from './bench-lines.ts'

const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))
const PORT = 4331
const BASE = `http://127.0.0.1:${PORT}`
const A_SECOND = 50
const SECONDS = 8
/** The first seconds warm the server up and are not counted. */
const WARM = 2 * A_SECOND

const agent = new Agent({ keepAlive: true })

/** A plain client on a kept-alive connection, so that the server is measured and not the client. */
function post<T>(url: string, body: unknown): Promise<T> {
  const text = JSON.stringify(body)
  const headers = { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(text) }
  return new Promise((resolve, reject) => {
    const sent = request(url, { method: 'POST', agent, headers }, (response) => {
      const parts: Buffer[] = []
      response.on('data', (part: Buffer) => parts.push(part))
      response.on('end', () => {
        const answer = Buffer.concat(parts).toString()
        if ((response.statusCode ?? 500) < 300) resolve(JSON.parse(answer) as T)
        else reject(new Error(answer))
      })
    })
    sent.on('error', reject)
    sent.end(text)
  })
}

/** Entries appended through HTTP at a steady pace to one job. */
async function appendLine(): Promise<Line> {
  const data = mkdtempSync(join(tmpdir(), 'overhaul-bench-'))
  const server = await started(data)
  const api = `${BASE}/api`
  const jobs: string[] = []
  for (let index = 0; index < 5; index += 1) {
    const bicycle = await post<{ id: string }>(`${api}/bicycles`, { name: `Bench ${index}` })
    const hardware = { family: 'linear-pull', end: 'rear', dimensions: {} }
    const brake = await post<{ id: string }>(`${api}/brakes`, { bicycleId: bicycle.id, hardware })
    jobs.push((await post<{ id: string }>(`${api}/jobs`, { brakeId: brake.id })).id)
  }
  const times: number[] = []
  const sent: Promise<void>[] = []
  const start = performance.now()
  for (let index = 0; index < A_SECOND * SECONDS; index += 1) {
    const due = start + (index * 1000) / A_SECOND
    await new Promise((resolve) => setTimeout(resolve, Math.max(0, due - performance.now())))
    const entry = {
      id: randomUUID(),
      at: new Date().toISOString(),
      by: '1',
      kind: 'reading',
      reading: 'gapLeft',
      value: 1 + (index % 10) / 10,
      unit: 'mm',
    }
    const from = performance.now()
    sent.push(
      post(`${api}/jobs/${jobs[index % jobs.length]}/entries`, entry).then(
        () => void times.push(performance.now() - from),
      ),
    )
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

/** `npm start`, until the first answer. */
async function started(data: string): Promise<ChildProcess> {
  const env = { ...process.env, OVERHAUL_DATA: data, OVERHAUL_PORT: String(PORT) }
  const child = spawn(process.execPath, ['tools/start.mjs', '--empty'], { cwd: ROOT, env, stdio: 'ignore' })
  const answers = () =>
    fetch(`${BASE}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    )
  while (!(await answers())) await new Promise((resolve) => setTimeout(resolve, 20))
  return child
}

async function stopped(child: ChildProcess): Promise<void> {
  child.kill('SIGTERM')
  await new Promise((resolve) => child.once('exit', resolve))
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
  await startLine(),
  bundleLine('Stand', 300, 'family-'),
  bundleLine('Rack', 220),
]
