import { randomUUID } from 'node:crypto'
import { request } from 'node:http'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { entry, gap, testWorkshop } from '../testing/workshop.ts'

let shop: Awaited<ReturnType<typeof testWorkshop>>
let jobId: string
let brakeId: string
let bicycleId: string
beforeAll(async () => {
  shop = await testWorkshop()
  const { job, brake, bicycle } = await shop.newJob()
  jobId = job.id
  brakeId = brake.id
  bicycleId = bicycle.id
})
afterAll(() => shop.close())

/** A request as no browser would send it. */
const raw = (method: string, path: string, headers: Record<string, string>, body?: string | Buffer) =>
  new Promise<{ status: number; body: string }>((resolve, reject) => {
    const { port } = new URL(shop.url(''))
    const sent = request({ host: '127.0.0.1', port, method, path, headers, agent: false }, (response) => {
      const chunks: Buffer[] = []
      response.on('data', (chunk) => chunks.push(chunk))
      response.on('end', () => resolve({ status: response.statusCode ?? 0, body: Buffer.concat(chunks).toString() }))
    })
    sent.on('error', reject)
    sent.end(body)
  })

const JSON_TYPE = { 'Content-Type': 'application/json' }

describe('a request that cannot be read is refused with a sentence, never with 500', () => {
  it.each([
    ['no body', 'POST', 'bicycles', {}, undefined, 400],
    ['another charset', 'POST', 'bicycles', { 'Content-Type': 'application/json; charset=klingon' }, '{}', 415],
    ['another encoding', 'POST', 'bicycles', { ...JSON_TYPE, 'Content-Encoding': 'zip' }, '{}', 415],
    ['a broken gzip', 'POST', 'bicycles', { ...JSON_TYPE, 'Content-Encoding': 'gzip' }, 'not gzip', 400],
    ['half of a JSON', 'POST', 'bicycles', JSON_TYPE, '{"name":', 400],
    ['a bare word', 'POST', 'bicycles', JSON_TYPE, '"name"', 400],
    ['a list', 'POST', 'bicycles', JSON_TYPE, '[]', 400],
    ['null', 'POST', 'bicycles', JSON_TYPE, 'null', 400],
    ['a bad percent', 'GET', 'jobs/%E0%A4%A', {}, undefined, 400],
    ['a bad percent in a query', 'GET', 'jobs?brakeId=%E0%A4%A', {}, undefined, 200],
    ['a query twice', 'GET', 'jobs?brakeId=a&brakeId=b', {}, undefined, 400],
    ['a query as an object', 'GET', 'jobs?brakeId[a]=b', {}, undefined, 400],
    ['a word for a number', 'GET', 'jobs/x/entries?after=x', {}, undefined, 400],
    ['a null byte', 'GET', 'jobs/%00', {}, undefined, 404],
    ['a path of its own', 'GET', '../../etc/passwd', {}, undefined, 404],
  ] as const)('%s', async (_, method, path, headers, body, status) => {
    const answer = await raw(method, `/api/${path}`, { ...headers }, body)
    expect(answer.status, answer.body).toBe(status)
    if (status >= 400) expect(JSON.parse(answer.body).error.message).toMatch(/\.$/)
  })

  it('a range no file has', async () => {
    const answer = await raw('GET', '/index.html', { Range: 'bytes=99999999-' })
    expect(answer.status).toBeLessThan(500)
  })

  it('one move id twice takes the part once', async () => {
    const shape = { kind: 'flat-washer', dimensions: { thicknessMm: 1, holeMm: 6.4, outerMm: 12 }, by: '3' }
    const part = (await shop.post('drawer', { code: 'W1', name: 'Washer', count: 5, ...shape })).body
    const id = randomUUID()
    const take = { id, partId: part.id, delta: -1, by: '3' }
    const answer = await shop.post('drawer/moves', [take, take])
    expect(answer.status).toBeLessThan(300)
    const [row] = (await shop.get('drawer')).body.filter((each: { id: string }) => each.id === part.id)
    expect(row.count).toBe(4)
  })
})

