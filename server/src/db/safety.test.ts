import {
  copyFileSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  truncateSync,
  utimesSync,
  writeFileSync,
} from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { basename, join } from 'node:path'
import { createClient } from '@libsql/client'
import { expectOk } from '@overhaul/core/outcome/outcome'
import { sql } from 'drizzle-orm'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { serve } from '../app/serve.ts'
import { backsUp } from '../testing/backs-up.ts'
import { clientAt, gap, testWorkshop } from '../testing/workshop.ts'
import { backUp, backupsIn, backupsOf, sinceBackupMs } from './backups.ts'
import { restore } from './restore.ts'
import { databaseIn, lastRun } from './run.ts'
import { bicycles } from './schema.ts'
import { openStore, type Store } from './store.ts'
import { troubleOf } from './trouble.ts'

const fresh = () => mkdtempSync(join(tmpdir(), 'overhaul-safe-'))
const open: Store[] = []
afterEach(async () => {
  for (const store of open.splice(0)) await store.close()
})
const opened = async (directory: string) => {
  const store = expectOk(await openStore(directory))
  open.push(store)
  return store
}
const row = (id: string) => ({ id, name: id, description: '', createdAt: '2026-03-01T09:00:00Z' })
const hang = (store: Store, id: string) => store.write([store.db.insert(bicycles).values(row(id))])
/** A workshop that was used and killed: its last writes stand in the log beside the file. */
async function killed(...names: readonly string[]): Promise<string> {
  const directory = fresh()
  const store = await opened(directory)
  const left = fresh()
  // What was there before the writes is in the file, as after some hours.
  await store.db.get(sql`PRAGMA wal_checkpoint(TRUNCATE)`)
  for (const name of names) await hang(store, name)
  for (const file of readdirSync(directory).filter((each) => !/shm|lock/.test(each)))
    copyFileSync(join(directory, file), join(left, file))
  return left
}
/** A workshop that was used and stopped. */
async function used(...names: readonly string[]): Promise<string> {
  const directory = fresh()
  const store = expectOk(await openStore(directory))
  for (const name of names) await hang(store, name)
  await store.close()
  return directory
}
const namesIn = async (path: string) => {
  const client = createClient({ url: `file:${path}` })
  const { rows } = await client.execute('SELECT name FROM bicycles ORDER BY name')
  client.close()
  return rows.map(({ name }) => name)
}
const refusal = async (directory: string) => {
  const store = await openStore(directory)
  if (store.ok) {
    await store.value.close()
    throw new Error('it was opened')
  }
  return store.error
}

describe('a power cut', () => {
  // SQLite documentation, “PRAGMA synchronous”: only FULL is on the disk when the commit returns, in WAL mode too.
  it('takes nothing acknowledged: each write is on the disk', async () => {
    const store = await opened(fresh())
    expect(await store.db.get(sql`PRAGMA synchronous`)).toMatchObject({ synchronous: 2 })
  })

  it('after a clean stop the one file is whole', async () => {
    const directory = await used('a', 'b')
    expect(lastRun(directory)).toBe('clean')
    const wal = `${databaseIn(directory)}-wal`
    expect(existsSync(wal) ? statSync(wal).size : 0).toBe(0)
    expect(await namesIn(databaseIn(directory))).toEqual(['a', 'b'])
  })
})

describe('at rest', () => {
  it('the one file is whole within a minute, copied by hand while the workshop runs', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    const directory = fresh()
    const store = await opened(directory)
    await hang(store, 'a')
    expect(statSync(`${databaseIn(directory)}-wal`).size).toBeGreaterThan(0)
    await vi.advanceTimersByTimeAsync(60_000)
    vi.useRealTimers()
    await expect.poll(() => statSync(`${databaseIn(directory)}-wal`).size).toBe(0)
    const copy = join(fresh(), 'copied.db')
    copyFileSync(databaseIn(directory), copy)
    expect(await namesIn(copy)).toEqual(['a'])
    await hang(store, 'b')
    expect(store.trouble()).toBeUndefined()
  })
})

