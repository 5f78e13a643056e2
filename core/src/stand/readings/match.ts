import type { Source } from '../../calculation/source.ts'
import type { ReadingSpec, SeenSpec } from './spec.ts'

const COMMON: Source = {
  kind: 'common-practice',
  title: 'Close-coiled brake housing is 5 mm outside; gear housing 4 to 4.5 mm',
}

/** Do these parts belong together? Uncertainties are common practice with no source. */
export const MATCH_READINGS: readonly ReadingSpec[] = [
  {
    id: 'leverPull',
    title: 'lever pivot to cable end',
    shorthand: 'lp',
    unit: 'mm',
    min: 8,
    max: 60,
    sd: 0.5,
    instrument: 'caliper',
    how: 'In the lever, from the middle of its pivot to the middle of the cable’s end. About 30 mm long-pull, about 20 mm short-pull.',
    dimension: 'leverCableArmMm',
  },
  {
    id: 'leverFinger',
    title: 'lever pivot to finger',
    shorthand: 'lf',
    unit: 'mm',
    min: 30,
    max: 150,
    sd: 2,
    instrument: 'rule',
    how: 'From the middle of the lever’s pivot to where the finger lies on the blade.',
    dimension: 'leverFingerArmMm',
  },
  {
    id: 'ridersMass',
    title: 'bicycle, rider and load',
    shorthand: 'mass',
    unit: 'kg',
    min: 20,
    max: 400,
    sd: 3,
    instrument: 'told',
    how: 'All that has to be stopped. Ask, or take the heaviest that will ride it.',
    dimension: 'loadedMassKg',
  },
  {
    id: 'housingOuter',
    title: 'housing, outside',
    shorthand: 'house',
    unit: 'mm',
    min: 3,
    max: 8,
    sd: 0.1,
    instrument: 'caliper',
    how: 'Outside diameter of the housing. Brake housing is about 5 mm.',
    limit: { low: 4.7, high: 5.6, text: 'Brake housing is about 5 mm outside.', source: COMMON },
  },
]

export const MATCH_SEEN: readonly SeenSpec[] = [
  {
    id: 'housingKind',
    title: 'housing',
    shorthand: 'kind',
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
    id: 'anchorBolt',
    title: 'anchor’s bolt and washer',
    shorthand: 'abolt',
    how: 'The brake’s own bolt, with the shaped washer that holds the inner; not a plain bolt and washer in their place.',
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
    id: 'guideBoot',
    title: 'guide pipe’s boot',
    shorthand: 'boot',
    how: 'The rubber boot between guide pipe and anchor.',
    options: [
      { id: 'there', title: 'on' },
      {
        id: 'missing',
        title: 'missing',
        remedy: 'Without its boot the pipe works out of its slot: do not ride. Fit a boot.',
        stop: true,
      },
    ],
  },
  {
    id: 'cableSide',
    title: 'cable comes to',
    shorthand: 'cside',
    how: 'From the saddle: which side of the caliper the cable comes to.',
    trait: 'cableSide',
    options: [
      { id: 'left', title: 'the left' },
      { id: 'right', title: 'the right' },
    ],
  },
  {
    id: 'housingEnds',
    title: 'housing ends',
    shorthand: 'ends',
    how: 'A ferrule where the stop is bored for one; bare housing where it is not.',
    options: [
      { id: 'right', title: 'each as its stop is bored' },
      {
        id: 'jammed',
        title: 'a ferrule is jammed',
        remedy: 'That stop takes bare housing: pull the ferrule out and seat the housing.',
      },
      {
        id: 'missing',
        title: 'a ferrule is missing',
        remedy: 'That stop is bored for a ferrule: fit one, or the housing pulls through.',
      },
    ],
  },
  {
    id: 'innerAnchor',
    title: 'inner at the anchor',
    shorthand: 'ia',
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
    how: 'Open the lever: no strand broken at the head, and the head seated in its pocket.',
    options: [
      { id: 'whole', title: 'whole and seated' },
      { id: 'loose', title: 'not in its pocket', remedy: 'Seat the head in its pocket, then pull the inner tight.' },
      {
        id: 'broken',
        title: 'a strand is broken',
        remedy: 'A broken strand at the head: do not ride. Replace the inner.',
        stop: true,
      },
    ],
  },
  {
    id: 'rimMaterial',
    title: 'rim',
    shorthand: 'rim',
    how: 'What the brake track is made of.',
    options: [
      { id: 'alloy', title: 'alloy' },
      { id: 'carbon', title: 'carbon' },
      { id: 'steel', title: 'steel' },
    ],
  },
  {
    id: 'padCompound',
    title: 'pads made for',
    shorthand: 'pad',
    how: 'The rim named on the pad, or the one it was sold for.',
    options: [
      { id: 'alloy', title: 'alloy' },
      { id: 'carbon', title: 'carbon' },
      { id: 'steel', title: 'steel' },
    ],
  },
]
