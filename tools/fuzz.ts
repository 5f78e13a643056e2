import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { seededRandom } from '@overhaul/core/simulate/random'
import { type Asked, askedOf, type Known, ROUTES } from './fuzz-requests.ts'
import { ended, pause, served } from './served.ts'

/**
 * Requests that nobody would send, over every route there is, from a seed: bodies and addresses that were right until some of
 * their places were changed. Prints one line of counts, and the requests that were answered with 500 or not at all; ends with
 * 1 where there were any.
 */
const { values } = parseArgs({
  options: {
    requests: { type: 'string', default: '2000' },
    seed: { type: 'string', default: '7' },
    port: { type: 'string', default: '4392' },
    at: { type: 'string', default: '8' },
  },
})
const [requests, seed, port, at] = [values.requests, values.seed, values.port, values.at].map(Number) as [
  number,
  number,
  number,
  number,
]

const base = `http://127.0.0.1:${port}/api`
const counts: Record<string, number> = {}
const wrong: { readonly status: number | string; readonly asked: Asked }[] = []
let slowestMs = 0

/** Long enough for a whole file on a slow machine; a stream is let go of sooner, as it never ends. */
const PATIENCE_MS = 20_000
const HEARD_MS = 50

async function ask(asked: Asked): Promise<void> {
  const begun = performance.now()
  const streams = asked.path.includes('/stream')
  const letGo = new AbortController()
  const timer = setTimeout(() => letGo.abort(), PATIENCE_MS)
  try {
    const body = asked.text ?? (asked.body === undefined ? undefined : JSON.stringify(asked.body))
    const response = await fetch(`${base}/${asked.path}`, {
      method: asked.method,
      signal: letGo.signal,
      headers: { ...(body !== undefined && { 'Content-Type': 'application/json' }), ...asked.headers },
      ...(body !== undefined && asked.method !== 'GET' && { body }),
    })
    const status = response.status
    counts[status] = (counts[status] ?? 0) + 1
    if (status === 500) wrong.push({ status, asked })
    if (streams) setTimeout(() => letGo.abort(), HEARD_MS)
    await response.arrayBuffer().catch(() => undefined)
    if (!streams) slowestMs = Math.max(slowestMs, performance.now() - begun)
  } catch (error) {
    counts.unanswered = (counts.unanswered ?? 0) + 1
    wrong.push({ status: String(error), asked })
  } finally {
    clearTimeout(timer)
  }
}

const listed = async (path: string): Promise<readonly string[]> => {
  const found = (await (await fetch(`${base}/${path}`)).json()) as readonly { readonly id: string }[]
  return found.map(({ id }) => id)
}

const data = mkdtempSync(join(tmpdir(), 'overhaul-fuzz-'))
const server = await served({ data, port, args: [] })
process.once('exit', () => server.kill('SIGKILL'))
const known: Known = {
  bicycles: await listed('bicycles'),
  brakes: await listed('brakes'),
  jobs: await listed('jobs'),
  parts: await listed('drawer'),
}
const random = seededRandom(seed)
const queue = Array.from({ length: requests }, () => askedOf(random, known))
await Promise.all(
  Array.from({ length: at }, async () => {
    for (let next = queue.shift(); next; next = queue.shift()) await ask(next)
  }),
)
/** What the same questions leave behind once they have all been asked before, MB. */
const AGAIN = 2000
async function left(): Promise<number> {
  const memoryMb = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1]) / 1024
  const round = async () => {
    for (let k = 0; k < AGAIN; k += 1) {
      const response = await fetch(`${base}/jobs/${known.jobs[k % known.jobs.length]}/next`)
      await response.arrayBuffer()
    }
    await pause(1000)
    return memoryMb()
  }
  const before = await round()
  return Math.round((await round()) - before)
}
const leftMb = await left()
const health = (await (await fetch(`${base}/health`)).json()) as { readonly status: string }
await ended(server, 'SIGTERM')
rmSync(data, { recursive: true, force: true })
console.log(
  JSON.stringify({
    requests,
    seed,
    routes: ROUTES.length,
    counts,
    slowestMs: Math.round(slowestMs),
    leftMb,
    health: health.status,
    wrong: wrong.slice(0, 20),
  }),
)
process.exit(wrong.length > 0 || health.status !== 'ok' ? 1 : 0)
