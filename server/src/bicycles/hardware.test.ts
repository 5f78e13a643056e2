import { randomUUID } from 'node:crypto'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { entry, testWorkshop } from '../testing/workshop.ts'

type Workshop = Awaited<ReturnType<typeof testWorkshop>>
let workshop: Workshop
beforeAll(async () => {
  workshop = await testWorkshop()
})
afterAll(() => workshop.close())

const measured = (value: number, since = '2026-03-02T09:00:00.000Z', dimension = 'armMm') => ({
  dimension,
  value,
  provenance: 'measured',
  since,
  by: '7',
})
const patch = (brakeId: string, ...changes: readonly object[]) =>
  workshop.call('PATCH', `brakes/${brakeId}`, { changes })
const hang = (bicycleId: string, end: string, body: object) =>
  workshop.call('PUT', `bicycles/${bicycleId}/ends/${end}`, body)
const armOf = async (jobId: string) => (await workshop.get(`jobs/${jobId}`)).body.hardware.dimensions.armMm?.value

describe('a dimension measured later', () => {
  it('stands from then on, with since when and by whom, and is taken back', async () => {
    const { brake, job } = await workshop.newJob()
    const answer = await patch(brake.id, measured(103))
    expect(answer).toMatchObject({ status: 200 })
    expect(answer.body.hardware.dimensions.armMm).toMatchObject({ value: 103, by: '7' })
    expect(await armOf(job.id)).toBe(103)
    await patch(brake.id, { dimension: 'armMm', takeBack: '2026-03-02T09:00:00.000Z' })
    expect(await armOf(job.id)).toBeUndefined()
  })

  it('sent twice is written once, and survives a restart', async () => {
    const { brake, job } = await workshop.newJob()
    await patch(brake.id, measured(103))
    await patch(brake.id, measured(103))
    await workshop.restart()
    expect((await workshop.get(`jobs/${job.id}`)).body.hardware.dimensions.armMm).not.toHaveProperty('before')
    expect(await armOf(job.id)).toBe(103)
  })

  it('changes nothing of a job that ended before it was measured', async () => {
    const { brake, job } = await workshop.newJob()
    await workshop.post(`jobs/${job.id}/entries`, entry({ kind: 'close', initials: '5', why: 'no time' }))
    await patch(brake.id, measured(103, new Date(Date.now() + 1000).toISOString()))
    expect(await armOf(job.id)).toBeUndefined()
    const later = (await workshop.post('jobs', { brakeId: brake.id })).body
    expect(await armOf(later.id)).toBe(103)
  })

  it.each([
    [measured(1030), 'out-of-range', 'dimensions.armMm'],
    [measured(20, undefined, 'secondPivotMm'), 'unknown-dimension', 'dimensions.secondPivotMm'],
    [measured(103, 'yesterday'), 'invalid', 'changes.0'],
  ])('%j is refused and nothing is changed', async (change, code, field) => {
    const { brake, job } = await workshop.newJob()
    const { status, body } = await patch(brake.id, change)
    expect(status).toBeGreaterThanOrEqual(400)
    expect(body.error).toMatchObject({ code, field: expect.stringContaining(field) })
    expect(await armOf(job.id)).toBeUndefined()
  })
})

describe('what hangs at an end', () => {
  const caliper = { family: 'dual-pivot', dimensions: {} }

  it('replaced by another family, the old one is retired with its jobs, and hung back again', async () => {
    const { bicycle, brake, job } = await workshop.newJob()
    const brakeId = randomUUID()
    const hung = await hang(bicycle.id, 'rear', { brakeId, hardware: caliper })
    expect(hung.body.brake).toMatchObject({ id: brakeId, hardware: { family: 'dual-pivot', end: 'rear' } })
    const rack = async () =>
      (await workshop.get('bicycles')).body.find((each: { id: string }) => each.id === bicycle.id).brakes
    expect(await rack()).toMatchObject([{ id: brakeId, family: 'dual-pivot', job: null }])
    const all = (await workshop.get(`bicycles/${bicycle.id}`)).body.brakes
    expect(all).toMatchObject([
      { id: brake.id, retiredAt: expect.any(String), jobs: [{ id: job.id }] },
      { id: brakeId, retiredAt: null, jobs: [] },
    ])
    expect((await workshop.get(`jobs/${job.id}`)).status).toBe(200)
    expect((await workshop.post('jobs', { brakeId: brake.id })).body.error.code).toBe('brake-retired')

    await hang(bicycle.id, 'rear', { brakeId: brake.id })
    expect(await rack()).toMatchObject([{ id: brake.id, job: { id: job.id } }])
  })

  it('asked twice is done once; asked for nothing, nothing hangs there', async () => {
    const { bicycle } = await workshop.newJob()
    const brakeId = randomUUID()
    await hang(bicycle.id, 'front', { brakeId, hardware: caliper })
    await hang(bicycle.id, 'front', { brakeId, hardware: caliper })
    expect((await workshop.get(`bicycles/${bicycle.id}`)).body.brakes).toHaveLength(2)
    expect((await hang(bicycle.id, 'front', { brakeId: null })).body.brake).toBeNull()
    expect((await workshop.get(`brakes?bicycleId=${bicycle.id}`)).body).toHaveLength(2)
  })

  it('is refused where it cannot be, and what hung there stays', async () => {
    const { bicycle, brake } = await workshop.newJob()
    const elsewhere = await workshop.newJob()
    const code = async (end: string, body: object) => (await hang(bicycle.id, end, body)).body.error?.code
    expect(await code('rear', { brakeId: elsewhere.brake.id })).toBe('brake-elsewhere')
    expect(await code('front', { brakeId: brake.id })).toBe('brake-elsewhere')
    expect(await code('rear', { brakeId: randomUUID() })).toBe('unknown-brake')
    expect(await code('rear', { brakeId: randomUUID(), hardware: { family: 'coaster' } })).toBe('unknown-family')
    expect(await code('middle', { brakeId: null })).toBe('invalid')
    expect(
      (await workshop.get('bicycles')).body.find((each: { id: string }) => each.id === bicycle.id).brakes,
    ).toHaveLength(1)
  })
})

