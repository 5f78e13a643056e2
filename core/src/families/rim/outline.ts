import type { Shape } from '../../brake/frame.ts'
import type { Point } from '../../mechanics/vector.ts'

/** A rim brake drawn at one pose. */
export interface Outline {
  /** Parts that never move. */
  readonly fixed: readonly Shape[]
  readonly left: readonly Shape[]
  readonly right: readonly Shape[]
  readonly cable: readonly Shape[]
  /** Where leader lines point: gaps, screws, anchor, barrel. */
  readonly anchors: Readonly<Record<string, Point>>
  /** What holds arms, caliper and straddle, by fastener. */
  readonly fixing: Readonly<Record<string, Point>>
  readonly bounds: { readonly min: Point; readonly max: Point }
}

/** A pose of the brake for drawing: pad gaps from the rim's own sides, and how far the rim is pushed aside. */
export interface Pose {
  readonly gapLeftMm: number
  readonly gapRightMm: number
  readonly rimShiftMm: number
}

/** How far the brake has closed at a finger travel. */
export interface Squeeze extends Pose {
  readonly travelMm: number
  /** Tension in the cable at the brake, N; 0 before both pads press. */
  readonly tensionN: number
}
