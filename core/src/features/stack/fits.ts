import type { Worked } from '../../calculation/calculation.ts'
import { boltHold, caliperStack } from '../../calculations/caliper-stack.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { BOLT_MM, CLEAR_MM, COVER_MM, engagementIn, HUNG_MM, POSTS_MM, SPACING_NEAR_MM } from './limits.ts'
import type { StandsNow } from './measured.ts'
import { isBracketed } from './ways.ts'

/** What lies between mount and caliper, in figures alone: enough to judge it again without the drawer. */
export interface StackFigures {
  readonly bracketMm: number
  readonly spacersMm: number
  readonly caliperBoltMm: number
  /** Thread the caliper’s bolts go into, mm, and the thread wanted over their diameter. */
  readonly caliperThreadMm: number
  readonly caliperFactor: number
  /** Only where a bracket is bolted to the frame anew. */
  readonly bracketBoltMm?: number
  readonly bracketFootMm?: number
}

/** How body and pads come to lie, mm. */
export interface Lies {
  readonly topMm: number
  readonly bottomMm: number
  readonly padEdgeMm: number
  readonly coverMm: number
  readonly hungMm: number
}

export interface Stacked {
  readonly lies: Lies
  readonly worked: readonly Worked[]
}

export const workLift = (now: StandsNow, liftMm: number) =>
  caliperStack.work({
    rotorBeforeMm: now.rotorBeforeMm,
    rotorAfterMm: now.rotorAfterMm,
    liftBeforeMm: now.bracketMm + now.spacersMm,
    liftAfterMm: liftMm,
    topMm: now.topMm,
    bottomMm: now.bottomMm,
    padEdgeMm: now.padEdgeMm,
    padHeightMm: now.padHeightMm,
    trackBeforeMm: now.trackBeforeMm,
    trackAfterMm: now.trackAfterMm,
  })

/** A pad lower than what is asked of the track lies on it whole. */
export const coverWanted = ({ padHeightMm }: StandsNow): number => Math.min(COVER_MM, padHeightMm - HUNG_MM)

/** The mount’s bolts point at the caliper and are as far apart as its own. */
export const sitsOnPosts = ({ spacingMm }: Pick<StandsNow, 'spacingMm'>): boolean =>
  Math.abs(spacingMm - POSTS_MM) <= SPACING_NEAR_MM

const mm = (value: number) => `${value.toFixed(1)} mm`

/** Whether a lift puts the pads on the track and keeps the body clear. Refuses with what is wrong and by how much. */
export function laid(now: StandsNow, liftMm: number): Outcome<Stacked> {
  const worked = workLift(now, liftMm)
  if (!worked.ok) return worked
  const { topAfterMm, bottomAfterMm, padEdgeAfterMm, coverMm, hungMm } = worked.value.outputs
  const touches = (where: string, clear: number) =>
    refuse(
      'no-stack',
      'to',
      `The body would stand ${mm(clear)} clear ${where} the rotor. Accepted: at least ${CLEAR_MM} mm; the caliper must go further out.`,
    )
  if (topAfterMm < CLEAR_MM) return touches('above', topAfterMm)
  if (bottomAfterMm < CLEAR_MM) return touches('below', bottomAfterMm)
  if (hungMm > HUNG_MM || coverMm < coverWanted(now))
    return refuse(
      'no-stack',
      'to',
      `Only ${mm(coverMm)} of the pad’s ${mm(now.padHeightMm)} would lie on the track. Accepted: at most ${HUNG_MM} mm past it.`,
    )
  return ok({
    lies: { topMm: topAfterMm, bottomMm: bottomAfterMm, padEdgeMm: padEdgeAfterMm, coverMm, hungMm },
    worked: [worked.value],
  })
}

