import type { SeenSpec } from '../../brake/reading.ts'

export const GUIDE_BOOT: SeenSpec = {
  id: 'guideBoot',
  title: 'guide pipe’s boot',
  shorthand: 'boot',
  standsOn: ['swap:brake', 'swap:cable'],
  how: 'The rubber boot between guide pipe and anchor.',
  options: [
    { id: 'there', title: 'on' },
    {
      id: 'missing',
      title: 'missing',
      remark: 'no boot on the guide pipe: it keeps dirt out, fit one when there is one',
    },
  ],
}

export const GUIDE_PIPE: SeenSpec = {
  id: 'guidePipe',
  title: 'guide pipe',
  shorthand: 'pipe',
  standsOn: ['swap:brake', 'swap:cable', 'confirm:axle-loosened'],
  how: 'Its end in the slot of the arm, pulled back by hand: it must not come out.',
  options: [
    { id: 'hooked', title: 'hooked, slot whole' },
    {
      id: 'out',
      title: 'out of its slot',
      remedy: 'Do not ride: hook it in, squeeze hard, and look at it again.',
      stop: true,
    },
    {
      id: 'worn',
      title: 'hooked in a worn slot',
      remedy: 'Do not ride: a worn slot lets the pipe go under a hard squeeze. Replace the arm or the pipe.',
      stop: true,
    },
  ],
}
