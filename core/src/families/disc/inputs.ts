import type { ModelInput } from '../../brake/model.ts'
import type { DiscKind } from '../../features/disc-caliper/kind.ts'

/** The order of `q` for every mechanical disc; what its first two are is its kind’s. */
export const Q = { gapA: 0, gapB: 1, slack: 2, ratio: 3, freePlay: 4, lever: 5, stiffness: 6 } as const

/** Cable (mm) pulled before it is taut: the book’s guess. */
export const FREE_PLAY_MM = 1.15

/** Each pad has its gap where one of them stands still or has a knob; a body that floats shares out one sum. */
const GAPS: readonly ModelInput[] = [
  { id: 'inner', title: 'inner pad’s gap, mm', mean: 0.35, sd: 0.3, lasting: false },
  { id: 'outer', title: 'outer pad’s gap, arm at its stop, mm', mean: 0.6, sd: 0.4, lasting: false },
]
const SHARED: readonly ModelInput[] = [
  { id: 'sum', title: 'both gaps together, arm at its stop, mm', mean: 0.95, sd: 0.5, lasting: false },
  {
    id: 'offset',
    title: 'how far the body stands towards the wheel of where both gaps are alike, mm',
    mean: -0.12,
    sd: 0.25,
    lasting: false,
  },
]

/** The gaps with the arm at its stop, mm. */
export function gapsIn(kind: DiscKind, q: ArrayLike<number>): { readonly innerMm: number; readonly outerMm: number } {
  const [a, b] = [q[Q.gapA] as number, q[Q.gapB] as number]
  return kind === 'both-move' ? { innerMm: a / 2 + b, outerMm: a / 2 - b } : { innerMm: a, outerMm: b }
}

const COMMON: readonly ModelInput[] = [
  { id: 'slack', title: 'slack in the cable, mm; below 0 the arm is off its stop', mean: 0.8, sd: 2.5, lasting: false },
  { id: 'ratio', title: 'true linkage ratio over the book’s, log', mean: 0, sd: 0.1, lasting: true },
  { id: 'freePlay', title: 'cable free play, mm', mean: FREE_PLAY_MM, sd: 0.5, lasting: false },
  { id: 'lever', title: 'true lever ratio over the book’s, log', mean: 0, sd: 0.05, lasting: true },
  { id: 'stiffness', title: 'true stiffness over the book’s, log', mean: 0, sd: 0.3, lasting: true },
]

export const inputsOf = (kind: DiscKind): readonly ModelInput[] => [
  ...(kind === 'both-move' ? SHARED : GAPS),
  ...COMMON,
]

/**
 * The order of `y`. `armRest` is what a thumb finds, never below 0; `off` is the same beyond that, so that a belief on the
 * wrong side of the stop still feels which way it lies.
 */
export const Y = { inner: 0, outer: 1, armStarts: 2, armRest: 3, bite: 4, reserve: 5, difference: 6, off: 7 } as const
