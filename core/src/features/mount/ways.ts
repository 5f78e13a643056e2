import type { CautionId } from '../../reference/cautions.ts'

/** The ways of mounting a centre-bolt brake. Ids stand in the log and on job sheets. */
export type WayId = 'as-is' | 'A' | 'B' | 'C' | 'fork' | 'D'

export interface Way {
  readonly id: WayId
  readonly title: string
  readonly says: string
  readonly drills: 'nothing' | 'back' | 'front'
  /** Read and acknowledged before this way is chosen. */
  readonly cautions: readonly CautionId[]
}

const DRILLING: readonly CautionId[] = ['drilling', 'eyes', 'maker']

export const WAYS: readonly Way[] = [
  {
    id: 'as-is',
    title: 'straight in',
    says: 'The mount is bored for a sleeve nut already: nothing is drilled.',
    drills: 'nothing',
    cautions: ['maker'],
  },
  {
    id: 'A',
    title: 'long bolt right through',
    says: 'A brake with a long bolt (a front one, at the rear), without its sleeve nut; concave washers either side, flat washer and hex nut behind.',
    drills: 'nothing',
    cautions: ['maker'],
  },
  {
    id: 'B',
    title: 'sleeve nut let into the back',
    says: 'Drill the nut-side wall to 8 mm, that wall only, never right through. The neatest; cannot be undone.',
    drills: 'back',
    cautions: DRILLING,
  },
  {
    id: 'C',
    title: 'caliper on the other side',
    says: 'Drill the caliper-side wall, which an ordinary drill reaches, and hang the caliper on the other side of the bridge.',
    drills: 'front',
    cautions: [...DRILLING, 'turned-round'],
  },
  {
    id: 'fork',
    title: 'sleeve nut in the back of the crown',
    says: 'A wide-radius concave washer against the crown, the back of the crown drilled to 8 mm for the sleeve nut.',
    drills: 'back',
    cautions: DRILLING,
  },
  {
    id: 'D',
    title: 'leave the frame alone',
    says: 'Fit a nutted brake, where a 6 mm bolt sits in the hole without play: nothing is cut.',
    drills: 'nothing',
    cautions: ['maker'],
  },
]

/** As the bench says it: the letter first where a way has one. */
export const wayName = ({ id, title }: Way): string => (/^[A-D]$/.test(id) ? `${id} · ${title}` : title)

export const findWay = (id: string): Way | undefined => WAYS.find((each) => each.id === id)

/** What a workshop would rather: a frame left as it was, or the neatest look. */
export type Preference = 'reversible' | 'flush'

export const preferenceOf = (school: string): Preference => (school === 'flush' ? 'flush' : 'reversible')

const ORDER: Readonly<Record<Preference, readonly WayId[]>> = {
  reversible: ['as-is', 'A', 'D', 'B', 'fork', 'C'],
  flush: ['as-is', 'B', 'fork', 'C', 'A', 'D'],
}

/** Rank of a way under a preference: 0 is first. */
export const rankOf = (way: WayId, preference: Preference): number => ORDER[preference].indexOf(way)
