import { type Circumstances, fitting, type StepSpec, wholeSheet } from '../../brake/step.ts'
import { BRACKET_TIGHT, STACK_NOTED, STACK_STEPS } from '../../stack/steps.ts'
import { BEDDING_STEP } from './bedding.ts'
import type { DiscKind } from './kind.ts'
import { PAD_STEPS } from './pad-change.ts'
import { ROTOR_STEP } from './rotor.ts'
import { ROTOR_BEFORE, ROTOR_STEPS } from './rotor-change.ts'

/** The caliper set by its school, each step in its exact order, and which of them makes the fixed gap. */
const SET: Readonly<Record<string, { readonly say: string; readonly more: string }>> = {
  float: {
    say: 'Float the caliper, squeeze and hold, and tighten its bolts.',
    more: 'Wind the fixed pad in by its clicks first. Both bolts loose until the body floats; hold the lever on; top bolt a little, bottom a little; let go, spin. If it rubs, ease one bolt, nudge the body away from the rub, nip. Then alternate to the figure, squeeze hard, spin again. Now back the fixed pad off: that step makes the fixed gap.',
  },
  quarter: {
    say: 'Tighten the caliper along the rotor, wind the fixed pad in, back a quarter.',
    more: 'Body along the rotor, bolts alternately to the figure. Then, wheel turning, the fixed pad in to the first scrape and a quarter turn out: that step makes the fixed gap. Still drags: a little more.',
  },
  clicks: {
    say: 'Tighten the caliper along the rotor, then count clicks back from contact.',
    more: 'Body along the rotor, bolts alternately to the figure. Then, wheel turning, the fixed pad in to the first scrape and two or three clicks out: that step makes the fixed gap. The other knob by the same feel of the hand; its gap may be about twice the fixed one (common practice).',
  },
}
const BOTH = {
  say: 'Float the caliper, squeeze and hold, and tighten its bolts.',
  more: 'Arm against its stop, no preload by cable. Both bolts loose until the body floats; hold the lever on; top bolt a little, bottom a little; let go, spin. Then alternate to the figure. Never squeeze with the rotor out.',
}

/** The caliper was off or loose: it is set along the rotor and tightened anew. */
const wasOff = (here: Circumstances): boolean =>
  fitting(here) || here.loosened('mount') || here.way('stack') !== undefined

const assisted = { readings: ['assisted'] as const }

