import { describe, expect, it } from 'vitest'
import { describe as say } from '../stand/describe.ts'
import { KIT, MODEL } from '../testing/stand.ts'
import { exampleLine } from './example.ts'
import { editDistance, nearestWord, nearInSense } from './nearest.ts'
import { readTape } from './tape.ts'
import { complete, vocabulary, wordsByStation } from './words.ts'

const MM = { kit: KIT, model: MODEL, length: 'mm' } as const
const IN = { kit: KIT, model: MODEL, length: 'in' } as const
const read = (text: string) => readTape(text, MM)

describe('the tape', () => {
  it('reads a line of readings', () => {
    expect(read('gl 1.0  gr 1.9  bite 22').entries).toMatchObject([
      { kind: 'reading', reading: 'gapLeft', value: 1, unit: 'mm' },
      { kind: 'reading', reading: 'gapRight', value: 1.9, unit: 'mm' },
      { kind: 'reading', reading: 'biteTravel', value: 22, unit: 'mm' },
    ])
  })

  it.each([
    ['ls +1/2', { kind: 'turn', adjuster: 'leftScrew', amount: 0.5, unit: 'turn' }],
    ['rs -1 1/4', { kind: 'turn', adjuster: 'rightScrew', amount: -1.25, unit: 'turn' }],
    ['rs −½', { kind: 'turn', adjuster: 'rightScrew', amount: -0.5, unit: 'turn' }],
    ['bar -1/4', { kind: 'turn', adjuster: 'barrel', amount: -0.25, unit: 'turn' }],
    ['anchor +2', { kind: 'turn', adjuster: 'anchor', amount: 2, unit: 'mm' }],
    ['ls 1/4 end', { kind: 'turn', adjuster: 'leftScrew', amount: 0.25, endReached: true }],
    ['wheel ok', { kind: 'confirm', step: 'wheel-seated' }],
    ['squeeze ok', { kind: 'confirm', step: 'hard-squeezes', count: 10 }],
    ['hub no', { kind: 'confirm', step: 'hub-play', well: false }],
    ['squeeze no', { kind: 'confirm', step: 'hard-squeezes', count: 10, well: false }],
    ['loose shoes', { kind: 'confirm', step: 'shoes-loosened' }],
    ['close 7 rim worn through', { kind: 'close', initials: '7', why: 'rim worn through' }],
    ['sq', { kind: 'confirm', step: 'squeezes', count: 10 }],
    ['touch l', { kind: 'reading', reading: 'firstTouch', value: 'left' }],
    ['torque anchor 6', { kind: 'torque', fastener: 'anchor', valueNm: 6 }],
    ['torque left pad 44 in·lb', { kind: 'torque', fastener: 'left pad' }],
    ['school give-back 4', { kind: 'swap', part: 'school.bite', to: 'give-back 4' }],
    ['note gl 1.4 was hard to see', { kind: 'note', text: 'gl 1.4 was hard to see' }],
    ['skip spin wheel is out', { kind: 'skip', step: 'spin', reason: 'wheel is out' }],
    ['release 7', { kind: 'release', initials: '7' }],
    ['off -0.5', { kind: 'reading', reading: 'wheelOffset', value: -0.5 }],
  ])('%s', (text, entry) => {
    const line = read(text)
    expect(line.error).toBeUndefined()
    expect(line.entries).toMatchObject([entry])
  })

  it('numbers with no word before them are what is asked for, in order', () => {
    const asked = ['gapLeft', 'gapRight', 'biteTravel']
    const bare = (text: string) => readTape(text, { ...MM, asked })
    expect(bare('1.0 1.9 22').entries).toEqual(read('gl 1.0 gr 1.9 bite 22').entries)
    expect(bare('1,0 1.9 mm').entries).toEqual(read('gl 1.0 gr 1.9').entries)
    expect(bare('1.0 bite 22').entries).toEqual(read('gl 1.0 bite 22').entries)
    expect(bare('bite 22 1.0').error).toBeDefined()
    expect(bare('1 2 22 5').error?.code).toBe('unknown-word')
    expect(read('1.0').error?.code).toBe('unknown-word')
  })

  it('takes units and fractions, in either workshop', () => {
    expect(read('gl 1/16in').entries).toMatchObject([{ value: 1.5875, unit: 'mm' }])
    expect(readTape('gl 1/16', IN).entries).toMatchObject([{ value: 1.5875 }])
    expect(readTape('gl 1.4mm', IN).entries).toMatchObject([{ value: 1.4 }])
    expect(readTape('ls 1/2', IN).entries).toMatchObject([{ amount: 0.5 }])
  })

  it('names what it does not know, with the nearest, and keeps what came before', () => {
    const line = read('gl 1.4 bitee 22')
    expect(line.entries).toHaveLength(1)
    expect(line.error?.code).toBe('unknown-word')
    expect(line.error?.message).toMatch(/“bitee”.*bite/)
    expect(read('xylophone 3').error?.message).toContain('list')
  })

  it.each([
    ['gl', 'missing'],
    ['gl abc', 'not-a-number'],
    ['gl 5 N', 'wrong-unit'],
    ['touch top', 'not-a-choice'],
    ['wheel maybe', 'not-understood'],
    ['skip spin', 'reason-missing'],
    ['sq 3.5', 'out-of-range'],
    ['note', 'missing'],
    ['torque 6', 'missing'],
  ])('%s is refused as %s', (text, code) => {
    expect(read(text)).toMatchObject({ entries: [], error: { code } })
  })

  it('completes a word under the finger, not a number or a note', () => {
    expect(complete('b', MM).map((each) => each.word)).toEqual(expect.arrayContaining(['bite', 'bar', 'bolts']))
    expect(complete('gl 1.4 an', MM).map((each) => each.word)).toEqual(['anchor', 'anew'])
    expect(complete('gl 1', MM)).toEqual([])
    expect(complete('note b', MM)).toEqual([])
  })

  it('has one meaning for each word', () => {
    const words = vocabulary(MM).map((each) => each.word)
    expect(new Set(words).size).toBe(words.length)
  })

  it('echoes what was understood', () => {
    const echo = (text: string, length: 'mm' | 'in' = 'mm') =>
      read(text).entries.map((entry) => say(entry, { kit: KIT, model: MODEL, length }))
    expect(echo('gl 1.0 bite 22 ls +1/2 wheel ok')).toEqual([
      'gap left 1.0 mm',
      'bite 22 mm',
      'left screw in ½ turn',
      'wheel seated: yes',
    ])
    expect(echo('anchor -2')).toEqual(['take cable in at the anchor 2.0 mm'])
    expect(echo('gl 1.0', 'in')).toEqual(['gap left 0.039 in'])
  })
})