describe('what was lost is never taken for a new beginning', () => {
  it('a database of nothing where Overhaul ran before', async () => {
    const directory = await used('a')
    truncateSync(databaseIn(directory), 0)
    const error = await refusal(directory)
    expect(error).toMatchObject({ code: 'data-missing', message: expect.stringContaining('is empty') })
    expect(error.message).toContain('There is no backup')
    expect(statSync(databaseIn(directory)).size).toBe(0)
  })

  it('a database gone, and the newest backup is offered', async () => {
    const directory = await used('a')
    const backup = expectOk(await backUp(directory))
    rmSync(databaseIn(directory))
    const error = await refusal(directory)
    expect(error.code).toBe('data-missing')
    expect(error.message).toContain(backup.split('/').at(-1))
    expect(existsSync(databaseIn(directory))).toBe(false)
  })

  it('a log gone after a run that did not end: how much is missing is said, and how to go on without it', async () => {
    const directory = await killed('a', 'b')
    rmSync(`${databaseIn(directory)}-wal`)
    const error = await refusal(directory)
    expect(error.code).toBe('log-missing')
    expect(error.message).toMatch(/^The last 2 writes are not in .*--as-it-is/)
    const store = expectOk(await openStore(directory, { asItIs: true }))
    open.push(store)
    expect(await store.db.select().from(bicycles)).toEqual([])
    await hang(store, 'c')
  })

  it('a log gone that had been laid into the file is not missed', async () => {
    const directory = await used('a')
    writeFileSync(join(directory, 'overhaul.run'), 'open\n')
    rmSync(`${databaseIn(directory)}-wal`, { force: true })
    expect(await (await opened(directory)).db.select().from(bicycles)).toHaveLength(1)
  })

  it('an older file in the place of the data', async () => {
    const directory = await used('a')
    const older = readFileSync(databaseIn(directory))
    const store = expectOk(await openStore(directory))
    await hang(store, 'b')
    await store.close()
    writeFileSync(databaseIn(directory), older)
    expect((await refusal(directory)).message).toMatch(/^The last write is not in/)
  })

  it.each([
    ['its header overwritten', (bytes: Buffer) => bytes.fill(0x5a, 0, 100)],
    ['half of it', (bytes: Buffer) => bytes.subarray(0, 4096 * 2 + 100)],
  ])('a damaged file after a clean run, %s: the newest sound backup is offered', async (_, damage) => {
    const directory = await used('a')
    const sound = expectOk(await backUp(directory))
    const newest = expectOk(await backUp(directory))
    writeFileSync(newest, 'no database '.repeat(400))
    writeFileSync(databaseIn(directory), damage(readFileSync(databaseIn(directory))))
    const error = await refusal(directory)
    expect(error.code).toBe('data-damaged')
    expect(error.message).toContain(`npm run restore -- ${sound}`)
  })

  it('a damaged database after a run that did not end', async () => {
    const directory = await used(...Array.from({ length: 400 }, (_, index) => `bicycle ${index} ${'x'.repeat(200)}`))
    const path = databaseIn(directory)
    const bytes = readFileSync(path)
    bytes.fill(0x5a, 4096 * 12, 4096 * 20)
    writeFileSync(path, bytes)
    writeFileSync(`${path}-wal`, '')
    writeFileSync(join(directory, 'overhaul.run'), 'open\n')
    expect((await refusal(directory)).code).toMatch(/data-damaged|data-not-readable/)
  })

  it('nothing at all is a new beginning', async () => {
    expect((await opened(fresh())).isNew).toBe(true)
  })
})

describe('a damaged record', () => {
  it('is named with its job, and every other job is worked on', async () => {
    const shop = await testWorkshop()
    const { job } = await shop.newJob()
    const { job: other } = await shop.newJob()
    await shop.post(`jobs/${job.id}/entries`, [gap(1), gap(2)])
    await shop.restart(async () => {
      const client = createClient({ url: `file:${databaseIn(shop.data)}` })
      await client.execute({
        sql: 'UPDATE entries SET entry = \'{"kind": "rea\' WHERE jobId = ? AND seq = 2',
        args: [job.id],
      })
      client.close()
    })
    for (const path of ['', '/entries', '/next', '/sheet.pdf'])
      expect(await shop.get(`jobs/${job.id}${path}`)).toMatchObject({
        status: 409,
        body: { error: { code: 'record-damaged', message: expect.stringContaining(`Entry 2 of job ${job.number}`) } },
      })
    expect((await shop.post(`jobs/${job.id}/entries`, gap(3))).status).toBe(409)
    expect((await shop.post(`jobs/${other.id}/entries`, gap(3))).status).toBe(201)
    expect((await shop.get('bicycles')).body).toHaveLength(2)
    await shop.close()
  })
})

