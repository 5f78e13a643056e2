/** An upright rectangle, in the drawing's own pixels. */
export interface Box {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/** A place in the drawing's own pixels. */
export interface Place {
  readonly x: number
  readonly y: number
}

/** What two boxes have of each other, in square pixels. */
export const overlap = (a: Box, b: Box): number =>
  Math.max(0, Math.min(a.right, b.right) - Math.max(a.left, b.left)) *
  Math.max(0, Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top))

/** How far a box sticks out of the room, in pixels. */
export const outside = (box: Box, room: Box): number =>
  Math.max(0, room.left - box.left) +
  Math.max(0, box.right - room.right) +
  Math.max(0, room.top - box.top) +
  Math.max(0, box.bottom - room.bottom)

export const within = ({ x, y }: Place, box: Box): boolean =>
  x > box.left && x < box.right && y > box.top && y < box.bottom
