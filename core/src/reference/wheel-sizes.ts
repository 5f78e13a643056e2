import { type Outcome, ok, refuse } from '../outcome/outcome.ts'

/** Bead seat diameters in mm, ISO 5775-1, largest first. */
export const BEAD_SEATS_MM: readonly number[] = [
  635, 630, 622, 597, 590, 584, 571, 559, 547, 540, 520, 507, 451, 406, 355, 349, 305,
]

/** A bead seat diameter that exists; refuses any other, offering the nearest. */
export function checkBeadSeat(value: number, field: string): Outcome<number> {
  if (BEAD_SEATS_MM.includes(value)) return ok(value)
  const nearest = BEAD_SEATS_MM.reduce((best, each) => (Math.abs(each - value) < Math.abs(best - value) ? each : best))
  return refuse(
    'unknown-bead-seat',
    field,
    `${value} mm is not a bead seat diameter of ISO 5775-1. Nearest: ${nearest} mm. It is printed on the tyre, after the width.`,
  )
}
