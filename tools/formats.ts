import { kitOf } from '@overhaul/core/bench/kit'
import type { Family } from '@overhaul/core/brake/family'
import { adjustersOf } from '@overhaul/core/brake/kit'
import { STATIONS } from '@overhaul/core/brake/station'
import { ROTOR_READINGS, ROTOR_STEP } from '@overhaul/core/features/rotor/rotor'
import { KINDS } from '@overhaul/core/outcome/kinds'
import { expectOk } from '@overhaul/core/outcome/outcome'
import { formatNumber, UNITS } from '@overhaul/core/quantity/quantity'
import { FAMILIES, fitFamily } from '@overhaul/core/workshop/families'

const code = (word: string) => `\`${word}\``
const table = (head: readonly string[], rows: readonly (readonly string[])[]): string =>
  [head, head.map(() => '---'), ...rows]
    .map((cells) => `| ${cells.map((cell) => cell.replaceAll('|', '\\|')).join(' | ')} |`)
    .join('\n')

interface Of<T> {
  readonly what: T
  readonly families: readonly Family[]
}

/** What several families have under one id, once, in the order it is first met, with whose it is. */
function byId<T extends { readonly id: string }>(each: (family: Family) => readonly T[]): readonly Of<T>[] {
  const found = new Map<string, { readonly what: T; readonly families: Family[] }>()
  for (const family of FAMILIES)
    for (const what of each(family)) {
      const at = found.get(what.id)
      if (!at) found.set(what.id, { what, families: [family] })
      else if (!at.families.includes(family)) at.families.push(family)
    }
  return [...found.values()]
}

const GROUPS = [
  { name: 'every brake', of: () => true },
  { name: 'rims', of: ({ track }: Family) => track === 'rim' },
  { name: 'discs', of: ({ track }: Family) => track === 'rotor' },
] as const

/** Whose it is, in as few words as that takes. */
function whose(families: readonly Family[]): string {
  for (const { name, of } of GROUPS) {
    const all = FAMILIES.filter(of)
    if (all.length === families.length && all.every((each) => families.includes(each))) return name
    if (name !== 'every brake' && all.every((each) => families.includes(each)))
      return [name, whose(families.filter((each) => !all.includes(each)))].join('; ')
  }
  return families.map(({ title }) => title).join('; ')
}

const KITS = new Map(FAMILIES.map((family) => [family, kitOf(family)]))
const kit = (family: Family) => KITS.get(family) as ReturnType<typeof kitOf>
const isDisc = ({ track }: Family) => track === 'rotor'

export const READINGS = byId((family) => [...kit(family).readings, ...(isDisc(family) ? ROTOR_READINGS : [])])
export const SEEN = byId((family) => kit(family).seen)
export const STEPS = byId((family) => [...kit(family).steps, ...(isDisc(family) ? [ROTOR_STEP] : [])])
export const ADJUSTERS = byId((family) => adjustersOf(kit(family), expectOk(fitFamily(family.id, {}))))
const stationTitle = (id: string) => STATIONS.find((each) => each.id === id)?.title.toLowerCase() ?? id

/** The tables of docs/formats.md that are written from what the house itself says, by their names there. */
const TABLES: Readonly<Record<string, string>> = {
  readings: table(
    ['reading', 'tape', 'what is measured', 'accepted', 'at'],
    READINGS.map(({ what: { id, shorthand, title, unit, min, max }, families }) => [
      code(id),
      shorthand ? code(shorthand) : '',
      title,
      `${formatNumber(min, unit)} to ${formatNumber(max, unit)} ${UNITS[unit].symbol}`.trim(),
      whose(families),
    ]),
  ),
  seen: table(
    ['reading', 'tape', 'what is seen', 'answers', 'at'],
    SEEN.map(({ what: { id, shorthand, title, options }, families }) => [
      code(id),
      shorthand ? code(shorthand) : '',
      title,
      options.map((each) => code(each.id)).join(' '),
      whose(families),
    ]),
  ),
  steps: table(
    ['step', 'tape', 'station', 'it is well when', 'at'],
    STEPS.map(({ what: { id, shorthand, station, title, done }, families }) => [
      code(id),
      done.kind !== 'signed' && shorthand ? code(`${shorthand} ok`) : '',
      stationTitle(station),
      title,
      whose(families),
    ]),
  ),
  refusals: table(
    ['kind', 'codes'],
    (['wrong', 'missing', 'conflict'] as const).map((kind) => [
      code(kind),
      Object.entries(KINDS)
        .flatMap(([each, of]) => (of === kind ? [code(each)] : []))
        .sort()
        .join(' '),
    ]),
  ),
  adjusters: table(
    ['adjuster', 'tape', 'what it is', '+', '−', 'in', 'at'],
    ADJUSTERS.map(({ what: { id, shorthand, title, plus, minus, unit }, families }) => [
      code(id),
      code(shorthand),
      title,
      plus.toLowerCase(),
      minus.toLowerCase(),
      unit,
      whose(families),
    ]),
  ),
}

const begin = (name: string) => `<!-- ${name}: written by npm run docs -->`
const END = '<!-- until here -->'

/** The text with each of its tables as the house has it. Throws where the text has no place for one. */
export function withTables(text: string): string {
  return Object.entries(TABLES).reduce((whole, [name, rows]) => {
    const from = whole.indexOf(begin(name))
    const to = whole.indexOf(END, from)
    if (from < 0 || to < 0) throw new Error(`docs/formats.md has no place for the table “${name}”`)
    return `${whole.slice(0, from)}${begin(name)}\n${rows}\n${whole.slice(to)}`
  }, text)
}
