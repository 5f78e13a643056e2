import type { Graph } from '../../brake/graph.ts'
import { lengths, type ReadingSpec, type SeenSpec } from '../../brake/reading.ts'
import type { Circumstances, StepSpec } from '../../brake/step.ts'
import { TORQUES } from '../../reference/torques.ts'
import { starOrder } from './star.ts'

/** The work of changing a rotor. */
export const ROTOR_WORK = {
  id: 'new-rotor',
  title: 'changing the rotor',
  says: 'The whole sheet, the rotor first; bracket and spacers are planned where its diameter changes.',
}

export const changingRotor = ({ work }: Circumstances): boolean => work === ROTOR_WORK.id
const onMotor = (here: Circumstances): boolean => changingRotor(here) && here.trait('assisted') === 'yes'

/** Bolts a rotor usually has, until they are counted. */
export const USUAL_BOLTS = 6
const [low, high] = TORQUES.rotor.nm
/** Tightened in two rounds, N·m. */
export const ROTOR_NM = { low, high } as const

const rule = lengths(0.3)

/** What is measured of a rotor before it comes off, and of the one that goes on. */
export const CHANGE_READINGS: readonly ReadingSpec[] = [
  {
    ...rule('rotorBolts', 'rotor’s bolts', 'rbolts', [3, 12], 'counted', 'Bolts round the carrier.'),
    unit: 'count',
    sd: 0,
  },
]

const OFF_IT =
  'Off with all of it: isopropyl alcohol on bolts and threads, then fresh medium threadlocker. Heat carries grease to the rotor.'

export const CHANGE_SEEN: readonly SeenSpec[] = [
  {
    id: 'rotorHold',
    title: 'rotor is held by',
    shorthand: 'rhold',
    how: 'Look at the middle of the wheel: bolts round the carrier, or one ring on a toothed hub.',
    options: [
      { id: 'bolted', title: 'bolts' },
      { id: 'ring', title: 'a centre lock ring' },
    ],
  },
  {
    id: 'rotorKey',
    title: 'rotor’s key',
    shorthand: 'rkey',
    how: 'Try the key by hand: it sits to the bottom without play, or it is another one.',
    options: [
      { id: 'hex-4', title: '4 mm hex key' },
      { id: 'star-t20', title: 'star key T20' },
      { id: 'star-t25', title: 'star key T25' },
      { id: 'ring', title: 'ring tool' },
    ],
  },
  {
    id: 'rotorWay',
    title: 'new rotor lies',
    shorthand: 'arrow',
    how: 'The arrow on it, and which way its lettering faces.',
    options: [
      { id: 'right', title: 'arrow with the wheel, lettering out' },
      {
        id: 'wrong',
        title: 'the other way',
        remedy:
          'Turn it round: its arms are made to be pulled one way. The arrow follows the wheel, the lettering faces out.',
        stop: true,
      },
    ],
  },
  {
    id: 'rotorThreads',
    title: 'on the rotor’s threads',
    shorthand: 'rlock',
    how: 'What goes on the bolts, or under the lock ring, before they are turned in.',
    options: [
      { id: 'medium', title: 'medium threadlocker, fresh' },
      { id: 'maker', title: 'dry, as its maker says' },
      { id: 'grease', title: 'grease or oil', remedy: OFF_IT, stop: true },
      {
        id: 'permanent',
        title: 'the permanent kind',
        remedy: 'It needs heat to come out again, beside a rotor and pads. Clean it off and use the medium kind.',
      },
    ],
  },
]

const inOrder = ({ number }: Circumstances): string => starOrder(number('rotorBolts') ?? USUAL_BOLTS).join('–')
const ring = ({ seen }: Circumstances): boolean => seen('rotorHold') === 'ring'

/** What comes before a rotor is touched, and what it is measured by. */
export const ROTOR_BEFORE: readonly StepSpec[] = [
  {
    id: 'rotor-old',
    station: 'wheel',
    before: 'wheel-seated',
    title: 'old rotor, how it is held, and its key',
    say: 'Gloves on. Measure the old rotor, see how it is held, and try its key.',
    why: 'A key that does not sit rounds the bolt. The old diameter tells how far the caliper must move.',
    tools: ['gloves', '4 mm hex key', 'star keys T20 and T25'],
    cautions: ['rotor', 'clean'],
    done: { kind: 'measured', readings: ['stackRotor', 'trackDeep', 'rotorHold', 'rotorBolts', 'rotorKey'] },
    exempt: { rotorBolts: { reading: 'rotorHold', is: 'ring' } },
    when: changingRotor,
  },
  {
    id: 'rotor-new',
    station: 'wheel',
    before: 'wheel-seated',
    title: 'new rotor measured',
    say: 'Measure the new rotor across and the depth of its track.',
    more: 'Hold it by its carrier. Its diameter is often printed on it.',
    why: 'Half of what it is wider, the caliper must stand further out.',
    tools: ['rule', 'caliper'],
    cautions: ['rotor', 'heavy'],
    done: { kind: 'measured', readings: ['rotorWide', 'trackNew'] },
    when: changingRotor,
  },
]

