import type { Frame, Shape, Side } from '@overhaul/core/brake/frame'
import type { HandleNote, LeaderNote } from './annotations.tsx'
import type { Box, Place } from './boxes.ts'
import { busyAt } from './busy.ts'
import { INSET, insetAt, type Layout, leaderAt, sayInset } from './layout.ts'
import type { Scale } from './paint.tsx'
import { type NoteSize, type PlacedNote, placeNotes } from './place-notes.ts'
import { widthOf } from './text-width.ts'

/** What stands round an adjuster that is turned: the arrow of its turn, this far off the screw and this far round. */
export const ARROW = { off: 10, radius: 20 } as const

/** Type sizes of what stands beside adjusters and parts. */
export const SIZE = { amount: 20, move: 18, name: 16 } as const
/** A line of them, in parts of its size. */
export const LINE = 1.28

/** Room for the state before a word. */
export const MARKED = 22

/** A move of something that is no screw: said strongly, as nothing else shows it. */
export const isMove = ({ screw, mark }: HandleNote): boolean => screw === undefined && mark === undefined

export interface BrakeWords {
  readonly handles: readonly PlacedNote[]
  readonly labels: readonly PlacedNote[]
}

interface Drawn {
  readonly frame: Frame
  readonly ghosts: readonly (readonly Shape[])[]
  readonly layout: Layout
  readonly scale: Scale
  readonly onRight: (side: Side) => boolean
  readonly leaders: readonly LeaderNote[]
  readonly notes: readonly HandleNote[]
  readonly caption: string | undefined
}

/** Those on one side of the drawing stand one under the other. */
export const rowsOf = <T extends { readonly side: Side }>(all: readonly T[]): readonly (readonly [T, number])[] =>
  all.map((each, index) => [each, all.slice(0, index).filter(({ side }) => side === each.side).length])

/** What has its own place on the drawing: values at their leaders, what is drawn larger, and what is said above and below. */
function standing({ frame, layout, onRight, leaders, caption }: Drawn): readonly Box[] {
  const { width, height } = layout
  const values = rowsOf(frame.leaders).flatMap(([{ reading, side }, row]): readonly Box[] => {
    const leader = leaders.find((each) => each.reading === reading)
    if (!leader) return []
    const right = onRight(side)
    const { end, y } = leaderAt(layout, right, row)
    const long = 8 + Math.max(layout.leader.mark + 8, widthOf(leader.title, SIZE.name), widthOf(leader.text, 30))
    return [{ left: right ? end : end - long, right: right ? end + long : end, top: y - 20, bottom: y + 36 }]
  })
  const larger = rowsOf(frame.insets).map(([each, row]): Box => {
    const { x, y } = insetAt(layout, onRight(each.side), row)
    const beyond = Math.max(0, (widthOf(sayInset(each), SIZE.name) - INSET.width) / 2)
    return { left: x - beyond, right: x + INSET.width + beyond, top: y, bottom: y + INSET.height + 24 }
  })
  const head: Box = { left: 0, right: width, top: 0, bottom: frame.seenFrom === undefined ? 72 : 42 }
  const foot: Box = { left: 0, right: width, top: height - (caption ? 24 : 4), bottom: height }
  return [...values, ...larger, head, foot]
}

/** Puts the words of adjusters and parts where they lie over nothing else: on the side they belong to, as near as there is room. */
export function placeWords(drawn: Drawn): BrakeWords {
  const { frame, ghosts, layout, scale, onRight, notes } = drawn
  const { width, height } = layout
  const side = (each: Side): Side => (onRight(each) ? 'right' : 'left')
  const place = ([x, y]: readonly [number, number]): Place => ({ x: scale.x(x), y: scale.y(y) })
  const arrows: Box[] = []
  const handles = frame.handles.flatMap(({ adjuster, at, side: own }): readonly NoteSize[] => {
    const note = notes.find((each) => each.adjuster === adjuster)
    if (!note) return []
    const screw = place(at)
    const { next } = note.screw ?? {}
    const middle = next ? { x: screw.x + (onRight(own) ? ARROW.off : -ARROW.off), y: screw.y } : screw
    if (next) {
      const { radius } = ARROW
      arrows.push({
        left: middle.x - radius,
        right: middle.x + radius,
        top: middle.y - radius,
        bottom: middle.y + radius,
      })
    }
    const size = isMove(note) ? SIZE.move : SIZE.name
    return [
      {
        id: adjuster,
        from: { ...middle, y: middle.y - (next ? ARROW.radius : 0) },
        to: { ...middle, y: middle.y + (next ? ARROW.radius : 0) },
        width:
          Math.max(widthOf(note.text, size), next ? widthOf(next.amount, SIZE.amount) : 0) +
          4 +
          (note.mark ? MARKED : 0),
        height: LINE * (size + (next ? SIZE.amount : 0)),
        side: side(own),
      },
    ]
  })
  const room = { left: 4, right: width - 4, top: 42, bottom: height - 4 }
  const busy = busyAt([...frame.still, ...frame.moving, ...frame.cable, ...ghosts.flat()], scale)
  const taken = [...standing(drawn), ...arrows]
  const placed = placeNotes(handles, room, busy, taken)
  const labels = placeNotes(
    frame.labels.map(({ text, at, side: own }) => ({
      id: text,
      from: place(at),
      to: place(at),
      width: widthOf(text, SIZE.name) + 4,
      height: LINE * SIZE.name,
      side: side(own),
    })),
    room,
    busy,
    [...taken, ...placed.map(({ box }) => box)],
  )
  return { handles: placed, labels }
}
