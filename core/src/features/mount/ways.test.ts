import { describe, expect, it } from 'vitest'
import { preferenceOf, rankOf, WAYS, type WayId, wayName } from './ways.ts'

const ordered = (school: string): readonly WayId[] =>
  WAYS.map(({ id }) => id).sort((a, b) => rankOf(a, preferenceOf(school)) - rankOf(b, preferenceOf(school)))

// Handbook, mounting on older frames: what cannot be undone comes last for one workshop, what shows for the other.
describe('which way of mounting comes first', () => {
  it('where the frame is to be left as it was, what cuts nothing comes before what drills, the front wall last', () => {
    expect(ordered('reversible')).toEqual(['as-is', 'A', 'D', 'B', 'fork', 'C'])
  })
  it('where the neatest look is wanted, the sleeve nut let in comes before a bolt right through', () => {
    expect(ordered('flush')).toEqual(['as-is', 'B', 'fork', 'C', 'A', 'D'])
  })
  it('a school nobody knows is the careful one', () => {
    expect(preferenceOf('neat')).toBe('reversible')
  })
  it('drilling is never chosen without its cautions, and the other side not without its own', () => {
    for (const { drills, cautions } of WAYS) {
      expect(cautions).toContain('maker')
      expect(cautions.includes('drilling') && cautions.includes('eyes')).toBe(drills !== 'nothing')
    }
    expect(WAYS.filter(({ cautions }) => cautions.includes('turned-round')).map(({ id }) => id)).toEqual(['C'])
  })
  it('is called by its letter where it has one', () => {
    expect(WAYS.map(wayName).filter((name) => /^[A-D] · /.test(name))).toHaveLength(4)
  })
})
