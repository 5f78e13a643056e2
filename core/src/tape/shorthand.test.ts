import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BITE } from '../families/rim/bite.ts'
import { formatFraction } from '../quantity/number.ts'
import { formatNumber } from '../quantity/quantity.ts'
import type { EntryBody } from '../stand/entries.ts'
import { KIT, MODEL } from '../testing/stand.ts'
import { readTape } from './tape.ts'
import { vocabulary } from './words.ts'

const MM = { kit: KIT, model: MODEL, length: 'mm' } as const
const IN = { kit: KIT, model: MODEL, length: 'in' } as const

/** Anything the tape can say, as an entry and as it would be written. */
const said: fc.Arbitrary<{ entry: Partial<EntryBody>; text: string }> = fc.oneof(
  fc.constantFrom(...KIT.readings.filter((each) => each.unit === 'mm')).chain((spec) =>
    fc.integer({ min: Math.ceil(spec.min * 10), max: Math.floor(spec.max * 10) }).map((tenths) => ({
      entry: { kind: 'reading' as const, reading: spec.id, value: tenths / 10, unit: 'mm' as const },
      text: `${spec.shorthand} ${tenths / 10}`,
    })),
  ),
  fc.constantFrom(...MODEL.adjusters.filter((each) => each.unit === 'turn')).chain((spec) =>
    fc
      .integer({ min: -24, max: 24 })
      .filter((eighths) => eighths !== 0)
      .map((eighths) => ({
        entry: { kind: 'turn' as const, adjuster: spec.id, amount: eighths / 8, unit: 'turn' as const },
        text: `${spec.shorthand} ${formatFraction(eighths / 8)}`,
      })),
  ),
  fc
    .integer({ min: -200, max: 200 })
    .filter((tenths) => tenths !== 0)
    .map((tenths) => ({
      entry: { kind: 'turn' as const, adjuster: 'anchor', amount: tenths / 10, unit: 'mm' as const },
      text: `anchor ${tenths > 0 ? '+' : ''}${tenths / 10}`,
    })),
  fc.constantFrom('left', 'right', 'both').map((side) => ({
    entry: { kind: 'reading' as const, reading: 'firstTouch', value: side as 'left', unit: '' as const },
    text: `touch ${side}`,
  })),
  fc.constantFrom(...KIT.steps.filter((each) => each.shorthand)).map((step) => ({
    entry: { kind: 'confirm' as const, step: step.id },
    text: `${step.shorthand} ok`,
  })),
  fc
    .integer({ min: 1, max: 200 })
    .map((count) => ({ entry: { kind: 'confirm' as const, step: 'squeezes', count }, text: `sq ${count}` })),
  fc.constantFrom(...BITE.options).map((school) => ({
    entry: { kind: 'swap' as const, part: 'school.bite', to: `${school.id} ${school.amount?.min}` },
    text: `school ${school.id} ${school.amount?.min}`,
  })),
  fc.integer({ min: 1, max: 300 }).map((tenths) => ({
    entry: { kind: 'torque' as const, fastener: 'left pad', valueNm: tenths / 10 },
    text: `torque left pad ${tenths / 10}`,
  })),
)

describe('the tape’s shorthand', () => {
  it('says every entry and is read back as that entry', () => {
    fc.assert(
      fc.property(said, ({ entry, text }) => {
        const line = readTape(text, MM)
        expect(line.error).toBeUndefined()
        expect(line.entries).toMatchObject([entry])
      }),
      { numRuns: 300 },
    )
  })

  it('says any number of them on one line, in order, however far apart', () => {
    fc.assert(
      fc.property(fc.array(said, { minLength: 1, maxLength: 6 }), fc.integer({ min: 1, max: 4 }), (many, spaces) => {
        const line = readTape(many.map(({ text }) => text).join(' '.repeat(spaces)), MM)
        expect(line.error).toBeUndefined()
        expect(line.entries).toMatchObject(many.map(({ entry }) => entry))
      }),
      { numRuns: 200 },
    )
  })

  it('takes capitals as it takes small letters', () => {
    fc.assert(
      fc.property(said, ({ text }) => {
        const [word, ...rest] = text.split(' ')
        expect(readTape([word?.toUpperCase(), ...rest].join(' '), MM)).toEqual(readTape(text, MM))
      }),
    )
  })

  it('a length in inches is the same length, written either way', () => {
    const lengths = KIT.readings.filter((each) => each.unit === 'mm' && each.min === 0)
    fc.assert(
      fc.property(fc.constantFrom(...lengths), fc.double({ min: 0.05, max: 9, noNaN: true }), (spec, value) => {
        const inches = formatNumber(value, 'in')
        const here = readTape(`${spec.shorthand} ${inches}`, IN).entries[0]
        const there = readTape(`${spec.shorthand} ${inches} in`, MM).entries[0]
        expect(here).toEqual(there)
        expect(here?.kind === 'reading' ? Math.abs(Number(here.value) - value) : 9).toBeLessThan(0.0128)
      }),
    )
  })

  it('never throws, and never writes what it did not understand', () => {
    const words = vocabulary(MM).map((each) => each.word)
    const noise = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.constantFrom(...words),
      fc.constantFrom('1.4', '-1/2', 'ok', 'left', '5/0', '--', '½'),
    )
    fc.assert(
      fc.property(fc.array(noise, { maxLength: 8 }), (tokens) => {
        const line = readTape(tokens.join(' '), MM)
        if (line.error) expect(line.error.message.length).toBeGreaterThan(5)
        for (const entry of line.entries) {
          if (entry.kind === 'reading' && typeof entry.value === 'number')
            expect(Number.isFinite(entry.value)).toBe(true)
          if (entry.kind === 'turn') expect(Number.isFinite(entry.amount)).toBe(true)
        }
      }),
      { numRuns: 400 },
    )
  })
})

describe('words once shipped stay', () => {
  // The shorthand is part of the product's interface: a word may be added, none may go or change its meaning.
  it.each([
    ['gl', 'gapLeft'],
    ['gr', 'gapRight'],
    ['bite', 'biteTravel'],
    ['res', 'reserve'],
    ['reach', 'leverReach'],
    ['off', 'wheelOffset'],
    ['lat', 'lateralRunout'],
    ['rad', 'radialRunout'],
    ['lsat', 'leftScrewIn'],
    ['rsat', 'rightScrewIn'],
    ['barat', 'barrelOut'],
  ])('%s is %s', (word, reading) => {
    const [entry] = readTape(`${word} 1`, MM).entries
    expect(entry).toMatchObject({ kind: 'reading', reading })
  })

  it.each([
    ['ls', 'leftScrew'],
    ['rs', 'rightScrew'],
    ['bar', 'barrel'],
    ['anchor', 'anchor'],
  ])('%s turns %s', (word, adjuster) => {
    expect(readTape(`${word} +1`, MM).entries).toMatchObject([{ kind: 'turn', adjuster, amount: 1 }])
  })
})
