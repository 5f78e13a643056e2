import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Away } from './api.ts'
import { moveOnce } from './drawer.ts'

const TAKE = [{ partId: 'washer', delta: -1, by: '3' }]
let sent: string[][]
let answer: () => Response | Error

beforeEach(() => {
  sent = []
  answer = () => Response.json({ accepted: [], known: [] }, { status: 201 })
  vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
    sent.push((JSON.parse(body) as { id: string }[]).map(({ id }) => id))
    const given = answer()
    if (given instanceof Error) throw given
    return given
  })
})
afterEach(() => vi.unstubAllGlobals())

describe('a part taken', () => {
  it('pressed twice after a time-out is taken once: the same move goes again', async () => {
    answer = () => new Error('timed out')
    await expect(moveOnce(TAKE)).rejects.toBeInstanceOf(Away)
    answer = () => Response.json({ accepted: [], known: [] })
    await moveOnce(TAKE)
    expect(sent[1]).toEqual(sent[0])
  })

  it('pressed twice with an answer between is taken twice', async () => {
    await moveOnce(TAKE)
    await moveOnce(TAKE)
    expect(sent[1]).not.toEqual(sent[0])
  })

  it('refused, and put right, is another move', async () => {
    answer = () =>
      Response.json({ error: { code: 'not-there', field: 'delta', message: 'Only 0 left.' } }, { status: 409 })
    await expect(moveOnce(TAKE)).rejects.toThrow('Only 0 left')
    answer = () => Response.json({ accepted: [], known: [] })
    await moveOnce(TAKE)
    expect(sent[1]).not.toEqual(sent[0])
  })
})
