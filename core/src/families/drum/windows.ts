import { reserveWindow } from '../../bench/bite.ts'
import { COMMON_READINGS } from '../../bench/readings.ts'
import type { BrakeModel, Known } from '../../brake/model.ts'
import { limitsOf, RESERVE_MARGIN_MM, type Window, type Windows } from '../../brake/window.ts'
import type { Source } from '../../calculation/source.ts'
import { DRUM_READINGS, drumInsideWindow } from '../../features/drum/readings.ts'
import { BITE_HALF, biteSpan, RUNS_FREE, wantedBiteMm } from '../../features/drum/schools.ts'
import type { Lever } from '../../mechanics/lever.ts'
import { FREE_PLAY_MM, INPUTS, Q, SQUASH_MM } from './inputs.ts'

const COMPUTED: Source = { kind: 'computed', title: 'Cable, cam and lever of this brake' }
const OURS: Source = { kind: 'our-choice', title: 'What runs free when spun, and stays so' }

/** Cable (mm) from where a spun wheel is seen to run free. */
const SEEN_FREE_MM = 0.1
/** Deviations of what is believed that are given the brake before it is said to have no setting. */
const DOUBTS = 1.8
/** Free play and squash together, by their places among the inputs. */
const BEFORE: readonly number[] = Object.values(Q).map((at) => (at === Q.squash || at === Q.freePlay ? 1 : 0))
/** Stiffness alone, by its place among the inputs; and how unsure the book is of it. */
const STIFFNESS: readonly number[] = Object.values(Q).map((at) => (at === Q.stiffness ? 1 : 0))
const STIFFNESS_SD = INPUTS[Q.stiffness]?.sd ?? 0
/** Finger travel to which the edge at the bar must be known before it decides, mm. Our choice. */
const SURE_MM = 1.5

const LIMITS = limitsOf([...COMMON_READINGS, ...DRUM_READINGS])
const mm = (value: number) => `${value.toFixed(1)} mm`

interface DrumThrow {
  readonly lever: Lever
  readonly leverage: number
  readonly stretchMm: number
}

/** Windows of a drum: a shoe that drags and the bar are its walls, the bite its school’s. */
export const drumWindows =
  ({ lever, leverage: book, stretchMm: bookStretchMm }: DrumThrow): BrakeModel['windows'] =>
  (schools, looked, known?: Known): Windows => {
    const reach = lever.reachMm
    const leverage = book * Math.exp(known?.q[Q.lever] ?? 0)
    // A brake softer than the book gives way further at a hard squeeze: learnt once a reserve was measured.
    const stretchMm = bookStretchMm * Math.exp(-(known?.q[Q.stiffness] ?? 0))
    const before = (known?.q[Q.freePlay] ?? FREE_PLAY_MM) + Math.max(0, known?.q[Q.squash] ?? SQUASH_MM)
    const wanted = wantedBiteMm(schools, lever)
    const { least, free, low, high, latest, target, bar, byBar } = biteSpan(wanted, reach, leverage, before, stretchMm)
    // Where the bar, not the school, ends the window, and the stretch that says where it is has not been found out on this brake.
    const stretchSd = stretchMm * (known?.spread(STIFFNESS) ?? STIFFNESS_SD)
    const isGuessed = byBar && stretchSd > SURE_MM
    const bite: Window = {
      reading: 'biteTravel',
      low,
      high,
      target,
      wallLow: least,
      wallHigh: bar,
      ...(isGuessed && { guessed: { by: 'reserve', upTo: reach - stretchMm } }),
      because: [
        {
          text:
            wanted === undefined
              ? `School: from the first scrape back until it runs free, ${mm(RUNS_FREE.least)} to ${mm(RUNS_FREE.most)} of cable.`
              : `School: it takes hold at ${mm(wanted)}, ${mm(BITE_HALF * reach)} either side.`,
          source: COMPUTED,
        },
        {
          text: `Drag: ${mm(before)} of cable go before both shoes press, and ${mm(RUNS_FREE.least)} more keep it free: not before ${mm(free)}.`,
          source: OURS,
        },
        {
          text: `Bar: ${mm(stretchMm)} of stretch at a hard squeeze and ${RESERVE_MARGIN_MM} mm kept from the bar leave ${mm(bar)}.`,
          source: COMPUTED,
        },
      ],
    }
    const clear: Window = {
      reading: 'shoesClear',
      low: SEEN_FREE_MM,
      high: Number.MAX_SAFE_INTEGER,
      target: Math.max(RUNS_FREE.least, bite.target / leverage - before),
      wallLow: 0,
      because: [{ text: 'No shoe may drag: seen when the wheel is spun.', source: OURS }],
    }
    const inside = drumInsideWindow(looked)
    const of: Record<string, Window> = {
      ...LIMITS,
      ...(inside && { drumInside: inside }),
      biteTravel: bite,
      // As wide as the bite’s own, so that neither outweighs the other.
      shoesClear: { ...clear, high: clear.target + (clear.target - clear.low) + 20 },
      reserve: reserveWindow(
        reach,
        Math.max(RESERVE_MARGIN_MM, reach - stretchMm - bite.target),
        `At a hard squeeze ${RESERVE_MARGIN_MM} mm are kept from the bar.`,
        OURS,
      ),
    }
    // Said only where even the best of what is believed leaves nothing: a doubt closes no window.
    const doubt = known ? DOUBTS * Math.hypot(leverage * known.spread(BEFORE), stretchSd) : 0
    return free - doubt > latest
      ? {
          of,
          empty: {
            code: 'no-setting',
            say: `Free of drag it takes hold at ${mm(free)} at the earliest, and by ${mm(latest)} at the latest it must: loosen the cone, write that the shoes were loosened, and centre them with the brake held on. If that leaves no room, look for a soft housing or a lever of more reach.`,
            because: bite.because,
          },
        }
      : { of }
  }
