import { askedOf } from '../../bench/stops-with.ts'
import type { AdjusterSpec } from '../../brake/adjuster.ts'
import type { Dimensions, Here } from '../../brake/dimension.ts'
import type { BrakeModel, Derived, Disturbance } from '../../brake/model.ts'
import { NOTHING } from '../../brake/observation.ts'
import { slopesOf } from '../../brake/slopes.ts'
import { type DiscKind, gapsOf } from '../../features/disc-caliper/kind.ts'
import { discSetting } from '../../features/disc-caliper/schools.ts'
import { bendEfficiency, inSeries, wireStiffness } from '../../mechanics/cable.ts'
import { leverage } from '../../mechanics/lever.ts'
import { rearSkidLimit, wantedStop } from '../../mechanics/stopping.ts'
import { toRad } from '../../mechanics/vector.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { discAdjusters } from './adjusters.ts'
import { discFrame, discGhost } from './frame.ts'
import { FREE_PLAY_MM, gapsIn, inputsOf, Q, Y } from './inputs.ts'
import { type Caliper, gapsAtRest } from './squeeze.ts'
import { discWindows } from './windows.ts'

/** A share of the scatter that the model itself cannot explain, per reading’s unit. */
const MODEL_SD: readonly number[] = [0.02, 0.02, 0.5, 0.1, 0.5, 1]
/** Scatter of “which pad first” as an eye sees it, mm. */
const TOUCH_SD = 0.05

const CABLE: Disturbance = { spread: { slack: 5, freePlay: 0.5 } }
const LEVER: Disturbance = { spread: { slack: 5, freePlay: 0.5, lever: 0.15 } }

/** What has been off may lie elsewhere: a body over its rotor gives one gap what it takes from the other, pads change both. */
function disturbsOf(kind: DiscKind): Readonly<Record<string, Disturbance>> {
  const both = kind === 'both-move'
  const wheel: Disturbance = { spread: both ? { offset: 0.3 } : { inner: 0.3, outer: 0.3 } }
  const loose: Disturbance = { spread: both ? { offset: 0.4 } : { inner: 0.4, outer: 0.4 } }
  return {
    'confirm:wheel-seated': wheel,
    'swap:wheel': wheel,
    'swap:rotor': wheel,
    'confirm:mount-loosened': loose,
    'confirm:caliper-set': loose,
    'swap:pads': { spread: both ? { sum: 0.7, offset: 0.35 } : { inner: 0.5, outer: 0.5 } },
    'confirm:anchor-loosened': CABLE,
    'swap:cable': CABLE,
    'swap:housing': CABLE,
    'swap:lever': LEVER,
    'turn:reachScrew': { spread: { freePlay: 0.5 } },
    'turn:leverAlong': { spread: { slack: 3, freePlay: 0.5, lever: 0.3 } },
    'swap:brake': 'forget',
  }
}

/** The gaps further apart than an eye finds centred; both pads move and meet in the middle. */
const GAP_DIFFERENCE: Derived = {
  id: 'gapDifference',
  of: ['gapInner', 'gapOuter'],
  value: ([inner = 0, outer = 0]) => inner - outer,
  say: (value, windows) =>
    `gaps ${Math.abs(value).toFixed(2)} mm apart, at most ${windows.of.gapDifference?.high.toFixed(1)} mm`,
}

/** What a stop asked of this brake takes at the cable, N. */
function stopTension(d: Dimensions, here: Here, ratio: number): number {
  const of = (id: string) => d[id] as number
  const skid = rearSkidLimit(of('tyreFriction'), of('wheelbaseMm'), of('cgHeightMm'), of('cgBehindFrontMm'))
  const share = askedOf(here)
  const tyreMm = of('beadSeatMm') / 2 + of('tyreWidthMm')
  const forceN = of('loadedMassKg') * wantedStop(here.end, skid) * 9.80665 * share
  return (forceN * tyreMm) / (2 * of('padFriction') * ratio * trackRadiusMm(d))
}

export const trackRadiusMm = (d: Dimensions): number => (d.rotorDiameterMm as number) / 2 - (d.trackInsideMm as number)

