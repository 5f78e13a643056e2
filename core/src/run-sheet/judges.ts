import { cableFeel, type LeverWeight, leverWeightOf } from '../cable/feel.ts'
import { type LeverMatch, leverMatch, padMismatch } from '../match/lever-match.ts'
import { type BoltMount, boltMountOf, checkMeasured, type Measured } from '../mount/measured.ts'
import { type Reach, reachOf } from '../mount/reach.ts'
import type { Outcome } from '../outcome/outcome.ts'
import {
  type Drift,
  leavesTrack,
  type PadPath,
  padPaths,
  padRoom,
  type Side,
  startHeight,
  unevenWear,
  WORN_MM,
} from '../pads/pads.ts'
import { lastReading, lastSeen } from '../stand/fold.ts'
import { findOption } from '../stand/readings.ts'
import { isUnsafe } from '../stand/windows.ts'
import { placed } from './placed.ts'
import type { Stand } from './stand.ts'

/** A rule on a pad reads no closer than this. Our choice. */
const HEIGHT_ROOM_MM = 0.3

/** What a computed step comes to. */
export interface Verdict {
  readonly state: 'well' | 'out'
  readonly say: string
  /** Well, and yet something is to be said of it. */
  readonly remark?: string
  /** What would put it right. */
  readonly remedy?: string
  /** Not to be ridden like this: the step cannot be skipped. */
  readonly stop?: true
}

export type JudgeId =
  | 'lever-match'
  | 'pad-match'
  | 'reach'
  | 'pad-wear'
  | 'pad-height'
  | 'toe'
  | 'cable-feel'
  | 'pads-back'

/** What was measured and seen of the mount in this job. */
export const measuredAt = ({ hardware, state }: Pick<Stand, 'hardware' | 'state'>): Measured => ({
  end: hardware.end,
  number: (id) => lastReading(state, id),
  seen: (id) => lastSeen(state, id),
})

export const leverMatchAt = ({ family, dimensions, here, state }: Stand): Outcome<LeverMatch> =>
  leverMatch(family, dimensions, here, {
    school: state.school,
    rim: lastSeen(state, 'rimMaterial'),
    pads: lastSeen(state, 'padCompound'),
  })

export const reachAt = (stand: Stand): Outcome<Reach> | undefined =>
  reachOf(measuredAt(stand), stand.dimensions.beadSeatMm as number, stand.family.mount)

export const boltMountAt = (stand: Pick<Stand, 'hardware' | 'state'>): BoltMount | undefined => {
  const measured = measuredAt(stand)
  return checkMeasured(measured).ok ? boltMountOf(measured) : undefined
}

/** The pads’ paths over their life on this brake, or undefined until rim and pads are measured. */
export function padPathsAt({
  model,
  state,
  dimensions,
}: Pick<Stand, 'model' | 'state' | 'dimensions'>): Outcome<readonly PadPath[]> | undefined {
  const [track, pad, left, right] = ['trackTall', 'padTall', 'padLeft', 'padRight'].map((id) => lastReading(state, id))
  if (track === undefined || pad === undefined || left === undefined || right === undefined) return undefined
  const lengthMm = lastSeen(state, 'padShape') === 'straight' ? lastReading(state, 'padLength') : undefined
  return padPaths(model.padArm, Math.max(0, Math.min(left, right) - WORN_MM), {
    trackMm: track,
    padMm: pad,
    ...(lengthMm !== undefined && { straight: { lengthMm, radiusMm: (dimensions.beadSeatMm as number) / 2 } }),
  })
}

/** Springs and cable told apart by the lever’s weight both ways, or undefined until a scale has shown both. */
export function leverWeightAt({
  state,
  dimensions,
}: Pick<Stand, 'state' | 'dimensions'>): Outcome<LeverWeight> | undefined {
  const pull = lastReading(state, 'leverWeight')
  const back = lastReading(state, 'leverBack')
  return pull === undefined || back === undefined ? undefined : leverWeightOf(pull, back, dimensions)
}

/** Rear gap that a toe school wants, mm, and the most it accepts. All at once is always accepted; rear first never. */
export const TOE_WINDOWS: Readonly<Record<string, readonly [number, number]>> = {
  // Front touch 0.5 mm: common practice; how near to it, our choice.
  'front-touch': [0.3, 0.8],
  flat: [0, 0.2],
}

const TOO_HIGH = 'stands too high: it would meet the tyre and can burst it.'
const TOO_LOW = 'stands too low: it would overhang, dive under the rim as it wears, and brake less.'

