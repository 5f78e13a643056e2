import { type Detail, type DetailAt, type DetailSpec, drawnAt } from '../../../brake/drawings.ts'
import type { DimensionLine, Shape } from '../../../brake/frame.ts'
import { box, figure, movedBy, path, round } from '../../../brake/shapes.ts'
import { rimSection } from '../section.ts'

type Sided = 'Left' | 'Right'
const SIDES: readonly (readonly [-1 | 1, Sided])[] = [
  [-1, 'Left'],
  [1, 'Right'],
]

const COMPOUND = 5
const DEEP = 14
const TALL = 9
const TRACK = 12
const EDGE = 1

/** Both pads on the rim, brake applied: where they lie on the track, how thick they are, how far the arm stands off. */
function onTrack(at: DetailAt): Detail {
  const half = (at.dimensions.rimWidthMm as number) / 2
  const track = drawnAt(at, 'trackTall', TRACK)
  const tall = drawnAt(at, 'padTall', TALL)
  const deep = drawnAt(at, 'padDeep', DEEP)
  const space = drawnAt(at, 'armSpace', deep + 6)
  // The section puts its track about its middle; the drawing counts from the track’s upper edge.
  const rim = movedBy(
    rimSection(half * 2, at.dimensions.tyreWidthMm as number, 0).filter(({ role }) => role !== 'axis'),
    [0, -5],
  )
  const pad = (side: -1 | 1, name: Sided) => {
    const compound = drawnAt(at, `pad${name}`, COMPOUND)
    const top = -drawnAt(at, `padEdge${name}`, EDGE)
    const x = (off: number) => side * (half + off)
    const shapes: readonly Shape[] = [
      box('pad', [x(0), top], [x(compound), top - tall]),
      box('shoe', [x(compound), top - 1], [x(Math.max(compound + 2, deep)), top - tall + 1]),
      box('post', [x(Math.max(compound + 2, deep)), top - tall / 2 + 2.5], [x(deep + 14), top - tall / 2 - 2.5]),
    ]
    const dimensions: readonly DimensionLine[] = [
      { id: `pad${name}`, from: [x(0), top - tall - 4], to: [x(compound), top - tall - 4] },
      { id: `padEdge${name}`, from: [x(deep + 4), top], to: [x(deep + 4), 0] },
    ]
    return { shapes, dimensions }
  }
  const pads = SIDES.map(([side, name]) => pad(side, name))
  const right = -drawnAt(at, 'padEdgeRight', EDGE)
  const left = -drawnAt(at, 'padEdgeLeft', EDGE)
  return {
    shapes: [
      ...rim,
      ...pads.flatMap(({ shapes }) => shapes),
      path('limit', [-half - deep - 20, 0], [-half, 0]),
      path('limit', [half, 0], [half + deep + 20, 0]),
      path('limit', [-half - deep - 20, -track], [-half, -track]),
      ...(at.number('armSpace') === undefined ? [] : [path('ghost', [half + space, 8], [half + space, -track])]),
    ],
    dimensions: [
      ...pads.flatMap(({ dimensions }) => dimensions),
      { id: 'trackTall', from: [-half - deep - 15, -track], to: [-half - deep - 15, 0] },
      { id: 'padTall', from: [half + deep + 15, right - tall], to: [half + deep + 15, right] },
      { id: 'padDeep', from: [half, right - tall - 10], to: [half + deep, right - tall - 10] },
      { id: 'armSpace', from: [half, 7], to: [half + space, 7] },
    ],
    labels: [{ text: 'track', at: [-half - deep - 18, left > -track ? -track : 0], side: 'left' }],
    bounds: { min: [-half - deep - 34, -track - 20], max: [half + deep + 34, 26] },
  }
}

export const ON_TRACK: DetailSpec = {
  id: 'on-track',
  title: 'pads on the rim, brake applied, from the saddle',
  readings: ['padLeft', 'padRight', 'trackTall', 'padTall', 'padEdgeLeft', 'padEdgeRight', 'padDeep', 'armSpace'],
  draw: onTrack,
}

const TOE_TIMES = 5
const TOE_LEAST = 0.15

