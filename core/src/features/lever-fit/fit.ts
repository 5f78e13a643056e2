import type { Move } from '../../brake/adjuster.ts'
import type { Looked, OnStand } from '../../brake/on-stand.ts'
import type { Judged, Verdict } from '../../brake/step.ts'
import type { Worked } from '../../calculation/calculation.ts'
import { bladeAngle, leverageChange, reachScrew } from '../../calculations/lever-fit.ts'
import { leverShift } from '../../calculations/lever-shift.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { leverMatchAt } from '../match/judge.ts'
import { ONE_FINGER_N } from '../match/lever-match.ts'
import { type Hand, handAt } from './hands.ts'
import { LEVER_ALONG, REACH_SCREW, type ScrewEffect } from './screw.ts'

/** The finger lies in the hook when it stands no further off than this, mm. Our choice: about a quarter of a finger. */
export const IN_HOOK_MM = 5
/** The blade may stand so much further out than the first crease, mm: what a rule reads. Our choice. */
const REACH_ROOM_MM = 3
/** Nearer than this under the crease it is near for no reason, mm. Our choice. */
const REACH_SHORT_MM = 20
/** An angle the wrist does not mind, degrees. Our choice. */
const WRIST_DEG = 10
/** Least bar to blade that still has travel in it, mm. Our choice. */
const LEAST_REACH_MM = 35
/** Over grip and blade, outside: 16 CFR 1512.5 (from memory); small bicycles less. */
export const MOST_OUTSIDE_MM = 89
export const CHILD_OUTSIDE_MM = 76
/** Bar to blade, inside, beyond which no hand pulls; a child’s less. Our choice. */
export const CHILD_REACH_MM = 76
export const MOST_REACH_MM = 89

/** Where the lever belongs along the bar for a hand. Lengths mm. */
export interface LeverPlace {
  readonly hand: Hand
  readonly fingers: 1 | 2
  /** Inboard positive: puts the hook under the finger, or as far as the blade’s end must go to clear a knuckle. */
  readonly shiftMm: number
  readonly clash: boolean
  readonly usableMm: number
  readonly after: { readonly clash: boolean; readonly usableMm: number }
  readonly reachMm: number
  readonly worked: readonly Worked[]
}

/** What that place gives, and what else the hand asks of the lever. */
export interface LeverFit extends LeverPlace {
  readonly leverage: number
  readonly leverageAfter: number
  /** Finger travel after over now, for the same cable. */
  readonly travelFactor: number
  /** Hand force for the wanted stop now and after, N, where the match can tell it. */
  readonly forceN?: number
  readonly forceAfterN?: number
  /** Where the blade should stand at rest. */
  readonly reachWantedMm: number
  /** What the reach is out by, positive too far; 0 where it is well. */
  readonly reachOutMm: number
  /** What shifter or bend leave inboard of the clamp, where it was measured. */
  readonly roomMm?: number
  readonly angle?: { readonly wantedDeg: number; readonly nowDeg?: number }
}

/** Where the lever belongs, from what was measured along the bar; undefined while something of it is missing. */
export function leverPlaceAt(looked: Looked): Outcome<LeverPlace> | undefined {
  const { number, seen } = looked
  const hand = handAt(looked)
  const [handOffsetMm, clampMm, clampToHookMm, clampToTipMm, reachMm] = ALONG.map(number)
  if (
    !hand ||
    handOffsetMm === undefined ||
    clampMm === undefined ||
    clampToHookMm === undefined ||
    clampToTipMm === undefined ||
    reachMm === undefined
  )
    return undefined
  const fingers = seen('fingersUsed') === 'two' ? 2 : 1
  // Of two fingers the outer one lies in the hook: the hand is taken without its index.
  const bar = {
    handOffsetMm,
    handBreadthMm: hand.breadthMm - (fingers - 1) * hand.fingerMm,
    fingerBreadthMm: hand.fingerMm,
    clampMm,
    clampToHookMm,
    clampToTipMm,
    reachMm,
  }
  const now = leverShift.work(bar)
  if (!now.ok) return now
  const { shiftInboardMm, knuckleClash, usableTravelMm } = now.value.outputs
  // The blade’s end must also clear the next finger: the finger then lies further out on the blade than in its hook.
  const outerEdge = handOffsetMm + bar.handBreadthMm - hand.fingerMm
  const clearing = outerEdge - (clampMm - clampToTipMm)
  const shiftMm = Math.max(shiftInboardMm, clearing)
  const moved = leverShift.work({ ...bar, clampMm: clampMm + shiftMm })
  if (!moved.ok) return moved
  return ok({
    hand,
    fingers,
    shiftMm,
    clash: knuckleClash,
    usableMm: usableTravelMm,
    after: { clash: moved.value.outputs.knuckleClash, usableMm: moved.value.outputs.usableTravelMm },
    reachMm,
    worked: [now.value, moved.value],
  })
}

