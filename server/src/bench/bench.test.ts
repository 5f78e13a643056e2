import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expectOk } from '@overhaul/core/outcome/outcome'
import type { Entry, EntryBody } from '@overhaul/core/stand/entries'
import { eq } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { bicycles, brakes, entries, jobs } from '../db/schema.ts'
import { openStore, type Store } from '../db/store.ts'
import { entry, gap } from '../testing/workshop.ts'
import { Bench, type Judged } from './bench.ts'

const data = mkdtempSync(join(tmpdir(), 'overhaul-bench-'))
let store: Store
let bench: Bench
let made = 0

beforeAll(async () => {
  store = expectOk(await openStore(data))
  bench = new Bench(store.db)
})
afterAll(async () => {
  await store.close()
  rmSync(data, { recursive: true, force: true })
})

async function newJob(): Promise<string> {
  made += 1
  const [bicycleId, brakeId, id] = ['b', 'r', 'j'].map((kind) => `${kind}${made}`) as [string, string, string]
  const at = '2026-03-01T09:00:00.000Z'
  const hardware = { family: 'linear-pull', end: 'rear', dimensions: {} } as const
  await store.db.insert(bicycles).values({ id: bicycleId, name: `Hire ${made}`, createdAt: at })
  await store.db.insert(brakes).values({ id: brakeId, bicycleId, end: 'rear', hardware, createdAt: at })
  const summary = await bench.opening(hardware, [])
  await store.db.insert(jobs).values({ id, number: made, brakeId, openedAt: at, summary })
  return id
}

const judge = async (jobId: string, ...log: object[]): Promise<Judged> =>
  expectOk(await bench.judge(jobId, log as Entry[]))
const seqs = ({ fresh }: Judged) => fresh.map(({ seq }) => seq)

/** As the ledger writes what was judged. */
async function write(jobId: string, { fresh, ending }: Judged): Promise<void> {
  await store.write([
    store.db
      .insert(entries)
      .values(fresh.map(({ seq = 0, ...each }) => ({ id: each.id, jobId, seq, entry: each as Entry }))),
    ...(ending ? [store.db.update(jobs).set(ending.at).where(eq(jobs.id, jobId))] : []),
  ])
}

describe('what was judged goes by what was written', () => {
  it('written: the next stands after it, and the stand has it', async () => {
    const id = await newJob()
    await write(id, await judge(id, gap(1.1), gap(1.2)))
    const next = await judge(id, gap(1.4))
    expect(seqs(next)).toEqual([3])
    await write(id, next)
    const { state, entries: log } = JSON.parse(expectOk(await bench.record(id)))
    expect(log).toHaveLength(3)
    expect(state.readings.gapLeft.value).toBe(1.4)
  })

  it('not written: the next takes its place, and nothing of it is told', async () => {
    const id = await newJob()
    await write(id, await judge(id, gap(1.1)))
    const lost = gap(2.9)
    expect(seqs(await judge(id, lost))).toEqual([2])
    const { state } = JSON.parse(expectOk(await bench.record(id)))
    expect(state.readings.gapLeft.value).toBe(1.1)
    // Sent again it is new: it was never in the log.
    const again = await judge(id, lost)
    expect([seqs(again), again.known]).toEqual([[2], []])
  })

  it('written by somebody else meanwhile: it goes on from there', async () => {
    const id = await newJob()
    await write(id, await judge(id, gap(1.1)))
    await judge(id, gap(1.2))
    const other = new Bench(store.db)
    for (const value of [1.3, 1.4]) {
      const judged = expectOk(await other.judge(id, [gap(value)] as Entry[]))
      await write(id, judged)
    }
    expect(seqs(await judge(id, gap(1.5)))).toEqual([4])
    const { state, entries: log } = JSON.parse(expectOk(await bench.record(id)))
    expect([log.length, state.readings.gapLeft.value]).toEqual([3, 1.4])
  })

  it('let go for others and asked again it is the same', async () => {
    const id = await newJob()
    await write(id, await judge(id, gap(1.1)))
    const before = expectOk(await bench.next(id))
    for (let index = 0; index < 70; index += 1) await bench.next(await newJob())
    expect(expectOk(await bench.next(id))).toEqual(before)
    expect(seqs(await judge(id, gap(1.2)))).toEqual([2])
  })

  it('closed and opened again, it is open, and takes entries', async () => {
    const id = await newJob()
    const close = entry({ kind: 'close', initials: '5', why: 'bent' } as EntryBody)
    const closed = await judge(id, close)
    expect(closed.ending?.at).toEqual({ releasedAt: null, closedAt: close.at })
    await write(id, closed)
    expect((await bench.judge(id, [gap(1)] as Entry[])).ok).toBe(false)
    const reopened = await judge(id, entry({ kind: 'correction', strikes: close.id }))
    expect(reopened.ending?.at).toEqual({ releasedAt: null, closedAt: null })
    await write(id, reopened)
    expect(seqs(await judge(id, gap(1)))).toEqual([3])
  })
})
