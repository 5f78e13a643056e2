import { measuredAt } from '@overhaul/core/mount/judge'
import { type BoltMount, boltMountOf, checkMeasured, type Measured, missingOf } from '@overhaul/core/mount/measured'
import { type Plan, planMount } from '@overhaul/core/mount/plan'
import { type Reach, reachOf } from '@overhaul/core/mount/reach'
import { preferenceOf, type WayId } from '@overhaul/core/mount/ways'
import type { Job } from '@overhaul/core/run-sheet/job'
import { useMemo, useState } from 'react'
import type { Drafts } from '../../drafts/use-drafts.ts'
import { useStock } from '../plans/use-stock.ts'

/** The mount as it is known now, what is being typed included, and every way of mounting worked out from it. */
export interface Plans {
  readonly mount: BoltMount | undefined
  readonly plans: readonly Plan[]
  readonly shown: Plan | undefined
  readonly pick: (way: WayId) => void
  readonly reach: Reach | undefined
  /** What is typed and cannot be, in words. */
  readonly fault: string | undefined
  readonly missing: readonly string[]
  readonly drawerAway: boolean
}

/** Readings in the log with the drafts laid over them: the drawing follows the typing. */
function measuredWith(job: Job, drafts: Drafts): Measured {
  const logged = measuredAt(job)
  return {
    end: logged.end,
    number: (id) => drafts.value(id) ?? logged.number(id),
    seen: (id) => drafts.text[id] ?? logged.seen(id),
  }
}

export function usePlans(job: Job, jobId: string, drafts: Drafts): Plans {
  const { stock, isError } = useStock(jobId)
  const [picked, pick] = useState<WayId>()
  const { state, dimensions, family } = job
  // biome-ignore lint/correctness/useExhaustiveDependencies: of the drafts only their text counts
  const worked = useMemo(() => {
    const measured = measuredWith(job, drafts)
    const checked = checkMeasured(measured)
    const reach = checked.ok ? reachOf(measured, dimensions.beadSeatMm as number, family.mount) : undefined
    const mount = checked.ok ? boltMountOf(measured) : undefined
    return {
      mount,
      missing: missingOf(measured),
      fault: checked.ok ? undefined : checked.error.message,
      reach: reach?.ok ? reach.value : undefined,
      plans: mount ? planMount(mount, stock, preferenceOf(job.schools.mount?.option ?? '')) : [],
    }
  }, [job, drafts.text, stock])
  const chosen = state.plans.mount?.value.to
  const shown =
    worked.plans.find((plan) => plan.way.id === picked) ??
    worked.plans.find((plan) => plan.way.id === chosen) ??
    worked.plans[0]
  return { ...worked, shown, pick, drawerAway: isError }
}
