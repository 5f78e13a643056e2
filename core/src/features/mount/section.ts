import type { Shape } from '../../brake/frame.ts'
import type { Point } from '../../calculation/calculation.ts'
import { engagementFactor, thickness } from './fit.ts'
import type { BoltMount } from './measured.ts'
import type { Plan, Stack } from './plan.ts'

export type SectionRole = 'frame' | 'washer' | 'shank' | 'thread' | 'nut' | 'caliper' | 'seat-tube' | 'engaged' | 'axis'

/** A length along the bolt that the drawing names. */
export interface SectionMeasure {
  readonly text: string
  readonly from: number
  readonly to: number
}

/** A way of mounting cut open along its bolt: x along the bolt from the face the caliper stands on, y across, in mm. */
export interface Section {
  readonly shapes: readonly Shape<SectionRole>[]
  readonly measures: readonly SectionMeasure[]
  readonly bounds: { readonly min: Point; readonly max: Point }
  /** Which side the caliper hangs on, for the words below the drawing. */
  readonly turnedRound: boolean
}

const BOLT_HALF = 3
const ROOT_HALF = 2.4
const SLEEVE_HALF = 4
const HEAD_HALF = 6.5
const HEAD_MM = 2
const CALIPER_MM = 12
const HEX_HALF = 5
const STEPS = 18
/** A seat tube nearer than this behind the nut is drawn. */
const NEAR_MM = 30

const box = (x0: number, x1: number, y0: number, y1: number): readonly Point[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
]

const polygon = (role: SectionRole, points: readonly Point[]): Shape<SectionRole> => ({ kind: 'polygon', role, points })
const mirrored = (points: readonly Point[]): readonly Point[] => points.map(([x, y]) => [x, -y])
const both = (role: SectionRole, points: readonly Point[]) => [polygon(role, points), polygon(role, mirrored(points))]

/** How far a face of this curve has fallen away at a height above the bolt. */
const sag = (curve: number, y: number): number =>
  curve > 0 ? curve - Math.sqrt(Math.max(0, curve * curve - Math.min(y, curve) ** 2)) : 0

/** A face from one height to another, standing at x on the bolt’s axis and falling away `towards` +1 or −1. */
const face = (x: number, curve: number, from: number, to: number, towards: 1 | -1): readonly Point[] =>
  Array.from({ length: STEPS + 1 }, (_, index): Point => {
    const y = from + ((to - from) * index) / STEPS
    return [x + towards * sag(curve, y), y]
  })

interface Cut {
  readonly depth: number
  readonly half: number
  readonly wall: number | undefined
  readonly front: { readonly hole: number; readonly curve: number }
  readonly back: { readonly hole: number; readonly curve: number }
}

/** The frame above the bolt: two walls joined at the top for a tube, one block where it is solid. */
function frameShapes({ depth, half, wall, front, back }: Cut, recess: number): readonly Shape<SectionRole>[] {
  const frontTop = Math.min(half, front.curve || half)
  const backTop = Math.min(half, back.curve || half)
  const outer: readonly Point[] = [
    ...face(0, front.curve, front.hole / 2, frontTop, 1),
    ...face(depth, back.curve, back.hole / 2, backTop, -1).toReversed(),
  ]
  if (wall === undefined) {
    const step = depth - recess
    return both('frame', [...outer, [step, back.hole / 2], [step, front.hole / 2]])
  }
  const inside = (hole: number, curve: number) => ({
    from: hole / 2,
    top: Math.max(hole / 2, Math.min(half, curve || half) - wall),
  })
  const a = inside(front.hole, front.curve)
  const b = inside(back.hole, back.curve)
  return both('frame', [
    ...outer,
    ...face(depth - wall, Math.max(0, back.curve - wall), b.from, b.top, -1),
    ...face(wall, Math.max(0, front.curve - wall), a.from, a.top, 1).toReversed(),
  ])
}

/** A washer between two faces: hollow against the frame, flat outside. `x` is its flat side. */
function washerShapes(
  flat: number,
  seat: number,
  curve: number,
  hole: number,
  half: number,
): readonly Shape<SectionRole>[] {
  const towards = seat > flat ? 1 : -1
  return both('washer', [[flat, hole / 2], [flat, half], ...face(seat, curve, hole / 2, half, towards).toReversed()])
}

const WASHER_HALF = 6.5