describe('an entry that says what cannot be is refused, naming it', () => {
  const refused = async (bad: object, status = 400) => {
    const { status: answered, body } = await shop.post(`jobs/${jobId}/entries`, bad)
    expect(answered, JSON.stringify(body)).toBe(status)
    expect(body.error.message.length).toBeGreaterThan(20)
    return body.error
  }

  it.each([
    ['1969-12-31T23:00:00Z'],
    ['2101-01-01T00:00:00Z'],
    ['2026-02-30T10:00:00Z'],
    ['2026-03-01T10:00:00'],
    ['2026-03-01'],
  ])('a time of %s', async (at) => {
    expect(await refused(gap(1, { at }))).toMatchObject({
      field: 'at',
      message: expect.stringContaining('1970 to 2100'),
    })
  })

  it.each([
    ['upper case', randomUUID().toUpperCase()],
    ['in braces', `{${randomUUID()}}`],
    ['without hyphens', randomUUID().replaceAll('-', '')],
  ])('an id %s', async (_, id) => {
    expect(await refused(gap(1, { id }))).toMatchObject({ field: 'id', message: expect.stringContaining('lower case') })
  })

  it.each([
    ['empty', ''],
    ['blank', '  '],
    ['turned about', '3\u202e'],
    ['with a bell', '3\u0007'],
    ['over its length', 'x'.repeat(41)],
  ])('a hand whose name is %s', async (_, by) => {
    expect((await refused(gap(1, { by }))).field).toBe('by')
  })

  it('a place beyond the log: this screen saw more than the workshop has', async () => {
    const error = await refused(gap(1, { basedOn: 5 }), 409)
    expect(error).toMatchObject({ code: 'log-behind', field: 'basedOn' })
    expect(error.message).toContain('entry 5 of a log that ends at 0')
  })

  it.each([
    ['a reading of another brake', { kind: 'reading', reading: 'gapFixed', value: 1, unit: 'mm' }, 'unknown-reading'],
    ['a reading in another unit', { kind: 'reading', reading: 'gapLeft', value: 1, unit: 'deg' }, 'wrong-unit'],
    [
      'an adjuster of another brake',
      { kind: 'turn', adjuster: 'fixedPad', amount: 1, unit: 'turn' },
      'unknown-adjuster',
    ],
    ['half a spring hole', { kind: 'turn', adjuster: 'leftSpring', amount: 0.5, unit: 'hole' }, 'out-of-range'],
    ['a part there is not', { kind: 'swap', part: 'flux', to: 'new' }, 'unknown-part'],
    ['a fastener there is not', { kind: 'torque', fastener: 'nose', valueNm: 5 }, 'unknown-fastener'],
    ['a school with a tail', { kind: 'swap', part: 'school.bite', to: 'third 0.3 please' }, 'unknown-school'],
    ['a school by another base', { kind: 'swap', part: 'school.bite', to: 'gap 0x1' }, 'out-of-range'],
    ['a cable of a centimetre', { kind: 'route', segments: [{ kind: 'bare', lengthMm: 10 }] }, 'out-of-range'],
    [
      'a bare cable round a corner',
      { kind: 'route', segments: [{ kind: 'bare', lengthMm: 900, bendDeg: 90 }] },
      'out-of-range',
    ],
    [
      'a cable as long as the street',
      { kind: 'route', segments: Array.from({ length: 3 }, () => ({ kind: 'bare', lengthMm: 2500 })) },
      'out-of-range',
    ],
  ] as const)('%s', async (_, body, code) => {
    expect((await refused(entry(body as never))).code).toBe(code)
  })

  it('a caution there is not', async () => {
    const plan = { kind: 'plan', plan: 'mount', to: 'B', parts: [], acknowledged: ['no-such-caution'] }
    expect((await refused(entry(plan as never))).code).toMatch(/unknown-caution|unknown-way/)
  })

  it('and leaves nothing in the log', async () => {
    expect((await shop.get(`jobs/${jobId}/entries`)).body).toEqual([])
  })
})

