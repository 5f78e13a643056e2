import { sayEnds } from '@overhaul/core/sheet/tag'
import { eq } from 'drizzle-orm'
import { type Request, type Response, Router } from 'express'
import QRCode from 'qrcode'
import { answer } from '../app/answer.ts'
import { notFound } from '../app/fault.ts'
import { endsOf } from '../db/ends.ts'
import { bicycles } from '../db/schema.ts'
import type { Store } from '../db/store.ts'
import { tagAddress } from './address.ts'

/** Tags by their short codes: whose it is, and a picture of its address for another screen’s camera. */
export function tagRoutes(store: Store, places: () => readonly string[]): Router {
  const router = Router()

  router.get('/:code', async (request: Request<{ code: string }>, response: Response) => {
    const code = request.params.code.toUpperCase()
    const [bicycle] = await store.db.select().from(bicycles).where(eq(bicycles.code, code))
    if (!bicycle)
      throw notFound(
        'unknown-code',
        'code',
        `No bicycle of this workshop has the code “${code}”. It stands on its tag.`,
      )
    const standing = await endsOf(store.db, bicycle.id)
    const address = tagAddress(places(), code)
    answer(response, 'GET tags/:code', {
      code,
      bicycleId: bicycle.id,
      name: bicycle.name,
      ends: sayEnds(standing),
      standing,
      ...(address && { address, qr: await QRCode.toString(address, { type: 'svg', margin: 1 }) }),
    })
  })

  return router
}
