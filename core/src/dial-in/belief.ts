import type { Kit } from '../brake/kit.ts'
import type { BrakeModel, Known } from '../brake/model.ts'
import type { StandState } from '../stand/fold.ts'
import { type Layout, type Learnt, layoutFor } from './layout.ts'
import { isPredicted, type Linear, linearise, NO_SLOPE, residualOf, type Scratch, UNSETTLED } from './likelihood.ts'
import { backward, cholesky, forward } from './matrix.ts'
import { type Happening, isAnother, timeline } from './timeline.ts'
import { Walk } from './walk.ts'

/** What is believed of this brake: a Gaussian over everything nobody has measured. */
export interface Belief {
  readonly model: BrakeModel
  readonly layout: Layout
  readonly happenings: readonly Happening[]
  readonly mean: Float64Array
  /** Lower Cholesky factor of the precision. */
  readonly factor: Float64Array
  /** Readings the rest of the log does not believe: beyond four standard deviations. */
  readonly doubted: readonly Doubt[]
  /** How likely this belief is against its rivals, 0 to 1; 1 where nothing works either way. */
  readonly weight: number
  /** The same log read with an adjuster working the other way, where its direction differs by design. */
  readonly rivals: readonly Belief[]
}

/** Above this the direction of an adjuster is settled. */
const SETTLED = 0.9

export const isSettled = (belief: Belief): boolean => belief.weight >= SETTLED

export interface Doubt {
  readonly entryId: string
  readonly reading: string
  readonly value: number
  readonly expected: number
  readonly sigmas: number
}

const DOUBT_SIGMAS = 4
const MOST_ROUNDS = 12
/** A step that does not help is tried shorter this often in all. */
const MOST_DAMPED = 6
/** A gain in log-likelihood too small to matter. */
const ENOUGH = 0.02

/**
 * The belief after a job's log: maximum a posteriori by damped Gauss–Newton over the whole log (it is short),
 * with the curvature there as its precision. The same log gives the same belief on every screen.
 * `before` is what earlier visits of this brake taught.
 */
export function believe(kit: Kit, model: BrakeModel, state: StandState, before: Learnt = {}): Belief {
  const happenings = timeline(kit, model, state)
  const learnt = isAnother(model, state) ? {} : before
  const ways = readings(directions(model, learnt), happenings, learnt)
  const likeliest = Math.max(...ways.map((each) => each.evidence + Math.log(each.prior)))
  const odds = ways.map((each) => each.prior * Math.exp(each.evidence - likeliest))
  const all = odds.reduce((sum, each) => sum + each, 0)
  const weighed = ways.map(
    (each, index): Belief => ({ ...each.belief, weight: (odds[index] as number) / all, rivals: [] }),
  )
  const [best, ...rivals] = weighed.sort((a, b) => b.weight - a.weight)
  return { ...(best as Belief), rivals }
}

interface Direction {
  readonly way: BrakeModel
  readonly prior: number
}

/** A direction that an earlier visit showed is believed this far. */
const SHOWN = 0.98

const directionId = (adjuster: string) => `${adjuster}.direction`

/** The model with every direction its adjusters may work in, each as likely as the other until a visit has shown it. */
function directions(model: BrakeModel, learnt: Learnt): readonly Direction[] {
  return model.adjusters.reduce<readonly Direction[]>(
    (ways, spec, index) => {
      if (!spec.eitherWay) return ways
      const shown = learnt[directionId(spec.id)]?.mean
      const asBook = shown === undefined ? 0.5 : shown * spec.book > 0 ? SHOWN : 1 - SHOWN
      return ways.flatMap(({ way, prior }) => [
        { way, prior: prior * asBook },
        {
          way: { ...way, adjusters: way.adjusters.with(index, { ...spec, book: -spec.book }) },
          prior: prior * (1 - asBook),
        },
      ])
    },
    [{ way: model, prior: 1 }],
  )
}

/** A direction this much worse than another is out of the question: e^−30. */
const HOPELESS = 30
/** Rounds after which a direction shows whether it can still come near. */
const FAIR_ROUNDS = 2

