/** A brake lever: cable end and finger turn about the same pivot. Lengths in mm. */
export interface Lever {
  readonly cableArmMm: number
  readonly fingerArmMm: number
  /** Bar to blade at the finger, lever at rest. */
  readonly reachMm: number
}

/** Finger force is multiplied, and finger travel divided, by this. */
export const leverage = ({ cableArmMm, fingerArmMm }: Lever): number => fingerArmMm / cableArmMm

/** Finger travel (mm) that pulls a length of cable (mm): p = a·θ, s = f·θ. */
export const fingerTravel = (lever: Lever, cableMm: number): number => cableMm * leverage(lever)

/** Cable (mm) pulled by a finger travel (mm). */
export const cableFromTravel = (lever: Lever, travelMm: number): number => travelMm / leverage(lever)
