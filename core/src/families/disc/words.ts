import { COVERED, lookedOver } from '../../bench/looked-over.ts'
import { retold } from '../../bench/steps.ts'
import type { StepSpec } from '../../brake/step.ts'

const QUICK_RELEASE =
  'A quick-release: its lever opposite the rotor unless the fork’s maker says otherwise; open, it must clear the rotor; small end of each spring towards the hub.'

/** Common steps in the words of a disc. */
export const DISC_WORDS: readonly StepSpec[] = [
  retold('dead-first', {
    title: 'all in its place',
    say: 'First see housing and inner home at lever and caliper, and the cable’s head.',
    more: 'The head of the inner must sit in its pocket in the lever; the arm must move when the lever does.',
    why: 'A dead brake is most often a cable out of its stop or off its arm (common practice).',
    done: {
      well: 'All home',
      remedy:
        'See what let go: a head out of its pocket, housing out of its stop, an inner that slipped. Put that right first.',
    },
  }),
  retold('wheel-fast', {
    more: `Nothing is loosened to be looked at. ${QUICK_RELEASE}`,
    cautions: ['maker', 'rotor'],
  }),
  retold('wheel-seated', {
    more: `Look again before touching the brake. ${QUICK_RELEASE}`,
    cautions: ['maker', 'rotor'],
  }),
  retold('untouched', {
    title: 'bolts of caliper, bracket and rotor, and anchor',
    say: 'Look at what nobody has touched: bolts and anchor tight, the arm free.',
  }),
  retold('cable-clamped', {
    say: 'Inner through without fraying, slack out, arm held on its stop; clamp it straight.',
    more: 'Its end waxed or twisted with its lay; drawn by hand, no preload: the arm must stay on its stop. The anchor’s own shaped washer the right way round, the bolt tight. Cut it, cap the end and crimp it in two or three places.',
  }),
  retold('barrel-in', {
    say: 'Barrels fully in, at caliper and lever, before the cable is clamped.',
    more: 'Slots lined up for the inner, head in its pocket, then turned apart so that it cannot jump out; the clamp loosened, not taken apart; the boot kept.',
  }),
  retold('wheel-fastened', { more: QUICK_RELEASE, cautions: ['maker', 'rotor'] }),
  lookedOver({
    more: 'Inner at both ends, its head in its pocket; housing and its ends; the anchor’s own bolt. Rotor whole, not thin, clean; both pads with compound, held by pin or spring; the body clear of the rotor.',
    covers: [...COVERED, 'rotor-sound', 'caliper-height', 'pads-sound', 'pads-kept'],
    cautions: ['rotor'],
  }),
]
