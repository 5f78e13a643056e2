import type { Frame } from '@overhaul/core/brake/frame'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import { Hatches } from '../drawing/Hatches.tsx'
import { type Scale, Shapes } from '../drawing/paint.tsx'
import { ScaleBar, scaleBar } from '../drawing/ScaleBar.tsx'

const WIDTH = 360
const HIGHEST = 300
const FOOT = 34

/** The brake at rest, to scale, as large as the sheet has room for. */
export function SheetDrawing({ frame, length }: { frame: Frame; length: LengthUnit }) {
  const [left, low] = frame.bounds.min
  const [right, high] = frame.bounds.max
  const k = Math.min(WIDTH / (right - left), HIGHEST / (high - low))
  const tall = k * (high - low)
  const across = (WIDTH - k * (right - left)) / 2
  const scale: Scale = { x: (mm) => across + k * (mm - left), y: (mm) => k * (high - mm), k }
  return (
    <>
      <Hatches />
      <svg
        viewBox={`0 0 ${WIDTH} ${tall + FOOT}`}
        width="100%"
        style={{ maxWidth: WIDTH }}
        role="img"
        aria-label={`This brake at rest, ${frame.seenFrom ?? 'seen from the saddle'}`}
      >
        <Shapes shapes={[...frame.still, ...frame.moving, ...frame.cable]} scale={scale} />
        <g transform={`translate(0,${tall - 4})`}>
          <ScaleBar {...scaleBar(length)} k={k} />
        </g>
      </svg>
    </>
  )
}
