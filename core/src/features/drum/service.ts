import { SHOES_LOOSE } from '../../bench/unsettled.ts'
import type { OnStand } from '../../brake/on-stand.ts'
import { type Circumstances, fitting, type StepSpec, type Verdict } from '../../brake/step.ts'
import { OPENED } from './unsettled.ts'

/** Opening the drum, and a squeal after damp standing. */
export const SERVICE_WORK = {
  id: 'service',
  title: 'opening the drum',
  says: 'The whole sheet, the drum opened first: marked, cleaned, linings looked at, shoes centred, closed without play.',
  loosensWheel: true,
} as const
export const SQUEAL_WORK = {
  id: 'damp',
  title: 'a squeal after damp',
  says: 'The whole sheet first; then hard stops, and whether the squeal is gone after them.',
}

const opening = ({ work }: Circumstances): boolean => work === SERVICE_WORK.id
const squealing = ({ work }: Circumstances): boolean => work === SQUEAL_WORK.id
/** Quiet before any hard stop, none is made for it. */
const stillSquealing = (here: Circumstances): boolean => squealing(here) && here.seen('squeals') !== 'quiet'
/** The plate was off or loose, in whatever job: shoes are centred, and the bearing adjusted after them. */
export const closed = (here: Circumstances): boolean =>
  opening(here) || fitting(here) || here.loosened('shoes') || here.swapped('pads') || here.swapped('wheel')
/** Strap and cable were off: the drum was opened, the brake fitted, or its wheel changed. */
const unhooked = (here: Circumstances): boolean =>
  opening(here) || fitting(here) || here.swapped('pads') || here.swapped('wheel')

/** A drum goes by the largest diameter stamped in it. */
function judgeInside({ number }: Pick<OnStand, 'number'>): Verdict | undefined {
  const inside = number('drumInside')
  if (inside === undefined) return undefined
  const most = number('drumStamped')
  if (most === undefined)
    return { state: 'well', say: '', remark: 'not judged: no largest diameter is stamped; its maker’s sheet says' }
  return inside > most
    ? {
        state: 'out',
        stop: true,
        say: `The drum is ${inside.toFixed(1)} mm inside, stamped ${most.toFixed(1)} mm at most. Do not ride.`,
        remedy: 'Replace the hub shell or the wheel: a drum worn past its mark can burst.',
      }
    : { state: 'well', say: '' }
}

