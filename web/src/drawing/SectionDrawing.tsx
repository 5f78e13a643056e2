import type { Section } from '@overhaul/core/features/mount/section'
import { scaleLinear } from 'd3-scale'
import { memo } from 'react'
import { type Scale, Shapes } from './paint.tsx'
import { ScaleBar, type ScaleBarProps } from './ScaleBar.tsx'

interface Props {
  readonly section: Section
  readonly title: string
  /** Names of the parts, from the caliper to the back, with the point each one's leader goes to, in mm. */
  readonly labels: readonly { readonly text: string; readonly at: readonly [number, number] }[]
  readonly narrow: boolean
  readonly show: (mm: number) => string
  readonly scaleBar: ScaleBarProps
}

const WIDE = { width: 770, height: 564, top: 96, foot: 130 }
/** On a phone each name has a line of its own. */
const NARROW = { width: 362, height: 560, top: 150, foot: 190 }
/** How wide a letter comes to, of the names and of the measures. */
const LETTER = 8
const LARGE = 8.6

function fitScale({ bounds }: Section, { width, height, top, foot }: typeof WIDE): Scale {
  const [minX, minY] = bounds.min
  const [maxX, maxY] = bounds.max
  const k = Math.min((width - 60) / (maxX - minX), (height - top - foot) / (maxY - minY), 14)
  const left = (width - k * (maxX - minX)) / 2
  const x = scaleLinear([minX, minX + 1], [left, left + k])
  const middle = top + (height - top - foot) / 2
  const y = scaleLinear([0, 1], [middle, middle - k])
  return { x: (mm) => x(mm), y: (mm) => y(mm), k }
}

/** A mount cut open along its bolt, to scale, from the numbers its plan was worked out with. */
export const SectionDrawing = memo(function SectionDrawing({ section, title, labels, narrow, show, scaleBar }: Props) {
  const room = narrow ? NARROW : WIDE
  const { width, height } = room
  const scale = fitScale(section, room)
  const upper = scale.y(section.bounds.max[1]) - 6
  const lower = scale.y(section.bounds.min[1])
  const measure = (text: string, mm: number) => `${text} ${show(mm)}`
  const columns = [...labels].sort((a, b) => a.at[0] - b.at[0])
  const step = (width - 40) / Math.max(1, columns.length)
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      {...(!narrow && { height: '100%' })}
      role="img"
      aria-label={`${title}, in section, to scale`}
    >
      <ScaleBar {...scaleBar} k={scale.k} />
      <text
        x={narrow ? 0 : width - 24}
        y={narrow ? 64 : 33}
        textAnchor={narrow ? 'start' : 'end'}
        fontSize="18"
        fontWeight="600"
      >
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
            <text
              x={narrow ? Math.min((a + b) / 2, width - LARGE * measure(text, to - from).length) : b + 8}
              y={narrow ? y - 8 : y + 6}
              fontSize="19"
              fontWeight="600"
            >
              {measure(text, to - from)}
            </text>
          </g>
        )
      })}
      {columns.map(({ text, at }, index) => {
        const half = (LETTER * text.length) / 2
        const x = Math.min(width - half, Math.max(half, 20 + step * (index + 0.5)))
        const y = lower + 34 + (narrow ? index : index % 2) * 26
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