/** So little over a whole millimetre is that millimetre. */
const WHOLE_MM = 1e-6
const mm = (value: number) => `${Math.abs(value).toFixed(0)} mm`

const ALONG = ['handOffset', 'clampAt', 'clampToHook', 'clampToTip', 'leverReach']

/** Where the lever belongs and what that gives; undefined while something of it is not measured. */
export function leverFitAt(at: OnStand): Outcome<LeverFit> | undefined {
  const place = leverPlaceAt(at)
  if (!place?.ok) return place
  const { dimensions: d, seen, number } = at
  const { shiftMm, reachMm, hand, worked } = place.value
  const leverage = leverageChange.work({
    cableArmMm: d.leverCableArmMm,
    fingerArmMm: d.leverFingerArmMm,
    shiftInboardMm: shiftMm,
  })
  if (!leverage.ok)
    return refuse(
      'contradiction',
      'leverFinger',
      `The hook lies ${mm(shiftMm)} inboard of the finger, yet the finger only ${(d.leverFingerArmMm as number).toFixed(0)} mm from the pivot. Measure pivot to finger and clamp to hook again.`,
    )
  const { travelFactor, leverageAfter } = leverage.value.outputs
  const match = leverMatchAt(at)
  const angle = angleAt(at)
  if (angle && !angle.ok) return angle
  const roomMm = number('roomInboard')
  const reachWantedMm = Math.max(LEAST_REACH_MM, Math.min(hand.creaseMm, mostReach(seen('rider'))))
  const over = reachMm - reachWantedMm
  return ok({
    ...place.value,
    leverage: leverage.value.outputs.leverage,
    leverageAfter,
    travelFactor,
    ...(match.ok && { forceN: match.value.handForceN, forceAfterN: match.value.handForceN / travelFactor }),
    reachWantedMm,
    reachOutMm: over > REACH_ROOM_MM || over < -REACH_SHORT_MM ? over : 0,
    ...(roomMm !== undefined && { roomMm }),
    ...(angle && { angle: angle.value.told }),
    worked: [...worked, leverage.value, ...(angle ? [angle.value.worked] : [])],
  })
}

export const mostReach = (rider: string | undefined): number => (rider === 'child' ? CHILD_REACH_MM : MOST_REACH_MM)

function angleAt({ number }: OnStand) {
  const [shoulderHeightMm, barHeightMm, armLengthMm] = ['shoulderHeight', 'barHeight', 'armLength'].map(number)
  if (shoulderHeightMm === undefined || barHeightMm === undefined || armLengthMm === undefined) return undefined
  const worked = bladeAngle.work({ shoulderHeightMm, barHeightMm, armLengthMm })
  if (!worked.ok) return worked
  const nowDeg = number('bladeAngle')
  const told = { wantedDeg: worked.value.outputs.angleDeg, ...(nowDeg !== undefined && { nowDeg }) }
  return ok({ told, worked: worked.value })
}

/** Whether shifter or bend stand in the way of that shift. */
const isBlocked = ({ shiftMm, roomMm }: LeverFit): boolean => roomMm !== undefined && shiftMm > roomMm

/** What the way inboard asks first: room that is there, or was never measured. */
function roomFirst(fit: LeverFit): string {
  if (fit.shiftMm <= 0) return ''
  if (fit.roomMm === undefined) return ' Measure first what room shifter or bend leave inboard.'
  return isBlocked(fit)
    ? ` Only ${mm(fit.roomMm)} are free inboard: move the shifter inboard first, or fit it outside the lever; where the bend is in the way, another lever.`
    : ''
}

const moveBy = (shiftMm: number) =>
  `Move the lever ${mm(Math.ceil(shiftMm - WHOLE_MM))} ${shiftMm > 0 ? 'inboard' : 'outboard'}`

/** What a hand has against this position, the gravest first; empty where it is well. */
function faultsOf(fit: LeverFit): readonly { readonly say: string; readonly remedy: string }[] {
  const { clash, after, shiftMm, reachOutMm, reachMm, reachWantedMm, angle } = fit
  const next = fit.fingers === 1 ? 'middle' : 'ring'
  return [
    ...(clash
      ? [
          {
            say: `The blade’s end lies over the ${next} finger: a full squeeze traps its knuckle.`,
            remedy: after.clash
              ? `${moveBy(shiftMm)}; even there it reaches the ${next} finger. Another lever with a shorter blade, or one more finger on it.`
              : `${moveBy(shiftMm)}: then it clears.${roomFirst(fit)}`,
          },
        ]
      : Math.abs(shiftMm) > IN_HOOK_MM
        ? [
            {
              say: `The finger lies ${mm(shiftMm)} off the hook.`,
              remedy: `${moveBy(shiftMm)}, snug, hands off and back.${roomFirst(fit)}`,
            },
          ]
        : []),
    ...(reachOutMm > 0
      ? [
          {
            say: `The blade stands ${mm(reachMm)} off, the first crease at ${mm(reachWantedMm)}: too far strains the finger.`,
            remedy: 'Reach screw in.',
          },
        ]
      : reachOutMm < 0
        ? [
            {
              say: `The blade stands ${mm(reachMm)} off, the first crease at ${mm(reachWantedMm)}: too near leaves no travel.`,
              remedy: 'Reach screw out.',
            },
          ]
        : []),
    ...(angle?.nowDeg !== undefined && Math.abs(angle.nowDeg - angle.wantedDeg) > WRIST_DEG
      ? [
          {
            say: `The blade points ${angle.nowDeg.toFixed(0)}° below level, the arm ${angle.wantedDeg.toFixed(0)}°.`,
            remedy: 'Turn the clamp until forearm, wrist and finger are in one line.',
          },
        ]
      : []),
  ]
}

