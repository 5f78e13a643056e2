import { MOST_LETTERS, type Workshop } from '@overhaul/core/sheet/workshop'
import { Router } from 'express'
import Joi from 'joi'
import { answer } from '../app/answer.ts'
import { LINE } from '../app/told.ts'
import { validate } from '../app/validate.ts'
import { workshop } from '../db/schema.ts'
import type { Store } from '../db/store.ts'
import { THE_WORKSHOP, workshopIn } from '../db/workshop.ts'

const TOLD = Joi.object<Workshop>({
  name: LINE(MOST_LETTERS.name).required(),
  address: LINE(MOST_LETTERS.address).required(),
  telephone: LINE(MOST_LETTERS.telephone).required(),
})

/** Who prints: asked once, printed on everything. */
export function workshopRoutes(store: Store): Router {
  const router = Router()

  router.get('/', async (_request, response) => {
    answer(response, 'GET workshop', await workshopIn(store.db))
  })

  router.put('/', async (request, response) => {
    const told = validate(TOLD, request.body)
    const row = { id: THE_WORKSHOP, ...told }
    await store.write([store.db.insert(workshop).values(row).onConflictDoUpdate({ target: workshop.id, set: told })])
    answer(response, 'PUT workshop', told)
  })

  return router
}
