import { asTrait } from '../../bench/traits.ts'
import { SHOES_LOOSE } from '../../bench/unsettled.ts'
import type { TraitSpec } from '../../brake/dimension.ts'
import type { SeenSpec } from '../../brake/reading.ts'
import { type Circumstances, type StepSpec, wholeOr } from '../../brake/step.ts'
import type { DiscKind } from '../disc-caliper/kind.ts'
import { PADS_NEW } from '../disc-caliper/unsettled.ts'
import { changingRotor } from '../rotor/rotor-change.ts'

/** The work of new pads. */
export const PADS_WORK = {
  id: 'new-pads',
  title: 'new pads',
  says: 'The whole sheet, with the pads out and new ones in; then bedded in.',
}

/** The work of looking at the pads in the hand: out, cleaned, and the same ones in again. */
export const PADS_LOOK = {
  id: 'pads-look',
  title: 'pads out and cleaned',
  says: 'The whole sheet, with the pads out, looked at, cleaned, and back in as they lay.',
}

/** New pads go in: that is the job, or they come with a new rotor. */
export const changingPads = (here: Circumstances): boolean =>
  here.work === PADS_WORK.id || (changingRotor(here) && here.seen('padsWith') === 'new')

/** The same pads come out, to be looked at. */
const lookingAtPads = (here: Circumstances): boolean => here.work === PADS_LOOK.id
const padsComeOut = (here: Circumstances): boolean => changingPads(here) || lookingAtPads(here)

/** New pads or a new rotor, however they came: both are bedded in. */
export const somethingNew = (here: Circumstances): boolean =>
  changingRotor(here) || changingPads(here) || here.swapped('pads') || here.swapped('rotor')

const KEEPER: SeenSpec = {
  id: 'padKeeper',
  title: 'pads are kept by',
  shorthand: 'keeper',
  standsOn: ['swap:brake'],
  how: 'Look into the caliper: a pin through the pads’ eyes, or only the spring between them.',
  trait: 'padKeeper',
  options: [
    { id: 'pin', title: 'a split pin' },
    { id: 'spring', title: 'the spring alone' },
  ],
}

const ORDER: SeenSpec = {
  id: 'padOrder',
  title: 'first pad out',
  shorthand: 'order',
  standsOn: ['swap:brake'],
  how: 'Which of the two this caliper lets go first; its maker’s sheet says.',
  trait: 'padOrder',
  options: [
    { id: 'outer', title: 'the outer one' },
    { id: 'lower', title: 'the lower one' },
    { id: 'together', title: 'both together, through the top' },
  ],
}

const REACH: SeenSpec = {
  id: 'padReach',
  title: 'pads are reached',
  shorthand: 'padreach',
  standsOn: ['swap:brake'],
  practice: 'in-place',
  how: 'Through the top with all in its place, or past a wheel that is out, or with the caliper off.',
  options: [
    { id: 'in-place', title: 'with wheel and caliper in their place' },
    { id: 'wheel-out', title: 'with the wheel out', remark: 'wheel and gaps then stand anew' },
    { id: 'caliper', title: 'with the caliper off', remark: 'the caliper is then set anew' },
  ],
}
const wheelOutForPads = (here: Circumstances): boolean => padsComeOut(here) && here.seen('padReach') === 'wheel-out'

/** How a caliper’s pads come out, kept with the brake once it was seen. */
export const PAD_TRAITS: readonly TraitSpec[] = [asTrait(KEEPER), asTrait(ORDER)]

/** How room is made for thicker pads: by the knobs, or by the pistons where a caliper has none. */
const ROOM = {
  knobs: {
    how: 'Knobs and barrel backed off; note whether the cable was taken off or stayed on.',
    remedy:
      'New pads are thicker: back the knobs off and let the cable out first, or the rotor does not go between them.',
    say: 'Back the knobs off and slacken the cable before the pads come out.',
    more: 'Log what was turned, so that the next turns count from there.',
    stuck: 'See that pin and spring are out and the knobs backed off',
    moreRoom: 'More room: knobs fully back, arm on its stop.',
  },
  pistons: {
    how: 'Arm on its stop, barrel in, pistons pressed home; note whether the cable was taken off or stayed on.',
    remedy:
      'New pads are thicker: press both pistons home with a flat plastic lever while the old pads are in, arm on its stop.',
    say: 'Old pads in: press both pistons home slowly with a flat plastic lever.',
    more: 'Arm on its stop, barrel screwed in. Slowly, by turns, against the old pads: a piston is not pried at by itself.',
    stuck: 'See that pin and spring are out and the pistons pressed home',
    moreRoom: 'More room: both pistons fully home, arm on its stop.',
  },
} as const
const roomOf = (kind: DiscKind) => ROOM[kind === 'both-move' ? 'pistons' : 'knobs']

