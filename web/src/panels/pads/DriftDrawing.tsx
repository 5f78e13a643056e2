import { driftOutline } from '@overhaul/core/pads/drift-outline'
import type { Drift } from '@overhaul/core/pads/pads'
import { scaleLinear } from 'd3-scale'
import { memo } from 'react'
import { GhostShapes, type Scale, Shapes } from '../../drawing/paint.tsx'

interface Props {
  readonly drift: Drift
  readonly edgeMm: number
  readonly padThickMm: number
  readonly rim: { readonly rimWidthMm: number; readonly tyreWidthMm: number }
  readonly show: (mm: number) => string
}

const WIDTH = 462
const HEIGHT = 250
/** Room for the figures on the left. */
const MARGIN = 196

/** One pad on its rim in section, to scale: new, half worn, worn out, each with its edge below the track’s. */
export const DriftDrawing = memo(function DriftDrawing({ drift, edgeMm, padThickMm, rim, show }: Props) {
  const outline = driftOutline(drift, edgeMm, padThickMm, rim)
  const [minX, minY] = outline.bounds.min
  const [maxX, maxY] = outline.bounds.max
  const k = Math.min((WIDTH - MARGIN - 8) / (maxX - minX), (HEIGHT - 12) / (maxY - minY))
  const x = scaleLinear([minX, minX + 1], [MARGIN, MARGIN + k])
  const y = scaleLinear([maxY, maxY - 1], [6, 6 + k])
  const scale: Scale = { x: (mm) => x(mm), y: (mm) => y(mm), k }
  const [fresh, ...worn] = outline.moments
  const [top, low] = outline.track
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      style={{ maxWidth: 560 }}
      role="img"
      aria-label={`Pad on the track in section, to scale: ${outline.moments.map((each) => `${each.name} ${show(each.edgeMm)} below the edge`).join(', ')}`}
    >
      <clipPath id="drift-sheet">
        <rect x={MARGIN - 8} width={WIDTH - MARGIN + 8} height={HEIGHT} />
      </clipPath>
      <g clipPath="url(#drift-sheet)">
        <Shapes shapes={outline.fixed} scale={scale} />
        {fresh && <Shapes shapes={[fresh.pad]} scale={scale} />}
        <GhostShapes shapes={worn.map((each) => each.pad)} scale={scale} />
        <path
          d={`M${scale.x(top[0]) - 4},${scale.y(top[1])}H${WIDTH}M${scale.x(low[0]) - 4},${scale.y(low[1])}H${WIDTH}`}
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
