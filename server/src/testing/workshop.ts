import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expectOk } from '@overhaul/core/outcome/outcome'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { serve } from '../app/serve.ts'

export interface Answer {
  readonly status: number
  // biome-ignore lint/suspicious/noExplicitAny: tests look into whatever came back
  readonly body: any
}

/** What a test asks a server by, wherever it listens now. Text that is no JSON is given as it is. */
export function clientAt(port: () => number) {
  const url = (path: string) => `http://127.0.0.1:${port()}/api/${path}`
  const call = async (
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer> => {
    const response = await fetch(url(path), {
      method,
      headers: { 'Content-Type': 'application/json', ...headers },
      ...(body !== undefined && { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    const text = await response.text()
    return { status: response.status, body: text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : text }
  }
  return {
    url,
    call,
    get: (path: string) => call('GET', path),
    post: (path: string, body: unknown) => call('POST', path, body),
  }
}

/** A workshop of its own in a temporary directory, for one test file. */
export async function testWorkshop() {
  const data = mkdtempSync(join(tmpdir(), 'overhaul-'))
  const settings = { data, port: 0, host: '127.0.0.1', empty: true, share: false }
  let workshop = expectOk(await serve(settings))
  const client = clientAt(() => workshop.port)
  const { call } = client
  return {
    data,
    ...client,
    async restart(between: () => Promise<void> = async () => undefined) {
      await workshop.close()
      await between()
      workshop = expectOk(await serve(settings))
    },
    async close() {
      await workshop.close()
      rmSync(data, { recursive: true, force: true })
    },
    /** A bicycle with a rear linear-pull brake and a job open on it. */
    async newJob(complaint = 'rubs') {
      const bicycle = (await call('POST', 'bicycles', { name: `Bicycle ${randomUUID().slice(0, 8)}` })).body
      const hardware = { family: 'linear-pull', end: 'rear', dimensions: {}, traits: { motorAt: 'none' } }
      const brake = (await call('POST', 'brakes', { bicycleId: bicycle.id, hardware })).body
      const job = (await call('POST', 'jobs', { brakeId: brake.id, complaint })).body
      return { bicycle, brake, job }
    },
  }
}

export const entry = (body: EntryBody, more: Record<string, unknown> = {}) => ({
  ...body,
  id: randomUUID(),
  at: '2026-03-01T09:00:00.000Z',
  by: '3',
  ...more,
})

export const gap = (value: number, more: Record<string, unknown> = {}) =>
  entry({ kind: 'reading', reading: 'gapLeft', value, unit: 'mm' }, more)
