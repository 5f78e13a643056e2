import type { Shape } from '../../brake/frame.ts'
import type { Point } from '../../mechanics/vector.ts'
import type { Outline, Pose } from './outline.ts'

const flip = ([x, y]: Point): Point => [-x, y]

export const mirroredPose = ({ gapLeftMm, gapRightMm, rimShiftMm }: Pose): Pose => ({
  gapLeftMm: gapRightMm,
  gapRightMm: gapLeftMm,
  rimShiftMm: -rimShiftMm,
})

const flipShapes = (shapes: readonly Shape[]): readonly Shape[] =>
  shapes.map((shape) =>
    shape.kind === 'circle' ? { ...shape, centre: flip(shape.centre) } : { ...shape, points: shape.points.map(flip) },
  )

const OTHER: Readonly<Record<string, string>> = { gapLeft: 'gapRight', gapRight: 'gapLeft' }

/** A drawing seen in a mirror, its leader lines pointing at what they name. */
export const mirroredOutline = ({ fixed, left, right, cable, anchors, fixing, bounds }: Outline): Outline => ({
  fixed: flipShapes(fixed),
  left: flipShapes(right),
  right: flipShapes(left),
  cable: flipShapes(cable),
  anchors: Object.fromEntries(Object.entries(anchors).map(([id, point]) => [OTHER[id] ?? id, flip(point)])),
  fixing: Object.fromEntries(Object.entries(fixing).map(([id, point]) => [id, flip(point)])),
  bounds: { min: [-bounds.max[0], bounds.min[1]], max: [-bounds.min[0], bounds.max[1]] },
})
