import type { Dimensions } from '../brake/dimension.ts'
import { type Random, seededRandom } from './random.ts'
import type { StandIn } from './stand-in.ts'

/** How a drum stands when it comes to the bench: cable (mm) from rest until both shoes press. */
export interface DrumStart {
  /** Until they press, or past the first scrape where `scraping`. */
  readonly cableMm: number
  readonly scraping?: true
}

/** What nobody at the stand can see of a drum. */
export interface HiddenDrum {
  readonly leverage: number
  readonly freePlayMm: number
  /** Cable from the first scrape until both shoes press, mm. */
  readonly squashMm: number
  /** Finger travel that stretch takes at this hand’s hard squeeze, mm. */
  readonly stretchMm: number
}

export interface VirtualDrum extends StandIn {
  readonly hidden: HiddenDrum
}

export interface DrumScatter {
  readonly geometry: number
}

const USUAL: DrumScatter = { geometry: 1 }
/** Lost motion of a barrel on reversal, turns. */
const PLAY_TURNS = 0.1
const round = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(3))

/**
 * A drum that stands in for a real one: two shoes on a cam, one off its middle, in a drum out of round. It shares nothing
 * with the belief but arm and cam, and is harsher than it assumes.
 */
export function virtualDrum(
  d: Dimensions,
  seed: number,
  options: { readonly noiseSeed?: number; readonly start?: DrumStart; readonly scatter?: DrumScatter } = {},
): VirtualDrum {
  const { geometry } = options.scatter ?? USUAL
  const hidden = seededRandom(seed)
  const noise = seededRandom((options.noiseSeed ?? seed) ^ 0x5bd1e995)
  const of = (id: string) => d[id] as number
  const ratio = (of('armMm') / of('camHalfMm')) * Math.exp(hidden.normal(0.1 * geometry))
  const leverage = (of('leverFingerArmMm') / of('leverCableArmMm')) * Math.exp(hidden.normal(0.06))
  const freePlayMm = hidden.uniform(0.5, 1.8)
  const stiffness = 31 * Math.exp(hidden.normal(0.25))
  const hardTensionN = hidden.uniform(210, 270)
  const beddingMm = hidden.uniform(0.1, 0.4)
  let eccentricMm = hidden.uniform(0, 0.06)
  const outOfRoundMm = hidden.uniform(0, 0.06)
  const between = hidden.uniform(0.5, 4)
  const squash = () => 2 * ratio * (eccentricMm + outOfRoundMm / 2)
  const { start } = options
  let cable = start === undefined ? squash() + between : start.scraping ? squash() - start.cableMm : start.cableMm
  let squeezes = 0
  let turned: 1 | -1 | 0 = 0
  let position = hidden.uniform(0.5, 3)

  const bedded = () => beddingMm * (1 - 1 / (1 + squeezes / 8))
  const spareNow = () => cable + bedded() - squash()

  function dragAt(spareMm: number): 'none' | 'once' | 'lightly' | 'hard' {
    if (spareMm > 0) return 'none'
    if (spareMm > -ratio * outOfRoundMm) return 'once'
    return spareMm > -squash() ? 'lightly' : 'hard'
  }

  const truth = () => {
    const bite = leverage * Math.max(0, freePlayMm + cable + bedded())
    return {
      biteTravel: bite,
      reserve: of('leverReachMm') - bite - (leverage * hardTensionN) / stiffness,
      drag: dragAt(spareNow()),
    }
  }

  const read = (random: Random, value: number, sd: number, slip: number) => {
    const onGauge = (shown: number) => Math.max(0, round(shown, 1))
    const honest = onGauge(value + random.normal(sd))
    const side = random.chance(0.5) ? slip : -slip
    return random.chance(0.03) ? { shown: onGauge(honest + side), honest } : { shown: honest, honest }
  }

  function barrel(amount: number): number {
    const moved = Math.min(of('barrelTravelTurns'), Math.max(0, position + amount)) - position
    position += moved
    const direction = Math.sign(moved) as 1 | -1 | 0
    const lost = turned !== 0 && direction !== 0 && direction !== turned ? PLAY_TURNS : 0
    if (direction !== 0) turned = direction
    cable -= direction * Math.max(0, Math.abs(moved) - lost) * of('barrelPitchMm')
    return moved
  }

  return {
    hidden: {
      leverage,
      freePlayMm,
      stretchMm: (leverage * hardTensionN) / stiffness,
      get squashMm() {
        return squash()
      },
    },
    turn(id, amount, from) {
      if (id === 'anchor') {
        cable += amount + hidden.normal(0.5)
        return { turned: amount, endReached: false }
      }
      if (id !== 'barrel') throw new Error(`no adjuster ${id}`)
      if (from) {
        // Wound out until it is heard on the turning wheel, or felt on the still one a little later; then back.
        const needed = Math.max(0, spareNow()) / of('barrelPitchMm')
        if (position + needed > of('barrelTravelTurns')) {
          const moved = barrel(of('barrelTravelTurns') - position)
          return { turned: moved, endReached: true }
        }
        position = Math.max(0, position + needed + amount)
        const late = from === 'ear' ? Math.abs(hidden.normal(0.15)) : hidden.uniform(0, 0.8)
        cable = squash() - bedded() - late - amount * of('barrelPitchMm') - PLAY_TURNS * of('barrelPitchMm')
        turned = -1
        return { turned: amount, endReached: false }
      }
      const moved = barrel(amount)
      return { turned: moved, endReached: Math.abs(moved - amount) > 1e-9 }
    },
    settle() {
      eccentricMm = Math.abs(hidden.normal(0.02))
    },
    position: (id) => (id === 'barrel' ? position : undefined),
    squeeze(times) {
      squeezes += times
    },
    truth,
    gauge() {
      const now = truth()
      const bite = read(noise, Math.min(of('leverReachMm'), now.biteTravel), 1.5, 6)
      const reserve = read(noise, now.reserve, 2, 6)
      return {
        shown: { biteTravel: bite.shown, reserve: reserve.shown, drag: dragAt(spareNow() + noise.normal(0.2)) },
        misread: {
          ...(bite.honest !== bite.shown && { biteTravel: bite.honest }),
          ...(reserve.honest !== reserve.shown && { reserve: reserve.honest }),
        },
      }
    },
  }
}
