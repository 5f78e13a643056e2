import { parseArgs } from 'node:util'
import { kitOf } from '@overhaul/core/bench/kit'
import { adviceMoves } from '@overhaul/core/dial-in/from-log'
import { habitOf } from '@overhaul/core/simulate/habit'
import { bookBicycle, type Policy, trial } from '@overhaul/core/simulate/passes'
import { findFamily } from '@overhaul/core/workshop/families'

/** How many passes the advice needs against the habit, on a fleet of simulated brakes. See docs/bench.md. */
const { values } = parseArgs({
  options: {
    family: { type: 'string', default: 'linear-pull' },
    brakes: { type: 'string', default: '400' },
    seed: { type: 'string', default: '7' },
  },
})

const family = findFamily(values.family)
const brakes = Number(values.brakes)
const seed = Number(values.seed)
const complaint = !family.ok
  ? family.error
  : !Number.isInteger(brakes) || brakes < 1
    ? { code: 'out-of-range', field: 'brakes', message: `brakes is ${values.brakes}. Accepted: a whole number from 1.` }
    : !Number.isInteger(seed)
      ? { code: 'out-of-range', field: 'seed', message: `seed is ${values.seed}. Accepted: a whole number.` }
      : undefined
if (complaint || !family.ok) {
  console.error(JSON.stringify({ error: complaint }))
  process.exit(2)
}

const bicycle = bookBicycle(family.value)

const advice: Policy = (log, windows) => {
  const moves = adviceMoves(kitOf(bicycle.family), bicycle.model, log, windows)
  return moves.length > 0 ? { kind: 'turn', moves } : { kind: 'measure' }
}

function summary(policy: Policy) {
  const trials = Array.from({ length: brakes }, (_, index) =>
    trial(bicycle, (seed * 100003 + index * 7919) >>> 0, policy),
  )
  const passes = trials.map((each) => each.passes).sort((a, b) => a - b)
  const quantile = (share: number) => passes[Math.min(passes.length - 1, Math.ceil(share * passes.length) - 1)] ?? 0
  const mean = passes.reduce((sum, each) => sum + each, 0) / passes.length
  return {
    mean: Number(mean.toFixed(3)),
    median: quantile(0.5),
    p95: quantile(0.95),
    failed: trials.filter((each) => each.failed).length,
  }
}

const [byAdvice, byHabit] = [summary(advice), summary(habitOf(family.value.id))]
console.log(
  JSON.stringify({
    family: family.value.id,
    brakes,
    seed,
    advice: byAdvice,
    habit: byHabit,
    ratio: Number((byHabit.mean / byAdvice.mean).toFixed(3)),
  }),
)
