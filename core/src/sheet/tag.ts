import type { End } from '../brake/dimension.ts'

/** How the brake at one end of a bicycle stands, by the last job on it. */
export type EndState = 'none' | 'open' | 'released' | 'closed'

const SAYS: Readonly<Record<EndState, string>> = {
  none: 'not looked at',
  open: 'in work, not released',
  released: 'released',
  closed: 'not to be ridden',
}

/** Both ends of a bicycle, as its tag says them: what nobody looked at is not well. */
export const sayEnds = (states: Readonly<Partial<Record<End, EndState>>>): readonly string[] =>
  (['front', 'rear'] as const).map((end) => `${end}: ${SAYS[states[end] ?? 'none']}`)
