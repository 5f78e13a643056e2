import { randomBytes } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { RequestHandler, Response } from 'express'
import helmet from 'helmet'

/** Stands in index.html where each answer's own nonce goes: styles of our making carry it, no others are taken. */
const PLACE = '__NONCE__'

const nonceOf = (response: Response): string => {
  response.locals.nonce ??= randomBytes(16).toString('base64')
  return response.locals.nonce as string
}

/**
 * What a browser may do with our pages: our own scripts, styles by nonce, no frames, nothing from elsewhere. Neither
 * `upgrade-insecure-requests` nor HSTS: a workshop speaks plain http, and would be locked out of its own bench.
 */
export const headers: RequestHandler = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      styleSrc: ["'self'", (_request, response) => `'nonce-${nonceOf(response as Response)}'`],
      imgSrc: ["'self'", 'data:', 'blob:'],
      fontSrc: ["'self'", 'data:'],
      connectSrc: ["'self'"],
      workerSrc: ["'self'", 'blob:'],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  strictTransportSecurity: false,
  frameguard: { action: 'deny' },
  referrerPolicy: { policy: 'no-referrer' },
  crossOriginOpenerPolicy: false,
  originAgentCluster: false,
})

/** The page with the nonce of this answer written into it. */
export function page(path: string): RequestHandler {
  const html = readFileSync(path, 'utf8')
  return (_request, response) => {
    response.setHeader('Cache-Control', 'no-store')
    response.type('html').send(html.replaceAll(PLACE, nonceOf(response)))
  }
}
