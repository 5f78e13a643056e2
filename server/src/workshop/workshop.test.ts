import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { testWorkshop } from '../testing/workshop.ts'

let shop: Awaited<ReturnType<typeof testWorkshop>>
beforeAll(async () => {
  shop = await testWorkshop()
})
afterAll(() => shop.close())

const put = (body: unknown) => shop.call('PUT', 'workshop', body)

const TOLD = { name: 'Lockside Hire', address: '3 Lock Lane', telephone: '01632 960 117' }

describe('whose papers they are', () => {
  it('is nobody’s until it is told, and then stays, over a restart too', async () => {
    expect((await shop.get('workshop')).body).toEqual({ name: '', address: '', telephone: '' })
    expect(await put(TOLD)).toEqual({ status: 200, body: TOLD })
    expect(await put({ ...TOLD, telephone: '' })).toEqual({ status: 200, body: { ...TOLD, telephone: '' } })
    await shop.restart()
    expect((await shop.get('workshop')).body).toEqual({ ...TOLD, telephone: '' })
  })

  it('what is not one line, too long or missing is refused by name, and nothing is lost', async () => {
    for (const [body, field] of [
      [{ ...TOLD, address: '3 Lock Lane\nTowpath' }, 'address'],
      [{ ...TOLD, name: 'x'.repeat(81) }, 'name'],
      [{ name: 'Lockside', address: '' }, 'telephone'],
    ] as const)
      expect(await put(body)).toMatchObject({ status: 400, body: { error: { field } } })
    expect((await shop.get('workshop')).body).toMatchObject({ name: 'Lockside Hire' })
  })
})
