import { describe, expect, it } from 'vitest'
import { linearPullFamily } from '../families/linear-pull/family.ts'
import { expectOk } from '../outcome/outcome.ts'
import type { Entry, EntryBody } from '../stand/entries.ts'
import { confirm, measured, turn, written } from '../testing/stand.ts'
import { FAMILIES, findFamily } from '../workshop/families.ts'
import { advised } from './advised.ts'
import { bookMechanicOf } from './book-mechanic.ts'
import { contestOf } from './contest.ts'
import { allIn, bookBicycle, bookWindows, rimFleetBrake } from './fleet.ts'
import { habitOf } from './habit.ts'
import { passesOn, seedsOf } from './report.ts'
import { type Hand, judged, ownStop } from './trial.ts'

const bicycleOf = (id: string) => bookBicycle(expectOk(findFamily(id)))
const LINEAR = bookBicycle(linearPullFamily)
const clamped: EntryBody = { kind: 'note', text: 'clamped, 7 mm given back' }
const squeezed = confirm('squeezes', 10)
const said = (hand: Hand, told: boolean, ...bodies: readonly EntryBody[]) =>
  hand({
    log: written(...bodies),
    wheel: { lateralRunout: 0.4 },
    book: bookWindows(LINEAR, { lateralRunout: 0.4 }),
    told,
  })
const move = (adjuster: string, amount: number) => ({ kind: 'turn', moves: [{ adjuster, amount }] })

// docs/bench.md, “The habit”: written before it was run.
describe('the habit', () => {
  const habit = habitOf(LINEAR)

  it.each([
    ['linear-pull', 7],
    ['cantilever', 4.1],
    ['dual-pivot', 4.1],
  ])('of a %s clamps first, with as much given back as its school is on the book’s brake', (id, giveBackMm) => {
    const decision = said(habitOf(bicycleOf(id)), false, ...measured(0, 0, 2))
    expect(decision).toEqual({ kind: 'clamp', giveBackMm: expect.closeTo(giveBackMm, 0) })
  })

  it('lets out or takes in 2 mm at the anchor, after a change of direction 1 mm', () => {
    expect(said(habit, false, clamped, ...measured(0.8, 0.8, 13))).toEqual(move('anchor', 2))
    expect(said(habit, false, clamped, ...measured(2, 2, 30))).toEqual(move('anchor', -2))
    expect(said(habit, false, clamped, turn('anchor', 2), ...measured(2, 2, 30))).toEqual(move('anchor', -1))
    expect(said(habit, false, clamped, turn('anchor', 2), ...measured(0.8, 0.8, 13))).toEqual(move('anchor', 2))
  })

  it('centres first where the gaps are more than 1 mm apart, and after the bite where they are less', () => {
    expect(said(habit, false, clamped, ...measured(0.4, 1.5, 13))).toEqual(move('leftScrew', 1))
    expect(said(habit, false, clamped, ...measured(0.6, 1.5, 13))).toEqual(move('anchor', 2))
    expect(said(habit, false, clamped, ...measured(1.5, 0.7, 20))).toEqual(move('rightScrew', 1))
  })

  it('a whole turn, half of it after a change of direction, then a quarter; at its end the other screw comes out', () => {
    const after = (...turns: readonly EntryBody[]) => said(habit, false, clamped, ...turns, ...measured(0.7, 1.5, 20))
    expect(after(turn('rightScrew', 1))).toEqual(move('leftScrew', 0.5))
    expect(after(turn('leftScrew', 1), turn('rightScrew', 0.5))).toEqual(move('leftScrew', 0.25))
    expect(after({ ...turn('leftScrew', 0.5), endReached: true } as EntryBody)).toEqual(move('rightScrew', -1))
  })

  it('stops where all it sees is well; told that it is not, it centres', () => {
    expect(said(habit, false, clamped, ...measured(1, 1.3, 20))).toEqual({ kind: 'stop' })
    expect(said(habit, true, clamped, ...measured(1, 1.3, 20))).toEqual(move('leftScrew', 1))
    // Half the runout of 0.4 mm and 0.3 mm of movement: nearer than half a millimetre rubs.
    expect(said(habit, false, clamped, ...measured(0.4, 0.8, 20)).kind).toBe('turn')
  })

  it('of a dual-pivot turns clockwise, and the other way once that is plainly worse', () => {
    const dual = habitOf(bicycleOf('dual-pivot'))
    const first = said(dual, false, clamped, ...measured(0.8, 2, 20))
    expect(first).toEqual(move('centringScrew', 0.5))
    const worse = said(
      dual,
      false,
      clamped,
      ...measured(0.8, 2, 20),
      turn('centringScrew', 0.5),
      squeezed,
      ...measured(0.4, 2.4, 20),
    )
    expect(worse.kind === 'turn' && Math.sign(worse.moves[0]?.amount ?? 0)).toBe(-1)
  })
})

