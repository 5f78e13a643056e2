import type { ReadingSpec, SeenSpec } from './spec.ts'

const OURS = { kind: 'our-choice', title: 'What a hand finds light, and what still brings the pads back' } as const

const scale = (
  id: string,
  title: string,
  shorthand: string,
  how: string,
  limit: NonNullable<ReadingSpec['limit']>,
): ReadingSpec => ({
  id,
  title,
  shorthand,
  unit: 'N',
  min: 0.1,
  max: 80,
  sd: 0.5,
  instrument: 'spring scale',
  how,
  limit,
})

/** The lever’s weight, both ways: together they tell springs and friction apart. */
export const CABLE_READINGS: readonly ReadingSpec[] = [
  scale(
    'leverWeight',
    'lever weight',
    'lw',
    'Spring scale on the blade where the finger lies: force at which the pads just begin to move.',
    { low: 1, high: 20, text: 'Above about 20 N before the pads touch the lever is heavy.', source: OURS },
  ),
  scale(
    'leverBack',
    'lever coming back',
    'lr',
    'Pads off the rim, let the blade back slowly on the scale: force at which the pads just move back.',
    { low: 1, high: 80, text: 'Below about 1 N friction nearly holds the pads on.', source: OURS },
  ),
]

const RUBS =
  'The gauge does not explain that rub. See that the wheel is seated and true, the hub without play, and that the pad comes back; then measure the gaps again.'

export const CABLE_SEEN: readonly SeenSpec[] = [
  {
    id: 'cableLined',
    title: 'housing inside',
    shorthand: 'lining',
    how: 'Lined housing has a plastic tube inside, or the inner is coated.',
    options: [
      { id: 'lined', title: 'lined or coated' },
      { id: 'unlined', title: 'bare metal' },
    ],
  },
  {
    id: 'cableFeel',
    title: 'inner in its housing',
    shorthand: 'feel',
    how: 'Unhook the cable and draw the inner to and fro by hand.',
    options: [
      { id: 'smooth', title: 'runs smoothly' },
      { id: 'gritty', title: 'gritty' },
      { id: 'stuck', title: 'sticks' },
    ],
  },
  {
    id: 'padsBack',
    title: 'pads come back',
    shorthand: 'back',
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
    how: 'Spin the wheel and listen, then squeeze, let go, and spin it again.',
    options: [
      { id: 'free', title: 'runs free' },
      { id: 'left', title: 'rubs on the left', remedy: RUBS, stop: true },
      { id: 'right', title: 'rubs on the right', remedy: RUBS, stop: true },
    ],
  },
]
