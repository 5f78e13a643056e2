import type { Detail } from '@overhaul/core/brake/drawings'
import type { DimensionLine } from '@overhaul/core/brake/frame'
import { scaleLinear } from 'd3-scale'
import { memo } from 'react'
import type { Place } from './boxes.ts'
import { busyAt } from './busy.ts'
import { DrawnButton } from './DrawnButton.tsx'
import { type DrawnDimension, drawnDimension } from './dimension-line.ts'
import { type Shape as MarkName, MarkShape } from './Mark.tsx'
import { HALO, type Scale, Shapes } from './paint.tsx'
import { type PlacedNote, placeNotes } from './place-notes.ts'
import { ScaleBar, type ScaleBarProps } from './ScaleBar.tsx'
import { widthOf } from './text-width.ts'

/** What stands at a dimension: its name, and what was measured with its state. */
export interface DimensionNote {
  readonly id: string
  readonly title: string
  readonly text: string
  readonly mark: MarkName
}

interface Props {
  readonly detail: Detail
  readonly title: string
  /** Dimensions of the card in hand; others are not drawn. */
  readonly notes: readonly DimensionNote[]
  /** The field that has the focus. */
  readonly focus: string | undefined
  readonly width: number
  readonly height: number
  readonly scaleBar: ScaleBarProps
  /** Where a dimension leads to a field; without it, it is only read. */
  readonly onPick?: (id: string) => void
}

const HEAD = 40
const FOOT = 26
const FIGURE = 10.4
const NOTE_HEIGHT = 42
const LINE = 20

function fitScale({ bounds }: Detail, width: number, height: number): Scale {
  const [minX, minY] = bounds.min
  const [maxX, maxY] = bounds.max
  const k = Math.min((width - 24) / (maxX - minX), (height - HEAD - FOOT) / (maxY - minY))
  const middle = HEAD + (height - HEAD - FOOT) / 2
  const x = scaleLinear([(minX + maxX) / 2, (minX + maxX) / 2 + 1], [width / 2, width / 2 + k])
  const y = scaleLinear([(minY + maxY) / 2, (minY + maxY) / 2 + 1], [middle, middle - k])
  return { x: (mm) => x(mm), y: (mm) => y(mm), k }
}

const OF: Readonly<Record<NonNullable<DimensionLine['of']>, string>> = { force: '', diameter: '⌀ ', radius: 'R ' }

const sizeOf = ({ title, text }: DimensionNote, of: DimensionLine['of']) => ({
  width: Math.max(widthOf(title, 16), 26 + FIGURE * (text.length + (of ? OF[of].length : 0))) + 4,
  height: NOTE_HEIGHT,
})

/** A part by itself, to scale: every reading of the card in hand dimensioned on it, each leading to its field. */
export const DetailDrawing = memo(function DetailDrawing(props: Props) {
  const { detail, title, notes, focus, width, height, scaleBar, onPick } = props
  const scale = fitScale(detail, width, height)
  const wanted = detail.dimensions.flatMap((line) => {
    const note = notes.find(({ id }) => id === line.id)
    return note ? [{ line, note, drawn: drawnDimension(line, scale) }] : []
  })
  const room = { left: 4, right: width - 4, top: HEAD - 4, bottom: height - FOOT }
  const busy = busyAt(detail.shapes, scale)
  const labels = placeNotes(
    detail.labels.map(({ text, at, side }) => {
      const point = { x: scale.x(at[0]), y: scale.y(at[1]) + 10 }
      return { id: text, from: point, to: point, width: widthOf(text, 16) + 2, height: LINE, side }
    }),
    room,
    [],
  )
  const places = placeNotes(
    wanted.map(({ line, note, drawn }) => ({ id: line.id, ...drawn, ...sizeOf(note, line.of) })),
    room,
    busy,
    labels.map(({ box }) => box),
  )
  const said = [title, detail.enlarged].filter(Boolean).join(' · ')
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset cannot hold a drawing; it groups the drawing's controls
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      height="100%"
      role="group"
      aria-label={`Drawing: ${title}${detail.enlarged ? `; ${detail.enlarged}` : ''}`}
    >
      <ScaleBar {...scaleBar} k={scale.k} />
      <text
        x={width - 8}
        y={height - 7}
        textAnchor="end"
        fontSize={Math.min(16, (16 * (width - 16)) / widthOf(said, 16))}
        style={{ fill: 'var(--slate)' }}
      >
        {said}
      </text>
      <Shapes shapes={detail.shapes} scale={scale} />
      {labels.map(({ id, box }) => (
        <text key={id} x={box.left + 1} y={box.bottom - 4} fontSize="16" style={{ fill: 'var(--slate)' }} {...HALO}>
          {id}
        </text>
      ))}
      {wanted.map(({ line, note, drawn }) => {
        const place = places.find(({ id }) => id === line.id)
        return (
          place && (
            <Dimensioned
              key={line.id}
              of={line.of}
              note={note}
              drawn={drawn}
              place={place}
              strong={line.id === focus}
              {...(onPick && { onPick: () => onPick(line.id) })}
            />
          )
        )
      })}
    </svg>
  )
})

