import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { entry, gap, testWorkshop } from '../testing/workshop.ts'
import { Workers } from '../workers/workers.ts'

const ask = vi.spyOn(Workers.prototype, 'ask')

let shop: Awaited<ReturnType<typeof testWorkshop>>
beforeAll(async () => {
  shop = await testWorkshop()
})
afterAll(() => shop.close())

/** Whether the bench was asked to judge what was sent, and what was answered. */
async function send(jobId: string, body: object | readonly object[]) {
  ask.mockClear()
  const answer = await shop.post(`jobs/${jobId}/entries`, body)
  return { ...answer, bench: ask.mock.calls.some((asked: readonly unknown[]) => asked[0] === 'judge') }
}
const AT = '2026-03-02T09:00:00.000Z'
const turnOf = (amount: number) => entry({ kind: 'turn', adjuster: 'barrel', amount, unit: 'turn' })
const note = (text: string) => entry({ kind: 'note', text })
const seqs = async (jobId: string) =>
  ((await shop.get(`jobs/${jobId}/entries`)).body as { seq: number }[]).map(({ seq }) => seq)

it('an entry that asks only how the brake stands is judged where it is written', async () => {
  const { job } = await shop.newJob()
  expect(await send(job.id, gap(1.2))).toMatchObject({ status: 201, bench: false })
  expect(await send(job.id, [gap(1.3), note('x')])).toMatchObject({ status: 201, bench: false })
  expect((await shop.get(`jobs/${job.id}`)).body.state.readings.gapLeft.value).toBe(1.3)
})

it('a closing is judged at the bench, and what comes after it is refused', async () => {
  const { job } = await shop.newJob()
  await send(job.id, gap(1.2))
  const closed = await send(job.id, entry({ kind: 'close', initials: '5', why: 'bent' }))
  expect(closed).toMatchObject({ status: 201, bench: true })
  const later = await send(job.id, gap(1.4))
  expect(later).toMatchObject({ bench: true, body: { error: { code: 'job-closed' } } })
  expect(await seqs(job.id)).toEqual([1, 2])
})

it('a strike is judged at the bench, and what comes after it stands on what is left', async () => {
  const { job } = await shop.newJob()
  const [first, second] = [turnOf(3), turnOf(3)]
  await send(job.id, first)
  expect(await send(job.id, second)).toMatchObject({ status: 201, bench: false })
  // The barrel is assumed one turn out, of eight.
  expect((await send(job.id, turnOf(3))).body.error.code).toBe('past-its-end')
  const strike = entry({ kind: 'correction', strikes: first.id })
  expect(await send(job.id, strike)).toMatchObject({ status: 201, bench: true })
  expect(await send(job.id, turnOf(3))).toMatchObject({ status: 201, bench: false })
  expect(await seqs(job.id)).toEqual([1, 2, 3, 4])
})

it('many at once, and a log of five hundred and more, are judged at the bench; in order all the same', async () => {
  const { job } = await shop.newJob()
  await send(job.id, note('first'))
  for (let at = 0; at < 3; at += 1) {
    const many = Array.from({ length: 200 }, (_, index) => note(`${at}.${index}`))
    expect(await send(job.id, many)).toMatchObject({ status: 201, bench: true })
  }
  expect(await send(job.id, note('last'))).toMatchObject({ status: 201, bench: true })
  expect(await seqs(job.id)).toEqual(Array.from({ length: 602 }, (_, index) => index + 1))
})

it('what is refused leaves the log, and the next, as they were', async () => {
  const { job } = await shop.newJob()
  await send(job.id, gap(1.2))
  const refused = await send(job.id, [gap(1.4), gap(99)])
  expect(refused).toMatchObject({ bench: false, body: { error: { code: 'out-of-range', field: '1.value' } } })
  const behind = await send(job.id, gap(1.5, { basedOn: 2 }))
  expect(behind).toMatchObject({ bench: false, body: { error: { code: 'log-behind', field: 'basedOn' } } })
  const again = gap(1.6)
  expect((await send(job.id, again)).body.accepted).toEqual([again.id])
  expect(await send(job.id, again)).toMatchObject({ status: 200, body: { accepted: [], known: [again.id] } })
  expect(await seqs(job.id)).toEqual([1, 2])
})

it('what could not be written is not stood on', async () => {
  const [{ job }, other] = [await shop.newJob(), await shop.newJob()]
  const taken = turnOf(3)
  await send(other.job.id, taken)
  await send(job.id, turnOf(3))
  expect(await send(job.id, { ...turnOf(3), id: taken.id })).toMatchObject({ status: 409, bench: false })
  expect(await send(job.id, turnOf(3))).toMatchObject({ status: 201, bench: false })
  expect(await seqs(job.id)).toEqual([1, 2])
})

it('a brake that is known better is gone by from the next entry on', async () => {
  const { job, brake } = await shop.newJob()
  await send(job.id, turnOf(0.5))
  const shorter = { dimension: 'barrelTravelTurns', value: 2, provenance: 'measured', since: AT, by: '7' }
  expect((await shop.call('PATCH', `brakes/${brake.id}`, { changes: [shorter] })).status).toBe(200)
  const past = await send(job.id, turnOf(2))
  expect(past).toMatchObject({ bench: false, body: { error: { code: 'past-its-end', field: 'amount' } } })
})
