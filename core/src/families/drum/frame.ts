import { LEVER_HOLDS } from '../../bench/fasteners.ts'
import type { AdjusterSpec } from '../../brake/adjuster.ts'
import type { Dimensions } from '../../brake/dimension.ts'
import type { DimensionLine, Frame, Handle, Moment, Shape } from '../../brake/frame.ts'
import { arc, box, figure, path, round, turnedBy } from '../../brake/shapes.ts'
import type { Point } from '../../calculation/calculation.ts'
import { Q } from './inputs.ts'
import { camRatio } from './torque.ts'

/** Clearances are too small to be seen at their own scale: they are drawn this much larger. */
export const CLEAR_TIMES = 10
const LINING_MM = 3
const SHOE_MM = 5
/** The arm’s own angle at rest, from upright, away from the cable. */
const ARM_REST_DEG = -28

interface Shown {
  readonly leverage: number
  readonly stiffness: number
}

/** From the hinge below, each shoe’s lining as an arc: degrees from the axis upwards, by side. */
const onSide = (side: -1 | 1, fromHinge: number): number => (side === 1 ? -90 + fromHinge : 270 - fromHinge)

function shoe(d: Dimensions, side: -1 | 1, clearDrawn: number): readonly Shape[] {
  const radius = d.drumRadiusMm as number
  const [start, end] = [d.liningStartDeg as number, d.liningEndDeg as number]
  const hinge: Point = [0, -(d.hingeShare as number) * radius]
  const ring = (outer: number, inner: number, from: number, to: number) =>
    figure(
      'shoe',
      ...arc([0, 0], outer, onSide(side, from), onSide(side, to), 20),
      ...arc([0, 0], inner, onSide(side, from), onSide(side, to), 20).toReversed(),
    )
  const lining = { ...ring(radius, radius - LINING_MM, start, end), role: 'pad' as const }
  const web = ring(radius - LINING_MM, radius - LINING_MM - SHOE_MM, 8, 168)
  // It swings about its hinge: at its middle by half of what the cam spreads it.
  const swing = (clearDrawn / ((d.shoeArmShare as number) * radius)) * (180 / Math.PI)
  return turnedBy([web, lining], hinge, side * swing)
}

/** The cam between the tips, and the arm on its axle. */
function cam(d: Dimensions, turnDeg: number): readonly Shape[] {
  const radius = d.drumRadiusMm as number
  const at: Point = [0, ((d.shoeArmShare as number) - (d.hingeShare as number)) * radius]
  const half = d.camHalfMm as number
  const long = d.armMm as number
  return [
    ...turnedBy([box('cut', [at[0] - half * 0.55, at[1] + half], [at[0] + half * 0.55, at[1] - half])], at, turnDeg),
    ...turnedBy(
      [
        figure('arm', [at[0] - 5, at[1]], [at[0] - 3.5, at[1] + long], [at[0] + 3.5, at[1] + long], [at[0] + 5, at[1]]),
        round('boss', at, 5),
        round('bolt', [at[0], at[1] + long], 2.6),
      ],
      at,
      ARM_REST_DEG + turnDeg,
    ),
  ]
}

function tipAt(d: Dimensions, turnDeg: number): Point {
  const radius = d.drumRadiusMm as number
  const angle = ((90 + ARM_REST_DEG + turnDeg) * Math.PI) / 180
  const long = d.armMm as number
  return [
    long * Math.cos(angle),
    ((d.shoeArmShare as number) - (d.hingeShare as number)) * radius + long * Math.sin(angle),
  ]
}

/** How far cable pulled turns the cam, and what that leaves of the clearance at the lining’s middle, mm. */
function closing(d: Dimensions, spareMm: number, squashMm: number, pulledMm: number) {
  const press = Math.max(0, spareMm) + Math.max(0, squashMm)
  const closed = Math.min(press, Math.max(0, pulledMm))
  return {
    turnDeg: (Math.max(0, pulledMm) / (d.armMm as number)) * (180 / Math.PI),
    clearMm: (press - closed) / camRatio(d),
    over: Math.max(0, pulledMm - press),
  }
}

