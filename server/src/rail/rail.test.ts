import { randomUUID } from 'node:crypto'
import { request } from 'node:http'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import { expectOk } from '@overhaul/core/outcome/outcome'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { backUp } from '../db/backups.ts'
import { restore } from '../db/restore.ts'
import { entry, gap, testWorkshop } from '../testing/workshop.ts'

type Workshop = Awaited<ReturnType<typeof testWorkshop>>

interface Row {
  readonly id: string
  readonly name: string
  readonly code: string
  readonly description: string
  readonly retiredAt: string | null
  readonly brakes: readonly {
    readonly id: string
    readonly end: string
    readonly family: string
    readonly job: {
      readonly id: string
      readonly number: number
      readonly complaint: string
      readonly releasedAt: string | null
      readonly closedAt: string | null
      readonly summary: {
        readonly stations: readonly { readonly id: string; readonly mark: string }[]
        readonly station?: string
        readonly lookAgain?: string
      }
    } | null
  }[]
}

let shop: Workshop
const ids: string[] = []

const NAMES = ['Straße 3', 'hire 10', 'Hire 2', 'Žluťoučký kůň', 'Велосипед', 'hire 2 b', 'Cargo', 'Tourer of 1974']
const FAMILIES = ['linear-pull', 'cantilever', 'mechanical-disc', 'roller-drum'] as const

const close = (why: string) => entry({ kind: 'close', initials: '5', why } as EntryBody)

beforeAll(async () => {
  shop = await testWorkshop()
  const families = ((await shop.get('families')).body as { id: string }[]).map(({ id }) => id)
  for (const [index, name] of NAMES.entries()) {
    const bicycle = (await shop.post('bicycles', { name, description: index % 2 ? 'blue, child’s' : '622 wheels' }))
      .body
    ids.push(bicycle.id)
    for (const end of index % 3 === 0 ? ['front'] : ['front', 'rear']) {
      const family = index === 4 ? 'linear-pull' : families[(index * 2 + end.length) % families.length]
      const brake = await shop.post('brakes', { bicycleId: bicycle.id, hardware: { family, end, dimensions: {} } })
      expect(brake.status).toBe(201)
      if (index === 6) continue
      const { id } = (
        await shop.post('jobs', { brakeId: brake.body.id, complaint: end === 'front' ? 'squeals' : 'rubs left' })
      ).body
      if (index === 1) await shop.post(`jobs/${id}/entries`, close('rim worn through'))
      if (index === 4) {
        const thin = entry({ kind: 'reading', reading: 'rimWall', value: 0.4, unit: 'mm' })
        expect((await shop.post(`jobs/${id}/entries`, thin)).status).toBe(201)
      }
    }
  }
  await shop.call('PATCH', `bicycles/${ids[5]}`, { retired: true })
})
afterAll(() => shop.close())

const list = async (query: string): Promise<readonly Row[]> => (await shop.get(`bicycles?${query}`)).body
const fold = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/** The same questions asked of every row in plain words: what SQL answers must be that. */
function isIn(row: Row, part: string | undefined): boolean {
  const jobs = row.brakes.flatMap(({ job }) => (job ? [job] : []))
  const open = jobs.filter((job) => !job.releasedAt && !job.closedAt)
  switch (part) {
    case undefined:
      return true
    case 'retired':
      return row.retiredAt !== null
    case 'hanging':
      return row.retiredAt === null
    case 'open':
      return row.retiredAt === null && open.length > 0
    case 'out':
      return (
        row.retiredAt === null &&
        open.some(({ summary }) => summary.stations.some(({ mark }) => mark === 'low' || mark === 'high'))
      )
    case 'unfit':
      return row.retiredAt === null && jobs.some(({ closedAt }) => closedAt)
    default:
      throw new Error(part)
  }
}

const PARTS = [undefined, 'hanging', 'open', 'out', 'unfit', 'retired']

