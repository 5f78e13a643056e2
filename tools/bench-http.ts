import { type ChildProcess, spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { dirname } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ended } from './served.ts'

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))
const PORT = 4331
export const API = `http://127.0.0.1:${PORT}/api`

/** A connection at rest is let go before the server does, which hangs up after five seconds. */
const agent = new Agent({ keepAlive: true, timeout: 4000 })

/** An answer and how long it took, ms. */
export interface Timed {
  readonly status: number
  readonly text: string
  readonly tag: string | undefined
  readonly ms: number
}

/** A plain client on kept-alive connections, so that the server is measured and not the client. */
export function ask(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<Timed> {
  const text = body === undefined ? undefined : JSON.stringify(body)
  const more =
    text === undefined ? {} : { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(text) }
  const from = performance.now()
  return new Promise((resolve, reject) => {
    const sent = request(`${API}/${path}`, { method, agent, headers: { ...headers, ...more } }, (response) => {
      const parts: Buffer[] = []
      response.on('data', (part: Buffer) => parts.push(part))
      response.on('end', () => {
        const ms = performance.now() - from
        const status = response.statusCode ?? 0
        const answer = { status, text: Buffer.concat(parts).toString(), tag: response.headers.etag, ms }
        if (status < 400) resolve(answer)
        else reject(new Error(answer.text))
      })
    })
    sent.on('error', reject)
    sent.end(text)
  })
}

export async function post<T>(path: string, body: unknown): Promise<T> {
  return JSON.parse((await ask('POST', path, body)).text) as T
}

const answers = () =>
  fetch(`${API}/health`).then(
    ({ ok }) => ok,
    () => false,
  )

/** `npm start`, until the first answer. */
export async function started(data: string): Promise<ChildProcess> {
  const env = { ...process.env, OVERHAUL_DATA: data, OVERHAUL_PORT: String(PORT) }
  const child = spawn(process.execPath, ['tools/start.mjs', '--empty'], {
    cwd: ROOT,
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  process.once('exit', () => child.kill())
  while (!(await answers())) {
    if (child.exitCode !== null) throw new Error(`The server ended with ${child.exitCode}.`)
    await new Promise((resolve) => setTimeout(resolve, 20))
  }
  return child
}

export const stopped = (child: ChildProcess): Promise<void> => ended(child, 'SIGTERM')

/** Memory that a process and those it started hold, MB; as Linux tells it (proc(5)). */
export function memoryOf(pid: number): number {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8')
  const own = Number(/^VmRSS:\s+(\d+) kB$/m.exec(status)?.[1] ?? 0) / 1000
  const children = readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').split(' ').filter(Boolean)
  return children.reduce((sum, child) => sum + memoryOf(Number(child)), own)
}
