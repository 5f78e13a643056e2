import type { Dimensions } from '../../brake/dimension.ts'
import type { PadArm } from '../../brake/model.ts'
import type { Worked } from '../../calculation/calculation.ts'
import { linearPull } from '../../calculations/linear-pull.ts'
import { padArc, padDrift, padHeight, padSpace } from '../../calculations/pads.ts'
import { type Outcome, ok } from '../../outcome/outcome.ts'

/** Compound below which a pad is replaced (common practice). */
export const WORN_MM = 1.5
/** Left and right further apart than this are told. Our choice: what a caliper on a worn pad tells for certain. */
export const UNEVEN_MM = 0.7

/** How unevenly worn pads are read, or undefined where they are even enough. */
export function unevenWear(leftMm: number, rightMm: number): string | undefined {
  if (Math.abs(leftMm - rightMm) < UNEVEN_MM - 1e-9) return undefined
  const thin = leftMm < rightMm ? 'left' : 'right'
  return `The ${thin} pad is ${Math.abs(leftMm - rightMm).toFixed(1)} mm thinner: it has done more than its share. Look at centring, and whether that pad comes back.`
}

/** The pad’s path from new to worn out. */
export interface Drift {
  /** Height of the pad face against now, at each amount worn off. */
  readonly path: readonly { readonly wornMm: number; readonly riseMm: number }[]
  readonly riseMm: number
  readonly edgeBestMm: number
  readonly edgeLeastMm: number
  readonly edgeMostMm: number
  readonly staysOn: boolean
  readonly trackMm: number
  readonly padMm: number
  readonly arcMm: number
  /** Which pad this is: `the pad` where both go the same way. */
  readonly name: string
  readonly say: string
  readonly worked: readonly Worked[]
}

/** A pad laid on its track: heights, and the length of one that does not bend with the track, with the track’s radius. */
export interface PadOnTrack {
  readonly trackMm: number
  readonly padMm: number
  readonly straight?: { readonly lengthMm: number; readonly radiusMm: number }
}

const STEPS = 24

const mm = (value: number) => `${Math.abs(value).toFixed(1)} mm`

/**
 * Which way the pad drifts over its life on this brake, and where its upper edge must stand at the start so that it stays
 * on the track longest. Refuses a pad taller than the track, and one that can no longer reach the rim.
 */
export function driftOf(
  arm: PadArm,
  usableMm: number,
  { trackMm, padMm, straight }: PadOnTrack,
  name = 'the pad',
): Outcome<Drift> {
  const whole = padDrift.work({ padInMm: arm.inMm, padUpMm: arm.upMm, wornMm: usableMm })
  if (!whole.ok) return whole
  const { riseMm } = whole.value.outputs
  const arc = straight && padArc.work({ padLengthMm: straight.lengthMm, trackRadiusMm: straight.radiusMm })
  if (arc && !arc.ok) return arc
  const arcMm = arc?.value.outputs.arcMm ?? 0
  const height = padHeight.work({ trackMm, padMm, riseMm, arcMm })
  if (!height.ok) return height
  const path = Array.from({ length: STEPS + 1 }, (_, index) => {
    const wornMm = (usableMm * index) / STEPS
    const at = padDrift.run({ padInMm: arm.inMm, padUpMm: arm.upMm, wornMm })
    return { wornMm, riseMm: at.ok ? at.value.riseMm : riseMm }
  })
  const { edgeBestMm, edgeLeastMm, edgeMostMm, staysOn } = height.value.outputs
  const way = riseMm < -0.05 ? `sinks ${mm(riseMm)}` : riseMm > 0.05 ? `climbs ${mm(riseMm)}` : 'keeps its height'
  return ok({
    path,
    riseMm,
    edgeBestMm,
    edgeLeastMm,
    edgeMostMm,
    staysOn,
    trackMm,
    padMm,
    arcMm,
    name,
    say: staysOn
      ? `Over ${mm(usableMm)} of wear ${name} ${way}: its upper edge stays on the track if it starts ${mm(edgeLeastMm)} to ${mm(edgeMostMm)} below the track’s upper edge, best at ${mm(edgeBestMm)}.`
      : `Over ${mm(usableMm)} of wear ${name} ${way}, more than the track has room for: begin ${mm(edgeLeastMm)} below its upper edge and look again when half is worn.`,
    worked: [whole.value, ...(arc ? [arc.value] : []), height.value],
  })
}

export type Side = 'left' | 'right'

/** The path of one pad, or of both where they are as good as one. */
export interface PadPath {
  readonly sides: readonly Side[]
  readonly drift: Drift
}

/** Drifts nearer to one another than this are told as one: a rule on a pad reads no closer. Our choice. */
const ALIKE_MM = 0.3

/** The path of each pad over its life. The two pads of a dual-pivot swing about different pivots and part ways. */
export function padPaths(
  arms: Readonly<Record<Side, PadArm>>,
  usableMm: number,
  pad: PadOnTrack,
): Outcome<readonly PadPath[]> {
  const left = driftOf(arms.left, usableMm, pad, 'the left pad')
  if (!left.ok) return left
  const right = driftOf(arms.right, usableMm, pad, 'the right pad')
  if (!right.ok) return right
  if (Math.abs(left.value.riseMm - right.value.riseMm) > ALIKE_MM)
    return ok([
      { sides: ['left'], drift: left.value },
      { sides: ['right'], drift: right.value },
    ])
  const both = driftOf(arms.left, usableMm, pad)
  return both.ok ? ok([{ sides: ['left', 'right'], drift: both.value }]) : both
}

