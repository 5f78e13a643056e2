import { type Outcome, ok, refuse } from '../outcome/outcome.ts'

/** Control marks, and marks that turn the direction of text: what is read would not be what is written. */
const UNPRINTABLE = /[\p{Cc}\u061c\u200e\u200f\u202a-\u202e\u2066-\u2069\ufeff]/u
/** Half of a pair of code units is no letter (Unicode, D84: ill-formed). */
const HALF = /\p{Cs}/u
/** Letters nobody sees, and spaces: a name of nothing else is no name (Unicode, Default_Ignorable_Code_Point). */
const UNSEEN = /[\p{Default_Ignorable_Code_Point}\s]/gu
/** Lines and tabs belong to longer texts. */
const LINES = /[\n\r\t]/g

interface Text {
  readonly field: string
  readonly what: string
  readonly most: number
  /** May be empty, may have lines. */
  readonly optional?: true
  readonly lines?: true
}

/** A text as it was written, whole. Refuses an empty one, one that is too long, and marks nobody sees; cuts nothing. */
export function readText(text: string, { field, what, most, optional, lines }: Text): Outcome<string> {
  const accepted = `Accepted: ${optional ? 'up to' : '1 to'} ${most} characters that can be read.`
  if (HALF.test(text)) return refuse('unreadable', field, `${what} has half a letter in it. ${accepted}`)
  if (!optional && text.replace(UNSEEN, '') === '') return refuse('missing', field, `${what} is empty. ${accepted}`)
  if (text.length > most)
    return refuse('too-long', field, `${what} is ${text.length} characters long. Accepted: at most ${most}.`)
  const mark = UNPRINTABLE.exec(lines ? text.replace(LINES, ' ') : text)
  if (!mark) return ok(text)
  const code = (mark[0].codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, '0')
  return refuse('unreadable', field, `${what} has a mark in it that nobody sees (U+${code}). ${accepted}`)
}

const TIME = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)(?::(\d\d)(?:\.\d{1,6})?)?(?:Z|[+-]\d\d:\d\d)$/
const YEARS = { first: 1970, last: 2100 } as const

/** A moment as ISO 8601 with its zone. Refuses a day there is not, one without a zone, and years no workshop keeps. */
export function readTime(text: string, field: string): Outcome<string> {
  const refused = (why: string) =>
    refuse(
      'not-a-time',
      field,
      `${field} is “${text}”: ${why}. Accepted: ISO 8601 with its zone, ${YEARS.first} to ${YEARS.last}, for example 2026-03-01T09:00:00Z.`,
    )
  const parts = TIME.exec(text)
  if (!parts) return refused('not a time with its zone')
  const [year = 0, month = 0, day = 0] = parts.slice(1).map(Number)
  if (year < YEARS.first || year > YEARS.last) return refused('out of its years')
  const days = new Date(Date.UTC(year, month, 0)).getUTCDate()
  if (month < 1 || month > 12 || day < 1 || day > days || Number.isNaN(Date.parse(text)))
    return refused('no such day or hour')
  return ok(text)
}
