import { LEVER_HOLDS } from '../../bench/fasteners.ts'
import type { AdjusterSpec } from '../../brake/adjuster.ts'
import type { Dimensions } from '../../brake/dimension.ts'
import type { DimensionLine, FastenerPlace, Frame, Handle, Leader, Moment, Shape } from '../../brake/frame.ts'
import { box, figure, path, round, turnedBy } from '../../brake/shapes.ts'
import type { Point } from '../../calculation/calculation.ts'
import { type DiscKind, gapsOf } from '../../features/disc-caliper/kind.ts'
import { gapsIn, Q } from './inputs.ts'
import { type Caliper, gapsAtRest, type Squeezed, squeezed } from './squeeze.ts'

/** Gaps are too small to be seen at their own scale: they are drawn this much larger, sideways only. */
export const GAPS_TIMES = 14

/** A section’s own measures, mm as drawn: half a rotor, a pad’s height and thickness, the body around them. */
const ROTOR_HALF = 3
const PAD = { top: 8, low: -12, thick: 9, plate: 4 } as const
const BODY = { half: 40, top: 22, roof: 32, low: -26 } as const
/** The arm and its cam, from the side. */
const ARM: Point = [-98, -58]
const ARM_REST_DEG = 58
const ARM_HALF = 6

interface Shown extends Caliper {
  readonly leverage: number
  readonly reachMm: number
}

/** What is drawn: the pads’ faces and the rotor’s middle, mm as drawn, wheel to the right. */
interface Drawn {
  readonly outerFace: number
  readonly innerFace: number
  readonly rotor: number
}

function padShapes(side: -1 | 1, face: number): readonly Shape[] {
  return [
    box('pad', [face, PAD.top], [face + side * PAD.thick, PAD.low]),
    box('shoe', [face + side * PAD.thick, PAD.top + 1], [face + side * (PAD.thick + PAD.plate), PAD.low - 1]),
  ]
}

function pads({ outerFace, innerFace }: Drawn): readonly Shape[] {
  return [...padShapes(-1, outerFace), ...padShapes(1, innerFace)]
}

const rotorAt = (x: number): Shape => box('cut', [x - ROTOR_HALF, 14], [x + ROTOR_HALF, -58])

function body(kind: DiscKind): readonly Shape[] {
  const { half, top, roof, low } = BODY
  return [
    figure(
      'frame',
      [-half, roof],
      [half, roof],
      [half, low],
      [half - 8, low],
      [half - 8, top],
      [-half + 8, top],
      [-half + 8, low],
      [-half, low],
    ),
    box('bolt', [half - 8, 4], [half + 10, -8]),
    box('bolt', [-half - 10, 4], [-half + 8, -8]),
    ...(kind === 'both-move' ? [] : [box('boss', [half + 10, 6], [half + 16, -10])]),
    ...(kind === 'two-adjusters' ? [box('boss', [-half - 16, 6], [-half - 10, -10])] : []),
    box('arm', [-half + 2, low], [-half + 12, low - 14]),
    box('arm', [half - 12, low], [half - 2, low - 14]),
  ]
}

/** The cable pulled at the arm turns it: cable over its length. */
const angleOf = (d: Dimensions, armMm: number): number => ARM_REST_DEG + (armMm / (d.armMm as number)) * (180 / Math.PI)

function arm(d: Dimensions, armMm: number): readonly Shape[] {
  const long = d.armMm as number
  return turnedBy(
    [
      figure(
        'arm',
        [ARM[0] - 8, ARM[1]],
        [ARM[0] - 5, ARM[1] + long],
        [ARM[0] + 5, ARM[1] + long],
        [ARM[0] + 8, ARM[1]],
      ),
      round('boss', ARM, 9),
      figure('cut', [ARM[0], ARM[1] + 6], [ARM[0] + 6, ARM[1]], [ARM[0], ARM[1] - 6], [ARM[0] - 4, ARM[1]]),
      round('bolt', [ARM[0], ARM[1] + long], 3.4),
    ],
    ARM,
    angleOf(d, armMm) - 90,
  )
}

function tipOf(d: Dimensions, armMm: number): Point {
  const long = d.armMm as number
  const angle = (angleOf(d, armMm) * Math.PI) / 180
  return [ARM[0] + long * Math.cos(angle), ARM[1] + long * Math.sin(angle)]
}

/** What the arm leans on at rest: beside it, towards the caliper. */
function stopOf(d: Dimensions): Point {
  const along = 0.7 * (d.armMm as number)
  const angle = (ARM_REST_DEG * Math.PI) / 180
  return [
    ARM[0] + along * Math.cos(angle) + ARM_HALF * Math.sin(angle),
    ARM[1] + along * Math.sin(angle) - ARM_HALF * Math.cos(angle),
  ]
}

