import type { Plan } from '@overhaul/core/features/mount/plan'

export const canBeChosen = ({ state }: Plan): boolean => state === 'ready' || state === 'buy'

/** A way of mounting as it is chosen: its cautions, and what is written. */
export const choiceOf = ({ way, parts }: Plan) =>
  ({ cautions: way.cautions, chosen: { plan: 'mount', to: way.id, parts } }) as const
