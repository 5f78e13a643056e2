import type { ModelInput } from '../../brake/model.ts'

/** The order of `q` for a drum. */
export const Q = { spare: 0, squash: 1, freePlay: 2, lever: 3, stiffness: 4 } as const

/** Cable (mm) pulled before it is taut: the book’s guess. */
export const FREE_PLAY_MM = 1.15
/** Cable (mm) from the first scrape until both shoes press: what an eccentric shoe and a drum out of round take. */
export const SQUASH_MM = 1.2

/**
 * A drum has no gap anybody can measure. What is between rest and bite is told in cable: `spare` until the first shoe
 * scrapes, `squash` from there until both press. A shoe that scrapes at rest has no spare.
 */
export const INPUTS: readonly ModelInput[] = [
  { id: 'spare', title: 'cable from rest to the first scrape, mm', mean: 2.5, sd: 3.5, lasting: false },
  { id: 'squash', title: 'cable from the first scrape until both press, mm', mean: SQUASH_MM, sd: 0.8, lasting: false },
  { id: 'freePlay', title: 'cable free play, mm', mean: FREE_PLAY_MM, sd: 0.5, lasting: false },
  { id: 'lever', title: 'true lever ratio over the book’s, log', mean: 0, sd: 0.05, lasting: true },
  { id: 'stiffness', title: 'true stiffness over the book’s, log', mean: 0, sd: 0.3, lasting: true },
]

/** The order of `y`. The shoes’ clearance is never measured: that nothing drags is seen. */
export const Y = { bite: 0, reserve: 1, clear: 2 } as const
