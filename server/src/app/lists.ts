import { STATIONS } from '@overhaul/core/brake/station'
import type { Request, Response } from 'express'
import Joi from 'joi'
import { rackCount } from '../db/rack.ts'
import type { Store } from '../db/store.ts'
import type { Looked } from '../rail/rail.ts'
import { hold } from './hold.ts'
import { ID } from './told.ts'

/** The most of a list that is sent at once; the whole of it goes in pages of as many. */
const MOST_AT_ONCE = 200

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
 * Tells the client apart what it asks for by the count of changes, the epoch of the data, and the day, by which things are
 * due. True where it has just that already: it is told so, and nothing is read.
 */
export function isUnchanged(request: Request, response: Response, { epoch }: Store, count: number): boolean {
  response.setHeader('Cache-Control', 'private, no-cache')
  response.setHeader('ETag', `"${epoch}-${count}-${new Date().toISOString().slice(0, 10)}"`)
  if (!request.fresh) return false
  response.status(304).end()
  return true
}

interface Kept {
  readonly mark: string
  readonly page: Promise<Looked>
  readonly total: Promise<number>
}

/** So many pages are kept as they were sent: screens that show the same ask for the same. */
const MOST_KEPT = 32

/** Where a list comes from: how many there are, and some of them from one on. */
export interface ListSource {
  /** Refuses what a page cannot come after: it is not there. */
  readonly find: (after: string) => Promise<unknown>
  readonly total: () => Promise<number>
  readonly page: (limit: number, after: string | undefined) => Promise<Looked>
}

/** Sends a list: the page that was asked for, worked out once for everybody while nothing changed, or all of it. */
export class Lists {
  private readonly kept = new Map<string, Kept>()

  /** `freshen` works out what is told of jobs of which more was written. */
  constructor(
    private readonly store: Store,
    private readonly freshen: (jobIds: readonly string[]) => Promise<void>,
  ) {}

  async send(
    request: Request,
    response: Response,
    { limit, after }: { readonly limit?: number | undefined; readonly after?: string | undefined },
    source: ListSource,
  ): Promise<void> {
    const count = await rackCount(this.store.db)
    if (isUnchanged(request, response, this.store, count)) return
    if (after !== undefined) await source.find(after)
    if (limit === undefined) return this.sendWhole(response, source, after)
    const { page, total } = this.once(request.originalUrl, String(response.getHeader('ETag')), () => ({
      page: this.fresh(source, limit, after),
      total: source.total(),
    }))
    response.setHeader('X-Total', await total)
    response.type('json').send((await page).body)
  }

  /** A page with everything written of its jobs told: one that is behind is looked at once more. */
  private async fresh({ page }: ListSource, limit: number, after: string | undefined): Promise<Looked> {
    const looked = await page(limit, after)
    if (looked.stale.length === 0) return looked
    await this.freshen(looked.stale)
    return page(limit, after)
  }

  private once(url: string, mark: string, make: () => Omit<Kept, 'mark'>): Kept {
    const known = this.kept.get(url)
    if (known?.mark === mark) return known
    const made = { mark, ...make() }
    hold(this.kept, url, made, MOST_KEPT)
    Promise.all([made.page, made.total]).catch(() => this.kept.delete(url))
    return made
  }

  /** All of it, page by page, with room between them for whoever else asks. */
  private async sendWhole(response: Response, source: ListSource, after: string | undefined): Promise<void> {
    response.setHeader('X-Total', await source.total())
    response.type('json').write('[')
    for (let last = after, sent = 0; ; ) {
      const looked = await this.fresh(source, MOST_AT_ONCE, last)
      if (looked.rows > 0) response.write((sent > 0 ? ',' : '') + looked.body.slice(1, -1))
      sent += looked.rows
      last = looked.last
      if (looked.rows < MOST_AT_ONCE || response.destroyed) break
    }
    response.end(']')
  }
}
