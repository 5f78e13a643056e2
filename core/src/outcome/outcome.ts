import { type Code, kindOf, type RefusalKind } from './kinds.ts'

/** What went wrong, in words a mechanic understands: a stable code, its kind, the field at fault and one sentence. */
export interface Fault {
  readonly code: Code
  readonly kind?: RefusalKind
  readonly field: string
  readonly message: string
}

/** Errors are values: a computation either gives its value or says why it cannot. */
export type Outcome<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: Fault }

export const ok = <T>(value: T): Outcome<T> => ({ ok: true, value })

export const refuse = (code: Code, field: string, message: string): Outcome<never> => ({
  ok: false,
  error: { code, kind: kindOf(code), field, message },
})

/** The value of an outcome known to be good; throws the fault's sentence otherwise. For tests and constants only. */
export function expectOk<T>(outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value
  throw new Error(`${outcome.error.code} (${outcome.error.field}): ${outcome.error.message}`)
}
