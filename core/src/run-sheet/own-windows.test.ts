import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import type { EntryBody } from '../stand/entries.ts'
import type { Hardware } from '../stand/hardware.ts'
import { confirm, measured, PREPARED, turn, written } from '../testing/stand.ts'
import { openJob } from '../workshop/open.ts'
import { readingMark } from './job.ts'

const brake = (family: string): Hardware => ({ family, end: 'rear', dimensions: {} })
const jobOf = (family: string, ...bodies: readonly EntryBody[]) =>
  expectOk(openJob(brake(family), written(...PREPARED, ...bodies)))
const squeezed = confirm('squeezes', 10)

// The school names the bite; the gap it comes with is this brake's own.
describe('what only follows from the school follows this brake', () => {
  it.each([
    ['centre-pull', 1.9, 2.3, 20],
    ['single-pivot', 2.2, 2.4, 19],
  ] as const)('a %s at %s and %s mm with its bite at %s mm stands in its windows', (family, left, right, bite) => {
    const job = jobOf(family, squeezed, ...measured(left, right, bite))
    for (const id of ['gapLeft', 'gapRight', 'biteTravel']) expect(readingMark(job, id)).toBe('in')
    expect(job.advice.kind).not.toBe('no-setting')
  })

  it('the window moves to the gap this brake has at that bite, and says so', () => {
    const book = jobOf('single-pivot').windows.of.gapLeft
    const job = jobOf('single-pivot', squeezed, ...measured(2.2, 2.4, 19))
    const own = job.windows.of.gapLeft
    expect(own?.target).toBeLessThan((book?.target ?? 0) - 0.1)
    expect(own?.target).toBeCloseTo(2.4, 1)
    const said = own?.because.map(({ text }) => text).join(' ') ?? ''
    expect(said).toMatch(/As this brake answers: .* of cable for the first millimetre of gap a side \(book .*\)/)
    expect(book?.because.map(({ text }) => text).join(' ')).not.toContain('As this brake answers')
  })

  it('known better, the window is no wider than a hand needs', () => {
    const width = (family: string, ...bodies: readonly EntryBody[]) => {
      const window = jobOf(family, ...bodies).windows.of.gapLeft
      return (window?.high ?? 0) - (window?.low ?? 0)
    }
    expect(width('single-pivot', squeezed, ...measured(2, 2, 20))).toBeLessThan(width('single-pivot'))
    // The bite within 4.2 mm of finger is 1.7 mm of cable, 0.24 mm of gap either side; and the pads half a millimetre apart.
    expect(width('linear-pull', squeezed, ...measured(1.1, 1.1, 20))).toBeCloseTo(2 * 0.24 + 0.5, 1)
  })

  it('a gap-led school keeps its gap; the bite follows', () => {
    const school: EntryBody = { kind: 'swap', part: 'school.bite', to: 'gap 0.9' }
    const book = jobOf('linear-pull', school).windows.of
    const own = jobOf('linear-pull', school, squeezed, ...measured(0.9, 0.9, 24)).windows.of
    expect(own.gapLeft?.low).toBeCloseTo(0.55, 9)
    expect(book.gapLeft?.low).toBeCloseTo(0.55, 9)
    expect(own.biteTravel?.target).toBeGreaterThan((book.biteTravel?.target ?? 0) + 1)
  })
})

describe('windows are made anew by a reading, never by a turn', () => {
  const log = [squeezed, ...measured(1.2, 1.9, 27)]
  const { windows } = jobOf('linear-pull', ...log)

  it('stand still while the hand turns and squeezes', () => {
    expect(jobOf('linear-pull', ...log, turn('leftScrew', 0.5)).windows).toEqual(windows)
    expect(jobOf('linear-pull', ...log, turn('anchor', -3), squeezed).windows).toEqual(windows)
  })

  it('follow the next reading', () => {
    const again = jobOf('linear-pull', ...log, turn('anchor', -3), squeezed, ...measured(0.7, 1.4, 18))
    expect(again.windows).not.toEqual(windows)
  })
})

describe('a turn asked for although all reads well', () => {
  it('says how likely it is to be so, and what the turn makes of it', () => {
    const { next } = jobOf('linear-pull', squeezed, ...measured(0.9, 1.3, 20))
    expect(next.kind === 'turn' && next.why).toMatch(/^All reads well, and is so in \d+ of 100; this makes it \d+\.$/)
  })
  it('and one that reads outside says nothing of the kind', () => {
    const { next } = jobOf('linear-pull', squeezed, ...measured(0.5, 1.9, 20))
    expect(next.kind).toBe('turn')
    expect(next).not.toHaveProperty('why')
  })
})
