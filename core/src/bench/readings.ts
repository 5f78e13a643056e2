import { rangeOf } from '../brake/dimension.ts'
import { settles } from '../brake/keeps.ts'
import type { ReadingSpec, SeenSpec } from '../brake/reading.ts'
import { DIALLED } from '../brake/reading.ts'
import type { Source } from '../calculation/source.ts'
import { HEAVY_N, HELD_N } from '../features/cable/feel.ts'
import { CHILD_OUTSIDE_MM, MOST_OUTSIDE_MM, MOST_REACH_MM } from '../features/lever-fit/fit.ts'
import { LEVER_READINGS, LEVER_SEEN } from '../features/lever-fit/readings.ts'
import { LEVER_MOVED, REACH_TURNED } from '../features/lever-fit/screw.ts'
import { RIDE_LOOK, THROW_SAID } from '../features/prove/ride.ts'
import { COMMON_DIMENSIONS } from './dimensions.ts'
import { CUT_OFF, MOTOR_AT } from './motor.ts'
import { STOPS_WITH } from './stops-with.ts'
import { MOVED } from './unsettled.ts'

/** A dimension of the hardware, in its own range. */
const measures = (dimension: string) => {
  const [min, max] = rangeOf(COMMON_DIMENSIONS, dimension)
  return { dimension, min, max }
}

const COMMON: Source = {
  kind: 'common-practice',
  title: 'Close-coiled brake housing is 5 mm outside; gear housing 4 to 4.5 mm',
}

const OURS = { kind: 'our-choice', title: 'What a hand finds light, and what still lets the brake go' } as const

/** A lever’s reach screw takes so much off its reach in a turn: no book’s, and another on every practice bicycle, mm. */
const SCREW_MM = [1, 2.1] as const

const scale = (
  id: string,
  title: string,
  shorthand: string,
  how: string,
  limit: NonNullable<ReadingSpec['limit']>,
  practice: number,
): ReadingSpec => ({
  id,
  title,
  shorthand,
  unit: 'N',
  min: 0.1,
  max: 80,
  sd: 0.5,
  instrument: 'spring scale',
  how,
  limit,
  gauge: ['centre'],
  standsOn: MOVED,
  practice,
})

