import { settles, wears } from '../../brake/keeps.ts'
import { lengths, type ReadingSpec, type SeenSpec } from '../../brake/reading.ts'
import type { Source } from '../../calculation/source.ts'
import { PADS_SET, TURNED_SHOES } from './unsettled.ts'

const COMMON: Source = {
  kind: 'common-practice',
  title: 'Replaced below about 1.5 mm of compound, or at the maker’s mark',
}

const COMMON_HEIGHT: Source = { kind: 'common-practice', title: 'The pad’s face lies wholly on the track' }

const length = lengths(0.3)

const worn = {
  limit: {
    low: 1.5,
    high: 20,
    unsafe: { atMost: 0.5, say: 'worn to its holder: 0.5 mm or less remains' },
    text: 'Under about 1.5 mm a pad is replaced; at 0.5 mm or less it is not ridden (our choice).',
    source: COMMON,
  },
}

const edge = (side: 'left' | 'right', shorthand: string, practice: number): ReadingSpec =>
  length(
    side === 'left' ? 'padEdgeLeft' : 'padEdgeRight',
    `${side} pad below edge`,
    shorthand,
    [-10, 20],
    'rule',
    `Brake applied: ${side} pad’s upper edge below the upper edge of the track. Above it is negative.`,
    {
      keeps: 'hardware',
      limit: {
        low: 0,
        high: 20,
        unsafe: { below: 0, say: 'above the track: it meets the tyre and can burst it' },
        text: 'Below the track’s upper edge: a pad above it meets the tyre and can burst it.',
        source: COMMON_HEIGHT,
      },
      standsOn: PADS_SET,
      practice,
    },
  )

const toe = (side: 'left' | 'right', shorthand: string, practice: number): ReadingSpec =>
  length(
    side === 'left' ? 'toeLeft' : 'toeRight',
    `toe-in, ${side} pad`,
    shorthand,
    [-3, 5],
    'feeler',
    `Squeeze until the front of the ${side} pad touches: gap at its rear edge. Rear first is negative.`,
    { keeps: settles(0.2), sd: 0.1, gauge: ['pads'], standsOn: PADS_SET, practice },
  )

/** Pads on their rim. Uncertainties are common practice with no source. */
export const PAD_READINGS: readonly ReadingSpec[] = [
  length(
    'padLeft',
    'left pad, thickness left',
    'pl',
    [0, 20],
    'caliper',
    'What remains of the left pad at its thinnest, outside any groove.',
    { keeps: wears(-1.2, 1.5), ...worn, practice: 4, standsOn: ['swap:pads'], gauge: ['pads'] },
  ),
  length(
    'padRight',
    'right pad, thickness left',
    'pr',
    [0, 20],
    'caliper',
    'What remains of the right pad at its thinnest, outside any groove.',
    { keeps: wears(-1.2, 1.5), ...worn, practice: 3.8, standsOn: ['swap:pads'], gauge: ['pads'] },
  ),
  length('trackTall', 'track, height', 'tt', [4, 40], 'rule', 'Height of the part of the rim that the pad may touch.', {
    keeps: 'hardware',
    practice: 14,
    standsOn: ['swap:wheel'],
  }),
  length('padTall', 'pad, height', 'ptall', [4, 40], 'rule', 'Height of the pad’s face.', {
    keeps: 'hardware',
    practice: 10,
    standsOn: ['swap:pads'],
  }),
  edge('left', 'el', 1),
  edge('right', 'er', 1.1),
  length('padLength', 'pad, length', 'plen', [15, 100], 'rule', 'Length of the pad’s face.', {
    keeps: 'hardware',
    practice: 55,
    standsOn: ['swap:pads'],
  }),
  length('padDeep', 'pad, face to seat', 'pdeep', [3, 60], 'caliper', 'Pad’s face to where its shoe sits on the arm.', {
    keeps: 'hardware',
    standsOn: ['swap:pads'],
  }),
  length(
    'armSpace',
    'arm to rim, fully open',
    'space',
    [3, 80],
    'caliper',
    'Where the shoe sits to the side of the rim, cable slack and arm fully open.',
    { keeps: 'hardware', standsOn: ['swap:wheel', 'swap:brake'] },
  ),
  toe('left', 'tl', 0.5),
  toe('right', 'tr', 0.6),
  length(
    'washerStep',
    'thick pair over thin pair',
    'wstep',
    [0, 10],
    'caliper',
    'Threaded posts: how much thicker the thick pair of washers is than the thin pair.',
  ),
]

