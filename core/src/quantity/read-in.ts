import { formatNumber, type LengthUnit } from './quantity.ts'

/** Sizes that are names: a key is ordered by them, and an inch workshop has it in millimetres all the same. */
const NAMED = 'hex|star|key|spanner|wrench|bit|drill|sleeve|recessed'

const NUMBER = '[−-]?\\d+(?:\\.\\d+)?'
const LENGTH = new RegExp(
  `(?<![\\w.])(${NUMBER})(?:( to |–| and | or )(${NUMBER}))?[ \u00a0]mm\\b(?![²/·]| (?:${NAMED})\\b)`,
  'g',
)
const EACH = /\b(each|a) mm\b(?![²/·])/g

/** As fine in inches as it was in millimetres: a tenth of a millimetre is four thousandths of an inch. */
function inches(mm: string): string {
  const decimals = mm.split('.')[1]?.length ?? 0
  return formatNumber(Number(mm.replace('−', '-')), 'in', Math.min(4, decimals + 2))
}

/** A sentence of the core, which speaks in millimetres, as a workshop of this unit reads it. Names of tools stay as they are. */
export function readIn(text: string, length: LengthUnit): string {
  if (length === 'mm') return text
  return text
    .replace(LENGTH, (_, low: string, between: string | undefined, high: string | undefined) =>
      between && high !== undefined ? `${inches(low)}${between}${inches(high)} in` : `${inches(low)} in`,
    )
    .replace(EACH, (_, each: string) => `${each} ${inches('1.0')} in`)
}

const LAST = new RegExp(`^(.*(?<![\\w.])(${NUMBER})[ \u00a0]mm)(?![²/·\\w])([^\\d]*)$`)

/** A line of working, which keeps the units it was worked in: what it comes to stands beside it in this workshop’s. */
export function resultIn(line: string, length: LengthUnit): string {
  const found = length === 'in' && LAST.exec(line)
  return found ? `${found[1]} (${inches(found[2] as string)} in)${found[3]}` : line
}