/** What is measured at every cable-pulled brake. Uncertainties are common practice with no source: what a rule or a caliper gives in greasy hands. */
export const COMMON_READINGS: readonly ReadingSpec[] = [
  {
    id: 'leverPull',
    keeps: 'hardware',
    title: 'lever pivot to cable end',
    shorthand: 'lp',
    standsOn: ['swap:lever'],
    practice: ({ dimensions }) => Math.round(dimensions.leverCableArmMm as number),
    unit: 'mm',
    ...measures('leverCableArmMm'),
    sd: 0.5,
    instrument: 'caliper',
    how: 'In the lever, from the middle of its pivot to the middle of the cable’s end. About 30 mm long-pull, about 20 mm short-pull.',
  },
  {
    id: 'leverFinger',
    keeps: 'hardware',
    title: 'lever pivot to finger',
    shorthand: 'lf',
    standsOn: ['swap:lever', LEVER_MOVED],
    practice: ({ dimensions, since }) =>
      Math.round((dimensions.leverFingerArmMm as number) + since('leverAlong', 'leverFinger')),
    unit: 'mm',
    ...measures('leverFingerArmMm'),
    sd: 2,
    instrument: 'rule',
    how: 'From the middle of the lever’s pivot to where the finger lies on the blade.',
  },
  {
    id: 'ridersMass',
    keeps: 'hardware',
    title: 'bicycle, rider and load',
    shorthand: 'mass',
    practice: ({ dimensions }) => Math.round(dimensions.loadedMassKg as number),
    unit: 'kg',
    ...measures('loadedMassKg'),
    sd: 3,
    instrument: 'told',
    how: 'Bicycle, rider and load together. Ask, or take the heaviest that will ride it.',
  },
  {
    id: 'housingOuter',
    keeps: 'hardware',
    title: 'housing, outside',
    shorthand: 'house',
    gauge: ['match'],
    standsOn: ['swap:housing'],
    practice: 5,
    unit: 'mm',
    min: 3,
    max: 8,
    sd: 0.1,
    instrument: 'caliper',
    how: 'Outside diameter of the housing. Brake housing is about 5 mm.',
    limit: { low: 4.7, high: 5.6, text: 'Brake housing is about 5 mm outside.', source: COMMON },
  },
  {
    id: 'leverReach',
    keeps: 'hardware',
    title: 'lever reach',
    shorthand: 'reach',
    gauge: ['lever'],
    standsOn: ['swap:lever', REACH_TURNED],
    practice: ({ dimensions, since, draw }) =>
      Math.round((dimensions.leverReachMm as number) - draw('lever', 0, SCREW_MM) * since('reachScrew', 'leverReach')),
    unit: 'mm',
    ...measures('leverReachMm'),
    sd: 1,
    instrument: 'rule',
    how: 'Bar to blade at the finger, lever at rest.',
    limit: {
      low: 20,
      high: MOST_REACH_MM,
      text: `Further than ${MOST_REACH_MM} mm from bar to blade no finger reaches it with force (our choice).`,
      source: { kind: 'our-choice', title: 'What a grown hand reaches' },
    },
  },
  {
    id: 'leverOutside',
    keeps: 'hardware',
    title: 'over grip and blade',
    shorthand: 'outside',
    standsOn: ['swap:lever', REACH_TURNED],
    practice: 84,
    unit: 'mm',
    min: 40,
    max: 200,
    sd: 1,
    instrument: 'caliper',
    how: 'Outside measure at the middle of the blade: from the far side of the grip to the far side of the blade, lever at rest.',
    limit: {
      low: 40,
      high: MOST_OUTSIDE_MM,
      text: `At most ${MOST_OUTSIDE_MM} mm over grip and blade; ${CHILD_OUTSIDE_MM} mm on small bicycles.`,
      source: { kind: 'standard', title: '16 CFR 1512.5 (from memory)' },
    },
  },
  {
    id: 'barrelOut',
    keeps: settles(0.2),
    title: 'barrel from fully in',
    shorthand: 'barat',
    standsOn: ['swap:cable', 'swap:brake'],
    practice: ({ position }) => Math.round(2 * (position('barrel') ?? 0)) / 2,
    unit: 'turn',
    min: 0,
    max: 20,
    sd: 0.1,
    instrument: 'counted',
    how: 'Turns the barrel stands out from fully in.',
  },
  {
    id: 'reserve',
    title: 'reserve',
    shorthand: 'res',
    gauge: DIALLED,
    standsOn: [...MOVED, 'reading:leverReach', REACH_TURNED],
    unit: 'mm',
    min: 0,
    max: 120,
    sd: 2,
    instrument: 'rule',
    how: 'Squeeze hard; from blade to bar at the finger.',
  },
  scale(
    'leverWeight',
    'lever weight',
    'lw',
    'Spring scale on the blade where the finger lies: force at which the brake just begins to move.',
    {
      low: 1,
      high: HEAVY_N,
      text: 'Above about 20 N before the brake takes hold the lever is heavy.',
      source: OURS,
    },
    7.5,
  ),
  scale(
    'leverBack',
    'lever coming back',
    'lr',
    'Brake not yet on, let the blade back slowly on the scale: force at which it just moves back.',
    { low: HELD_N, high: 80, text: 'Below about 1 N friction nearly holds the brake on.', source: OURS },
    4,
  ),
  ...LEVER_READINGS,
]

