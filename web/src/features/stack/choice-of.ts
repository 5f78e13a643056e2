import type { StackPlan } from '@overhaul/core/features/stack/plan'
import { STACK_WAYS } from '@overhaul/core/features/stack/ways'

/** Bracket and spacers as they are chosen: their cautions, and what is written. */
export const choiceOf = ({ way, parts, figures }: StackPlan) => ({
  cautions: STACK_WAYS.find(({ id }) => id === way)?.cautions ?? [],
  chosen: { plan: 'stack' as const, to: way, parts, figures: { ...figures } },
})

/** What lies under the caliper, in words. */
export const nameOf = ({ bracket, spacers, way }: StackPlan): string => {
  const under = [...new Set(spacers.map(({ name }) => name))].map((name) => {
    const layers = spacers.filter((each) => each.name === name).length
    return layers > 1 ? `${layers} × ${name} each side` : `${name} each side`
  })
  const named = [bracket?.name, ...under].filter(Boolean).join(', ')
  return named || (STACK_WAYS.find(({ id }) => id === way)?.title ?? way)
}
