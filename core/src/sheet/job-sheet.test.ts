import { describe, expect, it } from 'vitest'
import { expectOk } from '../outcome/outcome.ts'
import { CAUTIONS } from '../reference/cautions.ts'
import type { EntryBody } from '../stand/entries.ts'
import { confirm, HARDWARE, KIT, measured, PREPARED, reading, turn, written } from '../testing/stand.ts'
import { openJob } from '../workshop/open.ts'
import { jobSheet } from './job-sheet.ts'

const SUBJECT = { jobNumber: 142, bicycle: 'Hire 07', complaint: 'rubs left' }
const sheet = (bodies: readonly EntryBody[], length: 'mm' | 'in' = 'mm') =>
  jobSheet(expectOk(openJob(HARDWARE, written(...bodies))), SUBJECT, length)

const WORKED: readonly EntryBody[] = [
  ...PREPARED,
  ...measured(0.3, 2.2, 9),
  turn('leftScrew', 1),
  confirm('squeezes', 10),
  ...measured(1.0, 1.2, 20),
  confirm('hard-squeezes', 10),
  ...measured(1.0, 1.1, 20),
  reading('reserve', 22),
  { kind: 'skip', step: 'spin', reason: 'wheel lent to Hire 08' },
  confirm('walk-test'),
  { kind: 'release', initials: '7' },
]

describe('the job sheet', () => {
  it('names the job and what was complained of, and says who released it', () => {
    const { heading, about, released } = sheet(WORKED)
    expect(heading).toBe('Job 142 · Hire 07 · rear · linear-pull')
    expect(about).toBe('Complaint: rubs left. Bite school: third of the travel.')
    expect(released).toMatch(/^Released by 7, Sun 1 Mar 2026, \d\d:\d\d$/)
    expect(sheet(WORKED.slice(0, -1)).released).toBeUndefined()
  })

  it('sets what was found beside what was left, with the window', () => {
    const gap = sheet(WORKED).readings.find((each) => each.title === 'gap left')
    expect(gap).toMatchObject({ found: '0.3 mm', left: '1.0 mm', mark: 'in' })
    expect(gap?.window).toMatch(/^0\.5 mm to 1\.\d mm$/)
    // Measured only after something was done, it was not found so.
    expect(sheet(WORKED).readings.find((each) => each.title === 'reserve')).toMatchObject({ found: '–' })
    const reach = sheet(WORKED).readings.find((each) => each.title === 'lever reach')
    expect(reach).toMatchObject({ window: '20 mm to 89 mm', mark: 'in' })
    expect(sheet(WORKED).noted).toContain('lever pivot to cable end 30.0 mm')
    expect(sheet(WORKED).well).toContain('housing close coil')
  })

  it('prints every entry, the struck ones as struck', () => {
    const before = PREPARED.length
    const { log } = sheet([
      ...WORKED.slice(0, before + 4),
      { kind: 'correction', strikes: `entry-${before + 1}`, why: 'misread' },
    ])
    expect(log).toHaveLength(before + 5)
    expect(log[before]).toMatchObject({ text: 'gap left 0.3 mm', struck: true })
    expect(log.at(-1)?.text).toBe('struck: gap left 0.3 mm (misread)')
  })

  it('shows a skipped step with its reason', () => {
    expect(sheet(WORKED).steps.find((each) => each.title === 'wheel spins free')).toMatchObject({
      state: 'skipped',
      remark: 'wheel lent to Hire 08',
    })
  })

  it('carries at most three cautions: the first of all, then those of this very brake’s steps', () => {
    const { cautions, steps } = sheet(WORKED)
    expect(cautions[0]).toBe(CAUTIONS.maker.text)
    expect(cautions).toHaveLength(3)
    const onSheet = KIT.steps.filter((step) => steps.some((each) => each.title === step.title))
    const own = onSheet.flatMap((step) => step.cautions.map((id) => CAUTIONS[id].text))
    for (const caution of cautions.slice(1)) expect(own).toContain(caution)
    for (const foreign of [CAUTIONS.rotor, CAUTIONS['reaction-arm'], CAUTIONS.motor])
      expect(cautions).not.toContain(foreign.text)
  })

  it('tells the work before the turns, and what proved it after them', () => {
    const { done } = sheet([
      confirm('walk-test'),
      { kind: 'turn', adjuster: 'barrel', amount: 0.5, unit: 'turn' },
      { kind: 'swap', part: 'cable', to: 'new' },
      confirm('cable-clamped'),
    ])
    const at = (words: RegExp) => done.findIndex((line) => words.test(line))
    expect(at(/^Cable clamped anew/)).toBe(0)
    expect(at(/^Barrel out/)).toBe(1)
    expect(at(/^Walked/)).toBe(done.length - 1)
  })

  it('says what was done, past and whole, and what the job was for', () => {
    const { done, about } = sheet([
      { kind: 'reading', reading: 'work', value: 'rub', unit: '' },
      { kind: 'confirm', step: 'wheel-seated' },
      { kind: 'confirm', step: 'hub-play' },
    ])
    expect(done).toContain('Wheel loosened, pushed home in its dropouts and closed')
    expect(done.join(' ')).not.toMatch(/play/)
    expect(about).toMatch(/The job: a sudden rub, a short sheet, not a full check\./)
    expect(sheet(WORKED).about).not.toMatch(/not a full check/)
  })

  it('reads in inches where the workshop does', () => {
    expect(sheet(WORKED, 'in').readings.find((each) => each.title === 'gap left')?.left).toBe('0.039 in')
    expect(sheet(WORKED, 'in').readings.find((each) => each.title === 'bite')?.left).toBe('0.79 in')
  })

  it('says no length in millimetres to an inch workshop but the names of tools', () => {
    const route = [
      { kind: 'housing', lengthMm: 420, bendDeg: 110, radiusMm: 90, from: 'barrel', to: 'ferrule' },
      { kind: 'bare', lengthMm: 600 },
    ] as const
    const { readings, steps, log, sections, cautions, figures, unfit } = sheet(
      [...WORKED.slice(0, -1), { kind: 'route', segments: route }],
      'in',
    )
    const said = [
      ...readings.flatMap(({ found, left, window }) => [found, left, window]),
      ...steps.map(({ remark }) => remark),
      ...log.map(({ text }) => text),
      ...sections.flatMap(({ lines }) => lines),
      ...cautions,
      ...figures,
      ...unfit,
    ]
    expect(sections.map(({ title }) => title)).toEqual(expect.arrayContaining(['Pads', 'Cable']))
    expect(said.filter((text) => /\d mm(?![²/·])/.test(text))).toEqual([])
    expect(said.join(' ')).toContain(' in')
  })

  it('says of every figure used where it comes from', () => {
    for (const figure of sheet(WORKED).figures)
      expect(figure).toMatch(/\((measured|from memory|standard|our choice|handbook|maker)/)
  })

  it('is ready before anything was done', () => {
    const empty = sheet([])
    expect(empty.readings).toEqual([])
    expect(empty.log).toEqual([])
    expect(empty.steps.every((each) => each.state === 'open')).toBe(true)
  })
})
