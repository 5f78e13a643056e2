import type { Source } from '../calculation/source.ts'
import type { FamilyModel } from '../families/family.ts'
import { bisect } from '../mechanics/bisect.ts'
import { fingerTravel } from '../mechanics/lever.ts'
import type { Limit, Span, Unsafe } from './readings/spec.ts'
import { READINGS } from './readings.ts'
import { type BiteSchool, SCHOOLS, settingOf, WIDEST_GAP_MM, writeSchool } from './schools.ts'

/** Why a window lies where it does: one line of working and its source. */
export interface Because {
  readonly text: string
  readonly source: Source
}

/** A window is a value: the interval a reading must fall in, the hard walls around it, and why. */
export interface Window {
  readonly reading: string
  readonly low: number
  readonly high: number
  readonly target: number
  /** Where physics forbids: rub below, bar above, or the other way about for the reserve. */
  readonly wallLow?: number
  readonly wallHigh?: number
  /** The part of it that is wanted: between this and its ends it is said, not stopped. */
  readonly wanted?: Span
  /** Where it is not to be ridden, whatever reason is typed. */
  readonly unsafe?: Unsafe
  readonly because: readonly Because[]
}

/** No setting satisfies both walls and the school; said instead of a window. */
export interface EmptyWindow {
  readonly code: 'no-setting' | 'school-too-tight' | 'school-too-long'
  readonly say: string
  readonly because: readonly Because[]
}

export interface Windows {
  readonly of: Readonly<Record<string, Window>>
  readonly empty?: EmptyWindow
}

/**
 * Half-widths, our choice, no source. What the school names is held as closely as a hand can set it; what only
 * follows from it is given room for how this brake differs from the book (linkage ratio, free play, lever).
 */
const GAP_HALF_MM = { named: 0.35, follows: 0.45 } as const
/** How far a brake's own gap strays from the book's for one bite: ratio, share; free play, mm of cable; standard deviations kept. */
const STRAYS = { ratio: 0.1, freePlayMm: 0.6, kept: 1.8 } as const
/** Gaps that differ by more than this are not centred, however wide their windows. */
export const MOST_APART_MM = 0.5
const BITE_HALF_SHARE = { named: 0.07, follows: 0.1 } as const
export const RESERVE_MARGIN_MM = 10

const namesGap = (school: BiteSchool): boolean => school.school === 'gap' || school.school === 'give-back'
const NARROWEST_MM = 0.3

const OURS: Source = { kind: 'our-choice', title: 'What a hand can set and hold' }
const COMPUTED: Source = { kind: 'computed', title: 'From this brake’s geometry' }

const windowOf = (reading: string, { low, high, wanted, unsafe, text, source }: Limit): Window => ({
  reading,
  low,
  high,
  target: ((wanted?.low ?? low) + (wanted?.high ?? high)) / 2,
  ...(wanted && { wanted }),
  ...(unsafe && { unsafe }),
  because: [{ text, source }],
})

/** Windows that are the same on every bicycle. */
const LIMITS: Readonly<Record<string, Window>> = Object.fromEntries(
  READINGS.flatMap(({ id, limit }) => (limit ? [[id, windowOf(id, limit)]] : [])),
)

const WORN_RIM: Source = { kind: 'common-practice', title: 'Below 1.0 mm think of replacing the rim; about 1.5 mm new' }
const MEMORY: Source = { kind: 'from-memory', title: 'From memory; the part’s own mark comes first' }
const OWN_MARK: Source = { kind: 'handbook', title: 'Marked on the part by its maker' }

/** Rim wall below which the rim is not ridden without a mark of its own, and below which it is said (mm). */
const RIM_UNSAFE_MM = 0.7
const RIM_WORN_MM = 1
const WIDEST_RIM_MM = 5
/** Rotor thickness below which it is not ridden without a mark of its own, mm. */
const ROTOR_UNSAFE_MM = 1.5
const THICKEST_ROTOR_MM = 4

/** Windows that hang on what the wheel is made of and what is marked on it. A steel rim is not judged by its wall. */
function wearWindows({ rimMaterial, rimMarkMm, rotorMarkMm }: WheelState): Record<string, Window> {
  const rimLeast = rimMarkMm ?? RIM_UNSAFE_MM
  const rotorLeast = rotorMarkMm ?? ROTOR_UNSAFE_MM
  const rim = windowOf('rimWall', {
    low: Math.max(RIM_WORN_MM, rimLeast),
    high: WIDEST_RIM_MM,
    unsafe: { below: rimLeast, say: `under ${mm(rimLeast)} it bursts under the tyre` },
    text: `Below ${mm(RIM_WORN_MM)} think of replacing the rim; about 1.5 mm when new.`,
    source: WORN_RIM,
  })
  const rotor = windowOf('rotorThickness', {
    low: rotorLeast,
    high: THICKEST_ROTOR_MM,
    unsafe: { below: rotorLeast, say: `under ${mm(rotorLeast)} it fades and breaks` },
    text: `Not below ${mm(rotorLeast)}${rotorMarkMm === undefined ? ', where its own mark is not known' : ', marked on it'}.`,
    source: rotorMarkMm === undefined ? MEMORY : OWN_MARK,
  })
  const limit = (mark: number | undefined, least: number): Because => ({
    text: `Not ridden under ${mm(least)}${mark === undefined ? '' : ', its own mark'}.`,
    source: mark === undefined ? MEMORY : OWN_MARK,
  })
  return {
    ...(rimMaterial !== 'steel' && {
      rimWall: { ...rim, because: [...rim.because, limit(rimMarkMm, rimLeast)] },
    }),
    rotorThickness: rotor,
  }
}

