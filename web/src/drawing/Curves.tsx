import { type LengthUnit, lengthOf, mmOf } from '@overhaul/core/quantity/quantity'
import { scaleLinear } from 'd3-scale'
import { line } from 'd3-shape'
import { type PointerEvent, useId, useRef } from 'react'
import { placeLabels } from './place-labels.ts'
import { underFinger } from './under-finger.ts'

export interface CurvePoint {
  readonly x: number
  readonly y: number
}

interface Panel {
  /** What is drawn, with its unit. */
  readonly title: string
  readonly lines: readonly { readonly points: readonly CurvePoint[]; readonly label?: string }[]
  /** Where y is well: between these. */
  readonly band?: readonly [number, number]
  /** A length, kept in mm: shown in this unit. Its unit is put to the title. */
  readonly length?: LengthUnit
  /** More is further down, as for a depth. */
  readonly downward?: boolean
  /** The value under the marker, said beside the title. */
  readonly value?: string
}

interface Props {
  readonly label: string
  readonly panels: readonly Panel[]
  readonly xTitle: string
  /** x is a length, kept in mm: shown in this unit, which is put to its title. */
  readonly xLength?: LengthUnit
  /** Spans of x that are good. */
  readonly good?: readonly (readonly [number, number])[]
  /** Where the marker stands. */
  readonly at?: number | undefined
  readonly valueText: string
  /** On a phone: its words are as large as elsewhere. */
  readonly narrow?: boolean
  readonly onDrag?: (x: number) => void
}

const WIDE = 462
const NARROW = 352
const EDGE = { left: 46, right: 16 }
const HEAD = 30
const FOOT = 46
const GAP = 10
const TEXT = { fontSize: 15, fontWeight: 500 } as const
const SLATE = { ...TEXT, style: { fill: 'var(--slate)' } }

interface Ticked {
  readonly ticks: (count: number) => number[]
  readonly domain: () => number[]
}

/** Round figures of an axis, in the unit it is read in, and where each stands in the unit it is kept in. */
function ticksOf(scale: Ticked, count: number, length: LengthUnit | undefined) {
  if (length !== 'in') return scale.ticks(count).map((each) => ({ at: each, text: String(each) }))
  const inches = scaleLinear(scale.domain().map((mm) => lengthOf(mm, 'in')))
  return inches.ticks(count).map((each) => ({ at: mmOf(each, 'in'), text: String(each) }))
}
const named = (title: string, length: LengthUnit | undefined) => (length ? `${title}, ${length}` : title)

/** The point of a line nearest to an x. */
const nearest = (points: readonly CurvePoint[], at: number): CurvePoint | undefined =>
  points.reduce<CurvePoint | undefined>(
    (best, each) => (best && Math.abs(best.x - at) <= Math.abs(each.x - at) ? best : each),
    undefined,
  )

/** Curves over one x, one above the other, with axes in real units; the good span marked, dragged along x where that means something. */
export function Curves({ label, panels, xTitle, xLength, good = [], at, valueText, narrow = false, onDrag }: Props) {
  const width = narrow ? NARROW : WIDE
  const svg = useRef<SVGSVGElement>(null)
  const clip = useId()
  const plot = panels.length > 1 ? 84 : 118
  const step = HEAD + plot + GAP
  const height = panels.length * step - GAP + FOOT
  const xs = panels.flatMap((panel) => panel.lines.flatMap(({ points }) => points.map((each) => each.x)))
  const [low, high] = [Math.min(...xs), Math.max(...xs)]
  const x = scaleLinear([low, high], [EDGE.left, width - EDGE.right])
  const drag = (event: PointerEvent) => {
    const under = underFinger(event, svg.current, width)
    if (under !== undefined) onDrag?.(Math.min(high, Math.max(low, x.invert(under))))
  }
  const foot = height - FOOT
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={`${label}: ${valueText}`}
      style={{ touchAction: onDrag ? 'pan-y' : 'auto', cursor: onDrag ? 'ew-resize' : 'default', maxWidth: 560 }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        drag(event)
      }}
      onPointerMove={drag}
    >
      {panels.map((panel, index) => (
        <g key={panel.title} transform={`translate(0,${index * step})`}>
          <PanelDrawing
            panel={panel}
            x={x}
            right={width - EDGE.right}
            plot={plot}
            at={at}
            good={good}
            clip={`${clip}-${index}`}
          />
        </g>
      ))}
      {ticksOf(x, 6, xLength).map(({ at: each, text }) => (
        <text key={text} x={x(each)} y={foot + 18} textAnchor="middle" {...SLATE}>
          {text}
        </text>
      ))}
      <text x={width - EDGE.right} y={height - 8} textAnchor="end" {...TEXT}>
        {named(xTitle, xLength)}
      </text>
    </svg>
  )
}

