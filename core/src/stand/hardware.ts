import { bookDimensions, type Dimensions, type End, hereAt } from '../brake/dimension.ts'
import type { Family } from '../brake/family.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { Span } from '../brake/reading.ts'
import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { checkBeadSeat } from '../reference/wheel-sizes.ts'

/** A dimension as it is known on this bicycle. */
export interface Dimension {
  readonly value: number
  readonly provenance: 'measured' | 'maker'
  readonly instrument?: string
  /** When it was measured, ISO 8601, and by whom; missing where it was told with the brake. */
  readonly since?: string
  readonly by?: string
  /** The figure it was measured over; the book’s where there was none. */
  readonly before?: Dimension
}

/** What hangs on the bicycle: the family and what was measured of it. Book figures fill the rest. */
export interface Hardware {
  readonly family: string
  readonly end: End
  readonly dimensions: Readonly<Record<string, Dimension>>
  /** What was seen of it that is no number, such as the side its cable comes to; usual where it is not given. */
  readonly traits?: Readonly<Record<string, string>>
  /** The makers’ figures of its fasteners, N·m, as they were told in a job. */
  readonly figures?: Readonly<Record<string, Span>>
  /** Seed of the simulated brake that stands in for a real one on the practice stand. */
  readonly practiceSeed?: number
}

export const measuredDimensions = (hardware: Hardware): Dimensions =>
  Object.fromEntries(Object.entries(hardware.dimensions).map(([id, each]) => [id, each.value]))

/** The model of what hangs there. Refuses an unknown dimension or trait, one outside its range, and a geometry that cannot brake. */
export function fitHardware(family: Family, hardware: Hardware): Outcome<BrakeModel> {
  for (const [id, { value }] of Object.entries(hardware.dimensions)) {
    const spec = family.dimensions.find((each) => each.id === id)
    const field = `dimensions.${id}`
    if (!spec) {
      const known = family.dimensions.map((each) => each.id).join(', ')
      return refuse(
        'unknown-dimension',
        field,
        `${id} is not a dimension of a ${family.title} brake. Accepted: ${known}.`,
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
    const spec = family.traits.find((each) => each.id === id)
    if (!spec?.options.some((each) => each.id === value)) {
      return refuse(
        'unknown-trait',
        `traits.${id}`,
        spec
          ? `${spec.title} “${value}”. Accepted: ${spec.options.map((each) => each.id).join(', ')}.`
          : `A ${family.title} brake has no “${id}”. Accepted: ${family.traits.map((each) => each.id).join(', ') || 'none'}.`,
      )
    }
  }
  const bead = hardware.dimensions.beadSeatMm
  const known = bead ? checkBeadSeat(bead.value, 'dimensions.beadSeatMm') : ok(0)
  if (!known.ok) return known
  return family.fit(
    bookDimensions(family, measuredDimensions(hardware), hardware.end),
    hereAt(family, hardware.end, hardware.traits),
  )
}
