import type { Kit } from '../brake/kit.ts'
import type { StationId } from '../brake/station.ts'
import type { Entry } from './entries.ts'
import { kindOf } from './kinds.ts'

/** Where on the run line an entry belongs; none where it is of the whole job. `find` finds what a correction strikes. */
export const stationOf = (kit: Kit, entry: Entry, find: (id: string) => Entry | undefined): StationId | undefined =>
  kindOf(entry).station(entry, kit, (id) => {
    const struck = find(id)
    return struck && stationOf(kit, struck, find)
  })
