import type { Point } from '../calculation/calculation.ts'

export type ShapeRole =
  | 'arm'
  | 'pad'
  | 'shoe'
  | 'post'
  | 'cut'
  | 'void'
  | 'tyre'
  | 'tube'
  | 'cable'
  | 'housing'
  | 'boss'
  | 'bolt'
  | 'screw'
  | 'axis'
  | 'frame'
  | 'skin'
  | 'ghost'
  | 'limit'
  | 'fault'

/** One shape of a drawing, in mm. */
export type Shape<Role extends string = ShapeRole> =
  | { readonly kind: 'polygon'; readonly role: Role; readonly points: readonly Point[] }
  | { readonly kind: 'line'; readonly role: Role; readonly points: readonly Point[] }
  | { readonly kind: 'circle'; readonly role: Role; readonly centre: Point; readonly radius: number }

export type Side = 'left' | 'right'

/** A leader line from a reading’s value beside the drawing to what it is of. */
export interface Leader {
  readonly reading: string
  readonly side: Side
  readonly to: Point
  /** What is drawn here now, in the reading’s unit: shown while the lever is squeezed. */
  readonly drawn: number
}

/** A distance on the drawing that a reading is of. */
export interface DimensionLine {
  readonly id: string
  readonly from: Point
  readonly to: Point
  /** The line stands this far beside them, mm, to the left of the way from one to the other; witness lines lead to it. */
  readonly beside?: number
  /** What it is where it is no plain length: a force along it, the diameter of what is round, the radius of a curve. */
  readonly of?: 'force' | 'diameter' | 'radius'
  /** The reading in hand: drawn strongest. */
  readonly strong?: true
}

/** A small place drawn larger beside the drawing: two faces and what stands between them, mm. */
export interface Inset {
  readonly id: string
  readonly title: string
  readonly side: Side
  readonly apartMm: number
}

/** Where an adjuster is reached; its side tells where its words stand. */
export interface Handle {
  readonly adjuster: string
  readonly at: Point
  readonly side: Side
}

/** Where something that holds the brake together sits; where it is out of the picture, the edge it lies beyond. */
export interface FastenerPlace {
  readonly fastener: string
  readonly at: Point
  readonly side: Side
}

/** A word beside a part. */
export interface FrameLabel {
  readonly text: string
  readonly at: Point
  readonly side: Side
}

/** A brake drawn at one moment, in mm, seen from the saddle: everything a screen needs to paint it. */
export interface Frame {
  /** Parts that stay, parts that move with the hand, and the cable, painted in this order. */
  readonly still: readonly Shape[]
  readonly moving: readonly Shape[]
  readonly cable: readonly Shape[]
  readonly leaders: readonly Leader[]
  readonly dimensions: readonly DimensionLine[]
  readonly insets: readonly Inset[]
  readonly handles: readonly Handle[]
  readonly fasteners: readonly FastenerPlace[]
  readonly labels: readonly FrameLabel[]
  readonly bounds: { readonly min: Point; readonly max: Point }
  /** Tension in the cable at the brake, N; 0 before the pads press. */
  readonly tensionN: number
  /** Where it is seen from, if not from the saddle: it has then no left and right to flip. */
  readonly seenFrom?: string
  /** It is drawn otherwise as the wheel turns. */
  readonly turns?: true
}

/** What a frame is asked for: how far the finger has pulled, how far the wheel has turned, which reading is in hand. */
export interface Moment {
  readonly travelMm: number
  readonly wheelDeg: number
  readonly focus?: string
}