/** When it will happen, where it has not yet. */
function leaving(drift: Drift, edgeMm: number): string {
  const leaves = leavesTrack(drift, edgeMm)
  return leaves && leaves.wornMm > 0 ? `As set, after ${leaves.wornMm.toFixed(1)} mm of wear.` : ''
}

const span = (low: number, high: number) =>
  high - low < 0.05 ? `${low.toFixed(1)} mm` : `${low.toFixed(1)} to ${high.toFixed(1)} mm`

const SIDES = ['left', 'right'] as const
/** The readings of either pad’s height and toe-in. */
export const EDGE = { left: 'padEdgeLeft', right: 'padEdgeRight' } as const
export const TOE = { left: 'toeLeft', right: 'toeRight' } as const

/** Each said once, in the order they came. */
const inTurn = (said: readonly string[]) => [...new Set(said)].join(' ')

/** What is wrong with the height of one pad, or undefined where it is well. */
function heightWrong(
  side: Side,
  edgeMm: number,
  drift: Drift,
  school: string,
): { readonly say: string; readonly remedy: string } | undefined {
  const remedy = drift.say
  const { edgeLeastMm, edgeMostMm } = drift
  if (edgeMm < edgeLeastMm - HEIGHT_ROOM_MM)
    return { say: `The ${side} pad ${TOO_HIGH} ${leaving(drift, edgeMm)}`.trim(), remedy }
  if (edgeMm > Math.max(edgeLeastMm, edgeMostMm) + HEIGHT_ROOM_MM)
    return { say: `The ${side} pad ${TOO_LOW} ${leaving(drift, edgeMm)}`.trim(), remedy }
  const { lowMm, highMm } = startHeight(drift, school)
  return edgeMm < lowMm - HEIGHT_ROOM_MM || edgeMm > highMm + HEIGHT_ROOM_MM
    ? {
        say: `The ${side} pad’s upper edge stands ${edgeMm.toFixed(1)} mm below the track’s upper edge; this school wants ${span(lowMm, highMm)}.`,
        remedy,
      }
    : undefined
}

/** What is wrong with the toe-in of one pad, or undefined where it is well. */
function toeWrong(side: Side, toeMm: number, [low, high]: readonly [number, number]): string | undefined {
  if (toeMm < 0)
    return `The rear of the ${side} pad meets the rim first: never. Set it so that the front does, or all at once.`
  return toeMm > high
    ? `Toe-in of the ${side} pad ${toeMm.toFixed(1)} mm; this school wants ${low} to ${high} mm.`
    : undefined
}

const ALL_AT_ONCE = 'nearly all at once: accepted where 0.5 mm is too fine to set.'

const refused = (message: string): Verdict => ({ state: 'out', say: message })