describe('words one can learn', () => {
  it.each([
    ['gap left 1.0', { reading: 'gapLeft', value: 1 }],
    ['Gap Left 1.0 mm', { reading: 'gapLeft', value: 1 }],
    ['gl=1.0', { reading: 'gapLeft', value: 1 }],
    ['gl= 1.0', { reading: 'gapLeft', value: 1 }],
    ['gl1.4', { reading: 'gapLeft', value: 1.4 }],
    ['gl1/16in', { reading: 'gapLeft', value: 1.5875 }],
    ['ls+1/2', { adjuster: 'leftScrew', amount: 0.5 }],
    ['left screw +1/2', { adjuster: 'leftScrew', amount: 0.5 }],
    ['wheel seated ok', { step: 'wheel-seated' }],
    ['touches first left', { reading: 'firstTouch', value: 'left' }],
    ['note gl=1 was a guess', { text: 'gl=1 was a guess' }],
  ])('%s', (text, entry) => {
    const line = read(text)
    expect(line.error).toBeUndefined()
    expect(line.entries).toMatchObject([entry])
  })

  it('several written out are as many entries', () => {
    expect(read('gap left 1.0 gap right=1.9 bite22').entries).toMatchObject([
      { reading: 'gapLeft', value: 1 },
      { reading: 'gapRight', value: 1.9 },
      { reading: 'biteTravel', value: 22 },
    ])
  })

  it.each([
    ['pads ok', 'pad', 'pads made for'],
    ['pad alloy', 'pads', 'pads tight'],
    ['sq 10', 'squeeze', 'ten hard squeezes, no slip'],
    ['lr free', 'ls', 'left screw'],
  ])('%s is answered with both meanings', (text, twin, means) => {
    const { asides, error } = read(text)
    expect([...asides, error?.message].join(' ')).toContain(`“${twin}” is ${means}`)
  })
  it('both of two words much alike are offered while one is typed', () => {
    const offered = (text: string) => complete(text, MM).map((each) => each.word)
    expect(offered('sq')).toEqual(expect.arrayContaining(['sq', 'squeeze']))
    expect(offered('pads')).toEqual(['pads', 'pad'])
    expect(offered('ls')).toEqual(expect.arrayContaining(['ls', 'lr']))
  })

  it('what is near in sense comes before what is near in letters', () => {
    expect(nearInSense('toe', vocabulary(MM))).toEqual([])
    expect(read('finger 75').error?.message).toMatch(/Perhaps lf \d\d \(lever pivot to finger\)/)
    expect(read('screws 1').error?.message).toMatch(/left screw.*right screw/)
    expect(read('gk 1').error?.message).toContain('Nearest: gl')
    expect(read('zz 1').error?.message).toContain('Type ? for the list')
  })

  it('every word stands once in the list by station', () => {
    const listed = wordsByStation(MM).flatMap(({ words }) => words.map(({ word }) => word))
    expect([...listed].sort()).toEqual(
      vocabulary(MM)
        .map(({ word }) => word)
        .sort(),
    )
    const at = (title: string) =>
      wordsByStation(MM)
        .find((each) => each.title === title)
        ?.words.map(({ word }) => word)
    expect(at('Wheel')).toEqual(expect.arrayContaining(['wheel', 'hub', 'lat']))
    expect(at('Bite')).toEqual(expect.arrayContaining(['gl', 'gr', 'bite']))
  })

  it('an example is of what is asked for, and is taken by the tape', () => {
    const ask = { readings: ['gapLeft', 'gapRight', 'biteTravel'] }
    const line = exampleLine(MM, ask, (id) => (id === 'biteTravel' ? 20 : 1.2))
    expect(line).toBe('gl 1.2  gr 1.2  bite 20')
    expect(exampleLine(MM, { step: 'wheel' }, () => undefined)).toBe('wheel ok')
    expect(exampleLine(MM, { moves: [{ adjuster: 'leftScrew', amount: -0.5 }] }, () => undefined)).toBe('ls -1/2')
    for (const step of KIT.steps) {
      if (!('readings' in step.done)) continue
      const example = exampleLine(MM, { readings: step.done.readings }, () => undefined)
      expect(read(example).error, example).toBeUndefined()
    }
  })
})

describe('slips of the finger', () => {
  // Damerau–Levenshtein, textbook examples.
  it.each([
    ['kitten', 'sitting', 3],
    ['bite', 'biet', 1],
    ['', 'abc', 3],
    ['anchor', 'anchor', 0],
  ])('%s → %s is %d edits', (a, b, edits) => {
    expect(editDistance(a, b)).toBe(edits)
  })
  it('offers nothing where nothing is near', () => {
    expect(nearestWord('qqqqqq', ['gl', 'bite'])).toBeUndefined()
  })
})