describe('the rack asked in parts', () => {
  it.each(PARTS)('the part %s is what its rows say', async (part) => {
    const whole = await list('')
    const found = await list(part ? `part=${part}` : '')
    expect(found.map(({ id }) => id)).toEqual(whole.filter((row) => isIn(row, part)).map(({ id }) => id))
    if (part === 'unfit') expect(found.map(({ name }) => name)).toEqual(['hire 10'])
    if (part === 'out') expect(found.map(({ name }) => name)).toEqual(['Велосипед'])
  })

  it('of one family, and of an open job at one station', async () => {
    const whole = await list('part=hanging')
    for (const family of new Set(whole.flatMap(({ brakes }) => brakes.map((brake) => brake.family)))) {
      const found = await list(`part=hanging&family=${family}`)
      expect(found).toEqual(whole.filter(({ brakes }) => brakes.some((brake) => brake.family === family)))
    }
    const at = await list('part=hanging&station=wheel')
    expect(at.length).toBeGreaterThan(0)
    expect(at).toEqual(
      whole.filter(({ brakes }) => brakes.some(({ job }) => job && !job.closedAt && job.summary.station === 'wheel')),
    )
  })

  it('family, station and part are asked of the same brake', async () => {
    const whole = await list('part=hanging')
    const apart = whole.find(
      ({ brakes }) =>
        brakes.length === 2 &&
        brakes[0]?.family !== brakes[1]?.family &&
        brakes.every(({ job }) => job && !job.closedAt),
    )
    const [front] = apart?.brakes ?? []
    // The front alone is worked on further: its family at the station it left finds the bicycle no more.
    expect(front?.job?.summary.station).toBe('wheel')
    const step = (await shop.get(`jobs/${front?.job?.id}/next`)).body
    expect(step.station).toBe('wheel')
    expect((await list(`part=hanging&family=${front?.family}&station=wheel`)).map(({ id }) => id)).toContain(apart?.id)
    await shop.post(`jobs/${front?.job?.id}/entries`, close('taken apart'))
    expect((await list(`part=hanging&family=${front?.family}&station=wheel`)).map(({ id }) => id)).not.toContain(
      apart?.id,
    )
    expect((await list('part=hanging&station=wheel')).map(({ id }) => id)).toContain(apart?.id)
  })

  it.each(['name', 'recent'])('pages by %s together are the whole, in its order', async (sort) => {
    const whole = await list(`part=hanging&sort=${sort}`)
    for (const limit of [1, 2, 3, 200]) {
      const found: Row[] = []
      for (;;) {
        const after = found.at(-1)
        const answer = await fetch(
          shop.url(`bicycles?part=hanging&sort=${sort}&limit=${limit}${after ? `&after=${after.id}` : ''}`),
        )
        expect(answer.headers.get('X-Total')).toBe(String(whole.length))
        const page = (await answer.json()) as Row[]
        expect(page.length).toBeLessThanOrEqual(limit)
        found.push(...page)
        if (page.length < limit) break
      }
      expect(found).toEqual(whole)
    }
  })

  it('names stand in order whatever their case, numbers by their size; the last touched stands first where that is asked', async () => {
    const names = (await list('part=hanging')).map(({ name }) => name)
    expect(names.indexOf('hire 10')).toBe(names.indexOf('Hire 2') + 1)
    const { job } = (await list('q=straße'))[0]?.brakes[0] ?? {}
    await shop.post(
      `jobs/${job?.id}/entries`,
      entry({ kind: 'note', text: 'looked at' }, { at: '2031-01-01T09:00:00.000Z' }),
    )
    await expect.poll(async () => (await list('part=hanging&sort=recent'))[0]?.name).toBe('Straße 3')
  })
})

