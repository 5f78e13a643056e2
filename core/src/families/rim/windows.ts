import { reserveWindow } from '../../bench/bite.ts'
import { type Known, knownOf } from '../../brake/model.ts'
import type { Looked } from '../../brake/on-stand.ts'
import { type ChosenSchool, type ChosenSchools, writeSchool } from '../../brake/school.ts'
import {
  type Because,
  type EmptyWindow,
  RESERVE_MARGIN_MM,
  type Window,
  type Windows,
  windowOf,
} from '../../brake/window.ts'
import type { Source } from '../../calculation/source.ts'
import { WANTED_RUNOUT_MM } from '../../features/rim-track/readings.ts'
import { bisect } from '../../mechanics/bisect.ts'
import { fingerTravel } from '../../mechanics/lever.ts'
import { BITE, biteSetting, DEFAULT_BITE, type RimThrow, WIDEST_GAP_MM } from './bite.ts'
import { Q, RIM_INPUTS } from './model.ts'

/**
 * Half-widths, our choice, no source. What the school names is held as closely as a hand can set it; what only
 * follows from it is given room for how this brake differs from the book (linkage ratio, free play, lever).
 */
const GAP_HALF_MM = { named: 0.35, follows: 0.45 } as const
/** What follows may stray by this many standard deviations of what is known of the brake. Our choice, no source. */
const STRAYS_KEPT = 1.8
/** Said of a window once what follows is this much better known than the book knows it. */
const BETTER_KNOWN = 0.9
/** Gaps that differ by more than this are not centred, however wide their windows. */
export const MOST_APART_MM = 0.5
const BITE_HALF_SHARE = { named: 0.07, follows: 0.1 } as const

const namesGap = ({ option }: ChosenSchool): boolean => option === 'gap' || option === 'give-back'
const NARROWEST_MM = 0.3

const OURS: Source = { kind: 'our-choice', title: 'What a hand can set and hold' }
const LEARNT: Source = { kind: 'computed', title: 'From what was measured on this brake' }
const COMPUTED: Source = { kind: 'computed', title: 'From this brake’s geometry' }

const WORN_RIM: Source = { kind: 'common-practice', title: 'Below 1.0 mm think of replacing the rim; about 1.5 mm new' }
const MEMORY: Source = { kind: 'from-memory', title: 'From memory; the part’s own mark comes first' }
const OWN_MARK: Source = { kind: 'handbook', title: 'Marked on the part by its maker' }

/** Rim wall below which the rim is not ridden without a mark of its own, and below which it is said (mm). */
const RIM_UNSAFE_MM = 0.7
const RIM_WORN_MM = 1
const WIDEST_RIM_MM = 5

/** Windows that hang on what the wheel is made of and what is marked on it. A steel rim is not judged by its wall. */
function wearWindows({ number, seen }: Looked): Record<string, Window> {
  const rimMarkMm = number('rimMark')
  const rimLeast = Math.max(rimMarkMm ?? RIM_UNSAFE_MM, RIM_UNSAFE_MM)
  const rim = windowOf('rimWall', {
    low: Math.max(RIM_WORN_MM, rimLeast),
    high: WIDEST_RIM_MM,
    unsafe: { below: rimLeast, say: `under ${mm(rimLeast)} it bursts under the tyre` },
    text: `Below ${mm(RIM_WORN_MM)} think of replacing the rim; about 1.5 mm when new.`,
    source: WORN_RIM,
  })
  const limit = (mark: number | undefined, least: number): Because => ({
    text: `Not ridden under ${mm(least)}${mark === least ? ', its own mark' : ''}.`,
    source: mark === least ? OWN_MARK : MEMORY,
  })
  return seen('rimMaterial') === 'steel'
    ? {}
    : { rimWall: { ...rim, because: [...rim.because, limit(rimMarkMm, rimLeast)] } }
}

export interface WheelState {
  /** Total indicated runout side to side, mm; undefined until measured. */
  readonly lateralRunoutMm: number | undefined
  readonly flexMm: number
}