/** A drum from its plate’s side, shoes, cam and arm, at one moment of a squeeze. */
export function drumFrame(
  d: Dimensions,
  { leverage, stiffness }: Shown,
  q: Float64Array,
  adjusters: readonly AdjusterSpec[],
  { travelMm, wheelDeg, focus }: Moment,
): Frame {
  const radius = d.drumRadiusMm as number
  const pulled = travelMm / (leverage * Math.exp(q[Q.lever] as number)) - (q[Q.freePlay] as number)
  const now = closing(d, q[Q.spare] as number, q[Q.squash] as number, pulled)
  const clear = CLEAR_TIMES * now.clearMm
  const tip = tipAt(d, now.turnDeg)
  const spoke = (wheelDeg * Math.PI) / 180
  const places: Readonly<Record<string, readonly [Point, 'left' | 'right']>> = {
    anchor: [tip, 'left'],
    barrel: [[-radius - 74, tip[1]], 'left'],
  }
  const lines: readonly DimensionLine[] = [
    { id: 'drumRadiusMm', from: [0, 0], to: [radius, 0], of: 'radius' },
    { id: 'armMm', from: [0, ((d.shoeArmShare as number) - (d.hingeShare as number)) * radius], to: tip },
    {
      id: 'camHalfMm',
      from: [0, ((d.shoeArmShare as number) - (d.hingeShare as number)) * radius - (d.camHalfMm as number)],
      to: [0, ((d.shoeArmShare as number) - (d.hingeShare as number)) * radius],
      beside: -8,
    },
  ]
  return {
    still: [
      round('frame', [0, 0], radius + 5),
      round('void', [0, 0], radius),
      figure('post', [radius + 4, -6], [radius + 58, -14], [radius + 58, -22], [radius + 2, -16]),
      round('bolt', [radius + 52, -18], 3),
    ],
    moving: [
      ...([-1, 1] as const).flatMap((side) => shoe(d, side, clear)),
      round('boss', [0, -(d.hingeShare as number) * radius], 4),
      round('boss', [0, 0], 7),
      path('skin', [0, 0], [(radius + 5) * Math.cos(spoke), (radius + 5) * Math.sin(spoke)]),
      ...cam(d, now.turnDeg),
    ],
    cable: [
      path('housing', [-radius - 90, tip[1]], [-radius - 74, tip[1]]),
      path('cable', [-radius - 74, tip[1]], tip),
    ],
    leaders: [],
    dimensions: lines.filter(({ id }) => id === focus).map((line) => ({ ...line, strong: true as const })),
    insets: [],
    handles: adjusters.flatMap(({ id }): readonly Handle[] => {
      const place = places[id]
      return place ? [{ adjuster: id, at: place[0], side: place[1] }] : []
    }),
    fasteners: [
      { fastener: 'axle nuts', at: [0, 0], side: 'right' },
      { fastener: 'lock nut', at: [2, -4], side: 'right' },
      { fastener: 'reaction arm', at: [radius + 52, -18], side: 'right' },
      { fastener: 'anchor', at: tip, side: 'left' },
      ...LEVER_HOLDS.map((fastener) => ({ fastener, at: [-radius - 88, tip[1]] as const, side: 'left' as const })),
    ],
    labels: [
      { text: 'reaction arm', at: [radius + 58, -14], side: 'left' },
      { text: 'hinge', at: [4, -(d.hingeShare as number) * radius - 2], side: 'right' },
      { text: `clearance ${CLEAR_TIMES} times larger`, at: [-radius, -radius - 12], side: 'right' },
    ],
    bounds: { min: [-radius - 92, -radius - 22], max: [radius + 66, radius + 58] },
    tensionN: now.over * stiffness,
    seenFrom: 'from the plate’s side',
    turns: true,
  }
}

/** The shoes where the next turn leaves them. */
export function drumGhost(d: Dimensions, expected: Readonly<Record<string, number>>): readonly Shape[] {
  const clear = CLEAR_TIMES * (Math.max(0, expected.shoesClear ?? 0) / camRatio(d))
  return ([-1, 1] as const).flatMap((side) => shoe(d, side, clear))
}
