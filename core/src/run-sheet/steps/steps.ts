import { CABLE_STEPS } from './cable.ts'
import { MATCH_STEPS } from './match.ts'
import { MOUNT_STEPS } from './mount.ts'
import { PAD_STEPS } from './pads.ts'
import { PROVE_STEPS } from './prove.ts'
import type { Circumstances, Step, StepSpec } from './step.ts'
import { WHEEL_STEPS } from './wheel.ts'

/** Every step there is, in working order; which of them stand on a job’s sheet depends on its circumstances. */
export const STEPS: readonly StepSpec[] = [
  ...WHEEL_STEPS,
  ...MATCH_STEPS,
  ...MOUNT_STEPS,
  ...PAD_STEPS,
  ...CABLE_STEPS,
  ...PROVE_STEPS,
]

/** The steps that stand on a job’s sheet, as they are said there; `also` puts further ones on it. */
export const stepsFor = (here: Circumstances, also: (step: StepSpec) => boolean = () => false): readonly Step[] =>
  STEPS.filter((step) => (step.when?.(here) ?? true) || also(step)).map((step) => ({
    ...step,
    say: typeof step.say === 'string' ? step.say : step.say(here),
  }))

/** Acts of the bench that are no steps of the sheet: they may be logged at any time. */
export const SQUEEZES = 'squeezes'
const BENCH_ACTS: Readonly<Record<string, string>> = {
  [SQUEEZES]: 'squeezed',
  'shoes-loosened': 'shoes loosened',
  'anchor-loosened': 'anchor loosened',
  'mount-loosened': 'brake loosened on its mount',
}
export const isBenchAct = (id: string): boolean => id in BENCH_ACTS

/** What can be said to be loose: the word of the tape and the act it logs. */
export const LOOSENED: Readonly<Record<string, string>> = {
  shoes: 'shoes-loosened',
  anchor: 'anchor-loosened',
  mount: 'mount-loosened',
}

/** Where nothing is known yet: what a step says in the handbook. */
const ANYWHERE: Circumstances = {
  family: '',
  end: 'rear',
  mount: 'boss',
  track: 'rim',
  traits: [],
  work: 'adjust',
  body: undefined,
  material: undefined,
  makerNm: undefined,
  boltClass: undefined,
  way: undefined,
  cableAnew: false,
  anchorLoosened: false,
}

export const sayOf = ({ say }: StepSpec): string => (typeof say === 'string' ? say : say(ANYWHERE))

export const findStep = (id: string): StepSpec | undefined => STEPS.find((step) => step.id === id)

export const stepTitle = (id: string): string => BENCH_ACTS[id] ?? findStep(id)?.title ?? id