describe('the rack searched', () => {
  // Unicode folding of case and marks: what a keyboard without them types finds them.
  it.each([
    ['zlutoucky', 'Žluťoučký kůň'],
    ['KŮŇ', 'Žluťoučký kůň'],
    ['велос', 'Велосипед'],
    // An accent typed as a mark of its own (Unicode, canonical equivalence).
    ['Z\u030clut\u030couc\u030cky\u0301', 'Žluťoučký kůň'],
    ['tour 1974', 'Tourer of 1974'],
    ['hire-10 unfit"OR*', undefined],
  ])('%s', async (q, name) => {
    const found = (await list(`q=${encodeURIComponent(q)}`)).map((row) => row.name)
    expect(found).toEqual(name ? [name] : [])
  })

  // “74” ends a word of the tourer’s tag and begins none of anybody’s, unless a code is drawn so, as one run in 90 has it.
  it('the end of a word finds nothing, but whose drawn code begins with it', async () => {
    const coded = (await list('')).filter(({ code }) => code.startsWith('74'))
    expect((await list('q=74')).map(({ name }) => name)).toEqual(coded.map(({ name }) => name))
  })

  it('every word must begin a word on the tag: name, code, description, end, family, number and complaint of the newest job', async () => {
    const whole = await list('')
    for (const row of whole) {
      const { job, family, end } = row.brakes[0] ?? {}
      const words = [row.code.slice(0, 4), family, end, job && String(job.number), job?.complaint.split(' ')[0]].filter(
        Boolean,
      )
      const found = await list(`q=${encodeURIComponent(words.join(' '))}`)
      expect(found.map(({ id }) => id)).toContain(row.id)
    }
    const tagged = (row: Row) =>
      fold(
        [
          row.name,
          row.code,
          row.description,
          ...row.brakes.map(({ end, family, job }) => `${end} ${family} ${job?.number} ${job?.complaint}`),
        ].join(' '),
      ).match(/[\p{L}\p{N}]+/gu) ?? []
    for (const q of ['r', 'sq', 'blue', 'rubs left', 'child', 'front sque', 'rear disc', '1'])
      expect((await list(`q=${q}`)).map(({ id }) => id)).toEqual(
        whole
          .filter((row) => q.split(' ').every((word) => tagged(row).some((each) => each.startsWith(word))))
          .map(({ id }) => id),
      )
  })

  it('a new name is found at once and the old one no more; so is a new complaint', async () => {
    const { bicycle, brake, job } = await shop.newJob('grinds')
    await shop.call('PATCH', `bicycles/${bicycle.id}`, { name: 'Lent 77' })
    expect((await list('q=lent 77')).map(({ id }) => id)).toEqual([bicycle.id])
    expect(await list(`q=${bicycle.name.split(' ')[1]}`)).toEqual([])
    await shop.post(`jobs/${job.id}/entries`, close('bent'))
    await shop.post('jobs', { brakeId: brake.id, complaint: 'shudders' })
    expect((await list('q=lent shudd')).map(({ id }) => id)).toEqual([bicycle.id])
    expect(await list('q=lent grinds')).toEqual([])
    // The jobs know their bicycle’s new name as well, and every complaint there was.
    const jobs = async (query: string) =>
      ((await shop.get(`jobs?${query}`)).body as { complaint: string }[]).map(({ complaint }) => complaint)
    expect(await jobs('q=lent 77 grinds')).toEqual(['grinds'])
    expect((await jobs('q=lent 77')).length).toBe(2)
  })
})

describe('jobs asked in parts', () => {
  type Job = NonNullable<Row['brakes'][number]['job']>
  const jobs = async (query: string): Promise<readonly Job[]> => (await shop.get(`jobs?${query}`)).body

  it('newest first, by state, bicycle, brake, family and station; pages together are the whole', async () => {
    const whole = await jobs('')
    expect(whole.map(({ number }) => number)).toEqual(whole.map(({ number }) => number).sort((a, b) => b - a))
    expect(await jobs('sort=oldest')).toEqual([...whole].reverse())
    expect(await jobs('state=closed')).toEqual(whole.filter(({ closedAt }) => closedAt))
    expect(await jobs('state=open')).toEqual(whole.filter(({ closedAt, releasedAt }) => !closedAt && !releasedAt))
    expect(await jobs('station=wheel')).toEqual(
      whole.filter(({ closedAt, summary }) => !closedAt && summary.station === 'wheel'),
    )
    const row = (await list('q=žluť'))[0]
    expect((await jobs(`bicycleId=${row?.id}`)).map(({ number }) => number).sort()).toEqual(
      row?.brakes.map(({ job }) => job?.number),
    )
    expect((await jobs(`brakeId=${row?.brakes[0]?.id}`)).map(({ number }) => number)).toEqual([
      row?.brakes[0]?.job?.number,
    ])
    expect((await jobs(`family=${row?.brakes[0]?.family}`)).map(({ id }) => id)).toContain(row?.brakes[0]?.job?.id)
    const found: Job[] = []
    for (let page = await jobs('limit=3'); page.length > 0; page = await jobs(`limit=3&after=${found.at(-1)?.id}`))
      found.push(...page)
    expect(found).toEqual(whole)
  })
})

