import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import { ok } from '../outcome/outcome.ts'
import { practiceGauge } from '../simulate/practice.ts'
import { toyFamily, toyModel } from '../testing/toy.ts'
import { FAMILIES } from '../workshop/families.ts'
import { bookDimensions, hereAt } from './dimension.ts'
import { compose, type Feature } from './feature.ts'
import type { ReadingSpec } from './reading.ts'
import type { StepSpec } from './step.ts'

const bell: ReadingSpec = {
  id: 'bellLoud',
  title: 'bell, how loud',
  shorthand: 'bell',
  unit: 'count',
  min: 0,
  max: 10,
  sd: 1,
  instrument: 'ear',
  how: 'Ring it.',
  standsOn: ['swap:bell'],
  gauge: ['prove'],
  practice: 7,
}
const ring: StepSpec = {
  id: 'bell-rung',
  station: 'prove',
  before: 'walk-test',
  shorthand: 'rung',
  title: 'bell rung',
  say: 'Ring the bell.',
  why: 'A bell that is not heard warns nobody.',
  cautions: [],
  standsOn: ['reading:bellLoud'],
  done: { kind: 'measured', readings: ['bellLoud'] },
}
const BELL: Feature = { id: 'bell', readings: [bell], steps: [ring] }

const { id, title, mount, track, dial, fit } = toyFamily
const family = (...features: readonly Feature[]) => compose({ id, title, mount, track, dial, fit, features })

describe('a feature', () => {
  it('is all there is to what it brings: asked, shown, read at practice and asked again', () => {
    const kit = kitOf(family(BELL))
    expect(kit.askedBy('bellLoud')).toEqual(['bell-rung'])
    expect(kit.gauges('prove')).toContain('bellLoud')
    expect(kit.grounds.unsettledBy('swap:bell')).toEqual(new Set(['reading:bellLoud', 'confirm:bell-rung']))
    const ids = kit.steps.map((step) => step.id)
    expect(ids.indexOf('bell-rung')).toBe(ids.indexOf('walk-test') - 1)
    const linear = FAMILIES.find((each) => each.id === 'linear-pull') as (typeof FAMILIES)[number]
    const shown = practiceGauge({ ...kit, family: linear }, 1, bookDimensions(linear), hereAt(linear, 'rear'), [])
    expect(shown?.bellLoud).toBe(7)
  })

  it('has one home for each thing: a second one is refused by name', () => {
    const other: Feature = { id: 'horn', readings: [{ ...bell, shorthand: 'horn' }] }
    expect(() => family(BELL, other)).toThrow('“bellLoud” of readings is defined in bell and in horn')
    expect(() => family(BELL, { id: 'horn', steps: [{ ...ring, shorthand: 'honk' }] })).toThrow('“bell-rung” of steps')
  })

  it('takes no word of the tape that is another’s', () => {
    const horn: Feature = { id: 'horn', steps: [{ ...ring, id: 'horn-blown', shorthand: 'bell' }] }
    expect(() => family(BELL, horn)).toThrow('“bell” of the tape’s words is defined in bell and in horn')
  })

  it('comes before the step it names, be that another feature’s', () => {
    const oiled: Feature = { id: 'oil', steps: [{ ...ring, id: 'bell-oiled', shorthand: 'boil', before: 'bell-rung' }] }
    const ids = kitOf(family(BELL, oiled)).steps.map((step) => step.id)
    expect(ids.slice(ids.indexOf('bell-oiled'), ids.indexOf('bell-oiled') + 3)).toEqual([
      'bell-oiled',
      'bell-rung',
      'walk-test',
    ])
  })

  it('is written down with its family’s others in their order', () => {
    const worked = family({ id: 'a', works: [{ id: 'one', title: 'one', says: '' }] }, BELL)
    expect(worked.works.map((work) => work.id)).toEqual(['one'])
    expect(worked.fit(bookDimensions(toyFamily), hereAt(toyFamily, 'rear'))).toEqual(ok(toyModel))
  })
})

/** Words of the tape that only the hand’s own brake decides between: none may be two things at one brake. */
describe.each(FAMILIES.map((each) => [each.id, kitOf(each)] as const))('the definitions of a %s brake', (_, kit) => {
  it('name nothing twice, common ones with its own', () => {
    const words = [...kit.readings, ...kit.seen, ...kit.steps].flatMap(({ shorthand }) => shorthand ?? [])
    expect(words.filter((word, at) => words.indexOf(word) !== at)).toEqual([])
    const ids = [...kit.readings, ...kit.seen].map((each) => each.id)
    expect(ids.filter((each, at) => ids.indexOf(each) !== at)).toEqual([])
  })
})