const mm = (value: number) => `${value.toFixed(1)} mm`

/** Both walls as a gap at each pad, in mm: rub below, bar above. */
export function gapWalls(brake: RimThrow, wheel: WheelState): { rub: number; bar: number } {
  const rub = (wheel.lateralRunoutMm ?? 0) / 2 + wheel.flexMm
  const { lever, freePlayMm, stretchTravelMm, cableForGap } = brake
  const travelAt = (gap: number) => fingerTravel(lever, freePlayMm + cableForGap(gap)) + stretchTravelMm
  const bar = bisect(0, WIDEST_GAP_MM, (gap) => travelAt(gap) <= lever.reachMm - RESERVE_MARGIN_MM)
  return { rub, bar }
}

/**
 * The brake as it is known to answer: its own lever, free play and linkage in place of the book’s. How it gives way stays
 * the book’s: what is left at the squeeze is a reading with a window of its own.
 */
export function asKnown(brake: RimThrow, { q }: Known): RimThrow {
  const of = (input: number) => q[input] as number
  const fingerArmMm = brake.lever.fingerArmMm * Math.exp(of(Q.lever))
  const ratio = Math.exp(of(Q.ratio))
  return {
    ...brake,
    lever: { ...brake.lever, fingerArmMm },
    freePlayMm: Math.max(0, of(Q.freePlay)),
    stretchTravelMm: brake.stretchTravelMm * Math.exp(of(Q.lever)),
    cableForGap: (gapMm) => ratio * brake.cableForGap(gapMm),
  }
}

/** What only follows from what the school names: the gap from the bite, or the bite from the gap. */
const following = (school: ChosenSchool, brake: RimThrow): number => {
  const { gapMm, travelMm } = biteSetting(school, brake)
  return namesGap(school) ? travelMm : gapMm
}

const SLOPE_STEP = 0.01
const MATTERS: readonly number[] = [Q.ratio, Q.freePlay, Q.lever]

/** How surely what follows is known: standard deviation, by its slope over each input that it hangs on. */
function followingSpread(school: ChosenSchool, brake: RimThrow, known: Known): number {
  const at = following(school, asKnown(brake, known))
  return known.spread(
    RIM_INPUTS.map((_, input) => {
      if (!MATTERS.includes(input)) return 0
      const q = Array.from(known.q, (value, index) => (index === input ? value + SLOPE_STEP : value))
      return (following(school, asKnown(brake, { ...known, q })) - at) / SLOPE_STEP
    }),
  )
}

/**
 * As far as a gap strays while the bite stays in its own window and the pads are as far apart as they may be: what only
 * follows is not out before what is named is.
 */
function gapRoom(brake: RimThrow, travelMm: number, halfMm: number): number {
  const gapAt = (amount: number) => biteSetting({ option: 'rider', amount }, brake).gapMm
  return (gapAt(travelMm + halfMm) - gapAt(travelMm - halfMm) + MOST_APART_MM) / 2
}

const BOOK: Known = knownOf(RIM_INPUTS)

/** What is known of this brake and moved the window of what follows, said beside the book’s. */
const learntHere = (brake: RimThrow, own: RimThrow): Because => {
  const perGap = ({ cableForGap }: RimThrow) => `${cableForGap(1).toFixed(1)} mm`
  const leverOf = ({ lever }: RimThrow) => (lever.fingerArmMm / lever.cableArmMm).toFixed(2)
  return {
    text: `As this brake answers: ${perGap(own)} of cable for the first millimetre of gap a side (book ${perGap(brake)}), ${mm(own.freePlayMm)} of free play (book ${mm(brake.freePlayMm)}), lever ${leverOf(own)} to 1 (book ${leverOf(brake)}).`,
    source: LEARNT,
  }
}

/**
 * Target windows for every measured thing at the stand, from the bite school and the two hard walls. What the school names
 * stands; what only follows from it follows this brake as it is known.
 */
