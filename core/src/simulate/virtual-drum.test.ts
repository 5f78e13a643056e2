import { describe, expect, it } from 'vitest'
import { bookDimensions } from '../brake/dimension.ts'
import { drumFamily } from '../families/drum/family.ts'
import { virtualDrum } from './virtual-drum.ts'

const D = bookDimensions(drumFamily)
const SEEDS = Array.from({ length: 300 }, (_, index) => 17 + index * 7919)

describe('a simulated drum', () => {
  it('scrapes once a turn before it drags, drags lightly before it drags hard', () => {
    const order = ['none', 'once', 'lightly', 'hard']
    for (const seed of SEEDS.slice(0, 60)) {
      const brake = virtualDrum(D, seed)
      let worst = 0
      for (let turn = 0; turn < 8; turn += 0.25) {
        brake.turn('barrel', 0.25)
        const at = order.indexOf(String(brake.truth().drag))
        expect(at).toBeGreaterThanOrEqual(worst)
        worst = at
      }
    }
  })

  it('bites sooner by what the barrel takes up, over its own lever, and loses a tenth of a turn on the way back', () => {
    const brake = virtualDrum(D, 5, { start: { cableMm: 8 } })
    const bite = () => Number(brake.truth().biteTravel)
    const { leverage } = brake.hidden
    const first = bite()
    brake.turn('barrel', 1)
    expect(first - bite()).toBeCloseTo(leverage, 6)
    brake.turn('barrel', -1)
    expect(first - bite()).toBeCloseTo(0.1 * leverage, 6)
  })

  it('wound out to the first scrape and back a turn, it runs free, wherever it stood', () => {
    for (const seed of SEEDS) {
      const brake = virtualDrum(D, seed, { start: { cableMm: 4 } })
      const { endReached } = brake.turn('barrel', -1, 'ear')
      if (!endReached) expect(brake.truth().drag).toBe('none')
    }
  })

  it('has no scrape to find where the slack is longer than its barrel', () => {
    const brake = virtualDrum(D, 5, { start: { cableMm: 15 } })
    expect(brake.turn('barrel', -1, 'ear').endReached).toBe(true)
    expect(brake.position('barrel')).toBe(D.barrelTravelTurns)
  })

  it('centred shoes leave less between the first scrape and the bite', () => {
    const squash = (settled: boolean) =>
      SEEDS.reduce((sum, seed) => {
        const brake = virtualDrum(D, seed)
        if (settled) brake.settle?.()
        return sum + brake.hidden.squashMm
      }, 0) / SEEDS.length
    expect(squash(true)).toBeLessThan(0.85 * squash(false))
  })

  it('scatters as written: lever 6 %, free play 0.5 to 1.8 mm', () => {
    const hidden = SEEDS.map((seed) => virtualDrum(D, seed).hidden)
    const logs = hidden.map(({ leverage }) => Math.log(leverage / 3.75))
    const sd = Math.sqrt(logs.reduce((sum, each) => sum + each * each, 0) / logs.length)
    expect(sd).toBeCloseTo(0.06, 2)
    const free = hidden.map(({ freePlayMm }) => freePlayMm)
    expect(Math.min(...free)).toBeGreaterThanOrEqual(0.5)
    expect(Math.max(...free)).toBeLessThanOrEqual(1.8)
    expect(Math.max(...free) - Math.min(...free)).toBeGreaterThan(1.2)
  })
})
