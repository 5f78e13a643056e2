import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expectOk } from '@overhaul/core/outcome/outcome'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { Door, isHost } from './door.ts'
import { networkAddresses } from './guard.ts'
import { serve, type Workshop } from './serve.ts'
import { readSettings } from './settings.ts'

const fresh = () => mkdtempSync(join(tmpdir(), 'overhaul-door-'))
const from = (remoteAddress: string, cookie?: string) =>
  ({ socket: { remoteAddress }, headers: cookie ? { cookie } : {} }) as never

describe('the door of a shared workshop', () => {
  it('knows its own machine, and no other', () => {
    for (const address of ['127.0.0.1', '::1', '::ffff:127.0.0.1', '127.8.8.8'])
      expect(isHost(from(address))).toBe(true)
    for (const address of ['192.168.1.5', '::ffff:10.0.0.1', '', '127.0.0.1.example', '1127.0.0.1'])
      expect(isHost(from(address))).toBe(false)
  })

  it('lets a screen in by either code, to write or to read, and keeps it over a restart', () => {
    const directory = fresh()
    const door = new Door(directory, true)
    expect(door.may(from('10.0.0.2'))).toBe('none')
    for (const may of ['write', 'read'] as const) {
      const spoken = `${door.codes[may].slice(0, 4)} ${door.codes[may].slice(4)}`.toLowerCase()
      const { cookie, device } = expectOk(door.letIn(spoken, 'Tablet', '10.0.0.2'))
      expect(cookie).toMatch(/; HttpOnly; SameSite=Strict/)
      expect(device).toMatchObject({ name: 'Tablet', may })
      const held = from('10.0.0.2', `x=1; ${cookie.split(';')[0]}`)
      expect(door.may(held)).toBe(may)
      expect(new Door(directory, true).may(held)).toBe(may)
      expect(door.showOut(device.id)).toBe(true)
      expect(door.may(held)).toBe('none')
    }
  })

  it('keeps no token, only what it is known by, in a file nobody else reads', () => {
    const directory = fresh()
    const door = new Door(directory, true)
    const { cookie } = expectOk(door.letIn(door.codes.write, 'Tablet', '10.0.0.2'))
    const token = /=([^;]+)/.exec(cookie)?.[1] as string
    expect(readFileSync(join(directory, 'door.json'), 'utf8')).not.toContain(token)
    expect(statSync(join(directory, 'door.json')).mode & 0o077).toBe(0)
  })

  it('after five wrong codes one address waits, another does not', () => {
    let now = 0
    const door = new Door(fresh(), true, () => now)
    const code = (given: string, address = '10.0.0.9') => {
      const entered = door.letIn(given, 'Tablet', address)
      return entered.ok ? 'in' : entered.error.code
    }
    for (let tried = 0; tried < 5; tried += 1) expect(code('AAAAAAAA')).toBe('wrong-code')
    expect(code(door.codes.write)).toBe('too-many-tries')
    expect(code(door.codes.write, '10.0.0.8')).toBe('in')
    now = 10 * 60_000
    expect(code(door.codes.write)).toBe('in')
  })

  it('a code of letters that are more than a byte is a wrong one, and counted', () => {
    const door = new Door(fresh(), true)
    for (let tried = 0; tried < 5; tried += 1)
      expect(door.letIn('ЖЖЖЖЖЖЖЖ', 'Tablet', '10.0.0.9')).toMatchObject({ error: { code: 'wrong-code' } })
    expect(door.letIn('ЖЖЖЖЖЖЖЖ', 'Tablet', '10.0.0.9')).toMatchObject({ error: { code: 'too-many-tries' } })
  })

  it('who comes in to read puts out no one who writes, and one address does not come in without end', () => {
    const door = new Door(fresh(), true)
    const writer = expectOk(door.letIn(door.codes.write, 'Bench', '10.0.0.1')).device
    let address = 0
    const enter = (may: 'write' | 'read') => {
      address += 1
      return door.letIn(door.codes[may], 'Wall', `10.0.1.${Math.floor(address / 10)}`)
    }
    for (let more = 0; more < 150; more += 1) expectOk(enter('read'))
    expect(door.devices).toHaveLength(100)
    expect(door.devices.map(({ id }) => id)).toContain(writer.id)
    for (let more = 0; more < 99; more += 1) expectOk(enter('write'))
    expect(door.devices.every(({ may }) => may === 'write')).toBe(true)
    expect(enter('read')).toMatchObject({ error: { code: 'too-many-screens' } })
    const often = Array.from({ length: 30 }, () => door.letIn(door.codes.write, 'Bench', '10.0.0.7').ok)
    expect(often.filter(Boolean)).toHaveLength(20)
  })

  it('a damaged file is made anew, and said', () => {
    const directory = fresh()
    const { write } = new Door(directory, true).codes
    const said = vi.spyOn(console, 'error').mockImplementation(() => undefined)
    writeFileSync(join(directory, 'door.json'), '{"codes": {"wri')
    const door = new Door(directory, true)
    expect(door.codes.write).not.toBe(write)
    expect(new Door(directory, true).codes).toEqual(door.codes)
    expect(said).toHaveBeenCalledTimes(1)
    said.mockRestore()
  })

  it('any host but this machine’s own implies it', () => {
    const at = (host: string) => expectOk(readSettings({ OVERHAUL_HOST: host }, [])).share
    expect(['127.0.0.1', 'localhost', '::1'].map(at)).toEqual([false, false, false])
    expect(['0.0.0.0', '192.168.1.5', 'workshop.local', '::'].map(at)).toEqual([true, true, true, true])
  })

  it('new codes show everybody out', () => {
    const door = new Door(fresh(), true)
    const before = door.codes.write
    expectOk(door.letIn(before, 'Tablet', '10.0.0.2'))
    door.changeCodes()
    expect(door.devices).toEqual([])
    expect(door.letIn(before, 'Tablet', '10.0.0.2').ok).toBe(false)
  })

  it('a workshop that is not shared asks nobody', () => {
    expect(new Door(fresh(), false).may(from('10.0.0.2'))).toBe('host')
  })
})

