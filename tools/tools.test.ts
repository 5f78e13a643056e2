import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { kitOf } from '@overhaul/core/bench/kit'
import { partOf } from '@overhaul/core/brake/school'
import { PART_KINDS } from '@overhaul/core/drawer/kinds'
import { DRAWER_COLUMNS } from '@overhaul/core/drawer/rows'
import { WAYS } from '@overhaul/core/features/mount/ways'
import { ENTRY_KINDS } from '@overhaul/core/stand/kinds'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { describe, expect, it } from 'vitest'
import { quantile } from './bench-lines.ts'
import { ADJUSTERS, READINGS, SEEN, STEPS, withTables } from './formats.ts'
import { runTool } from './run-tool.ts'

const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))
describe('npm run -s calc', () => {
  // Exact unit arithmetic: 50 N at 100 mm is 5 N·m.
  it('prints the outputs by their names', () => {
    const { status, json } = runTool('calc.ts', 'torque-from-pull', '{"forceN":50,"lengthMm":100}')
    expect(status).toBe(0)
    expect(json).toEqual({ torqueNm: 5 })
  })

  it('prints working and sources when asked', () => {
    const { json } = runTool('calc.ts', 'cable-friction', '{"friction":0.1,"bendDeg":180}', '--working')
    expect(json).toMatchObject({
      id: 'cable-friction',
      working: [{ formula: 'T_out/T_in = e^(−μβ)' }],
      sources: [{ kind: 'textbook' }],
    })
  })

  it.each([
    [['torque-from-pull', '{"forceN":-1,"lengthMm":100}'], 'out-of-range', 'forceN'],
    [['torque-from-pull', '{"forceN":1}'], 'missing', 'lengthMm'],
    [['torque-from-pull', '{forceN:1}'], 'broken-json', 'inputs'],
    [['divination', '{}'], 'unknown-calculation', 'id'],
  ])('%j ends with 2 and says why', (args, code, field) => {
    const { status, json } = runTool('calc.ts', ...args)
    expect(status).toBe(2)
    expect(json).toMatchObject({ error: { code, field, message: expect.any(String) } })
  })

  it('lists the calculations when none is named', () => {
    expect(runTool('calc.ts').stdout).toContain('linear-pull')
  })
})

describe('npm run -s bench:passes', () => {
  it('prints one line of JSON with all three hands, by both ways to stop', () => {
    const { status, json } = runTool('bench-passes.ts', '--family', 'linear-pull', '--brakes', '12', '--seed', '3')
    expect(status).toBe(0)
    const number = expect.any(Number)
    const alike = { looks: number, mean: number, falseStops: number }
    const own = { mean: number, p95: number, failed: number, falseStops: number, alike }
    const hand = { mean: number, median: number, p95: number, failed: number, own }
    expect(json).toEqual({
      family: 'linear-pull',
      brakes: 12,
      seed: 3,
      fleet: 'usual',
      advice: hand,
      habit: hand,
      book: hand,
      ratio: number,
      ratioOwn: number,
      ratioBook: number,
      ratioAlike: { habit: number, book: number },
    })
    expect(json.ratioAlike.habit).toBeCloseTo(json.habit.own.alike.mean / json.advice.own.mean, 2)
    expect(json.ratio).toBeCloseTo(json.habit.mean / json.advice.mean, 2)
    expect(json.ratioOwn).toBeCloseTo(json.habit.own.mean / json.advice.own.mean, 2)
    expect(json.ratioBook).toBeCloseTo(json.book.own.mean / json.advice.own.mean, 2)
  })

  it('runs on the harsh fleet too', () => {
    const { json } = runTool('bench-passes.ts', '--brakes', '4', '--fleet', 'harsh')
    expect(json).toMatchObject({ family: 'linear-pull', fleet: 'harsh', seed: 7 })
  })

  it.each([
    [['--family', 'coaster'], 'family'],
    [['--brakes', 'many'], 'brakes'],
    [['--seed', '1.5'], 'seed'],
    [['--fleet', 'kind'], 'fleet'],
  ])('%j is refused', (args, field) => {
    const { status, stderr } = runTool('bench-passes.ts', ...args)
    expect(status).toBe(2)
    expect(JSON.parse(stderr).error.field).toBe(field)
  })
})

const KITS = FAMILIES.map(kitOf)
const once = <T extends { readonly id: string }>(all: readonly T[]): readonly T[] => [
  ...new Map(all.map((each) => [each.id, each])).values(),
]
const PARTS = [...new Set(KITS.flatMap(({ parts }) => parts))]
const SCHOOLS = once(KITS.flatMap(({ schools }) => schools))

describe('docs/formats.md', () => {
  const text = readFileSync(join(ROOT, 'docs/formats.md'), 'utf8')
  const named = (word: string) => text.includes(`\`${word}\``)

  it('names every family', () => {
    for (const { id } of FAMILIES) expect(text).toContain(`"${id}"`)
  })

  it('names every entry, part, school, way and column that leaves or enters the house', () => {
    const words = [
      ...ENTRY_KINDS,
      ...PARTS,
      ...SCHOOLS.flatMap((each) => [partOf(each), ...each.options.map((option) => option.id)]),
      ...WAYS.map(({ id }) => id),
      ...PART_KINDS.map(({ id }) => id),
      ...DRAWER_COLUMNS,
    ]
    expect(words.filter((word) => !named(word))).toEqual([])
  })

  it('has its tables of readings, answers, steps and adjusters as the house has them: npm run docs', () => {
    expect(withTables(text) === text).toBe(true)
    for (const row of [
      '| `rimWall` | `wall` | rim wall | ',
      '| `leftScrew` | `ls` | left screw | left screw in | left screw out | turn | ',
      '| `hub-play` | `hub ok` | wheel | ',
    ])
      expect(text).toContain(row)
  })

  it('no word of the tape means two things', () => {
    const own = ['sq', 'school', 'swap', 'torque', 'skip', 'note', 'release']
    const turned = new Set(ADJUSTERS.map(({ what }) => what.shorthand))
    const taken = [...own, ...turned, ...[...READINGS, ...SEEN, ...STEPS].flatMap(({ what }) => what.shorthand ?? [])]
    expect(taken.filter((word, index) => taken.indexOf(word) !== index)).toEqual([])
    const answers = SEEN.flatMap(({ what }) => what.options.map((each) => each.id))
    expect(answers.filter((word) => taken.includes(word))).toEqual([])
  })
})

describe('quantiles', () => {
  it('are values that were seen', () => {
    expect(quantile([3, 1, 2], 0.5)).toBe(2)
    expect(quantile([5, 1], 1)).toBe(5)
    expect(
      quantile(
        Array.from({ length: 100 }, (_, index) => index + 1),
        0.95,
      ),
    ).toBe(95)
  })
})

describe('browser specs', () => {
  it('run beside one another: none opens a workshop on another’s port', () => {
    const E2E = join(ROOT, 'e2e')
    const ports = readdirSync(E2E).flatMap((file) => [
      ...new Set([...readFileSync(join(E2E, file), 'utf8').matchAll(/workshop\((\d{4})/g)].map((found) => found[1])),
    ])
    expect(ports.length).toBeGreaterThan(15)
    expect(ports.filter((port, index) => ports.indexOf(port) !== index)).toEqual([])
  })
})
