import { lengths, type ReadingSpec, type SeenSpec } from '../../brake/reading.ts'
import { HANDS, MEASURED, NOBODY } from './hands.ts'
import { LEVER_MOVED, REACH_TURNED } from './screw.ts'

const byRule = lengths(1)

/** On a practice bicycle the lever begins too near the grip, mm. */
const CLAMP_AT_MM = 153

/** Of the rider’s hand, and of the lever on its bar. */
export const LEVER_READINGS: readonly ReadingSpec[] = [
  byRule(
    'handBreadth',
    'hand across the fingers',
    'palm',
    [30, 130],
    'caliper',
    'Across the four fingers at their roots, held together.',
    { practice: 84 },
  ),
  byRule('fingerBreadth', 'index finger', 'fb', [6, 35], 'caliper', 'Across the index finger at its first joint.', {
    practice: 18,
  }),
  byRule(
    'creaseReach',
    'bar to the first crease',
    'crease',
    [20, 120],
    'rule',
    'Hand on the grip, index finger straight out: from the bar to the crease of its first joint.',
    { practice: 66 },
  ),
  byRule(
    'handOffset',
    'bar’s end to the hand',
    'ho',
    [0, 200],
    'rule',
    'Hand as when riding: from the bar’s outer end to the outer edge of the hand.',
    { practice: 12 },
  ),
  byRule(
    'clampAt',
    'bar’s end to the clamp',
    'leverat',
    [20, 400],
    'rule',
    'From the bar’s outer end to the middle of the lever’s clamp.',
    {
      keeps: 'hardware',
      practice: ({ last, since }) => Math.round((last('clampAt') ?? CLAMP_AT_MM) + since('leverAlong', 'clampAt')),
      standsOn: ['swap:lever', LEVER_MOVED],
    },
  ),
  byRule(
    'roomInboard',
    'room inboard of the clamp',
    'inroom',
    [0, 200],
    'rule',
    'Along the bar, inwards: from the clamp’s inner edge to shifter, bend, or whatever stands next.',
    {
      keeps: 'hardware',
      practice: ({ since }) => Math.max(0, 60 - since('leverAlong', 'roomInboard')),
      standsOn: ['swap:lever', LEVER_MOVED],
    },
  ),
  byRule(
    'clampToHook',
    'clamp to the hook',
    'hook',
    [10, 200],
    'rule',
    'Along the bar, outwards: from the middle of the clamp to the hollow of the blade in which a finger lies.',
    { keeps: 'hardware', practice: 78, standsOn: ['swap:lever'] },
  ),
  byRule(
    'clampToTip',
    'clamp to the blade’s end',
    'tip',
    [10, 220],
    'rule',
    'Along the bar, outwards: from the middle of the clamp to the outer end of the blade.',
    { keeps: 'hardware', practice: 86, standsOn: ['swap:lever'] },
  ),
  byRule(
    'shoulderHeight',
    'shoulder above the ground',
    'shoulder',
    [500, 2000],
    'rule',
    'Rider on the saddle, hands on the grips: from the ground to the shoulder’s joint.',
    { practice: 1340 },
  ),
  byRule(
    'barHeight',
    'grip above the ground',
    'barhigh',
    [400, 1500],
    'rule',
    'From the ground to the middle of the grip.',
    { practice: 1010 },
  ),
  byRule(
    'armLength',
    'shoulder to grip',
    'armlong',
    [300, 1000],
    'rule',
    'From the shoulder’s joint to the middle of the grip, along the arm.',
    { practice: 620 },
  ),
  {
    id: 'bladeAngle',
    title: 'blade below level',
    shorthand: 'blade',
    standsOn: ['swap:lever', LEVER_MOVED, 'confirm:lever-loosened'],
    practice: 30,
    unit: 'deg',
    min: -30,
    max: 90,
    sd: 3,
    instrument: 'angle gauge',
    how: 'How far the blade points below level, from the side.',
  },
]

