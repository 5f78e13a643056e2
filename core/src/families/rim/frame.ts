import { LEVER_HOLDS } from '../../bench/fasteners.ts'
import type {
  DimensionLine,
  FastenerPlace,
  Frame,
  FrameLabel,
  Handle,
  Inset,
  Leader,
  Moment,
  Side,
} from '../../brake/frame.ts'
import type { Point } from '../../mechanics/vector.ts'
import type { Outline, Squeeze } from './outline.ts'

/** Nearer to the middle than this a part belongs to neither side of the drawing. */
const AXIS_MM = 10

const sideOf = ([x]: Point, middle: Side): Side => (x < -AXIS_MM ? 'left' : x > AXIS_MM ? 'right' : middle)

const GAPS: readonly { readonly reading: string; readonly side: Side }[] = [
  { reading: 'gapLeft', side: 'left' },
  { reading: 'gapRight', side: 'right' },
]

/** From a pad’s face outwards to the nut on its post. */
const POST_MM = 17

/** What holds a rim brake, where its outline says where: arms, pads, cable. Lever and axle lie beyond the picture. */
function fastenersAt({ anchors, fixing, bounds }: Outline): readonly FastenerPlace[] {
  const pads = GAPS.flatMap(({ reading, side }): readonly FastenerPlace[] => {
    const at = anchors[reading]
    const fastener = `${side} pad`
    return at && !(fastener in fixing)
      ? [{ fastener, at: [at[0] + (side === 'left' ? -POST_MM : POST_MM), at[1]], side }]
      : []
  })
  const fixed = Object.entries(fixing).map(
    ([fastener, at]): FastenerPlace => ({ fastener, at, side: sideOf(at, 'right') }),
  )
  const { anchor, barrel } = anchors
  return [
    ...pads,
    ...fixed,
    ...(anchor ? [{ fastener: 'anchor', at: anchor, side: sideOf(anchor, 'left') }] : []),
    ...LEVER_HOLDS.flatMap((fastener): readonly FastenerPlace[] =>
      barrel ? [{ fastener, at: [barrel[0], bounds.max[1] - 2], side: sideOf(barrel, 'right') }] : [],
    ),
    { fastener: 'axle nuts', at: [0, bounds.min[1] + 4], side: 'left' },
  ]
}

/** A rim brake’s frame from its outline: gaps on leader lines and enlarged beside it, adjusters where they are reached. */
export function rimFrame(
  outline: Outline,
  squeeze: Squeeze,
  adjusters: readonly { readonly id: string }[],
  { focus }: Moment,
): Frame {
  const { fixed, left, right, cable, anchors, bounds } = outline
  const drawn = { gapLeft: squeeze.gapLeftMm, gapRight: squeeze.gapRightMm } as const
  const gap = (reading: string) => drawn[reading as keyof typeof drawn]
  const leaders = GAPS.flatMap(({ reading, side }): readonly Leader[] => {
    const to = anchors[reading]
    return to ? [{ reading, side, to, drawn: gap(reading) }] : []
  })
  const dimensions = leaders.map(({ reading, side, to: [x, y] }): DimensionLine => {
    const half = gap(reading) / 2
    const sign = side === 'left' ? -1 : 1
    return {
      id: reading,
      from: [x + sign * half, y],
      to: [x - sign * half, y],
      ...(reading === focus && { strong: true }),
    }
  })
  const handles = adjusters.flatMap(({ id }): readonly Handle[] => {
    const at = anchors[id]
    return at ? [{ adjuster: id, at, side: sideOf(at, id === 'anchor' ? 'left' : 'right') }] : []
  })
  const anchor = anchors.anchor
  const labels: readonly FrameLabel[] = anchor ? [{ text: 'anchor', at: anchor, side: sideOf(anchor, 'left') }] : []
  const insets = GAPS.map(
    ({ reading, side }): Inset => ({ id: reading, title: 'gap', side, apartMm: Math.max(0, gap(reading)) }),
  )
  return {
    still: fixed,
    moving: [...left, ...right],
    cable,
    leaders,
    dimensions,
    insets,
    handles,
    fasteners: fastenersAt(outline),
    labels,
    bounds,
    tensionN: squeeze.tensionN,
  }
}
