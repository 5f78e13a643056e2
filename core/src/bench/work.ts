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

/** What a job can be for at any brake; fitting it is another thing at each. */
export const worksWith = (fitting: string): readonly WorkSpec[] => [
  { id: 'adjust', title: 'adjusting', says: 'The whole sheet; the brake stays on its frame.' },
  { id: 'fit', title: 'fitting the brake', says: fitting },
  {
    id: 'rub',
    title: 'a sudden rub',
    says: 'A short sheet: the wheel first, as a sudden rub usually sits there (common practice), then gaps and bite.',
  },
  { id: 'dead', title: 'a dead brake', says: 'The whole sheet, what is only open or unhooked first.' },
]
