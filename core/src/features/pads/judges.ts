import type { OnStand } from '../../brake/on-stand.ts'
import type { SeenOption } from '../../brake/reading.ts'
import type { Judged, Verdict } from '../../brake/step.ts'
import { isUnsafe, placedIn } from '../../brake/window.ts'
import type { Outcome } from '../../outcome/outcome.ts'
import { leverWeightAt } from '../cable/judge.ts'
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
} from './pads.ts'

/** A rule on a pad reads no closer than this. Our choice. */
const HEIGHT_ROOM_MM = 0.3

/** The answer to something seen at this brake. */
const optionOf = ({ family, seen }: OnStand, id: string): SeenOption | undefined =>
  family.seen.find((each) => each.id === id)?.options.find((each) => each.id === seen(id))

/** The pads’ paths over their life, on brakes whose pads turn about a pivot; undefined until rim and pads are measured. */
export function padPathsAt({ model, number, seen, dimensions }: OnStand): Outcome<readonly PadPath[]> | undefined {
  const [track, pad, left, right] = ['trackTall', 'padTall', ...THICKNESS].map(number)
  if (track === undefined || pad === undefined || left === undefined || right === undefined || !model.padArm)
    return undefined
  const lengthMm = seen('padShape') === 'straight' ? number('padLength') : undefined
  return padPaths(model.padArm, Math.max(0, Math.min(left, right) - WORN_MM), {
    trackMm: track,
    padMm: pad,
    ...(lengthMm !== undefined && { straight: { lengthMm, radiusMm: (dimensions.beadSeatMm as number) / 2 } }),
  })
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
/** What is left of either pad. */
export const THICKNESS = ['padLeft', 'padRight'] as const
/** The readings of either pad’s height and toe-in. */
export const EDGE = { left: 'padEdgeLeft', right: 'padEdgeRight' } as const
export const TOE = { left: 'toeLeft', right: 'toeRight' } as const

/** Each said once, in the order they came. */
const inTurn = (said: readonly string[]) => [...new Set(said)].join(' ')

type Outside = NonNullable<Verdict['outside']>

/** What is wrong with one pad: which side of what is accepted its reading lies, and the sentence for it. */
interface PadWrong {
  readonly side: Side
  readonly at: 'low' | 'high'
  readonly say: string
}

const outsideOf = (readings: Readonly<Record<Side, string>>, wrong: readonly PadWrong[]): Outside =>
  Object.fromEntries(wrong.map(({ side, at }) => [readings[side], at]))

/** What is wrong with the height of one pad, or undefined where it is well. */
function heightWrong(
  side: Side,
  edgeMm: number,
  drift: Drift,
  school: string,
): (PadWrong & { readonly remedy: string }) | undefined {
  const remedy = drift.say
  const { edgeLeastMm, edgeMostMm } = drift
  if (edgeMm < edgeLeastMm - HEIGHT_ROOM_MM)
    return { side, at: 'low', say: `The ${side} pad ${TOO_HIGH} ${leaving(drift, edgeMm)}`.trim(), remedy }
  if (edgeMm > Math.max(edgeLeastMm, edgeMostMm) + HEIGHT_ROOM_MM)
    return { side, at: 'high', say: `The ${side} pad ${TOO_LOW} ${leaving(drift, edgeMm)}`.trim(), remedy }
  const { lowMm, highMm } = startHeight(drift, school)
  return edgeMm < lowMm - HEIGHT_ROOM_MM || edgeMm > highMm + HEIGHT_ROOM_MM
    ? {
        side,
        at: edgeMm < lowMm ? 'low' : 'high',
        say: `The ${side} pad’s upper edge stands ${edgeMm.toFixed(1)} mm below the track’s upper edge; this school wants ${span(lowMm, highMm)}.`,
        remedy,
      }
    : undefined
}

/** What is wrong with the toe-in of one pad, or undefined where it is well. */
function toeWrong(side: Side, toeMm: number, [low, high]: readonly [number, number]): PadWrong | undefined {
  if (toeMm < 0) {
    const say = `The rear of the ${side} pad meets the rim first: never. Set it so that the front does, or all at once.`
    return { side, at: 'low', say }
  }
  if (toeMm <= high) return undefined
  const say = `Toe-in of the ${side} pad ${toeMm.toFixed(1)} mm; this school wants ${low} to ${high} mm.`
  return { side, at: 'high', say }
}

const ALL_AT_ONCE = 'nearly all at once: accepted where 0.5 mm is too fine to set.'

/** Pads for one rim on another: what that does, or undefined where they belong together. */
export function padMismatch(rim: string, pads: string): string | undefined {
  if (rim === pads) return undefined
  if (rim === 'carbon') return 'Pads not made for carbon overheat and tear a carbon track: never. Fit pads for carbon.'
  if (pads === 'carbon')
    return `Pads made for carbon brake poorly and wear quickly on a ${rim} rim. Fit pads for ${rim}.`
  return rim === 'steel'
    ? 'Pads for alloy brake poorly on a steel rim, worst in the wet. Fit pads for steel.'
    : 'Pads for steel wear an alloy track quickly. Fit pads for alloy.'
}

const refused = (message: string): Verdict => ({ state: 'out', say: message })

function judgePadMatch(at: OnStand): Verdict | undefined {
  const rim = at.seen('rimMaterial')
  const pads = at.seen('padCompound')
  if (rim === undefined || pads === undefined) return undefined
  const wrong = padMismatch(rim, pads)
  const [padDeepMm, armSpaceMm] = [at.number('padDeep'), at.number('armSpace')]
  const room = padDeepMm !== undefined && armSpaceMm !== undefined ? padRoom(padDeepMm, armSpaceMm) : undefined
  if (!wrong && room && !room.ok) return refused(room.error.message)
  if (!wrong) return { state: 'well', say: `Pads and rim belong together: ${rim}.` }
  return { state: 'out', say: wrong, ...(rim === 'carbon' && { stop: true }) }
}

function judgePadWear(at: OnStand): Verdict | undefined {
  const [left, right] = THICKNESS.map(at.number)
  const face = optionOf(at, 'padFace')
  if (left === undefined || right === undefined || !face) return undefined
  const least = Math.min(left, right)
  if (isUnsafe(at.windows.of[THICKNESS[0]], least))
    return {
      state: 'out',
      say: `Worn out: ${least.toFixed(1)} mm left. Do not ride; replace both pads.`,
      stop: true,
    }
  if (THICKNESS.some((id) => placedIn(at.windows, id, least) !== 'in'))
    return { state: 'out', say: 'The pads are worn: replace both.' }
  const marks = optionOf(at, 'padMarks')?.remedy
  if (marks) return { state: 'out', say: marks }
  if (face.remedy) return { state: 'out', say: face.remedy, ...(face.stop && { stop: true }) }
  const uneven = unevenWear(left, right)
  return { state: 'well', say: uneven ?? 'Pads sound and evenly worn.', ...(uneven && { remark: uneven }) }
}

function judgePadHeight(at: OnStand): Verdict | undefined {
  const along = optionOf(at, 'padArc')
  const paths = padPathsAt(at)
  const edges = { left: at.number(EDGE.left), right: at.number(EDGE.right) }
  if (edges.left === undefined || edges.right === undefined || !along || !paths) return undefined
  if (!paths.ok) return refused(paths.error.message)
  if (along.remedy) return { state: 'out', say: along.remedy, ...(along.stop && { stop: true }) }
  const above = paths.value.flatMap(({ sides, drift }) => sides.filter((side) => (edges[side] as number) < drift.arcMm))
  if (above.length > 0)
    return {
      state: 'out',
      say: `The ${above.join(' and the ')} pad stands above the track: it meets the tyre and can burst it. Do not ride; set it lower.`,
      remedy: paths.value.map(({ drift }) => drift.say).join(' '),
      outside: Object.fromEntries(above.map((side) => [EDGE[side], 'low'])),
      stop: true,
    }
  const school = at.schools.height?.option ?? ''
  const wrong = paths.value.flatMap(({ sides, drift }) =>
    sides.flatMap((side) => heightWrong(side, edges[side] as number, drift, school) ?? []),
  )
  return wrong.length > 0
    ? {
        state: 'out',
        say: wrong.map((each) => each.say).join(' '),
        remedy: inTurn(wrong.map((each) => each.remedy)),
        outside: outsideOf(EDGE, wrong),
      }
    : { state: 'well', say: paths.value.map(({ drift }) => drift.say).join(' ') }
}

function judgeToe(at: OnStand): Verdict | undefined {
  const toes = SIDES.map((side) => ({ side, toe: at.number(TOE[side]) }))
  const window = TOE_WINDOWS[at.schools.toe?.option ?? '']
  if (toes.some(({ toe }) => toe === undefined) || !window) return undefined
  const wrong = toes.flatMap(({ side, toe }) => toeWrong(side, toe as number, window) ?? [])
  if (wrong.length > 0)
    return { state: 'out', say: wrong.map(({ say }) => say).join(' '), outside: outsideOf(TOE, wrong) }
  const flatter = toes.filter(({ toe }) => (toe as number) < window[0])
  return {
    state: 'well',
    say: `Toe-in ${toes.map(({ side, toe }) => `${side} ${toe?.toFixed(1)} mm`).join(', ')}.`,
    ...(flatter.length > 0 && {
      remark: `The ${flatter.map(({ side }) => side).join(' and the ')} pad meets the rim ${ALL_AT_ONCE}`,
    }),
  }
}

function judgePadsBack(at: OnStand): Verdict | undefined {
  const back = optionOf(at, 'padsBack')
  if (!back) return undefined
  const weight = leverWeightAt(at)
  if (weight && !weight.ok) return refused(weight.error.message)
  const told = weight?.ok ? weight.value : undefined
  if (back.remedy)
    return { state: 'out', say: back.remedy, ...(told && { remedy: told.say }), ...(back.stop && { stop: true }) }
  if (told?.remedy) return { state: 'out', say: told.say, remedy: told.remedy }
  return { state: 'well', say: told?.say ?? 'Both pads come back by themselves.' }
}

/** Each verdict with the readings it is made from. */
export const PAD_MATCH: Judged = {
  kind: 'judged',
  judge: judgePadMatch,
  readings: ['rimMaterial', 'padCompound'],
  optional: ['padDeep', 'armSpace'],
}
export const PAD_WEAR: Judged = {
  kind: 'judged',
  judge: judgePadWear,
  readings: [...THICKNESS, 'padFace'],
  optional: ['padMarks'],
}
export const PAD_HEIGHT: Judged = {
  kind: 'judged',
  judge: judgePadHeight,
  readings: ['trackTall', 'padTall', EDGE.left, EDGE.right, 'padArc'],
  optional: ['padShape', 'padLength', 'washersNow', 'washerStep'],
}
export const TOE_IN: Judged = {
  kind: 'judged',
  judge: judgeToe,
  readings: [TOE.left, TOE.right, 'padsSet'],
  optional: ['padLength'],
}
export const PADS_BACK: Judged = {
  kind: 'judged',
  judge: judgePadsBack,
  readings: ['padsBack'],
  optional: ['leverWeight', 'leverBack'],
}
