import { sayFigure } from '../../bench/fasteners.ts'
import { MOUNT_LOOSE } from '../../bench/unsettled.ts'
import { type Circumstances, fitting, type StepSpec, wholeOr } from '../../brake/step.ts'
import { CALIPER_BOLTS } from './fasteners.ts'
import type { DiscKind } from './kind.ts'
import { OFF } from './unsettled.ts'

/** The caliper set by its school, each step in its exact order, and which of them makes the fixed gap. */
const SET: Readonly<Record<string, { readonly say: string; readonly more: string }>> = {
  float: {
    say: 'Float the caliper, squeeze and hold, and tighten its bolts.',
    more: 'Wind the fixed pad in by its clicks first. Fresh medium threadlocker on bolts that were out. Both bolts loose until the body floats; hold the lever on; top bolt a little, bottom a little; let go, spin. If it rubs, ease one bolt, nudge the body away from the rub, nip. Then alternate to the figure, squeeze hard, spin again. Now back the fixed pad off: that step makes the fixed gap.',
  },
  quarter: {
    say: 'Tighten the caliper along the rotor, wind the fixed pad in, back a quarter.',
    more: 'Fresh medium threadlocker on bolts that were out. Body along the rotor, bolts alternately to the figure. Then, wheel turning, the fixed pad in to the first scrape and a quarter turn out: that step makes the fixed gap. Still drags: a little more.',
  },
  clicks: {
    say: 'Tighten the caliper along the rotor, then count clicks back from contact.',
    more: 'Fresh medium threadlocker on bolts that were out. Body along the rotor, bolts alternately to the figure. Then, wheel turning, the fixed pad in to the first scrape and two or three clicks out: that step makes the fixed gap. The other knob by the same feel of the hand; its gap may be about twice the fixed one (common practice).',
  },
}
const BOTH = {
  say: 'Float the caliper, squeeze and hold, and tighten its bolts.',
  more: 'Arm against its stop, no preload by cable; fresh medium threadlocker on bolts that were out. Both bolts loose until the body floats; hold the lever on; top bolt a little, bottom a little; let go, spin. Then alternate to the figure. Never squeeze with the rotor out.',
}

/** The caliper was off or loose: it is set along the rotor and tightened anew. */
const wasOff = (here: Circumstances): boolean =>
  fitting(here) || here.loosened('mount') || here.way('stack') !== undefined

/** The caliper over its rotor: its height, its light, its setting, its bolts, and the wheel that runs free in it. */
export const caliperSteps = (kind: DiscKind): readonly StepSpec[] => [
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
    mayLeave: 'it stands nearer than wanted',
    done: { kind: 'in-window', readings: ['bodyClearTop', 'bodyClearBottom', 'padCover', 'padHung'] },
    whenOut: 'Set the caliper higher or lower: write down how bracket and spacers lie, and choose others.',
    when: wholeOr('swap:rotor', 'swap:wheel', 'swap:pads', 'confirm:mount-loosened', 'confirm:bracket-loosened'),
  },
  {
    id: 'light-through',
    station: 'pads',
    title: 'light through the caliper',
    say: 'Look through the caliper against a light, before anything is turned.',
    why: 'It shows at once which pad stands too near, and whether the body lies along the rotor.',
    tools: ['torch or white card'],
    cautions: ['rotor'],
    loosens: 'mount-loosened',
    maySkip: 'a body that stands askew is found only by the gaps',
    mayLeave: 'the body stands askew to the rotor',
    done: { kind: 'in-window', readings: ['light'] },
  },
  {
    id: 'caliper-set',
    station: 'bite',
    standsOn: OFF,
    shorthand: 'cset',
    before: 'dial-in',
    title: 'caliper set by its school',
    say: ({ school }) => (kind === 'both-move' ? BOTH : (SET[school('gap') ?? 'float'] ?? BOTH)).say,
    more: ({ school }) => (kind === 'both-move' ? BOTH : (SET[school('gap') ?? 'float'] ?? BOTH)).more,
    why: `The body must lie along the rotor before gaps are measured. ${kind === 'both-move' ? 'What the bolts still move, another float and squeeze makes good.' : 'What the bolts still move, the knob makes good after.'}`,
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
  {
    id: 'caliper-tight',
    station: 'tighten',
    standsOn: [...OFF, ...MOUNT_LOOSE, 'confirm:caliper-set'],
    shorthand: 'ctight',
    before: 'fasteners',
    title: 'caliper bolts to their figure',
    say: `Tighten both caliper bolts by turns to ${sayFigure(CALIPER_BOLTS)}.`,
    more: 'The maker’s figure comes first. Then look that nothing moved.',
    why: 'A caliper whose bolts are short of their figure moves under braking.',
    tools: ['torque wrench'],
    cautions: ['maker'],
    beforeRiding: true,
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
]
