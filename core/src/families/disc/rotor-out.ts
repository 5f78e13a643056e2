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

/** From the rotor’s coming off until the wheel is seated again, nothing stands between the pads. */
export const rotorIsOut = ({ confirmed }: InWork): boolean => confirmed('rotor-off') && !confirmed('wheel-seated')

/** A fluid caliper is never squeezed with the rotor out: its pads close and do not come back by themselves. */
export function allowsSqueeze(fact: Fact, at: InWork): Outcome<true> {
  if (at.here.traits.fluid !== 'yes' || !BY_SQUEEZING.has(fact) || !rotorIsOut(at)) return ok(true)
  return refuse(
    'rotor-out',
    'kind',
    'The rotor is out: a fluid caliper is not squeezed, its pads close and stay closed. If it happened, pry them apart gently with a flat wedge, arm on its stop; if they do not go back, its maker’s workshop. Accepted: once the wheel is seated.',
  )
}
