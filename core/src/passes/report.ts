import type { Family } from '../brake/family.ts'
import { advised } from './advised.ts'
import { contestOf } from './contest.ts'
import { type Bicycle, bookBicycle, type FleetBrake, type FleetId } from './fleet.ts'
import { type Hand, judged, ownStop, type Trial } from './trial.ts'

export interface Fleet {
  readonly family: Family
  readonly brakes: number
  readonly seed: number
  readonly fleet: FleetId
}

interface OwnStop {
  readonly mean: number
  readonly p95: number
  readonly failed: number
  readonly falseStops: number
}

export interface HandReport {
  readonly mean: number
  readonly median: number
  readonly p95: number
  readonly failed: number
  readonly own: OwnStop & {
    /** With as many looks as it takes to stop wrong no more often than the advice does. */
    readonly alike: { readonly looks: number; readonly mean: number; readonly falseStops: number }
  }
}

const MOST_LOOKS = 4

const rounded = (value: number) => Number(value.toFixed(3))
const meanOf = (trials: readonly Trial[]) => rounded(trials.reduce((sum, each) => sum + each.passes, 0) / trials.length)

function quantilesOf(trials: readonly Trial[]) {
  const passes = trials.map((each) => each.passes).sort((a, b) => a - b)
  return (share: number) => passes[Math.min(passes.length - 1, Math.ceil(share * passes.length) - 1)] ?? 0
}

const failedOf = (trials: readonly Trial[]) => trials.filter((each) => each.failed).length

const ownOf = (trials: readonly Trial[]): OwnStop => ({
  mean: meanOf(trials),
  p95: quantilesOf(trials)(0.95),
  failed: failedOf(trials),
  falseStops: rounded(trials.filter((each) => !each.failed && !each.right).length / trials.length),
})

/** Seeds of one fleet, far enough from one another that no two of its brakes are the same. */
export const seedsOf = ({ brakes, seed }: Pick<Fleet, 'brakes' | 'seed'>): readonly number[] =>
  Array.from({ length: brakes }, (_, index) => (seed * 100003 + index * 7919) >>> 0)

/** What the three hands need on one fleet: docs/bench.md. */
export function passesOn(fleet: Fleet) {
  const bicycle = bookBicycle(fleet.family)
  const contest = contestOf(bicycle)
  const all = (run: (bicycle: Bicycle, brake: FleetBrake) => Trial) =>
    seedsOf(fleet).map((seed) => run(bicycle, contest.draw(seed, fleet.fleet)))
  const judgedBy = (hand: Hand) => all((on, brake) => judged(on, brake, hand))
  const stoppedBy = (hand: Hand, looks: number) => ownOf(all((on, brake) => ownStop(on, brake, hand, looks)))
  const reportOf = (hand: Hand, mostFalse?: number): HandReport => {
    const trials = judgedBy(hand)
    const at = quantilesOf(trials)
    const own = stoppedBy(hand, 1)
    let [looks, alike] = [1, own]
    while (mostFalse !== undefined && alike.falseStops > mostFalse && looks < MOST_LOOKS) {
      looks += 1
      alike = stoppedBy(hand, looks)
    }
    const { mean, falseStops } = alike
    return {
      mean: meanOf(trials),
      median: at(0.5),
      p95: at(0.95),
      failed: failedOf(trials),
      own: { ...own, alike: { looks, mean, falseStops } },
    }
  }
  const advice = reportOf(advised(bicycle))
  const habit = reportOf(contest.habit, advice.own.falseStops)
  const book = reportOf(contest.book, advice.own.falseStops)
  return {
    family: fleet.family.id,
    brakes: fleet.brakes,
    seed: fleet.seed,
    fleet: fleet.fleet,
    advice,
    habit,
    book,
    ratio: rounded(habit.mean / advice.mean),
    ratioOwn: rounded(habit.own.mean / advice.own.mean),
    ratioBook: rounded(book.own.mean / advice.own.mean),
    // At equal false stops: what a hand that stops wrong saves is not counted for it.
    ratioAlike: {
      habit: rounded(habit.own.alike.mean / advice.own.mean),
      book: rounded(book.own.alike.mean / advice.own.mean),
    },
  }
}
