import { setImmediate } from 'node:timers/promises'
import { STATIONS } from '@overhaul/core/brake/station'
import type { Request, Response } from 'express'
import Joi from 'joi'
import { rackCount } from '../db/rack.ts'
import type { Store } from '../db/store.ts'
import { ID } from './told.ts'

/** The most of a list that is sent at once; the whole of it goes in pages of as many. */
export const MOST_AT_ONCE = 200

/** Which part of a list is wanted, as every list’s query says it. */
export const PAGE = {
  limit: Joi.string().custom((text: string, helpers) => {
    const limit = /^\d{1,6}$/.test(text) ? Number(text) : Number.NaN
    return limit >= 1 && limit <= MOST_AT_ONCE
      ? limit
      : helpers.message({ custom: `limit is “${text}”. Accepted: a whole number from 1 to ${MOST_AT_ONCE}` })
  }),
  after: ID,
}
/** What is looked for, in words. */
export const SOUGHT = Joi.string().allow('').max(200)
export const STATION = Joi.string().valid(...STATIONS.map(({ id }) => id))

/**
 * Tells the client apart what it asks for by the count of changes, when the data was opened, and the day, by which things are
 * due. True where it has just that already: it is told so, and nothing is read.
 */
export function isUnchanged(request: Request, response: Response, { opened }: Store, count: number): boolean {
  response.setHeader('Cache-Control', 'private, no-cache')
  response.setHeader('ETag', `"${opened}-${count}-${new Date().toISOString().slice(0, 10)}"`)
  if (!request.fresh) return false
  response.status(304).end()
  return true
}

interface Kept {
  readonly mark: string
  readonly body: Promise<string>
  readonly total: Promise<number>
}

/** So many pages are kept as they were sent: screens that show the same ask for the same. */
const MOST_KEPT = 32

/** Where a list comes from: how many there are, and some of them from one on. */
export interface ListSource<T> {
  readonly total: () => Promise<number>
  readonly page: (limit: number, after: string | undefined) => Promise<readonly T[]>
}

/** Sends a list: the page that was asked for, worked out once for everybody while nothing changed, or all of it. */
export class Lists<T extends { readonly id: string }> {
  private readonly kept = new Map<string, Kept>()

  constructor(private readonly store: Store) {}

  async send(
    request: Request,
    response: Response,
    { limit, after }: { readonly limit?: number | undefined; readonly after?: string | undefined },
    source: ListSource<T>,
  ): Promise<void> {
    const count = await rackCount(this.store.db)
    if (isUnchanged(request, response, this.store, count)) return
    if (limit === undefined) return sendWhole(response, source, after)
    const { body, total } = this.once(request.originalUrl, String(response.getHeader('ETag')), () => ({
      body: source.page(limit, after).then((rows) => JSON.stringify(rows)),
      total: source.total(),
    }))
    response.setHeader('X-Total', await total)
    response.type('json').send(await body)
  }

  private once(url: string, mark: string, make: () => Omit<Kept, 'mark'>): Kept {
    const known = this.kept.get(url)
    if (known?.mark === mark) return known
    const made = { mark, ...make() }
    this.kept.delete(url)
    this.kept.set(url, made)
    Promise.all([made.body, made.total]).catch(() => this.kept.delete(url))
    const [oldest] = this.kept.keys()
    if (oldest !== undefined && this.kept.size > MOST_KEPT) this.kept.delete(oldest)
    return made
  }
}

/** All of it, page by page, with room between them for whoever else asks. */
async function sendWhole<T extends { readonly id: string }>(
  response: Response,
  { total, page }: ListSource<T>,
  after: string | undefined,
): Promise<void> {
  response.setHeader('X-Total', await total())
  response.type('json').write('[')
  let last = after
  for (let rows = 0; ; ) {
    const some = await page(MOST_AT_ONCE, last)
    for (const row of some) response.write(`${rows++ > 0 ? ',' : ''}${JSON.stringify(row)}`)
    last = some.at(-1)?.id ?? last
    if (some.length < MOST_AT_ONCE || response.destroyed) break
    await setImmediate()
  }
  response.end(']')
}
