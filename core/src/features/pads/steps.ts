import { retold } from '../../bench/steps.ts'
import { SHOES_LOOSE } from '../../bench/unsettled.ts'
import { fitting, type StepSpec, wholeOr } from '../../brake/step.ts'
import { PAD_HEIGHT, PAD_MATCH, PAD_WEAR, TOE_IN } from './judges.ts'

const RUN = retold('cable-run', {})
const SMOOTH = retold('cable-smooth', {})
const later = (step: StepSpec): Pick<StepSpec, 'when'> => ({
  when: (here) => !fitting(here) && step.when?.(here) !== false,
})

/**
 * On a rim brake that is fitted the cable is clamped for now before its pads are set: its run is looked at before that, and
 * the barrel is in by then.
 */
const BEFORE_THE_PADS: readonly StepSpec[] = [
  { ...RUN, ...later(RUN) },
  { ...SMOOTH, ...later(SMOOTH) },
  retold('barrel-in', { when: (here) => here.cableAnew && !fitting(here) }),
  { ...RUN, id: 'run-first', shorthand: 'run1', station: 'pads', before: 'provisional-clamp', when: fitting },
  { ...SMOOTH, id: 'smooth-first', station: 'pads', before: 'provisional-clamp', when: fitting },
]

/** Pads that meet a rim: made for it, sound, the right way round, at their height, toed in, tight. */
export const PAD_STEPS: readonly StepSpec[] = [
  ...BEFORE_THE_PADS,
  {
    id: 'pad-match',
    posture: 'walk-round',
    station: 'match',
    title: 'pads made for this rim',
    say: 'Look what the rim is made of, and what the pads are made for.',
    why: 'The wrong compound tears a carbon track, wears an alloy one, or does not brake.',
    mends: ['pads', 'wheel'],
    cautions: ['clean'],
    mayLeave: 'it brakes less, or wears sooner',
    done: PAD_MATCH,
    when: wholeOr('swap:pads', 'swap:wheel'),
  },
  {
    id: 'provisional-clamp',
    station: 'pads',
    standsOn: ['swap:cable', 'swap:brake', 'swap:lever', 'swap:housing'],
    shorthand: 'prov',
    title: 'cable clamped provisionally',
    say: 'Barrel fully in, slack taken up by hand: clamp the cable for now.',
    more: 'Slots of barrel and lever lined up, the head in its pocket, then the slots turned apart. Hold the arms to the rim meanwhile, so that the lever then holds the pads on it.',
    why: 'Pads are set with the brake applied; set one arm at a time they wear a ridge later (common practice). It is clamped for good once they are tight.',
    tools: ['5 mm hex key', 'cable puller'],
    cautions: ['tension'],
    maySkip: 'pads set without the brake applied wear a ridge later',
    done: {
      kind: 'confirmed',
      well: 'Clamped for now',
      ill: 'Does not hold or reach',
      remedy:
        'See that the inner lies in its place under the anchor’s shaped washer, the housing’s ends in their stops, the barrel fully in.',
    },
    when: fitting,
  },
  {
    id: 'pads-sound',
    posture: 'walk-round',
    station: 'pads',
    title: 'pads sound and evenly worn',
    say: 'Measure how thick both pads still are, and look at their faces.',
    why: 'A worn pad brakes on metal; one thinner than the other says that the brake stood off centre.',
    tools: ['caliper'],
    cautions: ['clean'],
    mends: ['pads'],
    mayLeave: 'the pads are near their end',
    done: PAD_WEAR,
    when: wholeOr('swap:pads'),
  },
  {
    id: 'pads-direction',
    posture: 'walk-round',
    station: 'pads',
    title: 'closed ends of the shoes forward',
    say: 'Look at each shoe: its closed end must face forward, the way the rim runs.',
    why: 'The rim pushes the pad against the closed end; the retaining screw carries no braking load.',
    cautions: ['shoe'],
    loosens: 'shoes-loosened',
    done: { kind: 'in-window', readings: ['shoeLeft', 'shoeRight'] },
    when: wholeOr('swap:pads', 'confirm:shoes-loosened'),
  },
  {
    id: 'pads-height',
    posture: 'walk-round',
    station: 'pads',
    title: 'pads at their height on the track',
    say: 'Brake applied, measure track and pads, and look along the pads.',
    more: 'The height of track and pad, and how far each pad’s upper edge stands below the track’s.',
    why: 'Too high cuts the tyre; too low overhangs, dives under the rim as it wears, and brakes less. The pad drifts on its arc as it wears.',
    tools: ['rule'],
    cautions: ['tyre'],
    loosens: 'shoes-loosened',
    mayLeave: 'a pad that wears off its place is looked at sooner',
    done: PAD_HEIGHT,
    when: wholeOr('swap:pads', 'swap:wheel', 'confirm:shoes-loosened'),
  },
  {
    id: 'pads-toe',
    posture: 'walk-round',
    station: 'pads',
    title: 'pads toed in',
    say: 'Squeeze until the front of each pad touches and measure the gap at its rear edge.',
    why: 'The front of the pad meets the rim first, or all of it at once; rear first never. Checked after tightening.',
    tools: ['feeler', 'a shim for the rear edge'],
    cautions: ['clean'],
    loosens: 'shoes-loosened',
    mayLeave: 'it may squeal',
    done: TOE_IN,
    when: wholeOr('swap:pads', 'confirm:shoes-loosened'),
  },
  {
    id: 'pads-tight',
    posture: 'walk-round',
    station: 'pads',
    standsOn: ['swap:pads', 'swap:wheel', 'swap:brake', 'confirm:mount-fitted', ...SHOES_LOOSE],
    shorthand: 'pads',
    title: 'pads tight',
    say: 'Take hold of each shoe and try to twist it.',
    more: 'Both pads must be tight, whole on the track and off the tyre.',
    why: 'The bite is never set on a pad that can still move.',
    cautions: ['tyre', 'clean'],
    loosens: 'shoes-loosened',
    done: {
      kind: 'confirmed',
      well: 'Tight, on the track',
      ill: 'One turns or is off the track',
      remedy:
        'Set that shoe again with the brake applied, hold it against turning and tighten it; then twist both once more.',
      stop: true,
    },
  },
]
