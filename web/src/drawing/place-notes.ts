import type { Side } from '@overhaul/core/brake/frame'
import { type Box, outside, overlap, type Place, within } from './boxes.ts'

/** Words to be put beside a line, as wide and as high as they come to. */
export interface NoteSize {
  readonly id: string
  readonly from: Place
  readonly to: Place
  readonly width: number
  readonly height: number
  /** Where it stands by preference: that much as well as anywhere else. */
  readonly side?: Side
}

export interface PlacedNote {
  readonly id: string
  readonly box: Box
  /** Too far off to be taken for another's: a line leads from here to it. */
  readonly leads: boolean
}

const CLEAR = 7
const OFF = [0, 20, 46, 80, 120] as const
const ROUND = Array.from({ length: 16 }, (_, index) => (index * Math.PI) / 8)
/** What a point of a drawn line under words costs, in the steps that they may be moved off for it. */
const OVER = 4
/** As much as this many points of a line under it. */
const WRONG_SIDE = 4
/** Further than this beyond its nearest place, words have a leader. */
const LEAD = 30

const alongLine = ({ from, to }: Pick<NoteSize, 'from' | 'to'>): readonly Place[] => {
  const steps = Math.max(1, Math.round(Math.hypot(to.x - from.x, to.y - from.y) / 8))
  return Array.from({ length: steps + 1 }, (_, index) => ({
    x: from.x + ((to.x - from.x) * index) / steps,
    y: from.y + ((to.y - from.y) * index) / steps,
  }))
}

/**
 * Puts each line's words beside it: inside the room, over no other words, and as little as can be over lines and over what
 * is drawn (`busy`, points of it). `taken`: where other words stand already.
 */
export function placeNotes(
  notes: readonly NoteSize[],
  room: Box,
  busy: readonly Place[],
  taken: readonly Box[] = [],
): readonly PlacedNote[] {
  const lines = notes.flatMap(alongLine)
  const placed: PlacedNote[] = []
  const words = [...taken]
  // What is measured nearest the edge has the fewest places to stand at.
  for (const note of notes) {
    const middle = { x: (note.from.x + note.to.x) / 2, y: (note.from.y + note.to.y) / 2 }
    const along = Math.atan2(note.to.y - note.from.y, note.to.x - note.from.x)
    let best: { readonly note: PlacedNote; readonly cost: number } | undefined
    for (const [far, off] of OFF.entries()) {
      for (const turn of ROUND) {
        const [dx, dy] = [Math.cos(turn), Math.sin(turn)]
        const reach =
          Math.abs(Math.cos(turn - along)) * (Math.hypot(note.to.x - note.from.x, note.to.y - note.from.y) / 2)
        const centre = {
          x: middle.x + dx * (reach + note.width / 2 + CLEAR + off),
          y: middle.y + dy * (reach + note.height / 2 + CLEAR + off),
        }
        const box = {
          left: centre.x - note.width / 2,
          right: centre.x + note.width / 2,
          top: centre.y - note.height / 2,
          bottom: centre.y + note.height / 2,
        }
        const cost =
          words.reduce((sum, each) => sum + 40 * overlap(box, each), 0) +
          80 * outside(box, room) +
          lines.filter((each) => within(each, box)).length * 30 +
          busy.filter((each) => within(each, box)).length * OVER +
          (note.side && dx * (note.side === 'right' ? 1 : -1) < -0.1 ? WRONG_SIDE * OVER : 0) +
          far * 7
        if (!best || cost < best.cost) best = { note: { id: note.id, box, leads: off >= LEAD }, cost }
      }
    }
    if (!best) continue
    placed.push(best.note)
    words.push(best.note.box)
  }
  return placed
}
