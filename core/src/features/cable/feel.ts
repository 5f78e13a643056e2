import type { Dimensions } from '../../brake/dimension.ts'
import type { Worked } from '../../calculation/calculation.ts'
import { leverWeight } from '../../calculations/lever-weight.ts'
import { type Outcome, ok } from '../../outcome/outcome.ts'

/** Heavier than this a lever is heavy; coming back with less, friction nearly holds the pads on. Our choice. */
export const HEAVY_N = 20
export const HELD_N = 1

/** What to do about an inner that does not run smoothly, by its housing (handbook, common practice); undefined where it does. */
export function cableFeel(feel: string, lined: string): string | undefined {
  if (feel === 'smooth') return undefined
  if (lined === 'lined')
    return 'Replace inner and housing: lined, coated cables are replaced, not oiled (common practice).'
  return feel === 'stuck'
    ? 'Replace inner and housing: rust holds it.'
    : 'A few drops of light PTFE oil down the housing: a stop-gap (common practice). Then draw it to and fro again.'
}

/** What a spring scale on the blade tells of springs and cable. */
export interface LeverWeight {
  readonly springN: number
  readonly efficiency: number
  readonly say: string
  readonly remedy?: string
  readonly worked: readonly Worked[]
}

/** Below this the cable, not the springs, makes a lever heavy or holds its pads: what gritty housing gives over a usual run. Our choice. */
const FREE_EFFICIENCY = 0.55

/** Lever weight both ways, judged by the windows of its readings. Refuses a blade that comes back harder than it goes. */
export function leverWeightOf(pullN: number, backN: number, d: Dimensions): Outcome<LeverWeight> {
  const worked = leverWeight.work({
    pullN,
    backN,
    leverCableArmMm: d.leverCableArmMm,
    leverFingerArmMm: d.leverFingerArmMm,
  })
  if (!worked.ok) return worked
  const { springN, efficiency } = worked.value.outputs
  const heavy = pullN > HEAVY_N
  const held = backN < HELD_N
  const rough = efficiency < FREE_EFFICIENCY
  const say = `Springs pull ${springN.toFixed(0)} N at the brake; ${Math.round(100 * efficiency)} % of a pull comes through the cable.`
  const remedy =
    !heavy && !held
      ? undefined
      : rough
        ? 'It is friction, not the springs: look at housing, bends and pivots.'
        : heavy
          ? 'It is the springs: both screws far in, or the pins in the upper holes. Let both sides out alike.'
          : 'The springs are too weak: strengthen both sides alike.'
  return ok({ springN, efficiency, say, ...(remedy && { remedy }), worked: [worked.value] })
}
