import type { Fact } from '../../brake/graph.ts'
import type { InWork } from '../../brake/on-stand.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'

/** What is only known by pulling the lever. */
const BY_SQUEEZING: ReadonlySet<Fact> = new Set<Fact>([
  'confirm:squeezes',
  'confirm:hard-squeezes',
  'reading:armStarts',
  'reading:biteTravel',
  'reading:reserve',
  'reading:rotorTouch',
  'reading:padCover',
  'reading:padHung',
])

/** From the rotor’s coming off until the wheel is seated again, or its coming out past the pads until it is back, nothing stands between the pads. */
export const rotorIsOut = ({ confirmed, seen }: InWork): boolean =>
  (confirmed('rotor-off') && !confirmed('wheel-seated')) ||
  (seen('padReach') === 'wheel-out' && confirmed('pads-out') && !confirmed('wheel-back'))

/** From the old pads’ coming out until the new ones are in. */
export const padsAreOut = ({ confirmed }: InWork): boolean => confirmed('pads-out') && !confirmed('pads-in')

/** A fluid caliper is never squeezed with rotor or pads out: what it presses comes out too far, and does not go back. */
export function allowsSqueeze(fact: Fact, at: InWork): Outcome<true> {
  if (at.here.traits.fluid !== 'yes' || !BY_SQUEEZING.has(fact)) return ok(true)
  if (padsAreOut(at))
    return refuse(
      'pads-out',
      'kind',
      'The pads are out: a fluid caliper is not squeezed, its pistons come out too far. If it happened, press them home gently with a flat lever, arm on its stop; where one leaks or stays out, its maker’s workshop. Accepted: once the new pads are in.',
    )
  if (!rotorIsOut(at)) return ok(true)
  return refuse(
    'rotor-out',
    'kind',
    'The rotor is out: a fluid caliper is not squeezed, its pads close and stay closed. If it happened, pry them apart gently with a flat wedge, arm on its stop; if they do not go back, its maker’s workshop. Accepted: once the wheel is seated.',
  )
}
