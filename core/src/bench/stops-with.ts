import type { Here, TraitSpec } from '../brake/dimension.ts'
import type { SeenSpec } from '../brake/reading.ts'
import type { StepSpec } from '../brake/step.ts'
import { HEAVY_KG } from '../features/match/lever-match.ts'

/** Whether this brake must bring the bicycle to its stop by itself, or both share it: told of a bicycle, never taken from its load. */
export const STOPS_WITH: SeenSpec = {
  id: 'stopsWith',
  keeps: 'hardware',
  title: 'stops with',
  shorthand: 'stopswith',
  how: 'Ask its maker’s papers, and whoever loads it: must this brake stop it alone, or both together?',
  trait: 'stopsWith',
  options: [
    { id: 'alone', title: 'this brake alone' },
    { id: 'both', title: 'both brakes together' },
  ],
}

/** Alone until somebody says otherwise. */
export const STOPS_WITH_TRAIT: TraitSpec = {
  id: STOPS_WITH.id,
  title: STOPS_WITH.title,
  options: STOPS_WITH.options.map(({ id, title }) => ({ id, title })),
  usual: () => 'alone',
  source: { kind: 'our-choice', title: 'One brake must stop a bicycle by itself, until it is told of this one' },
}

/** Share of the whole stop that is asked of this brake. */
export const askedOf = ({ traits }: Pick<Here, 'traits'>): number => (traits.stopsWith === 'both' ? 0.5 : 1)

export const stopsWithAsked: StepSpec = {
  id: 'stops-with',
  posture: 'walk-round',
  station: 'match',
  title: 'stops alone or with the other brake',
  say: 'A heavy load: ask whether this brake must stop it alone, or both together.',
  more: 'Kept with this brake. What is asked of one brake alone is twice what each has to give of both.',
  why: 'A load one brake cannot stop is no fault where its maker lets both share it, and is one where not.',
  tools: ['the maker’s papers'],
  cautions: ['heavy'],
  done: { kind: 'measured', readings: [STOPS_WITH.id] },
  when: ({ number, seen }) => (number('ridersMass') ?? 0) > HEAVY_KG || seen(STOPS_WITH.id) !== undefined,
}
