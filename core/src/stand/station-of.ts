import type { Kit } from '../brake/kit.ts'
import type { StationId } from '../brake/station.ts'
import { asksFor } from '../brake/step.ts'
import type { Entry } from './entries.ts'

/** The station whose step asks for a reading; of one that a turn is made by, the dial-in’s. */
function ofReading({ family, steps }: Kit, id: string): StationId | undefined {
  if (family.dial.centre.includes(id)) return 'centre'
  if (family.dial.bite.includes(id) || id === family.dial.beside) return 'bite'
  return steps.find((step) => asksFor(step).includes(id))?.station
}

/** Where on the run line an entry belongs; none where it is of the whole job. `find` finds what a correction strikes. */
export function stationOf(kit: Kit, entry: Entry, find: (id: string) => Entry | undefined): StationId | undefined {
  switch (entry.kind) {
    case 'reading':
      return ofReading(kit, entry.reading)
    case 'turn':
      return 'bite'
    case 'confirm':
    case 'skip':
      return kit.step(entry.step)?.station ?? 'bite'
    case 'plan':
      return kit.steps.find(({ done }) => done.kind === 'planned' && done.plan === entry.plan)?.station
    case 'route':
      return 'cable'
    case 'torque':
      return 'tighten'
    case 'swap':
      return kit.steps.find(({ mends }) => mends?.includes(entry.part))?.station
    case 'release':
    case 'close':
      return 'release'
    case 'correction': {
      const struck = find(entry.strikes)
      return struck && stationOf(kit, struck, find)
    }
    case 'note':
      return undefined
  }
}
