import { PART_KINDS } from '@overhaul/core/drawer/kinds'
import type { Move, PartShape } from '@overhaul/core/drawer/part'
import { DRAWER_COLUMNS, type Row, readRows, rowOf } from '@overhaul/core/drawer/rows'
import express, { type Request, Router } from 'express'
import Joi from 'joi'
import Papa from 'papaparse'
import { HttpFault, orThrow } from '../app/fault.ts'
import { ID, NAME, REMARK } from '../app/told.ts'
import { validate } from '../app/validate.ts'
import type { Workers } from '../workers/workers.ts'
import type { Drawer } from './drawer.ts'

const MOST_FILE = '2mb'
const MOST_ROWS = 10_000
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

/** What a table program would take for a formula: led by a quote in the file, and without it here. */
const FORMULA = /^'*[=+\-@\t\r]/
const LED = /^'(?='*[=+\-@\t\r])/

const badFile = (field: string, message: string) => new HttpFault(400, { code: 'bad-file', field, message })

/** A CSV text as rows by column. Refuses a file without the columns every part has, and columns nobody knows. */
function rowsOf(text: unknown): readonly Row[] {
  if (typeof text !== 'string' || text.trim() === '')
    throw badFile('body', 'The file is empty. Accepted: CSV with a header line, sent as text/csv.')
  const { data, meta, errors } = Papa.parse<Row>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transform: (cell) => cell.replace(LED, ''),
  })
  const columns = meta.fields ?? []
  const missing = ['code', 'kind', 'name'].filter((each) => !columns.includes(each))
  if (missing.length > 0)
    throw badFile('header', `The header lacks ${missing.join(', ')}. Accepted: ${DRAWER_COLUMNS.join(', ')}.`)
  const unknown = columns.filter((each) => !DRAWER_COLUMNS.includes(each))
  if (unknown.length > 0)
    throw badFile('header', `The header has “${unknown.join('”, “')}”. Accepted: ${DRAWER_COLUMNS.join(', ')}.`)
  const quotes = errors.find((each) => each.type === 'Quotes')
  if (quotes) throw badFile('body', `Line ${(quotes.row ?? 0) + 2}: a quotation mark is not closed.`)
  if (data.length > MOST_ROWS) throw badFile('body', `${data.length} rows. Accepted: at most ${MOST_ROWS}.`)
  return data
}

/** Small parts: what there is, what is taken and returned, and the whole drawer as a CSV file. */
export function drawerRoutes(drawer: Drawer, workers: Workers): Router {
  const router = Router()

  router.get('/', async (_request, response) => {
    response.type('json').send(await workers.look('parts'))
  })

  router.post('/', async (request, response) => {
    const { count, by, ...shape } = validate(NEW_PART, request.body)
    response.status(201).json(orThrow(await drawer.add(shape, count, by)))
  })

  router.get('/moves', async (request, response) => {
    const { jobId } = validate(MOVES_QUERY, request.query, 'query')
    response.json(await drawer.movesOf(jobId))
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
    const { parts, bad } = readRows(rowsOf(request.body))
    const tried = dryRun === 'true'
    response.json({ dryRun: tried, ...(await drawer.restock(parts, by, tried)), bad })
  })

  router.patch('/:id', async (request: Request<{ id: string }>, response) => {
    response.json(orThrow(await drawer.change(request.params.id, validate(CHANGE, request.body))))
  })

  return router
}
