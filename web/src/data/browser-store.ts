import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { Change } from './changes.ts'
import type { Waiting } from './outbox.ts'

export interface Schema extends DBSchema {
  /** Entries of logs, and changes of hardware, that the server has not taken yet. */
  waiting: { key: string; value: Waiting }
  changes: { key: string; value: Change }
}

let database: Promise<IDBPDatabase<Schema>> | undefined

/** The browser's own store: what is written here outlives a reload and a server that is away. */
export function openStore(): Promise<IDBPDatabase<Schema>> {
  database ??= openDB<Schema>('overhaul', 2, {
    upgrade: (db, from) => {
      if (from < 1) db.createObjectStore('waiting', { keyPath: 'entry.id' })
      db.createObjectStore('changes', { keyPath: 'id' })
    },
  })
  return database
}