/** From the felt pen to the axle nuts, in the order of the hand. All of it stands with the wheel. */
export const SERVICE_STEPS: readonly StepSpec[] = [
  {
    id: 'arm-marked',
    station: 'wheel',
    standsOn: ['swap:wheel'],
    shorthand: 'armmark',
    before: 'wheel-seated',
    title: 'arm marked against the axle',
    say: 'Mark the brake arm against the axle’s flats with a felt pen.',
    more: 'Before anything is loosened.',
    why: 'The angle between axle and reaction arm was set on the bicycle; without a mark it is set anew.',
    tools: ['felt pen'],
    cautions: [],
    maySkip: 'the arm is set anew on the bicycle',
    done: {
      kind: 'confirmed',
      did: 'Brake arm marked against the axle',
      well: 'Marked',
      ill: 'Nothing to mark against',
      remedy: 'Without flats, mark axle and plate by a line across both, and take a picture.',
    },
    when: opening,
  },
  {
    id: 'cable-off',
    station: 'wheel',
    standsOn: ['swap:wheel'],
    shorthand: 'coff',
    before: 'wheel-seated',
    title: 'cable and strap off, wheel out',
    say: 'Cable off the brake arm, strap off its stay; then the wheel out.',
    more: 'Barrel in first, for slack. Note how washers and strap lie; a stand can tip as a heavy wheel comes out.',
    why: 'A strap that stays on bends stay or plate as the wheel comes out.',
    cautions: ['tension'],
    done: {
      kind: 'confirmed',
      did: 'Cable and strap taken off',
      well: 'Off, wheel out',
      ill: 'Does not come off',
      remedy: 'Barrel fully in, or cable let out at the anchor; a seized nut of the strap gets penetrant and time.',
    },
    when: opening,
  },
  {
    id: 'plate-off',
    station: 'wheel',
    standsOn: ['swap:wheel'],
    shorthand: 'plateoff',
    before: 'wheel-seated',
    title: 'brake plate off',
    say: 'Axle in the vice: lock nut, cone adjuster, then lift the plate off.',
    more: 'Thin spanner (17 mm is usual, from memory) on the lock nut, hook spanner on the cone adjuster. Lay the parts down in their order.',
    why: 'Dust lies under the plate: it is made wet before it can rise.',
    tools: ['vice with soft jaws', 'thin 17 mm spanner', 'hook spanner'],
    cautions: ['drum-dust'],
    done: {
      kind: 'confirmed',
      did: 'Brake plate taken off',
      well: 'Off',
      ill: 'Does not come off',
      remedy: 'Let the shoes off: slacken the cable, turn the arm back. A ridge worn in the drum holds them else.',
    },
    when: opening,
  },
  {
    id: 'drum-clean',
    station: 'wheel',
    before: 'wheel-seated',
    title: 'drum and plate cleaned',
    say: 'Wet-clean drum and plate with soap and water; never blow, never brush dry.',
    more: 'Let both dry. Rust in the drum does not matter, light sanding is fine.',
    why: 'Older linings may hold asbestos: local rules come first. Solvent and citrus soak into linings.',
    tools: ['soap, water, cloths'],
    cautions: ['drum-dust'],
    mends: ['pads'],
    done: { kind: 'in-window', readings: ['cleanedWith'] },
    when: opening,
  },
  {
    id: 'linings-sound',
    station: 'wheel',
    before: 'wheel-seated',
    title: 'linings and rivets',
    say: 'Measure the linings, look at their faces, and press on every rivet.',
    why: 'A loose rivet lets the lining go; at its rivets it has no friction and ruins the drum.',
    tools: ['caliper'],
    cautions: ['drum-dust', 'clean'],
    mends: ['pads'],
    mayLeave: 'the linings are near their end',
    done: { kind: 'in-window', readings: ['liningThick', 'rivets', 'liningFace'], optional: ['camKind'] },
    whenOut: 'Replace the plate assembly before they are at their rivets.',
    when: (here) => opening(here) || here.swapped('pads'),
  },
  {
    id: 'drum-sound',
    station: 'wheel',
    before: 'wheel-seated',
    title: 'drum inside',
    say: 'Measure the drum across, and read the largest diameter stamped in it.',
    why: 'A drum worn past its mark can burst, and its shoes spread too far.',
    tools: ['inside caliper'],
    cautions: [],
    done: { kind: 'judged', judge: judgeInside, readings: ['drumInside'], optional: ['drumStamped'] },
    when: (here) => opening(here) || here.swapped('wheel'),
  },
  {
    id: 'greased',
    station: 'wheel',
    standsOn: OPENED,
    shorthand: 'greased',
    before: 'wheel-seated',
    title: 'cam greased thinly, pivots dry',
    say: 'Thin grease on the cam only; dry lubricant on the pivots; none on the linings.',
    why: 'What is more than thin is thrown on to the linings.',
    tools: ['grease', 'dry lubricant'],
    cautions: ['clean'],
    done: {
      kind: 'confirmed',
      did: 'Cam greased thinly, pivots lubricated dry',
      well: 'Cam and pivots only',
      ill: 'Some is on a lining',
      remedy: 'Grease does not come out of a lining: replace the plate assembly.',
      stop: true,
    },
    when: opening,
  },
  {
    id: 'plate-on',
    station: 'wheel',
    standsOn: OPENED,
    shorthand: 'plateon',
    before: 'wheel-seated',
    title: 'plate on, to its mark',
    say: 'Plate back on, arm to its felt-pen mark; cone adjuster by fingers.',
    why: 'A plate off its mark pulls strap and cable askew.',
    cautions: [],
    done: {
      kind: 'confirmed',
      did: 'Plate put back on, to its mark',
      well: 'To the mark',
      ill: 'Does not go back to it',
      remedy: 'Take it off and look how the axle’s flats and the parts lay; the picture or the note says.',
    },
    when: opening,
  },
  {
    id: 'arm-angle',
    station: 'wheel',
    standsOn: ['swap:wheel', 'swap:brake'],
    shorthand: 'armset',
    before: 'wheel-seated',
    title: 'arm set on the bicycle',
    say: 'Wheel home, right nut holding, left one on; the strap to its stay.',
    more: 'Then the cone, and the lock nut last; the chain with the nuts. The angle between axle and reaction arm is set on the bicycle, not in the vice.',
    why: 'Set in the vice it fits another frame.',
    cautions: ['maker'],
    done: {
      kind: 'confirmed',
      did: 'Reaction arm set on the bicycle',
      well: 'Set',
      ill: 'The strap does not reach',
      remedy: 'Turn plate and arm on the axle until strap and stay meet without force, then tighten again.',
    },
    when: (here) => fitting(here) || here.swapped('wheel'),
  },
  {
    id: 'shoes-centred',
    station: 'wheel',
    standsOn: [...OPENED, ...SHOES_LOOSE, 'confirm:plate-on'],
    shorthand: 'centred',
    before: 'wheel-seated',
    title: 'shoes centred',
    say: 'Press the brake arm on by hand, hold it, and tighten the cone adjuster so.',
    more: 'By hand, as the cable is off; before the cone is turned. The shoes push the plate to the drum’s middle, and the cone holds it there.',
    why: 'A plate off the middle lets one shoe scrape while the other does nothing.',
    tools: ['hook spanner'],
    cautions: [],
    done: {
      kind: 'confirmed',
      did: 'Shoes centred with the brake held on',
      well: 'Held on and tightened',
      ill: 'Shoes do not take hold',
      remedy:
        'Turn the arm further by hand until they do; where it meets nothing, the linings are at their end: look at them again.',
    },
    when: closed,
  },
  {
    id: 'play-set',
    station: 'wheel',
    before: 'wheel-seated',
    title: 'bearing adjusted to just no play',
    say: 'Adjust the cone until the play at the rim is just gone; measure it.',
    why: 'Play lets the shoes off their middle; too tight wears the bearing.',
    tools: ['hook spanner'],
    cautions: [],
    done: { kind: 'in-window', readings: ['hubPlay'] },
    whenOut: 'A little more on the cone, arm held on by hand; the axle must still turn freely.',
    when: closed,
  },
  {
    id: 'lock-nut',
    station: 'wheel',
    standsOn: ['confirm:plate-off', ...SHOES_LOOSE, 'confirm:shoes-centred', 'reading:hubPlay'],
    shorthand: 'locknut',
    before: 'wheel-seated',
    title: 'lock nut',
    say: 'Hold the cone and tighten the lock nut to the hub maker’s figure.',
    why: 'Only the maker’s figure will do; it also takes a little play away.',
    tools: ['hook spanner', 'thin 17 mm spanner', 'torque wrench'],
    cautions: ['maker'],
    done: {
      kind: 'confirmed',
      did: 'Lock nut tightened to the hub maker’s figure',
      well: 'Tight',
      ill: 'Does not tighten',
      remedy: 'A stripped axle is replaced.',
      stop: true,
    },
    when: closed,
  },
]

