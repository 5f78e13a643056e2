import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import { bookDimensions, hereAt } from '../brake/dimension.ts'
import type { Circumstances, Say } from '../brake/step.ts'
import { CALCULATIONS } from '../calculations/registry.ts'
import { expectOk } from '../outcome/outcome.ts'
import { CAUTIONS } from '../reference/cautions.ts'
import { NOT_SAID, TERMS } from '../reference/terms.ts'
import { countWords, ONE_LINE } from '../stand/words.ts'
import { FAMILIES } from './families.ts'

const here = (work: string): Circumstances => ({
  end: 'rear',
  work,
  number: () => undefined,
  seen: () => undefined,
  school: () => undefined,
  way: () => undefined,
  cableAnew: true,
  swapped: () => true,
  trait: () => undefined,
  loosened: () => true,
  happened: () => true,
  ill: () => true,
  shaken: () => true,
  loosensWheel: true,
})
const said = (say: Say | undefined, work: string): string =>
  say === undefined ? '' : typeof say === 'string' ? say : say(here(work))

describe.each(FAMILIES.map((family) => [family.id, family] as const))('the words of a %s brake', (_, family) => {
  const kit = kitOf(family)

  it('say what to do in one line of at most 16 words', () => {
    const long = family.works.flatMap(({ id }) =>
      kit.steps.filter(({ say }) => countWords(said(say, id)) > ONE_LINE).map((step) => step.id),
    )
    expect(long).toEqual([])
  })

  it('call each thing by its one name', () => {
    const model = expectOk(family.fit(bookDimensions(family), hereAt(family, 'rear')))
    const texts = [
      ...kit.steps.flatMap((step) => [
        step.title,
        said(step.say, 'adjust'),
        said(step.more, 'adjust'),
        step.why,
        step.whenOut ?? '',
        ...(step.done.kind === 'confirmed' ? [step.done.well, step.done.ill, step.done.remedy] : []),
      ]),
      ...kit.readings.flatMap(({ title, how, limit }) => [title, how, limit?.text ?? '', limit?.unsafe?.say ?? '']),
      ...kit.seen.flatMap(({ title, how, options }) => [
        title,
        how,
        ...options.flatMap((each) => [each.title, each.remedy ?? '']),
      ]),
      ...kit.schools.flatMap(({ title, options }) => [
        title,
        ...options.flatMap((each) => [each.title, each.says ?? '']),
      ]),
      ...model.adjusters.flatMap(({ title, plus, minus }) => [title, plus, minus]),
      ...family.dimensions.map(({ title }) => title),
    ]
    const wrong = texts.flatMap((text) =>
      NOT_SAID.filter(({ word }) => word.test(text)).map(({ say }) => `${text} (${say})`),
    )
    expect(wrong).toEqual([])
  })
})

describe('the words of the handbook', () => {
  it('are as the bench says them, in calculations and cautions too', () => {
    const texts = [
      ...CALCULATIONS.flatMap(({ title, summary, outputs, inputs }) => [
        title,
        summary,
        ...Object.values({ ...inputs, ...outputs }).map(({ meaning }) => meaning),
      ]),
      ...Object.values(CAUTIONS).map(({ text }) => text),
    ]
    const wrong = texts.flatMap((text) =>
      NOT_SAID.filter(({ word }) => word.test(text)).map(({ say }) => `${text} (${say})`),
    )
    expect(wrong).toEqual([])
  })

  it('have each one meaning', () => {
    expect(new Set(TERMS.map(({ id }) => id)).size).toBe(TERMS.length)
    expect(new Set(TERMS.map(({ term }) => term)).size).toBe(TERMS.length)
    // What else a thing is called is no name of another thing.
    const names = new Set(TERMS.map(({ term }) => term))
    expect(TERMS.flatMap(({ also = [] }) => also).filter((each) => names.has(each))).toEqual([])
  })

  it.each([
    ['The barrel has two turns left.', true],
    ['Measure what is left between blade and bar.', true],
    ['The left pad touches first.', false],
    ['The lever throw is long.', true],
  ])('“%s”', (text, wrong) => {
    expect(NOT_SAID.some(({ word }) => word.test(text))).toBe(wrong)
  })
})
