import { parseArgs } from 'node:util'
import type { Family } from '@overhaul/core/brake/family'
import { findFamily } from '@overhaul/core/workshop/families'

export interface FleetOptions {
  readonly family: Family
  readonly brakes: number
  readonly seed: number
  readonly fleet: string
}

/** `--family`, `--brakes`, `--seed` and, where there are several, `--fleet`, as a bench of simulated brakes takes them; ends the program where one is not accepted. */
export function fleetOptions(fleets: readonly string[] = ['usual']): FleetOptions {
  const { values } = parseArgs({
    options: {
      family: { type: 'string', default: 'linear-pull' },
      brakes: { type: 'string', default: '400' },
      seed: { type: 'string', default: '7' },
      ...(fleets.length > 1 && { fleet: { type: 'string', default: fleets[0] } }),
    },
  }) as { values: Readonly<Record<string, string>> }
  const { family: id = '', brakes: many = '', seed: from = '', fleet = fleets[0] ?? '' } = values
  const family = findFamily(id)
  const [brakes, seed] = [Number(many), Number(from)]
  const refused = (field: string, value: string, accepted: string) => ({
    code: 'out-of-range',
    field,
    message: `${field} is ${value}. Accepted: ${accepted}.`,
  })
  const complaint = !family.ok
    ? family.error
    : !Number.isInteger(brakes) || brakes < 1
      ? refused('brakes', many, 'a whole number from 1')
      : !Number.isInteger(seed)
        ? refused('seed', from, 'a whole number')
        : fleets.includes(fleet)
          ? undefined
          : refused('fleet', fleet, fleets.join(' or '))
  if (complaint || !family.ok) {
    console.error(JSON.stringify({ error: complaint }))
    process.exit(2)
  }
  return { family: family.value, brakes, seed, fleet }
}
