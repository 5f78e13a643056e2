/**
 * What kind of no a refusal is: what was asked is wrong in itself, what it speaks of is not there, or it does not go with
 * how things stand. Over HTTP these are 400, 404 and 409.
 */
export type RefusalKind = 'wrong' | 'missing' | 'conflict'

/** Kinds by code; a code that is not listed is `wrong`. */
const KINDS: Readonly<Record<string, RefusalKind>> = {
  'no-such-part': 'missing',
  'no-such-job': 'missing',
  'unknown-job': 'missing',
  'job-released': 'conflict',
  'job-closed': 'conflict',
  'not-ready': 'conflict',
  'nothing-against': 'conflict',
  'already-struck': 'conflict',
  'id-taken': 'conflict',
  'brake-exists': 'conflict',
  'past-its-end': 'conflict',
  'job-open': 'conflict',
  'not-there': 'conflict',
  'not-taken': 'conflict',
  'code-taken': 'conflict',
  'not-skipped': 'conflict',
  'not-on-sheet': 'conflict',
  'way-closed': 'conflict',
  'caution-unread': 'conflict',
  'not-measured': 'conflict',
  'log-behind': 'conflict',
  'record-damaged': 'conflict',
  'not-to-be-ridden': 'conflict',
  'not-looked-at': 'conflict',
  'rotor-out': 'conflict',
  'pads-out': 'conflict',
}

export const kindOf = (code: string): RefusalKind => KINDS[code] ?? 'wrong'
