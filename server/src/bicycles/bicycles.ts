import { randomUUID } from 'node:crypto'
import { eq } from 'drizzle-orm'
import { type Request, type Response, Router } from 'express'
import Joi from 'joi'
import { notFound } from '../app/fault.ts'
import { groupBy } from '../app/group-by.ts'
import { validate } from '../app/validate.ts'
import { bicycles, brakes, jobs } from '../db/schema.ts'
import type { Store } from '../db/store.ts'
import type { Ledger } from '../jobs/ledger.ts'
import type { Streams } from '../jobs/stream.ts'
import { LAST_SEQ } from '../jobs/summary.ts'

const NAME = Joi.string().trim().min(1).max(80)
const NEW_BICYCLE = Joi.object<{ name: string; description?: string }>({
  name: NAME.required(),
  description: Joi.string().max(500).allow(''),
})
const CHANGE = Joi.object<{ name?: string; description?: string }>({
  name: NAME,
  description: Joi.string().max(500).allow(''),
}).min(1)

/** Bicycles, each with its brakes and the newest job on each brake: what hangs on the rack. */
export function bicycleRoutes({ db }: Store, ledger: Ledger, streams: Streams): Router {
  const router = Router()

  const rack = async () => {
    const [allBicycles, allBrakes, allJobs] = await Promise.all([
      db.select().from(bicycles).orderBy(bicycles.name),
      db
        .select({ id: brakes.id, bicycleId: brakes.bicycleId, end: brakes.end, hardware: brakes.hardware })
        .from(brakes),
      db.select({ job: jobs, lastSeq: LAST_SEQ }).from(jobs).orderBy(jobs.number),
    ])
    const newestAt = new Map(allJobs.map((each) => [each.job.brakeId, each]))
    const newest = new Map((await ledger.fresh([...newestAt.values()])).map((job) => [job.brakeId, job]))
    const ofBicycle = groupBy(allBrakes, (brake) => brake.bicycleId)
    return allBicycles.map((bicycle) => ({
      ...bicycle,
      brakes: (ofBicycle.get(bicycle.id) ?? []).map(({ id, end, hardware }) => ({
        id,
        end,
        family: hardware.family,
        job: newest.get(id) ?? null,
      })),
    }))
  }

  router.get('/', async (_request, response) => {
    response.json(await rack())
  })

  router.post('/', async (request, response) => {
    const { name, description = '' } = validate(NEW_BICYCLE, request.body)
    const row = { id: randomUUID(), name, description, createdAt: new Date().toISOString() }
    await db.insert(bicycles).values(row)
    response.status(201).json(row)
  })

  const find = async (id: string) => {
    const [row] = await db.select().from(bicycles).where(eq(bicycles.id, id))
    if (!row) throw notFound('unknown-bicycle', 'id', `There is no bicycle “${id}” on the rack.`)
    return row
  }

  router.get('/:id', async (request: Request<{ id: string }>, response: Response) => {
    const row = await find(request.params.id)
    response.json({ ...row, brakes: await db.select().from(brakes).where(eq(brakes.bicycleId, row.id)) })
  })

  router.patch('/:id', async (request: Request<{ id: string }>, response: Response) => {
    const change = validate(CHANGE, request.body)
    const row = await find(request.params.id)
    await db.update(bicycles).set(change).where(eq(bicycles.id, row.id))
    const now = { ...row, ...change }
    await ledger.changed(row.id, change)
    const open = await db
      .select({ id: jobs.id })
      .from(jobs)
      .innerJoin(brakes, eq(brakes.id, jobs.brakeId))
      .where(eq(brakes.bicycleId, row.id))
    for (const { id } of open) streams.tell(id, 'bicycle', now)
    response.json(now)
  })

  return router
}
