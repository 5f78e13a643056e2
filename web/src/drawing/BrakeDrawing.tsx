import type { Point } from '@overhaul/core/calculation/calculation'
import type { Outline, Pose } from '@overhaul/core/families/family'
import { scaleLinear } from 'd3-scale'
import { memo } from 'react'
import { type Shape as MarkName, MarkShape } from './Mark.tsx'
import { GhostShapes, type Scale, Shapes } from './paint.tsx'
import { ScaleBar, type ScaleBarProps } from './ScaleBar.tsx'

export interface Leader {
  readonly reading: string
  readonly side: 'left' | 'right'
  readonly text: string
  readonly mark: MarkName
}

export interface ScrewNote {
  readonly anchor: string
  readonly side: 'left' | 'right'
  readonly text: string
  /** Stands over its part, where below it would lie on the wheel. */
  readonly above?: true
  /** Amount of the next turn, if this is what it turns. */
  readonly next?: string
  readonly clockwise?: boolean
}

interface Props {
  readonly outline: Outline
  /** Where the next turn brings it, each way it may go. */
  readonly ghosts: readonly Outline[]
  readonly pose: Pose
  readonly leaders: readonly Leader[]
  readonly notes: readonly ScrewNote[]
  readonly flipped: boolean
  readonly scaleBar: ScaleBarProps
  /** Said under the drawing, where it is not drawn from readings. */
  readonly caption: string | undefined
  readonly onFlip: () => void
  readonly onPick: (reading: string) => void
}

const WIDTH = 770
const HEIGHT = 446
const INSET_Y = 246
const LEADER_Y = 206
const INSET = { width: 132, height: 92, times: 6, wall: 34 }

/** Fits the outline's bounds into the drawing, true to scale. */
function fitScale({ bounds }: Outline, flipped: boolean): Scale {
  const [minX, minY] = bounds.min
  const [maxX, maxY] = bounds.max
  const k = Math.min((WIDTH - 240) / (maxX - minX), (HEIGHT - 28) / (maxY - minY))
  const middle = WIDTH / 2
  const x = scaleLinear([-1, 1], flipped ? [middle + k, middle - k] : [middle - k, middle + k])
  const y = scaleLinear([minY, minY + 1], [HEIGHT - 14, HEIGHT - 14 - k])
  return { x: (mm) => x(mm), y: (mm) => y(mm), k }
}

/** The pad's gap drawn larger beside the true-scale drawing. */
function GapInset({
  x,
  y,
  gapMm,
  padOn,
  k,
}: {
  x: number
  y: number
  gapMm: number
  padOn: 'left' | 'right'
  k: number
}) {
  const { width, height, times, wall } = INSET
  const room = width - wall - 24
  const gap = Math.min(room, gapMm * k * times)
  const rimX = padOn === 'left' ? x + width - wall : x
  const face = padOn === 'left' ? rimX - gap : rimX + wall + gap
  const back = padOn === 'left' ? x : x + width
  return (
    <g>
      <rect x={x} y={y} width={width} height={height} fill="var(--sheet)" stroke="var(--control)" />
      <rect
        x={rimX}
        y={y + 1}
        width={wall}
        height={height - 2}
        fill="url(#hatch-metal)"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
      <rect
        x={Math.min(face, back)}
        y={y + 14}
        width={Math.abs(back - face)}
        height={height - 28}
        fill="url(#hatch-rubber)"
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
      {gap > 18 && (
        <path
          d={`M${padOn === 'left' ? rimX : rimX + wall},${y + height / 2}H${face}`}
          stroke="var(--ink)"
          markerEnd="url(#arrow)"
          markerStart="url(#arrow)"
        />
      )}
      <text
        x={x + width / 2}
        y={y + height + 18}
        textAnchor="middle"
        fontSize="16"
        fontWeight="500"
        style={{ fill: 'var(--slate)' }}
      >
        gap, {times} times larger
      </text>
    </g>
  )
}

function LeaderLine({
  leader,
  to,
  onRight,
  onPick,
}: {
  leader: Leader
  to: Point
  onRight: boolean
  onPick: () => void
}) {
  const elbow = onRight ? WIDTH - 214 : 214
  const end = onRight ? WIDTH - 176 : 176
  const y = LEADER_Y
  const text = onRight ? end + 8 : end - 8
  const mark = onRight ? end + 92 : end - 92
  return (
    <g>
      <path d={`M${elbow},${y}L${to[0]},${to[1]}`} fill="none" stroke="var(--ink)" markerEnd="url(#arrow)" />
      <path d={`M${elbow},${y}H${end}`} stroke="var(--ink)" />
      <text x={text} y={y + 10} textAnchor={onRight ? 'start' : 'end'} fontSize="30" fontWeight="600">
        {leader.text}
      </text>
      <g transform={`translate(${mark},${y - 1})`}>
        <MarkShape shape={leader.mark} />
      </g>
      {/* biome-ignore lint/a11y/useSemanticElements: a button cannot live inside an SVG */}
      <rect
        role="button"
        tabIndex={-1}
        aria-label={`enter ${leader.reading}`}
        x={onRight ? end : end - 108}
        y={y - 26}
        width={108}
        height={52}
        fill="transparent"
        style={{ cursor: 'pointer' }}
        onClick={onPick}
        onKeyDown={() => undefined}
      />
    </g>
  )
}

