import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bookDimensions, hereAt } from '../../brake/dimension.ts'
import { type ChosenSchool, readSchool, usualOf, writeSchool } from '../../brake/school.ts'
import type { Window } from '../../brake/window.ts'
import { expectOk } from '../../outcome/outcome.ts'
import { DIMENSIONS, HERE, THROW } from '../../testing/stand.ts'
import { FAMILIES } from '../../workshop/families.ts'
import { linearPullFamily } from '../linear-pull/family.ts'
import { BITE, biteSetting, convertBite, DEFAULT_BITE, type RimThrow, rimThrowOf } from './bite.ts'
import { type Q, RIM_INPUTS } from './model.ts'
import { asKnown, centredCloser, gapWalls, MOST_APART_MM, type WheelState, windowsFor } from './windows.ts'

const NO_PLAY = { ...THROW, freePlayMm: 0 }
const school = (option: string, amount?: number): ChosenSchool =>
  amount === undefined ? expectOk(readSchool(BITE, option)) : { option, amount }
const windowsOf = (chosen: ChosenSchool, on: WheelState) => windowsFor(THROW, chosen, on, {})
const wheel = (lateralRunoutMm: number, flexMm = 0.3) => ({ lateralRunoutMm, flexMm })

describe('bite schools', () => {
  // Common practice, no source: “let 4 mm back”. For a typical brake, worked by hand: a gap of 0.54 mm each side.
  it('giving back 4 mm is a gap of 0.54 mm a side', () => {
    expect(biteSetting(school('give-back', 4.01), NO_PLAY).gapMm).toBeCloseTo(0.54, 2)
  })

  // Common practice, no source: a third of the travel. Cable arm 30, finger arm 75, reach 60: 8.0 mm of cable, about 1.1 mm.
  it('a third of a 60 mm reach is 20 mm of finger, 8 mm of cable, about 1.1 mm a side', () => {
    const setting = biteSetting(DEFAULT_BITE, NO_PLAY)
    expect(setting.travelMm).toBeCloseTo(20, 9)
    expect(setting.cableMm).toBeCloseTo(8, 9)
    expect(setting.gapMm).toBeCloseTo(1.1, 1)
  })

  it('every school says one setting: there and back changes nothing', () => {
    const schools = fc.oneof(
      fc.double({ min: 0.2, max: 0.6, noNaN: true }).map((amount) => school('third', amount)),
      fc.double({ min: 2, max: 15, noNaN: true }).map((amount) => school('give-back', amount)),
      fc.double({ min: 0.3, max: 2, noNaN: true }).map((amount) => school('gap', amount)),
      fc.double({ min: 8, max: 40, noNaN: true }).map((amount) => school('rider', amount)),
    )
    fc.assert(
      fc.property(schools, fc.constantFrom(...BITE.options.map((each) => each.id)), (from, to) => {
        const there = convertBite(from, to, THROW)
        expect(there.option).toBe(to)
        expect(convertBite(there, from.option, THROW).amount).toBeCloseTo(from.amount as number, 5)
      }),
    )
  })

  it('reads what it writes, and refuses what no bench would set', () => {
    expect(expectOk(readSchool(BITE, writeSchool(school('gap', 1.2))))).toEqual({ option: 'gap', amount: 1.2 })
    expect(expectOk(readSchool(BITE, 'give-back'))).toEqual({ option: 'give-back', amount: 4 })
    expect(BITE.options[0] && usualOf(BITE.options[0])).toEqual(DEFAULT_BITE)
    expect(readSchool(BITE, 'give-back 90')).toMatchObject({ ok: false, error: { code: 'out-of-range' } })
    expect(readSchool(BITE, 'guess')).toMatchObject({ ok: false, error: { code: 'unknown-school' } })
  })
})

