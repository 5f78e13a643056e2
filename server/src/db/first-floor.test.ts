import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expectOk } from '@overhaul/core/outcome/outcome'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { serve, type Workshop } from '../app/serve.ts'
import { type Answer, clientAt } from '../testing/workshop.ts'

/**
 * A database as the first floor left it, with what that program said of each job. It is opened now and after every later
 * change of format: released stays released, nothing written is lost, new steps stand open in open jobs only.
 */
const FIXTURE = fileURLToPath(new URL('../testing/fixtures/first-floor', import.meta.url))

interface ExpectedJob {
  readonly number: number
  readonly bicycle: string
  readonly entries: number
  readonly releasedAt: string | null
  readonly next: { readonly kind: string; readonly step: string }
  readonly readings: Readonly<Record<string, number | string>>
  readonly confirmed: readonly string[]
  readonly adjusters: Readonly<Record<string, number>>
}

const EXPECTED = (JSON.parse(readFileSync(join(FIXTURE, 'expected.json'), 'utf8')) as { jobs: ExpectedJob[] }).jobs

/** What stands open in a job that was open before the step came. */
const NEW_STEPS = [
  'motor-asked',
  'rim-sound',
  'cable-side',
  'cable-match',
  'own-hardware',
  'guide-boot',
  'caliper-sits',
  'mount-looked',
  'barrel-left',
]

describe('a database of the first floor', () => {
  const data = mkdtempSync(join(tmpdir(), 'overhaul-old-'))
  let workshop: Workshop
  const client = clientAt(() => workshop.port)
  const get = async (path: string): Promise<Answer['body']> => {
    const { status, body } = await client.get(path)
    expect(status, path).toBe(200)
    return body
  }

  beforeAll(async () => {
    cpSync(join(FIXTURE, 'overhaul.db'), join(data, 'overhaul.db'))
    workshop = expectOk(await serve({ data, port: 0, host: '127.0.0.1', empty: true, share: false }))
  })
  afterAll(async () => {
    await workshop.close()
    rmSync(data, { recursive: true, force: true })
  })

  it('opens with every job, each as it was', async () => {
    const jobs: { id: string; number: number; releasedAt: string | null }[] = await get('jobs')
    expect(jobs.map((each) => each.number).sort()).toEqual(EXPECTED.map((each) => each.number).sort())
    for (const expected of EXPECTED) {
      const row = jobs.find((each) => each.number === expected.number)
      const { entries, state, job } = await get(`jobs/${row?.id}`)
      expect(entries).toHaveLength(expected.entries)
      expect(job.releasedAt).toBe(expected.releasedAt)
      const values = Object.entries(state.readings as Record<string, { value: unknown }>)
      expect(Object.fromEntries(values.map(([id, { value }]) => [id, value]))).toEqual(expected.readings)
      expect(Object.keys(state.confirmed).sort()).toEqual([...expected.confirmed].sort())
      const turned = Object.entries(state.adjusters as Record<string, { turned: number }>)
      expect(Object.fromEntries(turned.map(([id, each]) => [id, each.turned]))).toEqual(expected.adjusters)
      if (expected.releasedAt) {
        expect(state.next.kind, `job ${expected.number}`).toBe('released')
        for (const { id, mark } of state.stations)
          if (!['bite', 'centre'].includes(id)) expect(['in', 'left-out'], `${expected.number} ${id}`).toContain(mark)
        expect(state.findings).toEqual([])
      } else expect([expected.next.step, ...NEW_STEPS]).toContain(state.next.step.id)
    }
  })

  it('gives every bicycle of then a code of its own', async () => {
    const bicycles: { code: string | null }[] = await get('bicycles')
    expect(bicycles.length).toBeGreaterThan(0)
    for (const { code } of bicycles) expect(code).toMatch(/^[2-9B-Z]{5}$/)
    expect(new Set(bicycles.map(({ code }) => code)).size).toBe(bicycles.length)
  })

  it('prints a released job without steps that came later', async () => {
    const released = EXPECTED.find((each) => each.releasedAt) as ExpectedJob
    const jobs: { id: string; number: number }[] = await get('jobs')
    const id = jobs.find((each) => each.number === released.number)?.id
    expect((await client.get(`jobs/${id}/sheet.pdf`)).status).toBe(200)
  })

  it('a hurried release of old stays what it was, and what was skipped shows', async () => {
    const hurried = EXPECTED.find((each) => each.number === 143) as ExpectedJob
    const jobs: { id: string; number: number }[] = await get('jobs')
    const record = await get(`jobs/${jobs.find((each) => each.number === hurried.number)?.id}`)
    expect(record.state.next.kind).toBe('released')
    expect(record.entries.filter((entry: { kind: string }) => entry.kind === 'skip').length).toBeGreaterThan(3)
  })

  it('takes in parts of kinds it did not know, and reads a drawer’s file of then', async () => {
    const bracket = {
      code: 'BR-74-10',
      kind: 'bracket',
      name: 'Bracket',
      dimensions: { spacingMm: 74, riseMm: 10, footMm: 8, threadDepthMm: 12 },
      material: 'aluminium',
      minimum: 0,
      count: 1,
      by: '3',
    }
    expect((await client.post('drawer', bracket)).status).toBe(201)
    // The columns of the first floor, none of those that came with brackets and rotors.
    const then =
      'code,kind,name,count,minimum,material,shankMm,threadDepthMm,outerMm,threadMm,heightMm,pitchMm,thicknessMm,radiusMm,holeMm,lengthMm,diameterMm'
    const file = `${then}\nSP-9,spacer,Spacer 9 mm,4,0,,,,,,,,9,,6.2,,\n`
    const read = await client.call('POST', 'drawer/drawer.csv', file, { 'Content-Type': 'text/csv' })
    expect(read.body).toMatchObject({ added: ['SP-9'], bad: [] })
    const parts: { code: string; count: number }[] = await get('drawer')
    expect(parts.filter(({ code }) => code === 'BR-74-10' || code === 'SP-9').map(({ count }) => count)).toEqual([1, 4])
  })
})
