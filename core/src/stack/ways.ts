import type { PlanSpec } from '../brake/plan.ts'

/** What lies between mount and caliper. Ids stand in the log and on job sheets. */
export type StackWayId = 'straight' | 'spacers' | 'bracket' | 'bracket-spacers'

export const STACK_WAYS = [
  { id: 'straight', title: 'caliper straight on its mount', cautions: ['bolt-length', 'maker'] },
  { id: 'spacers', title: 'spacers under the caliper', cautions: ['bolt-length', 'maker'] },
  { id: 'bracket', title: 'on a bracket', cautions: ['bolt-length', 'maker'] },
  { id: 'bracket-spacers', title: 'on a bracket, spacers under the caliper', cautions: ['bolt-length', 'maker'] },
] as const satisfies PlanSpec['ways']

export const wayOf = (bracketMm: number, spacersMm: number): StackWayId => {
  if (bracketMm > 0) return spacersMm > 0 ? 'bracket-spacers' : 'bracket'
  return spacersMm > 0 ? 'spacers' : 'straight'
}
