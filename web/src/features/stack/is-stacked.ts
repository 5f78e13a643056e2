import type { Job } from '@overhaul/core/run-sheet/job'
import { stepsOn } from '@overhaul/core/run-sheet/status'

/** Whether bracket and spacers are to be chosen in this job. */
export const isStacked = (job: Job): boolean =>
  job.family.plans.some(({ id }) => id === 'stack') && stepsOn(job).some(({ id }) => id === 'stack-plan')

/** Their drawing takes the bench while they are chosen. */
export const isStackInHand = ({ next }: Job): boolean => next.step.id === 'stack-plan'
