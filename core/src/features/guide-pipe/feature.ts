import type { Feature } from '../../brake/feature.ts'
import { type StepSpec, wholeOr } from '../../brake/step.ts'
import { GUIDE_BOOT, GUIDE_PIPE } from './readings.ts'

const GUIDE_STEPS: readonly StepSpec[] = [
  {
    id: 'guide-boot',
    posture: 'walk-round',
    station: 'match',
    before: 'pad-match',
    title: 'guide pipe hooked, its boot on',
    say: 'Look at the guide pipe: in its slot, the slot whole, its boot on?',
    why: 'A pipe out of its slot is a dead brake; the boot keeps dirt out.',
    cautions: [],
    done: { kind: 'in-window', readings: ['guidePipe', 'guideBoot'] },
    when: wholeOr('swap:cable', 'confirm:axle-loosened'),
  },
]

/** The bent pipe that leads a linear-pull’s cable to its arm. */
export const GUIDE: Feature = { id: 'guide-pipe', seen: [GUIDE_PIPE, GUIDE_BOOT], steps: GUIDE_STEPS }
