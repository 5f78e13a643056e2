import { randomUUID } from 'node:crypto'
import { type Complaint, sayComplaint } from '@overhaul/core/brake/signs'
import type { Entry, EntryBody } from '@overhaul/core/stand/entries'
import { FIELDS } from '@overhaul/core/stand/kinds'
import { workChosen } from '@overhaul/core/stand/work-chosen'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { and, desc, eq, isNull, sql } from 'drizzle-orm'
import { type Request, type Response, Router } from 'express'
import Joi from 'joi'
import { answer } from '../app/answer.ts'
import { HttpFault, notFound, orThrow } from '../app/fault.ts'
import { Lists, PAGE, SOUGHT, STATION } from '../app/lists.ts'
import { ID, NAME, REMARK } from '../app/told.ts'
import { validate } from '../app/validate.ts'
import { logOf } from '../bench/open-job.ts'
import { LAST_SEQ } from '../bench/summary.ts'
import { brakes, entries, jobs } from '../db/schema.ts'
import { isTaken, type Store } from '../db/store.ts'
import type { JobWish } from '../rail/jobs.ts'
import { tagAddress } from '../tags/address.ts'
import type { Workers } from '../workers/workers.ts'
import { ENTRIES, schemaOf } from './entry-schema.ts'
import type { Ledger } from './ledger.ts'
import type { Streams } from './stream.ts'

interface NewJob {
  readonly id?: string
  readonly brakeId: string
  /** In the rider’s words, or with its signs named. */
  readonly complaint?: string | Complaint
  readonly work?: string
  readonly by: string
}
const { signs, since } = FIELDS.complaint
const COMPLAINT = Joi.object<Complaint>({
  signs: (schemaOf(signs) as Joi.ArraySchema).unique().default([]),
  since: schemaOf(since.optional),
  text: REMARK(1000),
})
const NEW_JOB = Joi.object<NewJob>({
  id: ID,
  brakeId: Joi.string().required(),
  /** With its signs named, it is written as the first entry; the rider’s words alone stand with the job. */
  complaint: Joi.alternatives().try(REMARK(1000), COMPLAINT),
  /** What the job is for: it is written after that. */
  work: Joi.string(),
  by: NAME(40).default('rack'),
})
type JobQuery = { readonly limit?: number; readonly after?: string } & Partial<JobWish>
const JOB_QUERY = Joi.object<JobQuery>({
  ...PAGE,
  brakeId: Joi.string(),
  bicycleId: Joi.string(),
  state: Joi.string().valid('open', 'released', 'closed'),
  q: SOUGHT,
  family: Joi.string(),
  station: STATION,
  sort: Joi.string().valid('newest', 'oldest'),
})
/** How a sheet is wanted: read in which unit, on which paper, with everything behind it. */
const SHEET = Joi.object<{ unit: 'mm' | 'in'; paper?: 'a4' | 'letter'; whole: 'true' | 'false' }>({
  unit: Joi.string().valid('mm', 'in').default('mm'),
  paper: Joi.string().valid('a4', 'letter'),
  whole: Joi.string().valid('true', 'false').default('false'),
})
/** Whoever reads inches prints on letter, unless told otherwise. */
const paperOf = (paper: 'a4' | 'letter' | undefined, unit: 'mm' | 'in') => paper ?? (unit === 'in' ? 'letter' : 'a4')

const seqOf = (text: unknown): number => {
  const seq = Number(text ?? 0)
  if (Number.isInteger(seq) && seq >= 0) return seq
  throw new HttpFault(400, {
    code: 'invalid',
    field: 'after',
    message: `after is “${text}”. Accepted: the number of the last entry seen, 0 or more.`,
  })
}

type JobRequest = Request<{ id: string }>

/** What a job is for, as its first entries. Refuses a work this brake has not. */
function forWork(work: string, familyId: string): readonly EntryBody[] {
  const works = FAMILIES.find(({ id }) => id === familyId)?.works ?? []
  if (!works.some(({ id }) => id === work)) {
    const message = `work is “${work}”. Accepted: ${works.map(({ id }) => id).join(', ')}.`
    throw new HttpFault(400, { code: 'not-a-choice', field: 'work', message })
  }
  return workChosen(works, work)
}

