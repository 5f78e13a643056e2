import { PART_KINDS } from '@overhaul/core/drawer/kinds'
import type { Move, PartShape } from '@overhaul/core/drawer/part'
import { DRAWER_COLUMNS, rowOf } from '@overhaul/core/drawer/rows'
import express, { type Request, Router } from 'express'
import Joi from 'joi'
import Papa from 'papaparse'
import { answer } from '../app/answer.ts'
import { orThrow } from '../app/fault.ts'
import { ID, NAME, REMARK } from '../app/told.ts'
import { validate } from '../app/validate.ts'
import type { Workers } from '../workers/workers.ts'
import type { Drawer } from './drawer.ts'
import { FORMULA } from './file.ts'

const MOST_FILE = '2mb'
const BY = NAME(40)

const SHAPE = {
  code: NAME(60),
  kind: Joi.string().valid(...PART_KINDS.map((each) => each.id)),
  name: NAME(200),
  dimensions: Joi.object().pattern(Joi.string().max(40), Joi.number()),
  material: REMARK(40),
  minimum: Joi.number().integer(),
  price: Joi.number().allow(null),
}
const NEW_PART = Joi.object<PartShape & { count: number; by: string }>({
  ...SHAPE,
  code: SHAPE.code.required(),
  kind: SHAPE.kind.required(),
  name: SHAPE.name.required(),
  dimensions: SHAPE.dimensions.required(),
  material: SHAPE.material.default(''),
  minimum: SHAPE.minimum.default(0),
  count: Joi.number().integer().min(0).max(100_000).default(0),
  by: BY.required(),
})
const CHANGE = Joi.object<Partial<PartShape>>(SHAPE).min(1)
const MOVES = Joi.array<Move[]>()
  .items(
    Joi.object({
      id: ID.required(),
      partId: Joi.string().required(),
      delta: Joi.number().integer().required(),
      jobId: Joi.string(),
      why: REMARK(200),
      by: BY.required(),
    }),
  )
  .min(1)
  .max(100)
const FILE_QUERY = Joi.object<{ dryRun: 'true' | 'false'; by: string }>({
  dryRun: Joi.string().valid('true', 'false').default('false'),
  by: BY.default('file'),
})
const MOVES_QUERY = Joi.object<{ jobId?: string }>({ jobId: Joi.string() })

/** Small parts: what there is, what is taken and returned, and the whole drawer as a CSV file. */
export function drawerRoutes(drawer: Drawer, workers: Workers): Router {
  const router = Router()

  router.get('/', async (_request, response) => {
    response.type('json').send(await workers.look('parts'))
  })

  router.post('/', async (request, response) => {
    const { count, by, ...shape } = validate(NEW_PART, request.body)
    answer(response, 'POST drawer', orThrow(await drawer.add(shape, count, by)), 201)
  })

  router.get('/moves', async (request, response) => {
    const { jobId } = validate(MOVES_QUERY, request.query, 'query')
    answer(response, 'GET drawer/moves', await drawer.movesOf(jobId))
  })

  router.post('/moves', async (request, response) => {
    const moved = orThrow(await drawer.move(validate(MOVES, request.body)))
    response.status(moved.accepted.length > 0 ? 201 : 200).json(moved)
  })

  router.get('/drawer.csv', async (_request, response) => {
    const rows = (await drawer.parts()).map(rowOf)
    response.setHeader('Content-Disposition', 'attachment; filename="drawer.csv"')
    response
      .type('text/csv')
      .send(`${Papa.unparse({ fields: [...DRAWER_COLUMNS], data: rows }, { escapeFormulae: FORMULA })}\r\n`)
  })

  router.post('/drawer.csv', express.text({ type: 'text/csv', limit: MOST_FILE }), async (request, response) => {
    const { dryRun, by } = validate(FILE_QUERY, request.query, 'query')
    const { parts, bad } = orThrow(await workers.look('drawerFile', request.body))
    const tried = dryRun === 'true'
    answer(response, 'POST drawer/drawer.csv', { dryRun: tried, ...(await drawer.restock(parts, by, tried)), bad })
  })

  /** How far a file is written that is being written now. */
  router.get('/progress', (_request, response) => {
    answer(response, 'GET drawer/progress', drawer.progress)
  })

  router.patch('/:id', async (request: Request<{ id: string }>, response) => {
    answer(
      response,
      'PATCH drawer/:id',
      orThrow(await drawer.change(request.params.id, validate(CHANGE, request.body))),
    )
  })

  return router
}
