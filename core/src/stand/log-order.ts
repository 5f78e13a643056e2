import type { Entry } from './entries.ts'

/** Log order: the server's seq first, then entries still waiting, as they were made. */
export const inOrder = (entries: readonly Entry[]): readonly Entry[] =>
  entries
    .map((entry, index) => ({ entry, index }))
    .sort((a, b) => (a.entry.seq ?? Infinity) - (b.entry.seq ?? Infinity) || a.index - b.index)
    .map(({ entry }) => entry)

const sameHand = (a: Entry, b: Entry): boolean => a.by === b.by && a.device === b.device

/** The first turn by another hand after what the author of a reading had seen. */
export function unseenBy(before: readonly Entry[], entry: Entry): Entry | undefined {
  let unseen: Entry | undefined
  for (let at = before.length - 1; at >= 0; at -= 1) {
    const each = before[at] as Entry
    if (each.seq === undefined) continue
    if (each.seq <= (entry.basedOn as number)) break
    if (each.kind === 'turn' && !sameHand(each, entry)) unseen = each
  }
  return unseen
}

/** A reading its author took without having seen a turn that came first teaches nothing. */
export function overtakers(ordered: readonly Entry[], struck: ReadonlyMap<string, Entry>): Map<string, Entry> {
  const overtaken = new Map<string, Entry>()
  const turns: Entry[] = []
  for (const entry of ordered) {
    if (struck.has(entry.id)) continue
    if (entry.kind === 'turn') turns.push(entry)
    if (entry.kind !== 'reading' || entry.basedOn === undefined) continue
    const unseen = unseenBy(turns, entry)
    if (unseen) overtaken.set(entry.id, unseen)
  }
  return overtaken
}

/** Corrections in order; one that is itself struck strikes nothing, so a strike can be taken back. */
export function strikes(ordered: readonly Entry[]): ReadonlyMap<string, Entry> {
  const struck = new Map<string, Entry>()
  for (const entry of [...ordered].reverse()) {
    if (entry.kind === 'correction' && !struck.has(entry.id)) struck.set(entry.strikes, entry)
  }
  return struck
}

/** Entries that count, in order: not struck, or struck by a correction that was itself taken back. */
export function standingIn(entries: readonly Entry[]): readonly Entry[] {
  const ordered = inOrder(entries)
  const struck = strikes(ordered)
  return ordered.filter((entry) => !struck.has(entry.id))
}
