import type { Family } from '../brake/family.ts'
import { type Outcome, ok, refuse } from '../outcome/outcome.ts'
import { unknownFamily } from './unknown.ts'

/** Each family by itself, fetched when a brake of it is opened. */
const LOAD: Readonly<Record<string, () => Promise<Family>>> = {
  'linear-pull': async () => (await import('../families/linear-pull/family.ts')).linearPullFamily,
  cantilever: async () => (await import('../families/cantilever/family.ts')).cantileverFamily,
  'dual-pivot': async () => (await import('../families/dual-pivot/family.ts')).dualPivotFamily,
  'single-pivot': async () => (await import('../families/single-pivot/family.ts')).singlePivotFamily,
  'disc-fixed-pad': async () => (await import('../families/disc/family.ts')).discFixedPadFamily,
  'disc-two-adjusters': async () => (await import('../families/disc/family.ts')).discTwoAdjustersFamily,
  'disc-both-move': async () => (await import('../families/disc/family.ts')).discBothMoveFamily,
  drum: async () => (await import('../families/drum/family.ts')).drumFamily,
  'centre-pull': async () => (await import('../families/centre-pull/family.ts')).centrePullFamily,
}

export const LOADABLE: readonly string[] = Object.keys(LOAD)

/** A family by its id, without the others. Refuses one there is not. */
export async function loadFamily(id: string): Promise<Outcome<Family>> {
  const load = LOAD[id]
  return load ? ok(await load()) : unknownFamily(id, LOADABLE)
}

/** Finds the one family that was loaded. */
export const onlyFamily =
  (family: Family) =>
  (id: string): Outcome<Family> =>
    id === family.id
      ? ok(family)
      : refuse('unknown-family', 'family', `A brake of “${id}” is not opened here. Accepted: ${family.id}.`)