/** What a job is opened with, as its first entries: what is complained of, where it names a sign, and what it is for. */
function firstEntries(
  told: Complaint,
  work: string | undefined,
  familyId: string,
  whose: Pick<Entry, 'at' | 'by'>,
): readonly Entry[] {
  const complained: readonly EntryBody[] = told.signs.length > 0 ? [{ kind: 'complaint', ...told }] : []
  return [...complained, ...(work === undefined ? [] : forWork(work, familyId))].map(
    (body, index): Entry => ({ ...body, ...whose, id: randomUUID(), basedOn: 0, seq: index + 1 }),
  )
}

/** Jobs and their logs. */
export function jobRoutes(
  store: Store,
  workers: Workers,
  ledger: Ledger,
  streams: Streams,
  places: () => readonly string[],
): Router {
  const router = Router()
  const { db } = store
  const lists = new Lists(store, (ids) => ledger.freshen(ids))

  router.get('/', async (request, response) => {
    const { limit, after, sort = 'newest', ...more } = validate<JobQuery>(JOB_QUERY, request.query, 'query')
    const wish: JobWish = { sort, ...more }
    await lists.send(
      request,
      response,
      { limit, after },
      {
        find: (id) => find(id, 'after'),
        total: () => workers.look('countJobs', wish),
        page: (most, seen) => workers.look('jobs', wish, most, seen),
      },
    )
  })

  /** What the last job on this brake found, if it was closed unreleased: it opens the next one. */
  async function carriedOver(brakeId: string): Promise<string> {
    const [last] = await db
      .select({ job: jobs, lastSeq: LAST_SEQ })
      .from(jobs)
      .where(eq(jobs.brakeId, brakeId))
      .orderBy(desc(jobs.number))
      .limit(1)
    if (!last?.job.closedAt) return ''
    const { number, summary } = await ledger.fresh(last)
    return `Not to be ridden since job ${number}: ${(summary.unfit ?? []).join('; ')}.`
  }

  /** The job that has this id already, on this brake; refuses one on another. */
  async function withId(id: string, brakeId: string) {
    const [known] = await db.select().from(jobs).where(eq(jobs.id, id))
    if (!known || known.brakeId === brakeId) return known
    const message = `Job ${known.number} has this id, on another brake.`
    throw new HttpFault(409, { code: 'taken', field: 'id', message })
  }

  router.post('/', async (request, response) => {
    const { id = randomUUID(), brakeId, complaint, work, by } = validate<NewJob>(NEW_JOB, request.body)
    const known = await withId(id, brakeId)
    if (known) return void response.json(known)
    const [brake] = await db.select().from(brakes).where(eq(brakes.id, brakeId))
    if (!brake)
      throw notFound('unknown-brake', 'brakeId', `There is no brake “${brakeId}”: a job needs a brake to work on.`)
    if (brake.retiredAt) {
      const message = 'This brake was taken off its bicycle. Hang it back, or open the job on what hangs there now.'
      throw new HttpFault(409, { code: 'brake-retired', field: 'brakeId', message })
    }
    const openedAt = new Date().toISOString()
    const told = typeof complaint === 'object' ? complaint : { signs: [], text: complaint ?? '' }
    const first = firstEntries(told, work, brake.hardware.family, { at: openedAt, by })
    const insert = db.insert(jobs).values({
      id,
      number: sql`(SELECT coalesce(max(number), 100) + 1 FROM jobs)`,
      brakeId,
      complaint: [told.text ?? sayComplaint(told), await carriedOver(brakeId)].filter(Boolean).join(' '),
      openedAt,
      summary: await workers.ask('opening', brake.hardware, first),
    })
    const written = first.map(({ seq = 1, ...entry }) =>
      db.insert(entries).values({ id: entry.id, jobId: id, seq, entry: entry as Entry }),
    )
    try {
      await store.write([insert, ...written])
    } catch (error) {
      if (!isTaken(error)) throw error
      // Asked for twice at once, it is opened once.
      const opened = await withId(id, brakeId)
      if (opened) return void response.json(opened)
      const [open] = await db
        .select()
        .from(jobs)
        .where(and(eq(jobs.brakeId, brakeId), isNull(jobs.releasedAt), isNull(jobs.closedAt)))
      if (!open) throw error
      const message = `Job ${open.number} is still open on this brake.`
      throw new HttpFault(409, { code: 'job-open', field: 'brakeId', message })
    }
    const [row] = await db.select().from(jobs).where(eq(jobs.id, id))
    response.status(201).json(row)
  })

  /** The log after an entry, of a job that is there. */
  const logAfter = async (id: string, after: number): Promise<readonly Entry[]> => {
    const log = await logOf(db, id, after)
    if (log.length === 0) await find(id)
    return log
  }

  const find = async (id: string, field = 'id') => {
    const [row] = await db.select({ id: jobs.id, lastSeq: LAST_SEQ }).from(jobs).where(eq(jobs.id, id))
    if (!row) throw notFound('unknown-job', field, `There is no job “${id}”.`)
    return row
  }

  /** Refuses what was read or written on another state of the log than is there now, restored from a backup since. */
  const sameEpoch = (epoch: unknown) => {
    if (epoch === undefined || epoch === store.epoch) return
    const message =
      'The workshop’s data was restored from a backup since this screen read it. Look at the log as it is now: what was written here waits.'
    throw new HttpFault(409, { code: 'log-behind', field: 'epoch', message })
  }

  router.get('/:id', async (request: JobRequest, response: Response) => {
    response.type('json').send(orThrow(await workers.ask('record', request.params.id)))
  })

  router.get('/:id/next', async (request: JobRequest, response: Response) => {
    answer(response, 'GET jobs/:id/next', orThrow(await workers.ask('next', request.params.id)))
  })

  router.get('/:id/entries', async (request: JobRequest, response: Response) => {
    sameEpoch(request.query.epoch)
    answer(response, 'GET jobs/:id/entries', await logAfter(request.params.id, seqOf(request.query.after)))
  })

  router.post('/:id/entries', async (request: JobRequest, response: Response) => {
    const body = validate(ENTRIES, request.body)
    sameEpoch(request.query.epoch)
    const { id } = request.params
    const appended = orThrow(await ledger.append(id, Array.isArray(body) ? body : [body as Entry]))
    streams.publish(id, appended.entries)
    const { accepted, known } = appended
    answer(response, 'POST jobs/:id/entries', { accepted, known }, accepted.length > 0 ? 201 : 200)
  })

  router.get('/:id/stream', async (request: JobRequest, response: Response) => {
    const after = seqOf(request.headers['last-event-id'] ?? request.query.after)
    const { id, lastSeq } = await find(request.params.id)
    const { epoch = store.epoch } = request.query
    const isBehind = epoch !== store.epoch || after > lastSeq
    await streams.open(
      id,
      response,
      isBehind ? lastSeq : after,
      (seen) => logOf(db, id, seen),
      isBehind,
      response.locals.device,
    )
  })

  const sendPdf = (response: Response, name: string, pdf: Uint8Array) => {
    response.setHeader('Content-Disposition', `inline; filename="${name}.pdf"`)
    response.type('application/pdf').send(Buffer.from(pdf))
  }

  router.get('/:id/sheet.pdf', async (request: JobRequest, response: Response) => {
    const { unit, paper, whole } = validate(SHEET, request.query, 'query')
    const papers = orThrow(await workers.ask('papers', request.params.id))
    const how = { length: unit, paper: paperOf(paper, unit), whole: whole === 'true' }
    const pdf = orThrow(await workers.print({ kind: 'sheet', papers, how }))
    sendPdf(response, `job-${papers.whose.jobNumber}`, pdf)
  })

  router.get('/:id/handover.pdf', async (request: JobRequest, response: Response) => {
    const { unit, paper } = validate(SHEET, request.query, 'query')
    const papers = orThrow(await workers.ask('papers', request.params.id))
    const address = tagAddress(places(), papers.whose.code)
    const how = { paper: paperOf(paper, unit), ...(address && { address }) }
    const pdf = orThrow(await workers.print({ kind: 'handover', papers, how }))
    sendPdf(response, `handover-${papers.whose.jobNumber}`, pdf)
  })

  return router
}
