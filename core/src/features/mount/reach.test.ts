import { describe, expect, it } from 'vitest'
import { expectOk } from '../../outcome/outcome.ts'
import { checkMeasured, type Measured, missingOf } from './measured.ts'
import { reachOf } from './reach.ts'

const measured = (numbers: Record<string, number>, seen: Record<string, string> = {}): Measured => ({
  end: 'rear',
  number: (id) => numbers[id],
  seen: (id) => seen[id],
})
const reach = (numbers: Record<string, number>, bead = 622, mount: 'centre-bolt' | 'boss' = 'centre-bolt') =>
  expectOk(
    reachOf(measured(numbers), bead, mount) ?? { ok: false, error: { code: 'missing', field: '', message: 'missing' } },
  )

describe('will the pads reach?', () => {
  // ISO 5775-1: 630 to 622 is 8 mm less across, so a caliper reaches 4 mm further down.
  it('measured with the old wheel, half the change of bead seat is added', () => {
    const found = reach({ trackReach: 49, beadFitted: 630, slotLow: 47, slotHigh: 57 })
    expect(found.changeMm).toBe(4)
    expect(found).toMatchObject({ neededMm: 53, fits: true, marginMm: 4 })
    expect(found.position).toBeCloseTo(0.6, 9)
    expect(found.say).toContain('60 % along the slot')
  })

  it('on bosses the same change goes the other way', () => {
    expect(reach({ trackReach: 29, beadFitted: 630, slotLow: 20, slotHigh: 34 }, 622, 'boss').neededMm).toBe(25)
  })

  it('says by how much it misses, and which common reach would do', () => {
    const short = reach({ trackReach: 58, beadFitted: 630, slotLow: 39, slotHigh: 49 })
    expect(short.fits).toBe(false)
    expect(short.say).toContain('13.0 mm beyond the slot’s far end')
    expect(short.instead).toEqual([[55, 73]])
    expect(reach({ trackReach: 44, slotLow: 47, slotHigh: 57 }).say).toContain('nearer than the slot’s near end')
  })

  it('waits for what is missing, and refuses a wheel that does not exist, offering the nearest', () => {
    expect(reachOf(measured({ trackReach: 50 }), 622, 'centre-bolt')).toBeUndefined()
    expect(
      reachOf(measured({ trackReach: 50, beadFitted: 623, slotLow: 47, slotHigh: 57 }), 622, 'centre-bolt'),
    ).toMatchObject({
      ok: false,
      error: { code: 'unknown-bead-seat', message: expect.stringContaining('Nearest: 622 mm') },
    })
  })
})

describe('measurements that contradict each other', () => {
  it.each([
    [{ holeFront: 18, mountTube: 16 }, 'holeFront'],
    [{ holeBack: 17, mountTube: 16 }, 'holeBack'],
    [{ mountWall: 9, mountTube: 16 }, 'mountWall'],
    [{ boltThreaded: 20, boltOut: 18 }, 'boltThreaded'],
    [{ slotLow: 57, slotHigh: 47 }, 'slotHigh'],
    [{ beadFitted: 700 }, 'beadFitted'],
  ])('%j', (numbers, field) => {
    const checked = checkMeasured(measured(numbers as unknown as Record<string, number>))
    expect(checked).toMatchObject({ ok: false, error: { field, message: expect.stringMatching(/Accepted|Nearest/) } })
  })

  it('takes what can be', () => {
    expect(
      checkMeasured(measured({ holeFront: 6, mountTube: 16, mountWall: 1, boltOut: 18, boltThreaded: 14 })).ok,
    ).toBe(true)
  })

  it('asks for a wall only where there are two', () => {
    expect(missingOf(measured({}, { mountBody: 'solid' }))).not.toContain('mountWall')
    expect(missingOf(measured({}, { mountBody: 'hollow' }))).toContain('mountWall')
  })
})
