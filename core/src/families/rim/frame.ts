import type { DimensionLine, Frame, FrameLabel, Handle, Inset, Leader, Moment, Side } from '../../brake/frame.ts'
import type { Point } from '../../mechanics/vector.ts'
import type { Outline, Squeeze } from './outline.ts'

/** Nearer to the middle than this a part belongs to neither side of the drawing. */
const AXIS_MM = 10

const sideOf = ([x]: Point, middle: Side): Side => (x < -AXIS_MM ? 'left' : x > AXIS_MM ? 'right' : middle)

const GAPS: readonly { readonly reading: string; readonly side: Side }[] = [
  { reading: 'gapLeft', side: 'left' },
  { reading: 'gapRight', side: 'right' },
]

/** A rim brake’s frame from its outline: gaps on leader lines and enlarged beside it, adjusters where they are reached. */
export function rimFrame(
  { fixed, left, right, cable, anchors, bounds }: Outline,
  squeeze: Squeeze,
  adjusters: readonly { readonly id: string }[],
  { focus }: Moment,
): Frame {
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
    labels,
    bounds,
    tensionN: squeeze.tensionN,
  }
}
