import { randomUUID } from 'node:crypto'
import { chmodSync, mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { workedLog } from '../demo/mechanic.ts'
import { entry, gap, testWorkshop } from '../testing/workshop.ts'
import { serve } from './serve.ts'
import { readSettings } from './settings.ts'

let shop: Awaited<ReturnType<typeof testWorkshop>>
beforeAll(async () => {
  shop = await testWorkshop()
})
afterAll(() => shop.close())

const fault = (code: string, field: string) => ({ error: { code, field, message: expect.stringMatching(/\.$/) } })

describe('the rack', () => {
  it('says it is well', async () => {
    const { status, body } = await shop.get('health')
    expect(status).toBe(200)
    expect(body).toMatchObject({ status: 'ok', schemaVersion: expect.any(Number), version: expect.any(String) })
  })

  it('hangs up a bicycle, renames it, and shows its brakes and newest job', async () => {
    const { bicycle, brake, job } = await shop.newJob('bites late')
    expect((await shop.call('PATCH', `bicycles/${bicycle.id}`, { name: 'Hire 99' })).body.name).toBe('Hire 99')
    const rack = (await shop.get('bicycles')).body as { id: string; name: string; brakes: unknown[] }[]
    const mine = rack.find((each) => each.id === bicycle.id)
    expect(mine).toMatchObject({
      name: 'Hire 99',
      brakes: [{ id: brake.id, end: 'rear', family: 'linear-pull', job: { id: job.id, complaint: 'bites late' } }],
    })
    expect((await shop.get(`bicycles/${bicycle.id}`)).body.brakes).toHaveLength(1)
    expect((await shop.get(`brakes?bicycleId=${bicycle.id}`)).body).toHaveLength(1)
  })

  it.each([
    ['bicycles', {}, 400, 'missing', 'name'],
    ['bicycles', { name: '' }, 400, 'invalid', 'name'],
    ['bicycles', { name: 'x', colour: 'red' }, 400, 'invalid', 'colour'],
    [
      'brakes',
      { bicycleId: 'none', hardware: { family: 'linear-pull', end: 'rear', dimensions: {} } },
      404,
      'unknown-bicycle',
      'bicycleId',
    ],
    [
      'brakes',
      { bicycleId: 'none', hardware: { family: 'hydraulic', end: 'rear', dimensions: {} } },
      400,
      'out-of-scope',
      'family',
    ],
    [
      'brakes',
      {
        bicycleId: 'x',
        hardware: {
          family: 'linear-pull',
          end: 'rear',
          dimensions: { rimWidthMm: { value: 900, provenance: 'measured' } },
        },
      },
      400,
      'out-of-range',
      'dimensions.rimWidthMm',
    ],
    ['jobs', { brakeId: 'none' }, 404, 'unknown-brake', 'brakeId'],
  ])('POST %s %j is refused', async (path, body, status, code, field) => {
    const answer = await shop.post(path, body)
    expect(answer).toMatchObject({ status, body: fault(code, field) })
  })

  it('keeps one brake an end and one open job a brake', async () => {
    const { bicycle, brake } = await shop.newJob()
    const hardware = { family: 'linear-pull', end: 'rear', dimensions: {} }
    expect(await shop.post('brakes', { bicycleId: bicycle.id, hardware })).toMatchObject({
      status: 409,
      body: fault('brake-exists', 'hardware.end'),
    })
    expect(await shop.post('jobs', { brakeId: brake.id })).toMatchObject({
      status: 409,
      body: fault('job-open', 'brakeId'),
    })
  })
})

describe('many hands at once', () => {
  it('opens one job on a brake and numbers every job once, however many ask together', async () => {
    const made = await Promise.all(Array.from({ length: 6 }, () => shop.newJob()))
    const numbers = made.map(({ job }) => job.number)
    expect(new Set(numbers).size).toBe(6)
    const { brake } = made[0] as (typeof made)[number]
    const again = await Promise.all(Array.from({ length: 4 }, () => shop.post('jobs', { brakeId: brake.id })))
    expect(again.map((each) => each.status)).toEqual([409, 409, 409, 409])
    expect(again[0]?.body.error.message).toContain(`Job ${(made[0] as (typeof made)[number]).job.number}`)
  })

  it('hangs one brake at an end, however many ask together', async () => {
    const bicycle = (await shop.post('bicycles', { name: 'Hire 77' })).body
    const hardware = { family: 'linear-pull', end: 'front', dimensions: {} }
    const answers = await Promise.all(
      Array.from({ length: 4 }, () => shop.post('brakes', { bicycleId: bicycle.id, hardware })),
    )
    expect(answers.map((each) => each.status).sort()).toEqual([201, 409, 409, 409])
  })
})

describe('the log', () => {
  it('takes an entry once, however often it is sent', async () => {
    const { job } = await shop.newJob()
    const one = gap(1.4)
    expect(await shop.post(`jobs/${job.id}/entries`, one)).toMatchObject({
      status: 201,
      body: { accepted: [one.id], known: [] },
    })
    expect(await shop.post(`jobs/${job.id}/entries`, one)).toMatchObject({
      status: 200,
      body: { accepted: [], known: [one.id] },
    })
    const two = gap(1.5)
    expect((await shop.post(`jobs/${job.id}/entries`, [one, two])).body).toEqual({
      accepted: [two.id],
      known: [one.id],
    })
    const log = (await shop.get(`jobs/${job.id}/entries`)).body
    expect(log.map((each: { seq: number }) => each.seq)).toEqual([1, 2])
    expect((await shop.get(`jobs/${job.id}/entries?after=1`)).body).toHaveLength(1)
  })

  it('keeps order and loses nothing when two tablets write at once', async () => {
    const { job } = await shop.newJob()
    const writes = Array.from({ length: 40 }, (_, index) => gap(1 + index / 100, { device: index % 2 ? 'a' : 'b' }))
    await Promise.all([...writes, ...writes].map((each) => shop.post(`jobs/${job.id}/entries`, each)))
    const log = (await shop.get(`jobs/${job.id}/entries`)).body
    expect(log.map((each: { seq: number }) => each.seq)).toEqual(Array.from({ length: 40 }, (_, index) => index + 1))
    expect(new Set(log.map((each: { id: string }) => each.id)).size).toBe(40)
  })

  it('takes all of an array or nothing', async () => {
    const { job } = await shop.newJob()
    const answer = await shop.post(`jobs/${job.id}/entries`, [gap(1), gap(-3), gap(2)])
    expect(answer).toMatchObject({ status: 400, body: fault('out-of-range', '1.value') })
    expect((await shop.get(`jobs/${job.id}/entries`)).body).toEqual([])
  })

  it('refuses a screw past its end, and the same id on another job', async () => {
    const { job } = await shop.newJob()
    const at = entry({ kind: 'reading', reading: 'leftScrewIn', value: 5.5, unit: 'turn' })
    await shop.post(`jobs/${job.id}/entries`, at)
    const turn = entry({ kind: 'turn', adjuster: 'leftScrew', amount: 1, unit: 'turn' })
    expect(await shop.post(`jobs/${job.id}/entries`, turn)).toMatchObject({
      status: 409,
      body: fault('past-its-end', 'amount'),
    })
    const other = await shop.newJob()
    expect(await shop.post(`jobs/${other.job.id}/entries`, at)).toMatchObject({
      status: 409,
      body: fault('id-taken', 'id'),
    })
  })

  it.each([
    ['{"kind":', 400, 'broken-json', 'body'],
    [{ ...gap(1), id: 'not-a-uuid' }, 400, 'invalid', 'id'],
    [{ ...gap(1), kind: 'wish' }, 400, 'invalid', 'kind'],
    [{ ...gap(1), seq: 4 }, 400, 'invalid', 'seq'],
    [{ ...gap(1), value: '1.4 mm' }, 400, 'out-of-range', 'value'],
    [[], 400, 'invalid', 'body'],
  ])('%j is refused', async (body, status, code, field) => {
    const { job } = await shop.newJob()
    expect(await shop.post(`jobs/${job.id}/entries`, body)).toMatchObject({ status, body: fault(code, field) })
  })

  it('refuses an oversized body and a job that is not there', async () => {
    const { job } = await shop.newJob()
    const long = entry({ kind: 'note', text: 'x'.repeat(400_000) })
    expect(await shop.post(`jobs/${job.id}/entries`, long)).toMatchObject({
      status: 413,
      body: fault('too-large', 'body'),
    })
    expect(await shop.post('jobs/none/entries', gap(1))).toMatchObject({
      status: 404,
      body: fault('unknown-job', 'id'),
    })
    expect(await shop.get('nowhere')).toMatchObject({ status: 404, body: fault('unknown-path', 'path') })
    expect(await shop.get(`jobs/${job.id}/entries?after=x`)).toMatchObject({
      status: 400,
      body: fault('invalid', 'after'),
    })
  })

  it('is still there after the server was stopped and started', async () => {
    const { job } = await shop.newJob()
    await shop.post(`jobs/${job.id}/entries`, [gap(1.1), gap(1.2)])
    await shop.restart()
    const { body } = await shop.get(`jobs/${job.id}`)
    expect(body.entries.map((each: { value: number }) => each.value)).toEqual([1.1, 1.2])
    expect(body.state.readings.gapLeft.value).toBe(1.2)
  })
})

describe('a whole job', () => {
  const hardware = { family: 'linear-pull', end: 'rear', dimensions: {}, practiceSeed: 5 } as const

  it('goes to release, prints its sheet, takes nothing more, and teaches the next visit', async () => {
    const { brake, job } = await shop.newJob()
    const log = workedLog(hardware, '3', new Date('2026-03-01T09:00:00Z'))
    expect(await shop.post(`jobs/${job.id}/entries`, log)).toMatchObject({ status: 201 })
    expect((await shop.get(`jobs/${job.id}`)).body.state.next.kind).toBe('released')
    expect(await shop.post(`jobs/${job.id}/entries`, gap(1))).toMatchObject({
      status: 409,
      body: fault('job-released', 'kind'),
    })

    const response = await fetch(shop.url(`jobs/${job.id}/sheet.pdf`))
    expect(response.headers.get('content-type')).toBe('application/pdf')
    const pdf = Buffer.from(await response.arrayBuffer())
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
    expect(pdf.length).toBeGreaterThan(10_000)

    const next = (await shop.post('jobs', { brakeId: brake.id })).body
    expect(next.number).toBeGreaterThan(job.number)
    expect((await shop.get(`jobs/${next.id}`)).body.visits).toHaveLength(1)
  })

  it('what is measured of a brake while its job is being released is not lost, nor what the job told of it', async () => {
    const log = workedLog(hardware, '3', new Date('2026-03-01T09:00:00Z'))
    const told = entry({ kind: 'figure', fastener: 'lever clamp', lowNm: 4, highNm: 9 })
    for (let round = 0; round < 6; round += 1) {
      const { brake, job } = await shop.newJob()
      const fresh = log.map((each) => ({ ...each, id: randomUUID() }))
      const before = await shop.post(`jobs/${job.id}/entries`, [{ ...told, id: randomUUID() }, ...fresh.slice(0, -1)])
      expect(before.body.error?.message).toBeUndefined()
      const measured = {
        dimension: 'armMm',
        value: 103,
        provenance: 'measured',
        since: '2026-03-02T09:00:00.000Z',
        by: '7',
      }
      const [released, patched] = await Promise.all([
        shop.post(`jobs/${job.id}/entries`, fresh.at(-1)),
        new Promise((resolve) => setTimeout(resolve, 4 * round)).then(() =>
          shop.call('PATCH', `brakes/${brake.id}`, { changes: [measured] }),
        ),
      ])
      expect([released.body.error?.message, patched.status]).toEqual([undefined, 200])
      const [row] = (await shop.get(`brakes?bicycleId=${brake.bicycleId}`)).body
      expect(row.hardware.dimensions.armMm?.value, `round ${round}`).toBe(103)
      expect(row.hardware.figures, `round ${round}`).toMatchObject({ 'lever clamp': { low: 4, high: 9 } })
    }
  })

  it('is not released while something is open', async () => {
    const { job } = await shop.newJob()
    const release = entry({ kind: 'release', initials: '3' })
    expect(await shop.post(`jobs/${job.id}/entries`, release)).toMatchObject({
      status: 409,
      body: fault('not-ready', 'kind'),
    })
  })
})

describe('the stream', () => {
  it('sends what was missed, then each new entry, with its seq as event id', async () => {
    const { job } = await shop.newJob()
    await shop.post(`jobs/${job.id}/entries`, [gap(1), gap(2)])
    const stop = new AbortController()
    const response = await fetch(shop.url(`jobs/${job.id}/stream`), {
      signal: stop.signal,
      headers: { 'Last-Event-ID': '1' },
    })
    expect(response.headers.get('content-type')).toContain('text/event-stream')
    const reader = (response.body as ReadableStream<Uint8Array>).getReader()
    let text = ''
    const until = async (marker: string) => {
      while (!text.includes(marker)) text += new TextDecoder().decode((await reader.read()).value)
    }
    await until('id: 2')
    expect(text).not.toContain('id: 1\n')
    await shop.post(`jobs/${job.id}/entries`, gap(3))
    await until('id: 3')
    stop.abort()
  })
})

describe('calculations over HTTP', () => {
  it('works one and shows where it comes from', async () => {
    const { status, body } = await shop.post('calculations/torque-from-pull', { forceN: 50, lengthMm: 100 })
    expect(status).toBe(200)
    expect(body.outputs.torqueNm).toBeCloseTo(5, 12)
    expect(body.working[0].numbers).toContain('N·m')
    expect((await shop.get('calculations')).body.length).toBeGreaterThan(5)
    expect((await shop.get('calculations/stop-test')).body.inputs.speedKmh.unit).toBe('km/h')
  })

  it.each([
    ['torque-from-pull', { forceN: 50 }, 400, 'missing', 'lengthMm'],
    ['torque-from-pull', { forceN: 'fifty', lengthMm: 100 }, 400, 'invalid', 'forceN'],
    ['torque-from-pull', { forceN: -1, lengthMm: 100 }, 400, 'out-of-range', 'forceN'],
    ['torque-from-pull', { forceN: 1, lengthMm: 100, mood: 1 }, 400, 'invalid', 'mood'],
    ['wishing', {}, 404, 'unknown-calculation', 'id'],
  ])('%s %j is refused', async (id, body, status, code, field) => {
    expect(await shop.post(`calculations/${id}`, body)).toMatchObject({ status, body: fault(code, field) })
  })
})

describe('who may write', () => {
  it('answers only to its own name and takes changes only from its own pages', async () => {
    expect(await shop.call('POST', 'bicycles', { name: 'x' }, { Origin: 'http://elsewhere.example' })).toMatchObject({
      status: 403,
      body: fault('wrong-origin', 'Origin'),
    })
  })
})

describe('starting', () => {
  const settings = (data: string, port = 0) => ({ data, port, host: '127.0.0.1', empty: true, share: false })
  const fresh = () => mkdtempSync(join(tmpdir(), 'overhaul-start-'))

  it('refuses a data directory that cannot be written', async () => {
    const file = join(fresh(), 'a-file')
    writeFileSync(file, '')
    chmodSync(file, 0o444)
    expect(await serve(settings(join(file, 'data')))).toMatchObject({ ok: false, error: { code: 'data-not-writable' } })
  })

  it('refuses a port that is taken and leaves the data free', async () => {
    const port = Number(new URL(shop.url('')).port)
    const data = fresh()
    expect(await serve(settings(data, port))).toMatchObject({ ok: false, error: { code: 'port-taken' } })
    const again = await serve(settings(data))
    expect(again.ok).toBe(true)
    if (again.ok) await again.value.close()
  })

  it('refuses a database newer than the program and changes nothing in it', async () => {
    const data = fresh()
    const first = await serve(settings(data))
    if (first.ok) await first.value.close()
    const client = createClient({ url: `file:${join(data, 'overhaul.db')}` })
    await client.execute({
      sql: 'INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)',
      args: [randomUUID(), 9_999_999_999_999],
    })
    client.close()
    expect(await serve(settings(data))).toMatchObject({ ok: false, error: { code: 'newer-database' } })
  })

  it('reads its settings, and says what it does not understand', () => {
    expect(readSettings({ OVERHAUL_PORT: '5000', OVERHAUL_DATA: '/tmp/x' }, ['--empty'])).toMatchObject({
      ok: true,
      value: { port: 5000, data: '/tmp/x', empty: true, host: '127.0.0.1' },
    })
    expect(readSettings({}, ['--share'])).toMatchObject({ ok: true, value: { host: '0.0.0.0', share: true } })
    expect(readSettings({ OVERHAUL_PORT: 'many' }, [])).toMatchObject({ ok: false, error: { field: 'OVERHAUL_PORT' } })
    expect(readSettings({}, ['--fast'])).toMatchObject({ ok: false, error: { code: 'unknown-flag' } })
  })
})
