import type { SchoolSpec } from '../../brake/school.ts'
import type { Source } from '../../calculation/source.ts'

const COMMON: Source = { kind: 'common-practice', title: 'Bench habit' }
const COMPUTED: Source = { kind: 'computed', title: 'From the pad’s path as it wears' }

/** How high pads are set, and whether they are toed in. */
export const PAD_SCHOOLS: readonly SchoolSpec[] = [
  {
    id: 'height',
    title: 'pad height',
    options: [
      { id: 'longest', title: 'longest on the track', source: COMPUTED },
      { id: 'top-edge', title: '1 to 2 mm below the track’s upper edge', source: COMMON },
      { id: 'middle', title: 'middle of the track', source: COMMON },
    ],
  },
  {
    id: 'toe',
    title: 'toe-in',
    options: [
      { id: 'front-touch', title: 'front touches first', source: COMMON },
      { id: 'flat', title: 'flat, toe in only if it squeals', source: COMMON },
    ],
  },
]
