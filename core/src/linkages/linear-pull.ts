import { type Arm, type Linkage, openingForGap } from '../mechanics/linkage.ts'
import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { closes, tooWide } from './closes.ts'

/** What can be measured on a linear-pull brake, in mm. */
export interface LinearPullDimensions {
  /** Between the frame bosses the arms turn on. */
  readonly pivotSpacingMm: number
  /** Boss to cable point, along the arm. */
  readonly armMm: number
  /** Boss to middle of the pad face, along the arm, at contact. */
  readonly padHeightMm: number
  /** Boss to pad face, square to the arm: how far the pad stands in. */
  readonly padStandoffMm: number
  readonly rimWidthMm: number
}

function arm(side: -1 | 1, d: LinearPullDimensions): Arm | undefined {
  const pivotX = (side * d.pivotSpacingMm) / 2
  const opens = side === -1 ? 1 : -1
  const upright: Arm = {
    pivot: [pivotX, 0],
    padFace: [pivotX - side * d.padStandoffMm, d.padHeightMm],
    cable: [pivotX, d.armMm],
    opens,
  }
  const lean = openingForGap(upright, d.rimWidthMm / 2 - (d.pivotSpacingMm / 2 - d.padStandoffMm))
  if (lean === undefined) return undefined
  const turn = (point: readonly [number, number]): readonly [number, number] => {
    const cos = Math.cos(opens * lean)
    const sin = Math.sin(opens * lean)
    const x = point[0] - pivotX
    return [pivotX + cos * x - sin * point[1], sin * x + cos * point[1]]
  }
  const padFace = turn(upright.padFace)
  return { ...upright, padFace: [(side * d.rimWidthMm) / 2, padFace[1]], cable: turn(upright.cable) }
}

/**
 * The brake at contact. When the pads stand in by (spacing − rim)/2 the arms are vertical there;
 * otherwise they lean until the pads meet the rim.
 * Refuses a geometry whose pads cannot meet the rim or whose tie would lengthen as the pads close.
 */
export function linearPullLinkage(d: LinearPullDimensions): Outcome<Linkage> {
  const wide = tooWide(d)
  if (wide) return wide
  const left = arm(-1, d)
  const right = arm(1, d)
  if (!left || !right) {
    return refuse(
      'impossible-geometry',
      'padStandoffMm',
      `Pads standing in ${d.padStandoffMm} mm cannot meet a rim ${d.rimWidthMm} mm wide between bosses ${d.pivotSpacingMm} mm apart. Accepted: near ${((d.pivotSpacingMm - d.rimWidthMm) / 2).toFixed(1)} mm.`,
    )
  }
  const linkage: Linkage = { left, right, tie: { kind: 'direct' } }
  if (!closes(linkage)) {
    return refuse(
      'impossible-geometry',
      'armMm',
      'The cable would lengthen as the pads close: check the arm, the pad height and the standoff.',
    )
  }
  return ok(linkage)
}
