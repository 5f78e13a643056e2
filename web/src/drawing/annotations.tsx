import type { DimensionLine, FrameLabel, Inset, Side } from '@overhaul/core/brake/frame'
import type { Point } from '@overhaul/core/calculation/calculation'
import { ARROW, isMove, LINE, MARKED, SIZE } from './brake-words.ts'
import { DrawnButton } from './DrawnButton.tsx'
import { INSET, type Layout, leaderAt, sayInset } from './layout.ts'
import { type Shape as MarkName, MarkShape } from './Mark.tsx'
import { HALO, type Scale } from './paint.tsx'
import type { PlacedNote } from './place-notes.ts'
import { widthOf } from './text-width.ts'

/** A dimension line shorter than this, in pixels, is told by its leader and its inset. */
const SHORTEST_LINE = 12

/** What a leader line carries: a reading’s value and its state. */
export interface LeaderNote {
  readonly reading: string
  readonly title: string
  readonly text: string
  readonly mark: MarkName
}

/** What stands beside an adjuster. */
export interface HandleNote {
  readonly adjuster: string
  readonly text: string
  /** A screw: what it was turned always stands there, and the arrow of its next turn beside it. */
  /** Something to be tight: how it stands. */
  readonly mark?: MarkName
  readonly screw?: { readonly next?: { readonly amount: string; readonly clockwise: boolean } }
}

