import { reserveWindow } from '../../bench/bite.ts'
import { COMMON_READINGS } from '../../bench/readings.ts'
import type { Dimensions } from '../../brake/dimension.ts'
import type { BrakeModel, Known } from '../../brake/model.ts'
import { limitsOf, RESERVE_MARGIN_MM, type Window, type Windows } from '../../brake/window.ts'
import type { Source } from '../../calculation/source.ts'
import { type DiscKind, gapsOf } from '../../features/disc-caliper/kind.ts'
import { DISC_READINGS } from '../../features/disc-caliper/readings.ts'
import { wantedBiteMm } from '../../features/disc-caliper/schools.ts'
import { BEDDING_READING } from '../../features/disc-pads/bedding.ts'
import { DISC_PAD_READINGS } from '../../features/disc-pads/readings.ts'
import { ROTOR_READINGS, rotorWindow, WANTED_RUNOUT_MM } from '../../features/rotor/rotor.ts'
import { fingerTravel, type Lever } from '../../mechanics/lever.ts'
import { FREE_PLAY_MM, Q } from './inputs.ts'

const COMPUTED: Source = { kind: 'computed', title: 'Cable, cam and lever of this brake' }
const OURS: Source = { kind: 'our-choice', title: 'What a gauge of 0.05 mm can confirm' }

/** Kept beyond half the runout: a rotor does not flex as a rim does. Our choice, mm. */
export const RUB_ROOM_MM = 0.05
/** A fixed gap may be this much wider than the closest one, mm: narrower cannot be confirmed with a feeler. */
export const FIXED_WIDE_MM = 0.2
/** Bite this share of the reach to either side of the school’s. */
const BITE_HALF = 0.07
/** The arm starts within this share of the reach: what goes before moves nothing. Our choice. */
const LATEST_START = 0.12
/** An arm further off its stop than this stands in the cable: wear was taken up by cable, mm. Our choice. */
const MOST_OFF_MM = 0.5
/** Both pads move: seen alike within this, mm. */
const APART_MM = 0.16
/** A bite’s window narrower than this no hand finds, mm of finger. Our choice. */
const NARROWEST_MM = 1
/** The latest that a caliper whose sum is its own may bite, of the reach. Our choice. */
const LATEST = 0.55

interface DiscThrow {
  readonly lever: Lever
  readonly leverage: number
  readonly ratio: number
  readonly stretchMm: number
}

const LIMITS = limitsOf([
  ...COMMON_READINGS,
  ...DISC_READINGS,
  ...DISC_PAD_READINGS,
  ...ROTOR_READINGS,
  BEDDING_READING,
])

const mm = (value: number, decimals = 1) => `${value.toFixed(decimals)} mm`

