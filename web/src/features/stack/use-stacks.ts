import { missingOf, type StandsNow, standsNow } from '@overhaul/core/features/stack/measured'
import { planStacks, type StackPlan } from '@overhaul/core/features/stack/plan'
import { toBuy } from '@overhaul/core/features/stack/to-buy'
import type { Job } from '@overhaul/core/run-sheet/job'
import { useMemo } from 'react'
import { oneLookedAt } from '../plans/picked.ts'
import { useStock } from '../plans/use-stock.ts'

/** Every stack that can be laid here, and the one that is looked at. */
export interface Stacks {
  readonly now: StandsNow | undefined
  readonly missing: readonly string[]
  readonly plans: readonly StackPlan[]
  readonly shown: StackPlan | undefined
  /** What would do, where the drawer has none. */
  readonly buy: readonly string[]
  readonly drawerAway: boolean
}

const keys = oneLookedAt<string>()
export const pickStack = keys.pick

export function useStacks(job: Job, jobId: string): Stacks {
  const { stock, isError } = useStock(jobId)
  const key = keys.usePicked()
  const worked = useMemo(() => {
    const now = standsNow(job)
    const plans = now ? planStacks(now, stock) : []
    return { now, plans, missing: missingOf(job), buy: now && plans.length === 0 ? toBuy(now) : [] }
  }, [job, stock])
  const shown = worked.plans.find((plan) => plan.key === key) ?? worked.plans[0]
  return { ...worked, shown, drawerAway: isError }
}
