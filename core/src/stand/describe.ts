import type { EntryBody } from './entries.ts'
import type { Naming } from './entry-kind.ts'
import { kindOf } from './kinds.ts'

/** One entry in the words of the bench; the same for the tape's echo, the log and the sheet. */
export const describe = (entry: EntryBody, naming: Naming): string =>
  kindOf(entry).say(entry, naming, (struck) => describe(struck, naming))
