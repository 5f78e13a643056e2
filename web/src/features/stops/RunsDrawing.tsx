import { meanGiveOrTakeM, type Side, type Verdict } from '@overhaul/core/features/prove/verdict'
import type { LengthUnit } from '@overhaul/core/quantity/quantity'
import { showSpeed, showWay } from '@overhaul/core/stand/show'
import { scaleLinear } from 'd3-scale'

const WIDTH = 462
const ROW = 44
const LEFT = 66
const RIGHT = 14
const FOOT = 46
const POINT = 4.5
const M_IN_FT = 0.3048
/** Room beyond the outermost run, as a share of what lies between them, and at least so much, m. */
const BEYOND = 0.12
const LEAST_M = 0.2

/** Every stop as a point, before over after, each with its mean and how far that is known: what the sentence above them says. */
export function RunsDrawing({ verdict, length }: { verdict: Verdict; length: LengthUnit }) {
  const rows = (['before', 'after'] as const).flatMap((phase) => {
    const side = verdict[phase]
    return side ? [{ phase, side, half: meanGiveOrTakeM(side) }] : []
  })
  if (rows.length === 0) return null
  const ends = rows.flatMap(({ side, half = 0 }) => [...side.corrected, side.meanM - half, side.meanM + half])
  const [least, most] = [Math.min(...ends), Math.max(...ends)]
  const beyond = Math.max(LEAST_M, (most - least) * BEYOND)
  const unit = length === 'in' ? M_IN_FT : 1
  const x = scaleLinear([Math.max(0, least - beyond) / unit, (most + beyond) / unit], [LEFT, WIDTH - RIGHT])
  const at = (metres: number) => x(metres / unit)
  const foot = rows.length * ROW
  const tick = x.tickFormat(6)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${foot + FOOT}`}
      width="100%"
      role="img"
      aria-label={rows.map(({ phase, side, half }) => said(phase, side, half, length)).join('; ')}
    >
      {rows.map(({ phase, side, half }, row) => (
        <Runs key={phase} phase={phase} side={side} half={half} y={row * ROW + ROW / 2} at={at} />
      ))}
      <path d={`M${LEFT},${foot}H${WIDTH - RIGHT}`} stroke="var(--ink)" />
      {x.ticks(6).map((each) => (
        <g key={each} transform={`translate(${x(each)},${foot})`}>
          <path d="M0,0V6" stroke="var(--ink)" />
          <text y={21} textAnchor="middle" fontSize="15" fontWeight="500" style={{ fill: 'var(--slate)' }}>
            {tick(each)}
          </text>
        </g>
      ))}
      <text x={WIDTH - RIGHT} y={foot + 40} textAnchor="end" fontSize="15" style={{ fill: 'var(--slate)' }}>
        {`stopped from ${showSpeed(verdict.nominalKmh, length)} in, ${length === 'in' ? 'ft' : 'm'}; bars: where the mean lies`}
      </text>
    </svg>
  )
}

interface RunsProps {
  readonly phase: 'before' | 'after'
  readonly side: Side
  readonly half: number | undefined
  readonly y: number
  readonly at: (metres: number) => number
}

function Runs({ phase, side: { corrected, meanM }, half, y, at }: RunsProps) {
  const isAfter = phase === 'after'
  const [low, high] = [at(meanM - (half ?? 0)), at(meanM + (half ?? 0))]
  return (
    <g>
      <text x={0} y={y + 6} fontSize="16" fontWeight="600">
        {phase}
      </text>
      {half !== undefined && (
        <path
          d={`M${low},${y - 7}V${y + 7}M${high},${y - 7}V${y + 7}M${low},${y}H${high}`}
          stroke="var(--ink)"
          fill="none"
        />
      )}
      <path d={`M${at(meanM)},${y - 14}V${y + 14}`} stroke="var(--ink)" strokeWidth="2.4" />
      {corrected.map((each, index) => (
        <circle
          key={index}
          cx={at(each)}
          cy={y}
          r={POINT}
          fill={isAfter ? 'var(--ink)' : 'var(--sheet)'}
          stroke="var(--ink)"
          strokeWidth="1.8"
        />
      ))}
    </g>
  )
}

const said = (phase: string, { count, meanM }: Side, half: number | undefined, length: LengthUnit): string =>
  `${phase}: ${count} ${count === 1 ? 'stop' : 'stops'}, ${showWay(meanM, length)} on average${half === undefined ? '' : `, give or take ${showWay(half, length)}`}`
