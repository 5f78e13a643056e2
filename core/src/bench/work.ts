import type { WorkSpec } from '../brake/family.ts'
import type { SeenSpec } from '../brake/reading.ts'

/** What a job is for, as something told: it decides which steps stand on the run sheet. */
export const WORK = 'work'

export const workSeen = (works: readonly WorkSpec[]): SeenSpec => ({
  id: WORK,
  title: 'the job is',
  shorthand: 'work',
  practice: null,
  how: works.map(({ title, says }) => `${title}: ${says}`).join(' '),
  options: works.map(({ id, title }) => ({ id, title })),
})

/** Words of a complaint that speak for a work, where a brake has it. From memory; the hand chooses. */
const SPEAKS: readonly (readonly [work: string, words: RegExp])[] = [
  ['dead', /\b(dead|no brake|does nothing|nothing happens|snapped|unhooked)\b/i],
  ['rub', /\b(rub\w*|scrap\w*)\b.*\b(since|sudden\w*|today|yesterday|this morning|after)\b/i],
  ['rub', /\b(since|sudden\w*|today|yesterday|this morning|after)\b.*\b(rub\w*|scrap\w*)\b/i],
  ['new-pads', /\bnew pads?\b/i],
  ['new-rotor', /\b(new|larger|bigger|bent) rotor\b/i],
  ['damp', /\b(squeal\w*|squeak\w*)\b/i],
  ['service', /\bservice\b/i],
]

/** What a complaint sounds like; undefined where it sounds like the whole sheet. */
export const proposedWork = (complaint: string, works: readonly WorkSpec[]): string | undefined =>
  SPEAKS.find(([work, words]) => works.some(({ id }) => id === work) && words.test(complaint))?.[0]

/** What a job can be for at any brake; fitting it is another thing at each. */
export const worksWith = (fitting: string): readonly WorkSpec[] => [
  { id: 'adjust', title: 'adjusting', says: 'The whole sheet; the brake stays on its frame.' },
  { id: 'fit', title: 'fitting the brake', says: fitting, loosensWheel: true },
  {
    id: 'rub',
    title: 'a sudden rub',
    says: 'A short sheet: the wheel first, as a sudden rub usually sits there (common practice), then gaps and bite.',
    loosensWheel: true,
  },
  { id: 'dead', title: 'a dead brake', says: 'The whole sheet; what has only let go comes first.' },
]
