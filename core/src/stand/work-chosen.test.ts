import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import { readTape } from '../tape/tape.ts'
import { FAMILIES } from '../workshop/families.ts'
import { openStand } from '../workshop/open.ts'
import { workChosen } from './work-chosen.ts'

const works = (id: string) => FAMILIES.find((family) => family.id === id)?.works ?? []

describe('a work with a new part', () => {
  it.each([
    ['linear-pull', 'new-cable', 'cable'],
    ['drum', 'new-lever', 'lever'],
    ['dual-pivot', 'new-pads', 'pads'],
  ])('%s: %s is written with its %s replaced', (family, work, part) => {
    expect(workChosen(works(family), work)).toEqual([
      { kind: 'reading', reading: 'work', value: work, unit: '' },
      { kind: 'swap', part, to: 'new' },
    ])
  })

  it('another work replaces nothing; a disc’s new pads are steps of their own', () => {
    expect(workChosen(works('linear-pull'), 'rub')).toHaveLength(1)
    expect(workChosen(works('disc-fixed-pad'), 'new-pads')).toHaveLength(1)
  })

  it('is written so on the tape too', () => {
    const family = FAMILIES.find(({ id }) => id === 'linear-pull')
    if (!family) throw new Error('no linear-pull')
    const { kit, model } = expectOk(openStand({ family: family.id, end: 'rear', dimensions: {} }, []))
    const { entries } = readTape('work new-cable gl 1.2', { kit, model, length: 'mm' })
    expect(entries.map(({ kind }) => kind)).toEqual(['reading', 'swap', 'reading'])
  })
})
