import { COVERED, lookedOver } from '../../bench/looked-over.ts'
import { retold } from '../../bench/steps.ts'
import { fitting, type StepSpec, wholeOr } from '../../brake/step.ts'
import { CABLE_BACK, closed, PLAY_AFTER, SERVICE_STEPS, SQUEAL_STEPS } from './service.ts'

/** Common steps in the words of a drum: its wheel hangs on nuts. */
const DRUM_WORDS: readonly StepSpec[] = [
  retold('dead-first', {
    title: 'cable and strap hooked',
    say: 'First see cable and strap hooked, and look at the cable’s head.',
    more: 'The head of the inner must sit in its pocket in the lever; the brake arm must move when the lever does.',
    why: 'A dead brake is most often a cable off its arm (common practice).',
    done: {
      well: 'All hooked',
      remedy:
        'See what let go: a head out of its pocket, housing out of its stop, an inner that slipped. Put that right first.',
    },
  }),
  retold('wheel-fast', {
    say: 'Look: wheel straight in its dropouts, both nuts tight, washers in place; pull at it.',
    more: 'Nothing is loosened to be looked at.',
    done: { remedy: 'Loosen both nuts, push the wheel fully home in the dropouts, and tighten them.' },
  }),
  retold('wheel-seated', {
    say: (here) =>
      fitting(here)
        ? 'Wheel home once more, the chain set, both nuts tight.'
        : 'Loosen both nuts, push the wheel fully home in the dropouts, tighten them.',
    more: 'Non-turn washers in place. Look again before touching the brake.',
  }),
  // Looked at with both nuts tight where the cone was turned: not a third time.
  retold('hub-play', {
    when: (here) => !closed(here) && !here.happened(['confirm:axle-loosened']),
  }),
  retold('cable-clamped', {
    say: 'Clamp the inner for now, arm at rest: straight under its own bolt and washer.',
  }),
  retold('untouched', {
    title: 'brake arm, strap and anchor',
    say: 'Look at what nobody has touched: nuts and anchor tight, the brake arm free.',
  }),
  retold('wheel-fastened', {
    say: 'Look at the wheel’s fastening again: both nuts tight, washers in place.',
    more: 'The strap with them.',
    done: { remedy: 'Seat the wheel and tighten it again; worn nuts and stripped axles are replaced.' },
  }),
]

/** What is done at every drum beside what is common. */
export const DRUM_STEPS: readonly StepSpec[] = [
  ...DRUM_WORDS,
  lookedOver({
    more: 'Inner at both ends, its head in its pocket; housing and its ends; the anchor’s own bolt. Squeezed hard, the brake arm is not parallel with the ridge; no grease at the drum.',
    covers: [...COVERED, 'wear-angle'],
  }),
  ...SERVICE_STEPS,
  PLAY_AFTER,
  CABLE_BACK,
  {
    id: 'reaction-arm',
    posture: 'walk-round',
    station: 'mount',
    standsOn: ['confirm:wheel-seated', 'confirm:plate-off', 'swap:brake', 'swap:wheel', 'confirm:axle-loosened'],
    shorthand: 'strap',
    title: 'reaction arm strapped',
    say: 'See that the reaction arm is strapped to frame or fork, and pull at it.',
    why: 'Unstrapped, the whole plate turns with the wheel at the first braking and locks it.',
    cautions: ['reaction-arm', 'maker'],
    beforeRiding: true,
    done: {
      kind: 'confirmed',
      well: 'Strapped and tight',
      ill: 'Loose or without a strap',
      remedy: 'Do not ride. Fit the strap with its bolt and nut, to its maker’s figure, and pull at it again.',
      stop: true,
    },
  },
  {
    id: 'wear-angle',
    station: 'pads',
    title: 'linings by the arm’s angle',
    say: 'Measure the arm from the ridge on the plate, the lever squeezed hard.',
    why: 'With the drum closed the arm shows what remains of the linings.',
    tools: ['protractor'],
    cautions: [],
    mends: ['pads'],
    mayLeave: 'the linings are near their end',
    done: { kind: 'in-window', readings: ['armApplied'], optional: ['armAtRest'] },
    whenOut: 'Plan a new plate assembly; taking the cable in further does not help.',
    when: wholeOr('swap:pads'),
  },
  {
    id: 'drag-free',
    posture: 'lever',
    station: 'centre',
    title: 'wheel spins free',
    say: 'Spin the wheel, squeeze, let go, and spin it again: nothing drags.',
    why: 'A drum that drags grows hot and fades; it is heard before it is felt.',
    cautions: ['drum-heat'],
    loosens: 'shoes-loosened',
    mayLeave: 'it drags a little and grows warm',
    done: { kind: 'in-window', readings: ['drag'] },
  },
  ...SQUEAL_STEPS,
]
