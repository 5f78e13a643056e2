import 'fake-indexeddb/auto'
import type { Entry } from '@overhaul/core/stand/entries'
import { openDB } from 'idb'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

/** The server as the outbox sees it. */
interface Sent {
  readonly url: string
  readonly ids: readonly string[]
}
let sent: Sent[]
let answer: (ids: readonly string[]) => Response | Error

const note = (id: string): Entry => ({ id, at: '2026-03-01T09:00:00Z', by: '1', kind: 'note', text: id })
const accept = (ids: readonly string[]) => Response.json({ accepted: ids, known: [] }, { status: 201 })
const refuse = (field: string) =>
  Response.json({ error: { code: 'out-of-range', field, message: 'Too wide.' } }, { status: 400 })

async function stored(): Promise<readonly string[]> {
  const db = await openDB('overhaul', 2)
  const keys = (await db.getAllKeys('waiting')) as string[]
  db.close()
  return keys.sort()
}

/** A screen freshly loaded: the module's memory gone, the browser's store kept. */
async function screen() {
  vi.resetModules()
  const outbox = await import('./outbox.ts')
  const refreshed: string[] = []
  await outbox.startOutbox(async (jobId) => {
    refreshed.push(jobId)
  })
  return { ...outbox, refreshed }
}

beforeEach(() => {
  sent = []
  answer = accept
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  vi.stubGlobal('window', { addEventListener: () => undefined })
  vi.stubGlobal('document', { addEventListener: () => undefined })
  vi.stubGlobal('fetch', async (url: string, { body }: { body: string }) => {
    const ids = (JSON.parse(body) as Entry[]).map((each) => each.id)
    sent.push({ url, ids })
    const given = answer(ids)
    if (given instanceof Error) throw given
    return given
  })
})

afterEach(async () => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  const db = await openDB('overhaul', 2)
  if (db.objectStoreNames.contains('waiting')) await db.clear('waiting')
  db.close()
})

describe('the outbox', () => {
  it('sends a job’s entries together, in order, then refreshes the job and forgets them', async () => {
    const { put, refreshed } = await screen()
    await put('job-1', [note('a'), note('b')])
    expect(sent).toEqual([{ url: '/api/jobs/job-1/entries?', ids: ['a', 'b'] }])
    expect(refreshed).toEqual(['job-1'])
    expect(await stored()).toEqual([])
  })

  it('keeps what could not be sent through a reload, and sends it once the server is back', async () => {
    answer = () => new Error('no server')
    const first = await screen()
    await first.put('job-1', [note('a')])
    await first.put('job-1', [note('b')])
    expect(await stored()).toEqual(['a', 'b'])

    answer = accept
    sent = []
    const second = await screen()
    expect(sent).toEqual([{ url: '/api/jobs/job-1/entries?', ids: ['a', 'b'] }])
    expect(second.refreshed).toEqual(['job-1'])
    expect(await stored()).toEqual([])
  })

  it('tries again by itself', async () => {
    answer = () => new Error('no server')
    const { put } = await screen()
    await put('job-1', [note('a')])
    answer = accept
    await vi.advanceTimersByTimeAsync(2100)
    vi.useRealTimers()
    await vi.waitFor(async () => expect(await stored()).toEqual([]))
    expect(sent).toHaveLength(2)
  })

  it('a server that is there but broken counts as away: nothing is dropped', async () => {
    answer = () => Response.json({ error: { code: 'internal', field: '', message: 'Broken.' } }, { status: 500 })
    const { put } = await screen()
    await put('job-1', [note('a')])
    expect(await stored()).toEqual(['a'])
  })

  it('a refusal stays with the entry it names and lets the others go on', async () => {
    let first = true
    answer = (ids) => {
      const given = first ? refuse('1.value') : accept(ids)
      first = false
      return given
    }
    const { put, drop } = await screen()
    await put('job-1', [note('a'), note('b'), note('c')])
    expect(sent.map((each) => each.ids)).toEqual([
      ['a', 'b', 'c'],
      ['a', 'c'],
    ])
    expect(await stored()).toEqual(['b'])
    await drop('b')
    expect(await stored()).toEqual([])
  })

  it('what was measured after a turn that was refused waits until a hand decides', async () => {
    const turned: Entry = { ...note('t'), kind: 'turn', adjuster: 'barrel', amount: 1, unit: 'turn' } as Entry
    answer = (ids) => (ids.includes('t') ? refuse('1.amount') : accept(ids))
    const { put, drop } = await screen()
    await put('job-1', [note('a'), turned, note('b'), note('c')])
    expect(await stored()).toEqual(['b', 'c', 't'])
    expect(sent.at(-1)?.ids).toEqual(['a'])
    await drop('t')
    expect(sent.at(-1)?.ids).toEqual(['b', 'c'])
    expect(await stored()).toEqual([])
  })

  it('or is dropped with the turn', async () => {
    const turned: Entry = { ...note('t'), kind: 'turn', adjuster: 'barrel', amount: 1, unit: 'turn' } as Entry
    answer = (ids) => (ids.includes('t') ? refuse('0.amount') : accept(ids))
    const { put, drop } = await screen()
    await put('job-1', [turned, note('b')])
    await put('job-2', [note('c')])
    await drop('t', true)
    expect(sent.map((each) => each.ids)).toEqual([['t', 'b'], ['c']])
    expect(await stored()).toEqual([])
  })

  it('a refused entry is not sent again after a reload', async () => {
    answer = () => refuse('value')
    const { put } = await screen()
    await put('job-1', [note('a')])
    sent = []
    await screen()
    expect(sent).toEqual([])
    expect(await stored()).toEqual(['a'])
  })

  it('keeps each job’s entries to its own job', async () => {
    answer = () => new Error('no server')
    const { put } = await screen()
    await put('job-1', [note('a')])
    await put('job-2', [note('b')])
    answer = accept
    sent = []
    await screen()
    expect(sent).toEqual([
      { url: '/api/jobs/job-1/entries?', ids: ['a'] },
      { url: '/api/jobs/job-2/entries?', ids: ['b'] },
    ])
  })
})
