import type { UnitId } from '../quantity/quantity.ts'
import type { Job } from '../run-sheet/job.ts'
import type { Entry } from '../stand/entries.ts'
import { decimalsOf } from '../stand/show.ts'

/** A reading as it was before anything was done to the brake, and as it stood last; numbers in the reading’s own unit. */
export interface Before {
  readonly title: string
  readonly unit: UnitId
  /** As finely as its instrument resolves, in that unit; as its unit has it where missing. */
  readonly decimals?: number
  readonly found?: number
  readonly left: number
}

/** The readings a brake is set by; the reserve belongs to them, as a turn moves it too. */
export const setBy = ({ model, family }: Job): ReadonlySet<string> =>
  new Set([...model.needed, ...family.dial.bite, ...family.dial.centre, 'reserve'])

/** Whether an entry changed the brake: what is read after it was not found so. A school is only another opinion of it. */
const isWork = ({ kit }: Job, entry: Entry): boolean =>
  entry.kind === 'turn' || (entry.kind === 'swap' && !kit.schoolAt(entry.part))

/** What each reading was before anything was done to the brake. */
export function foundIn(job: Job): ReadonlyMap<string, number | string> {
  const found = new Map<string, number | string>()
  for (const entry of job.state.standing) {
    if (isWork(job, entry)) break
    if (entry.kind === 'reading' && !found.has(entry.reading)) found.set(entry.reading, entry.value)
  }
  return found
}

/** What the brake is set by, as found and as left: what a list of jobs has room for. */
export function foundAndLeft(job: Job): readonly Before[] {
  const { kit, state, family, model } = job
  const found = foundIn(job)
  return [...new Set([...model.needed, ...family.dial.bite])].flatMap((id): readonly Before[] => {
    const left = state.readings[id]?.value
    const spec = kit.reading(id)
    if (typeof left !== 'number' || !spec) return []
    const first = found.get(id)
    const decimals = decimalsOf(kit, id, spec.unit)
    return [
      {
        title: spec.title,
        unit: spec.unit,
        ...(decimals !== undefined && { decimals }),
        ...(typeof first === 'number' && { found: first }),
        left,
      },
    ]
  })
}
