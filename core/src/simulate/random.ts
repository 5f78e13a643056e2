/** A seeded stream of random numbers: the same seed gives the same brakes on every machine. */
export interface Random {
  /** Uniform in [low, high). */
  readonly uniform: (low: number, high: number) => number
  readonly normal: (sd: number) => number
  readonly chance: (probability: number) => boolean
}

export function seededRandom(seed: number): Random {
  let state = seed >>> 0
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  const normal = (sd: number) => sd * Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next())
  return {
    uniform: (low, high) => low + (high - low) * next(),
    normal,
    chance: (probability) => next() < probability,
  }
}