export const FRONT_HAND: SeenSpec = {
  id: 'frontHand',
  keeps: 'hardware',
  title: 'hand that works the front brake',
  shorthand: 'fronthand',
  practice: 'right',
  how: 'Ask whoever rides it; a local rule comes before custom. Never assumed.',
  trait: 'frontHand',
  options: [
    { id: 'left', title: 'the left' },
    { id: 'right', title: 'the right' },
  ],
}

export const LEVER_SEEN: readonly SeenSpec[] = [
  {
    id: 'rider',
    title: 'set for a hand',
    shorthand: 'rider',
    practice: null,
    how: 'A size the workshop goes by, or the rider’s own hand, measured. Nobody: the lever stays where it is.',
    options: [
      { id: NOBODY, title: 'nobody’s' },
      ...Object.keys(HANDS).map((id) => ({ id, title: id === 'child' ? 'a child’s' : `a ${id} one` })),
      { id: MEASURED, title: 'the rider’s, measured' },
    ],
  },
  {
    id: 'fingersUsed',
    title: 'fingers on the blade',
    shorthand: 'fingers',
    how: 'One or two, as whoever rides it brakes. Of two on one blade the inner has less lever arm.',
    options: [
      { id: 'one', title: 'one' },
      { id: 'two', title: 'two' },
    ],
  },
  {
    id: 'throwWanted',
    title: 'throw wanted',
    shorthand: 'throw',
    practice: null,
    how: 'Short for small or tired hands, long for more feel. The bite school follows it.',
    options: [
      { id: 'short', title: 'short' },
      { id: 'long', title: 'long' },
    ],
  },
  FRONT_HAND,
  {
    id: 'barShape',
    keeps: 'hardware',
    title: 'bar',
    shorthand: 'bar-is',
    how: 'Straight or swept, its lever on a clamp; or dropped, its lever on a band.',
    options: [
      { id: 'flat', title: 'flat' },
      { id: 'dropped', title: 'dropped' },
    ],
  },
  {
    id: 'barMaterial',
    keeps: 'hardware',
    title: 'bar at the clamp',
    shorthand: 'barof',
    how: 'Look, or tap it: carbon sounds dull.',
    options: [
      { id: 'metal', title: 'metal' },
      { id: 'carbon', title: 'carbon' },
    ],
  },
  {
    id: 'clampWay',
    keeps: 'hardware',
    title: 'clamp tightened',
    shorthand: 'clampby',
    standsOn: ['confirm:lever-loosened', LEVER_MOVED],
    how: 'To the maker’s figure; or firm enough never to move under a hard pull, yet a crash turns the lever rather than snapping it. Both are schools.',
    options: [
      { id: 'figure', title: 'to the maker’s figure' },
      { id: 'crash', title: 'firm, a crash turns it' },
    ],
  },
  {
    id: 'otherLever',
    keeps: 'hardware',
    title: 'the other lever',
    shorthand: 'otherlever',
    standsOn: ['swap:lever', LEVER_MOVED, REACH_TURNED],
    how: 'Both alike to the hand: as far along the bar, as far from it, at the same angle.',
    practice: 'alike',
    options: [
      { id: 'alike', title: 'stands alike' },
      { id: 'none', title: 'there is none', also: ['no'] },
      {
        id: 'otherwise',
        title: 'stands otherwise',
        remedy: 'Set the other lever to match: the same place on the bar, the same reach, the same angle.',
      },
    ],
  },
  {
    id: 'leverHand',
    title: 'hand at the lever',
    shorthand: 'tried',
    standsOn: ['swap:lever', LEVER_MOVED, REACH_TURNED, 'confirm:lever-loosened', 'reading:rider'],
    how: 'Hands off and back as when riding, wiggle, squeeze fully.',
    options: [
      { id: 'right', title: 'finger straight, first joint, knuckles clear' },
      {
        id: 'bent',
        title: 'the finger is bent or reaches',
        remedy: 'Snug only: move the lever along the bar or turn its reach screw, hands off and back, and try again.',
      },
      {
        id: 'knuckle',
        title: 'the blade meets a knuckle',
        remedy:
          'Do not ride: the blade traps a finger at a full squeeze. Move the lever inboard, hands off and back, and try again.',
        stop: true,
      },
    ],
  },
]
