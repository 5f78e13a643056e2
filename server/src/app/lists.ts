import { setImmediate } from 'node:timers/promises'
import { STATIONS } from '@overhaul/core/brake/station'
import type { Request, Response } from 'express'
import Joi from 'joi'
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

/** Sends a list: the page that was asked for, or all of it page by page, with room between them for whoever else asks. */
export async function sendList<T>(
  response: Response,
  { limit, after }: { readonly limit?: number; readonly after?: string },
  page: (limit: number, after: string | undefined) => Promise<readonly T[]>,
  idOf: (row: T) => string,
): Promise<void> {
  if (limit !== undefined) return void response.json(await page(limit, after))
  response.type('json').write('[')
  let last = after
  for (let rows = 0; ; ) {
    const some = await page(MOST_AT_ONCE, last)
    for (const row of some) response.write(`${rows++ > 0 ? ',' : ''}${JSON.stringify(row)}`)
    last = some.at(-1) ? idOf(some.at(-1) as T) : last
    if (some.length < MOST_AT_ONCE || response.destroyed) break
    await setImmediate()
  }
  response.end(']')
}