export interface WheelState {
  /** Total indicated runout side to side, mm; undefined until measured. */
  readonly lateralRunoutMm: number | undefined
  readonly flexMm: number
  readonly rimMaterial?: string | undefined
  /** The least wall or thickness marked on the part itself, mm. */
  readonly rimMarkMm?: number | undefined
  readonly rotorMarkMm?: number | undefined
}

const mm = (value: number) => `${value.toFixed(1)} mm`

/** Both walls as a gap at each pad, in mm: rub below, bar above. */
export function gapWalls(model: FamilyModel, wheel: WheelState): { rub: number; bar: number } {
  const rub = (wheel.lateralRunoutMm ?? 0) / 2 + wheel.flexMm
  const { lever, freePlayMm, stretchTravelMm, cableForGap } = model.throw
  const travelAt = (gap: number) => fingerTravel(lever, freePlayMm + cableForGap(gap)) + stretchTravelMm
  const bar = bisect(0, WIDEST_GAP_MM, (gap) => travelAt(gap) <= lever.reachMm - RESERVE_MARGIN_MM)
  return { rub, bar }
}

/** Room for a gap that only follows from the bite: more where a little cable moves the pads far. */
function followingGap(model: FamilyModel, gapMm: number): number {
  const { cableForGap } = model.throw
  const step = 0.05
  const gapPerCable = step / (cableForGap(gapMm + step) - cableForGap(gapMm))
  return Math.max(GAP_HALF_MM.follows, STRAYS.kept * Math.hypot(STRAYS.ratio * gapMm, STRAYS.freePlayMm * gapPerCable))
}

/** Target windows for every measured thing at the stand, from the bite school and the two hard walls. */
export function windowsFor(model: FamilyModel, school: BiteSchool, wheel: WheelState): Windows {
  const { lever, freePlayMm, stretchTravelMm } = model.throw
  const walls = gapWalls(model, wheel)
  const setting = settingOf(school, model.throw)
  const spec = SCHOOLS.find((each) => each.id === school.school)
  const runout = wheel.lateralRunoutMm
  const because: readonly Because[] = [
    {
      text: `School: ${spec?.title ?? writeSchool(school)}. First touch comes at ${mm(setting.travelMm)} of finger travel, ${mm(setting.cableMm)} of cable, a gap of ${mm(setting.gapMm)} each side.`,
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
  ]
  const gapHalf = namesGap(school) ? GAP_HALF_MM.named : followingGap(model, setting.gapMm)
  const biteShare = BITE_HALF_SHARE[namesGap(school) ? 'follows' : 'named']
  const gapLow = Math.max(walls.rub, setting.gapMm - gapHalf)
  const gapHigh = Math.min(walls.bar, setting.gapMm + gapHalf)
  const biteHalf = biteShare * lever.reachMm
  const biteWallHigh = lever.reachMm - RESERVE_MARGIN_MM - stretchTravelMm
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
      low: Math.max(fingerTravel(lever, freePlayMm), setting.travelMm - biteHalf),
      high: Math.min(biteWallHigh, setting.travelMm + biteHalf),
      target: setting.travelMm,
      wallLow: fingerTravel(lever, walls.rub > 0 ? model.throw.cableForGap(walls.rub) : 0),
      wallHigh: biteWallHigh,
      because: [
        ...because,
        {
          text: `The window is ${Math.round(biteShare * 100)} % of the reach either side, cut by the walls.`,
          source: OURS,
        },
      ],
    },
    reserve: {
      reading: 'reserve',
      low: RESERVE_MARGIN_MM,
      high: lever.reachMm,
      target: lever.reachMm - setting.travelMm - stretchTravelMm,
      wallLow: RESERVE_MARGIN_MM,
      unsafe: { atMost: RESERVE_MARGIN_MM, say: `${RESERVE_MARGIN_MM} mm or less is left to the bar` },
      because: [{ text: `Never to the bar: ${RESERVE_MARGIN_MM} mm kept at a hard squeeze.`, source: OURS }],
    },
    ...LIMITS,
    ...wearWindows(wheel),
  }
  const empty = emptyWindow(walls, setting.gapMm, gapLow, gapHigh, runout, because)
  return empty ? { of, empty } : { of }
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
      say: `True the wheel first: ${wheel} leaves no setting that neither rubs nor reaches the bar.`,
      because,
    }
  }
  if (high - low >= NARROWEST_MM) return undefined
  return wanted < (walls.rub + walls.bar) / 2
    ? {
        code: 'school-too-tight',
        say: `A gap of ${mm(wanted)} would rub: ${wheel} needs at least ${mm(walls.rub)}. True the wheel, or choose a school with a longer throw.`,
        because,
      }
    : {
        code: 'school-too-long',
        say: `A gap of ${mm(wanted)} would bring the lever to the bar: at most ${mm(walls.bar)}. Choose a school with a shorter throw.`,
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

/** Whether a value is where nobody rides. */
export const isUnsafe = (window: Window | undefined, value: number): boolean =>
  window?.unsafe !== undefined &&
  (value <= (window.unsafe.atMost ?? Number.NEGATIVE_INFINITY) ||
    value < (window.unsafe.below ?? Number.NEGATIVE_INFINITY))

/** Allowed, but not what is wanted. */
export const isBetween = (window: Window | undefined, value: number): boolean =>
  window?.wanted !== undefined &&
  placement(window, value) === 'in' &&
  (value < window.wanted.low || value > window.wanted.high)

export type Placement = 'in' | 'low' | 'high'

export const placement = (window: Window, value: number): Placement =>
  value < window.low || isUnsafe(window, value) ? 'low' : value > window.high ? 'high' : 'in'
