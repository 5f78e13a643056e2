import type { Part } from '@overhaul/core/drawer/part'
import { describe, expect, it } from 'vitest'
import { matchesPart } from './filter.ts'

const NUT: Part = {
  id: '1',
  code: 'SN-13',
  kind: 'sleeve-nut',
  name: 'Sleeve nut, short',
  dimensions: { shankMm: 13, threadDepthMm: 10, outerMm: 8, threadMm: 6 },
  material: 'steel',
  minimum: 2,
  count: 3,
}

describe('the drawer is searched by what a part is', () => {
  it.each(['', 'sleeve', 'SN-13', 'nut short', '13 mm', 'steel', 'NUT 10'])('%j finds it', (search) => {
    expect(matchesPart(NUT, search)).toBe(true)
  })
  it.each(['washer', 'nut long', '14 mm', 'steel brass'])('%j does not', (search) => {
    expect(matchesPart(NUT, search)).toBe(false)
  })
})
