import { describe, expect, it } from 'vitest'
import { kitOf } from '../bench/kit.ts'
import { type Bicycle, bookBicycle, rimFleetBrake } from '../passes/fleet.ts'
import type { EntryBody } from '../stand/entries.ts'
import { adviceFromLog } from '../testing/advice.ts'
import { confirm, measured, written } from '../testing/stand.ts'
import { FAMILIES } from '../workshop/families.ts'
import type { Turn } from './turn.ts'

/** Zero and near it: the pads lie on their track, and nothing shows how much too short the cable is. */
const DEAD = [0, 2, 5]

/** Cable let out by a turn, mm: at the anchor, or by the barrel in, a millimetre a turn. */
const letOut = ({ moves }: Turn): number =>
  moves.reduce(
    (sum, { adjuster, amount }) => sum + (adjuster === 'anchor' ? amount : adjuster === 'barrel' ? -amount : 0),
    0,
  )

// The commonest brake there is (common practice): both pads on the rim, the lever dead or nearly so.
const RIMS = FAMILIES.filter(({ track }) => track === 'rim')

describe.each(RIMS.map((family) => [family.id, family] as const))('both pads of a %s on the rim', (_, family) => {
  const bicycle = bookBicycle(family)
  const kit = kitOf(family)
  const { right: windows } = rimFleetBrake(bicycle, 3)
  const adviceOn = (...bodies: readonly EntryBody[]) => adviceFromLog(kit, bicycle.model, written(...bodies), windows)

  it.each(DEAD)('with the lever dead at %s mm: cable is let out', (bite) => {
    const advice = adviceOn(...measured(0, 0, bite))
    expect(advice.kind).toBe('turn')
    if (advice.kind !== 'turn') return
    expect(letOut(advice.turn)).toBeGreaterThan(2)
    expect(letOut(advice.turn)).toBeLessThanOrEqual(30)
  })

  it('still on it afterwards, more is let out: a zero says only “at most”', () => {
    const again = adviceOn(
      ...measured(0, 0, 0),
      { kind: 'turn', adjuster: 'anchor', amount: 6, unit: 'mm' },
      confirm('squeezes', 10),
      ...measured(0, 0, 1),
    )
    expect(again.kind).toBe('turn')
    if (again.kind !== 'turn') return
    expect(letOut(again.turn)).toBeGreaterThan(0)
  })
})

/** A brake of the fleet clamped with its pads on the rim, some of them by 3 mm of cable too short; turns until it is in. */
function turnsFromTheTrack(bicycle: Bicycle, seed: number): number {
  const kit = kitOf(bicycle.family)
  const { brake, right: windows } = rimFleetBrake(bicycle, seed)
  const bodies: EntryBody[] = []
  const measure = () => {
    const { shown } = brake.gauge()
    bodies.push(...measured(shown.gapLeft, shown.gapRight, shown.biteTravel))
  }
  brake.clampGivingBack(-(seed % 4))
  brake.squeeze(10)
  measure()
  for (let turns = 0, looks = 0; turns < MOST && looks < 30; looks += 1) {
    const advice = adviceFromLog(kit, bicycle.model, written(...bodies), windows)
    if (advice.kind === 'in-window') return turns
    if (advice.kind === 'no-setting') return MOST
    if (advice.kind === 'turn') {
      turns += 1
      for (const { adjuster, amount, unit } of advice.turn.moves) {
        const { turned, endReached } = brake.turn(adjuster, amount)
        const end = endReached && { endReached: true as const, ...(turned === 0 && { tried: amount }) }
        bodies.push({ kind: 'turn', adjuster, amount: turned, unit, ...end })
      }
      brake.squeeze(10)
      bodies.push(confirm('squeezes', 10))
    }
    measure()
  }
  return MOST
}
const MOST = 12

describe('from the rim into the windows', () => {
  it.each(RIMS.map((family) => [family.id, bookBicycle(family)] as const))('a %s takes few turns', (_, bicycle) => {
    const turns = Array.from({ length: 24 }, (__, index) => turnsFromTheTrack(bicycle, (index + 1) * 7919))
    expect(turns.filter((each) => each >= MOST).length).toBeLessThanOrEqual(1)
    expect(turns.reduce((sum, each) => sum + each, 0) / turns.length).toBeLessThan(3.5)
  })
})
