import { partsThereFor } from '../../bench/parts-there.ts'
import { lengths, type ReadingSpec, type SeenSpec } from '../../brake/reading.ts'

const rule = lengths(0.3)
const caliper = lengths(0.1)

/** How a caliper stands over its rotor now, on what, and what its bolts have to hold in. Uncertainties are common practice with no source. */
export const STACK_READINGS: readonly ReadingSpec[] = [
  rule('stackRotor', 'rotor that is on it', 'rold', [100, 260], 'rule', 'Across the old rotor, or printed on it.', {
    sd: 0.5,
    practice: ({ dimensions }) => dimensions.rotorDiameterMm,
  }),
  rule(
    'trackDeep',
    'depth of its track',
    'tdeep',
    [6, 40],
    'caliper',
    'From the rotor’s edge to where its arms begin.',
    { practice: 16 },
  ),
  rule(
    'trackNew',
    'depth of the new track',
    'tnew',
    [6, 40],
    'caliper',
    'From the new rotor’s edge to where its arms begin.',
    { practice: 16 },
  ),
  rule(
    'mountSpacing',
    'mount’s bolts apart',
    'mspace',
    [20, 120],
    'rule',
    'At the frame, middle to middle. Posts are about 74 mm, tabs about 51 mm apart (from memory).',
    { practice: 74 },
  ),
  rule(
    'bracketRise',
    'bracket that is on it, rise',
    'rise',
    [0, 60],
    'caliper',
    'From the frame’s face or bolts to the caliper’s face; 0 where there is no bracket.',
    { practice: 0 },
  ),
  rule(
    'spacersUnder',
    'spacers under the caliper',
    'under',
    [0, 20],
    'caliper',
    'All that lies under one ear, together; write a note where the two differ. 0 where there are none.',
    { practice: 0 },
  ),
  rule('stackTop', 'clear above, as it stands', 'otop', [-3, 15], 'feeler', 'Old rotor’s edge to the body above it.', {
    practice: 1.4,
  }),
  rule(
    'stackBottom',
    'clear below, as it stands',
    'obot',
    [-3, 15],
    'feeler',
    'Old rotor’s arms to the lower edge of the body.',
    { practice: 1.6 },
  ),
  rule(
    'padEdge',
    'pad inside the rotor’s edge',
    'pedge',
    [-10, 20],
    'rule',
    'Rotor’s edge to the pad’s outer edge, squeezed; below 0 where the pad stands past the edge.',
    { practice: 0.4 },
  ),
  rule('padHigh', 'height of a pad', 'phigh', [6, 40], 'caliper', 'From its outer edge to its inner one.', {
    practice: 15,
  }),
  caliper('earThick', 'ear of the caliper', 'ear', [3, 30], 'caliper', 'What a caliper bolt clamps, washers with it.', {
    practice: 8,
  }),
  caliper('boltUnder', 'caliper bolts at hand', 'blen', [6, 100], 'caliper', 'From under the head to the end.', {
    practice: 20,
  }),
  caliper(
    'frameThread',
    'thread in the mount',
    'fthread',
    [3, 60],
    'depth rod',
    'How deep the thread in frame or fork goes.',
    { practice: 14 },
  ),
  caliper(
    'bracketThread',
    'thread in the bracket that is on it',
    'bthread',
    [3, 60],
    'depth rod',
    'How deep its thread for the caliper’s bolts goes.',
    { practice: 12 },
  ),
]

export const STACK_SEEN: readonly SeenSpec[] = [
  partsThereFor('stack'),
  {
    id: 'mountBolts',
    title: 'caliper’s mount',
    shorthand: 'mbolts',
    how: 'Where its bolts come from: into posts or tabs from the caliper’s side, or up through stay or fork from below.',
    options: [
      { id: 'posts', title: 'posts or tabs, bolts from the caliper’s side' },
      {
        id: 'below',
        title: 'bolts up through stay or fork from below, close together',
        remark: 'M5, by the maker only: its adapter, its bolts, its figures',
      },
    ],
  },
  {
    id: 'frameMetal',
    title: 'thread of the mount is in',
    shorthand: 'fmetal',
    how: 'What frame or fork is made of where the bolts go; an insert counts.',
    options: [
      { id: 'aluminium', title: 'aluminium' },
      { id: 'steel', title: 'steel' },
    ],
  },
]

/** What a plan of bracket and spacers is worked out from. */
export const STANDS_NOW = [
  'mountSpacing',
  'bracketRise',
  'spacersUnder',
  'trackDeep',
  'stackTop',
  'stackBottom',
  'padEdge',
  'padHigh',
] as const
export const BOLTED = ['earThick', 'boltUnder', 'frameThread', 'frameMetal'] as const
