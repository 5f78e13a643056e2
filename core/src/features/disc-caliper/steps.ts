import { sayFigure } from '../../bench/fasteners.ts'
import { MOUNT_LOOSE } from '../../bench/unsettled.ts'
import { type Circumstances, fitting, type StepSpec, wholeOr } from '../../brake/step.ts'
import { isAnotherSize } from '../stack/steps.ts'
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

const HEIGHT = {
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
} as const

const LIGHT = {
  title: 'light through the caliper',
  why: 'It shows at once which pad stands too near, and whether the body lies along the rotor.',
  tools: ['torch or white card'],
  cautions: ['rotor'],
  loosens: 'mount-loosened',
  maySkip: 'a body that stands askew is found only by the gaps',
  mayLeave: 'the body stands askew to the rotor',
  done: { kind: 'in-window', readings: ['light'] },
} as const

const heightAsked = wholeOr(
  'swap:rotor',
  'swap:wheel',
  'swap:pads',
  'confirm:mount-loosened',
  'confirm:bracket-loosened',
  'confirm:caliper-off',
)

/** The caliper comes off: for another one, another stack under it, or to reach its pads. */
const comesOff = (here: Circumstances): boolean =>
  fitting(here) || isAnotherSize(here) || here.way('stack') !== undefined || here.seen('padReach') === 'caliper'

/** The caliper was off or loose: it is set along the rotor and tightened anew. */
const wasOff = (here: Circumstances): boolean => comesOff(here) || here.loosened('mount')

/** The caliper over its rotor: off, hung and set, its height, its light, its bolts, and the wheel that runs free in it. */
export const caliperSteps = (kind: DiscKind): readonly StepSpec[] => [
  {
    id: 'caliper-off',
    station: 'mount',
    standsOn: ['swap:brake'],
    shorthand: 'caloff',
    before: 'stack-bolts',
    title: 'old caliper off, its parts in order',
    say: 'Caliper off: boot, end cap, spacers and bolts laid out in their order.',
    more: 'A picture, or a note; the bolts measured and kept: they go back only where enough thread still holds. A seized bolt: penetrant and time, the key pressed home, a longer key pulled slowly.',
    why: 'A spacer or washer out of its place sets the body askew; a boot that is lost lets water into the inner.',
    tools: ['5 mm hex key', 'caliper'],
    cautions: ['rotor', 'clean'],
    done: {
      kind: 'confirmed',
      did: 'Caliper taken off, its parts kept in order',
      well: 'Off, in order',
      ill: 'A bolt does not come',
      remedy:
        'Penetrant and time, then a longer key, pulled slowly; no heat near pads. Where its head begins to round, stop: it is drilled out by whoever does that often.',
    },
    when: (here) => comesOff(here) && !here.swapped('brake'),
  },
  {
    id: 'offered-up',
    station: 'mount',
    standsOn: ['swap:brake', 'swap:rotor'],
    shorthand: 'offer',
    title: 'old and new bracket offered up',
    say: 'Offer old and new bracket up to one another: which brings the pads over the track?',
    more: 'Faces clean and square, the big side as found. Rotor touching the body: the body must go further out.',
    why: 'Brackets of one look differ by their rise; held side by side it is seen before anything is tight.',
    tools: [],
    cautions: ['rotor'],
    done: {
      kind: 'confirmed',
      well: 'It covers the track',
      ill: 'Neither does',
      remedy: 'Measure how it stands, and let bracket and spacers be worked out from that; nothing is filed to fit.',
    },
    when: (here) => fitting(here),
  },
  {
    id: 'caliper-hung',
    station: 'mount',
    standsOn: ['confirm:caliper-off', 'confirm:offered-up', 'swap:brake'],
    shorthand: 'hung',
    title: 'caliper hung by fingers',
    say: 'Hang the caliper on its bracket, each bolt by fingers, its turns counted.',
    more: 'In steel a bolt takes as many mm of thread as it is thick, in aluminium half as much again (common practice); none bottoms. Fresh medium threadlocker; bolts loose until it is set.',
    why: 'A bolt that takes few turns, or stands on the ground of its hole, holds nothing.',
    tools: ['5 mm hex key', 'medium threadlocker'],
    cautions: ['bolt-length', 'rotor'],
    done: {
      kind: 'confirmed',
      did: 'Caliper hung on its bracket',
      well: 'Hung, bolts take',
      ill: 'A bolt takes few turns or bottoms',
      remedy: 'Take it out, measure it and its thread, and take one of the right length; never washers to make it fit.',
      stop: true,
    },
    when: (here) => comesOff(here) && !isAnotherSize(here) && here.way('stack') === undefined,
  },
  { ...HEIGHT, id: 'caliper-height', station: 'mount', when: (here) => heightAsked(here) && !wasOff(here) },
  {
    ...LIGHT,
    id: 'light-through',
    posture: 'walk-round',
    station: 'pads',
    say: 'Look through the caliper against a light, before anything is turned.',
    when: (here) => !wasOff(here),
  },
  {
    id: 'caliper-set',
    station: 'bite',
    standsOn: OFF,
    shorthand: 'cset',
    before: 'hard-squeezes',
    title: 'caliper set by its school',
    say: ({ school }) => (kind === 'both-move' ? BOTH : (SET[school('gap') ?? 'float'] ?? BOTH)).say,
    more: ({ school }) => (kind === 'both-move' ? BOTH : (SET[school('gap') ?? 'float'] ?? BOTH)).more,
    why: `The body must lie along the rotor before gaps are measured. ${kind === 'both-move' ? 'What the bolts still move, another float and squeeze makes good.' : 'What the bolts still move, the knob makes good after.'}`,
    tools: ['5 mm hex key', 'torque wrench'],
    cautions: ['rotor', 'motor'],
    done: {
      kind: 'confirmed',
      did: 'Caliper set along the rotor',
      well: 'Set and tight',
      ill: 'Does not lie along the rotor',
      remedy:
        'See that its faces and the mount’s are clean and square, the washers in their order; then float it again.',
    },
    when: wasOff,
  },
  // Over a caliper that was off, height and light are looked at once it is set: before that they are of nothing.
  {
    ...HEIGHT,
    id: 'height-set',
    station: 'bite',
    before: 'dial-in',
    when: (here) => heightAsked(here) && wasOff(here),
  },
  {
    ...LIGHT,
    id: 'light-set',
    station: 'bite',
    before: 'dial-in',
    say: 'Look through the caliper against a light, before a gap is measured.',
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
      did: 'Caliper bolts tightened to their figure',
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
    posture: 'lever',
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