describe.skipIf(networkAddresses().length === 0)('over the network', () => {
  let workshop: Workshop
  let near: string
  let far: string
  beforeAll(async () => {
    workshop = expectOk(await serve({ data: fresh(), port: 0, host: '0.0.0.0', empty: true, share: true }))
    near = `http://127.0.0.1:${workshop.port}/api`
    far = `http://${networkAddresses()[0]}:${workshop.port}/api`
  })
  afterAll(() => workshop.close())

  // biome-ignore lint/suspicious/noExplicitAny: tests look into whatever came back
  const read = async (response: Response): Promise<any> => response.json()
  const json = { 'Content-Type': 'application/json' }
  const post = (url: string, body: unknown, cookie = '') =>
    fetch(url, { method: 'POST', headers: { ...json, cookie }, body: JSON.stringify(body) })
  const codes = async () => (await read(await fetch(`${near}/door`))).codes as { write: string; read: string }

  it('a stranger sees nothing, is told no code, and comes in by one', async () => {
    expect((await fetch(`${far}/bicycles`)).status).toBe(401)
    expect(await (await fetch(`${far}/door`)).json()).toEqual({ shared: true, may: 'none' })
    expect((await post(`${far}/door`, { code: 'WRONGONE', device: 'Phone' })).status).toBe(403)
    const entered = await post(`${far}/door`, { code: (await codes()).write, device: 'Phone' })
    expect(entered.status).toBe(201)
    const cookie = entered.headers.get('set-cookie')?.split(';')[0] ?? ''
    expect((await fetch(`${far}/bicycles`, { headers: { cookie } })).status).toBe(200)
    expect((await post(`${far}/bicycles`, { name: 'From the phone' }, cookie)).status).toBe(201)
    expect((await fetch(`${far}/door/codes`, { method: 'DELETE', headers: { cookie } })).status).toBe(403)
  })

  it('one that came in to read writes nothing', async () => {
    const entered = await post(`${far}/door`, { code: (await codes()).read, device: 'Wall' })
    const cookie = entered.headers.get('set-cookie')?.split(';')[0] ?? ''
    expect((await fetch(`${far}/bicycles`, { headers: { cookie } })).status).toBe(200)
    const refused = await post(`${far}/bicycles`, { name: 'x' }, cookie)
    expect(refused.status).toBe(403)
    expect((await read(refused)).error.code).toBe('read-only')
  })

  it('what a screen hears ends as it is shown out; others go on hearing', async () => {
    const inside = async (device: string) => {
      const entered = await post(`${far}/door`, { code: (await codes()).write, device })
      return entered.headers.get('set-cookie')?.split(';')[0] ?? ''
    }
    const [gone, stays] = [await inside('Gone'), await inside('Stays')]
    const bicycle = await read(await post(`${near}/bicycles`, { name: 'Heard' }))
    const hardware = { family: 'linear-pull', end: 'rear', dimensions: {} }
    const brake = await read(await post(`${near}/brakes`, { bicycleId: bicycle.id, hardware }))
    const job = await read(await post(`${near}/jobs`, { brakeId: brake.id }))
    const listen = async (cookie: string) => {
      const ending = new AbortController()
      const heard = await fetch(`${far}/jobs/${job.id}/stream`, { headers: { cookie }, signal: ending.signal })
      const state = { ended: false, stop: () => ending.abort() }
      heard.text().then(
        () => {
          state.ended = true
        },
        () => undefined,
      )
      return state
    }
    const [first, second] = [await listen(gone), await listen(stays)]
    const { devices } = await read(await fetch(`${near}/door`))
    const { id } = devices.find(({ name }: { name: string }) => name === 'Gone')
    await fetch(`${near}/door/devices/${id}`, { method: 'DELETE' })
    await expect.poll(() => first.ended).toBe(true)
    expect(second.ended).toBe(false)
    second.stop()
    const { id: other } = devices.find(({ name }: { name: string }) => name === 'Stays')
    await fetch(`${near}/door/devices/${other}`, { method: 'DELETE' })
  })

  it('the workshop’s own screen needs none, and shows code, picture, place and who is in', async () => {
    const door = await read(await fetch(`${near}/door`))
    expect(door).toMatchObject({ may: 'host', codes: { write: expect.stringMatching(/^[A-Z2-9]{8}$/) } })
    expect(door.qr).toContain('<svg')
    expect(door.places[0]).toMatch(/^http:\/\/\d/)
    expect(door.devices.map(({ name }: { name: string }) => name)).toEqual(['Phone', 'Wall'])
    const [phone] = door.devices
    expect((await fetch(`${near}/door/devices/${phone.id}`, { method: 'DELETE' })).status).toBe(204)
    expect((await fetch(`${near}/door/devices/${phone.id}`, { method: 'DELETE' })).status).toBe(404)
  })
})
