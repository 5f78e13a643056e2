import { type StepSpec, wholeOr } from '../../brake/step.ts'
import { PADS_BACK } from '../pads/judges.ts'

/** Pads that come back, and a wheel that runs free. */
export const DIAL_STEPS: readonly StepSpec[] = [
  {
    id: 'pads-back',
    posture: 'lever',
    station: 'centre',
    title: 'pads come back by themselves',
    say: 'Squeeze, let go at once, and watch both pads.',
    more: 'A spring scale on the blade tells the lever’s weight both ways.',
    why: 'Springs must overcome the friction of cable and pivots, or a pad stays on the rim; more spring than that only makes the lever heavy.',
    tools: ['spring scale'],
    cautions: ['clean'],
    mayLeave: 'the pads come back slowly',
    done: PADS_BACK,
    when: wholeOr('swap:cable', 'swap:housing', 'swap:lever', 'confirm:mount-loosened'),
  },
  {
    id: 'spin',
    posture: 'lever',
    station: 'prove',
    before: 'wheel-fastened',
    title: 'wheel spins free',
    say: 'Spin the wheel: no rub, no runout to be seen, and free again when let go.',
    why: 'The pads must come back off the rim by themselves. A rub that the gauge did not show says where to look.',
    cautions: [],
    done: { kind: 'in-window', readings: ['spin'] },
  },
]