describe('asked again and again', () => {
  /** As a browser asks again for what it keeps: fetch would ask for it anew. */
  const ask = (path: string, tag?: string) =>
    new Promise<{ status: number; tag: string }>((resolve, reject) => {
      const asked = request(shop.url(path), { headers: tag ? { 'If-None-Match': tag } : {} }, (answer) => {
        answer.resume().once('end', () => resolve({ status: answer.statusCode ?? 0, tag: answer.headers.etag ?? '' }))
      })
      asked.once('error', reject).end()
    })

  it.each(['bicycles?limit=2', 'jobs?limit=2', 'rack'])(
    '%s: nothing is sent while nothing changed, everything after',
    async (path) => {
      await expect.poll(async () => (await ask(path, (await ask(path)).tag)).status).toBe(304)
      const { tag } = await ask(path)
      for (const write of [
        () => shop.post('bicycles', { name: 'one more' }),
        () => shop.call('PATCH', `bicycles/${ids[0]}`, { description: randomUUID() }),
        () => shop.newJob(),
      ]) {
        await write()
        const now = await ask(path, tag)
        expect(now.status).toBe(200)
        expect(now.tag).not.toBe(tag)
      }
    },
  )

  it('a tag from before a restart is believed, one from before a restore is not', async () => {
    // Stopped, it writes what was still to be told of the jobs; from then on nothing changes by itself.
    await shop.restart()
    let tag = ''
    const stays = async () => {
      const before = tag
      tag = (await ask('rack')).tag
      return tag === before
    }
    await expect.poll(stays, { timeout: 20_000, interval: 500 }).toBe(true)
    await shop.restart()
    expect((await ask('rack', tag)).status).toBe(304)
    await shop.restart(async () => {
      expectOk(await restore(shop.data, expectOk(await backUp(shop.data))))
    })
    expect((await ask('rack', tag)).status).toBe(200)
  })

  it('the parts are counted as they are listed', async () => {
    const { parts, families, stations } = (await shop.get('rack')).body
    for (const part of ['hanging', 'open', 'out', 'unfit', 'released', 'due', 'retired'])
      expect([part, parts[part]]).toEqual([part, (await list(`part=${part}`)).length])
    expect(families.length).toBeGreaterThan(3)
    for (const { id, count } of families)
      expect([id, count]).toEqual([id, (await list(`part=hanging&family=${id}`)).length])
    expect(stations.length).toBeGreaterThan(0)
    for (const { id, count } of stations)
      expect([id, count]).toEqual([id, (await list(`part=hanging&station=${id}`)).length])
  })

  it.each([
    ['limit=0', 'limit', 'is “0”. Accepted: a whole number from 1 to 200'],
    ['limit=many', 'limit', 'is “many”'],
    ['part=lost', 'part', 'one of'],
    ['family=spoon', 'family', 'one of'],
    ['after=nowhere', 'after', 'Accepted: a UUID'],
    ['colour=red', 'colour', 'not allowed'],
    ['q=a&q=b', 'q', 'string'],
  ])('%s is refused, and what is accepted is said', async (query, field, say) => {
    const { status, body } = await shop.get(`bicycles?${query}`)
    expect([status, body.error.field]).toEqual([400, field])
    expect(body.error.message).toContain(say)
  })

  it('a page after a bicycle that is not there is refused', async () => {
    expect(await shop.get(`bicycles?after=${randomUUID()}`)).toMatchObject({
      status: 404,
      body: { error: { field: 'after' } },
    })
    expect(await shop.get(`jobs?after=${randomUUID()}`)).toMatchObject({
      status: 404,
      body: { error: { field: 'after' } },
    })
  })
})

it('what is derived for the rack is what its rows say, whatever was written', async () => {
  const { bicycle, brake, job } = await shop.newJob()
  await shop.post(`jobs/${job.id}/entries`, [gap(1.2), close('worn')])
  const hardware = { family: FAMILIES[0], dimensions: {} }
  await shop.call('PUT', `bicycles/${bicycle.id}/ends/rear`, { brakeId: randomUUID(), hardware })
  await shop.call('PUT', `bicycles/${bicycle.id}/ends/rear`, { brakeId: brake.id })
  await shop.call('PUT', `bicycles/${bicycle.id}/ends/rear`, { brakeId: null })
  await shop.call('PATCH', `bicycles/${bicycle.id}`, { name: 'again', retired: true })
  const left = async (client: ReturnType<typeof createClient>, sql: string) => (await client.execute(sql)).rows
  await shop.restart(async () => {
    const client = createClient({ url: `file:${join(shop.data, 'overhaul.db')}` })
    for (const [kept, made] of [
      ['SELECT * FROM hanging', 'SELECT * FROM hanging_now'],
      ['SELECT rowid, words FROM tag_words', 'SELECT n, words FROM tag_texts'],
      ['SELECT rowid, words FROM job_words', 'SELECT number, words FROM job_texts'],
    ]) {
      expect(await left(client, `${kept} EXCEPT ${made}`)).toEqual([])
      expect(await left(client, `${made} EXCEPT ${kept}`)).toEqual([])
    }
    client.close()
  })
})