describe('files taken away while it runs', () => {
  it.each([
    ['deleted', (path: string) => rmSync(path)],
    [
      'replaced',
      (path: string) => {
        renameSync(path, `${path}.old`)
        writeFileSync(path, '')
      },
    ],
    ['its log deleted', (path: string) => rmSync(`${path}-wal`)],
  ])('%s: noticed before the next acknowledgement', async (_, take) => {
    const directory = fresh()
    const store = await opened(directory)
    await hang(store, 'a')
    expect(store.trouble()).toBeUndefined()
    take(databaseIn(directory))
    await expect(hang(store, 'b')).rejects.toThrow(/deleted or replaced/)
    expect(store.trouble()).toContain('Nothing more is written')
  })

  it('every screen is told, and reading goes on', async () => {
    const shop = await testWorkshop()
    const { job } = await shop.newJob()
    rmSync(databaseIn(shop.data))
    const refused = await shop.post(`jobs/${job.id}/entries`, gap(1))
    expect(refused).toMatchObject({ status: 503, body: { error: { code: 'data-gone' } } })
    expect((await shop.post('bicycles', { name: 'new' })).status).toBe(503)
    expect(await shop.get('health')).toMatchObject({ status: 503, body: { status: 'in-trouble' } })
    expect((await shop.get(`jobs/${job.id}`)).status).toBe(200)
    await shop.close()
  })
})

describe('backups', () => {
  it('are whole copies made while the workshop runs, kept by count', async () => {
    const directory = fresh()
    const store = await opened(directory)
    await hang(store, 'a')
    for (let day = 1; day <= 16; day += 1) expectOk(await backUp(directory, new Date(Date.UTC(2026, 2, day, 9))))
    const kept = backupsOf(directory)
    expect(kept).toHaveLength(14)
    expect(kept[0]).toContain('20260303')
    expect(await namesIn(kept.at(-1) as string)).toEqual(['a'])
    expect(readdirSync(backupsIn(directory)).filter((name) => name.endsWith('.part'))).toEqual([])
  })

  it('of a workshop that was killed takes nothing from it, and the log’s last entries are in it', async () => {
    const directory = await killed('a', 'b')
    const backup = expectOk(await backUp(directory))
    expect(await namesIn(backup)).toEqual(['a', 'b'])
    expect(statSync(`${databaseIn(directory)}-wal`).size).toBeGreaterThan(0)
    expect(await (await opened(directory)).db.select().from(bicycles)).toHaveLength(2)
  })

  it('with a clock in the past the one just made stays and is the newest; one of the future makes no end of them', async () => {
    const directory = await used('a')
    const future = expectOk(await backUp(directory, new Date(Date.UTC(2036, 0, 1))))
    utimesSync(future, new Date(Date.UTC(2036, 0, 1)), new Date(Date.UTC(2036, 0, 1)))
    expect(sinceBackupMs(directory)).toBe(Number.POSITIVE_INFINITY)
    for (let more = 0; more < 14; more += 1) expectOk(await backUp(directory, new Date(Date.UTC(2026, 0, 1 + more))))
    const past = expectOk(await backUp(directory, new Date(Date.UTC(2020, 0, 1))))
    expect(backupsOf(directory).at(-1)).toBe(past)
    expect(backupsOf(directory)).not.toContain(future)
    expect(backupsOf(directory)).toHaveLength(14)
  })

  it('one made before there were numbers is older than any that has one', async () => {
    const directory = await used('a')
    mkdirSync(backupsIn(directory), { recursive: true })
    copyFileSync(databaseIn(directory), join(backupsIn(directory), 'overhaul-20360101-090000.db'))
    const made = expectOk(await backUp(directory))
    expect(backupsOf(directory).at(-1)).toBe(made)
  })

  it('what a process that is gone was making is cleared away', async () => {
    const directory = await used('a')
    mkdirSync(backupsIn(directory), { recursive: true })
    const left = join(backupsIn(directory), '999999.00000000-0000-0000-0000-000000000000.part')
    writeFileSync(left, 'half')
    expectOk(await backUp(directory))
    expect(existsSync(left)).toBe(false)
  })

  it('one is made before an older file is brought up to date', async () => {
    const directory = fresh()
    cpSync(new URL('../testing/fixtures/first-floor', import.meta.url), directory, { recursive: true })
    expect(backupsOf(directory)).toEqual([])
    await opened(directory)
    expect(backupsOf(directory)).toHaveLength(1)
  })

  it('two of one second are two', async () => {
    const directory = await used('a')
    const now = new Date()
    expect(expectOk(await backUp(directory, now))).not.toBe(expectOk(await backUp(directory, now)))
  })

  it('two begun at once are two, both whole', async () => {
    const directory = await used('a')
    const now = new Date()
    const [one, other] = await Promise.all([backUp(directory, now), backUp(directory, now)])
    expect(expectOk(one)).not.toBe(expectOk(other))
    for (const made of [one, other]) expect(await namesIn(expectOk(made))).toEqual(['a'])
  })

  it('one is made on its own on the day there is none', async () => {
    const directory = await used('a')
    const workshop = expectOk(await serve({ data: directory, port: 0, host: '127.0.0.1', empty: true, share: false }))
    await expect.poll(() => backupsOf(directory).length, { timeout: 5000 }).toBe(1)
    await workshop.close()
    const again = expectOk(await serve({ data: directory, port: 0, host: '127.0.0.1', empty: true, share: false }))
    await new Promise((resolve) => setTimeout(resolve, 300))
    expect(backupsOf(directory)).toHaveLength(1)
    await again.close()
  })

  it('one being made as the workshop stops is made whole first', async () => {
    const data = await used('a')
    const shop = expectOk(await serve({ data, port: 0, host: '127.0.0.1', empty: true, share: false }))
    await shop.close()
    expect(readdirSync(backupsIn(data))).toEqual([expect.stringMatching(/\.db$/)])
  })

  it('a backup of nothing is refused', async () => {
    expect(await backUp(fresh())).toMatchObject({ ok: false, error: { code: 'no-data' } })
  })
})

