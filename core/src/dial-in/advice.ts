import type { AdjusterSpec } from '../brake/adjuster.ts'
import type { BrakeModel, Derived } from '../brake/model.ts'
import { placement, type Window, type Windows } from '../brake/window.ts'
import type { StandState } from '../stand/fold.ts'
import { type Belief, believedReading, isSettled } from './belief.ts'
import { candidates, lastDirections, priceIn } from './candidates.ts'
import { type Aim, type Amounts, Bench, type Hidden, isMet, type Sample, sampleAt, samplesOf } from './possible.ts'
import { reachesAny } from './reach.ts'
import type { Turn } from './turn.ts'

export type Advice =
  /** Make these turns, squeeze, measure. */
  | {
      readonly kind: 'turn'
      readonly turn: Turn
      readonly chanceNow: number
      readonly others: readonly Turn[]
      /** Readings that do not agree with the others: measured after the turn, they show which it was. */
      readonly doubted?: readonly string[]
    }
  /** Measure these; why. */
  | { readonly kind: 'measure'; readonly readings: readonly string[]; readonly why: string }
  /** Everything is in its window. */
  | { readonly kind: 'in-window'; readonly chanceNow: number }
  /** No setting satisfies the windows, or none that the adjusters can reach. */
  | { readonly kind: 'no-setting'; readonly say: string }

/** What the hand knows although the readings are content: what is too near where it rubs, or nothing nearer. */
export type NotRight = { readonly rubs: string } | 'somewhere'

/** Possible brakes a candidate is tried on, and how many candidates reach each sieve. */
const COARSE = 20
const FINE = 64
const SCREENED = 8
const SHORTLIST = 3
/** Measured in its windows and this likely to be so: done. */
const SURE = 0.93
/** A turn must better the chance by this to be worth a pass. */
const WORTH_A_TURN = 0.05
/** This likely to be in, a reading just outside is looked at again before anything is turned. */
const LIKELY = 0.5
/**
 * A reading that does not agree with the others, and was not taken before at this setting, holds up no turn this likely
 * to do: what is measured after it tells as much as a look.
 */
const TURNED_ANYHOW = 0.3
/** So many looks at one setting are enough. */
const ENOUGH_LOOKS = 2
/** Measured outside, and no turn betters it: one this likely to end inside is still worth more than giving up. */
const HOPEFUL = 0.2

const STAY: Amounts = { adjusters: [], amounts: [] }

const toTurn = (bench: Bench, samples: readonly Sample[], move: Amounts, belief: Belief): Turn => {
  const { model } = belief
  const probed = move.adjusters.find((adjuster) => model.adjusters[adjuster]?.eitherWay)
  const probes = isSettled(belief) || probed === undefined ? undefined : model.adjusters[probed]?.id
  return {
    moves: move.adjusters.flatMap((adjuster, k) => {
      const spec = model.adjusters[adjuster] as AdjusterSpec
      const amount = move.amounts[k] as number
      const from = move.from && isMet(move, k) && spec.contact && { from: { contact: move.from } }
      return amount === 0 && !from ? [] : [{ adjuster: spec.id, amount, unit: spec.unit, ...from }]
    }),
    ...bench.outcome(samples, move),
    ...(probes && { probes, either: eitherWay(bench, belief, move) }),
  }
}

/** What a move gives by each of the rival beliefs: the mean of two directions is what neither will show. */
const eitherWay = (bench: Bench, belief: Belief, move: Amounts) =>
  [{ ...belief, weight: 1, rivals: [] }, ...belief.rivals.map((each) => ({ ...each, weight: 1 }))].map(
    (way) => bench.outcome(samplesOf(way, 0, COARSE), move).expected,
  )

/**
 * What the readings call for: the next turn, another look, or nothing. Pure and quick enough for every keystroke.
 * `notRight` asks for the best turn although the readings are content: the hand at the brake knows something they do not,
 * a side on which the wheel rubs or only that it is not right.
 */