describe('names are kept whole or refused', () => {
  it.each([['a\u202eb'], ['  '], ['x'.repeat(81)]])('a bicycle called %j', async (name) => {
    const { status, body } = await shop.post('bicycles', { name })
    expect(status).toBe(400)
    expect(body.error.field).toBe('name')
  })
})

describe('a calculation that comes to no number', () => {
  it('is refused, naming what does not come out', async () => {
    const { status, body } = await shop.post('calculations/cable-stretch', {
      tensionN: 1e308,
      lengthMm: 1e308,
      areaMm2: 1e-300,
      modulusGpa: 1e-300,
    })
    expect(status).toBe(400)
    expect(body.error.message.length).toBeGreaterThan(20)
  })
})

/** A stream of numbers from a seed, so that a run that fails can be run again. */
function seeded(seed: number) {
  let state = seed >>> 0
  return (below: number) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return Math.floor((state / 4294967296) * below)
  }
}

describe('two thousand malformed requests', () => {
  it('are all answered, and none with 500', async () => {
    const next = seeded(20261126)
    const pick = <T>(from: readonly T[]): T => from[next(from.length)] as T
    const wild = (): unknown =>
      pick<() => unknown>([
        () => null,
        () => '',
        () => 'x'.repeat(next(3000)),
        () => '\u202e\u0000\ud800',
        () => -1e308,
        () => Number.MAX_VALUE,
        () => 0.1,
        () => [],
        () => [wild(), wild()],
        () => ({ a: wild() }),
        () => true,
        () => randomUUID(),
        () => brakeId,
        () => '2026-02-31T25:61:61Z',
      ])()
    const whole = [
      gap(1),
      entry({ kind: 'turn', adjuster: 'leftScrew', amount: 1, unit: 'turn' }),
      entry({ kind: 'swap', part: 'pads', to: 'new' }),
      entry({ kind: 'confirm', step: 'squeezes', count: 10 }),
      entry({ kind: 'route', segments: [{ kind: 'housing', lengthMm: 500, bendDeg: 90, radiusMm: 80 }] }),
      entry({ kind: 'correction', strikes: randomUUID() }),
      entry({ kind: 'release', initials: '3' }),
    ]
    const broken = (): unknown => {
      const from: Record<string, unknown> = { ...pick<object>(whole) }
      from[pick([...Object.keys(from), 'nose'])] = wild()
      return pick([from, [from, from], wild()])
    }
    const paths = [
      () => `jobs/${jobId}/entries`,
      () => 'jobs',
      () => 'bicycles',
      () => `bicycles/${bicycleId}`,
      () => 'brakes',
      () => `brakes/${brakeId}`,
      () => 'drawer',
      () => 'drawer/moves',
      () => 'drawer.csv',
      () => 'calculations/bolt-preload',
      () => `bicycles/${bicycleId}/ends/rear`,
      () => `jobs/${jobId}/next`,
      () =>
        `jobs/${encodeURIComponent(
          String(wild())
            .slice(0, 40)
            .replace(/[\ud800-\udfff]/g, ''),
        )}`,
    ]
    const failed: string[] = []
    for (let round = 0; round < 2000; round += 1) {
      const path = pick(paths)()
      const method = pick(['POST', 'PATCH', 'PUT', 'GET', 'DELETE'])
      const body = method === 'GET' ? undefined : JSON.stringify(broken())
      const answer = await raw(
        method,
        `/api/${path}`,
        pick([JSON_TYPE, JSON_TYPE, {}, { 'Content-Type': 'text/csv' }]),
        body,
      )
      if (answer.status >= 500) failed.push(`${method} ${path} ${body?.slice(0, 200)}: ${answer.body}`)
    }
    expect(failed).toEqual([])
  })
})