describe('restoring', () => {
  it('puts the newest back, and keeps what it replaces', async () => {
    const directory = await used('a')
    expectOk(await backUp(directory))
    const later = expectOk(await openStore(directory))
    await hang(later, 'b')
    await later.close()
    const { replaced } = expectOk(await restore(directory))
    expect(await namesIn(databaseIn(directory))).toEqual(['a'])
    expect(await namesIn(replaced as string)).toEqual(['a', 'b'])
    expect((await opened(directory)).isNew).toBe(false)
  })

  it('what it replaced can itself be restored, with what stood in its log alone', async () => {
    const directory = await killed('a', 'b')
    const backup = expectOk(await backUp(await used('x')))
    const { replaced } = expectOk(await restore(directory, backup))
    expect(await namesIn(databaseIn(directory))).toEqual(['x'])
    expect(readdirSync(backupsIn(directory))).toEqual([basename(replaced as string)])
    expectOk(await restore(directory, replaced))
    expect(await namesIn(databaseIn(directory))).toEqual(['a', 'b'])
  })

  it('killed at any moment, the data is what it was or what was restored', async () => {
    const directory = await killed('a')
    const part = `${databaseIn(directory)}.part`
    const backup = readFileSync(databaseIn(await used('x')))
    // Before it was marked, nothing has happened.
    writeFileSync(part, backup)
    const before = await opened(directory)
    expect(await before.db.select({ name: bicycles.name }).from(bicycles)).toEqual([{ name: 'a' }])
    expect(existsSync(part)).toBe(false)
    await open.pop()?.close()
    // Marked, it is finished by whoever comes next: nothing moved yet, the log gone, the file in its place.
    for (const done of [0, 1, 2]) {
      const cut = await killed('a')
      writeFileSync(join(cut, 'overhaul.run'), 'restoring\n')
      writeFileSync(`${databaseIn(cut)}.part`, backup)
      if (done > 0) rmSync(`${databaseIn(cut)}-wal`)
      if (done > 1) renameSync(`${databaseIn(cut)}.part`, databaseIn(cut))
      const store = await opened(cut)
      expect(await store.db.select({ name: bicycles.name }).from(bicycles)).toEqual([{ name: 'x' }])
    }
  })

  it('is another epoch of the data: what was read before is not taken for what is there now', async () => {
    const shop = await backsUp()
    const { job } = await shop.newJob()
    await shop.post(`jobs/${job.id}/entries`, gap(1, { basedOn: 0 }))
    const { epoch } = (await shop.get(`jobs/${job.id}`)).body
    await shop.restart(async () => undefined)
    expect((await shop.get(`jobs/${job.id}`)).body.epoch).toBe(epoch)
    await shop.backThen(async () => undefined)
    // As many entries as the screen saw, and yet another log.
    const written = await shop.post(`jobs/${job.id}/entries?epoch=${epoch}`, gap(2, { basedOn: 1 }))
    expect(written).toMatchObject({ status: 409, body: { error: { code: 'log-behind', field: 'epoch' } } })
    expect(await shop.get(`jobs/${job.id}/entries?after=1&epoch=${epoch}`)).toMatchObject({ status: 409 })
    const now = (await shop.get('rack')).body.epoch
    expect(now).not.toBe(epoch)
    expect((await shop.post(`jobs/${job.id}/entries?epoch=${now}`, gap(2, { basedOn: 1 }))).status).toBe(201)
    await shop.close()
  })

  it('opens the way again after the data was lost', async () => {
    const directory = await used('a')
    expectOk(await backUp(directory))
    rmSync(databaseIn(directory))
    expect((await refusal(directory)).code).toBe('data-missing')
    expectOk(await restore(directory))
    const store = await opened(directory)
    expect(await store.db.select().from(bicycles)).toHaveLength(1)
  })

  it('refuses a damaged backup, one there is not, and a workshop that runs', async () => {
    const directory = await used('a')
    expect(await restore(directory)).toMatchObject({ ok: false, error: { code: 'no-backup' } })
    const bad = join(directory, 'bad.db')
    writeFileSync(bad, 'no database '.repeat(400))
    expect(await restore(directory, bad)).toMatchObject({ ok: false, error: { code: 'data-damaged' } })
    writeFileSync(join(directory, 'overhaul.lock'), '1')
    expect(await restore(directory)).toMatchObject({ ok: false, error: { code: 'data-in-use' } })
    expect(await namesIn(databaseIn(directory))).toEqual(['a'])
  })

  it('a screen that saw more than the backup has is told so, and keeps what it typed', async () => {
    const shop = await backsUp()
    const { job } = await shop.newJob()
    expect((await shop.post(`jobs/${job.id}/entries`, gap(1, { basedOn: 0 }))).status).toBe(201)
    await shop.backThen(async () => {
      await shop.post(`jobs/${job.id}/entries`, gap(2, { basedOn: 1 }))
      await shop.post(`jobs/${job.id}/entries`, gap(3, { basedOn: 2 }))
    })
    const ahead = await shop.post(`jobs/${job.id}/entries`, gap(4, { basedOn: 3 }))
    expect(ahead).toMatchObject({ status: 409, body: { error: { code: 'log-behind', field: 'basedOn' } } })
    expect((await shop.get(`jobs/${job.id}/entries`)).body).toHaveLength(1)
    await shop.close()
  })
})

