import 'fake-indexeddb/auto'
import { openDB } from 'idb'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

interface Sent {
  readonly id: string
  readonly partId: string
  readonly delta: number
}
const TAKE = [{ partId: 'washer', name: 'washer', delta: -1, by: '3' }]
let sent: Sent[]
let answer: () => Response | Error

const accept = () => Response.json({ accepted: [], known: [] }, { status: 201 })

/** A screen freshly loaded: the module's memory gone, the browser's store kept. */
async function screen() {
  vi.resetModules()
  const drawer = await import('./drawer.ts')
  const changes = await import('./changes.ts')
  await changes.startChanges(async () => undefined)
  return { ...drawer, ...changes }
}

beforeEach(() => {
  sent = []
  answer = accept
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  vi.stubGlobal('window', { addEventListener: () => undefined })
  vi.stubGlobal('document', { addEventListener: () => undefined })
  vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
    sent.push(...(JSON.parse(body) as Sent[]))
    const given = answer()
    if (given instanceof Error) throw given
    return given
  })
})
afterEach(async () => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  const db = await openDB('overhaul', 2)
  if (db.objectStoreNames.contains('changes')) await db.clear('changes')
  db.close()
})

describe('a part taken', () => {
  it('whose answer was lost goes again over a reload, as the same move', async () => {
    answer = () => new Error('timed out')
    const first = await screen()
    await first.moveParts(TAKE)
    answer = accept
    await screen()
    expect(sent).toHaveLength(2)
    expect(sent[1]).toEqual(sent[0])
    await screen()
    expect(sent).toHaveLength(2)
  })

  it('twice is two moves', async () => {
    const { moveParts } = await screen()
    await moveParts(TAKE)
    await moveParts(TAKE)
    expect(new Set(sent.map(({ id }) => id)).size).toBe(2)
  })

  it('taken back and taken again, it is moved three times', async () => {
    const { moveParts, undo, lastChange } = await screen()
    await moveParts(TAKE)
    for (let press = 0; press < 2; press += 1) {
      const last = lastChange()
      if (last) await undo(last)
    }
    expect(sent.map(({ delta }) => delta)).toEqual([-1, 1, -1])
    expect(new Set(sent.map(({ id }) => id)).size).toBe(3)
  })
})
