import { kitOf } from '../bench/kit.ts'
import type { Family } from '../brake/family.ts'
import type { BrakeModel } from '../brake/model.ts'
import { type Fault, type Outcome, ok } from '../outcome/outcome.ts'
import { admit } from '../run-sheet/admit/admit.ts'
import { type Job, workOut } from '../run-sheet/job.ts'
import type { Known } from '../run-sheet/known.ts'
import { figuresTold, measuredIn, type Stand, standAfter, standOf, traitsSeenIn } from '../run-sheet/stand.ts'
import type { Entry } from '../stand/entries.ts'
import { fitHardware, type Hardware } from '../stand/hardware.ts'
import { changedBy } from '../stand/history.ts'

/** What opens a stand, a job or hardware, for the families it is given. */
export function openerOf(find: (id: string) => Outcome<Family>) {
  /** The stand as the log tells it. Refuses an unknown family and hardware whose geometry cannot brake. */
  function openStand(hardware: Hardware, entries: readonly Entry[], known?: Known): Outcome<Stand> {
    const family = find(hardware.family)
    return family.ok ? standOf(family.value, hardware, entries, known) : family
  }

  /** A job worked out from its hardware, its log, and what is known beside it. */
  function openJob(hardware: Hardware, entries: readonly Entry[], known?: Known): Outcome<Job> {
    const stand = openStand(hardware, entries, known)
    return stand.ok ? ok(workOut(stand.value)) : stand
  }

  /**
   * Some entries judged in turn, each on the stand as the ones before it leave it: the first that may not be written, or the stand
   * with them all.
   */
  function admitAll(
    from: Stand,
    incoming: readonly Entry[],
  ): { readonly stand: Stand } | { readonly index: number; readonly error: Fault } {
    let stand = from
    for (const [index, entry] of incoming.entries()) {
      const now = stand
      const admitted = admit(now, entry, () => workOut(now).next)
      const after = admitted.ok ? standAfter(now, entry) : admitted
      if (!after.ok) return { index, error: after.error }
      stand = after.value
    }
    return { stand }
  }

  /** Hardware of a family there is. Refuses an unknown family, dimension or trait, and a geometry that cannot brake. */
  function checkHardware(hardware: Hardware): Outcome<{ family: Family; model: BrakeModel }> {
    const family = find(hardware.family)
    if (!family.ok) return family
    const model = fitHardware(family.value, hardware)
    return model.ok ? ok({ family: family.value, model: model.value }) : model
  }

  /**
   * The hardware with what a job measured and saw of it laid over: kept with the brake when the job is released. What was measured
   * since, and what this family would refuse, stays as it is.
   */
  function hardwareAfter(hardware: Hardware, entries: readonly Entry[]): Hardware {
    const family = find(hardware.family)
    if (!family.ok) return hardware
    const kit = kitOf(family.value)
    const seen = traitsSeenIn(kit, entries)
    const known = Object.entries(seen).every(([trait, answer]) => hardware.traits?.[trait] === answer)
    const built = known ? hardware : { ...hardware, traits: { ...hardware.traits, ...seen } }
    const told = figuresTold(entries)
    const figured = told ? { ...built, figures: { ...built.figures, ...told } } : built
    return measuredIn(kit, entries).reduce((now, change) => {
      if (now.dimensions[change.dimension]?.value === change.value) return now
      const changed = changedBy(now, [change])
      return changed.ok && checkHardware(changed.value).ok ? changed.value : now
    }, figured)
  }

  return { openStand, openJob, admitAll, checkHardware, hardwareAfter }
}
