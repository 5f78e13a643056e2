import type { Fault, Outcome } from '@overhaul/core/outcome/outcome'

/** A fault on its way to the client, with the status it travels under. */
export class HttpFault extends Error {
  constructor(
    readonly status: number,
    readonly fault: Fault,
  ) {
    super(fault.message)
  }
}

export const notFound = (code: string, field: string, message: string): HttpFault =>
  new HttpFault(404, { code, field, message })

/** A refusal that comes from the state of things rather than from the request itself. */
const CONFLICTS = new Set([
  'job-released',
  'not-ready',
  'already-struck',
  'id-taken',
  'brake-exists',
  'past-its-end',
  'job-open',
  'not-there',
  'not-taken',
  'code-taken',
  'not-skipped',
  'not-on-sheet',
  'way-closed',
  'caution-unread',
  'not-measured',
  'log-behind',
])

const MISSING = new Set(['no-such-part', 'no-such-job', 'unknown-job'])

export const statusOf = ({ code }: Fault): number => (MISSING.has(code) ? 404 : CONFLICTS.has(code) ? 409 : 400)

/** The value of an outcome, or its fault thrown to the error handler. */
export function orThrow<T>(outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value
  throw new HttpFault(statusOf(outcome.error), outcome.error)
}