/** The rotor off and on again, each step in its order. */
export const ROTOR_STEPS: readonly StepSpec[] = [
  {
    id: 'axle-noted',
    station: 'wheel',
    shorthand: 'plug',
    before: 'wheel-seated',
    title: 'motor’s plug and axle washers',
    say: 'Pull the motor’s plug, and write down how the washers lie on the axle.',
    more: 'A note, or a picture: plug’s way round, each washer in its order from the frame outwards.',
    why: 'Washers that hold the axle against turning lie one way only.',
    cautions: ['motor'],
    done: {
      kind: 'confirmed',
      well: 'Pulled and noted',
      ill: 'The plug does not part',
      remedy: 'Do not pull at the wires. Its maker’s instructions say how it is unlatched.',
    },
    when: onMotor,
  },
  {
    id: 'rotor-off',
    station: 'wheel',
    shorthand: 'roff',
    before: 'wheel-seated',
    title: 'old rotor off',
    say: 'Wheel out, rotor cool: loosen its bolts crosswise and lift it off by its carrier.',
    more: (here) =>
      `${ring(here) ? 'The lock ring with its tool, held down hard. ' : ''}Gloves; its track is not touched. Where the new one is larger, caliper and bracket come off first.`,
    why: 'A track touched by bare or greasy fingers fouls the pads.',
    tools: ['gloves', 'rotor’s key'],
    cautions: ['rotor', 'rotor-out'],
    done: {
      kind: 'confirmed',
      well: 'Off',
      ill: 'A bolt does not come loose',
      remedy:
        'Clean the key’s seat and press the key home; a longer key, pulled slowly. Heat is not used near pads. A rounded bolt is drilled out by whoever does that often.',
    },
    when: changingRotor,
  },
  {
    id: 'rotor-on',
    station: 'wheel',
    before: 'wheel-seated',
    title: 'new rotor on, bolts started',
    say: 'Wipe both faces; rotor on, arrow with the wheel; start each bolt by fingers.',
    more: 'Fresh medium threadlocker on every bolt, never grease or oil. Isopropyl alcohol and a clean cloth.',
    why: 'A bolt started by fingers is not across its thread. Heat carries grease to the track.',
    tools: ['isopropyl alcohol', 'medium threadlocker'],
    cautions: ['rotor', 'clean'],
    done: { kind: 'in-window', readings: ['rotorWay', 'rotorThreads'] },
    when: changingRotor,
  },
  {
    id: 'rotor-star',
    station: 'wheel',
    shorthand: 'star',
    before: 'wheel-seated',
    title: 'rotor tightened in a star',
    say: (here) =>
      ring(here)
        ? 'Tighten the lock ring to its maker’s figure.'
        : 'Snug all, back off half a turn, take up the slop, tighten in a star.',
    more: (here) =>
      ring(here)
        ? 'Its figure stands on the ring; the tool pressed home, the rotor’s teeth fully in.'
        : `Turn the rotor against its driving direction and nip two bolts while it is held. Then bolts ${inOrder(here)}, numbered clockwise, round one to about half, round two to ${ROTOR_NM.low}–${ROTOR_NM.high} N·m (common practice; the maker’s figure comes first).`,
    why: 'The rotor then pulls on its holes from the first stop on, and lies flat on the hub.',
    tools: ['torque wrench'],
    cautions: ['rotor', 'maker'],
    mustBeDone: true,
    done: {
      kind: 'confirmed',
      well: 'Tight, two rounds',
      ill: 'One does not tighten',
      remedy:
        'A stripped thread in the hub is for a wheel builder; a bolt too long bottoms before it clamps: use the rotor’s own.',
      stop: true,
    },
    when: changingRotor,
  },
  {
    id: 'rotor-wiped',
    station: 'wheel',
    shorthand: 'wiped',
    before: 'wheel-seated',
    title: 'both faces wiped again',
    say: 'Wipe both faces once more, and look at them in the light.',
    why: 'Threadlocker and fingers leave marks that the first stops burn in.',
    tools: ['isopropyl alcohol'],
    cautions: ['clean', 'rotor'],
    done: {
      kind: 'confirmed',
      well: 'Clean',
      ill: 'Marks remain',
      remedy: 'Wipe again with a fresh cloth; new rotors are oiled against rust.',
    },
    when: changingRotor,
  },
  {
    id: 'axle-nuts',
    station: 'wheel',
    shorthand: 'axle',
    before: 'hub-play',
    title: 'axle nuts and plug as they were',
    say: 'Washers as noted, axle nuts to the maker’s figure, plug home; battery stays out.',
    why: 'A motor turns its axle in the dropouts where a washer lies wrong or a nut is loose.',
    tools: ['torque wrench'],
    cautions: ['motor', 'maker'],
    mustBeDone: true,
    done: {
      kind: 'confirmed',
      well: 'Tight, plug home',
      ill: 'The axle turns or a washer does not lie',
      remedy: 'Take the wheel out again: a worn dropout or a missing washer is for the maker’s workshop.',
      stop: true,
    },
    when: onMotor,
  },
]

export const CHANGE_GRAPH: Graph = {
  'reading:rotorBolts': ['swap:wheel'],
  'reading:rotorHold': ['swap:wheel'],
  'confirm:axle-noted': ['swap:wheel'],
  'confirm:rotor-off': ['swap:wheel'],
  'reading:rotorWay': ['confirm:rotor-off', 'swap:rotor'],
  'reading:rotorThreads': ['confirm:rotor-off', 'swap:rotor'],
  'confirm:rotor-star': ['confirm:rotor-off', 'swap:rotor', 'confirm:rotor-loosened', 'reading:rotorThreads'],
  'confirm:rotor-wiped': ['confirm:rotor-off', 'swap:rotor', 'confirm:rotor-star'],
  'confirm:wheel-seated': ['confirm:rotor-off'],
  'confirm:axle-nuts': ['confirm:rotor-off', 'confirm:wheel-seated', 'confirm:axle-noted'],
}
