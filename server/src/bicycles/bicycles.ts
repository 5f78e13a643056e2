import { randomUUID } from 'node:crypto'
import type { End } from '@overhaul/core/brake/dimension'
import type { Hardware } from '@overhaul/core/stand/hardware'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { checkHardware } from '@overhaul/core/workshop/open'
import { and, eq, isNull, ne } from 'drizzle-orm'
import { type Request, type Response, Router } from 'express'
import Joi from 'joi'
import { answer } from '../app/answer.ts'
import { HttpFault, notFound, orThrow } from '../app/fault.ts'
import { groupBy } from '../app/group-by.ts'
import { Lists, PAGE, SOUGHT, STATION } from '../app/lists.ts'
import { ID, NAME, REMARK } from '../app/told.ts'
import { validate } from '../app/validate.ts'
import { HARDWARE } from '../brakes/hardware-schema.ts'
import { newCode } from '../db/codes.ts'
import { bicycles, brakes, jobs } from '../db/schema.ts'
import { isTaken, type Store } from '../db/store.ts'
import type { Ledger } from '../jobs/ledger.ts'
import type { Streams } from '../jobs/stream.ts'
import { PARTS, type RackWish, SORTS } from '../rail/bicycles.ts'
import type { Workers } from '../workers/workers.ts'

const BICYCLE_NAME = NAME(80)
const NEW_BICYCLE = Joi.object<{ id?: string; name: string; description?: string }>({
  /** Made by the client, so that a retry hangs up no second bicycle. */
  id: ID,
  name: BICYCLE_NAME.required(),
  description: REMARK(500),
})
const CHANGE = Joi.object<{ name?: string; description?: string; retired?: boolean }>({
  retired: Joi.boolean(),
  name: BICYCLE_NAME,
  description: REMARK(500),
}).min(1)

const HANG = Joi.object<{ brakeId: string | null; hardware?: Omit<Hardware, 'end'> }>({
  brakeId: ID.allow(null).required(),
  hardware: HARDWARE.fork('end', (end) => end.forbidden()),
})
const END = Joi.string<End>().valid('front', 'rear').required()

type RackQuery = { readonly limit?: number; readonly after?: string } & Partial<RackWish>
const RACK_QUERY = Joi.object<RackQuery>({
  ...PAGE,
  part: Joi.string().valid(...PARTS),
  q: SOUGHT,
  family: Joi.string().valid(...FAMILIES.map(({ id }) => id)),
  station: STATION,
  sort: Joi.string().valid(...SORTS),
})

const TRIES = 20

/** Writes with a code nobody has yet: one that is taken is drawn again. */
async function withCode<T>(write: (code: string) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await write(newCode())
    } catch (error) {
      if (!isTaken(error) || tries === TRIES) throw error
    }
  }
}

