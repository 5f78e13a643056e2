import { spawnSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { parseArgs } from 'node:util'
import { seededRandom } from '@overhaul/core/simulate/random'
import { sourcesIn } from './sources.ts'

/**
 * Changes one sign, limit or constant at a time in what tells a mechanic something, and sees whether a test turns red:
 * `npm run mutants -- --count 30 --seed 7`. What lives is printed with its place. Run it in a clone: it writes into the sources.
 */
const { values } = parseArgs({
  options: {
    count: { type: 'string', default: '30' },
    seed: { type: 'string', default: '7' },
    rooms: {
      type: 'string',
      default: 'families,features,mechanics,calculations,bench,run-sheet,stand',
    },
  },
})

const CORE = 'core/src'
/** Lines of drawings are looked at by eye and by boxes. */
const NOT_TOLD = /drawings?\/|outline|frame\.ts|section\.ts|parts\.ts|straddle\.ts|pictures|dimension-lines/

/** The source with every comment, text and template blanked, so that only code is changed. */
export const codeOf = (source: string): string =>
  source.replace(/\/\*[\s\S]*?\*\/|\/\/[^\n]*|'(?:\\.|[^'\\\n])*'|`(?:\\[\s\S]|[^`\\])*`/g, (found) =>
    found.replace(/[^\n]/g, '·'),
  )

interface Change {
  readonly find: RegExp
  readonly to: (found: string) => string
}
const swap = (a: string, b: string): readonly Change[] => {
  const spaced = (text: string) => new RegExp(`(?<=[\\w)\\]] )${text.replace(/[+*|]/g, '\\$&')}(?= [\\w(-])`, 'g')
  return [
    { find: spaced(a), to: () => b },
    { find: spaced(b), to: () => a },
  ]
}
/** Not after a name or a dot: `M6`, `x0` and `.5` are no constants; 0 and 1 are mostly places in a list. */
const NUMBER = /(?<![\w.·]|\de-)(?:\d+\.\d+|[2-9]|\d{2,})(?![\w.])/g
const CHANGES: readonly Change[] = [
  ...swap('+', '-'),
  ...swap('<', '>='),
  ...swap('>', '<='),
  ...swap('&&', '||'),
  ...swap('*', '/'),
  { find: NUMBER, to: (found) => String(Number((Number(found) * 1.5).toPrecision(6))) },
]

export interface Mutant {
  readonly at: number
  readonly from: string
  readonly to: string
}

/** Every place of a source where a sign, a limit or a constant can be changed. Imports and types hold none. */
export const mutantsOf = (source: string): readonly Mutant[] =>
  CHANGES.flatMap(({ find, to }) =>
    [...codeOf(source).matchAll(find)].map(({ index, 0: from }) => ({ at: index, from, to: to(from) })),
  ).filter(({ from, to }) => from !== to)

const filesIn = (folder: string): readonly string[] => sourcesIn('.', folder).filter((path) => !NOT_TOLD.test(path))

const isRed = (...args: readonly string[]): boolean =>
  spawnSync('npx', ['vitest', 'run', '--project', 'core', '--bail', '1', '--reporter', 'dot', ...args], {
    encoding: 'utf8',
    timeout: 1_200_000,
  }).status !== 0

/** Red beside the file, or anywhere in what computes but the fleets, which take their time; what does not end any more is red, too. */
const dies = (path: string): boolean => isRed('--passWithNoTests', dirname(path)) || isRed('--exclude', '**/passes/**')

function main() {
  const random = seededRandom(Number(values.seed))
  const all = values.rooms
    .split(',')
    .flatMap((room) => filesIn(join(CORE, room)))
    .flatMap((path) => mutantsOf(readFileSync(path, 'utf8')).map((mutant) => ({ path, ...mutant })))
  const alive: string[] = []
  const count = Number(values.count)
  for (let index = 0; index < count; index += 1) {
    const { path, at, from, to } = all[Math.floor(random.uniform(0, all.length))] as (typeof all)[number]
    const source = readFileSync(path, 'utf8')
    const line = source.slice(0, at).split('\n').length
    const where = `${path}:${line}: ${from} → ${to}: ${source.split('\n')[line - 1]?.trim()}`
    writeFileSync(path, source.slice(0, at) + to + source.slice(at + from.length))
    const dead = dies(path)
    writeFileSync(path, source)
    if (!dead) alive.push(where)
    console.log(`${dead ? 'dies ' : 'LIVES'} ${where}`)
  }
  console.log(`${count - alive.length} of ${count} died, of ${all.length} that there are.`)
}

if (process.argv[1]?.endsWith('mutants.ts')) main()