describe('the book mechanic', () => {
  const book = bookMechanicOf(LINEAR)

  // Book lever: cable arm 30, finger arm 75. Bite 10 mm short of 20 is 4 mm of cable; 2.5 mm short, 1 mm: a turn of the barrel in.
  it('lets out what the bite is short of, over the leverage', () => {
    expect(said(book, false, ...measured(0.6, 0.6, 10))).toEqual(move('anchor', 4))
    expect(said(book, false, ...measured(1.5, 1.5, 30))).toEqual(move('anchor', -4))
    expect(said(book, false, ...measured(0.7, 0.7, 15))).toEqual(move('barrel', -2))
  })

  // One turn of 0.75 mm pitch at 15 mm radius moves a pad 28 mm up by 0.7 mm, and the other back by as much.
  it('centres by the book’s effect of a turn, both corrections at once', () => {
    const decision = said(book, false, ...measured(0.4, 1.8, 10))
    expect(decision).toEqual({
      kind: 'turn',
      moves: [
        { adjuster: 'anchor', amount: 4 },
        { adjuster: 'leftScrew', amount: 1 },
      ],
    })
  })

  it('stops where all is well, and told that it is not goes on towards the middle', () => {
    expect(said(book, false, ...measured(1, 1.1, 20))).toEqual({ kind: 'stop' })
    expect(said(book, true, ...measured(1, 1.1, 17))).toEqual({
      kind: 'turn',
      moves: [
        { adjuster: 'barrel', amount: -1 },
        { adjuster: 'leftScrew', amount: 0.25 },
      ],
    })
    expect(said(book, true, ...measured(1, 1, 20)).kind).toBe('turn')
  })

  it('learns nothing: the same readings call for the same turn, whatever a turn has shown', () => {
    const readings = measured(0.4, 1.8, 20)
    const again = said(book, false, ...readings, turn('leftScrew', 1), squeezed, ...readings)
    expect(again).toEqual(said(book, false, ...readings))
  })
})

describe('what is right', () => {
  it('is the same for every hand and made of the brake itself', () => {
    const { brake, right } = rimFleetBrake(LINEAR, 3)
    // School: a third of the reach, within 7 % of it.
    expect(right.of.biteTravel).toMatchObject({ low: expect.closeTo(15.8, 6), high: expect.closeTo(24.2, 6) })
    expect(right.of.gapDifference).toMatchObject({ low: -0.5, high: 0.5 })
    // At that bite, centred, its own gaps stand in the middle of its windows, wherever the book's would.
    const { leverFingerArmMm, leverCableArmMm } = brake.hidden.dimensions
    const cable = (20 * (leverCableArmMm as number)) / (leverFingerArmMm as number) - brake.hidden.freePlayMm
    const centred = brake.centredAt(cable)
    expect(centred.biteTravel).toBeCloseTo(20, 6)
    expect(allIn(right, centred)).toBe(true)
    expect(Math.abs(centred.gapLeft - (right.of.gapLeft?.target ?? 9))).toBeLessThan(0.15)
  })

  it('is not one pad off by more than the other, nor a bite out of its window', () => {
    const { right } = rimFleetBrake(LINEAR, 3)
    const at = (gapLeft: number, gapRight: number, biteTravel: number) =>
      allIn(right, { gapLeft, gapRight, biteTravel, reserve: 20, firstTouch: 'both' })
    const gap = right.of.gapLeft?.target as number
    expect(at(gap, gap, 20)).toBe(true)
    expect(at(gap - 0.3, gap + 0.3, 20)).toBe(false)
    expect(at(gap, gap, 15.7)).toBe(false)
    expect(at(gap, gap, 24.3)).toBe(false)
  })
})

