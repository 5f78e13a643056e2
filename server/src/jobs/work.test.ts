import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { gap, testWorkshop } from '../testing/workshop.ts'

let workshop: Awaited<ReturnType<typeof testWorkshop>>
beforeAll(async () => {
  workshop = await testWorkshop()
})
afterAll(() => workshop.close())

describe('a job opened for a work', () => {
  const opened = async (asked: Readonly<Record<string, unknown>>) => {
    const { brake, job } = await workshop.newJob()
    await workshop.post(`jobs/${job.id}/entries`, [
      {
        id: crypto.randomUUID(),
        at: new Date().toISOString(),
        by: '5',
        kind: 'close',
        initials: '5',
        why: 'another work',
      },
    ])
    return workshop.post('jobs', { brakeId: brake.id, ...asked })
  }

  it('has what it is for, and the part that is new in it, as its first entries; more are written after them', async () => {
    const { status, body } = await opened({ work: 'new-cable' })
    expect(status).toBe(201)
    const entries = (await workshop.get(`jobs/${body.id}/entries`)).body
    expect(entries).toMatchObject([
      { seq: 1, kind: 'reading', reading: 'work', value: 'new-cable' },
      { seq: 2, kind: 'swap', part: 'cable', to: 'new' },
    ])
    expect((await workshop.post(`jobs/${body.id}/entries`, gap(1))).status).toBe(201)
    const after = (await workshop.get(`jobs/${body.id}/entries?after=2`)).body
    expect(after).toMatchObject([{ seq: 3, reading: 'gapLeft' }])
  })

  it('has before that what is complained of, where its signs are named; words alone stay words', async () => {
    const complaint = { signs: ['rubs', 'squeals'], since: 'wet' }
    const { body } = await opened({ work: 'new-cable', complaint })
    expect((await workshop.get(`jobs/${body.id}/entries`)).body).toMatchObject([
      { seq: 1, kind: 'complaint', ...complaint },
      { seq: 2, reading: 'work' },
      { seq: 3, kind: 'swap' },
    ])
    expect(body.complaint).toMatch(/^rubs, squeals; since the wet/)
    const plain = await opened({ complaint: 'Rubs since the rain' })
    expect(plain.body.complaint).toContain('Rubs since the rain')
    expect((await workshop.get(`jobs/${plain.body.id}/entries`)).body).toEqual([])
  })

  it('refuses a sign that is none, named twice, or a since that is none, and says what is accepted', async () => {
    const refused = async (complaint: unknown) => {
      const { status, body } = await opened({ complaint })
      return [status, body.error?.message]
    }
    expect(await refused({ signs: ['smokes'] })).toEqual([
      400,
      expect.stringMatching(/signs.* must be one of .*rubs, squeals/),
    ])
    expect(await refused({ signs: ['rubs', 'rubs'] })).toEqual([400, expect.any(String)])
    expect(await refused({ signs: ['rubs'], since: 'Tuesday' })).toEqual([
      400,
      expect.stringMatching(/since must be one of .*knock, wet/),
    ])
  })

  it('that this brake has not is refused, and names those it has', async () => {
    const { status, body } = await opened({ work: 'new-rotor' })
    expect(status).toBe(400)
    expect(body.error.message).toMatch(/work is “new-rotor”. Accepted: .*new-cable, new-lever, .*new-pads/)
  })
})
