import type { DiscSpec } from './virtual-disc.ts'

const ONE = { inner: 'gapFixed', outer: 'gapMoving', bothMove: false } as const

/** How each kind of disc caliper hangs on the simulated stand. */
export const DISCS: Readonly<Record<string, DiscSpec>> = {
  'disc-fixed-pad': { ...ONE, knobs: ['fixedPad'] },
  'disc-two-adjusters': { ...ONE, knobs: ['fixedPad', 'movingPad'] },
  'disc-both-move': { inner: 'gapInner', outer: 'gapOuter', bothMove: true, knobs: [] },
}