export const padSeen = (kind: DiscKind): readonly SeenSpec[] => [
  KEEPER,
  ORDER,
  REACH,
  {
    id: 'padsWith',
    title: 'pads on the new rotor',
    shorthand: 'withpads',
    how: 'What will run on the new rotor.',
    options: [
      { id: 'new', title: 'new pads' },
      { id: 'cleaned', title: 'the old ones, their faces sanded and wiped' },
      {
        id: 'as-they-are',
        title: 'the old ones as they are',
        remedy: 'What the old rotor left in them goes into the new one: clean both faces, or replace the pads.',
      },
    ],
  },
  {
    id: 'padRoom',
    title: 'room for thicker pads',
    shorthand: 'proom',
    standsOn: ['swap:brake'],
    how: roomOf(kind).how,
    options: [
      { id: 'cable-on', title: 'made, cable stayed on' },
      { id: 'cable-off', title: 'made, cable taken off' },
      {
        id: 'none',
        title: 'not made',
        remedy: roomOf(kind).remedy,
      },
    ],
  },
]

const FIRST: Readonly<Record<string, string>> = {
  outer: 'the outer pad first',
  lower: 'the lower pad first',
  together: 'both pads together',
}

const firstOut = ({ trait }: Circumstances): string =>
  FIRST[trait('padOrder') ?? ''] ?? 'the pad its maker’s sheet names first'
const pinned = ({ trait }: Circumstances): boolean => trait('padKeeper') === 'pin'

/** Asked of a caliper nobody has looked into, once. */
const notLookedAt = (here: Circumstances): boolean =>
  padsComeOut(here) &&
  ['padKeeper', 'padOrder'].some((id) => here.trait(id) === 'unknown' || here.seen(id) !== undefined)

