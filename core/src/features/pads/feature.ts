import type { Section } from '../../brake/family.ts'
import type { Feature } from '../../brake/feature.ts'
import type { OnStand } from '../../brake/on-stand.ts'
import { PAD_NUTS } from './fasteners.ts'
import { padPathsAt, TOE } from './judges.ts'
import { PAD_READINGS, PAD_SEEN } from './readings.ts'
import { PAD_SCHOOLS } from './schools.ts'
import { PAD_STEPS } from './steps.ts'

/** Where the pads were set to stay on their track, and what they were toed in to. */
function padsOf(at: OnStand): readonly Section[] {
  const paths = padPathsAt(at)
  const [left, right] = [TOE.left, TOE.right].map(at.number)
  const lines = [
    ...(paths?.ok ? paths.value.map(({ drift }) => drift.say) : []),
    ...(left === undefined || right === undefined
      ? []
      : [`Toe-in ${left.toFixed(1)} mm left, ${right.toFixed(1)} mm right, at the rear edges.`]),
  ]
  return [{ title: 'Pads', lines }]
}

/** Pads on their rim. */
export const RIM_PADS: Feature = {
  id: 'rim-pads',
  works: [
    {
      id: 'new-pads',
      title: 'new pads',
      says: 'The whole sheet, new pads in: made for this rim, the right way round, at their height, toed in, tight.',
      renews: 'pads',
    },
  ],
  readings: PAD_READINGS,
  seen: PAD_SEEN,
  steps: PAD_STEPS,
  schools: PAD_SCHOOLS,
  fasteners: PAD_NUTS,
  sections: padsOf,
}
