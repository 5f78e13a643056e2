import type { ReadingSpec } from '@overhaul/core/brake/reading'
import { KIT } from '@overhaul/core/testing/stand'
import { describe, expect, it } from 'vitest'
import { draftBody, readDrafts, roundToHand, sayBad, sift, stepOf, writeDraft } from './drafts.ts'

const spec = (id: string) => KIT.reading(id) as ReadingSpec

describe('a draft', () => {
  it.each([
    ['gapLeft', '1,4', 'mm', { reading: 'gapLeft', value: 1.4, unit: 'mm', instrument: 'feeler' }],
    ['gapLeft', '1/16', 'in', { value: 1.5875 }],
    ['gapLeft', '1.4 mm', 'in', { value: 1.4 }],
    ['biteTravel', '7/8in', 'mm', { value: 22.225 }],
    ['leftScrewIn', '1½', 'mm', { value: 1.5, unit: 'turn' }],
    ['firstTouch', 'left', 'mm', { value: 'left', unit: '' }],
  ] as const)('%s “%s” in a %s workshop', (reading, text, length, expected) => {
    expect(draftBody(KIT, reading, text, length)).toMatchObject({ ok: true, value: { kind: 'reading', ...expected } })
  })

  it('that cannot be read says so by the reading’s name', () => {
    expect(draftBody(KIT, 'gapLeft', 'wide', 'mm')).toMatchObject({
      ok: false,
      error: { field: 'gap left', code: 'not-a-number' },
    })
    expect(draftBody(KIT, 'biteTravel', '3 N', 'mm')).toMatchObject({ ok: false, error: { code: 'wrong-unit' } })
  })

  // Common practice, no source: nobody feels a hundredth of a millimetre.
  it('dragged or nudged lands where a hand can set it, inside what is accepted', () => {
    expect(roundToHand(1.4361, spec('gapLeft'))).toBeCloseTo(1.4, 9)
    expect(roundToHand(22.4, spec('biteTravel'))).toBe(22)
    expect(roundToHand(1.3, spec('leftScrewIn'))).toBe(1.25)
    expect(roundToHand(-3, spec('gapLeft'))).toBe(0)
    expect(roundToHand(99, spec('gapLeft'))).toBe(10)
    expect([stepOf(spec('gapLeft')), stepOf(spec('reserve')), stepOf(spec('barrelOut'))]).toEqual([0.1, 1, 0.25])
  })

  it('is written in the workshop’s unit and read back as it was', () => {
    for (const length of ['mm', 'in'] as const) {
      for (const [id, value] of [
        ['gapLeft', 1.4],
        ['biteTravel', 22],
        ['wheelOffset', -0.5],
        ['rightScrewIn', 2.25],
      ] as const) {
        const body = draftBody(KIT, id, writeDraft(KIT, spec(id), value, length), length)
        expect(body.ok && body.value.kind === 'reading' ? Number(body.value.value) : Number.NaN).toBeCloseTo(
          value,
          length === 'mm' ? 9 : 0,
        )
      }
    }
    expect(writeDraft(KIT, spec('biteTravel'), 22, 'mm')).toBe('22')
    expect(writeDraft(KIT, spec('gapLeft'), 1.4, 'in')).toBe('0.055')
    expect(writeDraft(KIT, spec('wheelOffset'), -0.5, 'mm')).toBe('-0.5')
  })
})

describe('drafts saved together', () => {
  const typed = { gapLeft: '1.0', gapRight: 'wide', biteTravel: '400', reserve: '' }
  const tooMuch = (bodies: readonly { reading?: string; value?: unknown }[]) => {
    const index = bodies.findIndex(({ reading, value }) => reading === 'biteTravel' && Number(value) > 120)
    return index < 0
      ? undefined
      : { index, error: { code: 'out-of-range', field: 'value', message: 'Accepted: 0 to 120.' } }
  }

  it('what can be written is; a bad one is named with its station and holds up only itself', () => {
    const { ready, bad } = sift(readDrafts(KIT, typed, 'mm'), [], tooMuch as never)
    expect(ready.map(({ reading }) => reading)).toEqual(['gapLeft'])
    expect(Object.keys(bad)).toEqual(['gapRight', 'biteTravel'])
    expect(sayBad(KIT, bad)).toMatch(
      /^Gap right \(Bite\): “wide” is not a number.* Bite \(Bite\): Accepted: 0 to 120\.$/,
    )
  })

  it('of two that do not go together neither is written', () => {
    const read = readDrafts(KIT, { gapLeft: '1.0', padLength: '40', biteTravel: '20' }, 'mm')
    const apart = (bodies: readonly { reading?: string }[]) => {
      const index = bodies.findIndex(({ reading }) => reading === 'padLength')
      return index > 0 && bodies.slice(0, index).some(({ reading }) => reading === 'gapLeft')
        ? { index, error: { code: 'misread', field: 'value', message: 'Not with that gap.' } }
        : undefined
    }
    const { ready, bad } = sift(read, [], apart as never)
    expect(ready.map(({ reading }) => reading)).toEqual(['biteTravel'])
    expect(Object.keys(bad).sort()).toEqual(['gapLeft', 'padLength'])
  })

  it('what goes before them and is refused stops them all', () => {
    const squeezed = { kind: 'confirm', step: 'squeezes', count: 10 } as const
    const ended = { index: 0, error: { code: 'job-released' as const, field: '', message: 'The job is released.' } }
    expect(sift(readDrafts(KIT, typed, 'mm'), [squeezed], () => ended)).toMatchObject({
      ready: [],
      stopped: ended.error,
    })
  })
})
