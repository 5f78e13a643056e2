import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { unitOf } from '../quantity/quantity.ts'
import { readText } from '../quantity/text.ts'
import { findPartKind, PART_KINDS, type PartKindId } from './kinds.ts'

/** A part as it lies in the drawer: what it is, not how many there are. */
export interface PartShape {
  /** The workshop's own short name for it; one part a code. */
  readonly code: string
  readonly kind: PartKindId
  readonly name: string
  readonly dimensions: Readonly<Record<string, number>>
  readonly material: string
  /** Below this many, it should be bought. */
  readonly minimum: number
  /** Of one piece, in the workshop’s own money; none where nobody said. */
  readonly price?: number | null
}

export interface Part extends PartShape {
  readonly id: string
  readonly count: number
}

/** A part put in, taken or returned. */
export interface Move {
  /** Made by the client, so that a retry cannot take twice. */
  readonly id: string
  readonly partId: string
  readonly delta: number
  readonly jobId?: string
  readonly why?: string
  readonly by: string
}

export const MOST_PIECES = 100_000
const MOST_PRICE = 100_000

/** What lies inside something else of the same part: the first is less than the second, or as much where it may go all through. */
const INSIDE = [
  ['holeMm', 'outerMm', false],
  ['threadMm', 'outerMm', false],
  ['threadDepthMm', 'shankMm', true],
] as const

const wholeNumber = (value: number) => Number.isInteger(value) && value >= 0 && value <= MOST_PIECES

/** Letters at most, field by field. */
const LONGEST = { code: 40, name: 120, material: 40 } as const

/** A part whose kind, code and dimensions can be worked with. Refuses the first that cannot, naming what is accepted. */
export function checkPart(part: PartShape): Outcome<PartShape> {
  if (!/^\S{1,40}$/.test(part.code)) {
    return refuse(
      'out-of-range',
      'code',
      `The code “${part.code}” is not one. Accepted: 1 to 40 characters without spaces.`,
    )
  }
  for (const [field, text] of [
    ['code', part.code],
    ['name', part.name],
    ['material', part.material],
  ] as const) {
    const read = readText(text, {
      field,
      what: `The ${field}`,
      most: LONGEST[field],
      ...(field === 'material' && { optional: true }),
    })
    if (!read.ok) return read
  }
  const kind = findPartKind(part.kind)
  if (!kind) {
    return refuse(
      'unknown-kind',
      'kind',
      `There is no kind of part “${part.kind}”. Accepted: ${PART_KINDS.map((each) => each.id).join(', ')}.`,
    )
  }
  for (const id of Object.keys(part.dimensions)) {
    if (!kind.dimensions.some((each) => each.id === id)) {
      const known = kind.dimensions.map((each) => each.id).join(', ') || 'none'
      return refuse('unknown-dimension', id, `${id} is not a dimension of a ${kind.title}. Accepted: ${known}.`)
    }
  }
  for (const { id, title, min, max, unit } of kind.dimensions) {
    const value = part.dimensions[id]
    if (value === undefined) return refuse('missing', id, `${kind.title}: ${title} (${id}) is missing, in ${unit}.`)
    if (!(value >= min && value <= max)) {
      const accepted = `${min} to ${max} ${unitOf(unit).symbol}`.trim()
      return refuse('out-of-range', id, `${kind.title}: ${title} is ${value}. Accepted: ${accepted}.`)
    }
    if (unit === 'count' && !Number.isInteger(value))
      return refuse('out-of-range', id, `${kind.title}: ${title}: ${value}. Accepted: a whole number.`)
  }
  const titleOf = (id: string) => kind.dimensions.find((each) => each.id === id)?.title ?? id
  for (const [inner, outer, mayEqual] of INSIDE) {
    const [within, around] = [part.dimensions[inner], part.dimensions[outer]]
    if (within === undefined || around === undefined || within < around || (mayEqual && within === around)) continue
    const than = mayEqual ? 'no more than' : 'less than'
    return refuse(
      'out-of-range',
      inner,
      `${kind.title}: ${titleOf(inner)} is ${within} mm, ${titleOf(outer)} ${around} mm. Accepted: ${than} ${around} mm.`,
    )
  }
  const { thicknessMm, leastMm } = part.dimensions
  if (thicknessMm !== undefined && leastMm !== undefined && thicknessMm < leastMm) {
    return refuse(
      'out-of-range',
      'thicknessMm',
      `${kind.title}: ${thicknessMm} mm thick, under its own minimum of ${leastMm} mm. Accepted: one that may still run.`,
    )
  }
  if (part.material !== '' && kind.materials && !kind.materials.includes(part.material)) {
    return refuse(
      'not-a-choice',
      'material',
      `A ${kind.title} of “${part.material}”. Accepted: ${kind.materials.join(', ')}.`,
    )
  }
  if (!wholeNumber(part.minimum)) {
    return refuse(
      'out-of-range',
      'minimum',
      `The minimum is ${part.minimum}. Accepted: 0 to ${MOST_PIECES}, a whole number.`,
    )
  }
  const { price = null } = part
  if (price !== null && !(price >= 0 && price <= MOST_PRICE))
    return refuse('out-of-range', 'price', `The price is ${price}. Accepted: 0 to ${MOST_PRICE} a piece, or none.`)
  return ok(part)
}

/** How many are left after a move; never below nothing. */
export function countAfter(part: Pick<Part, 'name' | 'count'>, delta: number): Outcome<number> {
  if (!Number.isInteger(delta) || delta === 0) {
    return refuse('out-of-range', 'delta', `A move of ${delta}. Accepted: a whole number, not 0.`)
  }
  const count = part.count + delta
  if (count < 0) {
    return refuse(
      'not-there',
      'delta',
      `${-delta} × ${part.name} wanted, ${part.count} in the drawer. Nothing was taken.`,
    )
  }
  return count > MOST_PIECES
    ? refuse('out-of-range', 'delta', `That would make ${count} × ${part.name}. Accepted: at most ${MOST_PIECES}.`)
    : ok(count)
}

export const isShort = ({ count, minimum }: Pick<Part, 'count' | 'minimum'>): boolean => count < minimum

/** Dimensions in the words of the bench: “shank 18 mm, thread 14 mm”. */
export function sayDimensions(part: Pick<PartShape, 'kind' | 'dimensions' | 'material'>): string {
  const kind = findPartKind(part.kind)
  const sizes = (kind?.dimensions ?? []).map(({ id, title, unit }) =>
    `${title} ${part.dimensions[id] ?? '?'} ${unitOf(unit).symbol}`.trim(),
  )
  return [...sizes, part.material].filter(Boolean).join(', ')
}
