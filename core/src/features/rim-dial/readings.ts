import { biteReading } from '../../bench/bite.ts'
import { MOVED, SQUEEZED } from '../../bench/unsettled.ts'
import { wears } from '../../brake/keeps.ts'
import type { ReadingSpec, SeenSpec } from '../../brake/reading.ts'
import { DIALLED } from '../../brake/reading.ts'

/** What the dial-in goes by. Uncertainties are common practice with no source: what a feeler or a rule gives in greasy hands. */
export const DIAL_READINGS: readonly ReadingSpec[] = [
  {
    id: 'gapLeft',
    keeps: wears(1.2, 0.8),
    title: 'gap left',
    shorthand: 'gl',
    gauge: DIALLED,
    standsOn: SQUEEZED,
    unit: 'mm',
    min: 0,
    max: 10,
    sd: 0.1,
    instrument: 'feeler',
    how: 'Left pad to rim at the middle of the pad, the mean over one turn of the wheel.',
  },
  {
    id: 'gapRight',
    keeps: wears(1.2, 0.8),
    title: 'gap right',
    shorthand: 'gr',
    gauge: DIALLED,
    standsOn: SQUEEZED,
    unit: 'mm',
    min: 0,
    max: 10,
    sd: 0.1,
    instrument: 'feeler',
    how: 'Right pad to rim at the middle of the pad, the mean over one turn of the wheel.',
  },
  biteReading('Squeeze slowly; finger travel when the first pad touches the rim.', SQUEEZED),
]

/** How far a spring’s centring screw stands in, on brakes that have one on that side. */
export const SCREW_READINGS: Readonly<Record<'left' | 'right', ReadingSpec>> = {
  left: {
    id: 'leftScrewIn',
    title: 'left screw from fully out',
    shorthand: 'lsat',
    unit: 'turn',
    min: 0,
    max: 15,
    sd: 0.1,
    instrument: 'counted',
    how: 'Turns the left screw stands in from fully out.',
  },
  right: {
    id: 'rightScrewIn',
    title: 'right screw from fully out',
    shorthand: 'rsat',
    unit: 'turn',
    min: 0,
    max: 15,
    sd: 0.1,
    instrument: 'counted',
    how: 'Turns the right screw stands in from fully out.',
  },
}

const RUBS =
  'The gauge does not explain that rub. See that the wheel is seated and true, the hub without play, and that the pad comes back; then measure the gaps again.'

/** Which pad meets the rim first: seen, not measured. */
export const FIRST_TOUCH: SeenSpec = {
  id: 'firstTouch',
  title: 'touches first',
  shorthand: 'touch',
  standsOn: [...SQUEEZED, 'reading:wheelOffset', 'confirm:axle-loosened'],
  how: 'Squeeze slowly and watch which pad meets the rim first.',
  options: [
    { id: 'left', title: 'left', told: 'left touches first' },
    { id: 'both', title: 'both', told: 'both touch together' },
    { id: 'right', title: 'right', told: 'right touches first' },
  ],
}

export const DIAL_SEEN: readonly SeenSpec[] = [
  {
    id: 'padsBack',
    title: 'pads come back',
    shorthand: 'back',
    standsOn: MOVED,
    how: 'Squeeze, let go at once, and watch both pads.',
    options: [
      { id: 'both', title: 'both at once' },
      {
        id: 'slow',
        title: 'slowly',
        remedy: 'Friction: look at the housing, its bends and the pivots before any spring.',
      },
      {
        id: 'one',
        title: 'one stays on',
        remedy: 'That side’s pivot is stiff, or its spring weak or unhooked: free it, then strengthen that spring.',
        stop: true,
      },
      {
        id: 'neither',
        title: 'neither comes back',
        remedy: 'Springs too weak: both screws too far out, or the pins in the lower holes. Or the cable sticks.',
        stop: true,
      },
    ],
  },
  {
    id: 'spin',
    title: 'wheel when spun',
    shorthand: 'spin',
    standsOn: [...SQUEEZED, 'confirm:axle-loosened'],
    how: 'Spin the wheel and listen, then squeeze, let go, and spin it again.',
    options: [
      { id: 'free', title: 'runs free' },
      { id: 'left', title: 'rubs on the left', remedy: RUBS, stop: true },
      { id: 'right', title: 'rubs on the right', remedy: RUBS, stop: true },
      {
        id: 'untrue',
        title: 'runs out, to the eye',
        remedy:
          'Measure how far the rim runs out, side to side and up and down, and true the wheel; then spin it again.',
        stop: true,
      },
    ],
  },
  FIRST_TOUCH,
]
