import type { Dimensions, End, Family, FamilyModel } from '../families/family.ts'
import { bookDimensions, findFamily, hereAt } from '../families/registry.ts'
import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { checkBeadSeat } from '../reference/wheel-sizes.ts'

export type { End } from '../families/family.ts'

/** A dimension as it is known on this bicycle. */
export interface Dimension {
  readonly value: number
  readonly provenance: 'measured' | 'maker'
  readonly instrument?: string
}

/** What hangs on the bicycle: the family and what was measured of it. Book figures fill the rest. */
export interface Hardware {
  readonly family: string
  readonly end: End
  readonly dimensions: Readonly<Record<string, Dimension>>
  /** What was seen of it that is no number, such as the side its cable comes to; usual where it is not given. */
  readonly traits?: Readonly<Record<string, string>>
  /** Seed of the simulated brake that stands in for a real one on the practice stand. */
  readonly practiceSeed?: number
}

export const measuredDimensions = (hardware: Hardware): Dimensions =>
  Object.fromEntries(Object.entries(hardware.dimensions).map(([id, each]) => [id, each.value]))

/** Refuses an unknown family, an unknown dimension, one outside its range, and a geometry that cannot brake. */
export function checkHardware(hardware: Hardware): Outcome<{ family: Family; model: FamilyModel }> {
  const family = findFamily(hardware.family)
  if (!family.ok) return family
  for (const [id, { value }] of Object.entries(hardware.dimensions)) {
    const spec = family.value.dimensions.find((each) => each.id === id)
    const field = `dimensions.${id}`
    if (!spec) {
      const known = family.value.dimensions.map((each) => each.id).join(', ')
      return refuse(
        'unknown-dimension',
        field,
        `${id} is not a dimension of a ${family.value.title} brake. Accepted: ${known}.`,
      )
    }
    if (!(value >= spec.min && value <= spec.max)) {
      return refuse(
        'out-of-range',
        field,
        `${spec.title} is ${value}. Accepted: ${spec.min} to ${spec.max} ${spec.unit}.`,
      )
    }
  }
  for (const [id, value] of Object.entries(hardware.traits ?? {})) {
    const spec = family.value.traits.find((each) => each.id === id)
    if (!spec?.options.includes(value)) {
      return refuse(
        'unknown-trait',
        `traits.${id}`,
        spec
          ? `${spec.title} is “${value}”. Accepted: ${spec.options.join(', ')}.`
          : `A ${family.value.title} brake has no “${id}”. Accepted: ${family.value.traits.map((each) => each.id).join(', ') || 'none'}.`,
      )
    }
  }
  const bead = hardware.dimensions.beadSeatMm
  const known = bead ? checkBeadSeat(bead.value, 'dimensions.beadSeatMm') : ok(0)
  if (!known.ok) return known
  const model = family.value.fit(
    bookDimensions(family.value, measuredDimensions(hardware), hardware.end),
    hereAt(family.value, hardware.end, hardware.traits),
  )
  return model.ok ? ok({ family: family.value, model: model.value }) : model
}