describe('a lock', () => {
  it('of a pid that another process has since is not respected', async () => {
    const directory = fresh()
    mkdirSync(directory, { recursive: true })
    writeFileSync(join(directory, 'overhaul.lock'), `${process.ppid} 1`)
    if (!existsSync('/proc/self/stat')) return
    await opened(directory)
  })
})

describe('two processes at one workshop', () => {
  it('a lock somebody removed is laid down again', async () => {
    const directory = fresh()
    const store = await opened(directory)
    rmSync(join(directory, 'overhaul.lock'))
    await hang(store, 'a')
    expect(readFileSync(join(directory, 'overhaul.lock'), 'utf8')).toMatch(new RegExp(`^${process.pid}\\b`))
  })
  it('one that another took over meanwhile is not: this one stops writing', async () => {
    const directory = fresh()
    const store = await opened(directory)
    writeFileSync(join(directory, 'overhaul.lock'), '1')
    await expect(hang(store, 'a')).rejects.toThrow(/Another Overhaul/)
  })
})

describe('a machine in trouble', () => {
  it('another program that holds the data: said, waited for, and healed once it lets go', async () => {
    const shop = await testWorkshop()
    const { job } = await shop.newJob()
    const other = createClient({ url: `file:${databaseIn(shop.data)}` })
    const held = await other.transaction('write')
    const note = gap(1)
    expect(await shop.post(`jobs/${job.id}/entries`, note)).toMatchObject({
      status: 503,
      body: { error: { code: 'data-busy' } },
    })
    await held.rollback()
    held.close()
    other.close()
    expect((await shop.post(`jobs/${job.id}/entries`, note)).status).toBe(201)
    expect((await shop.get(`jobs/${job.id}/entries`)).body).toHaveLength(1)
    await shop.close()
  })

  // SQLite documentation, “PRAGMA max_page_count”: the database may not grow past it, as on a full disk.
  it('a full disk: nothing half-written, and room made is enough', async () => {
    const store = await opened(fresh())
    await hang(store, 'a')
    const { page_count } = (await store.db.get(sql`PRAGMA page_count`)) as { page_count: number }
    await store.db.get(sql.raw(`PRAGMA max_page_count = ${page_count}`))
    const many = Array.from({ length: 400 }, (_, index) =>
      store.db.insert(bicycles).values({ ...row(`b${index}`), description: 'x'.repeat(400) }),
    )
    const failed = await store.write(many).catch((error: unknown) => error)
    expect(troubleOf(failed)?.code).toBe('disk-full')
    expect(await store.db.select().from(bicycles)).toHaveLength(1)
    await store.db.get(sql.raw(`PRAGMA max_page_count = 100000`))
    await store.write(many)
    expect(await store.db.select().from(bicycles)).toHaveLength(401)
  })

  it('kept within a size, it is full at that size', async () => {
    const data = await used('a')
    const store = expectOk(await openStore(data, { mostMb: 0.001 }))
    open.push(store)
    const failed = await hang(store, 'b'.repeat(100_000)).catch((error: unknown) => error)
    expect(troubleOf(failed)?.code).toBe('disk-full')
    await hang(store, 'c')
  })

  it('is told apart from what else may go wrong', () => {
    expect(troubleOf({ cause: { code: 'SQLITE_BUSY_SNAPSHOT' } })?.code).toBe('data-busy')
    expect(troubleOf({ code: 'SQLITE_CONSTRAINT' })).toBeUndefined()
    expect(troubleOf(new TypeError('x'))).toBeUndefined()
    expect(troubleOf(undefined)).toBeUndefined()
  })
})

