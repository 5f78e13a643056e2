import { settles, wears } from '../../brake/keeps.ts'
import { tenth } from '../../brake/practice.ts'
import type { ReadingSpec, SeenSpec } from '../../brake/reading.ts'
import type { Source } from '../../calculation/source.ts'

const OURS: Source = { kind: 'our-choice', title: 'What a hand can set and hold' }

/** Runout that is wanted, and the most a shop lets go, mm. Our choice. */
export const WANTED_RUNOUT_MM = 0.5
const MOST_RUNOUT_MM = 1

/** The wheel the pads press on. Uncertainties are common practice with no source. */
export const WHEEL_READINGS: readonly ReadingSpec[] = [
  {
    id: 'lateralRunout',
    keeps: settles(0.3),
    title: 'runout, side to side',
    shorthand: 'lat',
    gauge: ['wheel'],
    standsOn: ['confirm:wheel-seated'],
    unit: 'mm',
    min: 0,
    max: 15,
    sd: 0.1,
    instrument: 'feeler',
    how: 'Spin the wheel; widest minus narrowest gap at one side.',
    limit: {
      low: 0,
      high: MOST_RUNOUT_MM,
      wanted: { low: 0, high: WANTED_RUNOUT_MM },
      unsafe: { above: MOST_RUNOUT_MM, say: `over ${MOST_RUNOUT_MM} mm: true the wheel` },
      text: `Side to side ${WANTED_RUNOUT_MM} mm is wanted, ${MOST_RUNOUT_MM} mm the most before the wheel is trued.`,
      source: OURS,
    },
  },
  {
    id: 'radialRunout',
    keeps: settles(0.3),
    title: 'runout, up and down',
    shorthand: 'rad',
    gauge: ['wheel'],
    standsOn: ['confirm:wheel-seated'],
    practice: ({ draw }) => tenth(draw('wheel', 1, [0.1, 0.6])),
    unit: 'mm',
    min: 0,
    max: 15,
    sd: 0.2,
    instrument: 'rule',
    how: 'Spin the wheel; highest minus lowest edge of the rim.',
    limit: {
      low: 0,
      high: MOST_RUNOUT_MM,
      unsafe: { above: MOST_RUNOUT_MM, say: `over ${MOST_RUNOUT_MM} mm: true the wheel` },
      text: `Up and down at most ${MOST_RUNOUT_MM} mm before the wheel is trued.`,
      source: OURS,
    },
  },
  {
    id: 'wheelOffset',
    keeps: settles(0.3),
    title: 'wheel offset',
    shorthand: 'off',
    gauge: ['wheel'],
    standsOn: ['confirm:wheel-seated'],
    practice: ({ draw }) => tenth(draw('wheel', 2, [-0.4, 0.4])),
    unit: 'mm',
    min: -15,
    max: 15,
    sd: 0.3,
    instrument: 'rule',
    how: 'How far the rim stands right of the middle between the stays; left is negative.',
    limit: {
      low: -1,
      high: 1,
      text: 'Within 1 mm of the middle; beyond that the wheel is seated or dished again.',
      source: OURS,
    },
  },
  {
    id: 'rimWall',
    keeps: wears(-0.08, 0.15),
    title: 'rim wall',
    shorthand: 'wall',
    gauge: ['wheel'],
    standsOn: ['swap:wheel'],
    practice: ({ draw }) => tenth(draw('wheel', 3, [1.1, 1.5])),
    unit: 'mm',
    min: 0.1,
    max: 5,
    sd: 0.1,
    instrument: 'hooked probe',
    how: 'Thickness of the thinner side wall, with a hooked probe or an outside caliper. About 1.5 mm when new.',
  },
  {
    id: 'rimMark',
    keeps: 'hardware',
    title: 'rim’s own least wall',
    shorthand: 'wmin',
    standsOn: ['swap:wheel'],
    unit: 'mm',
    min: 0.3,
    max: 4,
    sd: 0,
    instrument: 'read off the rim',
    how: 'The least wall marked on the rim or in its maker’s papers, if there is one.',
  },
]

export const WHEEL_SEEN: readonly SeenSpec[] = [
  {
    id: 'wearLine',
    title: 'wear line',
    shorthand: 'line',
    standsOn: ['swap:wheel'],
    practice: 'none',
    how: 'A moulded line or dimple in the track, made to disappear when the rim is done.',
    options: [
      { id: 'there', title: 'there' },
      { id: 'none', title: 'the rim has none' },
      { id: 'gone', title: 'worn away', remedy: 'The wear line is gone: the rim is done. Replace it.', stop: true },
    ],
  },
  {
    id: 'trackStep',
    title: 'track',
    shorthand: 'step',
    standsOn: ['swap:wheel'],
    how: 'A step or ridge in the track is a fault of alignment.',
    options: [
      { id: 'smooth', title: 'smooth' },
      {
        id: 'stepped',
        title: 'stepped',
        remedy: 'A step in the track comes from a pad set wrong: put the pads right, and look at the rim’s wall there.',
      },
    ],
  },
  {
    id: 'trackFace',
    title: 'track’s face',
    shorthand: 'tface',
    standsOn: ['swap:wheel'],
    how: 'Wipe a clean cloth or paper along the track, both sides.',
    options: [
      { id: 'clean', title: 'clean' },
      { id: 'dirty', title: 'dirty', remedy: 'Wash it with soap and water, and let it dry.' },
      {
        id: 'oily',
        title: 'oily',
        remedy:
          'Do not ride: wash the track with isopropyl alcohol and a fresh cloth, both sides. Then look at the pads: what is on the track is in them.',
        stop: true,
      },
    ],
  },
  {
    id: 'rimMaterial',
    keeps: 'hardware',
    title: 'rim',
    shorthand: 'rim',
    standsOn: ['swap:wheel'],
    how: 'What the brake track is made of.',
    options: [
      { id: 'alloy', title: 'alloy' },
      { id: 'carbon', title: 'carbon' },
      { id: 'steel', title: 'steel' },
    ],
  },
]
