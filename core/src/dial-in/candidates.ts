import { type AdjusterSpec, bestFound, type From, type TurnUnit } from '../brake/adjuster.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { AdjusterState } from '../stand/adjusters.ts'
import type { StandState } from '../stand/fold.ts'
import { type Belief, isSettled } from './belief.ts'
import { type Aim, type Amounts, type Bench, isMet, type Sample } from './possible.ts'

/**
 * A hand goes no further before it looks again, in the adjuster’s own unit. Half a turn of a knob by clicks: what lies further
 * off is told from contact, where its guessed pitch does not add up. Our choice, by docs/bench.md’s fleets.
 */
const MOST_AT_ONCE: Readonly<Record<TurnUnit, number>> = { turn: 4, hole: 4, mm: 4, click: 8 }

/** What nothing limits is asked to go no further than this, in its own unit. */
export const FAR = 30

/** Turning back what was just turned goes round in circles, and a screw's lost motion eats most of it. */
const TURNED_BACK = 0.08

/** A card to be found, held at its pad and drawn out. Our choice. */
const PUT_BETWEEN = 0.02

/** Winding in to contact and back is longer than turning on from where it stands. Our choice. */
const ALL_THE_WAY = 0.03

/** The direction each adjuster was last turned, 0 if never. */
export function lastDirections(belief: Belief): readonly number[] {
  const last = belief.model.adjusters.map(() => 0)
  for (const happening of belief.happenings)
    if (happening.kind === 'turn') last[happening.adjuster] = happening.from ? 0 : Math.sign(happening.amount)
  return last
}

/** What a move costs, as a share of the chance of success. After a spring has changed its hole a screw begins anew. */
export const priceIn =
  (model: BrakeModel, last: readonly number[]) =>
  (move: Amounts): number => {
    const { adjusters, amounts, from } = move
    const anew = adjusters.some((adjuster) => model.adjusters[adjuster]?.lastResort)
    return adjusters.reduce(
      (sum, adjuster, k) => {
        const amount = amounts[k] as number
        if (amount === 0 && !isMet(move, k)) return sum
        const spec = model.adjusters[adjuster] as AdjusterSpec
        const back = !anew && !from && amount * (last[adjuster] as number) < 0 ? TURNED_BACK : 0
        const between = amount !== 0 && spec.contact?.gives ? PUT_BETWEEN : 0
        return sum + spec.price + back + between
      },
      from ? ALL_THE_WAY : 0,
    )
  }

/** Every set of at most two adjusters, save two sure ones that do the same thing. */
function subsets(model: BrakeModel): readonly (readonly number[])[] {
  const usual = model.adjusters.flatMap((spec, index) => (spec.lastResort ? [] : [index]))
  return pairs(model, usual)
}

function pairs(model: BrakeModel, among: readonly number[]): readonly (readonly number[])[] {
  const sure = (a: AdjusterSpec, b: AdjusterSpec) => a.input === b.input && a.effectSpread < 0.1 && b.effectSpread < 0.1
  return among.flatMap((one, k) => [
    [one],
    ...among
      .slice(k + 1)
      .filter((two) => !sure(model.adjusters[one] as AdjusterSpec, model.adjusters[two] as AdjusterSpec))
      .map((two) => [one, two]),
  ])
}

/** Whether something gentler has room left for what it should do to the same input. */
const hasGentler = (spec: AdjusterSpec, model: BrakeModel, wanted: readonly Amounts[], state: StandState): boolean =>
  wanted.some(({ adjusters, amounts }) =>
    adjusters.some((adjuster, k) => {
      const other = model.adjusters[adjuster] as AdjusterSpec
      const { down, up } = room(other, state)
      const amount = amounts[k] as number
      return other.input === spec.input && amount <= up + other.step / 2 && amount >= -down - other.step / 2
    }),
  )

/** The continuous amounts that bring the mean brake nearest the window centres, by Gauss–Newton steps, beside what is fixed. */
function nearest(
  bench: Bench,
  mean: Sample,
  aims: readonly Aim[],
  adjusters: readonly number[],
  model: BrakeModel,
  fixed?: Amounts,
): number[] {
  const after = (amounts: readonly number[]) => {
    const move = fixed
      ? { adjusters: [...fixed.adjusters, ...adjusters], amounts: [...fixed.amounts, ...amounts] }
      : { adjusters, amounts }
    return bench.after(mean, move, false)
  }
  const amounts = adjusters.map(() => 0)
  const probe = adjusters.map((adjuster) => (model.adjusters[adjuster] as AdjusterSpec).step)
  for (let round = 0; round < 3; round += 1) {
    const at = Float64Array.from(after(amounts))
    const slopes = adjusters.map((_, k) => {
      const sign = (amounts[k] as number) < 0 ? -1 : 1
      const step = sign * Math.max(probe[k] as number, 0.5)
      const moved = amounts.map((amount, j) => (j === k ? amount + step : amount))
      const y = after(moved)
      return aims.map(
        ({ index, window }) => ((y[index] as number) - (at[index] as number)) / step / ((window.high - window.low) / 2),
      )
    })
    const errors = aims.map(
      ({ index, window }) => (window.target - (at[index] as number)) / ((window.high - window.low) / 2),
    )
    const dot = (a: readonly number[], b: readonly number[]) =>
      a.reduce((sum, value, i) => sum + value * (b[i] as number), 0)
    const [first = [], second] = slopes
    const a = dot(first, first) + 1e-9
    const u = dot(first, errors)
    if (!second) {
      amounts[0] = (amounts[0] as number) + u / a
      continue
    }
    const b = dot(first, second)
    const c = dot(second, second) + 1e-9
    const v = dot(second, errors)
    const determinant = a * c - b * b
    if (Math.abs(determinant) < 1e-6 * a * c) {
      amounts[0] = (amounts[0] as number) + u / a / 2
      amounts[1] = (amounts[1] as number) + v / c / 2
    } else {
      amounts[0] = (amounts[0] as number) + (c * u - b * v) / determinant
      amounts[1] = (amounts[1] as number) + (a * v - b * u) / determinant
    }
  }
  return amounts
}

