import { type StepSpec, wholeSheet } from '../brake/step.ts'

/**
 * One look over what a short sheet does not ask for part by part: nobody rides what stops a rider and was not looked at
 * on this visit. What is found is written by its own reading, which brings its step.
 */
export const lookedOver = (own: {
  readonly more: string
  readonly covers: readonly string[]
  readonly cautions?: StepSpec['cautions']
}): StepSpec => ({
  id: 'looked-over',
  posture: 'walk-round',
  station: 'mount',
  standsOn: ['swap:brake', 'swap:wheel'],
  before: 'untouched',
  shorthand: 'looked',
  title: 'looked over: whole, clean, not worn out',
  say: 'Look the brake over from lever to wheel: whole, clean, not worn out.',
  more: own.more,
  why: 'A short sheet asks for little; what gives way on the road is looked at on every visit.',
  cautions: ['frayed', 'housing', ...(own.cautions ?? [])],
  covers: own.covers,
  beforeRiding: true,
  done: {
    kind: 'confirmed',
    well: 'Whole and clean',
    ill: 'Something is not',
    remedy: 'Do not ride. Write what was found by its own reading, put it right, then look it over again.',
    stop: true,
  },
  when: (here) => !wholeSheet(here),
})

/** What any cable-pulled brake is looked over for. */
export const COVERED = ['cable-match', 'own-hardware', 'cable-run', 'cable-smooth', 'cable-clamped'] as const
