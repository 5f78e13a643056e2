import { randomUUID } from 'node:crypto'
import type { Hardware } from '@overhaul/core/stand/hardware'
import { changedBy, type HardwareChange } from '@overhaul/core/stand/history'
import { checkHardware } from '@overhaul/core/workshop/open'
import { eq } from 'drizzle-orm'
import { type Request, type Response, Router } from 'express'
import Joi from 'joi'
import { HttpFault, notFound, orThrow } from '../app/fault.ts'
import { NAME, TIME } from '../app/told.ts'
import { validate } from '../app/validate.ts'
import { bicycles, brakes } from '../db/schema.ts'
import { isTaken, type Store } from '../db/store.ts'
import type { Ledger } from '../jobs/ledger.ts'
import type { Streams } from '../jobs/stream.ts'
import { HARDWARE } from './hardware-schema.ts'

const CHANGE = Joi.alternatives<HardwareChange>(
  Joi.object({
    dimension: Joi.string().required(),
    value: Joi.number().required(),
    provenance: Joi.string().valid('measured', 'maker').required(),
    instrument: NAME(60),
    since: TIME.required(),
    by: NAME(40).required(),
  }),
  Joi.object({ dimension: Joi.string().required(), takeBack: TIME.required() }),
)
const CHANGES = Joi.object<{ changes: HardwareChange[] }>({
  changes: Joi.array().items(CHANGE).min(1).max(100).required(),
})
const NEW_BRAKE = Joi.object<{ bicycleId: string; hardware: Hardware }>({
  bicycleId: Joi.string().required(),
  hardware: HARDWARE.required(),
})

/** Brakes: what hangs at one end of one bicycle, with its measured dimensions and where they come from. */
export function brakeRoutes(store: Store, ledger: Ledger, streams: Streams): Router {
  const router = Router()
  const { db } = store

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
    await store.write([db.insert(brakes).values(row)]).catch((error: unknown) => {
      if (!isTaken(error)) throw error
      const message = `${bicycle.name} already has a ${hardware.end} brake.`
      throw new HttpFault(409, { code: 'brake-exists', field: 'hardware.end', message })
    })
    response.status(201).json(row)
  })

  router.patch('/:id', async (request: Request<{ id: string }>, response: Response) => {
    const { changes } = validate(CHANGES, request.body)
    const { id } = request.params
    const changed = await ledger.onBrake(id, async () => {
      const [row] = await db.select().from(brakes).where(eq(brakes.id, id))
      if (!row) throw notFound('unknown-brake', 'id', `There is no brake “${id}”.`)
      const hardware = orThrow(changedBy(row.hardware, changes))
      orThrow(checkHardware(hardware))
      await store.write([db.update(brakes).set({ hardware }).where(eq(brakes.id, id))])
      return { ...row, hardware }
    })
    for (const jobId of await ledger.hardwareChanged(id)) streams.tell(jobId, 'hardware', changed.hardware)
    response.json(changed)
  })

  return router
}
