import { anchor, fastener, M6 } from '../../bench/fasteners.ts'
import { loosening } from '../../brake/acts.ts'
import type { Section } from '../../brake/family.ts'
import type { Feature } from '../../brake/feature.ts'
import type { OnStand } from '../../brake/on-stand.ts'
import { leverWeightAt } from './judge.ts'
import { routeOf } from './route.ts'
import { hasStraddle } from './straddle.ts'

/** How the cable was cut, and what a scale on the blade told of it. */
function cableOf(at: OnStand): readonly Section[] {
  const { route: segments, dimensions, model, family } = at
  const route = segments.length > 0 ? routeOf(segments, dimensions, model.throw.squeezeTensionN) : undefined
  const weight = leverWeightAt(at)
  const lines = [
    ...(route?.ok ? [...route.value.cuts, ...route.value.warnings] : []),
    ...(hasStraddle(family) ? [`Straddle ${(dimensions.straddleMm as number).toFixed(0)} mm, end to end.`] : []),
    ...(weight?.ok ? [weight.value.say] : []),
  ]
  return [{ title: 'Cable', lines }]
}

/** The cable of a rim brake, clamped at its anchor. */
export const RIM_CABLE: Feature = { id: 'rim-cable', fasteners: [anchor('anchor-rim')], sections: cableOf }

/** A straddle cable over a yoke, clamped at one of its ends. */
export const STRADDLE: Feature = {
  id: 'straddle',
  acts: [loosening('straddle', 'straddle’s anchor loosened', 'the straddle’s anchor was loosened')],
  fasteners: [
    fastener('anchor-rim', ['confirm:straddle-loosened'], {
      id: 'straddle anchor',
      bolt: M6,
      tool: '5 mm hex key or 10 mm spanner',
    }),
  ],
}