/** Windows of a mechanical disc: rub and bar are its walls, the bite its school’s, the arm starts from its stop. */
export const discWindows =
  (kind: DiscKind, d: Dimensions, brake: DiscThrow): BrakeModel['windows'] =>
  (schools, looked, known?: Known) => {
    const { lever, stretchMm } = brake
    const reach = lever.reachMm
    const free = known?.q[Q.freePlay] ?? FREE_PLAY_MM
    const ratio = brake.ratio * Math.exp(known?.q[Q.ratio] ?? 0)
    const leverage = brake.leverage * Math.exp(known?.q[Q.lever] ?? 0)
    const runout = looked.number('rotorRunout') ?? (d.rotorRunoutMm as number)
    const wall = runout / 2 + RUB_ROOM_MM
    const gaps = gapsOf(kind)
    const bothMove = kind === 'both-move'
    const wanted = wantedBiteMm(schools, lever)
    const bar = reach - RESERVE_MARGIN_MM - stretchMm
    const least = leverage * (free + 2 * ratio * wall)
    const [aimLow, aimHigh] = bothMove
      ? [0, Math.min(LATEST * reach, bar)]
      : [wanted - BITE_HALF * reach, Math.min(wanted + BITE_HALF * reach, bar)]
    // Where the bar comes before the school’s own bite, both pads press as much earlier: a hand still finds it.
    const biteLow = Math.max(Math.min(aimLow, aimHigh - NARROWEST_MM), least)
    const because = {
      text: `Half the runout of ${mm(runout, 2)} and ${mm(RUB_ROOM_MM, 2)} of room: no pad nearer than ${mm(wall, 2)}.`,
      source: COMPUTED,
    }
    const bite: Window = {
      reading: 'biteTravel',
      low: biteLow,
      high: Math.max(biteLow, aimHigh),
      target: Math.min(Math.max(biteLow, aimHigh), Math.max(biteLow, bothMove ? (biteLow + aimHigh) / 2 : wanted)),
      wallLow: least,
      wallHigh: bar,
      because: [
        {
          text: bothMove
            ? `The sum of the gaps belongs to the caliper: any bite from ${mm(biteLow)} to ${mm(aimHigh)} keeps off the bar.`
            : `School: both pads press at ${mm(wanted)}, ${mm(BITE_HALF * reach)} either side.`,
          source: COMPUTED,
        },
        {
          text: `Bar: ${mm(stretchMm)} of stretch at the squeeze it is judged at and ${RESERVE_MARGIN_MM} mm kept from the bar leave ${mm(bar)}.`,
          source: COMPUTED,
        },
      ],
    }
    const sumMost = (Math.max(biteLow, aimHigh) / leverage - free) / ratio
    const gap = (reading: string, high: number, text: string): Window => ({
      reading,
      low: wall,
      high,
      target: (wall + high) / 2,
      wallLow: wall,
      because: [because, { text, source: OURS }],
    })
    const innerWindow = bothMove
      ? gap(
          gaps.inner.reading,
          Math.max(wall + FIXED_WIDE_MM, sumMost - wall),
          'The rest of the sum is the other pad’s.',
        )
      : gap(
          gaps.inner.reading,
          wall + FIXED_WIDE_MM,
          `As near as it runs free: the rotor is bent this far at each stop. ${mm(FIXED_WIDE_MM)} wide, so that a feeler can confirm it.`,
        )
    const outerWindow = gap(
      gaps.outer.reading,
      Math.max(wall + FIXED_WIDE_MM, sumMost - wall),
      'What the bite leaves of both gaps together.',
    )
    const startsHigh = LATEST_START * reach
    const of: Record<string, Window> = {
      ...LIMITS,
      rotorThickness: rotorWindow(looked, d.rotorMostMm as number),
      [gaps.inner.reading]: innerWindow,
      [gaps.outer.reading]: outerWindow,
      biteTravel: bite,
      armStarts: {
        reading: 'armStarts',
        low: 0,
        high: startsHigh,
        target: Math.min(fingerTravel(lever, free + 0.3), startsHigh),
        because: [{ text: `Later than ${mm(startsHigh)} is slack: take it up at barrel or anchor.`, source: COMPUTED }],
      },
      armRest: {
        reading: 'armRest',
        low: 0,
        high: MOST_OFF_MM,
        target: 0,
        wallHigh: MOST_OFF_MM,
        ...(kind === 'fixed-pad' && {
          unsafe: { above: MOST_OFF_MM, say: 'the arm stands off its stop: wear was taken up by the cable' },
        }),
        because: [
          {
            text: bothMove
              ? 'The arm stands on its stop: preload by cable can shut the port that takes up wear (from memory).'
              : 'The arm starts from fully open: wear is taken up at the pads, never by cable.',
            source: { kind: 'common-practice', title: 'Thumb test: the arm can be pushed back no further' },
          },
        ],
      },
      reserve: reserveWindow(
        reach,
        Math.max(RESERVE_MARGIN_MM, reach - stretchMm - bite.target),
        `At a hard squeeze ${RESERVE_MARGIN_MM} mm are kept from the bar.`,
        OURS,
      ),
      ...(bothMove && {
        gapDifference: {
          reading: 'gapDifference',
          low: -APART_MM,
          high: APART_MM,
          target: 0,
          because: [{ text: `Both pads move: the rotor runs in the middle, within ${mm(APART_MM)}.`, source: OURS }],
        },
      }),
    }
    return aimHigh - least < NARROWEST_MM ? { of, empty: emptyFor(runout, least, aimHigh, wanted) } : { of }
  }

/** No setting neither rubs nor bites too late. */
const emptyFor = (runout: number, least: number, most: number, wanted: number): NonNullable<Windows['empty']> => ({
  code: 'no-setting',
  say: `${runout > WANTED_RUNOUT_MM ? 'True or replace the rotor first' : 'The rotor runs true: look at the lever, its pull and its reach'}: with ${mm(runout, 2)} of runout the smallest gaps that do not rub bite at ${mm(least)}, wanted ${mm(wanted)}, at most ${mm(most)}.`,
  because: [{ text: 'Twice half the runout and its room, by the linkage and the lever.', source: COMPUTED }],
})
