import { partsThereFor } from '../../bench/parts-there.ts'
import { byEnd, type PracticeBrake } from '../../brake/practice.ts'
import { lengths, type ReadingSpec, type SeenSpec } from '../../brake/reading.ts'

const length = lengths(0.1)

/** A practice bicycle is an older steel one that this brake’s pads reach, in the middle of their slots. */
const padReach = ({ dimensions }: PracticeBrake): number =>
  Math.round((dimensions.caliperReachMm ?? dimensions.padHeightMm) as number)

/** Whether the pads reach, with a rule. Uncertainties are common practice with no source. */
export const REACH_READINGS: readonly ReadingSpec[] = [
  length(
    'trackReach',
    'mount to track',
    'drop',
    [15, 120],
    'rule',
    'From the middle of the mounting hole (or boss) to the middle of the brake track, along the stays or fork, square to the bolt.',
    { sd: 0.5, practice: padReach, standsOn: ['swap:wheel'] },
  ),
  length(
    'beadFitted',
    'bead seat of the wheel measured',
    'bsd',
    [200, 700],
    'printed on the tyre',
    'Bead seat diameter of the wheel that was in the frame for the last figure, if it is not the one to be ridden.',
    { sd: 0, standsOn: ['swap:wheel'] },
  ),
  length(
    'slotLow',
    'shortest reach of the brake',
    'smin',
    [10, 120],
    'rule',
    'Mounting bolt (or boss) to the middle of the pad, pad at the near end of its slot.',
    { sd: 0.5, practice: (at) => padReach(at) - 5, standsOn: ['swap:brake'] },
  ),
  length(
    'slotHigh',
    'longest reach of the brake',
    'smax',
    [10, 120],
    'rule',
    'Mounting bolt (or boss) to the middle of the pad, pad at the far end of its slot.',
    { sd: 0.5, practice: (at) => padReach(at) + 5, standsOn: ['swap:brake'] },
  ),
]

/** Brakes that hang on bosses. */
export const BOSS_READINGS: readonly ReadingSpec[] = [
  length(
    'bossSpacing',
    'boss spacing',
    'bs',
    [50, 120],
    'caliper',
    'Middle of one boss to the middle of the other. About 80 mm (from memory).',
    { sd: 0.5, dimension: 'pivotSpacingMm', practice: ({ dimensions }) => Math.round(dimensions.pivotSpacingMm ?? 80) },
  ),
]

/** How a centre-bolt brake hangs on the frame, with a rule and a caliper. */
export const BOLT_READINGS: readonly ReadingSpec[] = [
  length(
    'holeFront',
    'hole, caliper side',
    'hf',
    [3, 20],
    'caliper',
    'Diameter of the hole in the face the caliper stands on.',
    { sd: 0.05, practice: 6 },
  ),
  length(
    'holeBack',
    'hole, nut side',
    'hb',
    [3, 20],
    'caliper',
    'Diameter of the hole in the face the nut stands on.',
    { sd: 0.05, practice: 6 },
  ),
  length(
    'frameDepth',
    'depth of the mount',
    'deep',
    [4, 80],
    'caliper',
    'Bridge or crown, face to face along the hole.',
    { practice: byEnd(28, 16) },
  ),
  length(
    'mountTube',
    'width of the mount',
    'tube',
    [8, 60],
    'caliper',
    'Outside diameter of the bridge; for a crown, its height at the hole.',
    { practice: byEnd(24, 16) },
  ),
  length(
    'mountWall',
    'wall of the mount',
    'mwall',
    [0.3, 10],
    'hooked probe',
    'Thickness of the tube’s wall at the hole, through the hole with a hooked probe.',
    { practice: byEnd(undefined, 1) },
  ),
  length(
    'curveFront',
    'curve of the front face',
    'cf',
    [0, 60],
    'radius card',
    'Radius of the face the caliper stands on, side to side; 0 where it is flat.',
    { sd: 0.5, practice: byEnd(18, 8) },
  ),
  length(
    'curveBack',
    'curve of the back face',
    'cb',
    [0, 60],
    'radius card',
    'Radius of the face the nut stands on, side to side; 0 where it is flat.',
    { sd: 0.5, practice: byEnd(0, 8) },
  ),
  length(
    'roomBehind',
    'room behind the mount',
    'room',
    [0, 300],
    'rule',
    'Free length along the hole behind it: from the nut’s face to the seat tube, or to the tyre.',
    { sd: 1, practice: byEnd(60, 95) },
  ),
  length(
    'boltOut',
    'bolt standing out',
    'bolt',
    [5, 120],
    'caliper',
    'From the caliper’s seat to the end of its mounting bolt.',
    { practice: byEnd(25, 18), standsOn: ['swap:brake'] },
  ),
  length(
    'boltThreaded',
    'thread on the bolt',
    'thr',
    [2, 120],
    'caliper',
    'Threaded length of the mounting bolt, from its end.',
    { practice: byEnd(16, 14), standsOn: ['swap:brake'] },
  ),
  length(
    'drillHead',
    'height of the drill’s head',
    'head',
    [10, 250],
    'rule',
    'Right-angle drill: back of its head to the mouth of its chuck.',
    { sd: 1 },
  ),
  length(
    'caliperDepth',
    'depth of the caliper',
    'cdepth',
    [5, 80],
    'caliper',
    'How far the caliper’s body stands out from its seat.',
    { standsOn: ['swap:brake'] },
  ),
  {
    id: 'makerTorque',
    title: 'frame maker’s torque',
    shorthand: 'mnm',
    unit: 'Nm',
    min: 0.5,
    max: 20,
    sd: 0,
    instrument: 'read in the papers',
    how: 'The torque the frame’s maker gives for this bolt.',
  },
]