export function advise(belief: Belief, state: StandState, windows: Windows, notRight?: NotRight): Advice {
  if (windows.empty) return { kind: 'no-setting', say: windows.empty.say }
  const missing = stillMissing(belief, state, windows)
  if (missing) return missing
  const doubted = doubtedNow(belief, state)
  const { model } = belief
  const aims = model.steered.flatMap((reading): readonly Aim[] => {
    const window = windows.of[reading]
    return window ? [{ index: model.readings.indexOf(reading), window }] : []
  })
  const bench = new Bench(belief, aims)
  const nothing = showNothing(belief, state, windows)
  const hidden = hiddenBy(model, nothing)
  const wrong = wrongOnes(bench, belief, windows, notRight)
  const insist = wrong.length > 0 || notRight === 'somewhere'
  const possible = (from: number, to: number) =>
    wrong.length > 0 ? wrong.slice(from, to) : samplesOf(belief, from, to, hidden)
  const coarse = possible(0, COARSE)
  const out = outside(aims, model, state)
  const chanceCoarse = bench.chance(coarse, STAY)
  const lookAgain = doubted.length > 0 && ({ kind: 'measure', readings: doubted, why: DISAGREES } as const)
  if (!insist && out.length === 0 && chanceCoarse >= SURE)
    return lookAgain || { kind: 'in-window', chanceNow: chanceCoarse }
  // Not sure enough by what is carried: the one of it that is known least is read before anything is turned.
  const leastKnown = leastKnownOfCarried(belief, state, windows)
  if (leastKnown !== undefined) return { kind: 'measure', readings: [leastKnown], why: CARRIED }
  const fine = [...coarse, ...possible(COARSE, FINE)]
  const mean = sampleAt(belief, belief.mean, 0, hidden)
  const price = priceIn(model, lastDirections(belief))
  const worth = probeWorth(bench, mean, belief, state, windows)
  const sieve = (moves: readonly Amounts[], samples: readonly Sample[], most: number) =>
    moves
      .map((move) => ({ move, value: bench.score(samples, move) - price(move) + worth(move) }))
      .sort((a, b) => b.value - a.value)
      .slice(0, most)
  const movesOf = (ranked: readonly { readonly move: Amounts }[]) => ranked.map(({ move }) => move)
  const all = candidates(bench, mean, aims, belief, state)
  const screened = sieve(all, [mean], SCREENED)
  const best = sieve(movesOf(sieve(movesOf(screened), coarse, SHORTLIST)), fine, SHORTLIST)
  const chanceNow = bench.chance(fine, STAY)
  const chosen = best[0]
  const turn = chosen && toTurn(bench, fine, chosen.move, belief)
  const turnShows =
    turn &&
    turn.chance >= Math.max(TURNED_ANYHOW, chanceNow + WORTH_A_TURN) &&
    doubted.every((id) => looksSinceTurn(belief, id) === 1)
  if (lookAgain && !turnShows) return lookAgain
  const away = nothing.size > 0 && (turn?.chance ?? 0) < LIKELY && furthestBack(bench, mean, all)
  if (away) return { kind: 'turn', turn: toTurn(bench, fine, away, belief), chanceNow, others: [] }
  if (!turn || (!insist && !turn.probes && turn.chance < chanceNow + WORTH_A_TURN)) {
    if (out.length === 0) return { kind: 'in-window', chanceNow }
    const unsure = out.filter((reading) => looksSinceTurn(belief, reading) < ENOUGH_LOOKS)
    if (chanceNow >= LIKELY && unsure.length > 0) return { kind: 'measure', readings: unsure, why: JUST_OUTSIDE }
    if (chanceNow >= SURE) return { kind: 'in-window', chanceNow }
  }
  if (!chosen || !turn || (!insist && turn.chance < HOPEFUL && chosen.value <= bench.score(fine, STAY))) {
    // More is out than two adjusters put right in one pass: the turn that leaves the least to do, where turns get there at all.
    const nearer =
      out.length > 0 && reachesAny(bench, fine, belief, state) && least(all, (move) => bench.offInAll(mean, move))
    if (nearer) return { kind: 'turn', turn: toTurn(bench, fine, nearer, belief), chanceNow, others: [] }
    return { kind: 'no-setting', say: `No turn brings every reading nearer its window. ${model.noTurnHelps}` }
  }
  const others = best.slice(1, 2).map(({ move }) => toTurn(bench, fine, move, belief))
  return { kind: 'turn', turn, chanceNow, others, ...(doubted.length > 0 && { doubted }) }
}

