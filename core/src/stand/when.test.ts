import { describe, expect, it } from 'vitest'
import { sayClock, sayDay, sayWhen } from './when.ts'

describe('a moment in the words of the workshop', () => {
  it('names its day and counts its hours to twenty-four', () => {
    expect(sayWhen('2026-11-26T17:05:30Z', 'UTC')).toBe('Thu 26 Nov 2026, 17:05')
    expect(sayClock('2026-03-01T00:00:00Z', 'UTC')).toBe('00:00')
  })

  it('is the workshop’s own: the same moment is another day elsewhere', () => {
    expect(sayDay('2026-09-30T23:30:00Z', 'UTC')).toBe('Wed 30 Sep 2026')
    expect(sayWhen('2026-09-30T23:30:00Z', 'Pacific/Auckland')).toBe('Thu 1 Oct 2026, 12:30')
  })
})