describe('a trial', () => {
  it('ends at the first pass after which the judge is content, and a hand that only looks gets nowhere', () => {
    const look: Hand = () => ({ kind: 'look' })
    for (const seed of seedsOf({ brakes: 20, seed: 5 })) {
      const start = rimFleetBrake(LINEAR, seed)
      const already = allIn(start.right, start.brake.truth())
      const { passes, failed } = judged(LINEAR, start, look)
      expect(already ? passes === 0 : failed || passes > 0).toBe(true)
    }
  })

  it('by its own stop says whether it was right, and further looks cost a pass each', () => {
    const stop: Hand = () => ({ kind: 'stop' })
    const seeds = seedsOf({ brakes: 60, seed: 5 })
    const ends = seeds.map((seed) => ownStop(LINEAR, rimFleetBrake(LINEAR, seed), stop))
    expect(ends.every(({ passes }) => passes === 0)).toBe(true)
    expect(ends.filter(({ right }) => right).length).toBeLessThan(10)
    expect(ownStop(LINEAR, rimFleetBrake(LINEAR, 9), stop, 3).passes).toBe(2)
    expect(ownStop(LINEAR, rimFleetBrake(LINEAR, 9), () => ({ kind: 'stuck' }))).toMatchObject({
      failed: true,
      passes: 25,
    })
  })

  it('writes down what was tried where nothing moved, so that it is known which end it is', () => {
    const always: Hand = () => ({ kind: 'turn', moves: [{ adjuster: 'leftScrew', amount: 4 }] })
    const { log } = judged(LINEAR, rimFleetBrake(LINEAR, 11), always)
    const stopped = log.filter(
      (entry): entry is Entry & { kind: 'turn' } => entry.kind === 'turn' && entry.amount === 0,
    )
    expect(stopped[0]).toMatchObject({ tried: 4, endReached: true })
  })

  it('the same seed is the same brake for every hand', () => {
    const run = (hand: Hand) => judged(LINEAR, rimFleetBrake(LINEAR, 99), hand)
    expect(run(habitOf(LINEAR))).toEqual(run(habitOf(LINEAR)))
    const first = (hand: Hand) => run(hand).log.slice(0, 4)
    expect(first(habitOf(LINEAR))).toEqual(first(bookMechanicOf(LINEAR)))
  })
})

/** Mean passes of the habit and of the book mechanic, by a judge, on 200 brakes of one seed each. */
const BANDS = [
  ['linear-pull', 3.36, 2.58],
  ['cantilever', 3.97, 2.81],
  ['dual-pivot', 5.53, 3.27],
  ['single-pivot', 3.8, 2.37],
  ['centre-pull', 3.83, 2.33],
] as const

describe('the hands keep their measure: a changed step, an easier fleet or a wider window shows here', () => {
  const SEEDS = seedsOf({ brakes: 200, seed: 404 })
  it.each(BANDS)('%s: habit %s, book mechanic %s', (id, habit, book) => {
    const bicycle = bicycleOf(id)
    const mean = (hand: Hand) =>
      SEEDS.reduce((sum, seed) => sum + judged(bicycle, rimFleetBrake(bicycle, seed), hand).passes, 0) / SEEDS.length
    expect(mean(habitOf(bicycle))).toBeCloseTo(habit, 1)
    expect(mean(bookMechanicOf(bicycle))).toBeCloseTo(book, 1)
  })
})