/** Bicycles, each with its brakes and the newest job on each brake: what hangs on the rack. */
export function bicycleRoutes(store: Store, workers: Workers, ledger: Ledger, streams: Streams): Router {
  const router = Router()
  const { db } = store
  const lists = new Lists(store, (ids) => ledger.freshen(ids))

  router.get('/', async (request, response) => {
    const { limit, after, sort = 'name', ...more } = validate<RackQuery>(RACK_QUERY, request.query, 'query')
    const wish: RackWish = { sort, ...more }
    await lists.send(
      request,
      response,
      { limit, after },
      {
        find: (id) => find(id, 'after'),
        total: () => workers.look('countBicycles', wish),
        page: (most, seen) => workers.look('bicycles', wish, most, seen),
      },
    )
  })

  router.post('/', async (request, response) => {
    const { id = randomUUID(), name, description = '' } = validate(NEW_BICYCLE, request.body)
    const row = { id, name, description, createdAt: new Date().toISOString() }
    const code = await withCode(async (drawn) => {
      await store.write([
        db
          .insert(bicycles)
          .values({ ...row, code: drawn })
          .onConflictDoNothing({ target: bicycles.id }),
      ])
      return drawn
    })
    const hung = await find(id)
    response.status(hung.code === code ? 201 : 200).json(hung)
  })

  const find = async (id: string, field = 'id') => {
    const [row] = await db.select().from(bicycles).where(eq(bicycles.id, id))
    if (!row) throw notFound('unknown-bicycle', field, `There is no bicycle “${id}” on the rack.`)
    return row
  }

  router.get('/:id', async (request: Request<{ id: string }>, response: Response) => {
    const row = await find(request.params.id)
    const all = await db.select().from(brakes).where(eq(brakes.bicycleId, row.id)).orderBy(brakes.createdAt)
    const worked = await db
      .select({
        id: jobs.id,
        number: jobs.number,
        brakeId: jobs.brakeId,
        openedAt: jobs.openedAt,
        releasedAt: jobs.releasedAt,
        closedAt: jobs.closedAt,
        complaint: jobs.complaint,
        summary: jobs.summary,
      })
      .from(jobs)
      .innerJoin(brakes, eq(brakes.id, jobs.brakeId))
      .where(eq(brakes.bicycleId, row.id))
      .orderBy(jobs.number)
    const told = worked.map(({ summary: { nextSay, readings = [], minutes = 0 }, ...job }) => ({
      ...job,
      says: nextSay,
      readings,
      minutes,
    }))
    const ofBrake = groupBy(told, (job) => job.brakeId)
    const hung = all.map((brake) => ({ ...brake, jobs: ofBrake.get(brake.id) ?? [] }))
    answer(response, 'GET bicycles/:id', { ...row, brakes: hung })
  })

  /**
   * What hangs at an end: this brake, known or new, and whatever hung there before is retired with its jobs. Nothing
   * hangs there where none is named. Asked twice it is done once, and asked for the former brake it is undone.
   */
  router.put('/:id/ends/:end', async (request: Request<{ id: string; end: string }>, response: Response) => {
    const { brakeId, hardware } = validate(HANG, request.body)
    const end = validate<End>(END, request.params.end, 'end')
    const bicycle = await find(request.params.id)
    const now = new Date().toISOString()
    const there = and(eq(brakes.bicycleId, bicycle.id), eq(brakes.end, end))
    const retire = db
      .update(brakes)
      .set({ retiredAt: now })
      .where(and(there, isNull(brakes.retiredAt), brakeId === null ? undefined : ne(brakes.id, brakeId)))
    const [known] = brakeId === null ? [] : await db.select().from(brakes).where(eq(brakes.id, brakeId))
    if (known && (known.bicycleId !== bicycle.id || known.end !== end)) {
      const message = `This brake belongs to another end or another bicycle. Accepted: one that hung at this ${end}.`
      throw new HttpFault(409, { code: 'brake-elsewhere', field: 'brakeId', message })
    }
    if (brakeId === null) await store.write([retire])
    else if (known) {
      await store.write([retire, db.update(brakes).set({ retiredAt: null }).where(eq(brakes.id, brakeId))])
    } else {
      if (!hardware)
        throw notFound('unknown-brake', 'brakeId', `There is no brake “${brakeId}”; a new one needs its hardware.`)
      const hung = { ...hardware, end }
      orThrow(checkHardware(hung))
      const row = { id: brakeId, bicycleId: bicycle.id, end, hardware: hung, createdAt: now }
      await store.write([retire, db.insert(brakes).values(row)])
    }
    const [hanging] = await db
      .select()
      .from(brakes)
      .where(and(there, isNull(brakes.retiredAt)))
    response.json({ brake: hanging ?? null })
  })

  router.patch('/:id', async (request: Request<{ id: string }>, response: Response) => {
    const { retired, ...told } = validate(CHANGE, request.body)
    const row = await find(request.params.id)
    const retiredAt = retired ? (row.retiredAt ?? new Date().toISOString()) : null
    const change = { ...told, ...(retired !== undefined && { retiredAt }) }
    await store.write([db.update(bicycles).set(change).where(eq(bicycles.id, row.id))])
    const now = { ...row, ...change }
    const hung = await db.select({ id: brakes.id }).from(brakes).where(eq(brakes.bicycleId, row.id))
    for (const { id } of await ledger.changed(hung.map((brake) => brake.id))) streams.tell(id, 'bicycle', now)
    response.json(now)
  })

  return router
}
