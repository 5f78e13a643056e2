import type { Entry } from '@overhaul/core/stand/entries'

/** One log from several tellings of it: each entry once, the server's telling (with its seq) over one still waiting. */
export function mergeEntries(...tellings: readonly (readonly Entry[])[]): readonly Entry[] {
  const byId = new Map<string, Entry>()
  for (const entry of tellings.flat()) {
    const known = byId.get(entry.id)
    if (!known || (known.seq === undefined && entry.seq !== undefined)) byId.set(entry.id, entry)
  }
  return [...byId.values()]
}

/** The last seq there is no gap before: from here on the server is asked for what is missing. */
export function lastWithoutGap(entries: readonly Entry[]): number {
  const seqs = new Set(entries.map((entry) => entry.seq))
  let last = 0
  while (seqs.has(last + 1)) last += 1
  return last
}
