import type { Window } from '@overhaul/core/brake/window'
import { scaleLinear } from 'd3-scale'
import { memo, type PointerEvent, useRef } from 'react'
import { type Shape as MarkName, MarkShape } from './Mark.tsx'
import { underFinger } from './under-finger.ts'

interface Props {
  readonly reachMm: number
  /** Finger travel of the blade as drawn now, mm. */
  readonly travelMm: number
  readonly biteTitle: string
  readonly biteMm: number | undefined
  readonly biteMark: MarkName
  readonly expectedBitesMm: readonly number[]
  /** What else is told by finger travel. */
  readonly also: readonly { readonly title: string; readonly mm: number; readonly mark: MarkName }[]
  readonly window: Window | undefined
  readonly narrow: boolean
  readonly show: (mm: number) => string
  readonly tick: (mm: number) => string
  readonly onTravel: (mm: number) => void
  readonly onLetGo: () => void
}

const HEIGHT = 118
/** Width of the drawing, the bar’s middle, and where the scale begins and ends. */
const WIDE = { width: 770, bar: 94, from: 110, to: 562 }
const NARROW = { width: 362, bar: 22, from: 38, to: 322 }

/** The lever from the side: the bar, the blade, where it bites, on a scale of finger travel from rest. Drag the blade to squeeze. */
export const LeverDrawing = memo(function LeverDrawing(props: Props) {
  const {
    reachMm,
    travelMm,
    biteTitle,
    biteMm,
    biteMark,
    expectedBitesMm,
    also,
    window,
    narrow,
    show,
    tick,
    onTravel,
    onLetGo,
  } = props
  const svg = useRef<SVGSVGElement>(null)
  const { width, bar, from, to } = narrow ? NARROW : WIDE
  const x = scaleLinear([0, Math.max(65, reachMm + 5)], [from, to])
  const ticks = x.ticks(13).filter((mm) => mm <= reachMm)
  const middle = 52
  const blade = x(reachMm - travelMm)
  const share = biteMm === undefined ? '' : ` · ${Math.round((100 * biteMm) / reachMm)} %`

  const drag = (event: PointerEvent) => {
    const at = underFinger(event, svg.current, width)
    if (at !== undefined) onTravel(Math.min(reachMm, Math.max(0, reachMm - x.invert(at))))
  }

  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      width="100%"
      {...(!narrow && { height: '100%' })}
      role="img"
      aria-label={`The lever: reach ${show(reachMm)}`}
    >
      <circle cx={bar} cy={middle} r={15} fill="url(#hatch-metal)" stroke="var(--ink)" strokeWidth="1.8" />
      <text x={bar} y={middle - 22} textAnchor="middle" fontSize="16" fontWeight="500">
        bar
      </text>
      <line x1={x(0)} x2={x(reachMm)} y1={middle + 14} y2={middle + 14} stroke="var(--ink)" />
      {ticks.map((mm) => (
        <g key={mm} transform={`translate(${x(reachMm - mm)},${middle + 14})`}>
          <line y2={mm % 10 === 0 ? 9 : 5} stroke="var(--ink)" />
          {mm % 20 === 0 && (
            <text y={26} textAnchor="middle" fontSize="15" fontWeight="500" style={{ fill: 'var(--slate)' }}>
              {tick(mm)}
            </text>
          )}
        </g>
      ))}
      {window && (
        <path
          d={`M${x(reachMm - window.high) + 7},${middle - 24}h-7V${middle + 13}M${x(reachMm - window.low) - 7},${middle - 24}h7V${middle + 13}`}
          fill="none"
          stroke="var(--in)"
          strokeWidth="2.2"
        />
      )}
      {expectedBitesMm.map((each) => (
        <g key={each} transform={`translate(${x(reachMm - each)},${middle - 4})`}>
          <MarkShape shape="predicted" r={7} />
        </g>
      ))}
      {also.map((each) => (
        <g key={each.title} transform={`translate(${x(reachMm - each.mm)},${middle - 4})`}>
          <MarkShape shape={each.mark} r={6} />
          {!narrow && (
            <text x={-14} y={60} textAnchor="end" fontSize="16" fontWeight="500">
              {each.title} {show(each.mm)}
            </text>
          )}
        </g>
      ))}
      {biteMm !== undefined && (
        <g transform={`translate(${x(reachMm - biteMm)},${middle - 4})`}>
          <MarkShape shape={biteMark} />
          <text y={-30} textAnchor="middle" fontSize="16" fontWeight="500">
            {biteTitle} {show(biteMm)}
            {share}
          </text>
        </g>
      )}
      <path
        d={`M${blade},${middle - 34}q10,30 -2,52`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="8"
        strokeLinecap="round"
      />
      {!narrow && (
        <text x={x(reachMm) + 20} y={middle + 4} fontSize="16" fontWeight="500">
          blade at rest
        </text>
      )}
      <text
        x={width - (narrow ? 4 : 24)}
        y={HEIGHT - 14}
        textAnchor="end"
        fontSize="15"
        style={{ fill: 'var(--slate)', fontFamily: 'var(--text)' }}
      >
        {narrow ? 'drag the blade to squeeze' : 'hold Space, or drag the blade'}
      </text>
      <rect
        x={blade - 26}
        y={4}
        width={52}
        height={84}
        fill="transparent"
        style={{ cursor: 'ew-resize', touchAction: 'none' }}
        onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onPointerMove={drag}
        onPointerUp={onLetGo}
        onPointerCancel={onLetGo}
      />
    </svg>
  )
})