describe('a bicycle', () => {
  it('is hung up once under its own id, retired and brought back', async () => {
    const id = randomUUID()
    expect((await workshop.post('bicycles', { id, name: 'Hire 90' })).status).toBe(201)
    expect((await workshop.post('bicycles', { id, name: 'Hire 90' })).status).toBe(200)
    const retire = (retired: boolean) => workshop.call('PATCH', `bicycles/${id}`, { retired })
    expect((await retire(true)).body.retiredAt).toEqual(expect.any(String))
    expect((await retire(true)).body.name).toBe('Hire 90')
    const all = (await workshop.get('bicycles')).body.filter((each: { id: string }) => each.id === id)
    expect(all).toMatchObject([{ retiredAt: expect.any(String) }])
    expect((await retire(false)).body.retiredAt).toBeNull()
  })

  it('takes a bare brake: what is not told of it is the book’s', async () => {
    const bicycle = (await workshop.post('bicycles', { name: 'Bare' })).body
    const bare = await workshop.post('brakes', {
      bicycleId: bicycle.id,
      hardware: { family: 'cantilever', end: 'front' },
    })
    expect(bare).toMatchObject({ status: 201, body: { hardware: { dimensions: {} } } })
    const told = { family: 'dual-pivot', end: 'rear', traits: { cableSide: 'right' } }
    expect((await workshop.post('brakes', { bicycleId: bicycle.id, hardware: told })).status).toBe(201)
    const wrong = { ...told, traits: { cableSide: 'under' } }
    expect((await workshop.post('brakes', { bicycleId: bicycle.id, hardware: wrong })).body.error.code).toBe(
      'unknown-trait',
    )
  })
})

describe('what is told by machine', () => {
  it('families: each with all that is measured, turned, read and done at it', async () => {
    const { body } = await workshop.get('families')
    expect(body.map((each: { id: string }) => each.id)).toEqual(FAMILIES.map((each) => each.id))
    for (const family of body) {
      for (const list of ['dimensions', 'adjusters', 'readings', 'seen', 'schools', 'steps'])
        expect(family[list].length, `${family.id} ${list}`).toBeGreaterThan(0)
      expect(
        family.seen.every(({ options }: { options: { well: boolean }[] }) => options.some((each) => each.well)),
      ).toBe(true)
    }
    const linear = body.find((each: { id: string }) => each.id === 'linear-pull')
    expect(linear.dimensions.find((each: { id: string }) => each.id === 'cableLengthMm')).toMatchObject({
      unit: 'mm',
      book: 1500,
      bookFront: 750,
    })
    expect(linear.adjusters.find((each: { id: string }) => each.id === 'leftScrew')).toMatchObject({
      unit: 'turn',
      step: 0.25,
    })
  })

  it('next: what the Stand would say, with its moves, windows and cautions', async () => {
    const { job } = await workshop.newJob()
    const next = async () => (await workshop.get(`jobs/${job.id}/next`)).body
    expect(await next()).toMatchObject({
      act: 'confirm',
      station: 'wheel',
      step: 'wheel-fast',
      say: expect.stringContaining('wheel straight in its dropouts'),
      moves: [],
      readings: [],
      windows: { gapLeft: { low: expect.any(Number), high: expect.any(Number) } },
      cautions: [expect.stringContaining('maker')],
    })
  })

  it('a turn may tell what it was wound in to, and may be in clicks', async () => {
    const { job } = await workshop.newJob()
    const turn = { kind: 'turn', adjuster: 'barrel', amount: 0.5, unit: 'turn', from: { contact: 'ear' } } as const
    expect((await workshop.post(`jobs/${job.id}/entries`, entry(turn))).body.error.code).toBe('no-contact')
    const bad = { ...turn, from: { contact: 'smell' } }
    expect((await workshop.post(`jobs/${job.id}/entries`, entry(bad as never))).body.error.field).toContain('from')
    const clicks = { kind: 'turn', adjuster: 'barrel', amount: 3, unit: 'click' } as const
    expect((await workshop.post(`jobs/${job.id}/entries`, entry(clicks))).body.error.message).toContain('turn')
  })
})
