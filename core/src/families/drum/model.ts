import { askedOf } from '../../bench/stops-with.ts'
import type { Dimensions, Here } from '../../brake/dimension.ts'
import type { BrakeModel, Disturbance } from '../../brake/model.ts'
import { slopesOf } from '../../brake/slopes.ts'
import { drumSetting } from '../../features/drum/schools.ts'
import { bendEfficiency } from '../../mechanics/cable.ts'
import { leverage } from '../../mechanics/lever.ts'
import { GRAVITY, rearSkidLimit, wantedStop } from '../../mechanics/stopping.ts'
import { toRad } from '../../mechanics/vector.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { drumAdjusters } from './adjusters.ts'
import { drumFrame, drumGhost } from './frame.ts'
import { FREE_PLAY_MM, INPUTS, Q, SQUASH_MM, Y } from './inputs.ts'
import { stiffnessOf } from './stiffness.ts'
import { camRatio, perNewton } from './torque.ts'
import { drumWindows } from './windows.ts'

/** A share of the scatter that the model itself cannot explain, mm of finger. */
const MODEL_SD = 0.5
/** Scatter of “it drags” as a spun wheel shows it, mm of cable. */
const DRAG_SD = 0.25

const CABLE: Disturbance = { spread: { spare: 4, freePlay: 0.5 } }
const SHOES: Disturbance = { spread: { spare: 2, squash: 0.8 } }

const DISTURBS: Readonly<Record<string, Disturbance>> = {
  'confirm:wheel-seated': { spread: { spare: 0.5, squash: 0.3 } },
  'confirm:shoes-centred': SHOES,
  'confirm:shoes-loosened': SHOES,
  'confirm:plate-on': { spread: { spare: 4, squash: 0.8 } },
  'swap:wheel': SHOES,
  'swap:pads': { spread: { spare: 4, squash: 0.8 } },
  'confirm:anchor-loosened': CABLE,
  'swap:cable': CABLE,
  'swap:housing': CABLE,
  'swap:lever': { spread: { spare: 4, freePlay: 0.5, lever: 0.15 } },
  'turn:reachScrew': { spread: { freePlay: 0.5 } },
  'turn:leverAlong': { spread: { spare: 3, freePlay: 0.5, lever: 0.3 } },
  'swap:brake': 'forget',
}

const NO_LEVER = 'A larger drum, or less load: no common lever gives this one both force and travel.'

/** A drum’s model. Refuses a cam that spreads nothing, and shoes that lock by themselves. */
export function drumModel(d: Dimensions, here: Here): Outcome<BrakeModel> {
  const of = (id: string) => d[id] as number
  if (!(of('liningEndDeg') > of('liningStartDeg')))
    return refuse(
      'impossible-geometry',
      'liningEndDeg',
      `The lining ends at ${of('liningEndDeg')}°, where it begins at ${of('liningStartDeg')}°. Accepted: an end behind its beginning.`,
    )
  const each = perNewton(d, here)
  if (!each.ok) return each
  const reach = of('leverReachMm')
  const lever = { cableArmMm: of('leverCableArmMm'), fingerArmMm: of('leverFingerArmMm'), reachMm: reach }
  const pulls = leverage(lever)
  const efficiency = bendEfficiency(of('cableFriction'), toRad(of('bendDeg')))
  const stiffness = stiffnessOf(d)
  // What is measured is one hard squeeze of a hand; what a stop needs is judged at the match.
  const squeezeTensionN = of('hardSqueezeN') * pulls * efficiency
  const stretchMm = (pulls * squeezeTensionN) / stiffness
  const skid = rearSkidLimit(of('tyreFriction'), of('wheelbaseMm'), of('cgHeightMm'), of('cgBehindFrontMm'))
  const tyreMm = of('beadSeatMm') / 2 + of('tyreWidthMm')
  const stopNm = (askedOf(here) * of('loadedMassKg') * GRAVITY * wantedStop(here.end, skid) * tyreMm) / 1000
  const readings = ['biteTravel', 'reserve', 'shoesClear']

  const predict = (q: ArrayLike<number>, y: Float64Array) => {
    const finger = pulls * Math.exp(q[Q.lever] as number)
    const spare = q[Q.spare] as number
    y[Y.bite] = finger * Math.max(0, (q[Q.freePlay] as number) + spare + Math.max(0, q[Q.squash] as number))
    y[Y.reserve] =
      reach - (y[Y.bite] as number) - (finger * squeezeTensionN) / (stiffness * Math.exp(q[Q.stiffness] as number))
    y[Y.clear] = spare
  }
  const adjusters = drumAdjusters(d)
  return ok({
    throw: {
      lever,
      freePlayMm: FREE_PLAY_MM,
      squeezeTensionN,
      stopTensionN: Math.max(squeezeTensionN, stopNm / each.value.torqueNm),
      stiffnessNPerMm: stiffness,
      stretchTravelMm: stretchMm,
    },
    asked: askedOf(here),
    inputs: INPUTS,
    readings,
    adjusters,
    // The reserve says where the bar is, and so where the bite’s window ends; steered by as well, it would count twice.
    steered: ['biteTravel', 'shoesClear'],
    needed: ['biteTravel'],
    derived: [],
    noTurnHelps:
      'Look at the shoes: loosen the cone, and write that the shoes were loosened; then centre them with the brake held on. Worn linings are replaced with their plate.',
    noLever: { bar: NO_LEVER, weak: NO_LEVER },
    predict,
    slopes: slopesOf(predict),
    observe(id, value, spec) {
      if (id === 'drag') {
        const seen = { kind: 'value', reading: Y.clear, value: 0, sd: DRAG_SD } as const
        return value === 'none' ? { ...seen, atLeast: true } : { ...seen, atMost: true }
      }
      const reading = readings.indexOf(id)
      if (reading < 0 || reading === Y.clear || !spec || typeof value !== 'number') return undefined
      const atLeast = reading === Y.bite && value >= reach - spec.sd && ({ atLeast: true } as const)
      // At the bar there is nothing left to show how much further it would go.
      const atMost = reading === Y.reserve && value <= 0 && ({ atMost: true } as const)
      return { kind: 'value', reading, value, sd: Math.hypot(spec.sd, MODEL_SD), ...atLeast, ...atMost }
    },
    disturbs: (fact) => DISTURBS[fact],
    windows: drumWindows({ lever, leverage: pulls, stretchMm }),
    setting: (schools) => drumSetting(schools, lever, FREE_PLAY_MM + SQUASH_MM, FREE_PLAY_MM, stretchMm, camRatio(d)),
    torqueNm: (tensionN, frictionShare) => {
      const own = perNewton(d, here, of('padFriction') * frictionShare)
      return tensionN * (own.ok ? own.value.torqueNm : each.value.torqueNm * frictionShare)
    },
    frame: (q, moment) => drumFrame(d, { leverage: pulls, stiffness }, q, adjusters, moment),
    ghost: (expected) => drumGhost(d, expected),
  })
}