/** Both pads from above, the front of the wheel up: what stands open at their rear edges. */
function fromAbove(at: DetailAt): Detail {
  const half = (at.dimensions.rimWidthMm as number) / 2
  const long = drawnAt(at, 'padLength', 50)
  const toe = (name: Sided) => {
    const mm = drawnAt(at, `toe${name}`, 0.5)
    return TOE_TIMES * Math.sign(mm || 1) * Math.max(TOE_LEAST, Math.abs(mm))
  }
  const pad = (side: -1 | 1, name: Sided): readonly Shape[] => {
    const open = toe(name)
    const [front, rear] = [Math.max(0, -open), Math.max(0, open)]
    const x = (off: number) => side * (half + off)
    return [
      figure('pad', [x(front), long / 2], [x(front + 8), long / 2], [x(rear + 8), -long / 2], [x(rear), -long / 2]),
      figure(
        'shoe',
        [x(front + 8), long / 2],
        [x(front + 11), long / 2],
        [x(rear + 11), -long / 2],
        [x(rear + 8), -long / 2],
      ),
      box('post', [x((front + rear) / 2 + 11), 3], [x((front + rear) / 2 + 19), -3]),
    ]
  }
  const [openLeft, openRight] = [toe('Left'), toe('Right')]
  const atEdge = (open: number) => (open < 0 ? long / 2 : -long / 2)
  return {
    shapes: [
      box('cut', [-half, long / 2 + 16], [-half + 2, -long / 2 - 16]),
      box('cut', [half - 2, long / 2 + 16], [half, -long / 2 - 16]),
      box('skin', [-half, long / 2 + 16], [half, -long / 2 - 16]),
      path('axis', [0, long / 2 + 18], [0, -long / 2 - 18]),
      ...pad(-1, 'Left'),
      ...pad(1, 'Right'),
    ],
    dimensions: [
      {
        id: 'toeLeft',
        from: [-half - Math.abs(openLeft), atEdge(openLeft)],
        to: [-half, atEdge(openLeft)],
        beside: -6,
      },
      {
        id: 'toeRight',
        from: [half, atEdge(openRight)],
        to: [half + Math.abs(openRight), atEdge(openRight)],
        beside: -6,
      },
      { id: 'padLength', from: [half + 24, -long / 2], to: [half + 24, long / 2] },
    ],
    labels: [
      { text: 'front', at: [half, long / 2 + 14], side: 'right' },
      { text: 'rear', at: [half, -long / 2 - 14], side: 'right' },
    ],
    bounds: { min: [-half - 40, -long / 2 - 20], max: [half + 40, long / 2 + 20] },
    enlarged: `toe-in ${TOE_TIMES} times larger`,
  }
}

export const FROM_ABOVE: DetailSpec = {
  id: 'from-above',
  title: 'pads from above',
  readings: ['toeLeft', 'toeRight', 'padLength'],
  draw: fromAbove,
}

/** A shoe on its threaded post with its pairs of washers, the thick one inside or outside the arm. */
function washers(at: DetailAt): Detail {
  const step = drawnAt(at, 'washerStep', 3)
  const [thin, thick] = [3, 3 + step]
  const inside = at.seen('washersNow') === 'thick' ? thick : thin
  const outside = inside === thick ? thin : thick
  const arm = 14 + inside
  const pair = (x: number, wide: number): readonly Shape[] => [
    figure('boss', [x, 6], [x + wide, 8], [x + wide, -8], [x, -6]),
    path('skin', [x + wide / 2, 7], [x + wide / 2, -7]),
  ]
  const [thickAt, thinAt] = inside === thick ? [14, arm + 8] : [arm + 8, 14]
  return {
    shapes: [
      box('pad', [0, 10], [8, -10]),
      box('shoe', [8, 9], [14, -9]),
      box('bolt', [14, 3], [arm + 8 + outside + 12, -3]),
      ...pair(14, inside),
      box('arm', [arm, 16], [arm + 8, -16]),
      ...pair(arm + 8, outside),
      box('arm', [arm + 8 + outside, 6], [arm + 14 + outside, -6]),
      round('axis', [arm + 4, 0], 1),
    ],
    dimensions: [
      {
        id: 'washerStep',
        from: [thickAt + Math.min(thin, thick), 8],
        to: [thickAt + Math.max(thin, thick), 8],
        beside: 8,
      },
    ],
    labels: [
      { text: 'thin pair', at: [thinAt + thin / 2, -8], side: 'left' },
      { text: 'arm', at: [arm + 6, -16], side: 'right' },
    ],
    bounds: { min: [-6, -26], max: [arm + 8 + outside + 18, 28] },
  }
}

export const WASHERS: DetailSpec = {
  id: 'washers',
  title: 'shoe on its threaded post',
  readings: ['washerStep'],
  draw: washers,
}
