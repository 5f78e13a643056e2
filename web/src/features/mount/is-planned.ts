import { WORK } from '@overhaul/core/brake/work'
import type { Job } from '@overhaul/core/run-sheet/job'

/** Whether ways of mounting are to be chosen from in this job. */
export const isPlanned = ({ family, seen }: Job): boolean =>
  family.plans.some(({ id }) => id === 'mount') && seen(WORK) === 'fit'
