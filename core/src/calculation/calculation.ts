import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import type { Source } from './source.ts'

export type Point = readonly [number, number]

interface Described {
  readonly unit: string
  readonly meaning: string
}
export interface NumberInput extends Described {
  readonly type: 'number'
  readonly min?: number
  readonly max?: number
  /** The value must be larger than `min`, not equal to it. */
  readonly aboveMin?: boolean
  readonly optional?: boolean
  readonly default?: number
}
export interface PointInput extends Described {
  readonly type: 'point'
}
export interface ListInput extends Described {
  readonly type: 'list'
  readonly min?: number
  readonly max?: number
}
export interface ChoiceInput extends Described {
  readonly type: 'choice'
  readonly choices: readonly string[]
  readonly default: string
}
export type InputSpec = NumberInput | PointInput | ListInput | ChoiceInput

export interface OutputSpec extends Described {
  readonly type: 'number' | 'boolean' | 'list'
  /** May be null: the thing never happens. */
  readonly nullable?: boolean
}

type ValueOf<S> = S extends { type: 'number' }
  ? S extends { optional: true }
    ? number | undefined
    : number
  : S extends { type: 'point' }
    ? Point
    : S extends { type: 'list' }
      ? readonly number[]
      : string
type OutputOf<S> = S extends { type: 'boolean' }
  ? boolean
  : S extends { type: 'list' }
    ? readonly number[]
    : S extends { nullable: true }
      ? number | null
      : number

export type InputsOf<S> = { readonly [K in keyof S]: ValueOf<S[K]> }
export type OutputsOf<S> = { readonly [K in keyof S]: OutputOf<S[K]> }

/** One line of working: the formula, and the same with the numbers put in. */
export interface WorkedLine {
  readonly formula: string
  readonly numbers: string
}

type Inputs = Readonly<Record<string, InputSpec>>
type Outputs = Readonly<Record<string, OutputSpec>>

export interface CalculationSpec<I extends Inputs, O extends Outputs> {
  /** Stable for good: part of the product's interface. */
  readonly id: string
  readonly title: string
  readonly summary: string
  readonly inputs: I
  readonly outputs: O
  readonly sources: readonly Source[]
  /** An input set that shows what the calculation is for. */
  readonly example: Readonly<Record<string, unknown>>
  readonly run: (inputs: InputsOf<I>) => Outcome<OutputsOf<O>>
  readonly working: (inputs: InputsOf<I>, outputs: OutputsOf<O>) => readonly WorkedLine[]
}

export interface Worked<I = Record<string, unknown>, O = Record<string, unknown>> {
  readonly id: string
  readonly title: string
  readonly inputs: I
  readonly outputs: O
  readonly working: readonly WorkedLine[]
  readonly sources: readonly Source[]
}

export interface Calculation<I extends Inputs = Inputs, O extends Outputs = Outputs>
  extends Omit<CalculationSpec<I, O>, 'run' | 'working'> {
  /** Outputs from trusted inputs. */
  readonly run: (inputs: InputsOf<I>) => Outcome<OutputsOf<O>>
  /** Outputs, worked lines and sources from anything a person or a program sends. */
  readonly work: (raw: unknown) => Outcome<Worked<InputsOf<I>, OutputsOf<O>>>
}

/** Any calculation, seen from outside its own types. */
export interface AnyCalculation extends Omit<CalculationSpec<Inputs, Outputs>, 'run' | 'working'> {
  readonly work: (raw: unknown) => Outcome<Worked>
}

const range = ({ min, max, aboveMin, unit }: NumberInput | (ListInput & { aboveMin?: boolean })): string => {
  const low = min === undefined ? undefined : `${aboveMin ? 'above' : 'at least'} ${min}`
  const high = max === undefined ? undefined : `at most ${max}`
  return [low, high].filter(Boolean).join(' and ') + (unit && (low || high) ? ` ${unit}` : '')
}

