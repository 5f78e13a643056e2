import { WORK } from '@overhaul/core/bench/work'
import { MOUNT_PLAN } from '@overhaul/core/mount/plan-spec'
import type { Job } from '@overhaul/core/run-sheet/job'

/** Whether ways of mounting are to be chosen from in this job. */
export const isPlanned = ({ family, seen }: Job): boolean => family.plans.includes(MOUNT_PLAN) && seen(WORK) === 'fit'
