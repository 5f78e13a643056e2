import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testWorkshop } from '../testing/workshop.ts'

let shop: Awaited<ReturnType<typeof testWorkshop>>
beforeAll(async () => {
  shop = await testWorkshop()
})
afterAll(() => shop.close())

const NUT = {
  code: 'SN-13',
  kind: 'sleeve-nut',
  name: 'Sleeve nut 13',
  dimensions: { shankMm: 13, threadDepthMm: 10, outerMm: 8, threadMm: 6 },
  material: 'steel',
  minimum: 2,
  count: 3,
  by: '3',
}
const move = (partId: string, delta: number, more: Record<string, unknown> = {}) => ({
  id: randomUUID(),
  partId,
  delta,
  by: '3',
  ...more,
})
const countOf = async (code: string) =>
  (await shop.get('drawer')).body.find((each: { code: string }) => each.code === code)?.count

const csv = async (text: string, query = '') => {
  const response = await fetch(shop.url(`drawer/drawer.csv${query}`), {
    method: 'POST',
    headers: { 'Content-Type': 'text/csv' },
    body: text,
  })
  // biome-ignore lint/suspicious/noExplicitAny: tests look into whatever came back
  return { status: response.status, body: (await response.json()) as any }
}

describe('the drawer', () => {
  let partId: string

  it('takes in a part with its dimensions and count', async () => {
    const { status, body } = await shop.post('drawer', NUT)
    expect(status).toBe(201)
    expect(body).toMatchObject({ code: 'SN-13', count: 3 })
    partId = body.id
    expect(await countOf('SN-13')).toBe(3)
  })

  it('refuses a part nobody could choose, and a code that is taken', async () => {
    expect((await shop.post('drawer', { ...NUT, code: 'X', dimensions: { shankMm: 13 } })).body.error).toMatchObject({
      code: 'missing',
      field: 'threadDepthMm',
    })
    expect((await shop.post('drawer', { ...NUT, code: 'X', kind: 'sprocket' })).status).toBe(400)
    expect(await shop.post('drawer', NUT)).toMatchObject({ status: 409, body: { error: { code: 'code-taken' } } })
  })

  it('gives to a job and takes back only what the job has', async () => {
    const { job } = await shop.newJob()
    expect((await shop.post('drawer/moves', [move(partId, -2, { jobId: job.id })])).status).toBe(201)
    expect(await countOf('SN-13')).toBe(1)
    expect((await shop.get(`jobs/${job.id}`)).body.parts).toMatchObject([{ name: 'Sleeve nut 13', count: 2 }])
    expect(await shop.post('drawer/moves', [move(partId, 3, { jobId: job.id })])).toMatchObject({
      status: 409,
      body: { error: { code: 'not-taken', message: expect.stringContaining('has 2 ×') } },
    })
    expect((await shop.post('drawer/moves', [move(partId, 1, { jobId: job.id })])).status).toBe(201)
    expect((await shop.get(`jobs/${job.id}`)).body.parts).toMatchObject([{ count: 1 }])
    expect((await shop.get(`drawer/moves?jobId=${job.id}`)).body.map((each: { delta: number }) => each.delta)).toEqual([
      1, -2,
    ])
  })

  it('never goes below nothing: all of a list is moved or none of it', async () => {
    const refused = await shop.post('drawer/moves', [move(partId, -1), move(partId, -5)])
    expect(refused).toMatchObject({
      status: 409,
      body: { error: { code: 'not-there', message: expect.stringContaining('in the drawer') } },
    })
    expect(await countOf('SN-13')).toBe(2)
  })

  it('ten hands reaching for the last two get two', async () => {
    const tries = await Promise.all(Array.from({ length: 10 }, () => shop.post('drawer/moves', [move(partId, -1)])))
    expect(tries.filter((each) => each.status === 201)).toHaveLength(2)
    expect(await countOf('SN-13')).toBe(0)
    await shop.post('drawer/moves', [move(partId, 2)])
  })

  it('a retry takes nothing twice', async () => {
    const taken = move(partId, -1)
    await shop.post('drawer/moves', [taken])
    expect(await shop.post('drawer/moves', [taken])).toMatchObject({
      status: 200,
      body: { accepted: [], known: [taken.id] },
    })
    expect(await countOf('SN-13')).toBe(1)
  })

  it('says of a part or job that is not there, that it is not', async () => {
    expect((await shop.post('drawer/moves', [move('nothing', -1)])).status).toBe(404)
    expect((await shop.post('drawer/moves', [move(partId, -1, { jobId: 'nothing' })])).status).toBe(404)
    expect((await shop.call('PATCH', 'drawer/nothing', { minimum: 1 })).status).toBe(404)
  })

  it('changes what a part is, not how many there are', async () => {
    const { body } = await shop.call('PATCH', `drawer/${partId}`, { minimum: 5, name: 'Sleeve nut, short' })
    expect(body).toMatchObject({ minimum: 5, name: 'Sleeve nut, short', count: 1 })
    expect((await shop.call('PATCH', `drawer/${partId}`, { minimum: -1 })).status).toBe(400)
    expect((await shop.call('PATCH', `drawer/${partId}`, { count: 9 })).status).toBe(400)
  })
})

