import { changes } from './schema.ts'
import type { Db } from './store.ts'

/** A search as FTS5 reads it: each word begins a word sought. Undefined where there is no word in it. */
export function soughtIn(text: string): string | undefined {
  const words = text.normalize('NFC').match(/[\p{L}\p{N}]+/gu) ?? []
  return words.length > 0 ? words.map((word) => `"${word}"*`).join(' ') : undefined
}

/** What tells this state of the data from the one before a restore. */
export async function epochOf(db: Db): Promise<string> {
  const [row] = await db.select({ epoch: changes.epoch }).from(changes)
  return row?.epoch ?? ''
}

/** The count of changes: whatever the rack shows is the same while it stands. */
export async function rackCount(db: Db): Promise<number> {
  const [row] = await db.select({ rack: changes.rack }).from(changes)
  return row?.rack ?? 0
}
