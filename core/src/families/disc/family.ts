import { DISC_FASTENERS } from '../../bench/fasteners.ts'
import { COMMON_TRAITS } from '../../bench/traits.ts'
import { WORK, worksWith } from '../../bench/work.ts'
import type { Family } from '../../brake/family.ts'
import type { OnStand } from '../../brake/on-stand.ts'
import { discCaliper } from '../../calculations/families.ts'
import { stackLines } from '../../stack/lines.ts'
import { STACK_PLAN } from '../../stack/plan-spec.ts'
import { STACK_READINGS, STACK_SEEN } from '../../stack/readings.ts'
import { BEDDING_READING, beddingLines } from './bedding.ts'
import { ASSISTED_TRAIT, DISC_DIMENSIONS, FLUID_TRAIT, KNOB_TRAIT } from './dimensions.ts'
import { DISC_GRAPH } from './graph.ts'
import { type DiscKind, gapsOf } from './kind.ts'
import { discModel } from './model.ts'
import { PAD_TRAITS, PADS_WORK, padSeen } from './pad-change.ts'
import {
  ASSISTED_SEEN,
  DISC_READINGS,
  DISC_SEEN,
  gapReadings,
  KNOB_READINGS,
  KNOB_SEEN,
  ROTOR_TOUCH,
} from './readings.ts'
import { ROTOR_READINGS } from './rotor.ts'
import { CHANGE_READINGS, CHANGE_SEEN, ROTOR_WORK } from './rotor-change.ts'
import { allowsSqueeze } from './rotor-out.ts'
import { backedOffMm, convertGap, DISC_BITE, FIXED_GAP } from './schools.ts'
import { discSteps } from './steps.ts'

const WORKS = [...worksWith('The whole sheet, caliper set by its school.'), ROTOR_WORK, PADS_WORK]

const NEW_WORKS: ReadonlySet<string> = new Set([ROTOR_WORK.id, PADS_WORK.id])

const SHAPE = ['armMm', 'leadMmPerRad', 'rotorDiameterMm', 'rotorRunoutMm'] as const

/** How wide the gaps were left, in every school’s words. */
function gapLines(kind: DiscKind, { number, dimensions: d, schools }: OnStand): readonly string[] {
  const { inner, outer } = gapsOf(kind)
  const [near, far] = [number(inner.reading), number(outer.reading)]
  if (near === undefined || far === undefined) return []
  const measured = `Gaps ${near.toFixed(2)} mm at the ${inner.name}, ${far.toFixed(2)} mm at the ${outer.name}.`
  const school = schools.gap
  if (!school || kind === 'both-move') return [measured]
  const [pitch, clicks] = [d.knobPitchMm as number, d.knobClicks as number]
  const backed = backedOffMm(school, pitch, clicks)
  const turn = convertGap(school, 'quarter', pitch, clicks).amount ?? 0
  const count = convertGap(school, 'clicks', pitch, clicks).amount ?? 0
  return [
    measured,
    `Backed off by its school: ${backed.toFixed(2)} mm at the rotor, ${turn.toFixed(2)} of a turn, ${count.toFixed(1)} clicks.`,
  ]
}

/** A family of mechanical discs: what moves in its caliper is all that differs. */
export function discFamily(id: string, title: string, kind: DiscKind): Family {
  const gaps = gapsOf(kind)
  const dial = [gaps.inner.reading, gaps.outer.reading, 'armStarts', 'armRest', 'biteTravel', 'reserve']
  const bothMove = kind === 'both-move'
  return {
    id,
    title,
    mount: 'tabs',
    track: 'rotor',
    dimensions: DISC_DIMENSIONS,
    traits: [...COMMON_TRAITS, ASSISTED_TRAIT, ...(bothMove ? [FLUID_TRAIT] : [KNOB_TRAIT]), ...PAD_TRAITS],
    works: WORKS,
    readings: [
      ...ROTOR_READINGS,
      ...CHANGE_READINGS,
      ...STACK_READINGS,
      ...DISC_READINGS,
      ...gapReadings(kind),
      ...(bothMove ? [] : KNOB_READINGS),
      BEDDING_READING,
    ],
    seen: [
      ...DISC_SEEN,
      ...CHANGE_SEEN,
      ...STACK_SEEN,
      ...padSeen(kind),
      ASSISTED_SEEN,
      ...(bothMove ? [ROTOR_TOUCH] : [KNOB_SEEN]),
    ],
    schools: bothMove ? [DISC_BITE] : [DISC_BITE, FIXED_GAP],
    steps: discSteps(kind),
    standsOn: DISC_GRAPH,
    fasteners: DISC_FASTENERS,
    dial: {
      bite: ['biteTravel', 'armStarts', 'armRest'],
      centre: [gaps.inner.reading, gaps.outer.reading],
      ...(bothMove && { beside: 'rotorTouch' }),
      lever: ['armStarts'],
      say: 'both gaps, arm and bite',
    },
    rubbed: { seen: 'rub', of: { fixed: gaps.inner.reading, moving: gaps.outer.reading } },
    plans: [STACK_PLAN],
    allows: allowsSqueeze,
    causes: {
      'confirm:caliper-set': 'the caliper was set anew',
      'confirm:mount-loosened': 'the caliper was off or loosened',
      'confirm:rotor-off': 'the rotor was off',
      'confirm:stack-fitted': 'bracket or spacers were changed',
      'confirm:pads-in': 'new pads went in',
    },
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
    opens:
      'Nothing of the brake is opened: the wheel comes out by its own fastening. While it is out the lever is not squeezed; a clean card between the pads keeps them apart.',
    sections: (at) => [
      { title: 'Gaps at the rotor', lines: gapLines(kind, at) },
      { title: 'Bracket and spacers', lines: stackLines(at) },
      { title: 'Bedding-in', lines: beddingLines(at, NEW_WORKS.has(at.seen(WORK) ?? '')), forRider: true },
    ],
    drawings: async () => (await import('./drawings/drawings.ts')).discDrawings(kind),
  }
}

export const discFixedPadFamily = discFamily('disc-fixed-pad', 'mechanical disc, one pad fixed', 'fixed-pad')
export const discTwoAdjustersFamily = discFamily('disc-two-adjusters', 'mechanical disc, two knobs', 'two-adjusters')
export const discBothMoveFamily = discFamily('disc-both-move', 'mechanical disc, both pads move', 'both-move')
