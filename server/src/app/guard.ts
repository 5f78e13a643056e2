import { networkInterfaces } from 'node:os'
import type { NextFunction, Request, Response } from 'express'
import { HttpFault } from './fault.ts'

/** This machine's addresses on the workshop's network. */
export const networkAddresses = (): readonly string[] =>
  Object.values(networkInterfaces()).flatMap((each) =>
    (each ?? []).filter(({ family, internal }) => family === 'IPv4' && !internal).map(({ address }) => address),
  )

const ALWAYS = ['127.0.0.1', 'localhost', '::1']

const hostName = (host: string): string => host.replace(/:\d+$/, '').replace(/^\[|\]$/g, '')

/**
 * Answers only to the names it is served under, asked each time, and takes changes only from its own pages:
 * a page elsewhere on the network cannot write to the workshop's log through somebody's browser.
 */
export function guard(hosts: () => readonly string[]) {
  return (request: Request, _response: Response, next: NextFunction) => {
    const host = request.headers.host ?? ''
    const name = hostName(host)
    // The network may have given this machine another address since.
    if (!ALWAYS.includes(name) && !hosts().includes(name)) {
      throw new HttpFault(403, {
        code: 'wrong-host',
        field: 'Host',
        message: 'This workshop does not answer under that name. Open it at the address it said when it was started.',
      })
    }
    const { origin } = request.headers
    if (origin !== undefined && request.method !== 'GET' && origin.replace(/^https?:\/\//, '') !== host) {
      throw new HttpFault(403, {
        code: 'wrong-origin',
        field: 'Origin',
        message: `Changes are not taken from a page at ${origin}.`,
      })
    }
    next()
  }
}