/**
 * Readings that put an edge in its place which is only guessed, where the brake is near enough for them to show it: before it
 * is called stuck or turned, and before it is called right, or the window would move under a brake that was brought in.
 */
const guessedEdges = (belief: Belief, { readings }: StandState, { of }: Windows): readonly string[] =>
  Object.values(of).flatMap(({ reading, guessed }) => {
    if (!guessed || readings[guessed.by]?.status === 'current' || belief.happenings.length === 0) return []
    const now = readings[reading]
    const value = now?.status === 'current' ? Number(now.value) : believedReading(belief, reading)
    return value <= guessed.upTo ? [guessed.by] : []
  })

/** Readings that stand and do not agree with the others, save what was looked at often enough. */
const doubtedNow = (belief: Belief, { readings }: StandState): readonly string[] =>
  belief.doubted.flatMap(({ reading, entryId }) =>
    readings[reading]?.entry.id === entryId && doubtsSinceTurn(belief, reading) < ENOUGH_LOOKS ? [reading] : [],
  )

/** Needed readings that stand outside their window and show nothing: how much further they would go in is not known. */
const showNothing = ({ model, happenings }: Belief, { readings }: StandState, windows: Windows): ReadonlySet<string> =>
  new Set(
    model.needed.filter((id) => {
      const now = readings[id]
      const window = windows.of[id]
      if (window && typeof now?.value === 'number' && placement(window, now.value) === 'in') return false
      const last = happenings.findLast((each) => each.kind === 'seen' && each.entryId === now?.entry.id)
      return now?.status === 'current' && last?.kind === 'seen' && last.told.kind === 'value' && last.told.atMost
    }),
  )

/** What those that show nothing hide. */
const hiddenBy = ({ beyond, inputs }: BrakeModel, nothing: ReadonlySet<string>): Hidden =>
  (nothing.size > 0 && beyond ? beyond(nothing) : []).map(({ input, ...spread }) => ({
    input: inputs.findIndex((each) => each.id === input),
    ...spread,
  }))

/** Brought nearer by this many half-windows at least, a brake that reads nothing is worth a turn that only shows more of it. */
const NEARER = 0.25

/** What must be read before anything can be told: what is needed and does not stand, and what puts a guessed edge in its place. */
function stillMissing(belief: Belief, state: StandState, windows: Windows): Advice | undefined {
  const guessed = guessedEdges(belief, state, windows)
  const missing = belief.model.needed.filter((id) => state.readings[id]?.status !== 'current')
  if (missing.length > 0) {
    const cause = missing.map((id) => state.readings[id]?.cause).find(Boolean)
    return { kind: 'measure', readings: [...missing, ...guessed], why: cause ?? 'not measured yet' }
  }
  return guessed.length > 0 ? { kind: 'measure', readings: guessed, why: GUESSED } : undefined
}

/** Of what is carried from earlier visits, what is known least beside how wide its window is. */
function leastKnownOfCarried({ model }: Belief, { readings }: StandState, windows: Windows): string | undefined {
  const carried = model.needed.filter((id) => readings[id]?.carried)
  const doubt = (id: string) => {
    const window = windows.of[id]
    return (readings[id]?.carried?.sd ?? 0) / (window ? window.high - window.low : 1)
  }
  return carried.toSorted((a, b) => doubt(b) - doubt(a))[0]
}

/** The move that leaves the least, if that is plainly less than to stay. */
function least(moves: readonly Amounts[], offAfter: (move: Amounts) => number): Amounts | undefined {
  let best: { readonly move: Amounts; readonly off: number } | undefined
  for (const move of moves) {
    const off = offAfter(move)
    if (!best || off < best.off) best = { move, off }
  }
  return best && best.off < offAfter(STAY) - NEARER ? best.move : undefined
}

/** The move that brings the brake as believed furthest out of where it reads nothing; none where none does. */
const furthestBack = (bench: Bench, mean: Sample, moves: readonly Amounts[]): Amounts | undefined =>
  least(moves, (move) => bench.distance(mean, move))

/** Told that the brake is not right, this many possible brakes are looked through for those that are not. */
const THROUGH = 400
/** Fewer than this do not count: the setting does not explain what the hand found. */
const TOO_FEW = 8