/** A small place drawn larger beside the true-scale drawing: a face, a pad, and what is between them. */
export function InsetDrawing({
  x,
  y,
  inset,
  padOn,
  k,
}: {
  x: number
  y: number
  inset: Inset
  padOn: Side
  k: number
}) {
  const { width, height, times, wall } = INSET
  const room = width - wall - 24
  const apart = Math.min(room, inset.apartMm * k * times)
  const wallX = padOn === 'left' ? x + width - wall : x
  const face = padOn === 'left' ? wallX - apart : wallX + wall + apart
  const back = padOn === 'left' ? x : x + width
  return (
    <g>
      <rect x={x} y={y} width={width} height={height} fill="var(--sheet)" stroke="var(--control)" />
      <rect
        x={wallX}
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
      {apart > 18 && (
        <path
          d={`M${padOn === 'left' ? wallX : wallX + wall},${y + height / 2}H${face}`}
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
        {sayInset(inset)}
      </text>
    </g>
  )
}

/** Words beside a point: from it outwards, or on a narrow drawing from the edge of the paper. */
const beside = (x: number, onRight: boolean, off: number, { narrow, width }: Layout) =>
  narrow
    ? ({ x: onRight ? width - 4 : 4, textAnchor: onRight ? 'end' : 'start' } as const)
    : ({ x: x + (onRight ? off : -off), textAnchor: onRight ? 'start' : 'end' } as const)

export function LeaderLine({
  leader,
  to,
  row,
  onRight,
  layout,
  onPick,
}: {
  leader: LeaderNote
  to: Point
  row: number
  onRight: boolean
  layout: Layout
  onPick: () => void
}) {
  const at = layout.leader
  const { elbow, end, y } = leaderAt(layout, onRight, row)
  const text = onRight ? end + 8 : end - 8
  const mark = onRight ? end + at.mark : end - at.mark
  const title = beside(end, onRight, 8, layout)
  return (
    <g>
      <path d={`M${elbow},${y}L${to[0]},${to[1]}`} fill="none" stroke="var(--ink)" markerEnd="url(#arrow)" />
      <path d={`M${elbow},${y}H${end}`} stroke="var(--ink)" />
      <text x={text} y={y + 10} textAnchor={onRight ? 'start' : 'end'} fontSize="30" fontWeight="600">
        {leader.text}
      </text>
      <text {...title} y={y + 30} fontSize="16" fontWeight="500">
        {leader.title}
      </text>
      <g transform={`translate(${mark},${y - 1})`}>
        <MarkShape shape={leader.mark} />
      </g>
      <DrawnButton
        label={`enter ${leader.title}, ${leader.text === '?' ? 'not measured' : leader.text}`}
        x={onRight ? end : end - at.touch}
        y={y - 26}
        width={at.touch}
        height={52}
        onPress={onPick}
      />
    </g>
  )
}

/** From words that stand far off to what they are of. */
function Lead({ place: { box, leads }, at }: { place: PlacedNote; at: Point }) {
  if (!leads) return null
  const x = Math.max(box.left, Math.min(box.right, at[0]))
  const y = Math.max(box.top, Math.min(box.bottom, at[1]))
  return <path d={`M${x},${y}L${at[0]},${at[1]}`} stroke="var(--ink)" strokeWidth="1" />
}

/** Which way a screw is turned next, drawn round it. */
function TurnArrow({ at: [x, y], onRight, clockwise }: { at: Point; onRight: boolean; clockwise: boolean }) {
  const middle = x + (onRight ? ARROW.off : -ARROW.off)
  return (
    <path
      d={clockwise ? `M${middle - 6},${y - 17}a17 17 0 1 1 -1 29` : `M${middle + 6},${y - 17}a17 17 0 1 0 1 29`}
      fill="none"
      stroke="var(--predicted)"
      strokeWidth="2.4"
      markerEnd="url(#arrow-predicted)"
    />
  )
}

/** What an adjuster stands at and how far it is turned next, beside the place it is reached at. */
export function HandleLabel({
  note,
  at,
  onRight,
  place,
}: {
  note: HandleNote
  at: Point
  onRight: boolean
  place: PlacedNote
}) {
  const { box } = place
  const next = note.screw?.next
  const foot = box.bottom - 5
  return (
    <g>
      <Lead place={place} at={at} />
      {next && (
        <>
          <TurnArrow at={at} onRight={onRight} clockwise={next.clockwise} />
          <text
            x={Math.max(box.left + 2, Math.min(box.right - widthOf(next.amount, SIZE.amount), at[0]))}
            y={foot - SIZE.name * LINE}
            fontSize={SIZE.amount}
            fontWeight="600"
            {...HALO}
            style={{ fill: 'var(--predicted)' }}
          >
            {next.amount}
          </text>
        </>
      )}
      {note.mark && (
        <g transform={`translate(${box.left + MARKED / 2},${foot - 6})`}>
          <MarkShape shape={note.mark} r={7} />
        </g>
      )}
      <text
        x={box.left + 2 + (note.mark ? MARKED : 0)}
        y={foot}
        fontSize={isMove(note) ? SIZE.move : SIZE.name}
        fontWeight={next || isMove(note) ? 600 : 500}
        {...HALO}
        {...(isMove(note) && { style: { fill: 'var(--predicted)' } })}
      >
        {note.text}
      </text>
    </g>
  )
}

/** The name of a part, beside it. */
export function PartLabel({ label, at, place }: { label: FrameLabel; at: Point; place: PlacedNote }) {
  return (
    <g>
      <Lead place={place} at={at} />
      <text x={place.box.left + 2} y={place.box.bottom - 5} fontSize={SIZE.name} fontWeight="500" {...HALO}>
        {label.text}
      </text>
    </g>
  )
}

/** A drawn line is as easily touched as a button. */
const TOUCH = 48

/** What a figure is measured between: the one in hand strong. Touched, it leads to its field. */
export function Dimension({
  line,
  name,
  scale,
  onPick,
}: {
  line: DimensionLine
  name: string
  scale: Scale
  onPick: () => void
}) {
  const [x1, y1, x2, y2] = [scale.x(line.from[0]), scale.y(line.from[1]), scale.x(line.to[0]), scale.y(line.to[1])]
  if (!line.strong && Math.hypot(x2 - x1, y2 - y1) < SHORTEST_LINE) return null
  return (
    <DrawnButton
      label={`enter ${name}`}
      x={(x1 + x2 - TOUCH) / 2}
      y={(y1 + y2 - TOUCH) / 2}
      width={TOUCH}
      height={TOUCH}
      onPress={onPick}
    >
      <path
        data-dimension={line.id}
        d={`M${x1},${y1}L${x2},${y2}`}
        fill="none"
        stroke={line.strong ? 'var(--predicted)' : 'var(--ink)'}
        strokeWidth={line.strong ? 2 : 1}
        markerStart={line.strong ? 'url(#arrow-predicted)' : 'url(#arrow)'}
        markerEnd={line.strong ? 'url(#arrow-predicted)' : 'url(#arrow)'}
      />
    </DrawnButton>
  )
}
