import { randomUUID } from 'node:crypto'
import { checkHardware, type Hardware } from '@overhaul/core/stand/hardware'
import { eq } from 'drizzle-orm'
import { Router } from 'express'
import Joi from 'joi'
import { HttpFault, notFound, orThrow } from '../app/fault.ts'
import { validate } from '../app/validate.ts'
import { bicycles, brakes } from '../db/schema.ts'
import { isTaken, type Store } from '../db/store.ts'

const HARDWARE = Joi.object<Hardware>({
  family: Joi.string().required(),
  end: Joi.string().valid('front', 'rear').required(),
  dimensions: Joi.object()
    .pattern(
      Joi.string(),
      Joi.object({
        value: Joi.number().required(),
        provenance: Joi.string().valid('measured', 'maker').required(),
        instrument: Joi.string().max(60),
      }),
    )
    .required(),
  practiceSeed: Joi.number().integer().min(0),
})
const NEW_BRAKE = Joi.object<{ bicycleId: string; hardware: Hardware }>({
  bicycleId: Joi.string().required(),
  hardware: HARDWARE.required(),
})

/** Brakes: what hangs at one end of one bicycle, with its measured dimensions and where they come from. */
export function brakeRoutes({ db }: Store): Router {
  const router = Router()

  router.get('/', async (request, response) => {
    const { bicycleId } = validate(
      Joi.object<{ bicycleId?: string }>({ bicycleId: Joi.string() }),
      request.query,
      'query',
    )
    response.json(
      await db
        .select()
        .from(brakes)
        .where(bicycleId ? eq(brakes.bicycleId, bicycleId) : undefined),
    )
  })

  router.post('/', async (request, response) => {
    const { bicycleId, hardware } = validate(NEW_BRAKE, request.body)
    orThrow(checkHardware(hardware))
    const [bicycle] = await db.select().from(bicycles).where(eq(bicycles.id, bicycleId))
    if (!bicycle) throw notFound('unknown-bicycle', 'bicycleId', `There is no bicycle “${bicycleId}” on the rack.`)
    const row = { id: randomUUID(), bicycleId, end: hardware.end, hardware, createdAt: new Date().toISOString() }
    await db
      .insert(brakes)
      .values(row)
      .catch((error) => {
        if (!isTaken(error)) throw error
        const message = `${bicycle.name} already has a ${hardware.end} brake.`
        throw new HttpFault(409, { code: 'brake-exists', field: 'hardware.end', message })
      })
    response.status(201).json(row)
  })

  return router
}
