import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import { HARDWARE, written } from '../testing/stand.ts'
import { hardwareAfter } from '../workshop/open.ts'
import type { Hardware } from './hardware.ts'
import { changedBy, type HardwareChange, hardwareAsOf, taughtTo } from './history.ts'

const NEW: Hardware = { family: 'linear-pull', end: 'rear', dimensions: { armMm: { value: 105, provenance: 'maker' } } }
const DAY = (day: number) => `2026-03-0${day}T09:00:00.000Z`
const measured = (value: number, day: number, dimension = 'armMm'): HardwareChange => ({
  dimension,
  value,
  provenance: 'measured',
  since: DAY(day),
  by: '7',
})
const takenBack = (day: number): HardwareChange => ({ dimension: 'armMm', takeBack: DAY(day) })
const arm = (hardware: Hardware) => hardware.dimensions.armMm?.value
const after = (...changes: readonly HardwareChange[]) => expectOk(changedBy(NEW, changes))

describe('hardware measured later', () => {
  it('says since when and by whom, and keeps what it was', () => {
    expect(after(measured(103, 2)).dimensions.armMm).toEqual({
      value: 103,
      provenance: 'measured',
      since: DAY(2),
      by: '7',
      before: { value: 105, provenance: 'maker' },
    })
  })

  it('is taken back to what it was, and only the one that is meant', () => {
    expect(after(measured(103, 2), takenBack(2))).toEqual(NEW)
    expect(arm(after(measured(103, 2), measured(102, 3), takenBack(2)))).toBe(102)
    expect(arm(after(measured(103, 2), measured(102, 3), takenBack(3)))).toBe(103)
    const fresh = after(measured(24, 2, 'rimWidthMm'), { dimension: 'rimWidthMm', takeBack: DAY(2) })
    expect(fresh.dimensions).not.toHaveProperty('rimWidthMm')
  })

  it('sent twice, is written once; sent late, behind a newer one, is refused', () => {
    expect(after(measured(103, 2), measured(103, 2))).toEqual(after(measured(103, 2)))
    expect(after(measured(103, 2), takenBack(2), takenBack(2))).toEqual(NEW)
    expect(changedBy(NEW, [measured(103, 4), measured(101, 3)])).toMatchObject({
      ok: false,
      error: { code: 'measured-since', message: expect.stringContaining(DAY(4)) },
    })
  })

  it('moments are compared as moments, in whatever zone they are written', () => {
    const at = (value: number, since: string): HardwareChange => ({ ...measured(value, 2), since })
    // Five in the morning by Greenwich, then eight.
    const now = after(at(103, '2026-03-05T10:00:00+05:00'), at(102, '2026-03-05T08:00:00Z'))
    expect(arm(now)).toBe(102)
    expect(arm(hardwareAsOf(now, '2026-03-05T06:00:00Z'))).toBe(103)
    expect(changedBy(now, [at(101, '2026-03-05T09:00:00+05:00')]).ok).toBe(false)
  })

  it('measured a thousand times, a hundred are kept, and the maker’s own first figure', () => {
    const minute = (count: number) => new Date(Date.UTC(2026, 2, 1) + count * 60_000).toISOString()
    let now = NEW
    for (let count = 1; count <= 1000; count += 1)
      now = expectOk(changedBy(now, [{ ...measured(100 + (count % 9), 2), since: minute(count) }]))
    expect(arm(now)).toBe(100 + (1000 % 9))
    expect(arm(hardwareAsOf(now, minute(950)))).toBe(100 + (950 % 9))
    expect(arm(hardwareAsOf(now, minute(-1)))).toBe(105)
    // SQLite documentation, “JSON functions”: deeper than 1000 it is malformed.
    expect(JSON.stringify(now).split('"before"').length).toBeLessThan(110)
  })

  it('is not told to a job that ended before', () => {
    const now = after(measured(103, 2), measured(102, 4), measured(24, 4, 'rimWidthMm'))
    expect(arm(hardwareAsOf(now, DAY(1)))).toBe(105)
    expect(arm(hardwareAsOf(now, DAY(3)))).toBe(103)
    expect(hardwareAsOf(now, DAY(3)).dimensions).not.toHaveProperty('rimWidthMm')
    expect(arm(hardwareAsOf(now, DAY(5)))).toBe(102)
  })
})

describe('what a job measured of the hardware', () => {
  const log = written(
    { kind: 'reading', reading: 'leverReach', value: 72, unit: 'mm', instrument: 'rule' },
    { kind: 'reading', reading: 'gapLeft', value: 1, unit: 'mm' },
    { kind: 'reading', reading: 'leverPull', value: 28, unit: 'mm' },
    { kind: 'correction', strikes: 'entry-3' },
  )
  const given = hardwareAfter(HARDWARE, log)

  it('goes to the brake with when and by whom; what was struck and what is no hardware does not', () => {
    expect(given.dimensions).toEqual({
      leverReachMm: { value: 72, provenance: 'measured', instrument: 'rule', since: log[0]?.at, by: '1' },
    })
  })

  it('once, and never over what was measured since', () => {
    expect(hardwareAfter(given, log)).toBe(given)
    const since: HardwareChange = {
      dimension: 'leverReachMm',
      value: 70,
      provenance: 'measured',
      since: '2027-01-01T00:00:00Z',
      by: '2',
    }
    const later = expectOk(changedBy(HARDWARE, [since]))
    expect(hardwareAfter(later, log).dimensions.leverReachMm?.value).toBe(70)
  })
})

describe('what a log taught of a brake', () => {
  const was: Hardware = {
    family: 'linear-pull',
    end: 'rear',
    dimensions: { armMm: { value: 105, provenance: 'maker' } },
  }
  const taught: Hardware = {
    ...was,
    dimensions: { ...was.dimensions, reachMm: { value: 61, provenance: 'measured' } },
    traits: { motorAt: 'none' },
    figures: { 'lever-clamp': { low: 5, high: 6 } },
  }
  it('is laid over the brake as it is by now, and touches nothing else', () => {
    const now: Hardware = { ...was, dimensions: { armMm: { value: 103, provenance: 'measured' } } }
    expect(taughtTo(now, was, taught)).toEqual({
      ...taught,
      dimensions: { armMm: { value: 103, provenance: 'measured' }, reachMm: { value: 61, provenance: 'measured' } },
    })
    expect(taughtTo(now, was, was)).toEqual(now)
  })
  it('gives way to what was measured of the very same in the meantime', () => {
    const now: Hardware = { ...was, dimensions: { ...was.dimensions, reachMm: { value: 60, provenance: 'measured' } } }
    expect(taughtTo(now, was, taught).dimensions.reachMm?.value).toBe(60)
  })
})
