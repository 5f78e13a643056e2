import type { Lever } from '../mechanics/lever.ts'
import type { AdjusterSpec } from './adjuster.ts'
import type { Frame, Moment, Shape, Side } from './frame.ts'
import type { Fact } from './graph.ts'
import type { Observation } from './observation.ts'
import type { Looked } from './on-stand.ts'
import type { ReadingSpec } from './reading.ts'
import type { ChosenSchools } from './school.ts'
import type { Windows } from './window.ts'

/** A quantity nobody has measured on this bike, with its prior. Logarithmic ones are factors. */
export interface ModelInput {
  readonly id: string
  readonly title: string
  readonly mean: number
  readonly sd: number
  /** Belongs to the brake and is kept for its next visit; otherwise it belongs to this setting. */
  readonly lasting: boolean
}

/** From model inputs `q` to readings `y`, both in the family's order. Writes into `y`; allocates nothing. */
export type Predict = (q: Float64Array, y: Float64Array) => void

/** As `predict`, and how each reading follows each input at `q`: dy/dq, readings × inputs. Leaves `q` as it was. */
export type Slopes = (q: Float64Array, y: Float64Array, jacobian: Float64Array) => void

/** What is believed of this very brake, where the book only guesses. */
export interface Known {
  /** Its inputs, in the model’s order. */
  readonly q: ArrayLike<number>
  /** Standard deviation of the inputs’ sum, each times its weight. */
  readonly spread: (weights: readonly number[]) => number
}

/** As much as the book knows. */
export const knownOf = (inputs: readonly ModelInput[]): Known => ({
  q: inputs.map(({ mean }) => mean),
  spread: (weights) => Math.hypot(...inputs.map(({ sd }, index) => sd * (weights[index] ?? 0))),
})

/** What is predicted and aimed at, but worked out from other readings rather than measured. */
export interface Derived {
  readonly id: string
  /** The readings it is worked out from. */
  readonly of: readonly string[]
  readonly value: (readings: readonly number[]) => number
  /** What is said of it where it lies outside its window. */
  readonly say: (value: number, windows: Windows, looked: Looked) => string
}

/** What a fact leaves to be learnt again: extra doubt of some inputs, or everything that was believed of this brake. */
export type Disturbance = { readonly spread: Readonly<Record<string, number>> } | 'forget'

/** How far an input may stand from where it is believed while readings show nothing: anywhere between, in its own unit. */
export interface Beyond {
  readonly input: string
  readonly from: number
  readonly to: number
}

/** A new cable lets out this much more as it beds in, a share 1 − 1/e of it within `squeezes`. */
export interface Bedding {
  readonly input: string
  readonly mean: number
  readonly sd: number
  readonly worn: number
  readonly squeezes: number
  /** What begins it anew. */
  readonly begins: Fact
}

/** Lever, cable and how the brake gives way: what every cable-pulled brake has. */
export interface Throw {
  readonly lever: Lever
  /** Cable (mm) pulled before it is taut: the book's guess. */
  readonly freePlayMm: number
  /**
   * Tension at the brake (N) in the one squeeze that reserve and force are judged at: a hard one, or what the stop asked
   * of this brake needs if that is more; and what wire, housing and brake give way to it (N/mm at the cable).
   */
  readonly squeezeTensionN: number
  readonly stiffnessNPerMm: number
  /** Tension (N) the stop asked of this brake needs, where lever and brake are judged at a hard squeeze and this is only said. */
  readonly stopTensionN?: number
  /** Finger travel (mm) from contact to that squeeze: stretch of cable, housing and arms. */
  readonly stretchTravelMm: number
}

/** Where the chosen school has the brake bite: cable from rest to contact, mm, and how that is said of the pads. */
export interface Setting {
  readonly cableMm: number
  readonly travelMm: number
  readonly share: number
  readonly words: string
}

/** Pad face against its pivot at contact, mm: in towards the wheel, and up. The pad turns about it as it wears. */
export interface PadArm {
  readonly inMm: number
  readonly upMm: number
}

export interface BrakeModel {
  readonly throw: Throw
  readonly inputs: readonly ModelInput[]
  /** Readings the model predicts, in the order of `y`. */
  readonly readings: readonly string[]
  readonly adjusters: readonly AdjusterSpec[]
  readonly predict: Predict
  readonly slopes: Slopes
  /** What the advice steers into its windows, and what must be measured before it can. */
  readonly steered: readonly string[]
  readonly needed: readonly string[]
  readonly derived: readonly Derived[]
  /** What is left to be done where no turn brings it nearer. */
  readonly noTurnHelps: string
  /** What would make lever and brake belong together where no common lever does, by what is the matter. */
  readonly noLever?: Readonly<Partial<Record<'bar' | 'weak' | 'weak-wet', string>>>
  readonly observe: (reading: string, value: number | string, spec: ReadingSpec | undefined) => Observation | undefined
  /** What stands hidden while these readings show nothing. */
  readonly beyond?: (nothing: ReadonlySet<string>) => readonly Beyond[]
  readonly disturbs: (fact: Fact) => Disturbance | undefined
  readonly bedding?: Bedding
  /**
   * Target windows for everything measured, by the schools chosen, walls included. An empty one is an answer.
   * Made of what is known of this brake; of the book where nothing is.
   */
  readonly windows: (schools: ChosenSchools, looked: Looked, known?: Known) => Windows
  /** The windows narrowed by what is believed and seen together, where one alone would not. `looked` tells only what still stands. */
  readonly narrowed?: (windows: Windows, believed: (reading: string) => number, looked: Looked) => Windows
  readonly setting: (schools: ChosenSchools) => Setting
  /** Torque at the wheel, N·m, at a cable tension, N, with this share of the dry friction. */
  readonly torqueNm: (tensionN: number, frictionShare: number) => number
  /** Share of the whole stop that is asked of this brake alone; all of it if not given. */
  readonly asked?: number
  /** Linkage ratio at contact, where two pads press: cable over both pads’ closing, pad force over tension. */
  readonly contactRatio?: number
  /** Pads that turn about a pivot as they wear; absent where they do not. */
  readonly padArm?: Readonly<Record<Side, PadArm>>
  /** The brake drawn at one moment of a squeeze. Readings it shows may be laid over what is believed. */
  readonly frame: (q: Float64Array, moment: Moment) => Frame
  /** The moving parts as these readings would have them: what a turn will give. */
  readonly ghost: (expected: Readonly<Record<string, number>>) => readonly Shape[]
}
