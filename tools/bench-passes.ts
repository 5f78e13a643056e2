import { FLEETS, type FleetId } from '@overhaul/core/passes/fleet'
import { passesOn } from '@overhaul/core/passes/report'
import { fleetOptions } from './fleet-options.ts'

/** How many passes three hands need on a fleet of simulated brakes. See docs/bench.md. */
const { fleet, ...options } = fleetOptions(Object.keys(FLEETS))
console.log(JSON.stringify(passesOn({ ...options, fleet: fleet as FleetId })))
