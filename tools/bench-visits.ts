import { visitsOf } from '@overhaul/core/passes/visits'
import { fleetOptions } from './fleet-options.ts'

/** What is asked on ten visits to each of many simulated brakes, and what carrying readings misses. See docs/bench.md. */
console.log(JSON.stringify(visitsOf(fleetOptions())))