function checkNumber(name: string, spec: NumberInput | ListInput, value: unknown): Outcome<number> {
  if (typeof value !== 'number' || !Number.isFinite(value)) {
    return refuse(
      'not-a-number',
      name,
      `${name} is ${JSON.stringify(value)}. Accepted: a number${range(spec) && `, ${range(spec)}`}.`,
    )
  }
  const { min = Number.NEGATIVE_INFINITY, max = Number.POSITIVE_INFINITY } = spec
  const aboveMin = spec.type === 'number' && spec.aboveMin === true
  const tooLow = aboveMin ? value <= min : value < min
  if (tooLow || value > max) return refuse('out-of-range', name, `${name} is ${value}. Accepted: ${range(spec)}.`)
  return ok(value)
}

function checkInput(name: string, spec: InputSpec, value: unknown): Outcome<unknown> {
  if (spec.type === 'choice') {
    const chosen = value ?? spec.default
    return spec.choices.includes(chosen as string)
      ? ok(chosen)
      : refuse('not-a-choice', name, `${name} is ${JSON.stringify(value)}. Accepted: ${spec.choices.join(', ')}.`)
  }
  if (spec.type === 'number' && value === undefined) {
    if (spec.default !== undefined) return ok(spec.default)
    if (spec.optional) return ok(undefined)
  }
  if (value === undefined)
    return refuse('missing', name, `${name} is missing: ${spec.meaning}${spec.unit && `, in ${spec.unit}`}.`)
  if (spec.type === 'number') return checkNumber(name, spec, value)
  if (!Array.isArray(value))
    return refuse(
      'not-a-list',
      name,
      `${name} is ${JSON.stringify(value)}. Accepted: a list of numbers in ${spec.unit}.`,
    )
  if (spec.type === 'point' && (value.length !== 2 || !value.every((each) => Number.isFinite(each)))) {
    return refuse('not-a-point', name, `${name} is ${JSON.stringify(value)}. Accepted: [x, y] in ${spec.unit}.`)
  }
  if (spec.type === 'list') {
    for (const each of value) {
      const checked = checkNumber(name, spec, each)
      if (!checked.ok) return checked
    }
  }
  return ok(value)
}

/** Every input checked against its declaration; names nobody declared are refused rather than ignored. */
export function checkInputs<I extends Inputs>(specs: I, raw: unknown): Outcome<InputsOf<I>> {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) {
    return refuse(
      'not-an-object',
      'inputs',
      `Inputs are ${JSON.stringify(raw)}. Accepted: an object with ${Object.keys(specs).join(', ')}.`,
    )
  }
  const given = raw as Record<string, unknown>
  const unknown = Object.keys(given).find((name) => !(name in specs))
  if (unknown)
    return refuse(
      'unknown-input',
      unknown,
      `${unknown} is not an input here. Accepted: ${Object.keys(specs).join(', ')}.`,
    )
  const checked: Record<string, unknown> = {}
  for (const [name, spec] of Object.entries(specs)) {
    const result = checkInput(name, spec, given[name])
    if (!result.ok) return result
    if (result.value !== undefined) checked[name] = result.value
  }
  return ok(checked as InputsOf<I>)
}

/** Whether every number in a value is one: Infinity and NaN are no results. */
function comesOut(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value)
  return !Array.isArray(value) || value.every(comesOut)
}

/**
 * A calculation is a value: what goes in, what comes out, where it comes from and how it is worked.
 * The screens, the command line, HTTP and the reference page all use this one declaration.
 */
export function defineCalculation<const I extends Inputs, const O extends Outputs>(
  spec: CalculationSpec<I, O>,
): Calculation<I, O> {
  return {
    ...spec,
    work(raw) {
      const inputs = checkInputs(spec.inputs, raw)
      if (!inputs.ok) return inputs
      const outputs = spec.run(inputs.value)
      if (!outputs.ok) return outputs
      const wild = Object.entries(outputs.value).find(([, value]) => !comesOut(value))
      if (wild) {
        return refuse(
          'not-finite',
          wild[0],
          `${wild[0]} comes to no finite number from these inputs. Accepted: figures a brake could have.`,
        )
      }
      return ok({
        id: spec.id,
        title: spec.title,
        inputs: inputs.value,
        outputs: outputs.value,
        working: spec.working(inputs.value, outputs.value),
        sources: spec.sources,
      })
    },
  }
}

/** A number as it stands in worked lines: four significant figures, no trailing noise. */
export const figure = (value: number): string => {
  if (value === 0) return '0'
  const rounded = Number(value.toPrecision(4))
  return String(rounded).replace('-', '−')
}
