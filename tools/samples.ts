import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { seededRandom } from '@overhaul/core/simulate/random'
import { recorded } from '@overhaul/core/simulate/stop-run'

/** Writes the two traces that ship: four stops before the work and four after it, made up: `npm run samples`. */
const HZ = 25
const REST_S = 4

function traceOf(seed: number, decelerationMs2: number): string {
  const random = seededRandom(seed)
  const lines = ['time s,speed km/h']
  let from = 0
  for (let run = 0; run < 4; run += 1) {
    const stop = {
      speedMs: 6.9 + random.normal(0.2),
      decelerationMs2: decelerationMs2 + random.normal(0.12),
      beginS: 4 + random.uniform(0, 1),
      buildUpS: 0.12,
    }
    const { t, v } = recorded(stop, 'white', seed * 10 + run, { hz: HZ, seconds: 9, sdMs: 0.08 })
    const rise = 3
    for (let index = 0; index < t.length; index += 1) {
      const at = t[index] as number
      // Ridden off from standstill: the recorder runs on between the stops.
      const speed = at < rise ? ((v[index] as number) * at) / rise : (v[index] as number)
      lines.push(`${(from + at).toFixed(2)},${Math.max(0, speed * 3.6).toFixed(2)}`)
    }
    from += 9 + REST_S
  }
  return `${lines.join('\n')}\n`
}

for (const [name, seed, deceleration] of [
  ['stops-before', 21, 3.3],
  ['stops-after', 22, 4.7],
] as const) {
  const to = fileURLToPath(new URL(`../web/public/samples/${name}.csv`, import.meta.url))
  writeFileSync(to, traceOf(seed, deceleration))
  console.log(`${name}.csv`)
}
