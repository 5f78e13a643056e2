import type { SeenSpec } from '../brake/reading.ts'
import type { StepSpec } from '../brake/step.ts'

/** Whether everything a chosen way takes lies on the bench. */
export const partsThereFor = (plan: string): SeenSpec => ({
  id: 'partsThere',
  title: 'parts of the chosen way',
  shorthand: 'partsthere',
  standsOn: [`plan:${plan}`],
  how: 'Lay bolts, nuts and washers out in their order, and measure each against the list.',
  options: [
    { id: 'all', title: 'all here, measured' },
    {
      id: 'to-buy',
      title: 'one is still to be bought',
      remedy: 'Nothing is fitted with a part that is not there: get it, or choose another way.',
      stop: true,
    },
  ],
})

/** Before a chosen way is fitted its parts are ticked in. */
export const partsThere = (id: string, when: NonNullable<StepSpec['when']>): StepSpec => ({
  id,
  station: 'mount',
  title: 'parts of the chosen way at hand',
  say: 'Lay out every part of the chosen way and tick them off against its list.',
  why: 'A bolt a little shorter or longer than the one that was worked out strips, or bottoms before it clamps.',
  tools: ['caliper'],
  cautions: ['bolt-length'],
  done: { kind: 'in-window', readings: ['partsThere'] },
  when,
})
