import type { Dimensions } from '../../brake/dimension.ts'
import type { DimensionLine, Shape } from '../../brake/frame.ts'
import type { Point } from '../../calculation/calculation.ts'
import type { Arm, Linkage } from '../../mechanics/linkage.ts'

type Ends = readonly [Point, Point]

/** Where along its arm a pad is measured: the foot of the pad’s square on the line from boss to cable. */
function footOf({ pivot, cable }: Arm, alongMm: number): Point {
  const length = Math.hypot(cable[0] - pivot[0], cable[1] - pivot[1])
  return [pivot[0] + ((cable[0] - pivot[0]) * alongMm) / length, pivot[1] + ((cable[1] - pivot[1]) * alongMm) / length]
}

/** Across the tyre, at the height where it is drawn widest. */
function tyreEnds(widthMm: number, fixed: readonly Shape[]): Ends | undefined {
  const points = fixed.flatMap((shape) => (shape.role === 'tyre' && shape.kind !== 'circle' ? shape.points : []))
  const widest = points.reduce<Point | undefined>((best, each) => (best && best[0] >= each[0] ? best : each), undefined)
  return (
    widest && [
      [-widthMm / 2, widest[1]],
      [widthMm / 2, widest[1]],
    ]
  )
}

/** What each dimension of the hardware is measured between, on the brake as it stands at contact. */
function endsOf(
  d: Dimensions,
  { left, right }: Linkage,
  fixed: readonly Shape[],
): Readonly<Record<string, Ends | undefined>> {
  // A side-pull’s barrel arm turns on the bolt itself, whichever side its cable comes to.
  const barrel = right.pivot[0] === 0 && left.pivot[0] !== 0 ? right : left
  const anchor = barrel === right ? left : right
  const { pivot, padFace, cable } = left
  const beside: Point = [pivot[0], cable[1]]
  const foot = d.armMm === undefined ? ([pivot[0], padFace[1]] as const) : footOf(left, d.padHeightMm as number)
  return {
    rimWidthMm: [left.padFace, right.padFace],
    tyreWidthMm: tyreEnds(d.tyreWidthMm as number, fixed),
    pivotSpacingMm: [left.pivot, right.pivot],
    secondPivotMm: [left.pivot, right.pivot],
    armMm: [pivot, cable],
    padHeightMm: [pivot, foot],
    padStandoffMm: [foot, padFace],
    caliperReachMm: [barrel.pivot, [barrel.pivot[0], padFace[1]]],
    cableOutMm: [beside, cable],
    cableAcrossMm: [beside, cable],
    cableUpMm: [pivot, beside],
    cableOffsetMm: [[0, barrel.cable[1]], barrel.cable],
    barrelHeightMm: [[barrel.cable[0], 0], barrel.cable],
    anchorHeightMm: [[anchor.cable[0], 0], anchor.cable],
  }
}

/** The line of the dimension in hand, drawn strong; none where it is nothing that can be pointed at. */
export function dimensionInHand(
  d: Dimensions,
  linkage: Linkage,
  fixed: readonly Shape[],
  focus: string | undefined,
): readonly DimensionLine[] {
  const ends = focus !== undefined && d[focus] !== undefined ? endsOf(d, linkage, fixed)[focus] : undefined
  return ends ? [{ id: focus as string, from: ends[0], to: ends[1], strong: true }] : []
}
