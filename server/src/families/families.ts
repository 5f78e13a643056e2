import { catalogued } from '@overhaul/core/workshop/catalogue'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { Router } from 'express'

/** The brake families this workshop knows, with their hardware, adjusters, readings, schools and steps. */
export function familyRoutes(): Router {
  const router = Router()
  const all = FAMILIES.map(catalogued)
  router.get('/', (_request, response) => {
    response.json(all)
  })
  return router
}
