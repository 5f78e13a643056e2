import type { Frame, Inset, Side } from '@overhaul/core/brake/frame'

/** Where things stand on a drawing, in its own pixels: beside the brake on a wide one, under it on a narrow one. */
export interface Layout {
  readonly narrow: boolean
  readonly width: number
  readonly height: number
  /** Room for the brake itself. */
  readonly brake: { readonly left: number; readonly top: number; readonly width: number; readonly height: number }
  readonly leader: {
    readonly y: number
    /** From one row to the next. */
    readonly step: number
    /** From the drawing's edge: where a leader bends, where it ends, how far beyond its state stands, and how wide it is to touch. */
    readonly elbow: number
    readonly end: number
    readonly mark: number
    readonly touch: number
  }
  readonly inset: { readonly x: number; readonly y: number }
}

const WIDE: Layout = {
  narrow: false,
  width: 770,
  height: 446,
  brake: { left: 120, top: 14, width: 530, height: 418 },
  leader: { y: 206, step: -58, elbow: 214, end: 176, mark: 92, touch: 108 },
  inset: { x: 28, y: 246 },
}

export const INSET = { width: 132, height: 92, times: 6, wall: 34, step: 124 }

const NARROW_WIDTH = 362
const CAPTION = 26

const most = (all: readonly { readonly side: Side }[]): number =>
  Math.max(...(['left', 'right'] as const).map((side) => all.filter((each) => each.side === side).length))

/** A phone's drawing is as tall as what stands under the brake needs; its words are as large as elsewhere. */
export function layoutOf(frame: Frame, narrow: boolean): Layout {
  if (!narrow) return WIDE
  const brake = { left: 8, top: 84, width: NARROW_WIDTH - 16, height: 270 }
  const leader = { y: 404, step: 52, elbow: 112, end: 84, mark: 66, touch: 84 }
  const inset = { x: 8, y: leader.y + leader.step * most(frame.leaders) - 16 }
  const height = inset.y + INSET.step * most(frame.insets) + CAPTION
  return { narrow, width: NARROW_WIDTH, height, brake, leader, inset }
}

/** Where a leader of a row stands: its height, where it bends and where it ends, from the drawing’s left edge. */
export const leaderAt = ({ leader, width }: Layout, onRight: boolean, row: number) => ({
  y: leader.y + row * leader.step,
  elbow: onRight ? width - leader.elbow : leader.elbow,
  end: onRight ? width - leader.end : leader.end,
})

/** The upper left corner of what is drawn larger, in its row. */
export const insetAt = ({ inset, width }: Layout, onRight: boolean, row: number) => ({
  x: onRight ? width - inset.x - INSET.width : inset.x,
  y: inset.y + row * INSET.step,
})

/** What stands under it. */
export const sayInset = ({ title }: Pick<Inset, 'title'>): string => `${title}, ${INSET.times} times larger`