/** The same of discs, whose hands find contact by ear. */
const DISC_BANDS = [
  ['disc-fixed-pad', 5.9, 3.2],
  ['disc-two-adjusters', 3.4, 3.2],
  ['disc-both-move', 1.6, 1.2],
] as const

describe('discs: three hands on the same brakes', () => {
  const seeds = seedsOf({ brakes: 60, seed: 404 })
  it.each(DISC_BANDS)(
    '%s: the habit about %s, the book mechanic about %s, the advice sooner and seldom wrong',
    (id, habit, book) => {
      const bicycle = bicycleOf(id)
      const contest = contestOf(bicycle)
      const by = (hand: Hand) => seeds.map((seed) => judged(bicycle, contest.draw(seed, 'usual'), hand))
      const mean = (trials: readonly { passes: number }[]) =>
        trials.reduce((sum, { passes }) => sum + passes, 0) / trials.length
      const [habits, books, advice] = [by(contest.habit), by(contest.book), by(advised(bicycle))]
      expect(Math.abs(mean(habits) / habit - 1)).toBeLessThan(0.3)
      expect(Math.abs(mean(books) / book - 1)).toBeLessThan(0.5)
      expect(advice.filter(({ failed }) => failed)).toEqual([])
      expect(mean(habits) / mean(advice)).toBeGreaterThan(id === 'disc-fixed-pad' ? 1.8 : 1.2)
      const own = seeds.map((seed) => ownStop(bicycle, contest.draw(seed, 'usual'), advised(bicycle)))
      expect(own.filter(({ right }) => !right).length).toBeLessThanOrEqual(6)
    },
  )

  it('tightens the caliper before it finds contact and sets the gap, and says from where', () => {
    const bicycle = bicycleOf('disc-fixed-pad')
    const turns = seeds.flatMap((seed) =>
      judged(bicycle, contestOf(bicycle).draw(seed, 'usual'), advised(bicycle)).log.filter(
        ({ kind }) => kind === 'turn',
      ),
    ) as Extract<Entry, { kind: 'turn' }>[]
    const told = turns.filter(({ from }) => from)
    expect(told.length).toBeGreaterThan(20)
    expect(told.every(({ adjuster, amount }) => adjuster === 'fixedPad' && amount < 0)).toBe(true)
    // In one pass with it, the caliper comes first: what its bolts move no longer reaches the fixed gap.
    const pairs = turns.filter((each, index) => each.adjuster === 'caliper' && turns[index + 1]?.from)
    expect(pairs.length).toBeGreaterThan(5)
  })
})

