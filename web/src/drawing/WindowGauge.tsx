import type { Window } from '@overhaul/core/brake/window'
import { type ScaleLinear, scaleLinear } from 'd3-scale'
import { type PointerEvent, useRef } from 'react'
import { type Shape as MarkName, MarkShape, markWords } from './Mark.tsx'
import { underFinger } from './under-finger.ts'

export interface GaugeProps {
  readonly label: string
  readonly low: number
  readonly high: number
  readonly window: Window | undefined
  /** Whether the window is drawn, open where it runs off the scale; not where no setting satisfies it, and only its walls stand. */
  readonly bracket: boolean
  readonly value: number | undefined
  readonly sd: number
  readonly mark: MarkName
  /** What the next turn gives: two values where it may go either way. */
  readonly expected: readonly number[]
  readonly earlier: readonly number[]
  readonly draft: number | undefined
  readonly tick: (value: number) => string
  readonly valueText: string
  /** Called with the value under the finger while it drags. */
  readonly onDrag?: (value: number) => void
}

/** As many ticks as can be told apart: no number stands there twice. */
function ticksOf(scale: ScaleLinear<number, number>, say: (value: number) => string): readonly number[] {
  const counts = [6, 5, 4, 3, 2]
  const isApart = (ticks: readonly number[]) => {
    const said = ticks.filter((_, index) => index % 2 === 0).map(say)
    return new Set(said).size === said.length
  }
  return counts.map((count) => scale.ticks(count)).find(isApart) ?? scale.domain()
}

/** A window in words; open where it runs off the scale. */
const sayWindow = ({ low, high }: Window, end: number, tick: (value: number) => string) =>
  high > end ? `from ${tick(low)}` : `${tick(low)} to ${tick(high)}`

const WIDTH = 256
const HEIGHT = 50
const LINE = 31

/** One picture for every measured thing: walls, window, the reading with its uncertainty, what the next turn gives. */
export function WindowGauge(props: GaugeProps) {
  const { label, low, high, window, bracket, value, sd, mark, expected, earlier, draft, tick, valueText, onDrag } =
    props
  const svg = useRef<SVGSVGElement>(null)
  const scale = scaleLinear([low, high], [10, WIDTH - 10])
  const x = (each: number) => scale(Math.min(high, Math.max(low, each)))
  const ticks = ticksOf(scale, tick)

  const drag = (event: PointerEvent) => {
    const at = underFinger(event, svg.current, WIDTH)
    if (at !== undefined) onDrag?.(scale.invert(at))
  }

  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      height="100%"
      role="img"
      aria-label={[
        `${label}: ${valueText}`,
        window && bracket && `window ${sayWindow(window, high, tick)}`,
        value !== undefined && markWords(mark),
      ]
        .filter(Boolean)
        .join(', ')}
      style={{
        maxWidth: 320,
        maxHeight: 68,
        justifySelf: 'center',
        cursor: onDrag ? 'ew-resize' : 'default',
        touchAction: onDrag ? 'pan-y' : 'auto',
      }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        drag(event)
      }}
      onPointerMove={drag}
    >
      {window?.wallLow !== undefined && window.wallLow > low && (
        <Wall from={x(low)} to={x(window.wallLow)} edge={x(window.wallLow)} />
      )}
      {window?.wallHigh !== undefined && window.wallHigh < high && (
        <Wall from={x(window.wallHigh)} to={x(high)} edge={x(window.wallHigh)} />
      )}
      <line x1={10} x2={WIDTH - 10} y1={LINE} y2={LINE} stroke="var(--ink)" />
      {ticks.map((each, index) => (
        <g key={each} transform={`translate(${scale(each)},${LINE})`}>
          <line y2={5} stroke="var(--ink)" />
          {index % 2 === 0 && (
            <text y={18} textAnchor="middle" fontSize="15" fontWeight="500" style={{ fill: 'var(--slate)' }}>
              {tick(each)}
            </text>
          )}
        </g>
      ))}
      {window && bracket && (
        <path
          d={
            window.high > high
              ? `M${WIDTH - 10},6H${x(window.low)}V${LINE}`
              : `M${x(window.low) + 7},6H${x(window.low)}V${LINE}M${x(window.high) - 7},6H${x(window.high)}V${LINE}`
          }
          fill="none"
          stroke="var(--in)"
          strokeWidth="2.2"
        />
      )}
      {window?.wanted && (
        <path
          d={`M${x(window.wanted.low)},${LINE}H${x(window.wanted.high)}m0,-9v9`}
          fill="none"
          stroke="var(--in)"
          strokeWidth="3"
        />
      )}
      {earlier.slice(-6).map((each, index) => (
        <line key={index} x1={x(each)} x2={x(each)} y1={LINE - 8} y2={LINE} stroke="var(--slate)" strokeWidth="2" />
      ))}
      {expected.map((each) => (
        <g key={each} transform={`translate(${x(each)},20)`}>
          <MarkShape shape="predicted" r={7} />
        </g>
      ))}
      {value !== undefined && (
        <g>
          <line x1={x(value - sd)} x2={x(value + sd)} y1={20} y2={20} stroke="var(--slate)" strokeWidth="2" />
          <g transform={`translate(${x(value)},20)`}>
            <MarkShape shape={mark} r={7.5} />
          </g>
        </g>
      )}
      {draft !== undefined && (
        <g transform={`translate(${x(draft)},18)`}>
          <MarkShape shape="draft" r={11} />
        </g>
      )}
    </svg>
  )
}

function Wall({ from, to, edge }: { from: number; to: number; edge: number }) {
  return (
    <g>
      <rect x={from} y={11} width={Math.max(0, to - from)} height={LINE - 11} fill="url(#hatch-wall)" />
      <line x1={edge} x2={edge} y1={9} y2={LINE + 2} stroke="var(--ink)" strokeWidth="1.6" />
    </g>
  )
}