describe('windows', () => {
  it('the rub wall is half the runout plus the flex', () => {
    expect(gapWalls(THROW, wheel(0.8)).rub).toBeCloseTo(0.7, 9)
  })

  it('at the bar wall the reserve is just the margin', () => {
    const { bar } = gapWalls(THROW, wheel(0))
    const travel = ((THROW.freePlayMm + THROW.cableForGap(bar)) * 75) / 30 + THROW.stretchTravelMm
    expect(60 - travel).toBeCloseTo(10, 3)
  })

  it('no window reaches past a wall, whatever the wheel and the school', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.constantFrom('third', 'give-back', 'gap', 'rider'),
        (runout, id) => {
          const windows = windowsOf(expectOk(readSchool(BITE, id)), wheel(runout))
          const gap = windows.of.gapLeft
          expect(gap?.low).toBeGreaterThanOrEqual((gap?.wallLow ?? 0) - 1e-9)
          expect(gap?.high).toBeLessThanOrEqual((gap?.wallHigh ?? 9) + 1e-9)
          if (!windows.empty) expect((gap?.high ?? 0) - (gap?.low ?? 0)).toBeGreaterThan(0.25)
        },
      ),
    )
  })

  it('an empty window is an answer: a wheel this far out leaves no setting', () => {
    const windows = windowsOf(DEFAULT_BITE, wheel(2.6))
    expect(windows.empty?.code).toBe('no-setting')
    expect(windows.empty?.say).toBe(
      'True the wheel first: 2.6 mm runout leaves no setting that neither rubs nor reaches the bar.',
    )
  })

  it('a short throw on a runout of 1.4 mm rubs, and says what would do', () => {
    const windows = windowsOf(school('give-back', 4), wheel(1.4))
    expect(windows.empty?.code).toBe('school-too-tight')
    expect(windows.empty?.say).toContain('1.4 mm runout')
  })

  it('a short lever brings the bar wall nearer', () => {
    const model = expectOk(linearPullFamily.fit({ ...DIMENSIONS, leverReachMm: 45 }, HERE))
    const short = rimThrowOf(model) as RimThrow
    expect(gapWalls(short, wheel(0.4)).bar).toBeLessThan(gapWalls(THROW, wheel(0.4)).bar)
  })
})

// Our choice, no source: what the school names is held as a hand can set it, what follows has more room.
describe('how wide a window is', () => {
  const of = (chosen: ChosenSchool, runout = 0.2) => windowsOf(chosen, wheel(runout)).of
  const half = ({ low, high }: { low: number; high: number }) => (high - low) / 2

  it('a named bite within 7 % of the reach, a named gap within 0.35 mm', () => {
    expect(half(of(DEFAULT_BITE).biteTravel as Window)).toBeCloseTo(0.07 * 60, 9)
    expect(half(of(school('gap', 0.9)).gapLeft as Window)).toBeCloseTo(0.35, 9)
    expect(of(school('gap', 0.9)).gapLeft?.target).toBeCloseTo(0.9, 9)
  })
  it('a bite that follows within 10 % of the reach, or as far as the book’s brake may stray', () => {
    const { low, high, target } = of(school('give-back', 4)).biteTravel as Window
    expect(high - target).toBeGreaterThanOrEqual(0.1 * 60 - 1e-9)
    expect(low).toBeGreaterThanOrEqual(2.5)
  })
  it('the gaps half a millimetre from one another, 0.3 where one is plainly first', () => {
    expect(of(DEFAULT_BITE).gapDifference).toMatchObject({ low: -MOST_APART_MM, high: MOST_APART_MM })
    expect(MOST_APART_MM).toBe(0.5)
    expect(centredCloser({ of: {} }, 'left').of.gapDifference).toMatchObject({ low: -0.3, high: 0.3 })
  })
  it('ten millimetres kept from the bar, and unsafe from there', () => {
    expect(of(DEFAULT_BITE).reserve).toMatchObject({ low: 10, high: 60, unsafe: { atMost: 10 } })
  })
})

