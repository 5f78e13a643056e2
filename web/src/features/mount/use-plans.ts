import { type BoltMount, boltMountOf, checkMeasured, missingOf } from '@overhaul/core/features/mount/measured'
import { type Plan, planMount } from '@overhaul/core/features/mount/plan'
import { type Reach, reachOf } from '@overhaul/core/features/mount/reach'
import { preferenceOf, type WayId } from '@overhaul/core/features/mount/ways'
import type { Job } from '@overhaul/core/run-sheet/job'
import type { Drafts } from '../../drafts/use-drafts.ts'
import { oneLookedAt } from '../plans/picked.ts'
import { useStock } from '../plans/use-stock.ts'
import { measuredWith } from './measured-with.ts'

/** The mount as it is known now, what is being typed included, and every way of mounting worked out from it. */
export interface Plans {
  readonly mount: BoltMount | undefined
  readonly plans: readonly Plan[]
  readonly shown: Plan | undefined
  readonly reach: Reach | undefined
  /** What is typed and cannot be, in words. */
  readonly fault: string | undefined
  readonly missing: readonly string[]
  readonly drawerAway: boolean
}

const ways = oneLookedAt<WayId>()
export const pickWay = ways.pick

type Worked = Pick<Plans, 'mount' | 'missing' | 'fault' | 'reach' | 'plans'>

type Stock = ReturnType<typeof useStock>['stock']

function planned(job: Job, drafts: Drafts, stock: Stock): Worked {
  const measured = measuredWith(job, drafts)
  const checked = checkMeasured(measured)
  const reach = checked.ok ? reachOf(measured, job.dimensions.beadSeatMm as number, job.family.mount) : undefined
  const mount = checked.ok ? boltMountOf(measured) : undefined
  return {
    mount,
    missing: missingOf(measured),
    fault: checked.ok ? undefined : checked.error.message,
    reach: reach?.ok ? reach.value : undefined,
    plans: mount ? planMount(mount, stock, preferenceOf(job.schools.mount?.option ?? '')) : [],
  }
}

let last:
  | { readonly job: Job; readonly text: Drafts['text']; readonly stock: Stock; readonly worked: Worked }
  | undefined

/** Worked out once for all that show it: they are given the same job, the same typing and the same drawer. */
function plannedOnce(job: Job, drafts: Drafts, stock: Stock): Worked {
  const { text } = drafts
  if (last?.job !== job || last.text !== text || last.stock !== stock)
    last = { job, text, stock, worked: planned(job, drafts, stock) }
  return last.worked
}

/** The mount and its ways, for whichever feature asks: nothing is planned for a brake none of whose panels does. */
export function usePlans(job: Job, jobId: string, drafts: Drafts): Plans {
  const { stock, isError } = useStock(jobId)
  const way = ways.usePicked()
  const worked = plannedOnce(job, drafts, stock)
  const chosen = job.state.plans.mount?.value.to
  const shown =
    worked.plans.find((plan) => plan.way.id === way) ??
    worked.plans.find((plan) => plan.way.id === chosen) ??
    worked.plans[0]
  return { ...worked, shown, drawerAway: isError }
}
