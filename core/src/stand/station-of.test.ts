import { describe, expect, it } from 'vitest'
import { confirm, KIT, reading, seen, turn, written } from '../testing/stand.ts'
import type { EntryBody } from './entries.ts'
import { stationOf } from './station-of.ts'

const at = (body: EntryBody) => {
  const [entry] = written(body)
  return entry && stationOf(KIT, entry, () => undefined)
}

describe('the station an entry belongs to', () => {
  it.each([
    [reading('lateralRunout', 0.4), 'wheel'],
    [reading('gapLeft', 1), 'centre'],
    [reading('biteTravel', 20), 'bite'],
    [seen('firstTouch', 'left'), 'bite'],
    [seen('shoeLeft', 'forward'), 'pads'],
    [reading('washerStep', 3), 'pads'],
    [turn('leftScrew', 1), 'bite'],
    [confirm('cable-clamped'), 'cable'],
    [confirm('squeezes', 10), 'bite'],
    [{ kind: 'torque', fastener: 'anchor', valueNm: 7 } as const, 'tighten'],
    [{ kind: 'release', initials: '7' } as const, 'release'],
    [{ kind: 'note', text: 'squeals' } as const, undefined],
  ])('%o', (body, station) => {
    expect(at(body)).toBe(station)
  })

  it('is for a correction that of what it strikes', () => {
    const [struck, correction] = written(reading('rimWall', 1.3), { kind: 'correction', strikes: 'entry-1' })
    expect(correction && stationOf(KIT, correction, () => struck)).toBe('wheel')
  })
})