/** A disc in section through rotor and pads, and its arm from the side, at one moment of a squeeze. */
export function discFrame(
  kind: DiscKind,
  d: Dimensions,
  caliper: Shown,
  q: Float64Array,
  adjusters: readonly AdjusterSpec[],
  { travelMm, wheelDeg, focus }: Moment,
): Frame {
  const own = { ...caliper, ratio: caliper.ratio * Math.exp(q[Q.ratio] as number) }
  const rest = { ...gapsIn(kind, q), slackMm: q[Q.slack] as number }
  const cableMm = Math.max(
    0,
    travelMm / (caliper.leverage * Math.exp(q[Q.lever] as number)) - (q[Q.freePlay] as number),
  )
  const open = gapsAtRest(own, rest)
  const now = squeezed(own, rest, cableMm)
  const swing = now.bentMm > 0 ? 0 : ((d.rotorRunoutMm as number) / 2) * Math.sin((wheelDeg * Math.PI) / 180)
  const drawn = drawnAt(open.innerMm, now, swing)
  const gaps = gapsOf(kind)
  const tip = tipOf(d, now.armMm)
  const home = tipOf(d, 0)
  const stop = stopOf(d)
  const leader = (reading: string, side: 'left' | 'right', at: Point, mm: number): Leader => ({
    reading,
    side,
    to: at,
    drawn: Math.max(0, mm),
  })
  const lines: readonly DimensionLine[] = [
    ...(focus === 'armMm' ? [{ id: 'armMm', from: ARM, to: tip }] : []),
    { id: 'armRest', from: home, to: tipOf(d, squeezed(own, rest, 0).armMm) },
    { id: gaps.outer.reading, from: [drawn.outerFace, 0], to: [drawn.rotor - ROTOR_HALF, 0] },
    { id: gaps.inner.reading, from: [drawn.rotor + ROTOR_HALF, -5], to: [drawn.innerFace, -5] },
  ]
  const places: Readonly<Record<string, readonly [Point, 'left' | 'right']>> = {
    fixedPad: [[BODY.half + 16, -2], 'right'],
    movingPad: [[-BODY.half - 16, -2], 'left'],
    caliper: [[BODY.half - 7, BODY.low - 14], 'right'],
    anchor: [tip, 'left'],
    barrel: [[-128, tip[1]], 'left'],
  }
  return {
    still: [
      ...body(kind),
      path('axis', [0, 36], [0, -62]),
      box('cut', [stop[0], stop[1] - 5], [stop[0] + 8, stop[1] + 5]),
    ],
    moving: [rotorAt(drawn.rotor), ...pads(drawn), ...arm(d, now.armMm)],
    cable: [path('housing', [-144, tip[1]], [-128, tip[1]]), path('cable', [-128, tip[1]], tip)],
    leaders: [
      leader(gaps.outer.reading, 'left', [(drawn.outerFace + drawn.rotor - ROTOR_HALF) / 2, 0], now.outerMm),
      leader(gaps.inner.reading, 'right', [(drawn.innerFace + drawn.rotor + ROTOR_HALF) / 2, -5], now.innerMm),
    ],
    dimensions: lines.map((line) => (line.id === focus ? { ...line, strong: true as const } : line)),
    insets: [],
    handles: adjusters.flatMap(({ id }): readonly Handle[] => {
      const place = places[id]
      return place ? [{ adjuster: id, at: place[0], side: place[1] }] : []
    }),
    fasteners: fastenersAt(tip),
    labels: [
      { text: 'wheel this way', at: [96, -71], side: 'left' },
      { text: `gaps ${GAPS_TIMES} times larger`, at: [-50, -86], side: 'right' },
    ],
    bounds: { min: [-146, -90], max: [96, 44] },
    tensionN: now.tensionN,
    turns: true,
  }
}

/** What holds a disc: rotor and axle at the wheel, caliper and bracket at the frame, the cable at the arm, and the lever beyond it. */
const fastenersAt = (tip: Point): readonly FastenerPlace[] => [
  { fastener: 'rotor bolts', at: [0, -50], side: 'right' },
  { fastener: 'lock ring', at: [0, -50], side: 'right' },
  { fastener: 'axle nuts', at: [0, -60], side: 'right' },
  { fastener: 'caliper bolts', at: [BODY.half - 7, BODY.low - 14], side: 'right' },
  { fastener: 'bracket bolts', at: [-BODY.half + 7, BODY.low - 14], side: 'left' },
  { fastener: 'anchor', at: tip, side: 'left' },
  ...LEVER_HOLDS.map((fastener): FastenerPlace => ({ fastener, at: [-142, tip[1]], side: 'left' })),
]

/** Where pads and rotor stand: the rotor’s middle at rest is 0. */
function drawnAt(innerRestMm: number, now: Squeezed, swingMm: number): Drawn {
  const rotor = GAPS_TIMES * (now.bentMm + swingMm)
  return {
    rotor,
    // A fixed pad stays where it stood: the rotor is bent on to it.
    innerFace: ROTOR_HALF + GAPS_TIMES * (now.bentMm > 0 ? Math.max(0, innerRestMm) : now.innerMm),
    outerFace: -ROTOR_HALF - GAPS_TIMES * (now.outerMm - now.bentMm),
  }
}

/** The pads where the next turn brings them. */
export function discGhost(kind: DiscKind, expected: Readonly<Record<string, number>>): readonly Shape[] {
  const { inner, outer } = gapsOf(kind)
  return pads({
    rotor: 0,
    innerFace: ROTOR_HALF + GAPS_TIMES * (expected[inner.reading] ?? 0),
    outerFace: -ROTOR_HALF - GAPS_TIMES * (expected[outer.reading] ?? 0),
  })
}
