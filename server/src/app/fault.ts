import { type Code, kindOf } from '@overhaul/core/outcome/kinds'
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

export const notFound = (code: Code, field: string, message: string): HttpFault =>
  new HttpFault(404, { code, field, message })

/** The status a kind of refusal travels under. */
const STATUS = { wrong: 400, missing: 404, conflict: 409 } as const

/** A fault as it goes out: its kind said, whoever made it. */
export const withKind = (fault: Fault): Fault => ({ ...fault, kind: fault.kind ?? kindOf(fault.code) })

export const statusOf = ({ code, kind }: Fault): number => STATUS[kind ?? kindOf(code)]

/** The value of an outcome, or its fault thrown to the error handler. */
export function orThrow<T>(outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value
  throw new HttpFault(statusOf(outcome.error), outcome.error)
}
