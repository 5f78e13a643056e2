import type { Source } from '../calculation/source.ts'
import { type Outcome, ok, refuse } from '../outcome/outcome.ts'

/** One way of doing a thing that mechanics do in several ways; one with an amount says how much in its own words. */
export interface SchoolOption {
  readonly id: string
  readonly title: string
  readonly says?: string
  readonly source: Source
  readonly amount?: { readonly unit: 'mm' | ''; readonly usual: number; readonly min: number; readonly max: number }
}

/** A thing done in several ways; the first is the usual one. Ids are words of the tape and stand in the log. */
export interface SchoolSpec {
  readonly id: string
  readonly title: string
  readonly options: readonly SchoolOption[]
}

/** The school a job goes by. */
export interface ChosenSchool {
  readonly option: string
  readonly amount?: number
}

export type ChosenSchools = Readonly<Record<string, ChosenSchool>>

export const partOf = ({ id }: Pick<SchoolSpec, 'id'>): string => `school.${id}`

/** A school at its usual figure. */
export const usualOf = ({ id, amount }: SchoolOption): ChosenSchool => ({
  option: id,
  ...(amount && { amount: amount.usual }),
})

/** What a job goes by until it says otherwise. */
export const usualSchools = (schools: readonly SchoolSpec[]): ChosenSchools =>
  Object.fromEntries(schools.flatMap(({ id, options }) => (options[0] ? [[id, usualOf(options[0])]] : [])))

/** As a hand writes a number: no exponents, no other bases. */
const PLAIN = /^\d+(\.\d+)?$/

/** Reads a school as the log keeps it: `third`, `give-back 4`, `top-edge`. Refuses one there is not, and an amount out of range. */
export function readSchool(spec: SchoolSpec, text: string): Outcome<ChosenSchool> {
  const [id = '', amount, ...rest] = text.trim().split(/\s+/)
  const option = spec.options.find((each) => each.id === id)
  if (!option || rest.length > 0 || (amount !== undefined && !option.amount)) {
    return refuse(
      'unknown-school',
      'to',
      `There is no ${spec.title} school “${text.trim()}”. Accepted: ${spec.options.map((each) => each.id).join(', ')}.`,
    )
  }
  if (!option.amount) return ok({ option: id })
  const { usual, min, max, unit } = option.amount
  const value = amount === undefined ? usual : PLAIN.test(amount) ? Number(amount) : Number.NaN
  return value >= min && value <= max
    ? ok({ option: id, amount: value })
    : refuse('out-of-range', 'to', `${option.title} ${amount}: accepted ${min} to ${max} ${unit}.`)
}

export const writeSchool = ({ option, amount }: ChosenSchool): string =>
  amount === undefined ? option : `${option} ${Number(amount.toFixed(3))}`
