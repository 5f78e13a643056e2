import type { End } from '../../brake/dimension.ts'
import { type Outcome, ok, refuse } from '../../outcome/outcome.ts'
import { checkBeadSeat } from '../../reference/wheel-sizes.ts'

/** What was measured and seen of a mount; anything may still be missing. */
export interface Measured {
  readonly end: End
  readonly number: (id: string) => number | undefined
  readonly seen: (id: string) => string | undefined
}

/** A centre-bolt mount with all that a plan needs. Lengths in mm. */
export interface BoltMount {
  readonly end: End
  readonly holeFrontMm: number
  readonly holeBackMm: number
  readonly depthMm: number
  readonly tubeMm: number
  /** Undefined where the mount is solid. */
  readonly wallMm: number | undefined
  readonly curveFrontMm: number
  readonly curveBackMm: number
  readonly roomMm: number
  readonly boltOutMm: number
  readonly threadedMm: number
  readonly drillHeadMm: number
  readonly caliperDepthMm: number | undefined
  readonly material: string
  readonly cracked: boolean
  readonly rust: string
  readonly nutted: boolean
  /** Class of the mounting bolt, as asked. */
  readonly boltClass: string
  /** Carbon: its maker’s written approval, and its maker’s torque, N·m. */
  readonly approved: boolean
  readonly makerNm: number | undefined
}

/** A right-angle drill’s head with a short chuck, until it is measured (from memory). */
export const USUAL_DRILL_HEAD_MM = 70

/** What must be measured and seen before a centre-bolt mount can be planned. */
export const MOUNT_LOOKED = ['frameMaterial', 'cracks', 'rust', 'mountBody', 'boltKind', 'boltClass'] as const
export const MOUNT_LENGTHS = [
  'holeFront',
  'holeBack',
  'frameDepth',
  'mountTube',
  'curveFront',
  'curveBack',
  'roomBehind',
  'boltOut',
  'boltThreaded',
] as const

/** What is still missing for a plan, in the order it is taken. */
export function missingOf(measured: Measured): readonly string[] {
  const wall = measured.seen('mountBody') === 'hollow' ? ['mountWall'] : []
  return [
    ...MOUNT_LOOKED.filter((id) => measured.seen(id) === undefined),
    ...[...MOUNT_LENGTHS, ...wall].filter((id) => measured.number(id) === undefined),
  ]
}

/**
 * Measurements that contradict each other. Refuses a hole larger than the mount, a wall thicker than half of it, a
 * thread longer than its bolt, a slot with its ends the wrong way about, and a bead seat diameter that does not exist.
 */
export function checkMeasured(measured: Measured): Outcome<true> {
  const mm = measured.number
  const over = (small: string, large: string, why: string): Outcome<true> | undefined => {
    const [low, high] = [mm(small), mm(large)]
    return low !== undefined && high !== undefined && low > high
      ? refuse('impossible-mount', small, `${why} Accepted: at most ${high} mm, or measure both again.`)
      : undefined
  }
  const tube = mm('mountTube')
  const wall = mm('mountWall')
  const bead = mm('beadFitted')
  const slot = [mm('slotLow'), mm('slotHigh')] as const
  if (bead !== undefined) {
    const known = checkBeadSeat(bead, 'beadFitted')
    if (!known.ok) return known
  }
  if (tube !== undefined && wall !== undefined && wall > tube / 2) {
    return refuse(
      'impossible-mount',
      'mountWall',
      `A wall of ${wall} mm in a mount ${tube} mm wide. Accepted: at most half of it, ${tube / 2} mm.`,
    )
  }
  if (slot[0] !== undefined && slot[1] !== undefined && slot[1] <= slot[0]) {
    return refuse(
      'impossible-mount',
      'slotHigh',
      `The longest reach is ${slot[1]} mm, the shortest ${slot[0]} mm. Accepted: a longest above the shortest.`,
    )
  }
  return (
    over('holeFront', 'mountTube', `A hole of ${mm('holeFront')} mm in a mount ${tube} mm wide.`) ??
    over('holeBack', 'mountTube', `A hole of ${mm('holeBack')} mm in a mount ${tube} mm wide.`) ??
    over(
      'boltThreaded',
      'boltOut',
      `A thread of ${mm('boltThreaded')} mm on a bolt standing out ${mm('boltOut')} mm.`,
    ) ??
    ok(true)
  )
}

/** The mount as a whole, or undefined while something is missing. */
export function boltMountOf(measured: Measured): BoltMount | undefined {
  if (missingOf(measured).length > 0) return undefined
  const mm = (id: string) => measured.number(id) as number
  const hollow = measured.seen('mountBody') === 'hollow'
  return {
    end: measured.end,
    holeFrontMm: mm('holeFront'),
    holeBackMm: mm('holeBack'),
    depthMm: mm('frameDepth'),
    tubeMm: mm('mountTube'),
    wallMm: hollow ? mm('mountWall') : undefined,
    curveFrontMm: mm('curveFront'),
    curveBackMm: mm('curveBack'),
    roomMm: mm('roomBehind'),
    boltOutMm: mm('boltOut'),
    threadedMm: mm('boltThreaded'),
    drillHeadMm: measured.number('drillHead') ?? USUAL_DRILL_HEAD_MM,
    caliperDepthMm: measured.number('caliperDepth'),
    material: measured.seen('frameMaterial') as string,
    cracked: measured.seen('cracks') === 'seen',
    rust: measured.seen('rust') as string,
    nutted: measured.seen('boltKind') === 'nutted',
    boltClass: measured.seen('boltClass') as string,
    approved: measured.seen('makerApproval') === 'written',
    makerNm: measured.number('makerTorque'),
  }
}
