import type { BrakeModel, ModelInput } from '../brake/model.ts'
import type { Observation } from '../brake/observation.ts'
import type { Layout } from './layout.ts'
import { inverseMills, normalCdf } from './normal.ts'
import type { Happening } from './timeline.ts'
import { Walk } from './walk.ts'

/** Readings are heavy-tailed: Student t with this many degrees of freedom. */
const FREEDOM = 4
/** How much wider a reading is taken when the brake was not squeezed after a turn. */
export const UNSETTLED = 3

export interface Scratch {
  readonly y: Float64Array
  /** dy/dq at each setting of the brake, where it was last worked out. */
  readonly slopes: Slope[]
}

interface Slope {
  readonly q: Float64Array
  /** dy/dq, readings × inputs. */
  readonly jacobian: Float64Array
}

/** How far from where it was worked out a slope still holds, in priors' spreads. */
const HOLDS = 0.05

const stillHolds = (model: BrakeModel, slope: Slope, q: Float64Array): boolean => {
  for (let i = 0; i < q.length; i += 1) {
    if (Math.abs((slope.q[i] as number) - (q[i] as number)) > HOLDS * (model.inputs[i] as ModelInput).sd) return false
  }
  return true
}

/** Readings at `q`, and their slope: the one at hand for this setting if it still holds. */
function predictWithSlope(model: BrakeModel, q: Float64Array, setting: number, scratch: Scratch): Float64Array {
  const { y, slopes } = scratch
  const known = slopes[setting]
  if (known && stillHolds(model, known, q)) {
    model.predict(q, y)
    return known.jacobian
  }
  const jacobian = new Float64Array(y.length * q.length)
  model.slopes(q, y, jacobian)
  slopes[setting] = { q: q.slice(), jacobian }
  return jacobian
}

/** −log of the Student t density, up to a constant, and the weight it gives a squared residual. */
const heavyTail = (z: number) => ((FREEDOM + 1) / 2) * Math.log1p((z * z) / FREEDOM)
const heavyWeight = (z: number) => (FREEDOM + 1) / (FREEDOM + z * z)

export const NO_SLOPE: Float64Array = new Float64Array(0)

export const isPredicted = (happening: Happening) => happening.kind === 'seen'

/** A reading of nothing counts against the prediction only where the prediction leaves something; one of all there is, where it falls short. */
export function residualOf({ value, atMost, atLeast }: Observation & { kind: 'value' }, predicted: number): number {
  const residual = value - predicted
  return atMost ? Math.min(0, residual) : atLeast ? Math.max(0, residual) : residual
}

const orderCost = (z: number) => -Math.log(Math.max(1e-30, normalCdf(z)))

/** What the readings of one setting say, in terms of the model's inputs: curvature (inputs × inputs) and gradient. */
class SettingSum {
  private readonly curvature: Float64Array
  private readonly push: Float64Array
  private readonly row: Float64Array

  constructor(private readonly inputs: number) {
    this.curvature = new Float64Array(inputs * inputs)
    this.push = new Float64Array(inputs)
    this.row = new Float64Array(inputs)
  }

  clear(): void {
    this.curvature.fill(0)
    this.push.fill(0)
  }

  /** Adds a reading (or the difference of two) with its weight and its pull on the prediction. */
  add(jacobian: Float64Array, reading: number, minus: number, weight: number, push: number): void {
    const { inputs, curvature, row } = this
    for (let i = 0; i < inputs; i += 1) {
      row[i] = (jacobian[reading * inputs + i] as number) - (minus < 0 ? 0 : (jacobian[minus * inputs + i] as number))
    }
    for (let i = 0; i < inputs; i += 1) {
      const ri = row[i] as number
      if (ri === 0) continue
      this.push[i] = (this.push[i] as number) + push * ri
      for (let j = 0; j < inputs; j += 1) {
        curvature[i * inputs + j] = (curvature[i * inputs + j] as number) + weight * ri * (row[j] as number)
      }
    }
  }