/** The log read each way, the one that begins nearest first: the others are left where they are found hopeless beside it. */
function readings(ways: readonly Direction[], happenings: readonly Happening[], learnt: Learnt) {
  const opened = ways.map(({ way, prior }) => ({ prior, ...openLog(way, happenings, learnt) }))
  let best = Number.POSITIVE_INFINITY
  return opened
    .sort((a, b) => a.first.at - b.first.at)
    .map((each) => {
      const read = readAs(each, best + HOPELESS)
      best = Math.min(best, read.at)
      return { ...read, prior: each.prior }
    })
}

interface OpenLog {
  readonly model: BrakeModel
  readonly layout: Layout
  readonly happenings: readonly Happening[]
  readonly scratch: Scratch
  readonly start: Float64Array
  readonly first: Linear
}

function openLog(model: BrakeModel, happenings: readonly Happening[], learnt: Learnt): OpenLog {
  const layout = layoutFor(model, happenings, learnt)
  const count = model.readings.length
  const scratch: Scratch = { y: new Float64Array(count), slopes: [] }
  const start = Float64Array.from(layout.unknowns, ({ mean }) => mean)
  return { model, layout, happenings, scratch, start, first: linearise(model, layout, happenings, start, scratch) }
}

/** The log read with every direction taken as known, and how well it then explains itself. */
function readAs(open: OpenLog, hopelessAbove: number) {
  const { model, layout, happenings, scratch } = open
  const { theta, factor, at } = readLikeliest(open, hopelessAbove)
  const doubted = doubts(model, layout, happenings, theta, scratch)
  const n = layout.unknowns.length
  let evidence = -at
  for (let i = 0; i < n; i += 1) evidence -= Math.log(factor[i * n + i] as number)
  return { belief: { model, layout, happenings, mean: theta, factor, doubted }, evidence, at }
}

/** A log this much less likely than its readings are wide, each, may have been read from the wrong side of a heavy tail. */
const STRANGE = 1.5

/**
 * The likeliest reading of a log. A heavy tail has more than one valley: where what was found explains the readings badly,
 * the log is read once more from where they lead when each is taken wide, and narrowed (graduated non-convexity, Blake and
 * Zisserman 1987); the likelier is kept.
 */
function readLikeliest(open: OpenLog, hopelessAbove: number, back = LOOKS_BACK): Descent {
  const found = descend(open, open.start, hopelessAbove, 1, open.first)
  const seen = open.happenings.filter(isPredicted).length
  if (found.at < STRANGE * seen || found.at > hopelessAbove) return found
  const begins = [WIDER.reduce((from, wider) => descend(open, from, Number.POSITIVE_INFINITY, wider).theta, open.start)]
  if (back > 0) {
    // What was believed before the last look is a place to begin from too: one that agrees is never the worse for it.
    const last = open.happenings.findLastIndex(isPredicted)
    const happenings = open.happenings.filter((_, index) => index !== last)
    const first = linearise(open.model, open.layout, happenings, open.start, open.scratch)
    begins.push(readLikeliest({ ...open, happenings, first }, Number.POSITIVE_INFINITY, back - 1).theta)
  }
  return begins
    .map((from) => descend(open, from, hopelessAbove))
    .reduce((best, each) => (each.at < best.at ? each : best), found)
}

/** How wide readings are taken, one after the other, on the way to where they lead together. */
const WIDER = [8, 3]
/** So many looks are gone back for a place to begin from. */
const LOOKS_BACK = 3

interface Descent {
  readonly theta: Float64Array
  readonly factor: Float64Array
  readonly at: number
}

/** Damped Gauss–Newton from a guess, whose cost may be known already, until it no longer helps, or cannot come near what another direction explains. */
function descend(
  { model, layout, happenings, scratch }: OpenLog,
  start: Float64Array,
  hopelessAbove: number,
  wider = 1,
  begun?: Linear,
): Descent {
  const n = layout.unknowns.length
  const costAt = (theta: Float64Array) => linearise(model, layout, happenings, theta, scratch, wider)
  let theta = start
  let here = begun ?? costAt(start)
  let factor = NO_SLOPE
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    if (round >= FAIR_ROUNDS && here.at > hopelessAbove) break
    factor = cholesky(here.precision, n)
    const step = backward(factor, n, forward(factor, n, here.gradient))
    let share = 1
    let better = false
    for (let attempt = 0; attempt < MOST_DAMPED; attempt += 1) {
      const tried = theta.map((value, index) => value - share * (step[index] as number))
      const there = costAt(tried)
      if (there.at < here.at + 1e-9) {
        better = here.at - there.at > ENOUGH
        theta = tried
        here = there
        break
      }
      share /= 3
    }
    if (!better) break
  }
  return { theta, factor, at: here.at }
}