/** Whether a bolt holds by enough thread and does not bottom. Refuses in figures. */
export function held(
  which: string,
  bolt: { readonly underHeadMm: number; readonly clampedMm: number; readonly threadDepthMm: number },
  factor: number,
): Outcome<Worked> {
  const worked = boltHold.work({ ...bolt, diameterMm: BOLT_MM, engagementFactor: factor })
  if (!worked.ok) return worked
  const { engagementMm, wantedMm, bottoms, fits } = worked.value.outputs
  if (fits) return ok(worked.value)
  return refuse(
    bottoms ? 'bolt-bottoms' : 'bolt-short',
    'to',
    bottoms
      ? `The ${which} of ${mm(bolt.underHeadMm)} would bottom in its thread before it clamps. Accepted: at most ${mm(bolt.clampedMm + bolt.threadDepthMm)}.`
      : `The ${which} of ${mm(bolt.underHeadMm)} would hold by ${mm(engagementMm)} of thread. Accepted: at least ${mm(wantedMm)}.`,
  )
}

/** The thread the caliper’s bolts go into: the mount’s, that of the bracket on it, or of one that comes anew. */
function seatOf(now: StandsNow, stack: StackFigures): { readonly threadDepthMm: number; readonly factor: number } {
  if (!isBracketed(stack)) return { threadDepthMm: now.frameThreadMm, factor: engagementIn(now.frameMetal) }
  return stack.bracketBoltMm === undefined
    ? { threadDepthMm: now.bracketThreadMm ?? 0, factor: engagementIn(undefined) }
    : { threadDepthMm: stack.caliperThreadMm, factor: stack.caliperFactor }
}

/** A bracket is the one that is on it when it rises by as much, mm. */
const SAME_MM = 0.3

/** Whether the figures are those of a stack there can be: nothing below 0, and a bracket that comes anew has bolts and a foot. */
function isWhole(now: StandsNow, stack: StackFigures): Outcome<true> {
  for (const field of ['bracketMm', 'spacersMm'] as const)
    if (!(stack[field] >= 0))
      return refuse('out-of-range', 'figures', `${field} is ${stack[field]}. Accepted: 0 mm or more.`)
  if (stack.bracketBoltMm !== undefined && !((stack.bracketFootMm ?? 0) > 0))
    return refuse(
      'out-of-range',
      'figures',
      `bracketFootMm is ${stack.bracketFootMm ?? 'missing'}. Accepted: what the bracket’s bolt clamps, above 0 mm.`,
    )
  const isOnIt = now.bracketMm > 0 && Math.abs(stack.bracketMm - now.bracketMm) <= SAME_MM
  if (stack.bracketMm > 0 && stack.bracketBoltMm === undefined && !isOnIt)
    return refuse(
      'missing',
      'figures',
      `A bracket that rises ${mm(stack.bracketMm)} is not the one that is on it (${mm(now.bracketMm)}), and has no bolts. Accepted: bracketBoltMm and bracketFootMm with it.`,
    )
  return ok(true)
}

/** The whole of a stack: whether it can be laid here, how it lies, and how its bolts hold. */
export function judgeStack(now: StandsNow, stack: StackFigures): Outcome<Stacked> {
  const whole = isWhole(now, stack)
  if (!whole.ok) return whole
  if (!isBracketed(stack) && !sitsOnPosts(now))
    return refuse(
      'no-stack',
      'to',
      `Bolts ${now.spacingMm.toFixed(0)} mm apart do not take the caliper itself. Accepted: a bracket for that spacing.`,
    )
  const lies = laid(now, stack.bracketMm + stack.spacersMm)
  if (!lies.ok) return lies
  const seat = seatOf(now, stack)
  const caliper = held(
    'caliper bolt',
    {
      underHeadMm: stack.caliperBoltMm,
      clampedMm: now.earMm + stack.spacersMm,
      threadDepthMm: seat.threadDepthMm,
    },
    seat.factor,
  )
  if (!caliper.ok) return caliper
  const worked = [...lies.value.worked, caliper.value]
  if (stack.bracketBoltMm === undefined) return ok({ lies: lies.value.lies, worked })
  const bracket = held(
    'bracket bolt',
    {
      underHeadMm: stack.bracketBoltMm,
      clampedMm: stack.bracketFootMm ?? 0,
      threadDepthMm: now.frameThreadMm,
    },
    engagementIn(now.frameMetal),
  )
  return bracket.ok ? ok({ lies: lies.value.lies, worked: [...worked, bracket.value] }) : bracket
}