interface PanelProps {
  readonly panel: Panel
  readonly x: (value: number) => number
  readonly right: number
  readonly plot: number
  readonly at: number | undefined
  readonly good: NonNullable<Props['good']>
  readonly clip: string
}

function PanelDrawing({
  panel: { title, lines, band, downward = false, value, length },
  x,
  right,
  plot,
  at,
  good,
  clip,
}: PanelProps) {
  const ys = [...lines.flatMap(({ points }) => points.map((each) => each.y)), ...(band ?? [])]
  const [top, floor] = [HEAD, HEAD + plot]
  const y = scaleLinear([Math.min(0, ...ys), Math.max(0, ...ys)], downward ? [top, floor] : [floor, top]).nice(4)
  const labels = placeLabels(
    lines.flatMap(({ label, points }) =>
      label ? [{ label, points: points.map((each) => ({ x: x(each.x), y: y(each.y) })) }] : [],
    ),
    { left: EDGE.left, right, top, bottom: floor },
  )
  const path = line<CurvePoint>(
    (each) => x(each.x),
    (each) => y(each.y),
  )
  return (
    <>
      <clipPath id={clip}>
        <rect x={EDGE.left} y={top - 4} width={right - EDGE.left} height={plot + 8} />
      </clipPath>
      <text x={0} y={18} fontSize="16" fontWeight="600">
        {named(title, length)}
      </text>
      {value && (
        <text x={right} y={18} textAnchor="end" fontSize="18" fontWeight="600">
          {value}
        </text>
      )}
      {good.map(([from, to]) => (
        <g key={from}>
          <rect x={x(from)} y={top} width={Math.max(1, x(to) - x(from))} height={plot} fill="var(--wash)" />
          <path
            d={`M${x(from) + 7},${top}H${x(from)}V${floor}H${x(from) + 7}M${x(to) - 7},${top}H${x(to)}V${floor}H${x(to) - 7}`}
            fill="none"
            stroke="var(--in)"
            strokeWidth="2.2"
          />
        </g>
      ))}
      {band && (
        <>
          <rect
            x={EDGE.left}
            y={Math.min(y(band[0]), y(band[1]))}
            width={right - EDGE.left}
            height={Math.abs(y(band[0]) - y(band[1]))}
            fill="var(--wash)"
          />
          <path
            d={`M${EDGE.left},${y(band[0])}H${right}M${EDGE.left},${y(band[1])}H${right}`}
            stroke="var(--in)"
            strokeWidth="2.2"
          />
        </>
      )}
      <path d={`M${EDGE.left},${top}V${floor}H${right}`} stroke="var(--ink)" fill="none" />
      {ticksOf(y, 3, length).map(({ at: each, text }) => (
        <g key={text}>
          <line x1={EDGE.left - 4} x2={EDGE.left} y1={y(each)} y2={y(each)} stroke="var(--ink)" />
          <text x={EDGE.left - 8} y={y(each) + 5} textAnchor="end" {...SLATE}>
            {text}
          </text>
        </g>
      ))}
      <g clipPath={`url(#${clip})`}>
        {lines.map(({ points, label }, index) => (
          <path
            key={label ?? 'line'}
            d={path([...points]) ?? ''}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="2.2"
            {...(index > 0 && { strokeDasharray: '7 5' })}
          />
        ))}
      </g>
      {labels.map((each) => (
        <text key={each.label} x={each.x} y={each.y} textAnchor="end" {...TEXT}>
          {each.label}
        </text>
      ))}
      {at !== undefined && <path d={`M${x(at)},${top}V${floor}`} stroke="var(--slate)" strokeDasharray="3 3" />}
      {at !== undefined &&
        lines.map(({ points, label }) => {
          const near = nearest(points, at)
          return (
            near && (
              <rect
                key={label ?? 'line'}
                x={x(near.x) - 6}
                y={y(near.y) - 6}
                width={12}
                height={12}
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeWidth="2.4"
              />
            )
          )
        })}
    </>
  )
}
