import { existsSync, mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expectOk } from '@overhaul/core/outcome/outcome'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { checkDatabase } from './aside.ts'
import { bicycles } from './schema.ts'
import { openStore, type Store } from './store.ts'

const fresh = () => mkdtempSync(join(tmpdir(), 'overhaul-store-'))
const open: Store[] = []
const opened = async (directory: string) => {
  const store = expectOk(await openStore(directory))
  open.push(store)
  return store
}
afterEach(async () => {
  for (const store of open.splice(0)) await store.close()
})

const row = (id: string) => ({ id, name: id, description: '', createdAt: '2026-03-01T09:00:00Z' })

describe('the workshop’s data', () => {
  it('knows whether it was made just now', async () => {
    const directory = fresh()
    const first = await opened(directory)
    expect(first.isNew).toBe(true)
    await first.close()
    open.pop()
    expect((await opened(directory)).isNew).toBe(false)
  })

  it('is written all or nothing', async () => {
    const { db, write } = await opened(fresh())
    const insert = (id: string) => db.insert(bicycles).values(row(id))
    await expect(write([insert('a'), insert('b'), insert('a')])).rejects.toThrow()
    expect(await db.select().from(bicycles)).toEqual([])
    await write([insert('a'), insert('b')])
    expect(await db.select().from(bicycles)).toHaveLength(2)
  })

  it('belongs to one process: a lock left by a living one is respected, a dead one’s is not', async () => {
    const directory = fresh()
    writeFileSync(join(directory, 'overhaul.lock'), '1')
    const refused = await openStore(directory)
    expect(refused).toMatchObject({ ok: false, error: { code: 'data-in-use', field: 'OVERHAUL_DATA' } })
    writeFileSync(join(directory, 'overhaul.lock'), '999999999')
    const store = await opened(directory)
    expect(existsSync(join(directory, 'overhaul.lock'))).toBe(true)
    await store.close()
    open.pop()
    expect(existsSync(join(directory, 'overhaul.lock'))).toBe(false)
  })

  it('closed while it is being checked, finds nothing wrong', async () => {
    const directory = fresh()
    await expectOk(await openStore(directory)).close()
    const said = vi.spyOn(console, 'error')
    const store = expectOk(await openStore(directory))
    await store.close()
    expect(store.trouble()).toBeUndefined()
    expect(said).not.toHaveBeenCalled()
    said.mockRestore()
  })

  it('closed while its short log is laid in, is whole', async () => {
    const directory = fresh()
    const store = await opened(directory)
    for (let index = 0; index < 251; index += 1) await store.write([store.db.insert(bicycles).values(row(`b${index}`))])
    await store.close()
    open.pop()
    expect(await checkDatabase(join(directory, 'overhaul.db'))).toEqual([])
    const again = await opened(directory)
    expect(await again.db.select().from(bicycles)).toHaveLength(251)
  })

  it('refuses a file that is no database, and leaves it alone', async () => {
    const directory = fresh()
    writeFileSync(join(directory, 'overhaul.db'), 'not a database, whatever its name '.repeat(50))
    expect(await openStore(directory)).toMatchObject({ ok: false, error: { code: 'data-damaged' } })
    expect(existsSync(join(directory, 'overhaul.lock'))).toBe(false)
  })
})