/** Whether the lever stands where this hand wants it. One that traps a knuckle is not called done. */
function judgeLeverPlace(at: OnStand): Verdict | undefined {
  const fit = leverFitAt(at)
  if (!fit) return undefined
  if (!fit.ok) return { state: 'out', say: fit.error.message }
  const faults = faultsOf(fit.value)
  if (faults.length > 0)
    return {
      state: 'out',
      say: faults.map(({ say }) => say).join(' '),
      remedy: faults.map(({ remedy }) => remedy).join(' '),
      ...(fit.value.clash && { stop: true as const }),
    }
  const { fingers, forceN } = fit.value
  return fingers === 1 && forceN !== undefined && forceN > ONE_FINGER_N
    ? { state: 'well', say: '', remark: `${forceN.toFixed(0)} N for the wanted stop is much for one finger` }
    : { state: 'well', say: '' }
}

/** Over grip and blade a hand spans no more than the public rule allows; a child’s less. */
function judgeOutside({ number, seen }: OnStand): Verdict | undefined {
  const outside = number('leverOutside')
  if (outside === undefined) return undefined
  const most = seen('rider') === 'child' ? CHILD_OUTSIDE_MM : MOST_OUTSIDE_MM
  return outside <= most
    ? { state: 'well', say: '' }
    : {
        state: 'out',
        say: `${outside.toFixed(0)} mm over grip and blade; the public rule allows ${most} mm (16 CFR 1512.5, from memory).`,
        remedy: 'Reach screw in, a thinner grip, or a lever of less reach; then measure it again.',
      }
}

/** Carbon is clamped to its maker’s figure by a torque wrench, no exception. */
function judgeClamp({ seen }: Pick<OnStand, 'seen'>): Verdict | undefined {
  const [bar, way] = [seen('barMaterial'), seen('clampWay')]
  if (bar === undefined || way === undefined) return undefined
  return bar === 'carbon' && way !== 'figure'
    ? {
        state: 'out',
        stop: true,
        say: 'A carbon bar is clamped to its maker’s figure by a torque wrench, no exception.',
        remedy: 'Loosen the clamp, look at the bar for a mark, and tighten it to the figure.',
      }
    : { state: 'well', say: '' }
}

/** What the hand does about it, in the steps a hand can make; empty where the lever is well placed. */
export function leverMoves(fit: LeverFit, screw: ScrewEffect): readonly Move[] {
  // Whole millimetres, rounded inboard: never short of what clears the knuckle.
  const wanted = fit.clash || Math.abs(fit.shiftMm) > IN_HOOK_MM
  const along = wanted && !isBlocked(fit) ? Math.ceil(fit.shiftMm - WHOLE_MM) : 0
  const worked = reachScrew.work({ reachMm: fit.reachMm, wantedMm: fit.reachWantedMm, mmPerTurn: screw.mean })
  const turns = fit.reachOutMm !== 0 && worked.ok ? Math.round(worked.value.outputs.turns * 4) / 4 : 0
  return [
    ...(along === 0 ? [] : [{ adjuster: LEVER_ALONG, amount: along, unit: 'mm' as const }]),
    ...(turns === 0 ? [] : [{ adjuster: REACH_SCREW, amount: turns, unit: 'turn' as const }]),
  ]
}

/** The same, as the brake stands; none where too little was measured of the lever, or it contradicts itself. */
export function leverMovesAt(at: OnStand, screw: ScrewEffect): readonly Move[] {
  const fit = leverFitAt(at)
  return fit?.ok ? leverMoves(fit.value, screw) : []
}

/** Each verdict with the readings it is made from. */
export const OUTSIDE: Judged = { kind: 'judged', judge: judgeOutside, readings: ['leverOutside'] }
export const LEVER_PLACE: Judged = {
  kind: 'judged',
  judge: judgeLeverPlace,
  readings: ['fingersUsed', 'handOffset', 'clampAt', 'clampToHook', 'clampToTip', 'leverReach'],
  optional: ['roomInboard', 'throwWanted', 'shoulderHeight', 'barHeight', 'armLength', 'bladeAngle'],
}
export const CLAMP: Judged = {
  kind: 'judged',
  judge: judgeClamp,
  readings: ['barMaterial', 'clampWay'],
  optional: ['barShape'],
}
