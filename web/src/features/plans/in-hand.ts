import type { Job } from '@overhaul/core/run-sheet/job'

/** What the act in hand plans; undefined where it plans nothing. */
export const planInHand = ({ next }: Job): string | undefined =>
  next.kind === 'plan' && next.step.done.kind === 'planned' ? next.step.done.plan : undefined
