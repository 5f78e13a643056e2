import type { ReadingSpec, SeenSpec } from '../../../brake/reading.ts'
import type { Source } from '../../../calculation/source.ts'

const OURS: Source = { kind: 'our-choice', title: 'What a hand can set and hold' }

/** The wheel the pads press on. Uncertainties are common practice with no source. */
export const WHEEL_READINGS: readonly ReadingSpec[] = [
  {
    id: 'wheelOffset',
    title: 'wheel offset',
    shorthand: 'off',
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
    id: 'lateralRunout',
    title: 'runout, side to side',
    shorthand: 'lat',
    unit: 'mm',
    min: 0,
    max: 15,
    sd: 0.1,
    instrument: 'feeler',
    how: 'Spin the wheel; widest minus narrowest gap at one side.',
    limit: {
      low: 0,
      high: 1,
      wanted: { low: 0, high: 0.5 },
      text: 'Side to side 0.5 mm is wanted, 1 mm the most before the wheel is trued.',
      source: OURS,
    },
  },
  {
    id: 'radialRunout',
    title: 'runout, up and down',
    shorthand: 'rad',
    unit: 'mm',
    min: 0,
    max: 15,
    sd: 0.2,
    instrument: 'rule',
    how: 'Spin the wheel; highest minus lowest edge of the rim.',
    limit: { low: 0, high: 1, text: 'Up and down at most 1 mm before the wheel is trued.', source: OURS },
  },
  {
    id: 'rimWall',
    title: 'rim wall',
    shorthand: 'wall',
    unit: 'mm',
    min: 0.1,
    max: 5,
    sd: 0.1,
    instrument: 'hooked probe',
    how: 'Thickness of the thinner side wall, with a hooked probe or an outside caliper. About 1.5 mm when new.',
  },
  {
    id: 'rimMark',
    title: 'rim’s own least wall',
    shorthand: 'wmin',
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
]
