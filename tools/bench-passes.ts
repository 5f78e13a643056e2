import { parseArgs } from 'node:util'
import { FLEETS, type FleetId } from '@overhaul/core/passes/fleet'
import { passesOn } from '@overhaul/core/passes/report'
import { findFamily } from '@overhaul/core/workshop/families'

/** How many passes three hands need on a fleet of simulated brakes. See docs/bench.md. */
const { values } = parseArgs({
  options: {
    family: { type: 'string', default: 'linear-pull' },
    brakes: { type: 'string', default: '400' },
    seed: { type: 'string', default: '7' },
    fleet: { type: 'string', default: 'usual' },
  },
})

const family = findFamily(values.family)
const brakes = Number(values.brakes)
const seed = Number(values.seed)
const fleets = Object.keys(FLEETS)
const refused = (field: string, value: string, accepted: string) => ({
  code: 'out-of-range',
  field,
  message: `${field} is ${value}. Accepted: ${accepted}.`,
})
const complaint = !family.ok
  ? family.error
  : !Number.isInteger(brakes) || brakes < 1
    ? refused('brakes', values.brakes, 'a whole number from 1')
    : !Number.isInteger(seed)
      ? refused('seed', values.seed, 'a whole number')
      : fleets.includes(values.fleet)
        ? undefined
        : refused('fleet', values.fleet, fleets.join(' or '))
if (complaint || !family.ok) {
  console.error(JSON.stringify({ error: complaint }))
  process.exit(2)
}

console.log(JSON.stringify(passesOn({ family: family.value, brakes, seed, fleet: values.fleet as FleetId })))
