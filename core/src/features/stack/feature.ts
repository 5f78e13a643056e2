import { fastener, M6 } from '../../bench/fasteners.ts'
import { loosening } from '../../brake/acts.ts'
import type { Feature } from '../../brake/feature.ts'
import { stackLines } from './lines.ts'
import { STACK_PLAN } from './plan-spec.ts'
import { STACK_READINGS, STACK_SEEN } from './readings.ts'
import { BRACKET_TIGHT, STACK_NOTED, STACK_STEPS } from './steps.ts'

/** Bracket and spacers between the mount and a disc’s caliper. */
export const STACK: Feature = {
  id: 'stack',
  readings: STACK_READINGS,
  seen: STACK_SEEN,
  steps: [STACK_NOTED, ...STACK_STEPS, BRACKET_TIGHT],
  plans: [STACK_PLAN],
  acts: [loosening('bracket', 'bracket loosened', 'the bracket was loosened')],
  fasteners: [
    fastener('bracket', ['confirm:bracket-loosened'], {
      id: 'bracket bolts',
      title: 'bracket bolts, where it has one',
      bolt: M6,
      tool: '5 mm hex key',
    }),
  ],
  causes: { 'confirm:stack-fitted': 'bracket or spacers were changed' },
  sections: (at) => [{ title: 'Bracket and spacers', lines: stackLines(at) }],
}
