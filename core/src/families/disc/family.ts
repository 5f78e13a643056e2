import { AXLE, anchor, LEVER_CLAMP } from '../../bench/fasteners.ts'
import { COMMON_TRAITS } from '../../bench/traits.ts'
import { worksWith } from '../../bench/work.ts'
import type { Family } from '../../brake/family.ts'
import { compose } from '../../brake/feature.ts'
import { discCaliper } from '../../calculations/families.ts'
import { discCaliperFeature } from '../../features/disc-caliper/feature.ts'
import { type DiscKind, gapsOf } from '../../features/disc-caliper/kind.ts'
import { discPadsFeature } from '../../features/disc-pads/feature.ts'
import { ROTOR } from '../../features/rotor/feature.ts'
import { allowsSqueeze } from '../../features/rotor/rotor-out.ts'
import { STACK } from '../../features/stack/feature.ts'
import { discModel } from './model.ts'
import { DISC_WORDS } from './words.ts'

const SHAPE = ['armMm', 'leadMmPerRad', 'rotorDiameterMm', 'rotorRunoutMm'] as const

/** A family of mechanical discs: what moves in its caliper is all that differs. */
export function discFamily(id: string, title: string, kind: DiscKind): Family {
  const gaps = gapsOf(kind)
  return compose({
    id,
    title,
    mount: 'tabs',
    track: 'rotor',
    features: [
      {
        id,
        traits: COMMON_TRAITS,
        works: worksWith('The whole sheet, caliper set by its school.'),
        steps: DISC_WORDS,
        fasteners: [AXLE],
      },
      ROTOR,
      { id: 'lever-clamp', fasteners: LEVER_CLAMP },
      STACK,
      discPadsFeature(kind),
      discCaliperFeature(kind),
      { id: 'disc-anchor', fasteners: [anchor('anchor-disc')] },
    ],
    dial: {
      bite: ['biteTravel', 'armStarts', 'armRest'],
      centre: [gaps.inner.reading, gaps.outer.reading],
      ...(kind === 'both-move' && { beside: 'rotorTouch' }),
      lever: ['armStarts'],
      say: 'both gaps, arm and bite',
    },
    rubbed: { seen: 'rub', of: { fixed: gaps.inner.reading, moving: gaps.outer.reading } },
    allows: allowsSqueeze,
    fit: (d, here) => discModel(kind, d, here),
    wetShare: () => 0.75,
    worked: ({ dimensions: d, number }) => ({
      dimensions: SHAPE,
      worked: discCaliper.work({
        armMm: d.armMm,
        leadMmPerRad: d.leadMmPerRad,
        gapMovingMm: number(gaps.outer.reading) ?? 0.55,
        gapFixedMm: number(gaps.inner.reading) ?? 0.2,
        runoutMm: d.rotorRunoutMm,
      }),
    }),
    opens: 'Nothing of the brake is opened: the wheel comes out by its own fastening.',
    puncture: [
      'Out: let the rotor cool and keep fingers off its track. The lever is not squeezed while the wheel is out; a clean card between the pads keeps them apart.',
      'In: rotor into the slot between the pads, wheel pushed fully home in both dropouts, then closed. Squeeze several times before riding. A rub that was not there before: loosen, push home and close once more.',
    ],
    drawings: async () => (await import('./drawings/drawings.ts')).discDrawings(kind),
  })
}

export const discFixedPadFamily = discFamily('disc-fixed-pad', 'mechanical disc, one pad fixed', 'fixed-pad')
export const discTwoAdjustersFamily = discFamily('disc-two-adjusters', 'mechanical disc, two knobs', 'two-adjusters')
export const discBothMoveFamily = discFamily('disc-both-move', 'mechanical disc, both pads move', 'both-move')
