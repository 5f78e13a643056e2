import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import type { Visit } from '../run-sheet/known.ts'
import type { EntryBody } from '../stand/entries.ts'
import { HARDWARE, reading, SOUND, written } from '../testing/stand.ts'
import { openJob } from '../workshop/open.ts'
import { lifeLines } from './life.ts'

const FIRST = '2026-03-01T09:00:00Z'
const visitOf = (openedAt: string, ...bodies: readonly EntryBody[]): Visit => ({
  hardware: HARDWARE,
  openedAt,
  entries: written(...bodies).map((entry, k) => ({ ...entry, id: `${openedAt}-${k}`, at: openedAt })),
})
const leftPad = (openedAt: string, visits: readonly Visit[], ...bodies: readonly EntryBody[]) =>
  lifeLines(expectOk(openJob(HARDWARE, written(...bodies), { openedAt, complaints: [], visits })), 'mm').find((line) =>
    line.startsWith('Left pad'),
  )

describe('what is left of what wears', () => {
  it('read today it is counted from today: 2.5 mm at 1.2 mm a year is 25 months, a sum by hand', () => {
    expect(leftPad(FIRST, [], reading('padLeft', 4))).toMatch(
      /^Left pad, thickness left: 2\.5 mm to its limit of 1\.5 mm, about 25 months, .* by a year of hire as we estimate it$/,
    )
  })

  it('kept from an earlier visit it is counted from the day of this job, as what is left is', () => {
    // Thirty days on 0.1 mm of the 2.5 is gone, and one of the twenty-five months.
    const line = leftPad('2026-03-31T09:00:00Z', [visitOf(FIRST, ...SOUND, { kind: 'release', initials: '7' })])
    expect(line).toMatch(/^Left pad, thickness left: 2\.4 mm to its limit of 1\.5 mm, about 2[34] months/)
  })

  it('one reading since the pad was changed is no slope of this brake’s own', () => {
    const visits = [visitOf('2025-09-01T09:00:00Z', reading('padLeft', 1.9))]
    expect(leftPad(FIRST, visits, reading('padLeft', 4))).toMatch(/by a year of hire as we estimate it$/)
    const worn = [visitOf('2025-09-01T09:00:00Z', reading('padLeft', 4.6))]
    expect(leftPad(FIRST, worn, reading('padLeft', 4))).toMatch(/by this brake’s own visits$/)
  })
})