/** What is looked at on every cable-pulled brake. */
export const COMMON_SEEN: readonly SeenSpec[] = [
  {
    id: 'housingKind',
    keeps: 'hardware',
    title: 'housing',
    shorthand: 'kind',
    standsOn: ['swap:housing'],
    how: 'Look at a cut end: a close coil of thick wire, or strands running along it.',
    options: [
      { id: 'coil', title: 'close coil' },
      { id: 'marked', title: 'strands, marked for brakes' },
      {
        id: 'gear',
        title: 'strands, gear housing',
        remedy: 'Gear housing may burst under brake load: never on a brake. Replace it with brake housing.',
        stop: true,
      },
    ],
  },
  {
    id: 'housingState',
    title: 'housing along its way',
    shorthand: 'cover',
    standsOn: ['swap:housing'],
    how: 'Run it through the fingers from end to end: split cover, rust, a coil that gapes.',
    options: [
      { id: 'sound', title: 'sound' },
      { id: 'split', title: 'split', remedy: 'Split housing opens under load: do not ride. Replace it.', stop: true },
      {
        id: 'rusty',
        title: 'rusty',
        remedy: 'Rusty housing binds and breaks: do not ride. Replace it with its inner.',
        stop: true,
      },
    ],
  },
  {
    id: 'housingEnds',
    title: 'housing ends',
    shorthand: 'ends',
    standsOn: ['swap:housing', 'swap:lever', 'swap:brake'],
    how: 'A ferrule where the stop is bored for one; bare housing where it is not.',
    options: [
      { id: 'right', title: 'right for their stops' },
      {
        id: 'jammed',
        title: 'a ferrule is jammed',
        remedy: 'That stop takes bare housing: pull the ferrule out and seat the housing before anybody rides.',
        stop: true,
      },
      {
        id: 'missing',
        title: 'a ferrule is missing',
        remedy: 'That stop is bored for a ferrule: fit one, or the housing pulls through under a hard squeeze.',
        stop: true,
      },
    ],
  },
  {
    id: 'innerAnchor',
    title: 'inner at the anchor',
    shorthand: 'ia',
    standsOn: ['swap:cable'],
    how: 'Look for a broken strand where the anchor clamps.',
    options: [
      { id: 'whole', title: 'whole' },
      {
        id: 'broken',
        title: 'a strand is broken',
        remedy: 'A broken strand: do not ride. Replace the inner.',
        stop: true,
      },
    ],
  },
  {
    id: 'innerHead',
    title: 'inner at its head',
    shorthand: 'ih',
    standsOn: ['swap:cable', 'swap:lever'],
    how: 'Open the lever: no strand broken at the head, and the head seated in its pocket.',
    options: [
      { id: 'whole', title: 'whole and seated' },
      {
        id: 'loose',
        title: 'not in its pocket',
        remedy: 'Do not ride: seat the head in its pocket, then pull the inner tight.',
        stop: true,
      },
      {
        id: 'broken',
        title: 'a strand is broken',
        remedy: 'A broken strand at the head: do not ride. Replace the inner.',
        stop: true,
      },
    ],
  },
  {
    id: 'anchorBolt',
    keeps: 'hardware',
    title: 'anchor’s bolt and washer',
    shorthand: 'abolt',
    standsOn: ['swap:brake'],
    how: 'The brake’s own bolt, with the shaped washer that holds the inner straight, the right way round; not a plain bolt and washer in their place.',
    options: [
      { id: 'own', title: 'the brake’s own' },
      {
        id: 'plain',
        title: 'a plain bolt or washer',
        remedy: 'A plain bolt and washer strip or let the cable slip: do not ride. Fit the brake’s own.',
        stop: true,
      },
    ],
  },
  {
    id: 'cableLined',
    keeps: 'hardware',
    title: 'housing inside',
    shorthand: 'lining',
    standsOn: ['swap:housing', 'swap:cable'],
    how: 'Lined housing has a plastic tube inside, or the inner is coated.',
    options: [
      { id: 'lined', title: 'lined or coated' },
      { id: 'unlined', title: 'bare metal' },
    ],
  },
  {
    id: 'cableFeel',
    title: 'inner in its housing',
    shorthand: 'feel',
    standsOn: ['swap:cable', 'swap:housing'],
    how: 'Feel it at the lever, slowly in and out; where the cable is off, draw the inner to and fro by hand.',
    options: [
      { id: 'smooth', title: 'runs smoothly' },
      { id: 'gritty', title: 'gritty' },
      { id: 'stuck', title: 'sticks' },
    ],
  },
  ...LEVER_SEEN,
  MOTOR_AT,
  CUT_OFF,
  STOPS_WITH,
  RIDE_LOOK,
  THROW_SAID,
]
