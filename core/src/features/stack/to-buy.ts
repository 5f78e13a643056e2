import { sitsOnPosts, workLift } from './fits.ts'
import { CLEAR_MM, HUNG_MM } from './limits.ts'
import type { StandsNow } from './measured.ts'

/** Lifts (mm, bracket and spacers together) that clear the body and keep the pads on the track; undefined where none does. */
export function liftsThatFit(now: StandsNow): readonly [number, number] | undefined {
  const still = workLift(now, now.bracketMm + now.spacersMm)
  if (!still.ok) return undefined
  const { topAfterMm, bottomAfterMm, padEdgeAfterMm } = still.value.outputs
  const low = Math.max(
    CLEAR_MM - topAfterMm,
    CLEAR_MM - bottomAfterMm,
    padEdgeAfterMm + now.padHeightMm - now.trackAfterMm - HUNG_MM,
  )
  const high = padEdgeAfterMm + HUNG_MM
  const lift = now.bracketMm + now.spacersMm
  return now.padHeightMm - now.trackAfterMm <= HUNG_MM && low <= high ? [lift + low, lift + high] : undefined
}

const mm = (value: number) => value.toFixed(1)
const between = (low: number, high: number) => `${mm(Math.max(0, low))} to ${mm(high)} mm`

/** What would do where the drawer has no stack, in words a parts list can be written from. */
export function toBuy(now: StandsNow): readonly string[] {
  const fits = liftsThatFit(now)
  if (!fits)
    return [
      'No stack does: where the body clears this rotor, its pads no longer lie on the track. Rotor, pads or caliper are of another kind: change one of them.',
    ]
  const [low, high] = fits
  if (high < 0)
    return [
      `The caliper would have to stand ${mm(-high)} mm nearer the axle than its mount lets it: this mount takes a larger rotor.`,
    ]
  const posts = sitsOnPosts(now)
  const under = low - now.bracketMm
  return [
    ...(posts && low <= 0 ? ['The caliper straight on its mount, with bolts that hold there.'] : []),
    ...(high - now.bracketMm > 0 && (posts || now.bracketMm > 0)
      ? [
          `Spacers for M6 bolts, two alike, ${between(under, high - now.bracketMm)} under ${now.bracketMm > 0 ? 'the caliper on the bracket that is on it' : 'the caliper'}.`,
        ]
      : []),
    `A bracket whose own bolts are ${now.spacingMm.toFixed(0)} mm apart and that rises ${between(low, high)}.`,
  ]
}