const JUDGES: Readonly<Record<JudgeId, (stand: Stand) => Verdict | undefined>> = {
  'lever-match'(stand) {
    const match = leverMatchAt(stand)
    if (!match.ok) return refused(match.error.message)
    const { verdict, say, remedy } = match.value
    return { state: verdict === 'fits' ? 'well' : 'out', say, ...(remedy && { remedy }) }
  },
  'pad-match'({ state }) {
    const rim = lastSeen(state, 'rimMaterial')
    const pads = lastSeen(state, 'padCompound')
    if (rim === undefined || pads === undefined) return undefined
    const wrong = padMismatch(rim, pads)
    const [padDeepMm, armSpaceMm] = [lastReading(state, 'padDeep'), lastReading(state, 'armSpace')]
    const room = padDeepMm !== undefined && armSpaceMm !== undefined ? padRoom(padDeepMm, armSpaceMm) : undefined
    if (!wrong && room && !room.ok) return refused(room.error.message)
    if (!wrong) return { state: 'well', say: `Pads and rim belong together: ${rim}.` }
    return { state: 'out', say: wrong, ...(rim === 'carbon' && { stop: true }) }
  },
  'pad-wear'({ state, windows }) {
    const sides = ['padLeft', 'padRight'] as const
    const [left, right] = sides.map((id) => lastReading(state, id))
    const face = findOption('padFace', lastSeen(state, 'padFace'))
    if (left === undefined || right === undefined || !face) return undefined
    const least = Math.min(left, right)
    if (isUnsafe(windows.of.padLeft, least))
      return {
        state: 'out',
        say: `Worn out: ${least.toFixed(1)} mm of compound. Do not ride; replace both pads.`,
        stop: true,
      }
    if (sides.some((id) => placed(windows, id, least) !== 'in'))
      return { state: 'out', say: 'The pads are worn: replace both.' }
    if (face.remedy) return { state: 'out', say: face.remedy }
    const uneven = unevenWear(left, right)
    return { state: 'well', say: uneven ?? 'Pads sound and evenly worn.', ...(uneven && { remark: uneven }) }
  },
  'pad-height'(stand) {
    const along = findOption('padArc', lastSeen(stand.state, 'padArc'))
    const paths = padPathsAt(stand)
    const edges = { left: lastReading(stand.state, EDGE.left), right: lastReading(stand.state, EDGE.right) }
    if (edges.left === undefined || edges.right === undefined || !along || !paths) return undefined
    if (!paths.ok) return refused(paths.error.message)
    if (along.remedy) return { state: 'out', say: along.remedy, ...(along.stop && { stop: true }) }
    const above = paths.value.flatMap(({ sides, drift }) =>
      sides.filter((side) => (edges[side] as number) < drift.arcMm),
    )
    if (above.length > 0)
      return {
        state: 'out',
        say: `The ${above.join(' and the ')} pad stands above the track: it meets the tyre and can burst it. Do not ride; set it lower.`,
        remedy: paths.value.map(({ drift }) => drift.say).join(' '),
        stop: true,
      }
    const school = stand.state.chosen.height
    const wrong = paths.value.flatMap(({ sides, drift }) =>
      sides.flatMap((side) => heightWrong(side, edges[side] as number, drift, school) ?? []),
    )
    return wrong.length > 0
      ? { state: 'out', say: wrong.map((each) => each.say).join(' '), remedy: inTurn(wrong.map((each) => each.remedy)) }
      : { state: 'well', say: paths.value.map(({ drift }) => drift.say).join(' ') }
  },
  toe({ state }) {
    const toes = SIDES.map((side) => ({ side, toe: lastReading(state, TOE[side]) }))
    const window = TOE_WINDOWS[state.chosen.toe]
    if (toes.some(({ toe }) => toe === undefined) || !window) return undefined
    const wrong = toes.flatMap(({ side, toe }) => toeWrong(side, toe as number, window) ?? [])
    if (wrong.length > 0) return { state: 'out', say: wrong.join(' ') }
    const flatter = toes.filter(({ toe }) => (toe as number) < window[0])
    return {
      state: 'well',
      say: `Toe-in ${toes.map(({ side, toe }) => `${side} ${toe?.toFixed(1)} mm`).join(', ')}.`,
      ...(flatter.length > 0 && {
        remark: `The ${flatter.map(({ side }) => side).join(' and the ')} pad meets the rim ${ALL_AT_ONCE}`,
      }),
    }
  },
  'cable-feel'({ state }) {
    const [feel, lined] = [lastSeen(state, 'cableFeel'), lastSeen(state, 'cableLined')]
    if (feel === undefined || lined === undefined) return undefined
    const remedy = cableFeel(feel, lined)
    return remedy ? { state: 'out', say: remedy } : { state: 'well', say: 'The inner runs smoothly.' }
  },
  'pads-back'(stand) {
    const back = findOption('padsBack', lastSeen(stand.state, 'padsBack'))
    if (!back) return undefined
    const weight = leverWeightAt(stand)
    if (weight && !weight.ok) return refused(weight.error.message)
    const told = weight?.ok ? weight.value : undefined
    if (back.remedy)
      return { state: 'out', say: back.remedy, ...(told && { remedy: told.say }), ...(back.stop && { stop: true }) }
    if (told?.remedy) return { state: 'out', say: told.say, remedy: told.remedy }
    return { state: 'well', say: told?.say ?? 'Both pads come back by themselves.' }
  },
  reach(stand) {
    const reach = reachAt(stand)
    if (!reach) return undefined
    if (!reach.ok) return refused(reach.error.message)
    const { fits, say, instead } = reach.value
    const ranges = instead.map(([low, high]) => `${low}–${high} mm`).join(' or ')
    return fits
      ? { state: 'well', say }
      : {
          state: 'out',
          say,
          remedy: ranges
            ? `A brake with a reach of ${ranges} would (common ranges, from memory).`
            : 'No common reach would: another wheel size, or another brake.',
        }
  },
}

/** The verdict of a computed step, or undefined while something it needs is missing. */
export const judge = (id: JudgeId, stand: Stand): Verdict | undefined => JUDGES[id](stand)
