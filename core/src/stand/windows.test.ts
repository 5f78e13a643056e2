import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { linearPullFamily } from '../families/linear-pull/family.ts'
import { expectOk } from '../outcome/outcome.ts'
import { DIMENSIONS, HERE, MODEL } from '../testing/stand.ts'
import {
  amountOf,
  type BiteSchool,
  convertSchool,
  DEFAULT_SCHOOL,
  parseSchool,
  SCHOOLS,
  settingOf,
  writeSchool,
} from './schools.ts'
import { gapWalls, windowsFor } from './windows.ts'

const NO_PLAY = { ...MODEL.throw, freePlayMm: 0 }
const wheel = (lateralRunoutMm: number, flexMm = 0.3) => ({ lateralRunoutMm, flexMm })

describe('bite schools', () => {
  // Common practice, no source: “let 4 mm back”. For a typical brake, worked by hand: a gap of 0.54 mm each side.
  it('giving back 4 mm is a gap of 0.54 mm a side', () => {
    expect(settingOf({ school: 'give-back', cableMm: 4.01 }, NO_PLAY).gapMm).toBeCloseTo(0.54, 2)
  })

  // Common practice, no source: a third of the travel. Cable arm 30, finger arm 75, reach 60: 8.0 mm of cable, about 1.1 mm.
  it('a third of a 60 mm reach is 20 mm of finger, 8 mm of cable, about 1.1 mm a side', () => {
    const setting = settingOf(DEFAULT_SCHOOL, NO_PLAY)
    expect(setting.travelMm).toBeCloseTo(20, 9)
    expect(setting.cableMm).toBeCloseTo(8, 9)
    expect(setting.gapMm).toBeCloseTo(1.1, 1)
  })

  it('every school says one setting: there and back changes nothing', () => {
    const schools = fc.oneof(
      fc.double({ min: 0.2, max: 0.6, noNaN: true }).map((share): BiteSchool => ({ school: 'third', share })),
      fc.double({ min: 2, max: 15, noNaN: true }).map((cableMm): BiteSchool => ({ school: 'give-back', cableMm })),
      fc.double({ min: 0.3, max: 2, noNaN: true }).map((gapMm): BiteSchool => ({ school: 'gap', gapMm })),
      fc.double({ min: 8, max: 40, noNaN: true }).map((travelMm): BiteSchool => ({ school: 'rider', travelMm })),
    )
    fc.assert(
      fc.property(schools, fc.constantFrom(...SCHOOLS.map((each) => each.id)), (school, to) => {
        const there = convertSchool(school, to, MODEL.throw)
        expect(there.school).toBe(to)
        expect(amountOf(convertSchool(there, school.school, MODEL.throw))).toBeCloseTo(amountOf(school), 5)
      }),
    )
  })

  it('reads what it writes, and refuses what no bench would set', () => {
    expect(expectOk(parseSchool(writeSchool({ school: 'gap', gapMm: 1.2 })))).toEqual({ school: 'gap', gapMm: 1.2 })
    expect(expectOk(parseSchool('give-back'))).toEqual({ school: 'give-back', cableMm: 4 })
    expect(parseSchool('give-back 90')).toMatchObject({ ok: false, error: { code: 'out-of-range' } })
    expect(parseSchool('guess')).toMatchObject({ ok: false, error: { code: 'unknown-school' } })
  })
})

describe('windows', () => {
  it('the rub wall is half the runout plus the flex', () => {
    expect(gapWalls(MODEL, wheel(0.8)).rub).toBeCloseTo(0.7, 9)
  })

  it('at the bar wall the reserve is just the margin', () => {
    const { bar } = gapWalls(MODEL, wheel(0))
    const travel = ((MODEL.throw.freePlayMm + MODEL.throw.cableForGap(bar)) * 75) / 30 + MODEL.throw.stretchTravelMm
    expect(60 - travel).toBeCloseTo(10, 3)
  })

  it('no window reaches past a wall, whatever the wheel and the school', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.constantFrom('third', 'give-back', 'gap', 'rider'),
        (runout, id) => {
          const windows = windowsFor(MODEL, expectOk(parseSchool(id)), wheel(runout))
          const gap = windows.of.gapLeft
          expect(gap?.low).toBeGreaterThanOrEqual((gap?.wallLow ?? 0) - 1e-9)
          expect(gap?.high).toBeLessThanOrEqual((gap?.wallHigh ?? 9) + 1e-9)
          if (!windows.empty) expect((gap?.high ?? 0) - (gap?.low ?? 0)).toBeGreaterThan(0.25)
        },
      ),
    )
  })

  it('an empty window is an answer: a wheel this far out leaves no setting', () => {
    const windows = windowsFor(MODEL, DEFAULT_SCHOOL, wheel(2.6))
    expect(windows.empty?.code).toBe('no-setting')
    expect(windows.empty?.say).toBe(
      'True the wheel first: 2.6 mm runout leaves no setting that neither rubs nor reaches the bar.',
    )
  })

  it('a short throw on a runout of 1.4 mm rubs, and says what would do', () => {
    const windows = windowsFor(MODEL, { school: 'give-back', cableMm: 4 }, wheel(1.4))
    expect(windows.empty?.code).toBe('school-too-tight')
    expect(windows.empty?.say).toContain('1.4 mm runout')
  })

  it('a short lever brings the bar wall nearer', () => {
    const short = expectOk(linearPullFamily.fit({ ...DIMENSIONS, leverReachMm: 45 }, HERE))
    expect(gapWalls(short, wheel(0.4)).bar).toBeLessThan(gapWalls(MODEL, wheel(0.4)).bar)
  })
})
