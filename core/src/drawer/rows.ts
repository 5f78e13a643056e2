import { type Fault, type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { parseNumber } from '../quantity/number.ts'
import { findPartKind, PART_KINDS } from './kinds.ts'
import { checkPart, MOST_PIECES, type Part, type PartShape } from './part.ts'

/** Columns that every part has; the dimensions of all kinds follow, each in its own column. */
const COMMON_COLUMNS = ['code', 'kind', 'name', 'count', 'minimum', 'price', 'material'] as const

export const DRAWER_COLUMNS: readonly string[] = [
  ...COMMON_COLUMNS,
  ...new Set(PART_KINDS.flatMap((kind) => kind.dimensions.map((each) => each.id))),
]

export type Row = Readonly<Record<string, string>>

export interface CountedPart {
  readonly part: PartShape
  readonly count: number
}

/** A row of the file that could not be read: its line, as a person counts, and what is wrong with it. */
export interface BadRow extends Fault {
  readonly line: number
}

export interface RowsRead {
  readonly parts: readonly CountedPart[]
  readonly bad: readonly BadRow[]
}

/** The drawer as rows of a table, one a part. */
export const rowOf = (part: Part): Record<string, string> => ({
  code: part.code,
  kind: part.kind,
  name: part.name,
  count: String(part.count),
  minimum: String(part.minimum),
  price: part.price === null || part.price === undefined ? '' : String(part.price),
  material: part.material,
  ...Object.fromEntries(Object.entries(part.dimensions).map(([id, value]) => [id, String(value)])),
})

function numberIn(row: Row, field: string, missing: number | undefined): Outcome<number> {
  const text = (row[field] ?? '').trim()
  if (text === '') {
    return missing === undefined ? refuse('missing', field, `${field} is empty. Accepted: a number.`) : ok(missing)
  }
  const value = parseNumber(text, field)
  return value.ok ? value : refuse('not-a-number', field, `${field} is “${text}”. Accepted: a number.`)
}

/** One row as a part with its count. Empty cells of other kinds’ dimensions are passed over; filled ones are refused. */
export function partOf(row: Row): Outcome<CountedPart> {
  const kind = findPartKind((row.kind ?? '').trim())
  const dimensions: Record<string, number> = {}
  for (const column of DRAWER_COLUMNS.slice(COMMON_COLUMNS.length)) {
    if ((row[column] ?? '').trim() === '') continue
    const value = numberIn(row, column, undefined)
    if (!value.ok) return value
    dimensions[column] = value.value
  }
  const minimum = numberIn(row, 'minimum', 0)
  if (!minimum.ok) return minimum
  const count = numberIn(row, 'count', 0)
  if (!count.ok) return count
  if (!Number.isInteger(count.value) || count.value < 0 || count.value > MOST_PIECES) {
    return refuse('out-of-range', 'count', `count is ${count.value}. Accepted: 0 to ${MOST_PIECES}, a whole number.`)
  }
  const isPriced = (row.price ?? '').trim() !== ''
  const price = numberIn(row, 'price', 0)
  if (!price.ok) return price
  const checked = checkPart({
    code: (row.code ?? '').trim(),
    kind: (kind?.id ?? (row.kind ?? '').trim()) as PartShape['kind'],
    name: (row.name ?? '').trim(),
    material: (row.material ?? '').trim(),
    minimum: minimum.value,
    ...(isPriced && { price: price.value }),
    dimensions,
  })
  return checked.ok ? ok({ part: checked.value, count: count.value }) : checked
}

/** A whole file, row by row: the good ones, and every bad one with its line. The header is line 1. */
export function readRows(rows: readonly Row[]): RowsRead {
  const parts: CountedPart[] = []
  const bad: BadRow[] = []
  const seen = new Map<string, number>()
  for (const [index, row] of rows.entries()) {
    const line = index + 2
    const read = partOf(row)
    const before = read.ok ? seen.get(read.value.part.code) : undefined
    if (!read.ok) bad.push({ line, ...read.error })
    else if (before !== undefined) {
      const message = `The code “${read.value.part.code}” stands on line ${before} already. Accepted: one row a code.`
      bad.push({ line, code: 'code-twice', field: 'code', message })
    } else {
      seen.set(read.value.part.code, line)
      parts.push(read.value)
    }
  }
  return { parts, bad }
}
