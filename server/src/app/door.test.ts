import { mkdtempSync, readFileSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expectOk } from '@overhaul/core/outcome/outcome'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Door, isHost } from './door.ts'
import { networkAddresses } from './guard.ts'
import { serve, type Workshop } from './serve.ts'

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