/** What is done at every mechanical disc beside what is common. */
export const discSteps = (kind: DiscKind): readonly StepSpec[] => [
  {
    id: 'motor-asked',
    station: 'wheel',
    before: 'wheel-seated',
    title: 'motor or none',
    say: 'Look whether a motor drives this bicycle.',
    why: 'With a motor the battery comes out before a hand goes near rotor or axle.',
    cautions: [],
    done: { kind: 'measured', readings: assisted.readings },
  },
  {
    id: 'battery-out',
    station: 'wheel',
    shorthand: 'battery',
    before: 'wheel-seated',
    title: 'battery out',
    say: 'Switch the motor off and take the battery out before any hand goes near.',
    why: 'A motor that starts under the hand drives the rotor. Note plug and washers where the wheel comes out.',
    cautions: ['rotor', 'motor'],
    mustBeDone: true,
    done: {
      kind: 'confirmed',
      well: 'Out',
      ill: 'Cannot be taken out',
      remedy:
        'Switch it off, pull the motor’s plug, and let nobody touch pedals or lever. Its maker’s instructions come first.',
      stop: true,
    },
    when: ({ seen }) => seen('assisted') === 'yes',
  },
  ...ROTOR_BEFORE,
  STACK_NOTED,
  ...ROTOR_STEPS,
  ROTOR_STEP,
  ...STACK_STEPS,
  {
    id: 'caliper-height',
    station: 'mount',
    title: 'caliper’s height over the rotor',
    say: 'Measure how the rotor clears the body, and how the pads cover the track.',
    more: 'Top and bottom at the nearest place of a turn; the pads with the lever squeezed.',
    why: 'A rotor that touches the body grinds it; a pad past the track wears a lip. Spacers and bracket set the height.',
    tools: ['feeler', 'rule'],
    cautions: ['rotor'],
    loosens: 'mount-loosened',
    done: { kind: 'in-window', readings: ['bodyClearTop', 'bodyClearBottom', 'padCover', 'padHung'] },
    whenOut: 'Set the caliper higher or lower: write down how bracket and spacers lie, and choose others.',
    when: wholeSheet,
  },
  ...PAD_STEPS,
  {
    id: 'pads-sound',
    station: 'pads',
    title: 'pads sound and clean',
    say: 'Measure the compound on both pads and look at their faces.',
    why: 'A worn pad brakes on its plate; one thinner than the other says that the fixed gap was too wide or too narrow.',
    tools: ['caliper'],
    cautions: ['clean', 'rotor'],
    mends: ['pads'],
    loosens: 'shoes-loosened',
    done: { kind: 'in-window', readings: ['padFixed', 'padMoving', 'discPads'] },
    whenOut: 'Replace both pads. New ones are thicker: back the knobs off and slacken the cable first.',
    when: wholeSheet,
  },
  {
    id: 'pads-kept',
    station: 'pads',
    shorthand: 'kept',
    title: 'pads held in the caliper',
    say: 'See that pin or spring holds both pads, and pull at them by hand.',
    more: 'A split pin is new and bent to 90°; a spring’s ends sit in the pads’ holes.',
    why: 'A pad that comes out leaves no brake.',
    cautions: ['clean'],
    mustBeDone: true,
    done: {
      kind: 'confirmed',
      well: 'Held',
      ill: 'One comes out',
      remedy: 'Fit a new split pin and bend its end, or seat the spring’s ends in the pads’ holes; then pull again.',
      stop: true,
    },
    when: wholeSheet,
  },
  {
    id: 'light-through',
    station: 'pads',
    title: 'light through the caliper',
    say: 'Look through the caliper against a light, before any knob is touched.',
    why: 'It shows at once which pad stands too near, and whether the body lies along the rotor.',
    tools: ['torch or white card'],
    cautions: ['rotor'],
    loosens: 'mount-loosened',
    done: { kind: 'in-window', readings: ['light'] },
  },
  {
    id: 'caliper-set',
    station: 'bite',
    shorthand: 'cset',
    before: 'dial-in',
    title: 'caliper set by its school',
    say: ({ school }) => (kind === 'both-move' ? BOTH : (SET[school('gap') ?? 'float'] ?? BOTH)).say,
    more: ({ school }) => (kind === 'both-move' ? BOTH : (SET[school('gap') ?? 'float'] ?? BOTH)).more,
    why: 'The body must lie along the rotor before gaps are measured. What the bolts still move, the knob makes good after.',
    tools: ['5 mm hex key', 'torque wrench'],
    cautions: ['rotor', 'motor'],
    done: {
      kind: 'confirmed',
      well: 'Set and tight',
      ill: 'Does not lie along the rotor',
      remedy:
        'See that its faces and the mount’s are clean and square, the washers in their order; then float it again.',
    },
    when: wasOff,
  },
  BRACKET_TIGHT,
  {
    id: 'caliper-tight',
    station: 'tighten',
    shorthand: 'ctight',
    before: 'fasteners',
    title: 'caliper bolts, fresh threadlocker',
    say: 'Tighten both caliper bolts to 6–8 N·m with fresh medium threadlocker.',
    more: 'From memory; the maker’s figure comes first. Alternately; never the permanent kind; then look that nothing moved.',
    why: 'Loosened, a caliper moves under braking; threadlocker holds once.',
    tools: ['torque wrench'],
    cautions: ['maker'],
    mustBeDone: true,
    done: {
      kind: 'confirmed',
      well: 'Tight',
      ill: 'One does not tighten',
      remedy:
        'A stripped thread in a caliper or mount is for its maker or a frame builder; the bolt alone is replaced.',
      stop: true,
    },
    when: (here) => wasOff(here) || here.loosened('caliper'),
  },
  {
    id: 'spin',
    station: 'prove',
    before: 'wheel-fastened',
    title: 'wheel spins free',
    say: 'Spin the wheel, squeeze, let go, and spin it again.',
    more: 'A touch once a turn that does not slow the wheel is noted; a steady drag is a stop.',
    why: 'Heat from a dragging pad fades the brake. A rub that the gauge did not show says where to look.',
    cautions: ['rotor'],
    done: { kind: 'in-window', readings: ['rub'] },
  },
  {
    id: 'cut-off',
    station: 'prove',
    shorthand: 'cutoff',
    before: 'walk-test',
    title: 'lever cuts the motor off',
    say: 'Battery in, wheel lifted: run the motor, squeeze the lever, it must stop.',
    more: 'Then spin the wheel under power and brake it. Stand to the side, nobody in front of the wheel.',
    why: 'A motor that pushes against the brake lengthens every stop.',
    cautions: ['motor', 'rotor'],
    mustBeDone: true,
    done: {
      kind: 'confirmed',
      well: 'Cuts off',
      ill: 'Runs on',
      remedy:
        'Do not ride. See that the lever’s switch moves and its plug is home; else it is for the maker’s workshop.',
      stop: true,
    },
    when: ({ seen }) => seen('assisted') === 'yes',
  },
  BEDDING_STEP,
]
