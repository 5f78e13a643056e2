import { afterEach, describe, expect, it, vi } from 'vitest'
import { ApiFault, Away, api } from './api.ts'

const answer = (status: number, body: unknown) => vi.stubGlobal('fetch', async () => Response.json(body, { status }))
afterEach(() => vi.unstubAllGlobals())

describe('asking the server', () => {
  it('gives what it answers', async () => {
    answer(200, [{ id: 'a' }])
    expect(await api.drawer()).toEqual([{ id: 'a' }])
  })

  it('a page of the rack is asked for by what is wanted, and comes with how many there are', async () => {
    const asked: string[] = []
    vi.stubGlobal('fetch', async (path: string) => {
      asked.push(path)
      return Response.json([{ id: 'a' }], { headers: { 'X-Total': '712' } })
    })
    expect(await api.rackPage({ part: 'out', q: 'Žluť 07', sort: 'recent', station: 'bite' }, 'x')).toEqual({
      rows: [{ id: 'a' }],
      total: 712,
    })
    const query = new URLSearchParams(asked[0]?.split('?')[1])
    expect(Object.fromEntries(query)).toEqual({
      part: 'out',
      q: 'Žluť 07',
      sort: 'recent',
      station: 'bite',
      limit: '50',
      after: 'x',
    })
    await api.rackPage({ part: 'hanging', q: '', sort: 'name' })
    expect(asked[1]).toBe('/api/bicycles?part=hanging&sort=name&limit=50')
  })

  it('a refusal keeps its sentence', async () => {
    answer(404, { error: { code: 'unknown-job', field: 'id', message: 'There is no job “x”.' } })
    const refused = await api.job('x').catch((error) => error)
    expect(refused).toBeInstanceOf(ApiFault)
    expect(refused).toMatchObject({ status: 404, message: 'There is no job “x”.', fault: { code: 'unknown-job' } })
  })

  it.each([
    ['no answer', () => Promise.reject(new TypeError('failed'))],
    [
      'a broken server',
      async () => Response.json({ error: { code: 'internal', field: '', message: 'Broken.' } }, { status: 500 }),
    ],
    ['something else in between', async () => new Response('<html>', { status: 502 })],
    ['a refusal nobody worded', async () => new Response('', { status: 400 })],
  ])('%s means away: nothing is lost', async (_, respond) => {
    vi.stubGlobal('fetch', respond)
    expect(await api.append('job', []).catch((error) => error)).toBeInstanceOf(Away)
  })

  it('sends a body only where there is one', async () => {
    const calls: RequestInit[] = []
    vi.stubGlobal('fetch', async (_: string, init: RequestInit) => {
      calls.push(init)
      return Response.json({})
    })
    await api.entriesAfter('job', 3, 'e')
    await api.append('job', [])
    expect(calls[0]).not.toHaveProperty('body')
    expect(JSON.parse(String(calls[1]?.body))).toEqual([])
  })
})