function doubts(
  model: BrakeModel,
  layout: Layout,
  happenings: readonly Happening[],
  theta: Float64Array,
  scratch: Scratch,
): readonly Doubt[] {
  const walk = new Walk(model, layout, theta, false)
  let fresh = false
  return happenings.flatMap((happening, index) => {
    if (!isPredicted(happening)) {
      walk.step(happening, index)
      fresh = false
    }
    if (happening.kind !== 'seen' || happening.told.kind !== 'value') return []
    if (!fresh) {
      walk.settle()
      model.predict(walk.q, scratch.y)
      fresh = true
    }
    const { told } = happening
    const expected = scratch.y[told.reading] as number
    const wider = walk.unsettled ? UNSETTLED : 1
    const sigmas = Math.abs(residualOf(told, expected)) / (told.sd * wider)
    if (sigmas <= DOUBT_SIGMAS) return []
    return [
      {
        entryId: happening.entryId,
        reading: model.readings[told.reading] as string,
        value: told.value,
        expected,
        sigmas,
      },
    ]
  })
}

/** Standard deviations of the unknowns: square roots of the diagonal of the inverse precision. */
export function spreadOf(belief: Belief): Float64Array {
  return Float64Array.from(belief.layout.unknowns, (_, index) => spreadOfSum(belief, [index]))
}

/** Standard deviation of some unknowns added together, each times its weight. */
function spreadOfSum(
  { layout, factor }: Belief,
  unknowns: readonly number[],
  weightOf: (unknown: number) => number = () => 1,
): number {
  const n = layout.unknowns.length
  const along = new Float64Array(n)
  for (const index of unknowns) along[index] = weightOf(index)
  return Math.sqrt(forward(factor, n, along).reduce((sum, each) => sum + each * each, 0))
}

/** An unknown with all that was since put in its place: a part put in anew is not the one that was learnt. */
const withItsSuccessors = ({ layout }: Belief, index: number): readonly number[] =>
  index >= layout.inputs
    ? [index]
    : [
        index,
        ...layout.begins.flatMap((each) => (each?.added ?? []).filter((added) => layout.inputOf[added] === index)),
      ]

/** What this job taught of the lasting unknowns, to be the prior of the brake's next visit. */
export function lessons(belief: Belief): Learnt {
  const shown = isSettled(belief) ? belief.model.adjusters.filter((spec) => spec.eitherWay) : []
  return Object.fromEntries([
    ...belief.layout.unknowns.flatMap(({ id, lasting }, index) => {
      if (!lasting) return []
      const parts = withItsSuccessors(belief, index)
      const mean = parts.reduce((sum, each) => sum + (belief.mean[each] as number), 0)
      return [[id, { mean, sd: Math.max(0.02, spreadOfSum(belief, parts)) }]]
    }),
    ...shown.map(({ id, book }) => [directionId(id), { mean: Math.sign(book), sd: 0 }]),
  ])
}

/** The log replayed at the belief's mean: model inputs as the brake stands now. */
export function standingWalk(belief: Belief, theta: Float64Array = belief.mean): Walk {
  const walk = new Walk(belief.model, belief.layout, theta, false)
  const { happenings } = belief
  for (let index = 0; index < happenings.length; index += 1) {
    const happening = happenings[index] as Happening
    if (!isPredicted(happening)) walk.step(happening, index)
  }
  walk.settle()
  return walk
}

/** What is known of this very brake: its inputs as they stand, and how surely. */
export function knownBy(belief: Belief): Known {
  const { layout } = belief
  const inputs = Array.from({ length: layout.inputs }, (_, index) => index)
  const parts = inputs.map((index) => withItsSuccessors(belief, index))
  return {
    q: standingWalk(belief).q,
    spread: (weights) =>
      spreadOfSum(belief, parts.flat(), (unknown) => weights[layout.inputOf[unknown] as number] ?? 0),
  }
}

/** A reading as it is believed to stand now, whether or not it was measured. */
export function believedReading(belief: Belief, reading: string): number {
  const { model } = belief
  const y = new Float64Array(model.readings.length)
  model.predict(standingWalk(belief).q, y)
  return y[model.readings.indexOf(reading)] as number
}
