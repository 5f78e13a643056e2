import { describe, expect, it } from 'vitest'
import type { Entry, EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { type Done, type Walk, walk } from '../testing/hand.ts'
import { seen } from '../testing/stand.ts'
import { FAMILIES } from '../workshop/families.ts'
import { hardwareAfter } from '../workshop/open.ts'
import { type Known, NOTHING_KNOWN } from './known.ts'

/**
 * What a visit asks of the hand: acts (a card ended by one key, tap or line; the signing counts, opening the job does not) and
 * figures typed. The trade’s own: about seven acts at a known, sound brake (common practice, no source). Practice brakes; what
 * is over its aim is so for a guard, and stands in docs/bench.md with the row that costs it.
 */
/** Not 1 and 3: a drum whose book gives no reserve at its load goes no further than that finding. */
const SEEDS = [2, 4, 5, 6]
const FIRST = '2026-03-01T09:00:00Z'
const MONTH_LATER = '2026-04-01T09:00:00Z'

interface Visits {
  readonly first: Walk
  readonly second: Walk
  readonly again: (...start: readonly EntryBody[]) => Walk
}

function visitsTo(family: string, practiceSeed: number): Visits {
  const hardware: Hardware = { family, end: 'front', dimensions: {}, practiceSeed, traits: { motorAt: 'none' } }
  const first = walk(hardware, [], 'B', { ...NOTHING_KNOWN, openedAt: FIRST }, true)
  const release: Entry = {
    kind: 'release',
    initials: '7',
    id: 'release',
    at: FIRST,
    by: '1',
    seq: first.log.length + 1,
  }
  const entries = [...first.log, release]
  const known: Known = { openedAt: MONTH_LATER, complaints: [], visits: [{ hardware, openedAt: FIRST, entries }] }
  const again = (...start: readonly EntryBody[]) => walk(hardwareAfter(hardware, entries), start, 'B', known, true)
  return { first, second: again(), again }
}

const SIGNED = 1
const actsOf = ({ acts }: Walk): number => acts.length + SIGNED
const numbersOf = (acts: readonly Done[]): number => acts.reduce((sum, { numbers }) => sum + numbers, 0)
const turnsOf = ({ acts }: Walk): number => acts.filter(({ kind }) => kind === 'turn').length
/** Up to the first turn, or to its end where there is nothing to turn. */
const toFirstTurn = ({ acts }: Walk): readonly Done[] => {
  const turn = acts.findIndex(({ kind }) => kind === 'turn')
  return turn < 0 ? acts : acts.slice(0, turn)
}

/** The most acts and figures: never seen, to its first turn; known and well; known, one turn; dead and alive again. */
const LIMITS: Readonly<
  Record<
    string,
    { readonly first: number; readonly well: readonly [number, number]; readonly turned: readonly [number, number] }
  >
> = {
  rim: { first: 22, well: [7, 5], turned: [12, 11] },
  disc: { first: 19, well: [7, 7], turned: [14, 14] },
  drum: { first: 9, well: [5, 3], turned: [9, 5] },
}
const limitsOf = (family: string) =>
  LIMITS[family.startsWith('disc') ? 'disc' : family] ?? (LIMITS.rim as NonNullable<(typeof LIMITS)[string]>)

describe.each(FAMILIES.map(({ id }) => id))('what a visit to a %s brake asks of the hand', (id) => {
  const limits = limitsOf(id)
  const all = SEEDS.map((seed) => visitsTo(id, seed))
  const wellVisits = all.filter(({ second }) => turnsOf(second) === 0)

  it('never seen, it is turned first after at most ten acts', () => {
    for (const { first } of all) {
      expect(toFirstTurn(first).length).toBeLessThanOrEqual(10)
      expect(numbersOf(toFirstTurn(first))).toBeLessThanOrEqual(limits.first)
    }
  })

  it('known and well, it is signed after few acts and fewer figures', () => {
    expect(wellVisits.length).toBeGreaterThan(0)
    for (const { second } of wellVisits) {
      expect(actsOf(second)).toBeLessThanOrEqual(limits.well[0])
      expect(numbersOf(second.acts)).toBeLessThanOrEqual(limits.well[1])
    }
  })

  it('known, one turn puts it right', () => {
    for (const { second } of all.filter((each) => turnsOf(each.second) === 1)) {
      expect(actsOf(second)).toBeLessThanOrEqual(limits.turned[0])
      expect(numbersOf(second.acts)).toBeLessThanOrEqual(limits.turned[1])
    }
  })

  it('dead and alive again after a hook and a squeeze, it is one act more than a sound one', () => {
    const [visit] = wellVisits
    if (!visit) throw new Error('no visit was well')
    expect(actsOf(visit.again(seen('work', 'dead')))).toBe(actsOf(visit.second) + 1)
  })

  it('nothing is looked at twice on a visit without a turn', () => {
    for (const { second } of wellVisits) {
      // A step may be looked at on one card and measured on another.
      const asked = second.acts.filter(({ numbers }) => numbers === 0).flatMap(({ steps }) => steps)
      expect(new Set(asked).size).toBe(asked.length)
    }
  })
})
