import { describe, expect, it } from 'vitest'
import type { JobRow, RackBicycle } from '../data/api.ts'
import { type FilterId, matches } from './filter.ts'

const job = (more: Partial<JobRow>): JobRow => ({
  id: 'j',
  number: 142,
  brakeId: 'b',
  complaint: 'Rubs on the left',
  openedAt: '2026-03-01T09:00:00Z',
  releasedAt: null,
  closedAt: null,
  summary: { stations: [{ id: 'centre', title: 'Centre', mark: 'low' }], nextSay: '' },
  ...more,
})
const bicycle = (row: JobRow | null, retiredAt: string | null = null): RackBicycle => ({
  id: 'x',
  code: 'K7WXZ',
  name: 'Hire 07',
  description: 'Diamond frame, 37-622',
  retiredAt,
  brakes: [{ id: 'b', end: 'rear', family: 'linear-pull', job: row }],
})

describe('a bicycle off the rack', () => {
  it.each<[FilterId, boolean]>([
    ['all', false],
    ['open', false],
    ['out', false],
    ['retired', true],
  ])('in %s: %s', (filter, shown) => {
    expect(matches(bicycle(job({}), '2026-03-02T09:00:00Z'), 'hire', filter)).toBe(shown)
    expect(matches(bicycle(job({})), 'hire', filter)).toBe(!shown)
  })
})

describe('the rack’s search', () => {
  it.each([
    ['hire 07', true],
    ['622 rear', true],
    ['k7wxz', true],
    ['k7wxq', false],
    ['LEFT', true],
    ['142', true],
    ['front', false],
    ['42', false],
    ['hire 08', false],
    ['', true],
  ])('“%s” finds it: %s', (search, found) => {
    expect(matches(bicycle(job({})), search, 'all')).toBe(found)
  })

  it.each<[FilterId, JobRow | null, boolean]>([
    ['open', job({}), true],
    ['open', job({ releasedAt: '2026-03-01T10:00:00Z' }), false],
    ['out', job({}), true],
    ['out', job({ summary: { stations: [], nextSay: '' } }), false],
    ['released', job({ releasedAt: '2026-03-01T10:00:00Z' }), true],
    ['released', null, false],
    ['unfit', job({ closedAt: '2026-03-01T10:00:00Z' }), true],
    ['unfit', job({}), false],
    ['open', job({ closedAt: '2026-03-01T10:00:00Z' }), false],
    ['released', job({ closedAt: '2026-03-01T10:00:00Z' }), false],
    ['all', null, true],
  ])('%s', (filter, row, found) => {
    expect(matches(bicycle(row), '', filter)).toBe(found)
  })
})
