import { readFileSync } from 'node:fs'
import { dirname, join, normalize, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { describe, expect, it } from 'vitest'
import { type Arrows, CORE, KNOW_NO_BRAKE, SERVER, WEB } from './arrows.ts'
import { sourcesIn } from './sources.ts'

const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))

const textOf = (file: string): string => readFileSync(join(ROOT, file), 'utf8')

/** What a file imports, fonts and styles aside. */
const importsOf = (text: string): readonly string[] =>
  [...text.matchAll(/^(?:import|export)\b[^'"]*?from '([^']+)'/gms)].map((found) => found[1] as string)

/** Each of them is a room of its own: in the core a feature names those it knows. */
const OWN_ROOMS: readonly string[] = ['core/src/families', 'core/src/features']

/** The room a path lies in: a folder, a family’s or a feature’s own folder, or a file that stands alone. */
function roomOf(root: string, path: string): string {
  const [first = '', second = '', ...rest] = path.split('/')
  return OWN_ROOMS.includes(`${root}/${first}`) && rest.length > 0 ? `${first}/${second}` : first.replace(/\.tsx?$/, '')
}

/** Every import that goes from one room to another: the room, where to, and the file it stands in. */
function arrowsIn(root: string, file: string, text: string): readonly (readonly [string, string, string])[] {
  const from = roomOf(root, relative(root, file))
  return importsOf(text)
    .filter((each) => each.startsWith('.'))
    .map((each) => roomOf(root, relative(root, normalize(join(dirname(file), each)))))
    .filter((to) => to !== from)
    .map((to) => [from, to, file] as const)
}

const broken = (root: string, table: Arrows, file: string, text = textOf(file)): readonly string[] =>
  arrowsIn(root, file, text)
    .filter(([from, to]) => !table[from]?.includes(to))
    .map(([from, to, at]) => `${at}: ${from} may not import ${to}`)

const TESTING = 'testing'
const HOUSES = [
  ['core/src', CORE],
  ['web/src', WEB],
  ['server/src', SERVER],
] as const

describe('imports run one way', () => {
  describe.each(HOUSES)('in %s', (root, table) => {
    const files = sourcesIn(ROOT, root).filter((file) => roomOf(root, relative(root, file)) !== TESTING)

    it('every folder is in the table, and everything in the table is there', () => {
      const rooms = new Set(files.map((file) => roomOf(root, relative(root, file))))
      expect([...rooms].sort()).toEqual(Object.keys(table).sort())
    })

    it('no import goes where the table does not say', () => {
      expect(files.flatMap((file) => broken(root, table, file))).toEqual([])
    })

    it('nothing stands in the table that nobody needs', () => {
      const used = new Set(files.flatMap((file) => arrowsIn(root, file, textOf(file)).map(([a, b]) => `${a} → ${b}`)))
      const said = Object.entries(table).flatMap(([from, all]) => all.map((to) => `${from} → ${to}`))
      // What every family may stand on is one list, and not every family needs all of it.
      expect(said.filter((each) => !used.has(each) && !each.startsWith('families/'))).toEqual([])
    })
  })

  it('the core is cut free of everything else: no package but the statistics library, no node', () => {
    const outside = sourcesIn(ROOT, 'core/src').flatMap((file) =>
      importsOf(textOf(file)).filter((each) => !/^(\.|jstat$)/.test(each)),
    )
    expect(outside).toEqual([])
  })

  it('web and server know the core by name, and each other not at all', () => {
    const reaching = (root: string, other: string) =>
      sourcesIn(ROOT, root).filter((file) => importsOf(textOf(file)).some((each) => each.includes(other)))
    expect(reaching('web/src', 'server')).toEqual([])
    expect(reaching('web/src', 'joi')).toEqual([])
    expect(reaching('server/src', '@overhaul/web')).toEqual([])
    expect([...reaching('web/src', 'core/src'), ...reaching('server/src', 'core/src')]).toEqual([])
  })

  // The check itself bites: a forbidden import, an unlisted folder and a multi-line import are all seen.
  it.each([
    ['core/src/dial-in/x.ts', "import { a } from '../families/rim/bite.ts'", 'dial-in may not import families/rim'],
    ['core/src/dial-in/x.ts', "import {\n  a,\n} from '../run-sheet/job.ts'", 'dial-in may not import run-sheet'],
    ['core/src/brake/x.ts', "export { a } from '../stand/fold.ts'", 'brake may not import stand'],
    ['core/src/attic/x.ts', "import { a } from '../outcome/outcome.ts'", 'attic may not import outcome'],
    [
      'core/src/families/rim/x.ts',
      "import { a } from '../linear-pull/family.ts'",
      'may not import families/linear-pull',
    ],
  ])('%s: %s', (file, text, said) => {
    expect(broken('core/src', CORE, file, text)).toEqual([expect.stringContaining(said)])
  })
})

/** Whole identifiers and quoted words that are one kind of brake’s own. */
const OWN_TO_A_BRAKE = [
  /\bgapLeft\b/,
  /\bgapRight\b/,
  /\bfirstTouch\b/,
  /\brim[A-Z]\w*/,
  ...FAMILIES.map(({ id }) => new RegExp(`['"\`]${id}['"\`]`)),
]

describe('the rooms above the families', () => {
  it.each(KNOW_NO_BRAKE)('%s names nothing of any one brake', (folder) => {
    const named = sourcesIn(ROOT, folder).flatMap((file) =>
      OWN_TO_A_BRAKE.flatMap((word) => {
        const found = word.exec(textOf(file))
        return found ? [`${file}: ${found[0]}`] : []
      }),
    )
    expect(named).toEqual([])
  })

  it('nor does the server, but for its demo', () => {
    const told = sourcesIn(ROOT, 'server/src').filter((file) => !/src\/(demo|testing)\//.test(file))
    const named = told.filter((file) => OWN_TO_A_BRAKE.some((word) => word.test(textOf(file))))
    expect(named).toEqual([])
  })

  it('and would be caught naming it', () => {
    const caught = (text: string) => OWN_TO_A_BRAKE.some((word) => word.test(text))
    expect(caught("readings.includes('gapLeft')")).toBe(true)
    expect(caught("family.id === 'linear-pull'")).toBe(true)
    expect(caught('const rimX = 4')).toBe(true)
    expect(caught('const trim = text.trim()')).toBe(false)
  })
})
