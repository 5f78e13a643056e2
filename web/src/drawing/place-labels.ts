import { type Box, outside, overlap, type Place, within } from './boxes.ts'

/** A line to be named, in the drawing's own pixels. */
export interface NamedLine {
  readonly label: string
  readonly points: readonly Place[]
}

export interface PlacedLabel {
  readonly label: string
  /** Where its text ends, and its base line. */
  readonly x: number
  readonly y: number
  readonly box: Box
}

/** Of the drawing's label type at 15 px: the widest a letter comes to, and a line of it. */
const LETTER = 7.4
const LINE = 17
const CLEAR = 4

/** How much of a line runs through a box, in points of it. */
const crossing = ({ points }: NamedLine, box: Box): number => points.filter((each) => within(each, box)).length

const ALONG = [1, 0.85, 0.7, 0.55, 0.4, 0.25] as const
const OFF = [-CLEAR - 3, LINE, -CLEAR - 16, LINE + 14] as const

/** Names each line near its own course, inside the room, over no other name and as little as can be over a line. */
export function placeLabels(lines: readonly NamedLine[], room: Box): readonly PlacedLabel[] {
  const placed: PlacedLabel[] = []
  for (const line of lines) {
    const width = LETTER * line.label.length
    let best: { readonly label: PlacedLabel; readonly cost: number } | undefined
    for (const [far, share] of ALONG.entries()) {
      const at = line.points[Math.round(share * (line.points.length - 1))]
      if (!at) continue
      for (const [off, dy] of OFF.entries()) {
        const x = Math.min(room.right - CLEAR, Math.max(room.left + width + CLEAR, at.x - CLEAR))
        const y = at.y + dy
        const box = { left: x - width, right: x, top: y - LINE + 4, bottom: y + 4 }
        const cost =
          placed.reduce((sum, each) => sum + 100 * overlap(box, each.box), 0) +
          50 * outside(box, room) +
          lines.reduce((sum, each) => sum + 8 * crossing(each, box), 0) +
          far +
          2 * off
        if (!best || cost < best.cost) best = { label: { label: line.label, x, y, box }, cost }
      }
    }
    if (best) placed.push(best.label)
  }
  return placed
}
