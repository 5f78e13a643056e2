import { type Arm, cableAt, type Linkage } from '../mechanics/linkage.ts'
import type { Point } from '../mechanics/vector.ts'
import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { closes } from './closes.ts'

/**
 * Two arms pulled up by a yoke on a straddle cable, the brake at contact. Refuses a straddle shorter than its span, and
 * a pull that opens the brake, naming the dimension to look at.
 */
export function yoked(
  left: Arm,
  right: Arm,
  straddleMm: number,
  opening: { readonly field: string; readonly look: string },
): Outcome<Linkage> {
  const span = Math.abs(right.cable[0] - left.cable[0])
  if (straddleMm <= span) {
    return refuse(
      'impossible-geometry',
      'straddleMm',
      `A straddle cable of ${straddleMm} mm does not reach over ${span} mm between the arms. Accepted: more than ${span} mm.`,
    )
  }
  const linkage: Linkage = { left, right, tie: { kind: 'straddle', lengthMm: straddleMm } }
  return closes(linkage)
    ? ok(linkage)
    : refuse(
        'impossible-geometry',
        opening.field,
        `Pulled up, this yoke would open the brake: check ${opening.look} and straddle.`,
      )
}

/** Where the yoke hangs at an opening of the arms. */
export function yokeAt(linkage: Linkage, openLeft: number, openRight: number): Point {
  const left = cableAt(linkage.left, openLeft)
  const right = cableAt(linkage.right, openRight)
  const half = linkage.tie.kind === 'straddle' ? linkage.tie.lengthMm / 2 : 0
  const span = Math.abs(right[0] - left[0]) / 2
  return [(left[0] + right[0]) / 2, (left[1] + right[1]) / 2 + Math.sqrt(Math.max(0, half * half - span * span))]
}
