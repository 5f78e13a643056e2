import type { Section } from '../../brake/family.ts'
import type { OnStand } from '../../brake/on-stand.ts'
import type { ReadingSpec } from '../../brake/reading.ts'
import type { StepSpec } from '../../brake/step.ts'
import { PADS_NEW } from '../disc-caliper/unsettled.ts'
import { somethingNew } from './pad-change.ts'

/** Firm stops that bed pads and rotor in. Common practice, no source. */
export const STOPS = { low: 20, high: 30 } as const
/** From about this speed. Our choice. */
export const FROM_KMH = 25
const AT_ONCE = 5

export const BEDDING_READING: ReadingSpec = {
  id: 'beddedStops',
  title: 'bedding-in stops made',
  shorthand: 'bed',
  standsOn: [...PADS_NEW, 'swap:rotor', 'confirm:rotor-off'],
  practice: 20,
  unit: 'count',
  min: 0,
  max: 200,
  sd: 0,
  instrument: 'counted',
  how: 'Firm stops since new pads or rotor went in, counted on the road.',
  ridden: true,
  limit: {
    low: STOPS.low,
    high: 200,
    text: `${STOPS.low}–${STOPS.high} firm stops bed pads and rotor in (common practice).`,
    source: { kind: 'common-practice', title: 'New pads and rotor bed in over 20–30 firm stops' },
  },
}

export const BEDDING_STEP: StepSpec = {
  id: 'bedding-in',
  station: 'prove',
  title: 'pads and rotor bedded in',
  say: `Make ${STOPS.low}–${STOPS.high} firm stops on a clear level place, and count them.`,
  more: `From about ${FROM_KMH} km/h to walking pace, firmly, the wheel not locked and not to a standstill; roll a minute after every ${AT_ONCE} (speed and pauses our choice). Weak at first: leave room.`,
  why: 'The first stops lay compound on the rotor; until then it brakes less than it will.',
  cautions: ['walking', 'rotor'],
  maySkip: 'it brakes less than it will until whoever rides it has bedded it in',
  mayLeave: 'it brakes less until the rest is done',
  done: { kind: 'in-window', readings: ['beddedStops'] },
  whenOut: `Not enough yet: go on to ${STOPS.low}. Where the rider does the rest, skip it and say so; it stands open on the sheet and on the slip.`,
  when: somethingNew,
}

/** The hard stops were the first real load on what is new: lever, rub and bolts once more. */
export const BEDDED_LOOKED: StepSpec = {
  id: 'bedded-looked',
  station: 'prove',
  standsOn: ['reading:beddedStops'],
  shorthand: 'bedlook',
  title: 'lever, rub and bolts after bedding-in',
  say: 'Rotor cool: squeeze hard, spin the wheel, and go over the bolts once more.',
  more: 'The lever stops where it did, nothing rubs, no bolt of caliper, bracket or rotor has moved.',
  why: 'Twenty firm stops heat, settle and shake what was fitted.',
  cautions: ['rotor'],
  done: {
    kind: 'confirmed',
    did: 'Lever, rub and bolts looked at again after bedding-in',
    well: 'As before, all tight',
    ill: 'Something has moved',
    remedy:
      'Do not ride. Write what it is: a bolt that was loose, the gaps, the reserve, the wheel when spun; it is put right from there.',
    stop: true,
  },
  when: (here) => somethingNew(here) && (here.number('beddedStops') ?? 0) > 0,
}

const isBedded = ({ number }: OnStand): boolean => (number('beddedStops') ?? 0) >= STOPS.low

/** How far bedding-in came; whoever rides it hears of it while there is something left to do. */
export function beddingSection(stand: OnStand, isNew: boolean): Section {
  return { title: 'Bedding-in', lines: beddingLines(stand, isNew), ...(!isBedded(stand) && { forRider: true }) }
}

function beddingLines(stand: OnStand, isNew: boolean): readonly string[] {
  const made = stand.number('beddedStops')
  if (made === undefined && !isNew) return []
  if (!isBedded(stand))
    return [
      `Open: ${made ?? 0} of ${STOPS.low}–${STOPS.high} firm stops made, from about ${FROM_KMH} km/h to walking pace. It brakes less until they are.`,
    ]
  return [`Done: ${made} firm stops.`]
}
