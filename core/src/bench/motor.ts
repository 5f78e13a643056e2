import type { SeenSpec } from '../brake/reading.ts'
import type { Circumstances, StepSpec } from '../brake/step.ts'

/** Where a motor sits on the bicycle, kept with it. */
export const MOTOR_AT: SeenSpec = {
  id: 'motorAt',
  keeps: 'hardware',
  title: 'motor',
  shorthand: 'motorat',
  how: 'Look at both hubs and at the cranks: a thick hub with a wire, or a box at the cranks.',
  trait: 'motorAt',
  options: [
    { id: 'none', title: 'none' },
    { id: 'this', title: 'in this wheel’s hub' },
    { id: 'other', title: 'in the other wheel’s hub' },
    { id: 'cranks', title: 'at the cranks' },
  ],
}

/** What the lever does to a running motor. */
export const CUT_OFF: SeenSpec = {
  id: 'cutOff',
  title: 'motor when the lever is squeezed',
  shorthand: 'cutoff',
  standsOn: ['swap:lever'],
  how: 'Wheel lifted, motor running, lever squeezed. Without a switch: the motor must stop soon after pedalling stops.',
  options: [
    { id: 'cuts-off', title: 'stops', also: ['ok'] },
    {
      id: 'runs-on',
      title: 'runs on',
      also: ['no'],
      remedy:
        'Do not ride. See that the lever’s switch moves and its plug is home; else it is for the maker’s workshop.',
      stop: true,
    },
    {
      id: 'none',
      title: 'no switch at this lever; it stops soon after pedalling',
      told: 'no switch at this lever: the motor stops soon after pedalling (EN 15194 allows it, from memory)',
    },
  ],
}

const KNOWN: ReadonlySet<string | undefined> = new Set(MOTOR_AT.options.map(({ id }) => id))

/** A motor drives this bicycle: by what was seen of it, or by its hardware until somebody has looked. */
export function assisted({ trait }: Circumstances): boolean {
  const at = trait('motorAt')
  return KNOWN.has(at) ? at !== 'none' : trait('assisted') === 'yes'
}

/** The motor is in the hub of this wheel: its axle has a plug, and washers that hold it. */
export const motorHere = ({ trait }: Circumstances): boolean => trait('motorAt') === 'this'

/** Asked once of a bicycle. */
export const motorAsked: StepSpec = {
  id: 'motor-asked',
  posture: 'walk-round',
  station: 'wheel',
  title: 'motor or none',
  say: 'Look whether a motor drives this bicycle, and where it sits.',
  more: 'Kept with this brake: it is not asked again.',
  why: 'With a motor the battery comes out before a hand goes near the wheel.',
  cautions: [],
  done: { kind: 'measured', readings: [MOTOR_AT.id] },
  exempt: { motorAt: { reading: 'assisted', is: 'no' } },
  when: ({ trait, seen }) => !KNOWN.has(trait('motorAt')) || seen(MOTOR_AT.id) !== undefined,
}