/** New pads, each step in its order. */
export const padSteps = (kind: DiscKind): readonly StepSpec[] => [
  {
    id: 'pads-with',
    station: 'pads',
    title: 'pads for the new rotor',
    say: 'Decide which pads run on the new rotor.',
    why: 'Old pads carry what the old rotor left in them.',
    cautions: ['clean'],
    mayLeave: 'what the old rotor left in the pads goes into the new one',
    done: { kind: 'in-window', readings: ['padsWith'] },
    when: changingRotor,
  },
  {
    id: 'pads-way-out',
    station: 'pads',
    title: 'how its pads come out',
    say: 'See what keeps the pads, and which of them comes out first.',
    more: 'Kept with this brake: it is not asked again.',
    why: 'A pad pulled the wrong way bends its spring.',
    cautions: [],
    maySkip: 'it is asked again at the next change of pads',
    done: { kind: 'measured', readings: ['padKeeper', 'padOrder'] },
    when: notLookedAt,
  },
  {
    id: 'pads-room',
    station: 'pads',
    title: 'room made for new pads',
    say: roomOf(kind).say,
    more: roomOf(kind).more,
    why: 'New pads are thicker than those that come out.',
    cautions: ['tension'],
    done: { kind: 'in-window', readings: ['padRoom'] },
    when: changingPads,
  },
  {
    id: 'pads-reach',
    station: 'pads',
    title: 'how the pads are reached',
    say: 'Choose how the pads are reached: from the top, wheel out, or caliper off.',
    more: 'What is not moved need not be set again. A stand can tip as a heavy wheel comes out: hold the bicycle.',
    why: 'Wheel or caliper that was off to reach them stands anew, the same pads or not.',
    cautions: ['rotor'],
    done: { kind: 'measured', readings: ['padReach'] },
    when: (here) => padsComeOut(here) && !changingRotor(here),
  },
  {
    id: 'pads-out',
    station: 'pads',
    standsOn: ['swap:brake'],
    shorthand: 'padsout',
    title: 'pads out',
    say: (here) =>
      pinned(here)
        ? `Straighten the split pin and pull it; then ${firstOut(here)}.`
        : `Gloves on: press the spring out of its seat, ${firstOut(here)}.`,
    more: (here) =>
      `${wheelOutForPads(here) ? 'Wheel out first, hot rotor or not by its carrier; the bicycle is held as a heavy wheel comes out. ' : ''}${pinned(here) ? 'Needle-nose pliers; a stuck pin is twisted and walked out. ' : ''}Note which way round each pad and the spring lie. Do not touch the old compound with bare fingers.`,
    why: 'The spring goes back the way it lay; compound that was oily fouls what it touches.',
    tools: ['gloves', 'needle-nose pliers'],
    cautions: ['clean', 'rotor-out'],
    done: {
      kind: 'confirmed',
      did: 'Pads taken out',
      well: 'Out',
      ill: 'One does not come',
      remedy: `${roomOf(kind).stuck}; it comes towards the wheel side or the top, not by a lever against the rotor.`,
    },
    when: padsComeOut,
  },
  {
    id: 'pads-cleaned',
    station: 'pads',
    standsOn: ['confirm:pads-out', 'swap:pads'],
    shorthand: 'pclean',
    title: 'pads looked at and cleaned',
    say: 'Hold both faces to the light; dull them flat on clean abrasive paper, wet.',
    more: 'Oil shows as a dark edge and beads water. Compound that is cracked, or loose from its plate, is done with. Wet the dust, do not blow.',
    why: 'A glazed face squeals and brakes weakly; oil does not come out by riding.',
    tools: ['abrasive paper, clean', 'isopropyl alcohol'],
    cautions: ['clean'],
    mends: ['pads'],
    done: {
      kind: 'confirmed',
      did: 'Pads looked at and cleaned',
      well: 'Clean and whole',
      ill: 'Oily, cracked or loose',
      remedy: 'Replace both pads, and wipe the rotor with isopropyl alcohol.',
      stop: true,
    },
    when: lookingAtPads,
  },
  {
    id: 'pads-in',
    station: 'pads',
    standsOn: ['confirm:pads-out', 'swap:pads'],
    shorthand: 'padsin',
    title: 'pads in',
    say: (here) => {
      const which = changingPads(here) || here.swapped('pads') ? 'the new pads' : 'the pads'
      return pinned(here)
        ? `Spring between ${which}, in the way they lay; new pin, its end bent to 90°.`
        : `Spring between ${which}, its ends seated in their holes, in as they lay.`
    },
    more: 'By their edges and plates only: nothing oily near the compound. Inner and outer may differ; compound faces the rotor.',
    why: 'A pad the wrong way round brakes on its plate; a split pin is bent once.',
    tools: ['new split pin', 'isopropyl alcohol'],
    cautions: ['clean'],
    mends: ['pads'],
    done: {
      kind: 'confirmed',
      did: 'Pads put in, held by pin or spring',
      well: 'In, compound to the rotor',
      ill: 'They do not go in',
      remedy: `${roomOf(kind).moreRoom} Pads of another shape do not belong to this caliper.`,
      stop: true,
    },
    when: (here) => padsComeOut(here) || here.swapped('pads'),
  },
  {
    id: 'wheel-back',
    station: 'pads',
    standsOn: ['confirm:pads-in'],
    shorthand: 'wback',
    title: 'wheel home again',
    say: 'Rotor between the pads, wheel fully home in the dropouts, close it.',
    more: 'Where the rotor does not go between: the pads are pushed home with a clean flat wedge, the arm on its stop. Nothing is squeezed while the wheel is out.',
    why: 'The gaps are those of a wheel that stands home.',
    tools: ['clean flat wedge'],
    cautions: ['rotor', 'maker'],
    done: {
      kind: 'confirmed',
      did: 'Wheel out and home again',
      well: 'Home and closed',
      ill: 'Does not stand straight',
      remedy: 'Open it, look for dirt or a washer in the dropouts, push it home again, and close it.',
      stop: true,
    },
    when: wheelOutForPads,
  },
  {
    id: 'pads-sound',
    posture: 'walk-round',
    station: 'pads',
    title: 'pads sound and clean',
    say: 'Measure how thick both pads still are, and look at their faces.',
    why: 'A worn pad brakes on its plate; one thinner than the other says that the fixed gap was too wide or too narrow.',
    tools: ['caliper'],
    cautions: ['clean', 'rotor'],
    mends: ['pads'],
    loosens: 'shoes-loosened',
    mayLeave: 'the pads are near their end',
    done: { kind: 'in-window', readings: ['padFixed', 'padMoving', 'discPads'] },
    whenOut:
      kind === 'both-move'
        ? 'Replace both pads. New ones are thicker: make room for them before the old ones come out.'
        : 'Replace both pads. New ones are thicker: back the knobs off and slacken the cable first.',
    when: wholeOr('swap:pads'),
  },
  {
    id: 'pads-kept',
    posture: 'walk-round',
    station: 'pads',
    standsOn: [...PADS_NEW, 'swap:brake', ...SHOES_LOOSE],
    shorthand: 'kept',
    title: 'pads held in the caliper',
    say: 'See that pin or spring holds both pads, and pull at them by hand.',
    more: (here) =>
      padsComeOut(here) || here.swapped('pads') || here.loosened('shoes')
        ? 'A split pin that was out is new, bent to 90°; a spring’s ends sit in the pads’ holes.'
        : 'A split pin’s end is bent; a spring’s ends sit in the pads’ holes.',
    why: 'A pad that comes out leaves no brake.',
    cautions: ['clean'],
    beforeRiding: true,
    done: {
      kind: 'confirmed',
      well: 'Held',
      ill: 'One comes out',
      remedy: 'Fit a new split pin and bend its end, or seat the spring’s ends in the pads’ holes; then pull again.',
      stop: true,
    },
    when: wholeOr('swap:pads', 'confirm:shoes-loosened'),
  },
]