/** The possible brakes that agree with the hand: with that pad within the rub wall, or with something out of its window. */
function wrongOnes(bench: Bench, belief: Belief, windows: Windows, notRight: NotRight | undefined): readonly Sample[] {
  if (!notRight) return []
  const pad = notRight === 'somewhere' ? undefined : notRight.rubs
  const wall = pad === undefined ? undefined : windows.of[pad]?.wallLow
  const gap = pad === undefined ? -1 : belief.model.readings.indexOf(pad)
  const wrong = samplesOf(belief, 0, THROUGH).filter((sample) =>
    wall === undefined ? bench.chance([sample], STAY) === 0 : (bench.after(sample, STAY, false)[gap] as number) < wall,
  )
  return wrong.length < TOO_FEW ? [] : wrong
}

/** What finding out an adjuster's direction is worth, as a share of the chance of success. */
const PROBE_WORTH = 0.25

/** A pad that lies on the rim shows nothing. */
const SHOWS_MM = 0.2

/** A turn that also shows which way an adjuster works is worth more, as long as what it would centre is apart. */
function probeWorth(
  bench: Bench,
  mean: Sample,
  belief: Belief,
  state: StandState,
  windows: Windows,
): (move: Amounts) => number {
  const { model } = belief
  const derived = model.derived.find(({ id }) => windows.of[id])
  const window = derived && windows.of[derived.id]
  if (isSettled(belief) || !derived || !window || !apart(derived, state, window)) return () => 0
  const shown = derived.of.map((id) => model.readings.indexOf(id))
  return (move) => {
    if (!move.adjusters.some((adjuster) => model.adjusters[adjuster]?.eitherWay)) return 0
    const y = bench.after(mean, move, false)
    return Math.min(...shown.map((index) => y[index] as number)) > SHOWS_MM ? PROBE_WORTH : 0
  }
}

/** The entries that took a reading since anything was turned. */
function takenSinceTurn({ happenings, model }: Belief, reading: string): readonly string[] {
  const index = model.readings.indexOf(reading)
  const lastTurn = happenings.findLastIndex((each) => each.kind === 'turn')
  return happenings
    .slice(lastTurn + 1)
    .flatMap((each) =>
      each.kind === 'seen' && each.told.kind === 'value' && each.told.reading === index ? [each.entryId] : [],
    )
}

const looksSinceTurn = (belief: Belief, reading: string): number => takenSinceTurn(belief, reading).length

/** How often it was doubted at this setting: what reads so again is no misreading. */
const doubtsSinceTurn = (belief: Belief, reading: string): number => {
  const taken = takenSinceTurn(belief, reading)
  return belief.doubted.filter((each) => taken.includes(each.entryId)).length
}

/** A derived reading from current ones, or undefined while one of them does not stand. */
export function derivedNow({ of, value }: Derived, { readings }: StandState): number | undefined {
  const current = of.map((id) => readings[id])
  return current.every((each) => each?.status === 'current')
    ? value(current.map((each) => Number(each?.value)))
    : undefined
}

/** What it is worked out from current, and it outside its window. */
function apart(derived: Derived, state: StandState, window: Window): boolean {
  const now = derivedNow(derived, state)
  return now !== undefined && placement(window, now) !== 'in'
}

/** Current readings that lie outside their windows. */
const outside = (aims: readonly Aim[], model: BrakeModel, state: StandState): readonly string[] => [
  ...new Set(
    aims.flatMap(({ window }) => {
      const derived = model.derived.find(({ id }) => id === window.reading)
      if (derived) return apart(derived, state, window) ? derived.of : []
      const reading = state.readings[window.reading]
      const stands = reading?.status === 'current' && typeof reading.value === 'number'
      return stands && placement(window, reading.value as number) !== 'in' ? [window.reading] : []
    }),
  ),
]

const DISAGREES = 'this reading does not agree with the others'
const CARRIED = 'carried from an earlier visit, and not sure enough for a turn'
const GUESSED = 'the edge of the window is the book’s guess: this reading puts it in its place'
const JUST_OUTSIDE = 'just outside its window, while the rest of the log says it is inside'
