import type { ModelInput } from '../../brake/model.ts'

/** The order of `q` for every mechanical disc. */
export const Q = { inner: 0, outer: 1, slack: 2, ratio: 3, freePlay: 4, lever: 5, stiffness: 6 } as const

/** Cable (mm) pulled before it is taut: the book’s guess. */
export const FREE_PLAY_MM = 1.15

export const INPUTS: readonly ModelInput[] = [
  { id: 'inner', title: 'inner pad’s gap, mm', mean: 0.35, sd: 0.3, lasting: false },
  { id: 'outer', title: 'outer pad’s gap, arm at its stop, mm', mean: 0.6, sd: 0.4, lasting: false },
  { id: 'slack', title: 'slack in the cable, mm; below 0 the arm is off its stop', mean: 0.8, sd: 2.5, lasting: false },
  { id: 'ratio', title: 'true linkage ratio over the book’s, log', mean: 0, sd: 0.1, lasting: true },
  { id: 'freePlay', title: 'cable free play, mm', mean: FREE_PLAY_MM, sd: 0.5, lasting: false },
  { id: 'lever', title: 'true lever ratio over the book’s, log', mean: 0, sd: 0.05, lasting: true },
  { id: 'stiffness', title: 'true stiffness over the book’s, log', mean: 0, sd: 0.3, lasting: true },
]

/**
 * The order of `y`. `armRest` is what a thumb finds, never below 0; `off` is the same beyond that, so that a belief on the
 * wrong side of the stop still feels which way it lies.
 */
export const Y = { inner: 0, outer: 1, armStarts: 2, armRest: 3, bite: 4, reserve: 5, difference: 6, off: 7 } as const
