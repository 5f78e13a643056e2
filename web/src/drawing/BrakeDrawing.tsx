import type { Frame, Shape, Side } from '@overhaul/core/brake/frame'
import type { Point } from '@overhaul/core/calculation/calculation'
import { scaleLinear } from 'd3-scale'
import { memo, useRef } from 'react'
import {
  Dimension,
  HandleLabel,
  type HandleNote,
  InsetDrawing,
  LeaderLine,
  type LeaderNote,
  PartLabel,
} from './annotations.tsx'
import { type BrakeWords, placeWords, rowsOf } from './brake-words.ts'
import { DrawnButton } from './DrawnButton.tsx'
import { insetAt, type Layout, layoutOf } from './layout.ts'
import { GhostShapes, type Scale, Shapes } from './paint.tsx'
import { ScaleBar, type ScaleBarProps } from './ScaleBar.tsx'

interface Props {
  readonly frame: Frame
  /** Where the next turn brings the moving parts, each way it may go. */
  readonly ghosts: readonly (readonly Shape[])[]
  readonly leaders: readonly LeaderNote[]
  readonly notes: readonly HandleNote[]
  readonly flipped: boolean
  /** On a phone: what else stands beside the brake stands under it. */
  readonly narrow: boolean
  readonly scaleBar: ScaleBarProps
  /** Said under the drawing, where it is not drawn from readings. */
  readonly caption: string | undefined
  readonly onFlip: () => void
  /** Turns the wheel once round, where that is drawn. */
  readonly onSpin?: () => void
  /** What a dimension line is called. */
  readonly nameOf: (id: string) => string
  /** A leader or a dimension was touched: its field is wanted. */
  readonly onPick: (id: string) => void
}

/** Fits the frame's bounds into the drawing, true to scale. */
function fitScale({ bounds }: Frame, flipped: boolean, { brake, width }: Layout): Scale {
  const [minX, minY] = bounds.min
  const [maxX, maxY] = bounds.max
  const k = Math.min(brake.width / (maxX - minX), brake.height / (maxY - minY))
  const middle = width / 2
  const foot = brake.top + brake.height
  const x = scaleLinear([-1, 1], flipped ? [middle + k, middle - k] : [middle - k, middle + k])
  const y = scaleLinear([minY, minY + 1], [foot, foot - k])
  return { x: (mm) => x(mm), y: (mm) => y(mm), k }
}

/** Words keep their places while the brake closes and the wheel turns: they are placed anew only where what is said changes. */
function useHeldWords(said: string, place: () => BrakeWords): BrakeWords {
  const held = useRef<{ readonly said: string; readonly words: BrakeWords }>(undefined)
  if (held.current?.said !== said) held.current = { said, words: place() }
  return held.current.words
}

/** The brake in front view, to scale, from the frame its own model draws. */
export const BrakeDrawing = memo(function BrakeDrawing({
  frame,
  ghosts,
  leaders,
  notes,
  flipped: wantsFlipped,
  narrow,
  scaleBar,
  caption,
  onFlip,
  onSpin,
  nameOf,
  onPick,
}: Props) {
  const flipped = wantsFlipped && frame.seenFrom === undefined
  const layout = layoutOf(frame, narrow)
  const { width, height } = layout
  const scale = fitScale(frame, flipped, layout)
  const at = ([x, y]: Point): Point => [scale.x(x), scale.y(y)]
  const onRight = (side: Side) => (side === 'right') !== flipped
  const words = useHeldWords(
    JSON.stringify([narrow, flipped, frame.bounds, leaders.map(({ reading }) => reading), notes]),
    () => placeWords({ frame, ghosts, layout, scale, onRight, leaders, notes, caption }),
  )
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset cannot hold a drawing; it groups the drawing's controls
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      {...(!narrow && { height: '100%' })}
      role="group"
      aria-label={`The brake ${frame.seenFrom === undefined ? 'in front view' : `seen ${frame.seenFrom}`}, to scale`}
    >
      <ScaleBar {...scaleBar} k={scale.k} />
      {frame.seenFrom === undefined ? (
        <>
          <text x={layout.inset.x} y={66} fontSize="19" fontWeight="600">
            {flipped ? 'RIGHT' : 'LEFT'}
          </text>
          <text x={width - layout.inset.x} y={66} textAnchor="end" fontSize="19" fontWeight="600">
            {flipped ? 'LEFT' : 'RIGHT'}
          </text>
          <DrawnButton
            label={flipped ? 'see from the saddle' : 'see from the front'}
            x={width - 230}
            y={2}
            width={220}
            height={48}
            onPress={onFlip}
          >
            <text
              x={width - 24}
              y={33}
              textAnchor="end"
              fontSize="16"
              fontWeight="500"
              style={{ fill: 'var(--slate)', textDecoration: 'underline' }}
            >
              {flipped ? 'seen from the front · flip' : 'seen from the saddle · flip'}
            </text>
          </DrawnButton>
        </>
      ) : (
        <text x={width - 24} y={33} textAnchor="end" fontSize="16" style={{ fill: 'var(--slate)' }}>
          {`seen ${frame.seenFrom}`}
        </text>
      )}
      {onSpin && (
        <DrawnButton label="turn the wheel" x={width / 2 - 80} y={42} width={160} height={48} onPress={onSpin}>
          <text
            x={width / 2}
            y={72}
            textAnchor="middle"
            fontSize="16"
            fontWeight="500"
            style={{ fill: 'var(--slate)', textDecoration: 'underline' }}
          >
            turn the wheel
          </text>
        </DrawnButton>
      )}
      <Shapes shapes={frame.still} scale={scale} />
      <Shapes shapes={frame.moving} scale={scale} />
      {ghosts.map((ghost, index) => (
        <GhostShapes key={index} shapes={ghost} scale={scale} />
      ))}
      <Shapes shapes={frame.cable} scale={scale} />
      {frame.dimensions.map((line) => (
        <Dimension key={line.id} line={line} name={nameOf(line.id)} scale={scale} onPick={() => onPick(line.id)} />
      ))}
      {rowsOf(frame.insets).map(([inset, row]) => {
        const right = onRight(inset.side)
        return (
          <InsetDrawing
            key={inset.id}
            {...insetAt(layout, right, row)}
            inset={inset}
            padOn={right ? 'right' : 'left'}
            k={scale.k}
          />
        )
      })}
      {caption && (
        <text x={width / 2} y={height - 4} textAnchor="middle" fontSize="16" style={{ fill: 'var(--slate)' }}>
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
              row={row}
              onRight={onRight(side)}
              layout={layout}
              onPick={() => onPick(reading)}
            />
          )
        )
      })}
      {frame.labels.map((label) => {
        const place = words.labels.find(({ id }) => id === label.text)
        return place && <PartLabel key={label.text} label={label} at={at(label.at)} place={place} />
      })}
      {frame.handles.map(({ adjuster, at: point, side }) => {
        const note = notes.find((each) => each.adjuster === adjuster)
        const place = words.handles.find(({ id }) => id === adjuster)
        return (
          note &&
          place && <HandleLabel key={adjuster} note={note} at={at(point)} onRight={onRight(side)} place={place} />
        )
      })}
    </svg>
  )
})
