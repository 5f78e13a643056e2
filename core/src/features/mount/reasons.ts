import type { PlannedPart } from '../../brake/plan.ts'
import type { Part } from '../../drawer/part.ts'
import { isCurved } from './fit.ts'

/** Why a way is as it is: it cannot be done here, it lacks a part or a measurement, or it holds. */
export interface Reason {
  readonly kind: 'stop' | 'lacks' | 'measure' | 'holds' | 'know'
  readonly say: string
}

export type PlanState = 'ready' | 'buy' | 'measure' | 'no'

export const mm = (value: number) => `${value.toFixed(1)} mm`
export const stop = (say: string): Reason => ({ kind: 'stop', say })
export const lacks = (say: string): Reason => ({ kind: 'lacks', say })
export const measure = (say: string): Reason => ({ kind: 'measure', say })
export const holds = (say: string): Reason => ({ kind: 'holds', say })
export const know = (say: string): Reason => ({ kind: 'know', say })

export const stateOf = (reasons: readonly Reason[]): PlanState => {
  const has = (kind: Reason['kind']) => reasons.some((each) => each.kind === kind)
  return has('stop') ? 'no' : has('measure') ? 'measure' : has('lacks') ? 'buy' : 'ready'
}

/** The parts of a stack, each named once with its count. */
export const used = (parts: readonly (Part | undefined)[]): readonly PlannedPart[] => {
  const counted = new Map<string, PlannedPart>()
  for (const part of parts) {
    if (!part) continue
    const before = counted.get(part.id)
    counted.set(part.id, { name: part.name, partId: part.id, count: (before?.count ?? 0) + 1 })
  }
  return [...counted.values()]
}

/** How a part seats on a face: straight on a flat one, on a concave washer where it is curved. */
export const seatOf = (curveMm: number, washer: Part | undefined, straight: string, under: string): string =>
  isCurved(curveMm) ? `${washer?.name ?? 'Concave washer'} ${under}` : `${straight} straight on the frame`
