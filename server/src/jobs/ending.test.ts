import { randomUUID } from 'node:crypto'
import type { EntryBody } from '@overhaul/core/stand/entries'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { entry, gap, testWorkshop } from '../testing/workshop.ts'

type Workshop = Awaited<ReturnType<typeof testWorkshop>>
let workshop: Workshop
beforeAll(async () => {
  workshop = await testWorkshop()
})
afterAll(() => workshop.close())

const close = (why = 'rim worn through', more = {}) => entry({ kind: 'close', initials: '5', why } as EntryBody, more)
const thin = () => entry({ kind: 'reading', reading: 'rimWall', value: 0.4, unit: 'mm' })
const strike = (strikes: string) => entry({ kind: 'correction', strikes })
const tagOf = async (bicycleId: string) => {
  const rack: {
    id: string
    brakes: { job: { closedAt: string; summary: { unfit?: string[]; nextSay: string } } }[]
  }[] = (await workshop.get('bicycles')).body
  return rack.find((each) => each.id === bicycleId)?.brakes[0]?.job
}

describe('a job closed unreleased', () => {
  it('says so on the rack at once, and its findings open the next job', async () => {
    const { bicycle, brake, job } = await workshop.newJob()
    expect((await workshop.post(`jobs/${job.id}/entries`, [thin(), close()])).status).toBe(201)
    const tag = await tagOf(bicycle.id)
    expect(tag?.closedAt).not.toBeNull()
    expect(tag?.summary.nextSay).toContain('Not to be ridden: rim worn through')
    expect(tag?.summary.unfit?.join()).toContain('rim wall: under 0.7 mm')
    const next = await workshop.post('jobs', { brakeId: brake.id, complaint: 'new rim came' })
    expect(next.status).toBe(201)
    expect(next.body.complaint).toMatch(
      new RegExp(`^new rim came Not to be ridden since job ${job.number}: .*rim wall`),
    )
  })

  it('takes nothing more but its own strike, which opens it again', async () => {
    const { job, brake } = await workshop.newJob()
    const closing = close()
    await workshop.post(`jobs/${job.id}/entries`, [thin(), closing])
    expect((await workshop.post(`jobs/${job.id}/entries`, gap(1))).body.error.code).toBe('job-closed')
    expect((await workshop.post(`jobs/${job.id}/entries`, strike(closing.id))).status).toBe(201)
    expect((await workshop.get(`jobs/${job.id}`)).body.job.closedAt).toBeNull()
    expect((await workshop.post(`jobs/${job.id}/entries`, gap(1))).status).toBe(201)
    expect((await workshop.post('jobs', { brakeId: brake.id })).body.error.code).toBe('job-open')
  })

  it('is not opened again once a later job stands on the brake', async () => {
    const { job, brake } = await workshop.newJob()
    const closing = close()
    await workshop.post(`jobs/${job.id}/entries`, [thin(), closing])
    const later = (await workshop.post('jobs', { brakeId: brake.id })).body
    const refused = await workshop.post(`jobs/${job.id}/entries`, strike(closing.id))
    expect(refused.body.error).toMatchObject({ code: 'newer-job', message: expect.stringContaining(`${later.number}`) })
    expect((await workshop.get(`jobs/${job.id}`)).body.job.closedAt).not.toBeNull()
  })

  it('survives a restart, and what it taught is kept', async () => {
    const { job, bicycle } = await workshop.newJob()
    await workshop.post(`jobs/${job.id}/entries`, [thin(), close('fork bent')])
    await workshop.restart()
    expect((await tagOf(bicycle.id))?.summary.nextSay).toContain('fork bent')
    expect((await workshop.get(`jobs/${job.id}`)).body.state.next).toMatchObject({ kind: 'closed' })
  })
})

describe('a slow clock', () => {
  it('an entry dated a day back does not change what a restart shows', async () => {
    const { job, brake } = await workshop.newJob()
    const change = { dimension: 'rimWidthMm', value: 24, provenance: 'measured', instrument: 'caliper', by: '3' }
    const now = new Date().toISOString()
    await workshop.call('PATCH', `brakes/${brake.id}`, { changes: [{ ...change, since: now }] })
    const yesterday = new Date(Date.now() - 86_400_000).toISOString()
    await workshop.post(`jobs/${job.id}/entries`, [thin(), close('rim worn', { at: yesterday })])
    const shown = async () => (await workshop.get(`jobs/${job.id}`)).body.hardware.dimensions.rimWidthMm?.value
    expect(await shown()).toBe(24)
    await workshop.restart()
    expect(await shown()).toBe(24)
  })
})

describe('a job asked for three times at once', () => {
  it('is opened once, and the same for all', async () => {
    const { job } = await workshop.newJob()
    await workshop.post(`jobs/${job.id}/entries`, [thin(), close()])
    const id = randomUUID()
    const asked = await Promise.all([1, 2, 3].map(() => workshop.post('jobs', { id, brakeId: job.brakeId })))
    expect(asked.map(({ status }) => status).sort()).toEqual([200, 200, 201])
    expect(new Set(asked.map(({ body }) => body.number)).size).toBe(1)
  })
})

describe('a rack that reads while somebody writes', () => {
  it('works out a summary that is older than its log before it shows it', async () => {
    const { bicycle, job } = await workshop.newJob()
    expect((await tagOf(bicycle.id))?.summary.nextSay).toContain('wheel straight in its dropouts')
    await workshop.post(`jobs/${job.id}/entries`, entry({ kind: 'confirm', step: 'wheel-seated' }))
    expect((await tagOf(bicycle.id))?.summary.nextSay).toContain('Push the wheel')
    const rows: { id: string; summary: { seq: number } }[] = (await workshop.get('jobs')).body
    expect(rows.find((each) => each.id === job.id)?.summary.seq).toBe(1)
  })
})

describe('a bicycle renamed', () => {
  it('shows at once on its jobs, their sheets and every screen open on them', async () => {
    const { bicycle, job } = await workshop.newJob()
    await workshop.get(`jobs/${job.id}`)
    const stream = await fetch(workshop.url(`jobs/${job.id}/stream`))
    const reader = (stream.body as ReadableStream<Uint8Array>).getReader()
    const name = `Renamed ${randomUUID().slice(0, 6)}`
    expect((await workshop.call('PATCH', `bicycles/${bicycle.id}`, { name })).status).toBe(200)
    expect((await workshop.get(`jobs/${job.id}`)).body.bicycle.name).toBe(name)
    let heard = ''
    while (!heard.includes('event: bicycle')) heard += new TextDecoder().decode((await reader.read()).value)
    expect(heard).toContain(name)
    await reader.cancel()
  })
})
