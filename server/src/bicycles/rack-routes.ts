import { Router } from 'express'
import { answer } from '../app/answer.ts'
import { isUnchanged } from '../app/lists.ts'
import { rackCount } from '../db/rack.ts'
import type { Store } from '../db/store.ts'
import type { Counts } from '../rail/bicycles.ts'
import type { Workers } from '../workers/workers.ts'

/** What a rack on a screen asks again and again: whether anything changed, and how many bicycles are in each part of it. */
export function rackRoutes(store: Store, workers: Workers): Router {
  const router = Router()
  const { db } = store
  let told: { readonly changes: number; readonly day: string; readonly counts: Promise<Counts> } | undefined

  router.get('/', async (request, response) => {
    const changes = await rackCount(db)
    if (isUnchanged(request, response, store, changes)) return
    const day = new Date().toISOString().slice(0, 10)
    // Counted once for all the screens that ask.
    if (told?.changes !== changes || told.day !== day) {
      told = { changes, day, counts: workers.look('counts', day) }
      told.counts.catch(() => {
        told = undefined
      })
    }
    answer(response, 'GET rack', { changes, epoch: store.epoch, ...(await told.counts) })
  })

  return router
}