const OUT = 20
const path = (...points: readonly Place[]): string => `M${points.map(({ x, y }) => `${x},${y}`).join('L')}`

function Dimensioned({
  note,
  of,
  drawn,
  place,
  strong,
  onPick,
}: {
  note: DimensionNote
  of: DimensionLine['of']
  drawn: DrawnDimension
  place: PlacedNote
  strong: boolean
  onPick?: () => void
}) {
  const { from, to, witnesses, outside } = drawn
  const arrow = strong ? 'url(#arrow-predicted)' : 'url(#arrow)'
  const ink = strong ? 'var(--predicted)' : 'var(--ink)'
  const line = { fill: 'none', stroke: ink, strokeWidth: strong ? 2.6 : 1.2 }
  const long = Math.hypot(to.x - from.x, to.y - from.y)
  const [ux, uy] = long > 0 ? [(to.x - from.x) / long, (to.y - from.y) / long] : [1, 0]
  const { box, leads } = place
  const nearest = {
    x: Math.max(box.left, Math.min(box.right, (from.x + to.x) / 2)),
    y: Math.max(box.top, Math.min(box.bottom, (from.y + to.y) / 2)),
  }
  const words = (
    <>
      <text
        x={box.left + 2}
        y={box.top + 15}
        fontSize="16"
        fontWeight={strong ? 600 : 500}
        {...HALO}
        style={{ fill: ink }}
      >
        {note.title}
      </text>
      <g transform={`translate(${box.left + 11},${box.top + 30})`}>
        <MarkShape shape={note.mark} />
      </g>
      <text x={box.left + 26} y={box.top + 37} fontSize="22" fontWeight="600" {...HALO} style={{ fill: ink }}>
        {of ? OF[of] : ''}
        {note.text}
      </text>
    </>
  )
  return (
    <g data-dimension={note.id} {...(strong && { 'data-strong': '' })}>
      {witnesses.map(([a, b]) => (
        <path key={`${a.x},${a.y}`} d={path(a, b)} stroke="var(--slate)" strokeWidth="1" />
      ))}
      {outside ? (
        <>
          <path d={path(from, to)} {...line} />
          <path d={path({ x: from.x - ux * OUT, y: from.y - uy * OUT }, from)} {...line} markerEnd={arrow} />
          <path d={path({ x: to.x + ux * OUT, y: to.y + uy * OUT }, to)} {...line} markerEnd={arrow} />
        </>
      ) : (
        <path
          d={path(from, to)}
          {...line}
          markerEnd={arrow}
          {...(of !== 'force' && of !== 'radius' && { markerStart: arrow })}
        />
      )}
      {leads && (
        <path d={path(nearest, { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 })} stroke={ink} strokeWidth="1" />
      )}
      {onPick ? (
        <DrawnButton
          label={`enter ${note.title}, ${note.text === '?' ? 'not measured' : note.text}`}
          x={box.left - 2}
          y={box.top - 3}
          width={Math.max(48, box.right - box.left + 4)}
          height={48}
          onPress={onPick}
        >
          {words}
        </DrawnButton>
      ) : (
        words
      )}
    </g>
  )
}
