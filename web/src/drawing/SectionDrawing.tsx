import type { Section } from '@overhaul/core/mount/section'
import { scaleLinear } from 'd3-scale'
import { memo } from 'react'
import { type Scale, Shapes } from './paint.tsx'
import { ScaleBar, type ScaleBarProps } from './ScaleBar.tsx'

interface Props {
  readonly section: Section
  readonly title: string
  /** Names of the parts, from the caliper to the back, with the point each one's leader goes to, in mm. */
  readonly labels: readonly { readonly text: string; readonly at: readonly [number, number] }[]
  readonly show: (mm: number) => string
  readonly scaleBar: ScaleBarProps
}

const WIDTH = 770
const HEIGHT = 564
const TOP = 96
const FOOT = 130

function fitScale({ bounds }: Section): Scale {
  const [minX, minY] = bounds.min
  const [maxX, maxY] = bounds.max
  const k = Math.min((WIDTH - 60) / (maxX - minX), (HEIGHT - TOP - FOOT) / (maxY - minY), 14)
  const left = (WIDTH - k * (maxX - minX)) / 2
  const x = scaleLinear([minX, minX + 1], [left, left + k])
  const middle = TOP + (HEIGHT - TOP - FOOT) / 2
  const y = scaleLinear([0, 1], [middle, middle - k])
  return { x: (mm) => x(mm), y: (mm) => y(mm), k }
}

/** A mount cut open along its bolt, to scale, from the numbers its plan was worked out with. */
export const SectionDrawing = memo(function SectionDrawing({ section, title, labels, show, scaleBar }: Props) {
  const scale = fitScale(section)
  const upper = scale.y(section.bounds.max[1]) - 6
  const lower = scale.y(section.bounds.min[1])
  const columns = [...labels].sort((a, b) => a.at[0] - b.at[0])
  const step = (WIDTH - 40) / Math.max(1, columns.length)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      height="100%"
      role="img"
      aria-label={`${title}, in section, to scale`}
    >
      <ScaleBar {...scaleBar} k={scale.k} />
      <text x={WIDTH - 24} y={33} textAnchor="end" fontSize="18" fontWeight="600">
        {title}
      </text>
      <Shapes shapes={section.shapes} scale={scale} />
      {section.measures.map(({ text, from, to }, index) => {
        const y = upper - 14 - index * 26
        const [a, b] = [scale.x(from), scale.x(to)]
        return (
          <g key={text}>
            <path
              d={`M${a},${y - 6}V${upper + 24}M${b},${y - 6}V${upper + 24}`}
              stroke="var(--slate)"
              strokeDasharray="3 3"
            />
            <path
              d={`M${a},${y}H${b}`}
              stroke="var(--ink)"
              {...(b - a > 24 && { markerStart: 'url(#arrow)', markerEnd: 'url(#arrow)' })}
            />
            <text x={b + 8} y={y + 6} fontSize="19" fontWeight="600">
              {text} {show(to - from)}
            </text>
          </g>
        )
      })}
      {columns.map(({ text, at }, index) => {
        const x = 20 + step * (index + 0.5)
        const y = lower + 34 + (index % 2) * 26
        return (
          <g key={text}>
            <path
              d={`M${x},${y - 16}L${scale.x(at[0])},${scale.y(at[1])}`}
              fill="none"
              stroke="var(--ink)"
              markerEnd="url(#arrow)"
            />
            <text x={x} y={y} textAnchor="middle" fontSize="17" fontWeight="500">
              {text}
            </text>
          </g>
        )
      })}
    </svg>
  )
})