describe('a drum: three hands on the same brakes', () => {
  const seeds = seedsOf({ brakes: 100, seed: 404 })
  const bicycle = bicycleOf('drum')
  const contest = contestOf(bicycle)
  const by = (hand: Hand) => seeds.map((seed) => judged(bicycle, contest.draw(seed, 'usual'), hand))
  const mean = (trials: readonly { passes: number }[]) =>
    trials.reduce((sum, { passes }) => sum + passes, 0) / trials.length

  // Floors: 1.3 times sooner than the habit, 3 passes in 95 of 100, none failed, own stops wrong in 3 of 100.
  it('the advice is sooner than habit and book, brings all home and seldom stops wrong', () => {
    const advice = by(advised(bicycle))
    expect(advice.filter(({ failed }) => failed)).toEqual([])
    expect(mean(by(contest.habit)) / mean(advice)).toBeGreaterThan(1.3)
    expect(mean(by(contest.book))).toBeGreaterThan(mean(advice))
    expect(advice.map(({ passes }) => passes).sort((a, b) => a - b)[94]).toBeLessThanOrEqual(3)
    const own = seeds.map((seed) => ownStop(bicycle, contest.draw(seed, 'usual'), advised(bicycle)))
    expect(own.filter(({ right }) => !right).length).toBeLessThanOrEqual(3)
  })

  const said = (hand: Hand, told: boolean, biteMm: number, drag: string, ...before: readonly EntryBody[]) => {
    const log = [
      ...before,
      { kind: 'reading', reading: 'biteTravel', value: biteMm, unit: 'mm' },
      { kind: 'reading', reading: 'drag', value: drag, unit: '' },
    ] as const
    return hand({ log: written(...log), wheel: {}, book: bookWindows(bicycle, {}), told })
  }
  const barrel = (amount: number): EntryBody => ({ kind: 'turn', adjuster: 'barrel', amount, unit: 'turn' })
  const turned = (adjuster: string, amount: number) => ({ kind: 'turn', moves: [{ adjuster, amount }] })

  it('the habit lets out what drags, takes in far slack at the anchor, and halves what it turns back', () => {
    const { habit } = contest
    expect(said(habit, false, 13, 'none')).toEqual({ kind: 'stop' })
    expect(said(habit, false, 13, 'hard')).toEqual(turned('anchor', 1))
    expect(said(habit, false, 13, 'once')).toEqual(turned('barrel', -0.5))
    expect(said(habit, false, 40, 'none')).toEqual(turned('anchor', -3))
    expect(said(habit, false, 20, 'none')).toEqual(turned('barrel', 1))
    expect(said(habit, false, 4, 'none', barrel(1))).toEqual(turned('barrel', -0.5))
  })

  it('the book mechanic reckons by the book’s lever, at the anchor where it is far', () => {
    const { book } = contest
    const target = bookWindows(bicycle, {}).of.biteTravel?.target ?? 0
    expect(said(book, false, target + 1, 'none')).toEqual({ kind: 'stop' })
    expect(said(book, false, target + 7.5, 'none')).toEqual(turned('barrel', 2))
    expect(said(book, false, target + 30, 'none')).toEqual(turned('anchor', -8))
    expect(said(book, false, target, 'lightly')).toEqual(turned('barrel', -0.5))
  })
})

describe('the advice', () => {
  it.each(FAMILIES.filter(({ track }) => track === 'rim').map(({ id }) => [id] as const))(
    'brings every %s home, sooner than the habit, and seldom stops wrong',
    (id) => {
      const bicycle = bicycleOf(id)
      const seeds = seedsOf({ brakes: 40, seed: 404 })
      const by = (hand: Hand) => seeds.map((seed) => judged(bicycle, rimFleetBrake(bicycle, seed), hand))
      const mean = (trials: readonly { passes: number }[]) =>
        trials.reduce((sum, { passes }) => sum + passes, 0) / trials.length
      const advice = by(advised(bicycle))
      expect(advice.filter(({ failed }) => failed)).toEqual([])
      expect(mean(by(habitOf(bicycle))) / mean(advice)).toBeGreaterThan(1.8)
      const p95 = advice.map(({ passes }) => passes).sort((a, b) => a - b)[Math.ceil(0.95 * seeds.length) - 1]
      expect(p95).toBeLessThanOrEqual(4)
      const own = seeds.map((seed) => ownStop(bicycle, rimFleetBrake(bicycle, seed), advised(bicycle)))
      expect(own.filter(({ failed }) => failed)).toEqual([])
      expect(own.filter(({ right }) => !right).length).toBeLessThanOrEqual(3)
      for (const { log, passes } of own) if (passes === 0) expect(log.some(({ kind }) => kind === 'turn')).toBe(false)
    },
  )

  it('the report holds all three hands to one fleet, and false stops alike', () => {
    const { advice, habit, book, ratio } = passesOn({ family: linearPullFamily, brakes: 30, seed: 3, fleet: 'usual' })
    expect(ratio).toBeCloseTo(habit.mean / advice.mean, 2)
    for (const hand of [habit, book]) {
      expect(hand.own.falseStops).toBeGreaterThan(advice.own.falseStops)
      expect(hand.own.alike.looks).toBeGreaterThan(1)
      expect(hand.own.alike.mean).toBeGreaterThan(hand.own.mean)
    }
  })
})
