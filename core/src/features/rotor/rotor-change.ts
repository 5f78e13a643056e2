import { motorHere } from '../../bench/motor.ts'
import { rangeOf } from '../../brake/dimension.ts'
import type { Looked, OnStand } from '../../brake/on-stand.ts'
import { lengths, type ReadingSpec, type SeenSpec } from '../../brake/reading.ts'
import type { Circumstances, StepSpec, Verdict } from '../../brake/step.ts'
import { TORQUES } from '../../reference/torques.ts'
import { DISC_DIMENSIONS } from '../disc-caliper/dimensions.ts'
import { leverMatchAt } from '../match/judge.ts'
import { starOrder } from './star.ts'

/** The work of changing a rotor. */
export const ROTOR_WORK = {
  id: 'new-rotor',
  title: 'changing the rotor',
  says: 'The whole sheet, the rotor first; bracket and spacers are planned where its diameter changes.',
  loosensWheel: true,
} as const

export const changingRotor = ({ work }: Circumstances): boolean => work === ROTOR_WORK.id
/** A new rotor goes on: that is the job, or it was told as a swap in another one. */
export const rotorGoesOn = (here: Circumstances): boolean => changingRotor(here) || here.swapped('rotor')
const onMotor = (here: Circumstances): boolean =>
  motorHere(here) && (changingRotor(here) || here.happened(['confirm:axle-loosened', 'swap:wheel']))

/** Bolts a rotor usually has, until they are counted. */
export const USUAL_BOLTS = 6
const [low, high] = TORQUES.rotor.nm
/** Tightened in two rounds, N·m. */
export const ROTOR_NM = { low, high } as const

const rule = lengths(0.3)

/** What is measured of a rotor before it comes off, and of the one that goes on. */
export const CHANGE_READINGS: readonly ReadingSpec[] = [
  {
    ...rule('rotorBolts', 'rotor’s bolts', 'rbolts', [3, 12], 'counted', 'Bolts round the carrier.', {
      practice: 6,
      standsOn: ['swap:wheel'],
    }),
    unit: 'count',
    sd: 0,
  },
  rule(
    'rotorLargest',
    'largest rotor its maker allows',
    'rlarge',
    rangeOf(DISC_DIMENSIONS, 'rotorDiameterMm'),
    'read in the papers',
    'From the maker of frame or fork; in its papers, or marked at the mount.',
    { sd: 0, practice: 203 },
  ),
]

const OFF_IT =
  'Off with all of it: isopropyl alcohol on bolts and threads, then fresh medium threadlocker. Heat carries grease to the rotor.'

const RING_THREAD: SeenSpec = {
  id: 'ringThread',
  title: 'on the lock ring’s thread',
  shorthand: 'ringlock',
  standsOn: ['confirm:rotor-off', 'swap:rotor'],
  how: 'What goes on the ring’s thread before it is turned in.',
  options: [
    { id: 'film', title: 'a light film of grease, wiped off the faces' },
    { id: 'maker', title: 'dry, as its maker says' },
    {
      id: 'threadlocker',
      title: 'threadlocker',
      remedy: 'None belongs on a lock ring: it does not come off again. Clean it off; a light film on the thread.',
    },
  ],
}

