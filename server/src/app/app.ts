import { existsSync } from 'node:fs'
import { join } from 'node:path'
import type { Code } from '@overhaul/core/outcome/kinds'
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express'
import staticGzip from 'express-static-gzip'
import { bicycleRoutes } from '../bicycles/bicycles.ts'
import { rackRoutes } from '../bicycles/rack-routes.ts'
import { brakeRoutes } from '../brakes/brakes.ts'
import { calculationRoutes } from '../calculations/calculations.ts'
import type { Store } from '../db/store.ts'
import { DamagedRecord, DataTrouble, troubleOf } from '../db/trouble.ts'
import type { Drawer } from '../drawer/drawer.ts'
import { drawerRoutes } from '../drawer/routes.ts'
import { familyRoutes } from '../families/families.ts'
import { jobRoutes } from '../jobs/jobs.ts'
import type { Ledger } from '../jobs/ledger.ts'
import type { Streams } from '../jobs/stream.ts'
import { tagRoutes } from '../tags/tags.ts'
import type { Workers } from '../workers/workers.ts'
import { workshopRoutes } from '../workshop/workshop.ts'
import { answer } from './answer.ts'
import type { Door } from './door.ts'
import { doorRoutes } from './door-routes.ts'
import { HttpFault, notFound, withKind } from './fault.ts'
import { guard } from './guard.ts'
import { headers, page } from './headers.ts'
import { VERSION } from './version.ts'

const MOST_BODY = '256kb'

/** What is wrong with a request itself, by the kind the parser or the router gives it. */
type Refused = readonly [code: Code, field: string, message: string]

const REQUESTS: Readonly<Record<string, Refused>> = {
  'entity.parse.failed': ['broken-json', 'body', 'The body is not JSON. Nothing was written.'],
  'entity.too.large': [
    'too-large',
    'body',
    `The body is larger than ${MOST_BODY}. Send it in parts; nothing was written.`,
  ],
  'charset.unsupported': ['wrong-charset', 'Content-Type', 'The charset is not understood. Accepted: utf-8.'],
  'encoding.unsupported': [
    'wrong-encoding',
    'Content-Encoding',
    'The encoding is not understood. Accepted: gzip, deflate, br, or none.',
  ],
}

/** A fault of the client’s, if it was one: anything below 500 that came with a status of its own. */
function clientFault(error: unknown): HttpFault | undefined {
  const { status, type, message } = error as { status?: unknown; type?: unknown; message?: unknown }
  if (typeof status !== 'number' || status < 400 || status > 499) return undefined
  const unread: Refused = [
    'bad-request',
    'request',
    `The request could not be read (${String(message)}). Nothing was written.`,
  ]
  const [code, field, say] = REQUESTS[String(type)] ?? unread
  return new HttpFault(status, { code, field, message: say })
}

/** What the parser or the code threw, as the one error shape every client knows. */
const onError: ErrorRequestHandler = (error, request, response, next) => {
  // Whoever asked is gone, as when the workshop is closed while a sheet is printed.
  if (response.destroyed || request.socket.destroyed) return
  if (response.headersSent) return next(error)
  if (error instanceof DamagedRecord) return void response.status(409).json({ error: withKind(error.fault) })
  if (error instanceof HttpFault) return void response.status(error.status).json({ error: withKind(error.fault) })
  const trouble = troubleOf(error)
  const fault = trouble ? new HttpFault(503, { ...trouble, field: 'OVERHAUL_DATA' }) : clientFault(error)
  if (fault) return void response.status(fault.status).json({ error: fault.fault })
  console.error(error)
  response.status(500).json({
    error: {
      code: 'internal',
      field: '',
      message: 'Something went wrong here, not with you. Nothing was written; try again.',
    },
  })
}

/** Nothing is acknowledged that could not be read again. */
const stopWriting =
  (store: Store): RequestHandler =>
  (request, _response, next) => {
    const message = request.method === 'GET' || request.method === 'HEAD' ? undefined : store.trouble()
    if (message) throw new DataTrouble(message)
    next()
  }

const onUnknown: RequestHandler = (request) => {
  throw notFound('unknown-path', 'path', `There is nothing at ${request.method} ${request.path}.`)
}

export interface Served {
  readonly store: Store
  readonly workers: Workers
  readonly ledger: Ledger
  readonly streams: Streams
  readonly drawer: Drawer
  readonly hosts: () => readonly string[]
  readonly door: Door
  /** Where it answers on the workshop's network, as a browser writes it. */
  readonly places: () => readonly string[]
  /** Where the built interface lies, if it is served from here. */
  readonly web?: string
}

/** What was built, as it was compressed when it was built; its names change with what is in it. */
const compressed = (folder: string): RequestHandler =>
  staticGzip(folder, {
    enableBrotli: true,
    orderPreference: ['br'],
    serveStatic: { immutable: true, maxAge: '1y', index: false },
  })

/** The HTTP face of the workshop. No formula lives here. */
export function createApp({ store, workers, ledger, streams, drawer, hosts, door, places, web }: Served): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(headers)
  app.use(guard(hosts))
  app.use(express.json({ limit: MOST_BODY }))
  app.get('/api/health', (_request, response) => {
    const trouble = store.trouble()
    const status = store.isDamaged() ? 'damaged' : trouble ? 'in-trouble' : 'ok'
    answer(
      response,
      'GET health',
      { status, version: VERSION, schemaVersion: store.schemaVersion, ...(trouble && { trouble }) },
      trouble ? 503 : 200,
    )
  })
  app.use('/api/door', doorRoutes(door, streams, places))
  app.use('/api', door.check)
  app.use('/api', stopWriting(store))
  app.use('/api/bicycles', bicycleRoutes(store, workers, ledger, streams))
  app.use('/api/rack', rackRoutes(store, workers))
  app.use('/api/tags', tagRoutes(store, places))
  app.use('/api/brakes', brakeRoutes(store, ledger, streams))
  app.use('/api/families', familyRoutes())
  app.use('/api/jobs', jobRoutes(store, workers, ledger, streams, places))
  app.use('/api/drawer', drawerRoutes(drawer, workers))
  app.use('/api/workshop', workshopRoutes(store))
  app.use('/api/calculations', calculationRoutes())
  app.use('/api', onUnknown)
  if (web && existsSync(web)) {
    app.use('/assets', compressed(join(web, 'assets')), onUnknown)
    app.use(express.static(web, { index: false, maxAge: 0 }))
    app.get(/.*/, page(join(web, 'index.html')))
  }
  app.use(onUnknown)
  app.use(onError)
  return app
}
