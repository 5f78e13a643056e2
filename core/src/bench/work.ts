import type { WorkSpec } from '../brake/family.ts'
import type { SeenSpec } from '../brake/reading.ts'

/** What a job is for, as something told: it decides which steps stand on the run sheet. */
export const WORK = 'work'

export const workSeen = (works: readonly WorkSpec[]): SeenSpec => ({
  id: WORK,
  title: 'the job is',
  shorthand: 'work',
  how: works.map(({ title, says }) => `${title}: ${says}`).join(' '),
  options: works.map(({ id, title }) => ({ id, title })),
})