export const CHANGE_SEEN: readonly SeenSpec[] = [
  {
    id: 'rotorHold',
    title: 'rotor is held by',
    shorthand: 'rhold',
    standsOn: ['swap:wheel'],
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
    practice: 'star-t25',
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
    standsOn: ['confirm:rotor-off', 'swap:rotor'],
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
    standsOn: ['confirm:rotor-off', 'swap:rotor'],
    how: 'What goes on the bolts before they are turned in.',
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
  RING_THREAD,
]

const inOrder = ({ number }: Circumstances): string => starOrder(number('rotorBolts') ?? USUAL_BOLTS).join('–')
/** Said where a wheel comes out. */
const TIPS = 'A stand can tip as a heavy wheel comes out: hold the bicycle.'
const ring = ({ seen }: Circumstances): boolean => seen('rotorHold') === 'ring'

/** A smaller rotor takes more hand for the same stop: not where the match then says that it is not reached. */
function judgeNewRotor(at: OnStand): Verdict | undefined {
  const [before, after] = [at.number('stackRotor'), at.number('rotorWide')]
  if (after === undefined) return undefined
  if (before === undefined || after >= before) return { state: 'well', say: '' }
  const match = leverMatchAt(at)
  if (match.ok && match.value.verdict === 'fits') return { state: 'well', say: '' }
  return {
    state: 'out',
    stop: true,
    say: `${after.toFixed(0)} mm in the place of ${before.toFixed(0)} mm: never a smaller rotor where the stop is then not reached. ${match.ok ? match.value.say : match.error.message}`,
    remedy: `Fit a rotor of ${before.toFixed(0)} mm or larger, as far as frame or fork allow it.`,
  }
}

/** A rotor larger than its maker allows is not ridden. */
function judgeLargest({ number }: OnStand): Verdict | undefined {
  const [most, after] = [number('rotorLargest'), number('rotorWide')]
  if (most === undefined || after === undefined) return undefined
  return after <= most + SAME_MM
    ? { state: 'well', say: '' }
    : {
        state: 'out',
        stop: true,
        say: `The rotor is ${after.toFixed(0)} mm, its maker allows ${most.toFixed(0)} mm here at most. Do not ride.`,
        remedy: `Fit a rotor of at most ${most.toFixed(0)} mm.`,
      }
}

/** A rule across a rotor reads no closer, mm. Our choice. */
const SAME_MM = 1
const isLarger = ({ number }: Looked): boolean =>
  (number('rotorWide') ?? 0) > (number('stackRotor') ?? Number.POSITIVE_INFINITY) + SAME_MM

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
    maySkip: 'how far the caliper must move is not worked out',
    done: { kind: 'measured', readings: ['stackRotor', 'rotorHold', 'rotorBolts', 'rotorKey'] },
    exempt: { rotorBolts: { reading: 'rotorHold', is: 'ring' } },
    when: changingRotor,
  },
  {
    id: 'rotor-new',
    station: 'wheel',
    before: 'wheel-seated',
    title: 'new rotor measured and tried',
    say: 'Measure the new rotor across, and try it on its hub.',
    more: 'Hold it by its carrier. Its diameter is often printed on it. Holes or teeth must meet without force.',
    why: 'Half of what it is wider, the caliper must stand further out; of the same size, nothing else moves.',
    tools: ['rule', 'caliper'],
    cautions: ['rotor', 'heavy'],
    done: { kind: 'judged', judge: judgeNewRotor, readings: ['rotorWide'], optional: ['stackRotor'] },
    mends: ['rotor'],
    when: changingRotor,
  },
  {
    id: 'rotor-largest',
    station: 'wheel',
    before: 'wheel-seated',
    title: 'largest rotor its maker allows',
    say: 'Look up the largest rotor that the maker of this frame or fork allows.',
    why: 'A larger rotor pulls harder at its mount: only its maker knows what that bears.',
    tools: ['the maker’s papers'],
    cautions: ['maker'],
    done: { kind: 'judged', judge: judgeLargest, readings: ['rotorLargest'] },
    when: (here) => changingRotor(here) && isLarger(here),
  },
]

