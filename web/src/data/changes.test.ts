import 'fake-indexeddb/auto'
import { openDB } from 'idb'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { NewChange } from './changes.ts'

interface Asked {
  readonly method: string
  readonly url: string
  readonly body: unknown
}
let asked: Asked[]
let answer: (asked: Asked) => Response | Error

const accept = () => Response.json({})
const refuse = () =>
  Response.json({ error: { code: 'out-of-range', field: 'x', message: 'Too long.' } }, { status: 400 })

const rename = (name: string, before: string): NewChange => ({
  method: 'PATCH',
  path: 'bicycles/b1',
  body: { name },
  about: 'b1',
  says: `${before} is called ${name}`,
  undo: [{ method: 'PATCH', path: 'bicycles/b1', body: { name: before } }],
})

/** A screen freshly loaded: the module's memory gone, the browser's store kept. */
async function screen() {
  vi.resetModules()
  const changes = await import('./changes.ts')
  const refreshed: string[] = []
  await changes.startChanges(async (about) => {
    refreshed.push(about)
  })
  return { ...changes, refreshed }
}

async function kept(): Promise<number> {
  const db = await openDB('overhaul', 2)
  const count = await db.count('changes')
  db.close()
  return count
}

beforeEach(() => {
  asked = []
  answer = accept
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  vi.stubGlobal('window', { addEventListener: () => undefined })
  vi.stubGlobal('document', { addEventListener: () => undefined })
  vi.stubGlobal('fetch', async (url: string, { method, body }: { method: string; body: string }) => {
    const each = { method, url, body: JSON.parse(body) as unknown }
    asked.push(each)
    const given = answer(each)
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

describe('changes of rack and hardware', () => {
  it('one made while what the last was about is still read again is answered for when it is sent, not before', async () => {
    let readAgain: () => void = () => undefined
    vi.resetModules()
    const { change, startChanges } = await import('./changes.ts')
    await startChanges(
      () =>
        new Promise<void>((resolve) => {
          readAgain = resolve
        }),
    )
    const first = change(rename('Hire 2', 'Hire 1'))
    await vi.waitFor(() => expect(asked).toHaveLength(1))
    const second = change(rename('Hire 3', 'Hire 2'))
    readAgain()
    await vi.waitFor(() => expect(asked).toHaveLength(2))
    readAgain()
    expect([await first, await second]).toEqual([true, true])
  })

  it('are sent in the order they were made, and what they are about is read again', async () => {
    const { change, refreshed } = await screen()
    await change(rename('Hire 2', 'Hire 1'), rename('Hire 3', 'Hire 2'))
    expect(asked.map((each) => each.body)).toEqual([{ name: 'Hire 2' }, { name: 'Hire 3' }])
    expect(asked[0]).toMatchObject({ method: 'PATCH', url: '/api/bicycles/b1' })
    expect(refreshed).toEqual(['b1', 'b1'])
    expect(await kept()).toBe(0)
  })

  it('wait through a reload while the server is away, and are then written once each', async () => {
    answer = () => new Error('no server')
    const first = await screen()
    await first.change(rename('Hire 2', 'Hire 1'))
    await first.change(rename('Hire 3', 'Hire 2'))
    expect(await kept()).toBe(2)
    answer = accept
    asked = []
    await screen()
    expect(asked.map((each) => each.body)).toEqual([{ name: 'Hire 2' }, { name: 'Hire 3' }])
    expect(await kept()).toBe(0)
  })

  it('refused, one stays with its reason until it is dropped, and does not hold up the others', async () => {
    answer = ({ body }) => ((body as { name: string }).name === 'Hire 2' ? refuse() : accept())
    const { change, dropChange } = await screen()
    await change(rename('Hire 2', 'Hire 1'), rename('Hire 3', 'Hire 1'))
    expect(asked).toHaveLength(2)
    expect(await kept()).toBe(1)
    const db = await openDB('overhaul', 2)
    const [refused] = await db.getAll('changes')
    db.close()
    expect(refused).toMatchObject({ says: 'Hire 1 is called Hire 2', refused: { message: 'Too long.' } })
    await dropChange(refused.id)
    expect(await kept()).toBe(0)
  })

  it('undone, one asks for what was before; that can be undone too', async () => {
    const { change, undo } = await screen()
    await change(rename('Hire 2', 'Hire 1'))
    await undo({ ...rename('Hire 2', 'Hire 1'), id: 'c', order: 0 })
    expect(asked.map((each) => each.body)).toEqual([{ name: 'Hire 2' }, { name: 'Hire 1' }])
  })
})