/** What gap the arm can give a pad. Refuses one thicker than the room between arm and rim. */
export function padRoom(padDeepMm: number, armSpaceMm: number): Outcome<Worked> {
  return padSpace.work({ padDeepMm, armSpaceMm })
}

/** Where the upper edge of the pad should start by a height school, within what its drift allows. */
export interface StartHeight {
  readonly lowMm: number
  readonly highMm: number
  /** The school’s own height would leave the track before the pad is worn out. */
  readonly bent: boolean
}

const MIDDLE_HALF_MM = 0.5

/** By school: the whole range of the drift; 1 to 2 mm below the track’s upper edge; the middle of the track (common practice). */
export function startHeight(drift: Drift, school: string): StartHeight {
  const least = drift.edgeLeastMm
  const most = Math.max(least, drift.edgeMostMm)
  const middle = (drift.trackMm - drift.padMm) / 2
  const [low, high] =
    school === 'top-edge'
      ? [1, 2]
      : school === 'middle'
        ? [middle - MIDDLE_HALF_MM, middle + MIDDLE_HALF_MM]
        : [least, most]
  if (high < least) return { lowMm: least, highMm: least, bent: true }
  if (low > most) return { lowMm: most, highMm: most, bent: true }
  return { lowMm: Math.max(low, least), highMm: Math.min(high, most), bent: false }
}

/** When a pad set at this height will leave its track: worn by this much, over which edge. Undefined where it never does. */
export function leavesTrack(
  { path, trackMm, padMm, arcMm }: Drift,
  edgeMm: number,
): { readonly wornMm: number; readonly over: 'tyre' | 'edge' } | undefined {
  const least = arcMm
  const most = trackMm - padMm
  for (const [index, { wornMm, riseMm }] of path.entries()) {
    const edge = edgeMm - riseMm
    const limit = edge < least ? least : edge > most ? most : undefined
    if (limit === undefined) continue
    const over = edge < least ? 'tyre' : 'edge'
    const before = path[index - 1]
    if (!before) return { wornMm: 0, over }
    const from = edgeMm - before.riseMm
    return { wornMm: before.wornMm + ((wornMm - before.wornMm) * (limit - from)) / (edge - from), over }
  }
  return undefined
}

/** One way of laying the washers of a threaded post: the pair between shoe and arm, and how the arms then stand. */
export interface WasherStack {
  readonly inside: 'thin' | 'thick'
  readonly standoffMm: number
  /** Arms from parallel when the brake is on, degrees; outward at the top is positive. */
  readonly leanDeg: number
}

/**
 * Both arrangements of the washer pairs of a linear-pull shoe on one rim, the one with the arms nearer parallel first.
 * A wide rim wants the thin pair inside (handbook, common practice).
 */
export function washerStacks(
  d: Dimensions,
  now: 'thin' | 'thick',
  stepMm: number,
  rimWidthMm = d.rimWidthMm as number,
): Outcome<readonly WasherStack[]> {
  const standoff = d.padStandoffMm as number
  const stacks: WasherStack[] = []
  for (const inside of ['thin', 'thick'] as const) {
    const standoffMm = standoff + (inside === now ? 0 : inside === 'thick' ? stepMm : -stepMm)
    const worked = linearPull.work({
      pivotSpacingMm: d.pivotSpacingMm,
      armMm: d.armMm,
      padHeightMm: d.padHeightMm,
      padStandoffMm: standoffMm,
      rimWidthMm,
      gapLeftMm: 0,
      gapRightMm: 0,
    })
    if (!worked.ok) return worked
    stacks.push({ inside, standoffMm, leanDeg: worked.value.outputs.armLeftDeg })
  }
  return ok(stacks.sort((a, b) => Math.abs(a.leanDeg) - Math.abs(b.leanDeg)))
}

/** The lean of the arms over rim widths, for either pair inside. */
export interface LeanCurve {
  readonly inside: WasherStack['inside']
  readonly points: readonly { readonly rimWidthMm: number; readonly leanDeg: number }[]
}

const NARROWEST_RIM_MM = 15
const WIDEST_RIM_MM = 40

/** Both arrangements from a narrow rim to a wide one: what changing the wheel does to the arms. */
export function leanOverRims(d: Dimensions, now: 'thin' | 'thick', stepMm: number): readonly LeanCurve[] {
  const stacksAt = new Map<number, readonly WasherStack[]>()
  for (let rimWidthMm = NARROWEST_RIM_MM; rimWidthMm <= WIDEST_RIM_MM; rimWidthMm += 1) {
    const stacks = washerStacks(d, now, stepMm, rimWidthMm)
    if (stacks.ok) stacksAt.set(rimWidthMm, stacks.value)
  }
  return (['thin', 'thick'] as const).map((inside) => ({
    inside,
    points: [...stacksAt].flatMap(([rimWidthMm, stacks]) => {
      const stack = stacks.find((each) => each.inside === inside)
      return stack ? [{ rimWidthMm, leanDeg: stack.leanDeg }] : []
    }),
  }))
}
