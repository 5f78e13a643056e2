import type { WorkSpec } from '../brake/family.ts'
import { WORK } from '../brake/work.ts'
import type { EntryBody } from './entries.ts'

/** A work chosen, as it is written: what it is for, and the part that is new in it. */
export function workChosen(works: readonly WorkSpec[], id: string): readonly EntryBody[] {
  const renews = works.find((each) => each.id === id)?.renews
  return [
    { kind: 'reading', reading: WORK, value: id, unit: '' },
    ...(renews ? [{ kind: 'swap', part: renews, to: 'new' } as const] : []),
  ]
}
