import type { SeenSpec } from '../../brake/reading.ts'

export const GUIDE_BOOT: SeenSpec = {
  id: 'guideBoot',
  title: 'guide pipe’s boot',
  shorthand: 'boot',
  how: 'The rubber boot between guide pipe and anchor.',
  options: [
    { id: 'there', title: 'on' },
    {
      id: 'missing',
      title: 'missing',
      remedy: 'Without its boot the pipe works out of its slot: do not ride. Fit a boot.',
      stop: true,
    },
  ],
}