const BACKWARD =
  'The closed end must face forward, so that the rim pushes the pad against it: a shoe the wrong way round can throw its pad. Turn it round.'

const shoe = (side: 'left' | 'right', shorthand: string): SeenSpec => ({
  id: side === 'left' ? 'shoeLeft' : 'shoeRight',
  title: `${side} shoe`,
  shorthand,
  keeps: 'hardware',
  standsOn: TURNED_SHOES,
  how: `Which way the closed end of the ${side} shoe faces. The rim moves forward at the top of the wheel and past the pad with it.`,
  options: [
    { id: 'forward', title: 'closed end forward' },
    { id: 'moulded', title: 'one piece, no closed end' },
    { id: 'backward', title: 'closed end backward', remedy: BACKWARD, stop: true },
  ],
})

export const PAD_SEEN: readonly SeenSpec[] = [
  {
    id: 'padMarks',
    title: 'pads’ own wear marks',
    shorthand: 'padmark',
    standsOn: ['swap:pads'],
    practice: 'there',
    how: 'Grooves or a line moulded in the pad, made to disappear when it is done. The nearer of both pads counts.',
    options: [
      { id: 'there', title: 'there' },
      { id: 'none', title: 'the pads have none', also: ['no'] },
      { id: 'gone', title: 'worn away', remedy: 'Worn to their maker’s mark: replace both pads.' },
    ],
  },
  {
    id: 'padFace',
    title: 'pads’ faces',
    shorthand: 'face',
    standsOn: ['swap:pads', 'reading:trackFace'],
    how: 'Look at both faces in the light.',
    options: [
      { id: 'clean', title: 'clean' },
      {
        id: 'grit',
        title: 'grit or metal in them',
        remedy: 'Pick out grit and metal with a point: each grain cuts the rim.',
      },
      {
        id: 'oily',
        title: 'oily',
        remedy: 'Do not ride: oil does not come out of a pad. Replace both pads, and wash the track.',
        stop: true,
      },
      {
        id: 'glazed',
        title: 'shiny',
        remedy:
          'Take off a very thin layer with a clean abrasive kept for rubber, or hold coarse paper between pad and rim under a light squeeze.',
      },
      {
        id: 'grooved',
        title: 'grooved or stepped',
        remedy: 'File flat, and set the pad so that it does not happen again.',
      },
    ],
  },
  {
    id: 'padShape',
    keeps: 'hardware',
    title: 'pad along the rim',
    shorthand: 'shape',
    standsOn: ['swap:pads'],
    how: 'Lay the pad on the rim: does its face bend with the track, or is it straight?',
    options: [
      { id: 'curved', title: 'curved with the rim' },
      { id: 'straight', title: 'straight' },
    ],
  },
  {
    id: 'padArc',
    title: 'pad’s ends',
    shorthand: 'arc',
    standsOn: PADS_SET,
    how: 'Brake applied, look along the pad: both ends equally far from the edge of the track.',
    options: [
      { id: 'follow', title: 'follow the track' },
      {
        id: 'hang',
        title: 'one end hangs below',
        remedy: 'Turn the shoe until it follows the arc: an end below the track wears a lip and dives under the rim.',
      },
      {
        id: 'tyre',
        title: 'one end points at the tyre',
        remedy: 'Turn the shoe until it follows the arc: an end that meets the tyre can burst it.',
        stop: true,
      },
    ],
  },
  shoe('left', 'sl'),
  shoe('right', 'sr'),
  {
    id: 'padsSet',
    keeps: 'hardware',
    title: 'pads were set',
    shorthand: 'set',
    how: 'Setting pads by swinging one arm at a time leaves a ridge later (common practice).',
    options: [
      { id: 'applied', title: 'with the brake applied' },
      { id: 'by-hand', title: 'arm pushed in by hand' },
    ],
  },
  {
    id: 'washersNow',
    title: 'inside pair',
    shorthand: 'wash',
    practice: null,
    how: 'Threaded posts: which pair of washers lies between shoe and arm.',
    options: [
      { id: 'thin', title: 'thin' },
      { id: 'thick', title: 'thick' },
    ],
  },
  {
    id: 'padCompound',
    keeps: 'hardware',
    title: 'pads made for',
    shorthand: 'pad',
    standsOn: ['swap:pads'],
    how: 'The rim named on the pad, or the one it was sold for.',
    options: [
      { id: 'alloy', title: 'alloy' },
      { id: 'carbon', title: 'carbon' },
      { id: 'steel', title: 'steel' },
    ],
  },
]
