import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expectOk } from '@overhaul/core/outcome/outcome'
import type { Entry } from '@overhaul/core/stand/entries'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { Bench } from '@overhaul/server/bench/bench'
import { openStore, type Store } from '@overhaul/server/db/store'
import { sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { writeTenYears } from './ten-years.ts'

const BICYCLES = 50
const data = mkdtempSync(join(tmpdir(), 'overhaul-years-'))
let store: Store
let written: number

beforeAll(async () => {
  written = await writeTenYears(data, { bicycles: BICYCLES, parts: 80 })
  store = expectOk(await openStore(data))
})
afterAll(async () => {
  await store.close()
  rmSync(data, { recursive: true, force: true })
})

const ask = async <T>(query: string): Promise<readonly T[]> => store.db.all<T>(sql.raw(query))
const count = async (query: string): Promise<number> =>
  (await ask<{ n: number }>(`SELECT count(*) AS n FROM ${query}`))[0]?.n ?? 0

describe('a workshop written as ten years left it', () => {
  it('has two brakes a bicycle, of every family, two jobs a brake, and logs of about fifty entries', async () => {
    expect(await count('bicycles')).toBe(BICYCLES)
    expect(await count('brakes')).toBe(BICYCLES * 2)
    expect(await count('jobs')).toBe(BICYCLES * 4)
    expect(await count('parts')).toBe(80)
    expect(await count('(SELECT DISTINCT family FROM hanging)')).toBe(FAMILIES.length)
    expect(await count('entries')).toBe(written)
    expect(written / (BICYCLES * 4)).toBeGreaterThan(40)
    expect(written / (BICYCLES * 4)).toBeLessThan(65)
  })

  it('its logs are whole: every place once, its own id in each entry, and time goes on', async () => {
    const logs = await ask<{ n: number; last: number }>(
      'SELECT count(*) AS n, max(seq) AS last FROM entries GROUP BY jobId',
    )
    expect(logs.every(({ n, last }) => n === last)).toBe(true)
    expect(await count("entries WHERE json_extract(entry, '$.id') <> id")).toBe(0)
    const backwards = `entries AS a JOIN entries AS b ON b.jobId = a.jobId AND b.seq = a.seq + 1
      WHERE json_extract(b.entry, '$.at') < json_extract(a.entry, '$.at')`
    expect(await count(backwards)).toBe(0)
    expect(
      await count("entries WHERE json_extract(entry, '$.at') > strftime('%Y-%m-%dT%H:%M:%fZ', 'now', '+1 day')"),
    ).toBe(0)
  })

  it('what is told of each job is what its log says', async () => {
    const bench = new Bench(store.db)
    const jobs = await ask<{ id: string; summary: string; releasedAt: string | null; closedAt: string | null }>(
      // Logs are written once and hung many times, each told as a first visit.
      `SELECT id, summary, releasedAt, closedAt FROM jobs AS job
      WHERE NOT EXISTS (SELECT 1 FROM jobs AS earlier WHERE earlier.brakeId = job.brakeId AND earlier.number < job.number)
      ORDER BY number LIMIT 24`,
    )
    for (const { id, summary, releasedAt, closedAt } of jobs) {
      const told = expectOk(await bench.summary(id))
      const { stations, nextSay, seq, station } = JSON.parse(summary)
      expect({ stations, nextSay, seq, station }).toEqual({
        stations: told.stations,
        nextSay: told.nextSay,
        seq: told.seq,
        station: told.station,
      })
      expect(told.last?.at).toBe(JSON.parse(summary).last?.at)
      expect((releasedAt ?? closedAt) !== null).toBe(station === 'release' && told.nextSay.includes('by 4'))
    }
  })

  it('an open job goes on', async () => {
    const [job] = await ask<{ id: string }>('SELECT id FROM jobs WHERE releasedAt IS NULL AND closedAt IS NULL LIMIT 1')
    const note = {
      kind: 'note',
      text: 'looked at',
      id: '00000000-0000-4000-8000-00000000ffff',
      at: new Date().toISOString(),
      by: '3',
    }
    const judged = expectOk(await new Bench(store.db).judge(job?.id ?? '', [note as Entry]))
    expect(judged.fresh).toHaveLength(1)
  })
})
