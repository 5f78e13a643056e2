import { AXLE, LEVER_CLAMP } from '../../bench/fasteners.ts'
import { COVERED, lookedOver } from '../../bench/looked-over.ts'
import { COMMON_TRAITS } from '../../bench/traits.ts'
import { worksWith } from '../../bench/work.ts'
import type { Family } from '../../brake/family.ts'
import { compose, type Feature } from '../../brake/feature.ts'
import type { Fact, Graph } from '../../brake/graph.ts'
import { RIM_CABLE } from '../../features/cable/feature.ts'
import { GUIDE } from '../../features/guide-pipe/feature.ts'
import { BOLT_MOUNT, BOSS_MOUNT } from '../../features/mount/feature.ts'
import { checkMeasured } from '../../features/mount/measured.ts'
import { RIM_PADS } from '../../features/pads/feature.ts'
import { RIM_DIAL } from '../../features/rim-dial/feature.ts'
import { RIM_TRACK } from '../../features/rim-track/feature.ts'
import { wetShare } from '../../reference/pad-friction.ts'
import { BITE } from './bite.ts'

/** A caliper on one bolt: found askew and turned square again, its pads stand elsewhere. */
const ON_ONE_BOLT: Graph = Object.fromEntries(
  ['gapLeft', 'gapRight', 'biteTravel', 'firstTouch', 'spin'].map((id) => [
    `reading:${id}`,
    ['reading:caliperSits'] as readonly Fact[],
  ]),
)

const LOOKED_OVER = lookedOver({
  more: 'Inner at both ends, its head in its pocket; housing and its ends; the anchor’s own bolt. Rim and track, pads whole on it and off the tyre, closed ends forward, both coming back.',
  covers: [
    ...COVERED,
    'rim-sound',
    'pad-match',
    'pads-sound',
    'pads-direction',
    'pads-height',
    'pads-back',
    'arms-free',
    'pivot-play',
    'guide-boot',
  ],
  cautions: ['tyre', 'shoe'],
})

type Own = Pick<Family, 'id' | 'title' | 'fit' | 'worked' | 'opens'> &
  Pick<Feature, 'dimensions' | 'traits' | 'readings' | 'seen' | 'steps'> & {
    readonly features?: readonly Feature[]
  }

/** A family of rim brakes: what they share, how it hangs on the frame, and its own. */
export function rimFamily(mount: 'boss' | 'centre-bolt', own: Own): Family {
  const { id, title, fit, worked, opens, features = [], steps = [], traits = [], ...rest } = own
  return compose({
    id,
    title,
    mount,
    track: 'rim',
    fit,
    ...(worked && { worked }),
    ...(opens !== undefined && { opens }),
    features: [
      {
        id,
        ...rest,
        traits: [...COMMON_TRAITS, ...traits],
        works: worksWith('The whole sheet, with reach and ways of mounting.'),
        steps: [...steps, LOOKED_OVER],
        schools: [BITE],
        fasteners: [AXLE, ...LEVER_CLAMP],
        standsOn: mount === 'centre-bolt' ? ON_ONE_BOLT : {},
      },
      mount === 'boss' ? BOSS_MOUNT : BOLT_MOUNT,
      RIM_TRACK,
      RIM_PADS,
      RIM_DIAL,
      RIM_CABLE,
      ...features,
    ],
    dial: {
      bite: ['biteTravel'],
      centre: ['gapLeft', 'gapRight'],
      beside: 'firstTouch',
      say: 'both gaps and the bite',
    },
    rubbed: { seen: 'spin', of: { left: 'gapLeft', right: 'gapRight' } },
    puncture: [
      'Out: open the brake as above where it opens, then the wheel’s own fastening.',
      'In: wheel pushed fully home in both dropouts, the bicycle standing on its wheels; close it, then the brake. Look: the rim stands midway between the pads, and no pad touches the tyre. Squeeze hard, lift, spin: nothing rubs.',
    ],
    wetShare: ({ seen }) => wetShare(seen('rimMaterial'), seen('padCompound')).share,
    check: ({ number, seen }) => checkMeasured({ end: 'rear', number, seen }),
    drawings: async () => (await import('./drawings/drawings.ts')).rimDrawings(mount, features.includes(GUIDE)),
  })
}