  /** Carries the sum over to the unknowns: each acts on one input, by its slope. */
  spread(layout: Layout, walk: Walk, precision: Float64Array, gradient: Float64Array): void {
    if (layout.coupled) {
      this.spreadCoupled(layout, walk, precision, gradient)
      return
    }
    const { slope } = walk
    const n = slope.length
    const { inputOf } = layout
    const { inputs, curvature, push } = this
    for (let i = 0; i < n; i += 1) {
      const si = slope[i] as number
      if (si === 0) continue
      const input = inputOf[i] as number
      gradient[i] = (gradient[i] as number) + si * (push[input] as number)
      for (let j = 0; j <= i; j += 1) {
        const sj = slope[j] as number
        if (sj === 0) continue
        const at = i * n + j
        precision[at] =
          (precision[at] as number) + si * sj * (curvature[input * inputs + (inputOf[j] as number)] as number)
      }
    }
  }

  /** The same where an unknown may act on two inputs. */
  private spreadCoupled(layout: Layout, walk: Walk, precision: Float64Array, gradient: Float64Array): void {
    const { inputs, curvature, push } = this
    const n = walk.slope.length
    const acts: (readonly (readonly [number, number])[])[] = []
    for (let i = 0; i < n; i += 1) {
      const [own, also] = [walk.slope[i] as number, walk.slopeAlso[i] as number]
      const mine: (readonly [number, number])[] = []
      if (own !== 0) mine.push([layout.inputOf[i] as number, own])
      if (also !== 0) mine.push([layout.alsoOf[i] as number, also])
      acts.push(mine)
      for (const [input, slope] of mine) {
        gradient[i] = (gradient[i] as number) + slope * (push[input] as number)
        for (let j = 0; j <= i; j += 1)
          for (const [other, by] of acts[j] ?? []) {
            const at = i * n + j
            precision[at] = (precision[at] as number) + slope * by * (curvature[input * inputs + other] as number)
          }
      }
    }
  }
}

/** The cost at a guess, with its precision (n×n, lower half) and gradient there. */
export interface Linear {
  readonly at: number
  readonly precision: Float64Array
  readonly gradient: Float64Array
}

/** The cost at a guess and how it goes on from there, in one reading of the log; every reading taken so many times as wide. */
export function linearise(
  model: BrakeModel,
  layout: Layout,
  happenings: readonly Happening[],
  theta: Float64Array,
  scratch: Scratch,
  wider = 1,
): Linear {
  const n = layout.unknowns.length
  const precision = new Float64Array(n * n)
  const gradient = new Float64Array(n)
  let at = 0
  layout.unknowns.forEach(({ mean, sd }, index) => {
    const z = ((theta[index] as number) - mean) / sd
    at += 0.5 * z * z
    precision[index * n + index] = 1 / (sd * sd)
    gradient[index] = z / sd
  })
  const walk = new Walk(model, layout, theta)
  const { y } = scratch
  const sum = new SettingSum(layout.inputs)
  let jacobian = NO_SLOPE
  let setting = -1
  let fresh = false
  for (let index = 0; index < happenings.length; index += 1) {
    const happening = happenings[index] as Happening
    if (happening.kind !== 'seen') {
      if (fresh) sum.spread(layout, walk, precision, gradient)
      walk.step(happening, index)
      fresh = false
      continue
    }
    if (!fresh) {
      walk.settle()
      setting += 1
      jacobian = predictWithSlope(model, walk.q, setting, scratch)
      sum.clear()
      fresh = true
    }
    const { told } = happening
    const sd = told.sd * wider * (walk.unsettled ? UNSETTLED : 1)
    if (told.kind === 'value') {
      const residual = residualOf(told, y[told.reading] as number)
      if (residual === 0) continue
      at += heavyTail(residual / sd)
      const weight = heavyWeight(residual / sd) / (sd * sd)
      sum.add(jacobian, told.reading, -1, weight, -weight * residual)
    } else if (told.kind === 'together') {
      const difference = (y[told.other] as number) - (y[told.one] as number)
      at += heavyTail(difference / sd)
      const weight = heavyWeight(difference / sd) / (sd * sd)
      sum.add(jacobian, told.other, told.one, weight, weight * difference)
    } else {
      const z = ((y[told.further] as number) - (y[told.nearer] as number)) / sd
      const slope = inverseMills(z)
      at += orderCost(z)
      sum.add(jacobian, told.further, told.nearer, Math.max(1e-9, slope * (slope + z)) / (sd * sd), -slope / sd)
    }
  }
  if (fresh) sum.spread(layout, walk, precision, gradient)
  return { at, precision, gradient }
}
