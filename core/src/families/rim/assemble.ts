import { COMMON_READINGS } from '../../bench/readings.ts'
import { askedOf } from '../../bench/stops-with.ts'
import type { AdjusterSpec } from '../../brake/adjuster.ts'
import type { Dimensions, Here } from '../../brake/dimension.ts'
import type { Shape } from '../../brake/frame.ts'
import type { Beyond, BrakeModel, Derived, PadArm } from '../../brake/model.ts'
import type { Looked } from '../../brake/on-stand.ts'
import { limitsOf, type Windows } from '../../brake/window.ts'
import { PAD_READINGS } from '../../features/pads/readings.ts'
import { DIAL_READINGS } from '../../features/rim-dial/readings.ts'
import { WHEEL_READINGS } from '../../features/rim-track/readings.ts'
import { compileLinkage } from '../../linkages/compile.ts'
import type { Arm, Linkage } from '../../mechanics/linkage.ts'
import { RIM_BEDDING } from './adjusters.ts'
import { biteSetting, DEFAULT_BITE } from './bite.ts'
import { dimensionInHand } from './dimension-lines.ts'
import { rimFrame } from './frame.ts'
import { pull, RIM_INPUTS, RIM_READINGS, rimReadings, rimSqueeze, rimThrow } from './model.ts'
import { disturbsRim, observeRim } from './observe.ts'
import type { Outline, Pose } from './outline.ts'
import { centredCloser, PLAINLY_APART_MM, rimWindows } from './windows.ts'

const padArm = ({ pivot, padFace }: Arm): PadArm => ({
  inMm: -Math.sign(padFace[0]) * (padFace[0] - pivot[0]),
  upMm: padFace[1] - pivot[1],
})

const LIMITS = limitsOf([...COMMON_READINGS, ...WHEEL_READINGS, ...PAD_READINGS, ...DIAL_READINGS])

/** The gaps further apart than they may be: said where it is, as no single gap shows it. */
const GAP_DIFFERENCE: Derived = {
  id: 'gapDifference',
  of: ['gapLeft', 'gapRight'],
  value: ([left = 0, right = 0]) => left - right,
  say(value, windows, { seen }) {
    const most = windows.of.gapDifference?.high ?? 0
    const first = most === PLAINLY_APART_MM && seen('firstTouch')
    return `${first ? `${first} pad touches plainly first: ` : ''}gaps ${Math.abs(value).toFixed(1)} mm apart, at most ${most} mm`
  },
}

/**
 * One pad is *plainly* first where it is seen to touch first and is believed clearly nearer too: then the gaps are held
 * closer together. Seen first alone only teaches.
 */
function plainlyFirst(windows: Windows, believed: (reading: string) => number, { seen }: Looked): Windows {
  const touch = seen('firstTouch')
  if (touch === undefined || touch === 'both') return windows
  const apart = believed('gapDifference')
  const nearer = apart < 0 ? 'left' : 'right'
  return nearer === touch && Math.abs(apart) > PLAINLY_APART_MM
    ? centredCloser(
        windows,
        `The ${nearer} pad is seen to touch first and is believed ${Math.abs(apart).toFixed(1)} mm nearer: gaps at most ${PLAINLY_APART_MM} mm apart.`,
      )
    : windows
}

/** No cable is clamped tighter past the rim than this; and as far apart may two pads be that it holds there; mm. From memory, no source. */
const PAST_RIM = { cableMm: 3, apartMm: 1 } as const

/** Both pads on the rim hide how far the cable is taken in past it, and how the arms differ. With one off, that one shows it. */
const pastTheRim =
  (linkage: Linkage) =>
  (nothing: ReadonlySet<string>): readonly Beyond[] => {
    if (!nothing.has('gapLeft') || !nothing.has('gapRight')) return []
    const { rateLeft, rateRight } = compileLinkage(linkage)
    const balance = (2 * PAST_RIM.apartMm) / (rateLeft + rateRight)
    return [
      { input: 'cable', from: -PAST_RIM.cableMm, to: 0 },
      { input: 'balance', from: -balance, to: balance },
    ]
  }

/** A rim brake’s model from its linkage: what differs between families is geometry, adjusters and how it is drawn. */
export function rimModel(
  d: Dimensions,
  here: Here,
  linkage: Linkage,
  adjusters: readonly AdjusterSpec[],
  outline: (pose: Pose) => Outline,
): BrakeModel {
  const lever = pull(d, linkage, here)
  const brake = rimThrow(d, linkage, lever)
  const trackM = (d.beadSeatMm as number) / 2000
  return {
    throw: brake,
    contactRatio: lever.contactRatio,
    padArm: { left: padArm(linkage.left), right: padArm(linkage.right) },
    inputs: RIM_INPUTS,
    readings: RIM_READINGS,
    adjusters,
    steered: ['gapLeft', 'gapRight', 'biteTravel', 'reserve', 'gapDifference'],
    needed: ['gapLeft', 'gapRight', 'biteTravel'],
    derived: [GAP_DIFFERENCE],
    asked: askedOf(here),
    noLever: {
      'weak-wet': 'Fit pads made for this rim, and keep it and the pads clean; tell the rider what rain does.',
    },
    noTurnHelps:
      'Look at the wheel again; then choose another bite school, move the spring to another hole, or clamp the cable anew.',
    ...rimReadings(d, linkage, lever),
    observe: observeRim(d.leverReachMm as number),
    beyond: pastTheRim(linkage),
    disturbs: disturbsRim,
    bedding: RIM_BEDDING,
    windows: rimWindows(brake, d.flexMm as number, LIMITS),
    narrowed: plainlyFirst,
    setting(schools) {
      const { cableMm, gapMm, travelMm, share } = biteSetting(schools.bite ?? DEFAULT_BITE, brake)
      return { cableMm, travelMm, share, words: `pads ${gapMm.toFixed(1)} mm off` }
    },
    torqueNm: (tensionN, frictionShare) =>
      2 * (d.padFriction as number) * frictionShare * lever.contactRatio * tensionN * trackM,
    frame(q, moment) {
      const squeeze = rimSqueeze(linkage, lever, q, moment.travelMm)
      const drawn = outline(squeeze)
      const frame = rimFrame(drawn, squeeze, adjusters, moment)
      const inHand = dimensionInHand(d, linkage, drawn.fixed, moment.focus)
      return inHand.length === 0 ? frame : { ...frame, dimensions: [...frame.dimensions, ...inHand] }
    },
    ghost({ gapLeft = 0, gapRight = 0 }): readonly Shape[] {
      const { left, right } = outline({ gapLeftMm: gapLeft, gapRightMm: gapRight, rimShiftMm: 0 })
      return [...left, ...right]
    },
  }
}
