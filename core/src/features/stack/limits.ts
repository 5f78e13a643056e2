import type { Source } from '../../calculation/source.ts'

const OURS: Source = { kind: 'our-choice', title: 'What swings clear of a body that gives a little' }

/** What must be clear of the body, and how much of a pad lies on the track, mm. Our choice. */
export const CLEAR_MM = 0.8
export const COVER_MM = 10
/** Less than this of a pad on the track is hardly a brake, mm. Our choice. */
const LEAST_COVER_MM = 5
export const HUNG_MM = 0.5
/** Nearer to the body, or as far past the track as this, nobody rides, mm. Our choice. */
const NEAREST_MM = 0.3
const MOST_HUNG_MM = 2

export const CLEAR_LIMIT = {
  low: CLEAR_MM,
  high: 15,
  unsafe: {
    below: NEAREST_MM,
    say: `nearer than ${NEAREST_MM} mm to the caliper’s body: it grinds it when it grows warm`,
  },
  text: `The rotor must clear the caliper’s body top and bottom: at least ${CLEAR_MM} mm (our choice).`,
  source: OURS,
} as const

export const COVER_LIMIT = {
  low: COVER_MM,
  high: 40,
  unsafe: { below: LEAST_COVER_MM, say: `less than ${LEAST_COVER_MM} mm of the pad lie on the track` },
  text: `The whole of the pad lies on the track: at least ${COVER_MM} mm (our choice).`,
  source: OURS,
} as const

export const HUNG_LIMIT = {
  low: 0,
  high: HUNG_MM,
  unsafe: { atLeast: MOST_HUNG_MM, say: `${MOST_HUNG_MM} mm or more of the pad hang past the track` },
  text: `A pad that hangs past the track wears a lip: at most ${HUNG_MM} mm (our choice).`,
  source: OURS,
} as const

/** Bolts of a caliper and of its bracket. */
export const BOLT_MM = 6
export const PITCH_MM = 1

/** Middle to middle of the mount’s bolts: posts, whose bolts point at the caliper, and tabs, whose bolts lie across. From memory. */
export const POSTS_MM = 74
export const TABS_MM = 51
/** A rule reads a spacing this near. Our choice. */
export const SPACING_NEAR_MM = 1.5

/** Thread wanted over the diameter, by what it is cut in. Common practice, no source. */
export const engagementIn = (metal: string | undefined): number => (metal === 'steel' ? 1 : 1.5)
