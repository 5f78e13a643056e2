import { DRAWER_COLUMNS, type Row, type RowsRead, readRows } from '@overhaul/core/drawer/rows'
import { type Outcome, ok, refuse } from '@overhaul/core/outcome/outcome'
import Papa from 'papaparse'

const MOST_ROWS = 10_000

/** What a table program would take for a formula: led by a quote in the file, and without it here. */
export const FORMULA = /^'*[=+\-@\t\r]/
const LED = /^'(?='*[=+\-@\t\r])/

const bad = (field: string, message: string) => refuse('bad-file', field, message)

/** A CSV text as parts by row. Refuses a file without the columns every part has, columns nobody knows, and too many rows. */
export function readFile(text: unknown): Outcome<RowsRead> {
  if (typeof text !== 'string' || text.trim() === '')
    return bad('body', 'The file is empty. Accepted: CSV with a header line, sent as text/csv.')
  const { data, meta, errors } = Papa.parse<Row>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transform: (cell) => cell.replace(LED, ''),
  })
  const columns = meta.fields ?? []
  const missing = ['code', 'kind', 'name'].filter((each) => !columns.includes(each))
  if (missing.length > 0)
    return bad('header', `The header lacks ${missing.join(', ')}. Accepted: ${DRAWER_COLUMNS.join(', ')}.`)
  const unknown = columns.filter((each) => !DRAWER_COLUMNS.includes(each))
  if (unknown.length > 0)
    return bad('header', `The header has “${unknown.join('”, “')}”. Accepted: ${DRAWER_COLUMNS.join(', ')}.`)
  const quotes = errors.find((each) => each.type === 'Quotes')
  if (quotes) return bad('body', `Line ${(quotes.row ?? 0) + 2}: a quotation mark is not closed.`)
  if (data.length > MOST_ROWS) return bad('body', `${data.length} rows. Accepted: at most ${MOST_ROWS}.`)
  return ok(readRows(data))
}