export const BOLT_SEEN: readonly SeenSpec[] = [
  partsThereFor('mount'),
  {
    id: 'caliperSits',
    title: 'caliper over the wheel',
    shorthand: 'sits',
    standsOn: ['swap:brake', 'confirm:mount-loosened'],
    how: 'From the front: both arms alike over the wheel, or the whole caliper turned on its bolt.',
    options: [
      { id: 'square', title: 'square' },
      {
        id: 'askew',
        title: 'knocked askew',
        remedy:
          'Loosen its bolt a little, turn the caliper until both pads stand as far from the rim, hold it there and tighten. Only then its centring screw.',
      },
    ],
  },
  {
    id: 'frameMaterial',
    title: 'frame at the mount',
    shorthand: 'frame',
    how: 'What the bridge or crown itself is made of. A magnet tells steel.',
    options: [
      { id: 'steel', title: 'steel' },
      { id: 'aluminium', title: 'aluminium' },
      { id: 'titanium', title: 'titanium' },
      { id: 'carbon', title: 'carbon' },
    ],
  },
  {
    id: 'cracks',
    title: 'cracks',
    shorthand: 'cracks',
    how: 'Clean it and look round the hole and at every joint near it.',
    options: [
      { id: 'none', title: 'none' },
      {
        id: 'seen',
        title: 'seen',
        remedy: 'A cracked frame goes to a frame builder before anything else is done to it.',
        stop: true,
      },
    ],
  },
  {
    id: 'rust',
    title: 'corrosion',
    shorthand: 'rust',
    practice: 'surface',
    how: 'Inside the hole too.',
    options: [
      { id: 'none', title: 'none' },
      { id: 'surface', title: 'on the surface' },
      {
        id: 'pitted',
        title: 'pitted',
        remedy: 'What remains of a pitted wall is not known: to a frame builder before anything is hung on it.',
        stop: true,
      },
    ],
  },
  {
    id: 'mountBody',
    title: 'mount',
    shorthand: 'body',
    practice: byEnd('solid', 'hollow'),
    how: 'Look through the hole: a tube with two walls, or metal all the way.',
    options: [
      { id: 'hollow', title: 'a tube' },
      { id: 'solid', title: 'solid' },
    ],
  },
  {
    id: 'boltKind',
    title: 'brake’s bolt',
    shorthand: 'mountbolt',
    standsOn: ['swap:brake'],
    how: 'A long bolt for a hex nut behind, or a short one for a sleeve nut let into the back.',
    options: [
      { id: 'recessed', title: 'short, for a sleeve nut' },
      { id: 'nutted', title: 'long, for a hex nut' },
    ],
  },
  {
    id: 'boltClass',
    title: 'class of the bolt',
    shorthand: 'class',
    standsOn: ['swap:brake'],
    how: 'Stamped on its head: 8.8, 10.9, or A2-70 for stainless.',
    options: [
      { id: '8.8', title: '8.8' },
      { id: '10.9', title: '10.9' },
      { id: 'a2-70', title: 'stainless, A2-70' },
      { id: 'unmarked', title: 'no mark' },
    ],
  },
  {
    id: 'makerApproval',
    title: 'frame maker’s approval',
    shorthand: 'approved',
    practice: null,
    how: 'In writing: the frame’s papers or a letter name a brake at this mount.',
    options: [
      { id: 'written', title: 'in writing' },
      {
        id: 'none',
        title: 'none',
        remedy: 'Without its maker’s written approval nothing is bolted to carbon. Stop; ask the maker.',
        stop: true,
      },
    ],
  },
]
