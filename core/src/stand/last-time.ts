import type { Entry } from './entries.ts'
import { standingIn } from './log-order.ts'

/** What a reading was when it was taken last on an earlier visit, and when, ISO 8601. */
export interface LastTime {
  readonly value: number | string
  readonly at: string
}

/** Of each reading what it was last, over earlier visits, oldest first; what was struck is not counted. */
export function lastTimes(visits: readonly { readonly entries: readonly Entry[] }[]): ReadonlyMap<string, LastTime> {
  const last = new Map<string, LastTime>()
  for (const { entries } of visits)
    for (const entry of standingIn(entries))
      if (entry.kind === 'reading') last.set(entry.reading, { value: entry.value, at: entry.at })
  return last
}