/** Where the position is only guessed, this much may be tried: the hand feels an end before anything breaks. */
const TRY_PAST_GUESS = 0.5

/** How far an adjuster may be asked to go: to the ends that are known, and not past the middle of what is guessed. */
function room(spec: AdjusterSpec, state: StandState): { down: number; up: number } {
  const { position, turned, leftDown, leftUp } = state.adjusters[spec.id] as AdjusterState
  if (spec.travel === undefined) return { down: Math.min(FAR, leftDown), up: Math.min(FAR, leftUp) }
  const at = position ?? (spec.assumedPosition ?? spec.travel / 2) + turned
  const least = position === undefined ? TRY_PAST_GUESS : 0
  const within = (left: number) => Math.max(least, Math.min(left, MOST_AT_ONCE[spec.unit]))
  return { down: Math.min(leftDown, within(at)), up: Math.min(leftUp, within(spec.travel - at)) }
}

/** How far it can still be wound in, as far as its ends are known: the hand that winds it in to contact feels its end first. */
function leftInwards({ id, contact }: AdjusterSpec, state: StandState): number {
  const { leftDown, leftUp } = state.adjusters[id] as AdjusterState
  return contact?.inward === -1 ? leftDown : leftUp
}

/** How far it can still be wound out, as far as its ends are known. */
function leftOutwards({ id, contact, travel = Number.POSITIVE_INFINITY }: AdjusterSpec, state: StandState): number {
  const { leftDown, leftUp } = state.adjusters[id] as AdjusterState
  return contact ? Math.min(travel, contact.inward === 1 ? leftDown : leftUp) : travel
}

/** Turned at least and at most this far while it is not known which way it works. */
const PROBE = { least: 0.25, most: 0.5 } as const

/** Steps a hand can make on either side of the continuous amount, within the adjuster's travel. */
function handSteps(amount: number, spec: AdjusterSpec, state: StandState, most: number): readonly number[] {
  const ends = room(spec, state)
  const down = Math.min(most, ends.down)
  const up = Math.min(most, ends.up)
  const whole = Math.round(amount / spec.step)
  const steps = [whole - 1, whole, whole + 1].map((each) => {
    const wanted = each * spec.step
    const floor = -Math.floor(down / spec.step) * spec.step
    const ceiling = Math.floor(up / spec.step) * spec.step
    return Math.min(ceiling, Math.max(floor, wanted))
  })
  return [...new Set(steps)].filter((each) => each !== 0)
}

/** A last resort is tried by these amounts, where its step allows them. */
const RESORTS = [-1, -0.5, 0.5, 1] as const

