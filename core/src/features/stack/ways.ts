import type { PlanSpec } from '../../brake/plan.ts'
import type { StackFigures } from './fits.ts'

/** What lies between mount and caliper. Ids stand in the log and on job sheets. */
export type StackWayId = 'straight' | 'spacers' | 'bracket' | 'bracket-spacers'

export const STACK_WAYS = [
  { id: 'straight', title: 'caliper straight on its mount', cautions: ['bolt-length', 'maker'] },
  { id: 'spacers', title: 'spacers under the caliper', cautions: ['bolt-length', 'maker'] },
  { id: 'bracket', title: 'on a bracket', cautions: ['bolt-length', 'maker'] },
  { id: 'bracket-spacers', title: 'on a bracket, spacers under the caliper', cautions: ['bolt-length', 'maker'] },
] as const satisfies PlanSpec['ways']

/** A bracket may rise by nothing: then its own bolts say that it is there. */
export const isBracketed = ({ bracketMm, bracketBoltMm }: Pick<StackFigures, 'bracketMm' | 'bracketBoltMm'>): boolean =>
  bracketMm > 0 || bracketBoltMm !== undefined

export const wayOf = (stack: Pick<StackFigures, 'bracketMm' | 'bracketBoltMm' | 'spacersMm'>): StackWayId => {
  const { spacersMm } = stack
  if (isBracketed(stack)) return spacersMm > 0 ? 'bracket-spacers' : 'bracket'
  return spacersMm > 0 ? 'spacers' : 'straight'
}
