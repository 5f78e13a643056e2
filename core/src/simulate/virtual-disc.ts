import type { From } from '../brake/adjuster.ts'
import type { Dimensions } from '../brake/dimension.ts'
import { type Random, seededRandom } from './random.ts'
import type { StandIn } from './stand-in.ts'

/** What a caliper of this kind is called, and whether both its pads move. */
export interface DiscSpec {
  readonly inner: string
  readonly outer: string
  readonly bothMove: boolean
  readonly knobs: readonly ('fixedPad' | 'movingPad')[]
}

/** How a disc stands when it comes to the bench, mm: gaps with the arm at its stop, slack below 0 where it is off it. */
export interface DiscStart {
  readonly innerMm: number
  readonly outerMm: number
  readonly slackMm: number
}

/** What nobody at the stand can see of a disc. */
export interface HiddenDisc {
  readonly ratio: number
  readonly leverage: number
  readonly freePlayMm: number
}

export interface VirtualDisc extends StandIn {
  readonly hidden: HiddenDisc
}

export interface DiscScatter {
  readonly geometry: number
  readonly knob: number
}

/** Somewhere between: where both pads move, the sum of their gaps is the caliper’s own. */
function between({ bothMove }: DiscSpec, hidden: Random): DiscStart {
  const gaps = () => {
    if (!bothMove) return { innerMm: hidden.uniform(0.1, 0.6), outerMm: hidden.uniform(0.4, 1.1) }
    const sum = hidden.uniform(0.55, 0.95)
    const innerMm = hidden.uniform(0.1, 0.9) * sum
    return { innerMm, outerMm: sum - innerMm }
  }
  return { ...gaps(), slackMm: hidden.uniform(-0.5, 2.5) }
}

type Found = Exclude<From['contact'], 'float'>

/** A body that its pads hold while it is tightened scatters less than one that a hand holds; what repeats of it is the same. */
const HELD = 0.5

const USUAL: DiscScatter = { geometry: 1, knob: 0.3 }
const round = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(3))

