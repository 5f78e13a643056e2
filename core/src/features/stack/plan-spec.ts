import type { PlanSpec } from '../../brake/plan.ts'
import { ok, refuse } from '../../outcome/outcome.ts'
import { judgeStack, type StackFigures } from './fits.ts'
import { standsNow } from './measured.ts'
import { BOLTED, STANDS_NOW } from './readings.ts'
import { STACK_WAYS, wayOf } from './ways.ts'

const WANTED = ['bracketMm', 'spacersMm', 'caliperBoltMm', 'caliperThreadMm', 'caliperFactor'] as const
const ONLY_WITH_BRACKET = ['bracketBoltMm', 'bracketFootMm'] as const

/** Bracket and spacers as something planned: what is chosen carries its figures, and is judged by them again. */
export const STACK_PLAN: PlanSpec = {
  id: 'stack',
  title: 'bracket and spacers',
  // How it lay is told once, before it is apart; what it is to lie on stands on that.
  standsOn: [...STANDS_NOW, ...BOLTED, 'bracketThread', 'rotorWide', 'trackNew', 'stackRotor'].map(
    (id) => `reading:${id}` as const,
  ),
  ways: STACK_WAYS,
  admit(at, to, figures) {
    const now = standsNow(at)
    if (!now)
      return refuse(
        'not-measured',
        'plan',
        'How the caliper stands now is not measured yet: a stack is chosen from its measurements.',
      )
    const missing = WANTED.find((id) => figures[id] === undefined)
    if (missing)
      return refuse(
        'missing',
        'figures',
        `The stack lacks ${missing}. Accepted: ${[...WANTED, ...ONLY_WITH_BRACKET].join(', ')}, in mm.`,
      )
    const stack = figures as unknown as StackFigures
    const way = wayOf(stack)
    if (way !== to) return refuse('wrong-way', 'to', `These figures are of “${way}”, not of “${to}”.`)
    const judged = judgeStack(now, stack)
    return judged.ok ? ok(true) : judged
  },
}