export function windowsFor(
  book: RimThrow,
  school: ChosenSchool,
  wheel: WheelState,
  also: Readonly<Record<string, Window>>,
  known: Known = BOOK,
): Windows {
  const brake = asKnown(book, known)
  const strays = followingSpread(school, book, known)
  const { lever, freePlayMm, stretchTravelMm } = brake
  const walls = gapWalls(brake, wheel)
  const setting = biteSetting(school, brake)
  const spec = BITE.options.find((each) => each.id === school.option)
  const runout = wheel.lateralRunoutMm
  const because: readonly Because[] = [
    {
      text: `School: ${spec?.title ?? writeSchool(school)}. Bite at ${mm(setting.travelMm)}, ${mm(setting.cableMm)} of cable, a gap of ${mm(setting.gapMm)} each side.`,
      source: spec?.source ?? OURS,
    },
    {
      text: `Rub: half the runout of ${runout === undefined ? 'a wheel not yet measured' : mm(runout)} plus ${mm(wheel.flexMm)} of movement under riding = ${mm(walls.rub)}.`,
      source: COMPUTED,
    },
    {
      text: `Bar: free play ${mm(freePlayMm)} of cable, ${mm(stretchTravelMm)} of travel for stretch at the squeeze it is judged at (hard, or what the stop needs) and ${RESERVE_MARGIN_MM} mm kept from the bar leave at most ${mm(walls.bar)} a side.`,
      source: COMPUTED,
    },
    ...(strays < BETTER_KNOWN * followingSpread(school, book, BOOK) ? [learntHere(book, brake)] : []),
  ]
  const biteNamed = BITE_HALF_SHARE.named * lever.reachMm
  const gapHalf = namesGap(school)
    ? GAP_HALF_MM.named
    : Math.max(GAP_HALF_MM.follows, STRAYS_KEPT * strays, gapRoom(brake, setting.travelMm, biteNamed))
  const gapLow = Math.max(walls.rub, setting.gapMm - gapHalf)
  const gapHigh = Math.min(walls.bar, setting.gapMm + gapHalf)
  const biteHalf = namesGap(school)
    ? Math.max(BITE_HALF_SHARE.follows * lever.reachMm, STRAYS_KEPT * strays)
    : biteNamed
  const biteWallHigh = lever.reachMm - RESERVE_MARGIN_MM - stretchTravelMm
  const biteLow = Math.max(fingerTravel(lever, freePlayMm), setting.travelMm - biteHalf)
  const biteHigh = Math.min(biteWallHigh, setting.travelMm + biteHalf)
  const gap = (reading: string): Window => ({
    reading,
    low: gapLow,
    high: gapHigh,
    target: (gapLow + gapHigh) / 2,
    wallLow: walls.rub,
    wallHigh: walls.bar,
    because: [
      ...because,
      {
        text: `The window is ${gapHalf.toFixed(2)} mm either side of the school’s gap, cut by the walls.`,
        source: OURS,
      },
    ],
  })
  const of: Record<string, Window> = {
    gapLeft: gap('gapLeft'),
    gapRight: gap('gapRight'),
    gapDifference: {
      reading: 'gapDifference',
      low: -MOST_APART_MM,
      high: MOST_APART_MM,
      target: 0,
      because: [
        { text: `Both pads must meet the rim together: gaps at most ${MOST_APART_MM} mm apart.`, source: OURS },
      ],
    },
    biteTravel: {
      reading: 'biteTravel',
      low: biteLow,
      high: biteHigh,
      target: Math.min(Math.max(setting.travelMm, biteLow), Math.max(biteLow, biteHigh)),
      wallLow: fingerTravel(lever, walls.rub > 0 ? brake.cableForGap(walls.rub) : 0),
      wallHigh: biteWallHigh,
      because: [
        ...because,
        {
          text: `The window is ${mm(biteHalf)} either side, cut by the walls.`,
          source: OURS,
        },
      ],
    },
    reserve: reserveWindow(
      lever.reachMm,
      lever.reachMm - setting.travelMm - stretchTravelMm,
      `Never to the bar: ${RESERVE_MARGIN_MM} mm kept at a hard squeeze.`,
      OURS,
    ),
    ...also,
  }
  const empty =
    emptyWindow(walls, setting.gapMm, gapLow, gapHigh, runout, because) ??
    noBite(of.biteTravel as Window, setting.travelMm, because)
  return empty ? { of, empty } : { of }
}

