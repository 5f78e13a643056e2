import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { entry, gap, testWorkshop } from '../testing/workshop.ts'
import { Workers } from './workers.ts'

type Workshop = Awaited<ReturnType<typeof testWorkshop>>
let shop: Workshop
beforeAll(async () => {
  shop = await testWorkshop()
})
afterAll(() => shop.close())

/** A log of so many readings, as a stubborn brake or a logger leaves it. */
async function longLog(length: number): Promise<string> {
  const { job } = await shop.newJob()
  for (let at = 0; at < length; at += 200) {
    const batch = Array.from({ length: 200 }, (_, index) => gap(1 + ((at + index) % 10) / 10))
    expect((await shop.post(`jobs/${job.id}/entries`, batch)).status).toBe(201)
  }
  return job.id
}

describe('work on a long log, beside whoever answers', () => {
  it.each([
    ['while its sheet is printed', 'sheet.pdf?whole=true'],
    ['while it is opened', ''],
  ])('other questions are answered first: %s', async (_, path) => {
    const id = await longLog(1000)
    await shop.restart()
    const order: string[] = []
    const long = shop.get(`jobs/${id}/${path}`).then(({ status }) => {
      order.push('long')
      return status
    })
    for (let asked = 0; asked < 3; asked += 1) {
      await shop.get('health')
      order.push('health')
    }
    expect(await long).toBe(200)
    expect(order).toEqual(['health', 'health', 'health', 'long'])
  })

  it('entries judged while a sheet is printed do not wait for it', async () => {
    const id = await longLog(1000)
    const order: string[] = []
    const printed = shop.get(`jobs/${id}/sheet.pdf?whole=true`).then(() => order.push('sheet'))
    const other = await shop.newJob()
    expect((await shop.post(`jobs/${other.job.id}/entries`, gap(1.2))).status).toBe(201)
    order.push('entry')
    await printed
    expect(order).toEqual(['entry', 'sheet'])
  })
})

describe('closing', () => {
  // Stopped in the middle of reading, a worker takes the whole process with it, and the data is not closed.
  it('what was asked is answered before the workers are stopped', async () => {
    const workers = new Workers(shop.data)
    const asked = Array.from({ length: 40 }, (_, index) =>
      index % 2 === 0 ? workers.look('countJobs', { sort: 'newest' }) : workers.ask('forget', []),
    )
    await workers.close()
    const answered = await Promise.allSettled(asked)
    expect(answered.filter(({ status }) => status === 'rejected')).toEqual([])
  })

  it('one that is closed as soon as it is there is closed', async () => {
    await expect(new Workers(shop.data).close()).resolves.toBeUndefined()
  })
})

describe('what was judged and what was written', () => {
  it('a batch that could not be written leaves the job as it was, and the next one is judged on that', async () => {
    const [{ job }, other] = [await shop.newJob(), await shop.newJob()]
    const taken = gap(1)
    expect((await shop.post(`jobs/${other.job.id}/entries`, taken)).status).toBe(201)
    const refused = await shop.post(`jobs/${job.id}/entries`, [gap(1.5), { ...gap(1.6), id: taken.id }])
    expect(refused).toMatchObject({ status: 409, body: { error: { code: 'id-taken' } } })
    const later = await shop.post(`jobs/${job.id}/entries`, gap(1.8))
    expect(later.status).toBe(201)
    const { entries, state } = (await shop.get(`jobs/${job.id}`)).body
    expect(entries.map(({ seq, value }: { seq: number; value: number }) => [seq, value])).toEqual([[1, 1.8]])
    expect(state.readings.gapLeft.value).toBe(1.8)
  })

  it('what is sent at once to one job stands in the order it came, without a gap', async () => {
    const { job } = await shop.newJob()
    const sent = Array.from({ length: 30 }, (_, index) =>
      entry({ kind: 'note', text: `note ${index}` }, { id: randomUUID() }),
    )
    await Promise.all(sent.map((each) => shop.post(`jobs/${job.id}/entries`, each)))
    const log: { seq: number; id: string }[] = (await shop.get(`jobs/${job.id}/entries`)).body
    expect(log.map(({ seq }) => seq)).toEqual(sent.map((_, index) => index + 1))
    expect(new Set(log.map(({ id }) => id)).size).toBe(sent.length)
  })

  it('a job that is not there is said to be not there, whoever is asked', async () => {
    for (const path of ['', '/next', '/entries', '/stream', '/sheet.pdf', '/handover.pdf'])
      expect(await shop.get(`jobs/nowhere${path}`)).toMatchObject({
        status: 404,
        body: { error: { code: 'unknown-job', message: 'There is no job “nowhere”.' } },
      })
  })
})
