import { describe, expect, it } from 'vitest'
import type { StandIn } from '../simulate/stand-in.ts'
import { FAMILIES } from '../workshop/families.ts'
import { advised } from './advised.ts'
import { fleetBrake } from './contest.ts'
import { bookBicycle } from './fleet.ts'
import { seedsOf } from './report.ts'
import { MOST_PASSES, ownStop } from './trial.ts'

/** This far either way each adjuster goes, in its own unit: corroded threads, a crushed strand at the anchor. */
const ENDS = 0.3

/** A brake of the fleet each of whose adjusters comes to an end a little way from where it stands, whatever the book has. */
function seized(brake: StandIn): StandIn {
  const at: Record<string, number> = {}
  return {
    ...brake,
    turn(adjuster, amount) {
      const before = at[adjuster] ?? 0
      const wanted = Math.min(ENDS, Math.max(-ENDS, before + amount))
      const { turned, endReached } =
        wanted === before ? { turned: 0, endReached: true } : brake.turn(adjuster, wanted - before)
      at[adjuster] = before + turned
      return { turned, endReached: endReached || wanted !== before + amount }
    },
  }
}

describe('a brake that its adjusters cannot bring in', () => {
  it.each(FAMILIES.map((family) => [family.id, family] as const))(
    '%s: given up as soon as the ends are felt, no turn told again that did nothing',
    (_, family) => {
      const bicycle = bookBicycle(family)
      const trials = seedsOf({ brakes: 12, seed: 3 }).map((seed) => {
        const own = fleetBrake(bicycle, seed)
        return ownStop(bicycle, { ...own, brake: seized(own.brake) }, advised(bicycle))
      })
      const givenUp = trials.filter(({ failed, right }) => failed && !right)
      // Some stand so near that they are brought in all the same.
      expect(givenUp.length).toBeGreaterThan(4)
      const passes = givenUp.map(({ log }) => log.filter(({ kind }) => kind === 'confirm').length)
      expect(passes.reduce((sum, each) => sum + each, 0) / passes.length).toBeLessThanOrEqual(3.5)
      expect(Math.max(...passes)).toBeLessThanOrEqual(6)
      for (const { log } of givenUp) {
        expect(log.length).toBeLessThan(MOST_PASSES * 4)
        const vain = log.flatMap((entry) =>
          entry.kind === 'turn' && entry.amount === 0 ? [`${entry.adjuster} ${Math.sign(entry.tried ?? 0)}`] : [],
        )
        expect(new Set(vain).size).toBe(vain.length)
      }
    },
  )
})
