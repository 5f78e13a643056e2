import { bookDimensions, type Dimensions, type Here, hereAt } from '../brake/dimension.ts'
import type { Family } from '../brake/family.ts'
import type { BrakeModel } from '../brake/model.ts'
import type { Looked } from '../brake/on-stand.ts'
import type { ChosenSchools } from '../brake/school.ts'
import { usualSchools } from '../brake/school.ts'
import { placement, type Window, type Windows } from '../brake/window.ts'
import { expectOk } from '../outcome/outcome.ts'
import { VIRTUAL } from '../simulate/families.ts'
import { type Random, seededRandom } from '../simulate/random.ts'
import type { StandIn } from '../simulate/stand-in.ts'
import {
  type Scatter,
  type Start,
  type TrueReadings,
  type VirtualBrake,
  virtualBrake,
} from '../simulate/virtual-brake.ts'

/** See docs/bench.md: the brakes, their starts and what is right were fixed there first. */
export const FLEETS = { usual: { geometry: 1 }, harsh: { geometry: 2, screw: 0.6 } } as const satisfies Record<
  string,
  Scatter
>
export type FleetId = keyof typeof FLEETS

/** A bicycle with this family’s book brake behind, as the bench has it. */
export interface Bicycle {
  readonly family: Family
  readonly dimensions: Dimensions
  readonly here: Here
  readonly model: BrakeModel
  readonly schools: ChosenSchools
}

export function bookBicycle(family: Family): Bicycle {
  const dimensions = bookDimensions(family)
  const here = hereAt(family, 'rear')
  return {
    family,
    dimensions,
    here,
    model: expectOk(family.fit(dimensions, here)),
    schools: usualSchools(family.schools),
  }
}

/** One brake of the fleet: its wheel as measured, and whether it is right by its own geometry. */
export interface FleetBrake {
  readonly brake: StandIn
  /** What the wheel showed before anything was turned. */
  readonly wheel: Readonly<Record<string, number>>
  readonly isRight: () => boolean
}

interface RimBrake extends FleetBrake {
  readonly brake: VirtualBrake
  readonly right: Windows
}

const JUDGED = ['gapLeft', 'gapRight', 'biteTravel'] as const

const isIn = (window: Window | undefined, value: number) => window !== undefined && placement(window, value) === 'in'

export const allIn = (windows: Windows, readings: TrueReadings): boolean =>
  JUDGED.every((id) => isIn(windows.of[id], readings[id])) &&
  isIn(windows.of.gapDifference, readings.gapLeft - readings.gapRight)

/** The first brake from this seed that can be set at all. */
export function rimFleetBrake(bicycle: Bicycle, seed: number, fleet: FleetId = 'usual'): RimBrake {
  for (let own = seed; ; own = (own + NEXT_BRAKE) >>> 0) {
    const drawn = drawBrake(bicycle, own, FLEETS[fleet])
    if (canBeSet(drawn)) return drawn
  }
}

const NEXT_BRAKE = 104729
const WIDEST_CABLE_MM = 25
const CABLE_STEP_MM = 0.1
/** A setting narrower than two steps of the barrel is not one a hand can find. */
const NARROWEST_CABLE_MM = 1

/** Whether any setting brings this brake into all its windows: where none does, the school is wrong, not the hand. */
function canBeSet({ brake, right }: RimBrake): boolean {
  let wide = 0
  for (let cable = 0; cable < WIDEST_CABLE_MM; cable += CABLE_STEP_MM) {
    wide = allIn(right, brake.centredAt(cable)) ? wide + CABLE_STEP_MM : 0
    if (wide >= NARROWEST_CABLE_MM) return true
  }
  return false
}

function drawBrake(bicycle: Bicycle, seed: number, scatter: Scatter): RimBrake {
  const { family, dimensions, here } = bicycle
  const spec = VIRTUAL[family.id]
  if (!spec) throw new Error(`no virtual ${family.id}`)
  const random = seededRandom(seed ^ 0x9e3779b9)
  const runoutMm = random.uniform(0.1, 0.8)
  const start = startFrom(random, dimensions.leverReachMm as number)
  const brake = virtualBrake(spec(dimensions, here), dimensions, seed, { start, scatter })
  const wheel = { lateralRunout: runoutMm }
  const right = rightFor(bicycle, brake, lookedAt(wheel))
  return { brake, wheel, right, isRight: () => allIn(right, brake.truth()) }
}

export const lookedAt = (wheel: FleetBrake['wheel']): Looked => ({
  number: (id) => wheel[id],
  seen: () => undefined,
})

export const bookWindows = ({ model, schools }: Bicycle, wheel: FleetBrake['wheel']): Windows =>
  model.windows(schools, lookedAt(wheel))

/** The windows of one very brake: its own lever and linkage, its free play, and nothing left to doubt. */
function rightFor({ family, here, schools }: Bicycle, { hidden }: VirtualBrake, looked: Looked): Windows {
  const own = expectOk(family.fit(hidden.dimensions, here))
  const q = own.inputs.map(({ id, mean }) => (id === 'freePlay' ? hidden.freePlayMm : mean))
  return own.windows(schools, looked, { q, spread: () => 0 })
}

/** Two in ten with both pads on the rim, one with one of them on, two far out, the rest somewhere between. */
function startFrom(random: Random, reachMm: number): Start {
  const kind = random.uniform(0, 10)
  const side = random.chance(0.5) ? 1 : -1
  if (kind < 2) return { kind: 'on', takenInMm: random.uniform(0, 3), differenceMm: random.uniform(-1, 1) }
  if (kind < 3) {
    const meanMm = random.uniform(0.2, 0.8)
    return { kind: 'one', meanMm, differenceMm: side * (2 * meanMm + random.uniform(0, 1)) }
  }
  if (kind < 8) {
    const meanMm = random.uniform(0.3, 3)
    return { kind: 'gaps', meanMm, differenceMm: random.uniform(-1, 1) * Math.min(2.2, 2 * meanMm - 0.2) }
  }
  return { kind: 'bite', travelMm: random.uniform(0.55, 0.95) * reachMm, differenceMm: random.uniform(-1.5, 1.5) }
}