/** The rotor off and on again, each step in its order. */
export const ROTOR_STEPS: readonly StepSpec[] = [
  {
    id: 'axle-noted',
    station: 'wheel',
    standsOn: ['swap:wheel'],
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
    standsOn: ['swap:wheel'],
    shorthand: 'roff',
    before: 'wheel-seated',
    title: 'old rotor off',
    say: (here) =>
      ring(here)
        ? 'Wheel out, rotor cool: undo its lock ring and lift it off by its carrier.'
        : 'Wheel out, rotor cool: loosen its bolts crosswise and lift it off by its carrier.',
    more: (here) =>
      `${ring(here) ? 'The ring tool held down hard. ' : ''}Gloves; its track is not touched. Its bolts are kept for their length. Where the new one is larger, caliper and bracket come off first. ${TIPS}`,
    why: 'A track touched by bare or greasy fingers fouls the pads.',
    tools: ['gloves', 'rotor’s key'],
    cautions: ['rotor', 'rotor-out'],
    done: {
      kind: 'confirmed',
      did: 'Old rotor taken off',
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
    say: (here) =>
      ring(here)
        ? 'Wipe both faces; rotor on, arrow with the wheel; ring started by hand.'
        : 'Wipe both faces; rotor on, arrow with the wheel; start each bolt by fingers.',
    more: (here) =>
      ring(here)
        ? 'A light film on the ring’s thread only, wiped off the faces. Isopropyl alcohol and a clean cloth.'
        : 'Fresh medium threadlocker on every bolt, never grease or oil. Isopropyl alcohol and a clean cloth.',
    why: 'What is started by hand is not across its thread. Heat carries grease to the track.',
    tools: ['isopropyl alcohol', 'medium threadlocker'],
    cautions: ['rotor', 'clean'],
    done: { kind: 'in-window', readings: ['rotorWay', 'rotorThreads', 'ringThread'] },
    exempt: {
      rotorThreads: { reading: 'rotorHold', is: 'ring' },
      ringThread: { reading: 'rotorHold', isNot: 'ring' },
    },
    when: rotorGoesOn,
  },
  {
    id: 'rotor-star',
    station: 'wheel',
    standsOn: ['confirm:rotor-off', 'swap:rotor', 'confirm:rotor-loosened', 'reading:rotorThreads'],
    shorthand: 'star',
    before: 'wheel-seated',
    title: 'rotor tightened in a star',
    say: (here) =>
      ring(here)
        ? 'Tighten the lock ring to its maker’s figure, about 40 N·m from memory.'
        : 'Snug all, back off half a turn, take up the slop, tighten in a star.',
    more: (here) =>
      ring(here)
        ? 'Its figure stands on the ring; the tool pressed home, the rotor’s teeth fully in.'
        : `Turn the rotor against its driving direction and nip two bolts while it is held. Then bolts ${inOrder(here)}, numbered clockwise, round one to about half, round two to ${ROTOR_NM.low}–${ROTOR_NM.high} N·m (common practice; the maker’s figure comes first).`,
    why: 'The rotor then pulls on its holes from the first stop on, and lies flat on the hub.',
    tools: ['torque wrench'],
    cautions: ['rotor', 'maker'],
    done: {
      kind: 'confirmed',
      did: 'Rotor tightened in a star, in two rounds',
      well: 'Tight, two rounds',
      ill: 'One does not tighten',
      remedy:
        'A stripped thread in the hub is for a wheel builder; a bolt too long bottoms before it clamps: use the rotor’s own.',
      stop: true,
    },
    when: rotorGoesOn,
  },
  {
    id: 'rotor-wiped',
    station: 'wheel',
    standsOn: ['confirm:rotor-off', 'swap:rotor', 'confirm:rotor-star'],
    shorthand: 'wiped',
    before: 'wheel-seated',
    title: 'both faces wiped again',
    say: 'Wipe both faces once more, and look at them in the light.',
    why: 'Threadlocker and fingers leave marks that the first stops burn in.',
    tools: ['isopropyl alcohol'],
    cautions: ['clean', 'rotor'],
    done: {
      kind: 'confirmed',
      did: 'Both faces of the rotor wiped',
      well: 'Clean',
      ill: 'Marks remain',
      remedy: 'Wipe again with a fresh cloth; new rotors are oiled against rust.',
    },
    when: rotorGoesOn,
  },
  {
    id: 'axle-nuts',
    station: 'wheel',
    standsOn: ['confirm:rotor-off', 'confirm:wheel-seated', 'confirm:axle-noted'],
    shorthand: 'axle',
    before: 'hub-play',
    title: 'axle nuts and plug as they were',
    say: 'Washers as noted, axle nuts to the maker’s figure, plug home; battery stays out.',
    why: 'A motor turns its axle in the dropouts where a washer lies wrong or a nut is loose.',
    tools: ['torque wrench'],
    cautions: ['motor', 'maker'],
    done: {
      kind: 'confirmed',
      did: 'Axle nuts tightened, washers and plug as they were',
      well: 'Tight, plug home',
      ill: 'The axle turns or a washer does not lie',
      remedy: 'Take the wheel out again: a worn dropout or a missing washer is for the maker’s workshop.',
      stop: true,
    },
    when: onMotor,
  },
]