function stackShapes(
  mount: BoltMount,
  stack: Stack,
  cut: Cut,
): { shapes: readonly Shape<SectionRole>[]; measures: readonly SectionMeasure[]; end: number } {
  const front = thickness(stack.front)
  const rear = thickness(stack.rear)
  const seat = -front
  const boltEnd = seat + mount.boltOutMm
  const backFace = cut.depth + rear
  const washers = [
    ...(stack.front
      ? washerShapes(seat, 0, cut.front.curve, stack.front.dimensions.holeMm as number, WASHER_HALF)
      : []),
    ...(stack.rear
      ? washerShapes(
          backFace,
          cut.depth,
          cut.back.curve,
          Math.max(stack.rear.dimensions.holeMm as number, stack.kind === 'sleeve' ? 8.1 : 0),
          WASHER_HALF,
        )
      : []),
  ]
  const bolt = [
    polygon('shank', box(seat, boltEnd, -BOLT_HALF, BOLT_HALF)),
    ...[1, -1].map(
      (side): Shape<SectionRole> => ({
        kind: 'line',
        role: 'thread',
        points: [
          [boltEnd - mount.threadedMm, side * ROOT_HALF],
          [boltEnd, side * ROOT_HALF],
        ],
      }),
    ),
  ]
  if (stack.kind === 'through') {
    const flat = thickness(stack.flat)
    const height = stack.nut.dimensions.heightMm as number
    const nutFrom = backFace + flat
    return {
      shapes: [
        ...washers,
        ...both(
          'washer',
          box(
            backFace,
            nutFrom,
            (stack.flat.dimensions.holeMm as number) / 2,
            Math.min(8, (stack.flat.dimensions.outerMm as number) / 2),
          ),
        ),
        ...bolt,
        ...both('nut', box(nutFrom, nutFrom + height, BOLT_HALF, HEX_HALF)),
        {
          kind: 'line',
          role: 'engaged',
          points: [
            [nutFrom, BOLT_HALF],
            [Math.min(nutFrom + height, boltEnd), BOLT_HALF],
          ],
        },
      ],
      measures: [
        { text: 'engaged', from: nutFrom, to: Math.min(nutFrom + height, boltEnd) },
        { text: 'showing', from: nutFrom + height, to: boltEnd },
      ],
      end: Math.max(nutFrom + height, boltEnd),
    }
  }
  const shank = stack.nut.dimensions.shankMm as number
  const thread = stack.nut.dimensions.threadDepthMm as number
  const tip = backFace - shank
  const overlapEnd = Math.min(boltEnd, tip + thread)
  return {
    shapes: [
      ...washers,
      ...bolt,
      ...both('nut', [
        [tip, BOLT_HALF],
        [tip, SLEEVE_HALF],
        [backFace, SLEEVE_HALF],
        [backFace, HEAD_HALF],
        [backFace + HEAD_MM, HEAD_HALF],
        [backFace + HEAD_MM, 2.6],
        [tip + thread, 2.6],
        [tip + thread, BOLT_HALF],
      ]),
      {
        kind: 'line',
        role: 'engaged',
        points: [
          [tip, BOLT_HALF],
          [overlapEnd, BOLT_HALF],
        ],
      },
    ],
    measures: [
      { text: 'engaged', from: tip, to: overlapEnd },
      ...(mount.wallMm === undefined ? [] : [{ text: 'clear', from: mount.wallMm, to: tip }]),
    ],
    end: backFace + HEAD_MM,
  }
}

/** The plan in section, drawn from the numbers it was worked out with; the bare mount where nothing holds yet. */
export function sectionOf(mount: BoltMount, plan: Plan | undefined): Section {
  const stack = plan?.stack
  const turnedRound = stack?.kind === 'sleeve' && stack.turnedRound
  const drills = plan?.way.drills !== undefined && plan.way.drills !== 'nothing'
  const near = { hole: mount.holeFrontMm, curve: mount.curveFrontMm }
  const far = { hole: mount.holeBackMm, curve: mount.curveBackMm }
  const [front, back] = turnedRound ? [far, near] : [near, far]
  const nutHole = drills && stack?.kind === 'sleeve' ? Math.max(back.hole, 8.05) : back.hole
  const cut: Cut = {
    depth: mount.depthMm,
    half: mount.tubeMm / 2,
    wall: mount.wallMm,
    front,
    back: { ...back, hole: nutHole },
  }
  const recess = stack?.kind === 'sleeve' ? (stack.nut.dimensions.shankMm as number) - thickness(stack.rear) + 0.5 : 0
  const own = stack ? stackShapes(mount, stack, cut) : { shapes: [], measures: [], end: mount.depthMm }
  const seat = -thickness(stack?.front)
  const half = Math.max(cut.half, 12)
  const seatTube = mount.depthMm + mount.roomMm
  const inSight = !turnedRound && seatTube <= own.end + NEAR_MM
  const end = inSight ? seatTube + 4 : own.end + 6
  return {
    turnedRound,
    shapes: [
      polygon('caliper', box(seat - CALIPER_MM, seat, -9, 9)),
      ...frameShapes(cut, Math.min(recess, mount.depthMm - 1)),
      ...own.shapes,
      ...(inSight ? [polygon('seat-tube', box(seatTube, end, -half, half))] : []),
      {
        kind: 'line',
        role: 'axis',
        points: [
          [seat - CALIPER_MM - 2, 0],
          [end + 2, 0],
        ],
      },
    ],
    measures: own.measures.filter((each) => each.to - each.from > 0.05),
    bounds: { min: [seat - CALIPER_MM - 3, -half - 2], max: [end + 3, half + 2] },
  }
}

/** Thread wanted in the nut, for the words beside the drawing. */
export const wantedEngagementMm = (stack: Stack): number | undefined =>
  stack.kind === 'sleeve' ? engagementFactor(stack.nut) * 2 * BOLT_HALF : undefined