function ScrewLabel({ note, at, onRight }: { note: ScrewNote; at: Point; onRight: boolean }) {
  const sign = onRight ? 1 : -1
  const [x, y] = at
  const turning = note.next !== undefined
  return (
    <g>
      {turning && (
        <g>
          <path
            d={
              note.clockwise
                ? `M${x + sign * 10 - 6},${y - 17}a17 17 0 1 1 -1 29`
                : `M${x + sign * 10 + 6},${y - 17}a17 17 0 1 0 1 29`
            }
            fill="none"
            stroke="var(--predicted)"
            strokeWidth="2.4"
            markerEnd="url(#arrow-predicted)"
          />
          <text
            x={x + sign * 46}
            y={y + 6}
            textAnchor={onRight ? 'start' : 'end'}
            fontSize="20"
            fontWeight="600"
            style={{ fill: 'var(--predicted)' }}
          >
            {note.next}
          </text>
        </g>
      )}
      <text
        x={x + sign * 14}
        y={y + 36}
        textAnchor={onRight ? 'start' : 'end'}
        fontSize="16"
        fontWeight={turning ? 600 : 500}
      >
        {note.text}
      </text>
    </g>
  )
}

/** What the next turn does to the cable, beside the part it is done at. */
function CableLabel({ note, at, onRight }: { note: ScrewNote; at: Point; onRight: boolean }) {
  const sign = onRight ? 1 : -1
  return (
    <text
      x={at[0] + sign * 12}
      y={at[1] + (note.above ? -46 : 68)}
      textAnchor={onRight ? 'start' : 'end'}
      fontSize="18"
      fontWeight="600"
      style={{ fill: 'var(--predicted)' }}
    >
      {note.text}
    </text>
  )
}

/** The brake in front view, to scale, from the geometry the core computes with. */
export const BrakeDrawing = memo(function BrakeDrawing({
  outline,
  ghosts,
  pose,
  leaders,
  notes,
  flipped,
  scaleBar,
  caption,
  onFlip,
  onPick,
}: Props) {
  const scale = fitScale(outline, flipped)
  const at = (name: string): Point | undefined => {
    const point = outline.anchors[name]
    return point && [scale.x(point[0]), scale.y(point[1])]
  }
  const onRight = (side: 'left' | 'right') => (side === 'right') !== flipped
  const anchor = at('anchor')
  const anchorRight = anchor !== undefined && anchor[0] > WIDTH / 2 + 40
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset cannot hold a drawing; it groups the drawing's controls
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      height="100%"
      role="group"
      aria-label="The brake in front view, to scale"
    >
      <ScaleBar {...scaleBar} k={scale.k} />
      <text x={28} y={66} fontSize="19" fontWeight="600">
        {flipped ? 'RIGHT' : 'LEFT'}
      </text>
      <text x={WIDTH - 28} y={66} textAnchor="end" fontSize="19" fontWeight="600">
        {flipped ? 'LEFT' : 'RIGHT'}
      </text>
      {/* biome-ignore lint/a11y/useSemanticElements: a button cannot live inside an SVG */}
      <g
        role="button"
        tabIndex={0}
        aria-label={flipped ? 'see from the saddle' : 'see from the front'}
        onClick={onFlip}
        onKeyDown={(event) => event.key === 'Enter' && onFlip()}
        style={{ cursor: 'pointer' }}
      >
        <rect x={WIDTH - 230} y={4} width={214} height={44} fill="transparent" />
        <text
          x={WIDTH - 24}
          y={33}
          textAnchor="end"
          fontSize="16"
          fontWeight="500"
          style={{ fill: 'var(--slate)', textDecoration: 'underline' }}
        >
          {flipped ? 'seen from the front · flip' : 'seen from the saddle · flip'}
        </text>
      </g>
      <Shapes shapes={outline.fixed} scale={scale} />
      <Shapes shapes={outline.left} scale={scale} />
      <Shapes shapes={outline.right} scale={scale} />
      {ghosts.map((ghost, index) => (
        <GhostShapes key={index} shapes={[...ghost.left, ...ghost.right]} scale={scale} />
      ))}
      <Shapes shapes={outline.cable} scale={scale} />
      {anchor && (
        <text
          x={anchor[0] + (anchorRight ? 20 : -46)}
          y={anchor[1] - 12}
          textAnchor={anchorRight ? 'start' : 'end'}
          fontSize="16"
          fontWeight="500"
        >
          anchor
        </text>
      )}
      <GapInset x={28} y={INSET_Y} gapMm={flipped ? pose.gapRightMm : pose.gapLeftMm} padOn="left" k={scale.k} />
      <GapInset
        x={WIDTH - 28 - INSET.width}
        y={INSET_Y}
        gapMm={flipped ? pose.gapLeftMm : pose.gapRightMm}
        padOn="right"
        k={scale.k}
      />
      {caption && (
        <text x={WIDTH / 2} y={HEIGHT - 4} textAnchor="middle" fontSize="16" style={{ fill: 'var(--slate)' }}>
          {caption}
        </text>
      )}
      {leaders.map((leader) => {
        const to = at(leader.reading)
        return (
          to && (
            <LeaderLine
              key={leader.reading}
              leader={leader}
              to={to}
              onRight={onRight(leader.side)}
              onPick={() => onPick(leader.reading)}
            />
          )
        )
      })}
      {notes.map((note) => {
        const point = at(note.anchor)
        if (!point) return null
        const label = { note, at: point, onRight: onRight(note.side) }
        return note.anchor.endsWith('Screw') ? (
          <ScrewLabel key={note.anchor} {...label} />
        ) : (
          <CableLabel key={note.anchor} {...label} />
        )
      })}
    </svg>
  )
})
