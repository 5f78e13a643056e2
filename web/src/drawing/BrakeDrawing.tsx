import type { Frame, Shape, Side } from '@overhaul/core/brake/frame'
import type { Point } from '@overhaul/core/calculation/calculation'
import { scaleLinear } from 'd3-scale'
import { memo } from 'react'
import {
  Dimension,
  type HandleNote,
  INSET,
  InsetDrawing,
  LeaderLine,
  type LeaderNote,
  MoveLabel,
  PartLabel,
  ScrewLabel,
  WIDTH,
} from './annotations.tsx'
import { GhostShapes, type Scale, Shapes } from './paint.tsx'
import { ScaleBar, type ScaleBarProps } from './ScaleBar.tsx'

interface Props {
  readonly frame: Frame
  /** Where the next turn brings the moving parts, each way it may go. */
  readonly ghosts: readonly (readonly Shape[])[]
  readonly leaders: readonly LeaderNote[]
  readonly notes: readonly HandleNote[]
  readonly flipped: boolean
  readonly scaleBar: ScaleBarProps
  /** Said under the drawing, where it is not drawn from readings. */
  readonly caption: string | undefined
  readonly onFlip: () => void
  readonly onPick: (reading: string) => void
}

const HEIGHT = 446
const INSET_Y = 246
const LEADER_Y = 206
const LEADER_STEP = 58

/** Fits the frame's bounds into the drawing, true to scale. */
function fitScale({ bounds }: Frame, flipped: boolean): Scale {
  const [minX, minY] = bounds.min
  const [maxX, maxY] = bounds.max
  const k = Math.min((WIDTH - 240) / (maxX - minX), (HEIGHT - 28) / (maxY - minY))
  const middle = WIDTH / 2
  const x = scaleLinear([-1, 1], flipped ? [middle + k, middle - k] : [middle - k, middle + k])
  const y = scaleLinear([minY, minY + 1], [HEIGHT - 14, HEIGHT - 14 - k])
  return { x: (mm) => x(mm), y: (mm) => y(mm), k }
}

/** Those on one side of the drawing stand one under the other. */
const rowsOf = <T extends { readonly side: Side }>(all: readonly T[]): readonly (readonly [T, number])[] =>
  all.map((each, index) => [each, all.slice(0, index).filter(({ side }) => side === each.side).length])

/** The brake in front view, to scale, from the frame its own model draws. */
export const BrakeDrawing = memo(function BrakeDrawing({
  frame,
  ghosts,
  leaders,
  notes,
  flipped,
  scaleBar,
  caption,
  onFlip,
  onPick,
}: Props) {
  const scale = fitScale(frame, flipped)
  const at = ([x, y]: Point): Point => [scale.x(x), scale.y(y)]
  const onRight = (side: Side) => (side === 'right') !== flipped
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
      <Shapes shapes={frame.still} scale={scale} />
      <Shapes shapes={frame.moving} scale={scale} />
      {ghosts.map((ghost, index) => (
        <GhostShapes key={index} shapes={ghost} scale={scale} />
      ))}
      <Shapes shapes={frame.cable} scale={scale} />
      {frame.dimensions.map((line) => (
        <Dimension key={line.id} line={line} scale={scale} />
      ))}
      {frame.labels.map((label) => (
        <PartLabel key={label.text} label={label} at={at(label.at)} onRight={onRight(label.side)} />
      ))}
      {rowsOf(frame.insets).map(([inset, row]) => {
        const right = onRight(inset.side)
        return (
          <InsetDrawing
            key={inset.id}
            x={right ? WIDTH - 28 - INSET.width : 28}
            y={INSET_Y + row * INSET.step}
            inset={inset}
            padOn={right ? 'right' : 'left'}
            k={scale.k}
          />
        )
      })}
      {caption && (
        <text x={WIDTH / 2} y={HEIGHT - 4} textAnchor="middle" fontSize="16" style={{ fill: 'var(--slate)' }}>
          {caption}
        </text>
      )}
      {rowsOf(frame.leaders).map(([{ reading, side, to }, row]) => {
        const leader = leaders.find((each) => each.reading === reading)
        return (
          leader && (
            <LeaderLine
              key={reading}
              leader={leader}
              to={at(to)}
              y={LEADER_Y - row * LEADER_STEP}
              onRight={onRight(side)}
              onPick={() => onPick(reading)}
            />
          )
        )
      })}
      {frame.handles.map(({ adjuster, at: point, side, above }) => {
        const note = notes.find((each) => each.adjuster === adjuster)
        if (!note) return null
        const label = { note, at: at(point), onRight: onRight(side) }
        return note.screw ? (
          <ScrewLabel key={adjuster} {...label} />
        ) : (
          <MoveLabel key={adjuster} {...label} above={above ?? false} />
        )
      })}
    </svg>
  )
})