describe('this brake as it is known', () => {
  const q = (own: Partial<Record<keyof typeof Q, number>>) =>
    RIM_INPUTS.map(({ id, mean }) => own[id as keyof typeof Q] ?? mean)
  const sure = (own: Partial<Record<keyof typeof Q, number>>) => ({ q: q(own), spread: () => 0 })

  // Textbook: what the hand pulls is travel over leverage; what stretches costs travel times leverage.
  it('a lever a tenth longer takes a tenth more travel for cable and for stretch alike', () => {
    const longer = asKnown(THROW, sure({ lever: Math.log(1.1) }))
    expect(longer.lever.fingerArmMm).toBeCloseTo(1.1 * 75, 9)
    expect(longer.stretchTravelMm).toBeCloseTo(1.1 * THROW.stretchTravelMm, 9)
    expect(asKnown(THROW, sure({ ratio: Math.log(1.2) })).cableForGap(1)).toBeCloseTo(1.2 * THROW.cableForGap(1), 9)
    expect(asKnown(THROW, sure({ freePlay: -0.4 })).freePlayMm).toBe(0)
    expect(asKnown(THROW, sure({ freePlay: 1.7 })).freePlayMm).toBe(1.7)
  })

  it('at the same bite, more cable for a gap is less gap, and more free play too', () => {
    const gapOf = (own: Partial<Record<keyof typeof Q, number>>) =>
      windowsFor(THROW, DEFAULT_BITE, wheel(0), {}, sure(own)).of.gapLeft?.target as number
    expect(gapOf({ ratio: 0.1 })).toBeLessThan(gapOf({}))
    expect(gapOf({ freePlay: 2 })).toBeLessThan(gapOf({}))
    expect(gapOf({ lever: -0.1 })).toBeGreaterThan(gapOf({}))
  })

  it('a wall nearer than a millimetre is found where it is', () => {
    const short = { ...THROW, lever: { ...THROW.lever, reachMm: 36 } }
    const { bar } = gapWalls(short, wheel(0))
    expect(bar).toBeLessThan(1)
    const travel = ((short.freePlayMm + short.cableForGap(bar)) * 75) / 30 + short.stretchTravelMm
    expect(36 - travel).toBeCloseTo(10, 3)
  })

  it('what is believed from far out closes no window the book leaves open', () => {
    const model = expectOk(linearPullFamily.fit(DIMENSIONS, HERE))
    const far = { q: q({ ratio: 1.2 }), spread: () => 0 }
    const windows = model.windows({ bite: DEFAULT_BITE }, { number: () => 0.8, seen: () => undefined }, far)
    expect(windows.empty).toBeUndefined()
  })
})

// A window is an interval: where there is none, that is said.
describe('no window is inside out', () => {
  const schools = BITE.options.flatMap(({ id, amount }) =>
    amount ? [amount.min, amount.usual, amount.max].map((each) => school(id, each)) : [],
  )
  it.each(FAMILIES.filter(({ track }) => track === 'rim').map((family) => [family.id, family] as const))(
    'of a %s, whatever the school, lever and wheel',
    (_, family) => {
      const between = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true })
      fc.assert(
        fc.property(
          fc.constantFrom(...schools),
          fc.record({ leverReachMm: between(25, 110), leverCableArmMm: between(15, 40), flexMm: between(0, 2) }),
          between(0, 3),
          (chosen, own, runout) => {
            const model = family.fit(bookDimensions(family, own), hereAt(family, 'rear'))
            fc.pre(model.ok)
            const windows = expectOk(model).windows({ bite: chosen }, { number: () => runout, seen: () => undefined })
            const insideOut = Object.values(windows.of).filter(({ low, high }) => low > high)
            expect(windows.empty ? [] : insideOut).toEqual([])
          },
        ),
        { numRuns: 150 },
      )
    },
  )

  it('a bite at seven tenths of the travel is no setting, and says why', () => {
    const { empty } = expectOk(linearPullFamily.fit(DIMENSIONS, HERE)).windows(
      { bite: school('third', 0.7) },
      { number: () => 0.2, seen: () => undefined },
    )
    expect(empty?.code).toBe('school-too-long')
    expect(empty?.say).toContain('bar')
  })
})
