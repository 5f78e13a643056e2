import { rangeOf } from '../../brake/dimension.ts'
import { settles, wears } from '../../brake/keeps.ts'
import type { Looked } from '../../brake/on-stand.ts'
import { tenth } from '../../brake/practice.ts'
import { lengths, type ReadingSpec, type SeenSpec } from '../../brake/reading.ts'
import { type StepSpec, wholeOr } from '../../brake/step.ts'
import { type Window, windowOf } from '../../brake/window.ts'
import type { Source } from '../../calculation/source.ts'
import { DISC_DIMENSIONS } from '../disc-caliper/dimensions.ts'
import { NEW_ROTOR } from '../disc-caliper/unsettled.ts'

const OURS: Source = { kind: 'our-choice', title: 'What a hand can set and hold' }
const MEMORY: Source = { kind: 'from-memory', title: 'From memory; the part’s own mark comes first' }
const OWN_MARK: Source = { kind: 'handbook', title: 'Marked on the part by its maker' }

/** A mark under this is read again, mm; one under the other is not taken for a rotor’s. From memory. */
const QUERIED_MM = 1.4
const LEAST_MARK_MM = 1.2
/** A rotor that runs out no further is as wanted; more is asked where it comes from. mm. */
export const WANTED_RUNOUT_MM = 0.2
/** The most a shop lets a rotor run out, mm. Our choice. */
const MOST_RUNOUT_MM = 0.3
const RUNOUT = rangeOf(DISC_DIMENSIONS, 'rotorRunoutMm')

/** A practice bicycle’s new rotor is so much wider than the one that came off, mm. */
const WIDER_MM = 20

const feeler = lengths(0.05)

/** What is measured of a rotor. Uncertainties are common practice with no source. */
export const ROTOR_READINGS: readonly ReadingSpec[] = [
  {
    id: 'rotorRunout',
    keeps: settles(0.06),
    decimals: 2,
    dimension: 'rotorRunoutMm',
    title: 'rotor runout',
    shorthand: 'rrun',
    gauge: ['wheel'],
    standsOn: ['confirm:wheel-seated', ...NEW_ROTOR],
    unit: 'mm',
    min: RUNOUT[0],
    max: RUNOUT[1],
    sd: 0.05,
    instrument: 'feeler',
    how: 'Spin the wheel; widest minus narrowest gap to the fixed pad, or to a pointer on fork or stay where none stands over it yet.',
    limit: {
      low: 0,
      high: MOST_RUNOUT_MM,
      wanted: { low: 0, high: WANTED_RUNOUT_MM },
      unsafe: { above: MOST_RUNOUT_MM, say: 'the rotor runs out further than any setting takes: true or replace it' },
      text: `${WANTED_RUNOUT_MM} mm is wanted; bend it back a little at a time beyond ${MOST_RUNOUT_MM} mm.`,
      source: OURS,
    },
  },
  {
    id: 'rotorThickness',
    keeps: wears(-0.06, 0.1),
    decimals: 2,
    title: 'rotor thickness',
    shorthand: 'rotor',
    gauge: ['wheel'],
    standsOn: NEW_ROTOR,
    practice: ({ draw }) => tenth(draw('wheel', 1, [1.64, 1.8])),
    unit: 'mm',
    min: 0.5,
    max: 4,
    sd: 0.05,
    instrument: 'caliper',
    how: 'At the thinnest place of the track.',
  },
  {
    id: 'rotorMark',
    keeps: 'hardware',
    title: 'rotor’s own minimum',
    shorthand: 'rmin',
    standsOn: NEW_ROTOR,
    unit: 'mm',
    min: LEAST_MARK_MM,
    max: 4,
    sd: 0,
    instrument: 'read off the rotor',
    how: 'The least thickness marked on the rotor, if there is one. Commonly 1.5 mm (from memory).',
    limit: {
      low: LEAST_MARK_MM,
      high: 4,
      wanted: { low: QUERIED_MM, high: 4 },
      text: `Marks under ${QUERIED_MM} mm are rare: read it again. None under ${LEAST_MARK_MM} mm is taken.`,
      source: MEMORY,
    },
  },
  feeler(
    'rotorWide',
    'rotor diameter',
    'rdia',
    rangeOf(DISC_DIMENSIONS, 'rotorDiameterMm'),
    'rule',
    'Across the rotor, edge to edge; often printed on it.',
    {
      keeps: 'hardware',
      sd: 0.5,
      dimension: 'rotorDiameterMm',
      practice: ({ dimensions, last }) =>
        (dimensions.rotorDiameterMm as number) +
        (last('stackRotor') !== undefined && last('rotorWide') === undefined ? WIDER_MM : 0),
      standsOn: ['swap:rotor'],
    },
  ),
  feeler(
    'rotorMost',
    'thickest rotor the caliper takes',
    'rmost',
    rangeOf(DISC_DIMENSIONS, 'rotorMostMm'),
    'read in the papers',
    'From the caliper’s maker.',
    { keeps: 'hardware', sd: 0, dimension: 'rotorMostMm', practice: ({ dimensions }) => dimensions.rotorMostMm },
  ),
]