describe('the drawer as a file', () => {
  it('comes back from its own file unchanged, and survives a restart', async () => {
    const file = await (await fetch(shop.url('drawer/drawer.csv'))).text()
    expect(file.split('\r\n')[0]).toContain('code,kind,name,count,minimum,price,material,shankMm')
    expect((await csv(file)).body).toMatchObject({ added: [], changed: [], unchanged: ['SN-13'], bad: [] })
    await shop.restart()
    expect(await (await fetch(shop.url('drawer/drawer.csv'))).text()).toBe(file)
  })

  const HEADER = 'code,kind,name,count,thicknessMm,radiusMm,holeMm'
  const FILE = `${HEADER}\nCW-8,concave-washer,"Washer, hollow 8",6,2.5,8,6.2\nCW-9,concave-washer,Washer,six,2.5,9,6.2\nSN-13,sleeve-nut,Nut,1,,,\n`

  it('holds the rules of text for a file too: no marks that turn it round, none that nobody sees', async () => {
    for (const [name, code] of [
      ['Washer \u202egnp.exe', 'T-1'],
      ['Washer\u0000', 'T-2'],
      ['\u001b[2J', 'T-3'],
      ['Washer', 'T\u20664'],
    ])
      expect((await csv(`${HEADER}\n${code},concave-washer,${name},6,2.5,8,6.2\n`)).body.bad).toMatchObject([
        { line: 2, code: 'unreadable' },
      ])
  })

  it('a large one is written without anybody waiting for it, and says how far it is', async () => {
    const rows = Array.from({ length: 3000 }, (_, at) => `L-${at},concave-washer,Washer ${at},${at % 7},2.5,8,6.2`)
    let longest = 0
    let furthest = 0
    let written = false
    const writing = csv([HEADER, ...rows].join('\n')).finally(() => {
      written = true
    })
    while (!written) {
      const asked = performance.now()
      await shop.get('health')
      longest = Math.max(longest, performance.now() - asked)
      furthest = Math.max(furthest, (await shop.get('drawer/progress')).body.done)
    }
    expect((await writing).body.added).toHaveLength(3000)
    expect(furthest).toBeGreaterThan(0)
    expect(await countOf('L-2999')).toBe(2999 % 7)
    // It took 4.3 s once: by far more than a machine with other work to do makes of some tens of milliseconds.
    expect(longest).toBeLessThan(2000)
    const changed = await csv(
      `${HEADER}\nL-0,concave-washer,Washer,9,2.5,8,6.2\nL-1,concave-washer,Washer 1,1,2.5,8,6.2\n`,
    )
    expect(changed.body).toMatchObject({ added: [], changed: ['L-0'], unchanged: ['L-1'] })
    expect(await countOf('L-0')).toBe(9)
  })

  it('tries a file first: says what it would do and which rows are bad, and writes nothing', async () => {
    const { body } = await csv(FILE, '?dryRun=true')
    expect(body).toMatchObject({ dryRun: true, added: ['CW-8'] })
    expect(body.bad.map(({ line, field }: { line: number; field: string }) => [line, field])).toEqual([
      [3, 'count'],
      [4, 'shankMm'],
    ])
    expect(await countOf('CW-8')).toBeUndefined()
  })

  it('takes the good rows of a file and sets their counts', async () => {
    await csv(FILE, '?by=5')
    expect(await countOf('CW-8')).toBe(6)
    expect((await csv(FILE.replace(',6,', ',4,'))).body).toMatchObject({ added: [], changed: ['CW-8'] })
    expect(await countOf('CW-8')).toBe(4)
    expect(await countOf('SN-13')).toBe(1)
  })

  it.each([
    ['', /empty/],
    ['name,count\nx,1\n', /lacks code, kind/],
    ['code,kind,name,colour\n', /“colour”/],
    ['code,kind,name\nA,shim,"open\n', /quotation mark/],
  ])('refuses %j', async (text, words) => {
    const { status, body } = await csv(text)
    expect(status).toBe(400)
    expect(body.error.message).toMatch(words)
  })
})
