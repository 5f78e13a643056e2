import { cableAdjusters } from '../../bench/adjusters.ts'
import type { AdjusterSpec } from '../../brake/adjuster.ts'
import type { Dimensions } from '../../brake/dimension.ts'

/** Barrel and anchor: they are the wear take-up. Out until it scrapes on the turning wheel, a barrel is at a datum. */
export const drumAdjusters = (d: Dimensions): readonly AdjusterSpec[] =>
  cableAdjusters(d, 'spare').map((each) =>
    each.id === 'barrel'
      ? {
          ...each,
          contact: { inward: 1, at: { ear: 0, feel: -0.4 }, sd: { ear: 0.2, feel: 0.4 } },
          shows: { plus: 'biteTravel', minus: 'biteTravel' },
        }
      : each,
  )