/** A squeal after damp: ridden once all that a ride hangs on was looked at and walked. */
export const SQUEAL_STEPS: readonly StepSpec[] = [
  {
    id: 'squeal-before',
    station: 'prove',
    title: 'squeal, before',
    say: 'Roll and brake at walking pace: does it squeal?',
    why: 'After standing in the damp a drum squeals; several hard stops usually clear it (common practice).',
    cautions: ['walking'],
    maySkip: 'what the stops changed is not told',
    done: { kind: 'measured', readings: ['squeals'] },
    when: squealing,
  },
  {
    id: 'squeal-stops',
    station: 'prove',
    title: 'several hard stops',
    say: 'Make several hard stops on a clear level place, counted.',
    more: 'By a heavier rider if there is one. From riding pace, hard, the wheel not locked. A small drum fades on a long descent: let it cool between.',
    why: 'Damp and dust on the linings are rubbed off; heat dries them.',
    cautions: ['walking'],
    maySkip: 'damp is not told apart from glaze',
    mayLeave: 'fewer stops than usually clear it',
    done: { kind: 'in-window', readings: ['hardStops'] },
    whenOut: 'A few more: three at least.',
    when: stillSquealing,
  },
  {
    id: 'squeal-after',
    station: 'prove',
    title: 'squeal, after',
    say: 'Roll and brake again: is the squeal gone?',
    why: 'What is still there after the stops is not damp.',
    cautions: [],
    maySkip: 'damp is not told apart from glaze',
    mayLeave: 'it squeals still',
    done: { kind: 'in-window', readings: ['squealsAfter'] },
    when: stillSquealing,
  },
]

/** Once plate and wheel are in: what was off goes back on. */
export const CABLE_BACK: StepSpec = {
  id: 'cable-back',
  station: 'mount',
  standsOn: ['confirm:plate-off', 'swap:brake', 'swap:wheel', 'swap:pads'],
  shorthand: 'cback',
  title: 'cable back on the arm',
  say: 'Hook the cable back in its stop and on the arm, and pull at both.',
  more: 'The strap first; then housing in its stop, inner on the arm, its head in its pocket in the lever.',
  why: 'Cable and strap were off; a brake that is not hooked is none.',
  cautions: ['reaction-arm'],
  done: {
    kind: 'confirmed',
    did: 'Cable and strap put back on',
    well: 'Hooked',
    ill: 'Does not hook',
    remedy: 'Turn the barrel in, or let cable out at the anchor, until it hooks without force.',
    stop: true,
  },
  when: unhooked,
}

/** Once the wheel is in. */
export const PLAY_AFTER: StepSpec = {
  id: 'play-after',
  station: 'wheel',
  before: 'hub-play',
  title: 'play, both axle nuts tight',
  say: 'Tighten both axle nuts, non-turn washers in place; measure the play again.',
  why: 'The nuts move the cones: what was right before may be tight or loose now.',
  tools: ['torque wrench'],
  cautions: ['maker'],
  done: { kind: 'in-window', readings: ['hubPlayNuts'] },
  whenOut: 'Nuts off again, cone adjusted, lock nut, nuts on: until none is felt with them tight.',
  when: (here) => closed(here) || here.happened(['confirm:axle-loosened']),
}
