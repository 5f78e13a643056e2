import { kitOf } from '@overhaul/core/bench/kit'
import { CALCULATIONS } from '@overhaul/core/calculations/registry'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { describe, expect, it } from 'vitest'
import { entriesOf, seek } from './entries.ts'

const ENTRIES = entriesOf(kitOf(FAMILIES[0] as (typeof FAMILIES)[0]))
const titles = (sought: string) => seek(ENTRIES, sought).map(({ title }) => title)

describe('the handbook’s search', () => {
  it('finds a thing by what it is called elsewhere, and leads to its one name', () => {
    expect(titles('first touch')).toContain('bite')
    expect(titles('dish')).toContain('wheel offset')
  })

  it('puts titles before texts', () => {
    expect(titles('toe')[0]).toMatch(/^toe/i)
  })

  it('wants every word, and finds nothing for none', () => {
    expect(titles('squeal')).toContain('Squeal')
    expect(titles('squeal submarine')).toEqual([])
    expect(titles('  ')).toEqual([])
  })

  it('holds every calculation, each at an address of its own', () => {
    const to = ENTRIES.filter(({ kind }) => kind === 'calculation').map((each) => each.to)
    expect(to).toEqual(CALCULATIONS.map(({ id }) => `/handbook/calculation/${id}`))
  })
})
