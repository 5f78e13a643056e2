import type { Feature } from '../../brake/feature.ts'
import type { OnStand } from '../../brake/on-stand.ts'
import { ASSISTED_TRAIT, DISC_DIMENSIONS, FLUID_TRAIT, KNOB_TRAIT } from './dimensions.ts'
import { CALIPER_BOLTS } from './fasteners.ts'
import { type DiscKind, gapsOf } from './kind.ts'
import {
  ASSISTED_SEEN,
  DISC_READINGS,
  discSeen,
  gapReadings,
  KNOB_READINGS,
  KNOB_SEEN,
  ROTOR_TOUCH,
} from './readings.ts'
import { backedOffMm, convertGap, DISC_BITE, FIXED_GAP } from './schools.ts'
import { caliperSteps } from './steps.ts'

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

/** The caliper of a mechanical disc: what moves in it is all that differs. */
export function discCaliperFeature(kind: DiscKind): Feature {
  const bothMove = kind === 'both-move'
  return {
    id: 'disc-caliper',
    dimensions: DISC_DIMENSIONS,
    traits: [ASSISTED_TRAIT, ...(bothMove ? [FLUID_TRAIT] : [KNOB_TRAIT])],
    readings: [...gapReadings(kind), ...DISC_READINGS, ...(bothMove ? [] : KNOB_READINGS)],
    seen: [...discSeen(kind), ASSISTED_SEEN, ...(bothMove ? [ROTOR_TOUCH] : [KNOB_SEEN])],
    schools: bothMove ? [DISC_BITE] : [DISC_BITE, FIXED_GAP],
    steps: caliperSteps(kind),
    fasteners: [CALIPER_BOLTS],
    standsOn: {
      'reading:reserve': ['confirm:caliper-set'],
      'confirm:hard-squeezes': ['confirm:caliper-set', 'swap:rotor'],
    },
    causes: {
      'confirm:caliper-set': 'the caliper was set anew',
      'confirm:mount-loosened': 'the caliper was off or loosened',
    },
    sections: (at) => [{ title: 'Gaps at the rotor', lines: gapLines(kind, at) }],
  }
}
