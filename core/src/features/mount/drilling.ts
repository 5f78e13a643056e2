import type { Worked } from '../../calculation/calculation.ts'
import { drilledTube } from '../../calculations/drilled-tube.ts'
import type { BoltMount } from './measured.ts'
import { know, mm, type Reason, stop } from './reasons.ts'

export const SLEEVE_MM = 8
/** A wall thinner than this, and a tube left with less bending stiffness than this, go to a frame builder. Our choice. */
const THIN_WALL_MM = 0.8
const LEAST_BENDING = 0.35
/** A solid mount keeps at least this many times the hole across. Our choice. */
const LEAST_ACROSS = 2

/**
 * Why nothing may be bolted to this frame at all: said before any way of mounting is ranked. Carbon goes by its maker’s
 * written approval and figure; a cracked, pitted or thin frame to a frame builder.
 */
export function frameStops(mount: BoltMount): readonly Reason[] {
  const { material, approved, makerNm, cracked, rust, wallMm } = mount
  return [
    ...(material === 'carbon' && (!approved || makerNm === undefined)
      ? [
          stop(
            'Carbon carries a brake only with its maker’s written approval and at its maker’s torque. Without both, stop: nothing is fitted.',
          ),
        ]
      : []),
    ...(cracked ? [stop('A cracked frame carries no brake. To a frame builder.')] : []),
    ...(rust === 'pitted'
      ? [stop('Pitted by corrosion: what remains of the wall is not known. To a frame builder.')]
      : []),
    ...(wallMm !== undefined && wallMm < THIN_WALL_MM
      ? [stop(`A wall of ${mm(wallMm)} is too thin (below ${mm(THIN_WALL_MM)}, our choice). To a frame builder.`)]
      : []),
  ]
}

/** Why this frame may not be drilled, although something may be bolted to it. */
export const drillStops = ({ material }: BoltMount): readonly Reason[] =>
  material === 'carbon' ? [stop('Carbon is never drilled.')] : []

/** What a hole leaves of the tube, before and after. */
export interface TubeLeft {
  readonly sectionBefore: number
  readonly sectionAfter: number
  readonly bendingBefore: number
  readonly bendingAfter: number
}

export interface Drilled {
  readonly reasons: readonly Reason[]
  readonly worked: readonly Worked[]
  readonly tube?: TubeLeft
}

/** What is left of the tube when one wall is opened to 8 mm. */
export function afterDrilling(mount: BoltMount, drilledMm: number, otherMm: number): Drilled {
  const openedMm = Math.max(SLEEVE_MM, drilledMm)
  if (mount.wallMm === undefined) return { reasons: solidLeft(mount.tubeMm, openedMm), worked: [] }
  const tube = { outerDiameterMm: mount.tubeMm, wallMm: mount.wallMm }
  const before = drilledTube.work({ ...tube, holeMm: drilledMm, oppositeHoleMm: otherMm })
  const after = drilledTube.work({ ...tube, holeMm: openedMm, oppositeHoleMm: otherMm })
  if (!before.ok) return { reasons: [stop(before.error.message)], worked: [] }
  if (!after.ok) return { reasons: [stop(`There is no room for an 8 mm hole: ${after.error.message}`)], worked: [] }
  const left: TubeLeft = {
    sectionBefore: before.value.outputs.sectionRemaining,
    sectionAfter: after.value.outputs.sectionRemaining,
    bendingBefore: before.value.outputs.bendingRemaining,
    bendingAfter: after.value.outputs.bendingRemaining,
  }
  const weak = left.bendingAfter < LEAST_BENDING
  return {
    tube: left,
    worked: [before.value, after.value],
    reasons: weak
      ? [
          stop(
            `Only ${Math.round(100 * left.bendingAfter)} % of the bending stiffness would remain at the hole (least ${Math.round(100 * LEAST_BENDING)} %, our choice). To a frame builder.`,
          ),
        ]
      : [],
  }
}

/** What is left of a solid mount round its hole. */
function solidLeft(acrossMm: number, holeMm: number): readonly Reason[] {
  const left = `${mm((acrossMm - holeMm) / 2)} either side of a hole of ${mm(holeMm)} in a solid mount ${mm(acrossMm)} across`
  return [
    acrossMm < LEAST_ACROSS * holeMm
      ? stop(`Only ${left} would remain (least twice the hole across, our choice). To a frame builder.`)
      : know(`Solid: ${left} would remain.`),
  ]
}
