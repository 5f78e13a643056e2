import type { Dimensions, Here } from '../brake/dimension.ts'
import { tenth } from '../brake/practice.ts'
import { DISCS } from './discs.ts'
import { VIRTUAL } from './families.ts'
import { luckOf } from './luck.ts'
import type { Readings, StandIn } from './stand-in.ts'
import { type TrueReadings, virtualBrake } from './virtual-brake.ts'
import { virtualDisc } from './virtual-disc.ts'
import { virtualDrum } from './virtual-drum.ts'

/** A stand-in with a gauge at it, and what the gauge shows once it has lived through its log. */
export interface Held {
  readonly brake: StandIn
  readonly shows: () => Readings
}

/** The luck of this time’s readings, by what has been read with the gauge so far. */
type Noise = (reads: readonly string[]) => number

const RIM_READS = ['gapLeft', 'gapRight', 'biteTravel', 'firstTouch', 'reserve']
const DISC_READS = ['armStarts', 'armRest', 'biteTravel', 'rotorTouch', 'reserve']
const DRUM_READS = ['biteTravel', 'drag', 'reserve']

/** Where the wheel touches as it wanders. */
const rubsOn = ({ gapLeft, gapRight }: TrueReadings, wandersMm: number) =>
  Math.min(gapLeft, gapRight) > wandersMm ? 'free' : gapLeft < gapRight ? 'left' : 'right'

function rim(family: string, d: Dimensions, here: Here, seed: number, noise: Noise): Held | undefined {
  const spec = VIRTUAL[family]?.(d, here)
  if (!spec) return undefined
  const lateralRunout = tenth(luckOf('wheel', seed).uniform(0.1, 0.7))
  const brake = virtualBrake(spec, d, seed, { noiseSeed: noise(RIM_READS) })
  return {
    brake,
    shows: () => ({ ...brake.gauge().shown, lateralRunout, spin: rubsOn(brake.truth(), lateralRunout / 2) }),
  }
}

function disc(family: string, d: Dimensions, seed: number, noise: Noise): Held | undefined {
  const spec = DISCS[family]
  if (!spec) return undefined
  const rotorRunout = Math.round(20 * luckOf('wheel', seed).uniform(0.05, 0.22)) / 20
  const noiseSeed = noise([spec.inner, spec.outer, ...DISC_READS])
  const brake = virtualDisc(spec, d, rotorRunout, seed, { noiseSeed })
  return { brake, shows: () => ({ ...brake.gauge().shown, rotorRunout }) }
}

function drum(d: Dimensions, seed: number, noise: Noise): Held {
  const brake = virtualDrum(d, seed, { noiseSeed: noise(DRUM_READS) })
  return { brake, shows: () => brake.gauge().shown }
}

/** What stands in for a brake of a family; undefined for one that has no stand-in. */
export const standInOf = (family: string, d: Dimensions, here: Here, seed: number, noise: Noise): Held | undefined =>
  family === 'drum' ? drum(d, seed, noise) : (rim(family, d, here, seed, noise) ?? disc(family, d, seed, noise))
