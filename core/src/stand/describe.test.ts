import { describe, expect, it } from 'vitest'
import { KIT, MODEL, reading, turn, written } from '../testing/stand.ts'
import { describe as say } from './describe.ts'
import type { EntryBody } from './entries.ts'
import { sayTurn, showParts, showQuantity, showReading } from './show.ts'

const spoken = (entry: EntryBody, length: 'mm' | 'in' = 'mm') => say(entry, { kit: KIT, model: MODEL, length })
const adjuster = (id: string) => MODEL.adjusters.find((each) => each.id === id) as (typeof MODEL.adjusters)[number]

describe('an entry in the words of the bench', () => {
  it.each<[EntryBody, string]>([
    [reading('gapLeft', 1.44), 'gap left 1.4 mm'],
    [reading('biteTravel', 22.4), 'bite 22 mm'],
    [reading('leftScrewIn', 2.25), 'left screw from fully out 2¼ turns'],
    [reading('wheelOffset', -0.5), 'wheel offset −0.5 mm'],
    [{ kind: 'reading', reading: 'firstTouch', value: 'both', unit: '' }, 'both touch together'],
    [{ kind: 'reading', reading: 'firstTouch', value: 'left', unit: '' }, 'left touches first'],
    [turn('leftScrew', 0.5), 'left screw in ½ turn'],
    [turn('rightScrew', -1.25), 'right screw out 1¼ turns'],
    [turn('barrel', 2), 'barrel out 2 turns'],
    [turn('anchor', 2), 'let cable out at the anchor 2.0 mm'],
    [
      { kind: 'turn', adjuster: 'leftScrew', amount: 0.25, unit: 'turn', endReached: true },
      'left screw in ¼ turn, to its end',
    ],
    [{ kind: 'turn', adjuster: 'gone', amount: 1, unit: 'turn' }, 'gone 1'],
    [{ kind: 'confirm', step: 'squeezes', count: 10 }, 'squeezed 10 times'],
    [{ kind: 'confirm', step: 'walk-test' }, 'walk test: yes'],
    [{ kind: 'skip', step: 'spin', reason: 'no wheel' }, 'skipped wheel spins free: no wheel'],
    [{ kind: 'swap', part: 'cable', to: 'new' }, 'cable replaced: new'],
    [{ kind: 'swap', part: 'school.bite', to: 'gap 1.2' }, 'bite school gap 1.2'],
    [{ kind: 'torque', fastener: 'anchor', valueNm: 6 }, 'anchor tightened to 6.0 N·m'],
    [{ kind: 'note', text: 'pads glazed' }, 'pads glazed'],
    [{ kind: 'release', initials: '7' }, 'released by 7'],
  ])('%j', (entry, words) => {
    expect(spoken(entry)).toBe(words)
  })

  it('says what a strike struck, and why', () => {
    const [first] = written(reading('gapLeft', 9))
    const strike: EntryBody = { kind: 'correction', strikes: 'entry-1', why: 'misread' }
    expect(say(strike, { kit: KIT, model: MODEL, find: () => first })).toBe('struck: gap left 9.0 mm (misread)')
    expect(spoken(strike)).toBe('struck (misread)')
  })

  it('speaks inches in a workshop that reads inches, and in·lb with them', () => {
    expect(spoken(reading('gapLeft', 1.4), 'in')).toBe('gap left 0.055 in')
    expect(spoken(reading('biteTravel', 22), 'in')).toBe('bite 0.87 in')
    expect(spoken({ kind: 'torque', fastener: 'anchor', valueNm: 6 }, 'in')).toBe('anchor tightened to 53 in·lb')
    expect(spoken(turn('leftScrew', 0.5), 'in')).toBe('left screw in ½ turn')
  })
})

describe('numbers on a screen', () => {
  it('a reading’s number and unit come apart for setting in type', () => {
    expect(showParts(KIT, 'gapLeft', 1.4)).toEqual({ number: '1.4', unit: 'mm' })
    expect(showParts(KIT, 'reserve', 30.6)).toEqual({ number: '31', unit: 'mm' })
    expect(showParts(KIT, 'leftScrewIn', 1.5)).toEqual({ number: '1½', unit: 'turns' })
    expect(showReading(KIT, 'gapRight', 25.4, 'in')).toBe('1.000 in')
  })

  // Common practice, no source: 0.1 mm is as fine as a hand can set; nobody feels 0.01.
  it('never shows what nobody could measure', () => {
    expect(showQuantity(1.23456, 'mm')).toBe('1.2 mm')
    expect(showQuantity(-0.04, 'mm')).toBe('0.0 mm')
  })

  it('a turn is said as the hand makes it', () => {
    expect(sayTurn(adjuster('rightScrew'), 0.75)).toBe('Right screw in ¾ turn')
    expect(sayTurn(adjuster('anchor'), -3.5)).toBe('Take cable in at the anchor 3.5 mm')
    expect(sayTurn(adjuster('anchor'), 6.35, 'in')).toBe('Let cable out at the anchor 0.250 in')
  })
})
