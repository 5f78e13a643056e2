import { driftOutline } from '@overhaul/core/features/pads/drift-outline'
import type { Drift } from '@overhaul/core/features/pads/pads'
import { scaleLinear } from 'd3-scale'
import { memo } from 'react'
import { GhostShapes, type Scale, Shapes } from '../../drawing/paint.tsx'

interface Props {
  readonly drift: Drift
  readonly edgeMm: number
  readonly padThickMm: number
  readonly rim: { readonly rimWidthMm: number; readonly tyreWidthMm: number }
  /** On a phone: its words are as large as elsewhere. */
  readonly narrow: boolean
  readonly show: (mm: number) => string
}

const HEIGHT = 250
/** Its width, and the room for the figures on the left. */
const WIDE = { width: 462, margin: 196 }
const NARROW = { width: 352, margin: 156 }

/** One pad on its rim in section, to scale: new, half worn, worn out, each with its edge below the track’s. */
export const DriftDrawing = memo(function DriftDrawing({ drift, edgeMm, padThickMm, rim, narrow, show }: Props) {
  const { width, margin } = narrow ? NARROW : WIDE
  const outline = driftOutline(drift, edgeMm, padThickMm, rim)
  const [minX, minY] = outline.bounds.min
  const [maxX, maxY] = outline.bounds.max
  const k = Math.min((width - margin - 8) / (maxX - minX), (HEIGHT - 12) / (maxY - minY))
  const x = scaleLinear([minX, minX + 1], [margin, margin + k])
  const y = scaleLinear([maxY, maxY - 1], [6, 6 + k])
  const scale: Scale = { x: (mm) => x(mm), y: (mm) => y(mm), k }
  const [fresh, ...worn] = outline.moments
  const [top, low] = outline.track
  return (
    <svg
      viewBox={`0 0 ${width} ${HEIGHT}`}
      width="100%"
      style={{ maxWidth: 560 }}
      role="img"
      aria-label={`Pad on the track in section, to scale: ${outline.moments.map((each) => `${each.name} ${show(each.edgeMm)} below the edge`).join(', ')}`}
    >
      <clipPath id="drift-sheet">
        <rect x={margin - 8} width={width - margin + 8} height={HEIGHT} />
      </clipPath>
      <g clipPath="url(#drift-sheet)">
        <Shapes shapes={outline.fixed} scale={scale} />
        {fresh && <Shapes shapes={[fresh.pad]} scale={scale} />}
        <GhostShapes shapes={worn.map((each) => each.pad)} scale={scale} />
        <path
          d={`M${scale.x(top[0]) - 4},${scale.y(top[1])}H${width}M${scale.x(low[0]) - 4},${scale.y(low[1])}H${width}`}
          stroke="var(--slate)"
          strokeDasharray="3 3"
        />
      </g>
      <text x={scale.x(rim.rimWidthMm / 2)} y={scale.y(-4)} textAnchor="middle" fontSize="15" fontWeight="500">
        track {show(drift.trackMm)}
      </text>
      {outline.moments.map(({ name, edgeMm: edge, wornMm, pad }, index) => {
        const at = 34 + index * 74
        const corner = pad.kind === 'polygon' ? (pad.points[0] as readonly [number, number]) : [0, 0]
        return (
          <g key={name}>
            <text x={0} y={at} fontSize="16" fontWeight="600">
              {name}
            </text>
            <text x={0} y={at + 20} fontSize="15" fontWeight="500">
              edge {show(edge)} below
            </text>
            {wornMm > 0 && (
              <text x={0} y={at + 38} fontSize="15" style={{ fill: 'var(--slate)' }}>
                {show(wornMm)} worn off
              </text>
            )}
            <path
              d={`M126,${at + 5}L${scale.x(corner[0] as number)},${scale.y(corner[1] as number)}`}
              fill="none"
              stroke="var(--ink)"
              markerEnd="url(#arrow)"
            />
          </g>
        )
      })}
    </svg>
  )
})
