/** A caliper’s mechanics at one moment. Lengths mm, forces N. */
export interface Caliper {
  /** Linkage ratio: mm of cable for a mm of pad travel (of both pads’ sum where both move), pad force over tension. */
  readonly ratio: number
  readonly bothMove: boolean
  /** Rotor pushed sideways at the pads, N/mm. */
  readonly rotorStiffness: number
  /** Cable, housing and caliper, N/mm at the cable. */
  readonly stiffness: number
}

/** How it stands at rest: gaps with the arm at its stop, and the cable’s slack, below 0 where the arm stands off its stop. */
export interface AtRest {
  readonly innerMm: number
  readonly outerMm: number
  readonly slackMm: number
}

export interface Squeezed {
  readonly innerMm: number
  readonly outerMm: number
  /** How far the rotor is bent towards the wheel, mm. */
  readonly bentMm: number
  /** The arm’s turn from its stop, told as cable, mm. */
  readonly armMm: number
  readonly tensionN: number
  readonly movingN: number
  readonly fixedN: number
}

/** Gaps at rest with the arm where the cable holds it. */
export function gapsAtRest({ ratio, bothMove }: Caliper, { innerMm, outerMm, slackMm }: AtRest) {
  const held = Math.min(0, slackMm) / ratio
  return bothMove ? { innerMm: innerMm + held / 2, outerMm: outerMm + held / 2 } : { innerMm, outerMm: outerMm + held }
}

/**
 * A squeeze by so much cable (mm, past its free play). One moving pad: slack is taken up; the moving pad crosses its gap and
 * touches; the rotor is bent across the other gap; then both press. Both move: each crosses its own gap.
 */
export function squeezed(caliper: Caliper, rest: AtRest, cableMm: number): Squeezed {
  const { ratio, bothMove, rotorStiffness, stiffness } = caliper
  const open = gapsAtRest(caliper, rest)
  const taken = Math.max(0, cableMm - Math.max(0, rest.slackMm))
  const pulled = taken + Math.max(0, -rest.slackMm)
  const [inner, outer] = [Math.max(0, open.innerMm), Math.max(0, open.outerMm)]
  const travel = taken / ratio
  if (bothMove) {
    const closed = Math.min(travel, inner + outer)
    const first = 2 * Math.min(inner, outer)
    const each = Math.min(closed, first) / 2
    const late = Math.max(0, closed - first)
    const tensionN = Math.max(0, taken - ratio * (inner + outer)) * stiffness
    return {
      innerMm: inner - each - (inner > outer ? late : 0),
      outerMm: outer - each - (outer > inner ? late : 0),
      bentMm: 0,
      armMm: pulled,
      tensionN,
      movingN: ratio * tensionN,
      fixedN: ratio * tensionN,
    }
  }
  const bentMm = Math.max(0, Math.min(inner, travel - outer))
  const bendN = rotorStiffness * bentMm
  const pressN = Math.max(0, taken - ratio * (inner + outer)) * stiffness
  const tensionN = bendN / ratio + pressN
  return {
    innerMm: inner - bentMm,
    outerMm: Math.max(0, outer - travel),
    bentMm,
    armMm: pulled,
    tensionN,
    movingN: ratio * tensionN,
    // What bends the rotor does not reach the fixed pad.
    fixedN: ratio * pressN,
  }
}
