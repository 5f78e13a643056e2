import type { Detail } from '../../../brake/drawings.ts'
import type { DimensionLine, Shape } from '../../../brake/frame.ts'
import { arc, box, figure, path, round } from '../../../brake/shapes.ts'
import type { Point } from '../../../calculation/calculation.ts'
import { sitsOnPosts } from '../fits.ts'
import { POSTS_MM } from '../limits.ts'

/** A caliper over its rotor, on whatever lies between it and its mount, mm. */
export interface OverRotor {
  readonly rotorMm: number
  readonly trackMm: number
  readonly topMm: number
  readonly bottomMm: number
  readonly padEdgeMm: number
  readonly padHeightMm: number
  readonly spacingMm: number
  readonly bracketMm: number
  /** From the seat up. */
  readonly spacersMm: readonly number[]
  readonly earMm: number
  readonly caliperBoltMm: number
}

/** What a caliper is drawn with where nothing of it was measured, mm along the rotor and outwards. */
const EAR_X = POSTS_MM / 2
const PAD_HALF = 12
const LIP: readonly [number, number] = [17, 25]
const ROOF_MM = 9
const EAR_UNDER_ROOF_MM = 20
const MOUNT_MM = 20
const WIDE = 62

const top = (radius: number, x: number): number => Math.sqrt(Math.max(0, radius * radius - x * x))

/** A ring of the rotor from one side of the drawing to the other, its outermost edge at 0. */
function ring(radius: number, outer: number, inner: number): readonly Point[] {
  const across = (r: number) => {
    const half = (Math.asin(Math.min(1, WIDE / r)) * 180) / Math.PI
    return arc([0, -radius], r, 90 + half, 90 - half, 24)
  }
  return [...across(outer), ...across(inner).toReversed()]
}

/** From the side, rotor’s edge at the middle as its origin, outwards up: everything at its own size. */
export function overRotor(drawn: OverRotor): Detail {
  const radius = drawn.rotorMm / 2
  const edge = (x: number) => top(radius, x) - radius
  const arms = (x: number) => top(radius - drawn.trackMm, x) - radius
  const roof = drawn.topMm
  const lips = -drawn.trackMm + drawn.bottomMm
  const ear = roof - EAR_UNDER_ROOF_MM
  const seat = ear - drawn.spacersMm.reduce((sum, each) => sum + each, 0)
  const mount = seat - drawn.bracketMm
  const posts = sitsOnPosts(drawn)
  const held = drawn.bracketMm > 0 ? drawn.spacingMm / 2 : EAR_X
  const low = mount - MOUNT_MM
  const sides = [-1, 1] as const

  const layers = drawn.spacersMm.reduce<{ readonly shapes: readonly Shape[]; readonly from: number }>(
    ({ shapes, from }, each) => ({
      shapes: [
        ...shapes,
        ...sides.map((side) => box('post', [side * EAR_X - 6, from], [side * EAR_X + 6, from + each])),
      ],
      from: from + each,
    }),
    { shapes: [], from: seat },
  ).shapes

  const shapes: readonly Shape[] = [
    figure('cut', ...ring(radius, radius, radius - drawn.trackMm)),
    ...[-48, -16, 16, 48].map((x) =>
      figure('arm', [x - 3, arms(x - 3)], [x + 3, arms(x + 3)], [x * 0.8 + 3, low], [x * 0.8 - 3, low]),
    ),
    box('pad', [-PAD_HALF, -drawn.padEdgeMm], [PAD_HALF, -drawn.padEdgeMm - drawn.padHeightMm]),
    figure('frame', [-LIP[1], roof], [LIP[1], roof], [LIP[1], roof + ROOF_MM], [-LIP[1], roof + ROOF_MM]),
    ...sides.flatMap((side) => [
      box('frame', [side * LIP[0], roof], [side * LIP[1], lips]),
      box('frame', [side * LIP[1], ear + drawn.earMm], [side * (EAR_X + 7), ear]),
    ]),
    ...layers,
    ...(drawn.bracketMm > 0
      ? [box('shoe', [-Math.max(EAR_X, held) - 9, seat], [Math.max(EAR_X, held) + 9, mount])]
      : []),
    ...sides.flatMap((side): readonly Shape[] =>
      posts
        ? [box('tube', [side * held - 8, mount], [side * held + 8, low])]
        : [box('tube', [side * held - 8, mount + 8], [side * held + 8, low]), round('bolt', [side * held, mount], 3)],
    ),
    ...sides.flatMap((side) => [
      box('bolt', [side * EAR_X - 5, ear + drawn.earMm + 5], [side * EAR_X + 5, ear + drawn.earMm]),
      box('bolt', [side * EAR_X - 3, ear + drawn.earMm], [side * EAR_X + 3, ear + drawn.earMm - drawn.caliperBoltMm]),
    ]),
    path('axis', [0, roof + ROOF_MM + 4], [0, low]),
  ]
  const spacers = seat < ear
  const dimensions: readonly DimensionLine[] = [
    { id: 'stackTop', from: [-6, edge(-6)], to: [-6, roof] },
    { id: 'stackBottom', from: [LIP[0] + 4, arms(LIP[0] + 4)], to: [LIP[0] + 4, lips] },
    { id: 'padEdge', from: [6, -drawn.padEdgeMm], to: [6, edge(6)] },
    { id: 'padHigh', from: [-PAD_HALF, -drawn.padEdgeMm - drawn.padHeightMm], to: [-PAD_HALF, -drawn.padEdgeMm] },
    { id: 'trackDeep', from: [-54, arms(-54)], to: [-54, edge(-54)] },
    { id: 'mountSpacing', from: [-held, low], to: [held, low], beside: -6 },
    { id: 'bracketRise', from: [EAR_X + 9, mount], to: [EAR_X + 9, seat], beside: -18 },
    {
      id: 'spacersUnder',
      from: [-EAR_X - 7, seat],
      to: [-EAR_X - 7, spacers ? ear : seat],
      beside: 6,
    },
  ]
  return {
    shapes,
    dimensions,
    labels: [
      { text: 'caliper', at: [LIP[1], roof + ROOF_MM], side: 'right' },
      { text: 'rotor', at: [-40, edge(-40) + 4], side: 'left' },
      ...(drawn.bracketMm > 0
        ? [{ text: 'bracket', at: [-Math.max(EAR_X, held) - 9, mount + 4] as Point, side: 'left' as const }]
        : []),
      { text: 'mount', at: [held + 8, low + 8], side: 'right' },
    ],
    bounds: { min: [-WIDE - 22, low - 12], max: [WIDE + 22, roof + ROOF_MM + 8] },
  }
}
