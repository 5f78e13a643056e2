import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import { findFamily } from '../workshop/families.ts'
import { visitsOf } from './visits.ts'

// The floor of docs/bench.md is counted over 400 brakes; here over so few that one more than chance turns it red.
describe('ten visits to each of some brakes', () => {
  it.each([
    ['linear-pull', 1 / 2],
    ['disc-fixed-pad', 1 / 2],
    ['drum', 1 / 2],
  ] as const)('%s: at most half of the numbers, and hardly a stop missed', (id, share) => {
    const { visits, numbers, missed } = visitsOf({ family: expectOk(findFamily(id)), brakes: 15, seed: 7 })
    expect(visits).toBe(15 * 9)
    expect(numbers.carrying).toBeLessThan(share * numbers.full)
    expect(missed.count).toBeLessThanOrEqual(1)
  })

  it('the same seed gives the same visits', () => {
    const once = () => visitsOf({ family: expectOk(findFamily('drum')), brakes: 3, seed: 3 })
    expect(once()).toEqual(once())
  })
})