describe('a first start', () => {
  it('on a port that is taken leaves nothing behind', async () => {
    const data = join(fresh(), 'data')
    const taken = createServer()
    await new Promise<void>((resolve) => taken.listen(0, '127.0.0.1', resolve))
    const { port } = taken.address() as { port: number }
    const refused = await serve({ data, port, host: '127.0.0.1', empty: false, share: false })
    expect(refused).toMatchObject({ ok: false, error: { code: 'port-taken' } })
    expect(existsSync(data)).toBe(false)
    taken.close()
  })

  it('that was killed half-way begins anew, whole', async () => {
    const data = fresh()
    const half = expectOk(await openStore(join(data, '.first')))
    await hang(half, 'half of it')
    await half.close()
    const workshop = expectOk(await serve({ data, port: 0, host: '127.0.0.1', empty: false, share: false }))
    const rack: { name: string }[] = (await clientAt(() => workshop.port).get('bicycles')).body
    expect(rack.length).toBeGreaterThan(20)
    expect(rack.some(({ name }) => name === 'half of it')).toBe(false)
    await workshop.close()
  })

  it('takes an empty workshop for what it is: the demo is not hung into it later', async () => {
    const data = await used()
    const workshop = expectOk(await serve({ data, port: 0, host: '127.0.0.1', empty: false, share: false }))
    expect((await clientAt(() => workshop.port).get('bicycles')).body).toEqual([])
    await workshop.close()
  })
})
