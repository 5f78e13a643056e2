import type { WorkSpec } from '../brake/family.ts'
import type { SeenSpec } from '../brake/reading.ts'
import { DEAD_WORDS } from '../brake/signs.ts'
import { WORK } from '../brake/work.ts'

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
  ['dead', DEAD_WORDS],
  ['rub', /\b(rub\w*|scrap\w*)\b.*\b(since|sudden\w*|today|yesterday|this morning|after)\b/i],
  ['rub', /\b(since|sudden\w*|today|yesterday|this morning|after)\b.*\b(rub\w*|scrap\w*)\b/i],
  ['new-pads', /\bnew pads?\b/i],
  ['new-cable', /\bnew (cable|inner)\b/i],
  ['new-lever', /\b(new|another|other) lever\b/i],
  ['pads-look', /\b(clean\w*|glazed|look at)\b.*\bpads?\b/i],
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
    short: 'a short sheet, not a full check',
    says: 'A short sheet: the wheel first, as a sudden rub usually sits there (common practice), then gaps and bite.',
    loosensWheel: true,
  },
  { id: 'dead', title: 'a dead brake', says: 'The whole sheet; what has only let go comes first.' },
  {
    id: 'new-cable',
    title: 'a new cable',
    says: 'The whole sheet, a new inner in: its run, barrel and clamp, and ten hard squeezes that settle it.',
    renews: 'cable',
  },
  {
    id: 'new-lever',
    title: 'a new lever',
    says: 'The whole sheet, another lever on: whether it belongs to this brake, its place, its clamp, the cable anew.',
    renews: 'lever',
  },
]
