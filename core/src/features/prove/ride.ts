import { MOVED } from '../../bench/unsettled.ts'
import type { SeenSpec } from '../../brake/reading.ts'
import type { Circumstances, StepSpec } from '../../brake/step.ts'
import { MEASURED } from '../lever-fit/hands.ts'

/** What a hard ride moved or made rub. */
export const RIDE_LOOK: SeenSpec = {
  id: 'rideLook',
  title: 'after the hard ride',
  shorthand: 'rode',
  practice: 'same',
  standsOn: MOVED,
  how: 'Off the bicycle: spin the wheel, squeeze hard, look the brake over, its bolts and the wheel’s fastening.',
  options: [
    { id: 'same', title: 'as before the ride', also: ['ok'], ridden: true },
    { id: 'not', title: 'nobody rode it hard', remark: 'the throw is not tried by whoever rides it' },
    {
      id: 'rubs',
      title: 'something rubs or squeals',
      ridden: true,
      remedy:
        'Wheel first: pushed home and closed. Then measure the gaps anew; the next turn is told from them. Then ride again.',
    },
    {
      id: 'moved',
      title: 'something has moved or come loose',
      ridden: true,
      remedy: 'Do not ride. Write what moved, set it anew and tighten it to its figure; then walk it and ride again.',
      stop: true,
    },
  ],
}

/** What whoever rides it says of the throw, after a ride. */
export const THROW_SAID: SeenSpec = {
  id: 'throwSaid',
  title: 'rider to the throw',
  shorthand: 'throwok',
  practice: 'yes',
  standsOn: MOVED,
  how: 'After a hard ride on a clear level place: is the lever’s way as the hand wants it?',
  options: [
    { id: 'yes', title: 'yes' },
    {
      id: 'shorter',
      title: 'wants it shorter',
      remedy:
        'Barrel out a quarter turn within its window; more than that is a school that bites earlier. Then ride again.',
    },
    {
      id: 'longer',
      title: 'wants it longer',
      remedy:
        'Barrel in a quarter turn within its window; more than that is a school that bites later. Then ride again.',
    },
  ],
}

/** Whoever rides it is there: a hand was measured in this job, or somebody rode it and said so. */
const isRidden = ({ seen }: Circumstances): boolean =>
  seen('rider') === MEASURED || seen('rideLook') !== undefined || seen('throwSaid') !== undefined

/** Hard ride, look, little trims, ride again, until whoever rides it says yes. */
export const HARD_RIDE: StepSpec = {
  id: 'hard-ride',
  station: 'prove',
  title: 'ridden hard, looked at again, and the rider’s yes',
  say: 'Let it be ridden hard on a clear level place; then look again and trim.',
  more: 'Spin the wheel, squeeze hard, look the brake over and the wheel’s fastening. A little trim, and ride again, until the rider says yes to the throw.',
  why: 'Ridden hard a brake settles further than at the stand, and only the hand that rides it knows the throw it wants.',
  cautions: ['walking'],
  mayLeave: 'the rider wanted the throw otherwise',
  exempt: { throwSaid: { reading: 'rideLook', is: 'not' } },
  done: { kind: 'in-window', readings: ['rideLook', 'throwSaid'] },
  when: isRidden,
}
