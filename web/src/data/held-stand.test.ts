import { expectOk } from '@overhaul/core/outcome/outcome'
import { standOf } from '@overhaul/core/run-sheet/stand'
import type { Entry } from '@overhaul/core/stand/entries'
import type { Hardware } from '@overhaul/core/stand/hardware'
import { FAMILIES } from '@overhaul/core/workshop/families'
import { describe, expect, it, vi } from 'vitest'
import { holdStand, standWith } from './held-stand.ts'

const [family] = FAMILIES as [(typeof FAMILIES)[number]]
const HARDWARE: Hardware = { family: family.id, end: 'rear', dimensions: {} }
let made = 0
const gap = (value: number, seq?: number): Entry => {
  made += 1
  return {
    kind: 'reading',
    reading: 'gapLeft',
    value,
    unit: 'mm',
    id: `e${made}`,
    at: '2026-03-01T09:00:00Z',
    by: '1',
    ...(seq !== undefined && { seq }),
  }
}
const strike = (strikes: string, seq: number): Entry => ({
  kind: 'correction',
  strikes,
  id: `c${seq}`,
  at: '2026-03-01T09:00:00Z',
  by: '1',
  seq,
})

const held = () => {
  const open = vi.fn((hardware: Hardware, entries: readonly Entry[]) => standOf(family, hardware, entries))
  return { open, at: holdStand(open) }
}

describe('a stand that is held', () => {
  it('goes on as its log does, and is what it would be if it were read from its beginning', () => {
    const { open, at } = held()
    const log = [gap(1, 1), gap(1.1, 2)]
    at(HARDWARE, log)
    const more = [...log, gap(1.4, 3), strike(log[0]?.id ?? '', 4)]
    const stand = expectOk(at(HARDWARE, more))
    expect(open).toHaveBeenCalledTimes(1)
    expect(stand.state).toEqual(expectOk(standOf(family, HARDWARE, more)).state)
  })

  it('is opened anew where the log is another, or the brake was measured', () => {
    const { open, at } = held()
    const [first, second] = [gap(1, 1), gap(1.1, 2)]
    at(HARDWARE, [first, second])
    at(HARDWARE, [second])
    at({ ...HARDWARE }, [second])
    expect(open).toHaveBeenCalledTimes(3)
  })

  it('has what waits laid over it, and is not moved by it', () => {
    const { at } = held()
    const log = [gap(1, 1)]
    const ahead = expectOk(standWith(at(HARDWARE, log), [gap(2.2)]))
    expect(ahead.number('gapLeft')).toBe(2.2)
    expect(expectOk(at(HARDWARE, log)).number('gapLeft')).toBe(1)
  })
})
