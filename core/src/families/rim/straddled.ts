import { retold } from '../../bench/steps.ts'

/** A brake with a straddle cable that is dead is most often only unhooked. */
export const STRADDLE_FIRST = retold('dead-first', {
  title: 'straddle cable hooked',
  say: 'First hook the straddle cable on both arms, and look at the cable’s head.',
  done: {
    well: 'Hooked',
    remedy:
      'See what lets go: a straddle out of its slot or its yoke, a cable’s head out of its pocket. Put that right first.',
  },
})
