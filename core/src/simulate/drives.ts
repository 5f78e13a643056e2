import type { Dimensions } from '../brake/dimension.ts'
import type { VirtualSpec } from './virtual-brake.ts'

/** What the hand turns on a simulated brake. The signs are the trade’s: a screw turned in draws its own pad away. */
export type Drives = VirtualSpec['adjusters'][string]

export const cable = (d: Dimensions): Readonly<Record<string, Drives>> => ({
  anchor: { drives: 'cable', perUnit: 1 },
  barrel: { drives: 'cable', perUnit: -(d.barrelPitchMm as number), travel: d.barrelTravelTurns as number },
})

export const screw = (d: Dimensions, sign: 1 | -1): Drives => ({
  drives: 'balance',
  perUnit: (sign * (d.screwPitchMm as number)) / (d.screwRadiusMm as number),
  travel: d.screwTravelTurns as number,
})

export const spring = (d: Dimensions, sign: 1 | -1): Drives => ({
  drives: 'balance',
  perUnit: (sign * (d.springHoleDeg as number) * Math.PI) / 180,
  travel: 2,
  hooked: true,
})

export const turnedOnBolt = (d: Dimensions): Drives => ({
  drives: 'balance',
  perUnit: 2 / (d.caliperReachMm as number),
  scatter: 0.15,
  clamped: 0.12,
})