/** A disc that stands in for a real one. It shares nothing with the belief but its kind’s geometry, and is harsher than it assumes. */
export function virtualDisc(
  spec: DiscSpec,
  d: Dimensions,
  runoutMm: number,
  seed: number,
  options: { readonly noiseSeed?: number; readonly start?: DiscStart; readonly scatter?: DiscScatter } = {},
): VirtualDisc {
  const { geometry, knob } = options.scatter ?? USUAL
  const hidden = seededRandom(seed)
  const noise = seededRandom((options.noiseSeed ?? seed) ^ 0x5bd1e995)
  const of = (id: string) => d[id] as number
  const ratio = (of('armMm') / of('leadMmPerRad')) * Math.exp(hidden.normal(0.1 * geometry))
  const leverage = (of('leverFingerArmMm') / of('leverCableArmMm')) * Math.exp(hidden.normal(0.06))
  const freePlayMm = hidden.uniform(0.5, 1.8)
  const stiffness = 26 * Math.exp(hidden.normal(0.25))
  const hardTensionN = hidden.uniform(130, 180)
  const click = of('knobPitchMm') / of('knobClicks')
  const clickEffect = { fixedPad: Math.exp(hidden.normal(knob)), movingPad: Math.exp(hidden.normal(knob)) }
  const slide = Math.exp(hidden.normal(0.08))
  /** Some of what the bolts move as they are tightened is the same each time. */
  const creepMm = hidden.normal(0.05)
  const scatterMm = hidden.uniform(0.05, 0.15)
  const beddingMm = hidden.uniform(0.1, 0.4)
  let { innerMm: inner, outerMm: outer, slackMm: slack } = options.start ?? between(spec, hidden)
  let squeezes = 0
  const positions: Record<string, number> = { barrel: hidden.uniform(0.5, 3), fixedPad: 32, movingPad: 32 }
  const travel: Readonly<Record<string, number>> = {
    barrel: of('barrelTravelTurns'),
    fixedPad: 4 * of('knobClicks'),
    movingPad: 4 * of('knobClicks'),
  }

  /** The gap at which a pad that is wound in is said to touch. */
  const contactMm = (from: Found): number =>
    from === 'ear'
      ? runoutMm / 2 - hidden.uniform(0, click)
      : (runoutMm / 2) * Math.cos(hidden.uniform(0, 2 * Math.PI)) - hidden.uniform(0.06, 0.17)

  const within = (id: string, amount: number): number => {
    const at = positions[id] as number
    return Math.min(travel[id] as number, Math.max(0, at + amount)) - at
  }

  function wind(id: 'fixedPad' | 'movingPad', amount: number, from: Found | undefined): number {
    const own = click * clickEffect[id]
    if (from) {
      const gap = contactMm(from) - amount * own
      if (id === 'fixedPad') inner = gap
      else outer = gap - Math.min(0, slack) / ratio
      return amount
    }
    const turned = within(id, amount)
    positions[id] = (positions[id] as number) + turned
    if (id === 'fixedPad') inner -= turned * own
    else outer -= turned * own
    return turned
  }

  const truth = () => {
    const bedded = beddingMm * (1 - 1 / (1 + squeezes / 8))
    const q = slack + bedded
    const held = Math.min(0, q) / ratio
    const [near, far] = spec.bothMove ? [inner + held / 2, outer + held / 2] : [inner, outer + held]
    const starts = leverage * (freePlayMm + Math.max(0, q))
    const bite = leverage * Math.max(0, freePlayMm + q + ratio * (inner + outer))
    const gapNear = Math.max(0, near + Math.min(0, far))
    const gapFar = Math.max(0, far + Math.min(0, near))
    return {
      [spec.inner]: gapNear,
      [spec.outer]: gapFar,
      armStarts: starts,
      armRest: Math.max(0, -q),
      biteTravel: bite,
      reserve: of('leverReachMm') - bite - (leverage * hardTensionN) / stiffness,
      ...(spec.bothMove && {
        rotorTouch: Math.abs(gapNear - gapFar) < 0.05 ? 'both' : gapNear < gapFar ? 'inner' : 'outer',
      }),
      rub: Math.min(gapNear, gapFar) >= runoutMm / 2 ? 'none' : gapNear < gapFar ? 'fixed' : 'moving',
    }
  }

  const read = (random: Random, value: number, sd: number, step: number, slip: number) => {
    const onGauge = (shown: number) => Math.max(0, round(shown, step))
    const honest = onGauge(value + random.normal(sd))
    const side = random.chance(0.5) ? slip : -slip
    return random.chance(0.03) ? { shown: onGauge(honest + side), honest } : { shown: honest, honest }
  }

  return {
    hidden: { ratio, leverage, freePlayMm },
    turn(id, amount, from) {
      if (id === 'fixedPad' || id === 'movingPad') {
        const turned = wind(id, amount, from === 'float' ? undefined : from)
        return { turned, endReached: Math.abs(turned - amount) > 1e-9 }
      }
      if (id === 'caliper') {
        const floats = from === 'float'
        const middle = floats ? (inner - outer) / 2 : 0
        const moved = middle + amount * slide + creepMm + hidden.normal(floats ? HELD * scatterMm : scatterMm)
        inner -= moved
        outer += moved
        return { turned: amount, endReached: false }
      }
      if (id === 'anchor') {
        slack += amount + hidden.normal(0.5)
        return { turned: amount, endReached: false }
      }
      if (id !== 'barrel') throw new Error(`no adjuster ${id}`)
      const turned = within('barrel', amount)
      positions.barrel = (positions.barrel as number) + turned
      slack -= turned * of('barrelPitchMm')
      return { turned, endReached: Math.abs(turned - amount) > 1e-9 }
    },
    position: (id) => positions[id],
    squeeze(times) {
      squeezes += times
    },
    truth,
    gauge() {
      const now = truth() as Readonly<Record<string, number | string>>
      const number = (id: string) => now[id] as number
      const taken = {
        [spec.inner]: read(noise, number(spec.inner), 0.05, 0.05, 0.3),
        [spec.outer]: read(noise, number(spec.outer), 0.05, 0.05, 0.3),
        armStarts: read(noise, number('armStarts'), 1.5, 1, 5),
        armRest: number('armRest') < 0.1 ? { shown: 0, honest: 0 } : read(noise, number('armRest'), 0.3, 0.5, 1),
        biteTravel: read(noise, Math.min(of('leverReachMm'), number('biteTravel')), 1.5, 1, 6),
        reserve: read(noise, number('reserve'), 2, 1, 6),
      }
      const shown = Object.fromEntries(Object.entries(taken).map(([id, each]) => [id, each.shown]))
      const misread = Object.fromEntries(
        Object.entries(taken).flatMap(([id, each]) => (each.honest === each.shown ? [] : [[id, each.honest]])),
      )
      const seen = Object.fromEntries(Object.entries(now).filter(([, value]) => typeof value === 'string'))
      return { shown: { ...shown, ...seen }, misread }
    },
  }
}
