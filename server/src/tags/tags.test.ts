import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testWorkshop } from '../testing/workshop.ts'
import { tagAddress } from './address.ts'

let shop: Awaited<ReturnType<typeof testWorkshop>>
beforeAll(async () => {
  shop = await testWorkshop()
})
afterAll(() => shop.close())

describe('a bicycle’s code', () => {
  it('is given when it is hung up, finds it again, and is nobody else’s', async () => {
    const codes = new Set<string>()
    for (let index = 0; index < 20; index += 1) {
      const { body } = await shop.post('bicycles', { name: `Hire ${index}` })
      expect(body.code).toMatch(/^[23456789BCDFGHJKMNPQRSTVWXZ]{5}$/)
      codes.add(body.code)
      expect((await shop.get(`tags/${String(body.code).toLowerCase()}`)).body).toMatchObject({
        code: body.code,
        bicycleId: body.id,
        name: `Hire ${index}`,
      })
    }
    expect(codes.size).toBe(20)
  })

  it('stays with it over a restart, and nobody’s is refused', async () => {
    const { body } = await shop.post('bicycles', { name: 'kept' })
    await shop.restart()
    expect((await shop.get(`bicycles/${body.id}`)).body.code).toBe(body.code)
    const none = await shop.get('tags/00000')
    expect(none).toMatchObject({ status: 404, body: { error: { code: 'unknown-code', field: 'code' } } })
  })

  it('has an address, and a picture of it, only where the workshop answers on its network', async () => {
    const { body } = await shop.post('bicycles', { name: 'alone' })
    const tag = (await shop.get(`tags/${body.code}`)).body
    expect(tag.address).toBeUndefined()
    expect(tag.qr).toBeUndefined()
    expect(tagAddress(['http://10.0.0.7:4117'], 'K7WXZ')).toBe('http://10.0.0.7:4117/b/K7WXZ')
    expect(tagAddress([], 'K7WXZ')).toBeUndefined()
  })
})