/** A bite that the bar or the free play leaves no room for. */
function noBite({ low, high }: Window, wantedMm: number, because: readonly Because[]): EmptyWindow | undefined {
  if (high >= low) return undefined
  return wantedMm > high
    ? {
        code: 'school-too-long',
        say: `A bite at ${mm(wantedMm)} would bring the lever to the bar: at most ${mm(Math.max(0, high))}. Choose a school that bites earlier.`,
        because,
      }
    : {
        code: 'school-too-tight',
        say: `A bite at ${mm(wantedMm)} comes before the cable is taut: at least ${mm(low)}. Choose a school that bites later.`,
        because,
      }
}

function emptyWindow(
  walls: { rub: number; bar: number },
  wanted: number,
  low: number,
  high: number,
  runout: number | undefined,
  because: readonly Because[],
): EmptyWindow | undefined {
  const wheel = runout === undefined ? 'this wheel' : `${mm(runout)} runout`
  if (walls.bar - walls.rub < NARROWEST_MM) {
    return {
      code: 'no-setting',
      say:
        runout !== undefined && runout <= WANTED_RUNOUT_MM
          ? `No setting neither rubs nor reaches the bar. It is not the wheel, with ${wheel}: look at the lever, its pull and its reach, and for a soft housing.`
          : `True the wheel first: ${wheel} leaves no setting that neither rubs nor reaches the bar.`,
      because,
    }
  }
  if (high - low >= NARROWEST_MM) return undefined
  return wanted < (walls.rub + walls.bar) / 2
    ? {
        code: 'school-too-tight',
        say: `A gap of ${mm(wanted)} would rub: ${wheel} needs at least ${mm(walls.rub)}. ${runout !== undefined && runout <= WANTED_RUNOUT_MM ? 'Choose' : 'True the wheel, or choose'} a school that bites later.`,
        because,
      }
    : {
        code: 'school-too-long',
        say: `A gap of ${mm(wanted)} would bring the lever to the bar: at most ${mm(walls.bar)}. Choose a school that bites earlier.`,
        because,
      }
}

/** A pad that is seen to touch first and is believed this much nearer touches *plainly* first: not centred. Our choice. */
export const PLAINLY_APART_MM = 0.3

/** The windows where one pad touches plainly first: the gaps held closer together. */
export const centredCloser = (windows: Windows, say: string): Windows => ({
  ...windows,
  of: {
    ...windows.of,
    gapDifference: {
      reading: 'gapDifference',
      low: -PLAINLY_APART_MM,
      high: PLAINLY_APART_MM,
      target: 0,
      because: [{ text: say, source: OURS }],
    },
  },
})

/**
 * Windows of a rim brake: gaps, bite and reserve by the bite school, the rest by their own limits. What is believed from far
 * out does not say that there is no setting: where it leaves none, the book’s windows stand until the brake is nearer.
 */
export const rimWindows =
  (brake: RimThrow, flexMm: number, limits: Readonly<Record<string, Window>>) =>
  (schools: ChosenSchools, looked: Looked, known?: Known): Windows => {
    const madeOf = (from?: Known) =>
      windowsFor(
        brake,
        schools.bite ?? DEFAULT_BITE,
        { lateralRunoutMm: looked.number('lateralRunout'), flexMm },
        { ...limits, ...wearWindows(looked) },
        from,
      )
    const own = madeOf(known)
    return own.empty && known ? madeOf() : own
  }
