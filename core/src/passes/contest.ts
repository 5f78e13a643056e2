import type { Track } from '../brake/family.ts'
import { bookMechanicOf } from './book-mechanic.ts'
import { discFleetBrake } from './disc-fleet.ts'
import { discBookMechanic, discHabit } from './disc-hands.ts'
import { drumFleetBrake } from './drum-fleet.ts'
import { drumBookMechanic, drumHabit } from './drum-hands.ts'
import { type Bicycle, type FleetBrake, type FleetId, rimFleetBrake } from './fleet.ts'
import { habitOf } from './habit.ts'
import type { Hand } from './trial.ts'

/** What differs between the tracks: the brakes that come to the bench, and the two hands beside the advice. */
export interface Contest {
  readonly draw: (seed: number, fleet: FleetId) => FleetBrake
  readonly habit: Hand
  readonly book: Hand
}

const CONTESTS: Readonly<Record<Track, (bicycle: Bicycle) => Contest>> = {
  rim: (bicycle) => ({
    draw: (seed, fleet) => rimFleetBrake(bicycle, seed, fleet),
    habit: habitOf(bicycle),
    book: bookMechanicOf(bicycle),
  }),
  rotor: (bicycle) => ({
    draw: (seed, fleet) => discFleetBrake(bicycle, seed, fleet),
    habit: discHabit(bicycle),
    book: discBookMechanic(bicycle),
  }),
  drum: (bicycle) => ({
    draw: (seed, fleet) => drumFleetBrake(bicycle, seed, fleet),
    habit: drumHabit(bicycle),
    book: drumBookMechanic(bicycle),
  }),
}

export const contestOf = (bicycle: Bicycle): Contest => CONTESTS[bicycle.family.track](bicycle)

/** A brake of the fleet for whoever needs only one. */
export const fleetBrake = (bicycle: Bicycle, seed: number, fleet: FleetId = 'usual'): FleetBrake =>
  contestOf(bicycle).draw(seed, fleet)
