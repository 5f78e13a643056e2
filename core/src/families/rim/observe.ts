import type { Fact } from '../../brake/graph.ts'
import type { BrakeModel, Disturbance } from '../../brake/model.ts'
import { NOTHING } from '../../brake/observation.ts'
import { RIM_READINGS } from './model.ts'

/** A share of the reading’s own scatter that the model itself cannot explain, per reading unit. */
const MODEL_SD: Readonly<Record<string, number>> = { gapLeft: 0.05, gapRight: 0.05, biteTravel: 0.5, reserve: 1 }
/** Scatter of “which pad first” as an eye sees it, in mm of difference between the gaps. */
const TOUCH_SD = 0.15

const at = (id: (typeof RIM_READINGS)[number]): number => RIM_READINGS.indexOf(id)
const LEFT = at('gapLeft')
const RIGHT = at('gapRight')
const BITE = at('biteTravel')

/**
 * What an entry tells of the brake. A gap or a reserve read as nothing says only that the pad or the bar is reached; so does a
 * gap no wider than the gauge’s own scatter. A bite as long as the reach says that the lever met the bar before the rim.
 */
export const observeRim =
  (reachMm: number): BrakeModel['observe'] =>
  (id, value, spec) => {
    if (id === 'firstTouch') {
      if (value === 'both') return { kind: 'together', one: LEFT, other: RIGHT, sd: TOUCH_SD }
      if (value === 'left') return { kind: 'order', nearer: LEFT, further: RIGHT, sd: TOUCH_SD }
      return value === 'right' ? { kind: 'order', nearer: RIGHT, further: LEFT, sd: TOUCH_SD } : undefined
    }
    const reading = RIM_READINGS.indexOf(id as (typeof RIM_READINGS)[number])
    if (reading < 0 || !spec || typeof value !== 'number') return undefined
    const sd = Math.hypot(spec.sd, MODEL_SD[id] ?? 0)
    const isGap = reading === LEFT || reading === RIGHT
    const atMost = value <= (isGap ? spec.sd : NOTHING) && id !== 'wheelOffset' && ({ atMost: true } as const)
    const atLeast = reading === BITE && value >= reachMm - spec.sd && ({ atLeast: true } as const)
    return { kind: 'value', reading, value, sd, ...atMost, ...atLeast }
  }

const WHEEL: Disturbance = { spread: { offset: 1.5 } }
const PADS: Disturbance = { spread: { cable: 4, balance: 0.03 } }
const CABLE: Disturbance = { spread: { cable: 6, freePlay: 0.5 } }
const MOUNT: Disturbance = { spread: { balance: 0.06 } }
/** Three times what was believed of a lever before anything was known of it. */
const LEVER: Disturbance = { spread: { cable: 6, freePlay: 0.5, lever: 0.15 } }

const DISTURBS: Readonly<Record<string, Disturbance>> = {
  'confirm:wheel-seated': WHEEL,
  'swap:wheel': WHEEL,
  'confirm:mount-fitted': PADS,
  'confirm:shoes-loosened': PADS,
  'swap:pads': PADS,
  'confirm:mount-loosened': MOUNT,
  'confirm:anchor-loosened': CABLE,
  'swap:cable': CABLE,
  'swap:housing': CABLE,
  'swap:lever': LEVER,
  'turn:reachScrew': { spread: { freePlay: 0.5 } },
  'turn:leverAlong': { spread: { cable: 3, freePlay: 0.5, lever: 0.3 } },
  'swap:brake': 'forget',
}

/** What a wheel, pads, a cable or a lever put in anew leave to be learnt again; a new brake, everything. */
export const disturbsRim = (fact: Fact): Disturbance | undefined => DISTURBS[fact]
