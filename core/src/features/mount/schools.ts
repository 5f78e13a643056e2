import type { SchoolSpec } from '../../brake/school.ts'
import type { Source } from '../../calculation/source.ts'

const COMMON: Source = { kind: 'common-practice', title: 'Bench habit' }

/** Whether a frame is left as it was or the neatest look comes first. */
export const MOUNT_SCHOOL: SchoolSpec = {
  id: 'mount',
  title: 'mounting',
  options: [
    { id: 'reversible', title: 'reversible first', source: COMMON },
    { id: 'flush', title: 'flush look first', source: COMMON },
  ],
}