/** Every move worth trying: for each set of adjusters, the hand's steps around the best continuous amounts. */
export function candidates(
  bench: Bench,
  mean: Sample,
  aims: readonly Aim[],
  belief: Belief,
  state: StandState,
): readonly Amounts[] {
  const { model } = belief
  const settled = isSettled(belief)
  const spec = (adjuster: number) => model.adjusters[adjuster] as AdjusterSpec
  const probing = (adjuster: number) => !settled && spec(adjuster).eitherWay === true
  const stepsOf = (adjuster: number, amount: number) =>
    spec(adjuster).contact?.gives
      ? []
      : probing(adjuster)
        ? handSteps(amount, spec(adjuster), state, PROBE.most).filter((step) => Math.abs(step) >= PROBE.least)
        : handSteps(amount, spec(adjuster), state, Number.POSITIVE_INFINITY)
  const besideBest = (fixed: Amounts): readonly Amounts[] =>
    model.adjusters.flatMap((other, k): readonly Amounts[] => {
      if (other.lastResort || fixed.adjusters.includes(k)) return []
      const [best = 0] = nearest(bench, mean, aims, [k], model, fixed)
      return stepsOf(k, best).map((step) => ({
        adjusters: [...fixed.adjusters, k],
        amounts: [...fixed.amounts, step],
      }))
    })
  const wanted = subsets(model).map(
    (adjusters): Amounts => ({
      adjusters,
      amounts: nearest(bench, mean, aims, adjusters, model),
    }),
  )
  const usual = wanted.flatMap(({ adjusters, amounts }) => {
    const [first = [], second] = adjusters.map((adjuster, k) => stepsOf(adjuster, amounts[k] as number))
    if (!second) return first.map((amount) => ({ adjusters, amounts: [amount] }))
    return first.flatMap((a) => second.map((b) => ({ adjusters, amounts: [a, b] })))
  })
  return [...usual, ...fromContact(), ...probes(), ...lastResorts()]

  /** How far back from contact an adjuster is wanted, in the hand's steps; `given`: what the others do to its input. */
  function backsOf(adjuster: number, wantedInput: number, given: number, from: From['contact']): readonly number[] {
    const { contact, step, travel = Number.POSITIVE_INFINITY } = spec(adjuster)
    if (contact?.gives) return leftInwards(spec(adjuster), state) > 0 ? contact.gives : []
    const met = contact?.at[from]
    if (!contact?.inward || met === undefined) return []
    const { inward } = contact
    const input = belief.layout.drives[adjuster] as number
    const perUnit = mean.walk.reach(adjuster, 1)
    // What lies further away than it can be wound is not met.
    const inwards = ((met - given - (mean.q[input] as number)) / perUnit) * inward
    if (inwards > leftInwards(spec(adjuster), state)) return []
    const whole = Math.round((wantedInput - met) / perUnit / step)
    // From contact it comes back by the thread that lies between there and its other end, and no further.
    const back = Math.min(travel, leftOutwards(spec(adjuster), state) + inwards)
    return [whole - 1, whole, whole + 1]
      .map((each) => each * step)
      .filter((amount) => amount * inward < 0 && Math.abs(amount) <= back + step / 2)
  }

  /** What the other adjusters of a set do to one's own input. */
  function givenTo(adjuster: number, { adjusters, amounts }: Amounts): number {
    const input = belief.layout.drives[adjuster] as number
    return adjusters.reduce((sum, other, k) => {
      if (other === adjuster) return sum
      const moved = mean.walk.reach(other, amounts[k] as number)
      if (belief.layout.drives[other] === input) return sum + moved
      return belief.layout.alsoDrives[other] === input ? sum + moved * (belief.layout.share[other] as number) : sum
    }, 0)
  }

  /**
   * The same settings with one adjuster told from contact, alone or after another: how far it stood matters no more, nor
   * what the other did to it. It comes last: what is tightened first no longer reaches it. Two that each meet something of
   * their own may both be told so.
   */
  function fromContact(): readonly Amounts[] {
    return wanted.flatMap((set) => {
      const { adjusters, amounts } = set
      const met = adjusters.map((adjuster, k) => {
        const { contact } = spec(adjuster)
        if (!contact) return undefined
        const from = bestFound(contact)
        const given = givenTo(adjuster, set)
        const input = belief.layout.drives[adjuster] as number
        const wantedInput = mean.walk.reach(adjuster, amounts[k] as number) + given + (mean.q[input] as number)
        return { from, backs: backsOf(adjuster, wantedInput, given, from) }
      })
      const last = adjusters.flatMap((adjuster, k): readonly Amounts[] => {
        const own = met[k]
        if (!own) return []
        const other = adjusters.find((_, j) => j !== k)
        if (other === undefined)
          return own.backs.map((amount) => ({ adjusters: [adjuster], amounts: [amount], from: own.from }))
        return stepsOf(other, amounts[adjusters.indexOf(other)] as number).flatMap((first) =>
          own.backs.map((amount) => ({ adjusters: [other, adjuster], amounts: [first, amount], from: own.from })),
        )
      })
      const [one, two] = met
      const apart = belief.layout.drives[adjusters[0] as number] !== belief.layout.drives[adjusters[1] ?? -1]
      if (!one || !two || !apart || one.from !== two.from) return last
      const both = one.backs.flatMap((a) =>
        two.backs.map((b): Amounts => ({ adjusters, amounts: [a, b], from: one.from, each: true })),
      )
      return [...last, ...both]
    })
  }

  /** A turn either way of what is not known to work either way, with the best of one other adjuster beside it. */
  function probes(): readonly Amounts[] {
    return model.adjusters.flatMap((_, index) =>
      probing(index)
        ? [-PROBE.most, PROBE.most].flatMap((amount) => {
            const alone: Amounts = { adjusters: [index], amounts: [amount] }
            return stepsOf(index, amount).includes(amount) ? [alone, ...besideBest(alone)] : []
          })
        : [],
    )
  }

  /** Springs to other holes and whole calipers turned, each alone and with the best of one gentler adjuster beside it, where no screw has room left. */
  function lastResorts(): readonly Amounts[] {
    return model.adjusters.flatMap((each, index) => {
      if (!each.lastResort || hasGentler(each, model, wanted, state)) return []
      return RESORTS.flatMap((amount): readonly Amounts[] => {
        if (!Number.isInteger(amount / each.step) || !stepsOf(index, amount).includes(amount)) return []
        const alone: Amounts = { adjusters: [index], amounts: [amount] }
        return [alone, ...besideBest(alone)]
      })
    })
  }
}
