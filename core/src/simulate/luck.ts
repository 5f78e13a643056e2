import { type Random, seededRandom } from './random.ts'

const PARTS = { wheel: 0x27d4eb2d, lever: 0x51ed270b } as const

/** Each part of a practice bicycle has its own luck, the same wherever it is asked for. */
export const luckOf = (part: keyof typeof PARTS, seed: number): Random => seededRandom(seed ^ PARTS[part])