const CLEAN = 'Wipe it with isopropyl alcohol and a clean cloth, gloves on, both faces.'

export const ROTOR_SEEN: readonly SeenSpec[] = [
  {
    id: 'rotorFace',
    title: 'rotor’s faces',
    shorthand: 'rface',
    standsOn: NEW_ROTOR,
    how: 'Hold it by its carrier and look at both faces in the light.',
    options: [
      { id: 'clean', title: 'clean' },
      { id: 'dirty', title: 'dirty', remedy: CLEAN },
      {
        id: 'oily',
        title: 'oily',
        remedy: `${CLEAN} Then look at both pads: oil on the rotor is on them too.`,
        stop: true,
      },
    ],
  },
]

export const RUNOUT_SEEN: SeenSpec = {
  id: 'runoutWhere',
  title: 'runs out by',
  shorthand: 'runby',
  standsOn: ['confirm:wheel-seated', ...NEW_ROTOR],
  how: 'Wheel and hub watched as it spins, the rotor’s bolts tried with their key: what moves is the one.',
  options: [
    { id: 'rotor-itself', title: 'the rotor itself' },
    {
      id: 'rotor-bolts',
      title: 'its bolts or ring',
      remedy: 'Loosen them, wipe both faces, tighten in a star to their figure; then measure the runout anew.',
    },
    {
      id: 'wheel-or-hub',
      title: 'the wheel or its hub',
      remedy: 'Seat the wheel anew and shake it for play; a bent axle is for the wheel bench. Then measure anew.',
    },
  ],
}

/** Before a rotor is bent it is asked whether it is the rotor that is bent. */
export const RUNOUT_STEP: StepSpec = {
  id: 'runout-where',
  station: 'wheel',
  before: 'rotor-sound',
  title: 'rotor, its bolts, or the wheel',
  say: 'Ask first: is it the rotor that runs out, its bolts, or the wheel?',
  why: 'A straight rotor, bent to suit a loose bolt or a crooked axle, is spoilt.',
  tools: ['rotor’s key'],
  cautions: ['rotor'],
  mayLeave: 'the runout stays as it is found',
  done: { kind: 'in-window', readings: ['runoutWhere'] },
  when: ({ number }) => (number('rotorRunout') ?? 0) > WANTED_RUNOUT_MM,
}

export const ROTOR_STEP: StepSpec = {
  id: 'rotor-sound',
  posture: 'walk-round',
  station: 'wheel',
  title: 'rotor sound',
  say: 'Measure the rotor’s thickness and its runout, and look at its faces.',
  why: 'A thin or bent rotor leaves no setting that neither rubs nor fades.',
  tools: ['caliper', 'feeler'],
  mends: ['rotor'],
  cautions: ['rotor'],
  done: {
    kind: 'in-window',
    readings: ['rotorThickness', 'rotorRunout', 'rotorFace'],
    optional: ['rotorMark', 'rotorMost', 'rotorWide'],
  },
  whenOut:
    'Too thin, or too thick for this caliper: replace it. Bent: find where it touches, mark it, bend that place a little with a clean tool, spin, and on to the next place; each round is measured anew. Creased, cracked, or no better after three rounds: replace it. We do not recommend striking it.',
  when: wholeOr('swap:rotor', 'swap:wheel'),
}

/** Rotor thickness below which it is not ridden without a mark of its own, mm. */
const UNSAFE_MM = 1.5
const THICKEST_MM = 4

/** A rotor goes by the minimum marked on it, else by a figure from memory. */
export function rotorWindow({ number }: Looked, mostMm: number = THICKEST_MM): Window {
  const mark = number('rotorMark')
  const least = mark ?? UNSAFE_MM
  return windowOf('rotorThickness', {
    low: least,
    high: mostMm,
    unsafe: {
      below: least,
      above: mostMm,
      say: `under ${least.toFixed(1)} mm it fades and breaks, over ${mostMm.toFixed(1)} mm it does not go through this caliper`,
    },
    text: `Not below ${least.toFixed(1)} mm${mark === undefined ? ', where its own mark is not known' : ', marked on it'}; the caliper takes at most ${mostMm.toFixed(1)} mm.`,
    source: mark === undefined ? MEMORY : OWN_MARK,
  })
}