/** A mechanical disc’s model. Refuses a cam that pulls no pad. */
export function discModel(kind: DiscKind, d: Dimensions, here: Here): Outcome<BrakeModel> {
  const of = (id: string) => d[id] as number
  if (!(of('armMm') > 0 && of('leadMmPerRad') > 0))
    return refuse('impossible-geometry', 'leadMmPerRad', 'The cam moves no pad. Accepted: an arm and a lead above 0.')
  if (trackRadiusMm(d) < 30)
    return refuse(
      'impossible-geometry',
      'rotorDiameterMm',
      `A rotor of ${of('rotorDiameterMm')} mm has no track ${of('trackInsideMm')} mm inside its edge. Accepted: a track at least 30 mm from the axle.`,
    )
  const ratio = of('armMm') / of('leadMmPerRad')
  const reach = of('leverReachMm')
  const lever = { cableArmMm: of('leverCableArmMm'), fingerArmMm: of('leverFingerArmMm'), reachMm: reach }
  const pulls = leverage(lever)
  const efficiency = bendEfficiency(of('cableFriction'), toRad(of('bendDeg')))
  const stiffness = inSeries(
    wireStiffness(of('cableModulusGpa'), of('cableAreaMm2'), of('cableLengthMm')),
    of('housingStiffness'),
    of('brakeStiffness'),
  )
  const squeezeTensionN = Math.max(of('hardSqueezeN') * pulls * efficiency, stopTension(d, here, ratio))
  const stretchMm = (pulls * squeezeTensionN) / stiffness
  const gaps = gapsOf(kind)
  const readings = [
    gaps.inner.reading,
    gaps.outer.reading,
    'armStarts',
    'armRest',
    'biteTravel',
    'reserve',
    'gapDifference',
    'armOff',
  ]
  const bothMove = kind === 'both-move'
  const disturbs = disturbsOf(kind)
  const caliper: Caliper = { ratio, bothMove, rotorStiffness: of('rotorStiffness'), stiffness }

  const predict = (q: ArrayLike<number>, y: Float64Array) => {
    const own = ratio * Math.exp(q[Q.ratio] as number)
    const slackMm = q[Q.slack] as number
    const { innerMm, outerMm } = gapsIn(kind, q)
    const rest = gapsAtRest({ ...caliper, ratio: own }, { innerMm, outerMm, slackMm })
    const finger = pulls * Math.exp(q[Q.lever] as number)
    const free = q[Q.freePlay] as number
    // A pad that presses at rest bends the rotor towards the other.
    y[Y.inner] = rest.innerMm + Math.min(0, rest.outerMm)
    y[Y.outer] = rest.outerMm + Math.min(0, rest.innerMm)
    y[Y.armStarts] = finger * (free + Math.max(0, slackMm))
    y[Y.armRest] = Math.max(0, -slackMm)
    y[Y.bite] = finger * Math.max(0, free + slackMm + own * (innerMm + outerMm))
    y[Y.reserve] =
      reach - (y[Y.bite] as number) - (finger * squeezeTensionN) / (stiffness * Math.exp(q[Q.stiffness] as number))
    y[Y.difference] = (y[Y.inner] as number) - (y[Y.outer] as number)
    y[Y.off] = -slackMm
  }
  const adjusters: readonly AdjusterSpec[] = discAdjusters(kind, d, here)
  const shown = { ...caliper, leverage: pulls, reachMm: reach }
  return ok({
    throw: {
      lever,
      freePlayMm: FREE_PLAY_MM,
      squeezeTensionN,
      stiffnessNPerMm: stiffness,
      stretchTravelMm: stretchMm,
    },
    contactRatio: ratio,
    asked: askedOf(here),
    inputs: inputsOf(kind),
    readings,
    adjusters,
    steered: readings.filter((id) => id !== 'armOff' && (bothMove || id !== 'gapDifference')),
    needed: [gaps.inner.reading, gaps.outer.reading, 'armStarts', 'armRest', 'biteTravel'],
    derived: bothMove ? [GAP_DIFFERENCE] : [],
    noTurnHelps: bothMove
      ? 'See the arm on its stop, and the caliper floated once more. The sum of the gaps belongs to the caliper: look at pads, rotor and lever.'
      : 'See the arm on its stop: where it is not, the inner sticks, its return spring is weak or the cable short; push it home by thumb, cable loose, and see. Then look at rotor and pads.',
    predict,
    slopes: slopesOf(predict),
    observe(id, value, spec) {
      if (id === 'rotorTouch') {
        if (value === 'both') return { kind: 'together', one: Y.inner, other: Y.outer, sd: TOUCH_SD }
        if (value === 'inner') return { kind: 'order', nearer: Y.inner, further: Y.outer, sd: TOUCH_SD }
        return value === 'outer' ? { kind: 'order', nearer: Y.outer, further: Y.inner, sd: TOUCH_SD } : undefined
      }
      const reading = readings.indexOf(id)
      if (reading < 0 || reading === Y.difference || !spec || typeof value !== 'number') return undefined
      const sd = Math.hypot(spec.sd, MODEL_SD[reading] ?? 0)
      if (reading === Y.armRest)
        return { kind: 'value', reading: Y.off, value, sd, ...(value <= NOTHING && { atMost: true as const }) }
      const isGap = reading === Y.inner || reading === Y.outer
      const atMost = value <= (isGap ? spec.sd / 2 : NOTHING) && ({ atMost: true } as const)
      const atLeast = reading === Y.bite && value >= reach - spec.sd && ({ atLeast: true } as const)
      return { kind: 'value', reading, value, sd, ...atMost, ...atLeast }
    },
    disturbs: (fact) => disturbs[fact],
    windows: discWindows(kind, d, {
      lever,
      leverage: pulls,
      ratio,
      stretchMm,
    }),
    setting: (schools) => discSetting(schools, lever, FREE_PLAY_MM, ratio),
    torqueNm: (tensionN, frictionShare) =>
      (2 * of('padFriction') * frictionShare * ratio * tensionN * trackRadiusMm(d)) / 1000,
    frame: (q, moment) => discFrame(kind, d, shown, q, adjusters, moment),
    ghost: (expected) => discGhost(kind, expected),
  })
}
