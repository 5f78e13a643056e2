import { type StepSpec, wholeSheet } from '../../brake/step.ts'
import { PLAY_AFTER, SERVICE_STEPS } from './service.ts'

/** What is done at every drum beside what is common. */
export const DRUM_STEPS: readonly StepSpec[] = [
  ...SERVICE_STEPS,
  PLAY_AFTER,
  {
    id: 'reaction-arm',
    station: 'mount',
    shorthand: 'strap',
    title: 'reaction arm strapped',
    say: 'See that the reaction arm is strapped to frame or fork, and pull at it.',
    why: 'Unstrapped, the whole plate turns with the wheel at the first braking and locks it.',
    cautions: ['reaction-arm', 'maker'],
    mustBeDone: true,
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
    say: 'Measure the arm from the ridge on the plate: at rest, and squeezed hard.',
    why: 'Nobody sees the linings without opening the drum; the arm shows what remains of them.',
    tools: ['protractor'],
    cautions: [],
    mends: ['pads'],
    done: { kind: 'in-window', readings: ['armAtRest', 'armApplied'] },
    whenOut: 'Plan a new plate assembly; taking the cable in further does not help.',
    when: wholeSheet,
  },
  {
    id: 'drag-free',
    station: 'centre',
    title: 'wheel spins free',
    say: 'Spin the wheel, squeeze, let go, and spin it again: nothing drags.',
    why: 'A drum that drags grows hot and fades; it is heard before it is felt.',
    cautions: ['drum-heat'],
    loosens: 'shoes-loosened',
    done: { kind: 'in-window', readings: ['drag'] },
  },
]
