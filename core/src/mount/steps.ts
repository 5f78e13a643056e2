import type { Looked } from '../brake/on-stand.ts'
import { fitting, type StepSpec, wholeSheet } from '../brake/step.ts'
import { type MountBolt, mountTorque } from './bolt.ts'
import { judgeReach } from './judge.ts'
import { MOUNT_LENGTHS, MOUNT_LOOKED } from './measured.ts'
import type { WayId } from './ways.ts'

const DRILLED: ReadonlySet<string> = new Set<WayId>(['B', 'C', 'fork'])

const boltOf = ({ number, seen }: Looked): MountBolt => ({
  material: seen('frameMaterial'),
  makerNm: number('makerTorque'),
  boltClass: seen('boltClass'),
})

const REACH: StepSpec = {
  id: 'reach',
  station: 'mount',
  title: 'pads reach the track',
  say: 'Measure from the mounting hole or boss to the middle of the track, and the brake’s slot from end to end.',
  why: 'Before anything is bolted or cut: a brake whose pads do not reach is the wrong brake. Half the change in bead seat diameter is added or taken.',
  tools: ['rule'],
  mends: ['brake', 'wheel'],
  cautions: [],
  done: {
    kind: 'judged',
    judge: judgeReach,
    readings: ['trackReach', 'slotLow', 'slotHigh'],
    optional: ['beadFitted'],
  },
  when: fitting,
}

/** A brake that hangs on bosses. */
export const BOSS_STEPS: readonly StepSpec[] = [
  REACH,
  {
    id: 'boss-measured',
    station: 'mount',
    title: 'boss spacing measured',
    say: 'Measure from the middle of one boss to the middle of the other.',
    why: 'The arms lean in or out with it, and their leverage with them.',
    tools: ['caliper'],
    cautions: [],
    done: { kind: 'measured', readings: ['bossSpacing'] },
    when: fitting,
  },
  {
    id: 'boss-ready',
    station: 'mount',
    shorthand: 'boss',
    title: 'bosses clean and greased, springs in',
    say: 'Clean and grease the bosses. Spring pin into the middle hole, arm on, bolt started by fingers.',
    why: 'The upper hole adds tension and holds the pad further out, the lower less (common practice).',
    tools: ['grease', '5 mm hex key'],
    cautions: ['clean'],
    done: {
      kind: 'confirmed',
      well: 'Greased and in',
      ill: 'A boss is bent, rusted or loose',
      remedy: 'A bent or loose boss goes to a frame builder; surface rust is cleaned off and greased.',
      stop: true,
    },
    when: fitting,
  },
  {
    id: 'boss-tight',
    station: 'mount',
    shorthand: 'bossok',
    title: 'arms’ bolts tightened',
    say: 'Tighten each arm’s bolt 5–7 N·m: grease on the boss, threadlocker on the bolt where the maker says so.',
    why: 'From memory; the maker’s figure comes first. Over-tightened, the bolt swells the boss and the arm binds.',
    tools: ['5 mm hex key', 'torque wrench', 'medium threadlocker'],
    cautions: ['maker'],
    mustBeDone: true,
    done: {
      kind: 'confirmed',
      well: 'Both tight',
      ill: 'One will not tighten',
      remedy:
        'A stripped boss goes to a frame builder; a bolt too long or too short is changed for one of the right length.',
    },
    when: fitting,
  },
  {
    id: 'arms-free',
    station: 'mount',
    shorthand: 'arms',
    title: 'arms swing freely',
    say: 'Unhook the springs and swing each arm: no play, no binding.',
    why: 'A stiff pivot leaves a pad on the rim, whatever the screws say. A little oil under the bolt’s head, none on the track.',
    cautions: ['clean'],
    done: {
      kind: 'confirmed',
      well: 'Swing freely',
      ill: 'One binds or rocks',
      remedy:
        'Binds: ease the bolt, clean and grease the boss, a little oil under its head. Rocks: the bush is worn, replace the arm.',
    },
    when: wholeSheet,
  },
]

/** A brake that hangs on one bolt through bridge or crown. */
export const BOLT_STEPS: readonly StepSpec[] = [
  {
    id: 'caliper-sits',
    station: 'mount',
    title: 'caliper square over the wheel',
    say: 'Look at the caliper from the front: does it stand square over the wheel, or was it knocked askew?',
    why: 'A caliper knocked askew is turned back on its bolt first; its centring screw is for what is left after that.',
    cautions: [],
    done: { kind: 'in-window', readings: ['caliperSits'] },
    loosens: 'mount-loosened',
    when: (here) => !fitting(here),
  },
  REACH,
  {
    id: 'mount-looked',
    station: 'mount',
    title: 'mount looked over',
    say: 'Clean the mount and look at it: what it is made of, cracks, corrosion, a tube or solid; and at the brake’s bolt, its kind and the class on its head.',
    why: 'Carbon, cracks, pits and thin walls decide at once what may be done here; the bolt’s class says how hard it may be pulled.',
    cautions: [],
    done: { kind: 'in-window', readings: MOUNT_LOOKED },
    whenOut: 'A cracked or pitted frame carries no brake: to a frame builder.',
    when: fitting,
  },
  {
    id: 'carbon-approved',
    station: 'mount',
    title: 'carbon: the maker’s written approval',
    say: 'Find the frame maker’s written approval for a brake here, and the torque it gives.',
    why: 'Carbon carries a brake only where its maker says so in writing, and only at the maker’s figure. Without both nothing is fitted.',
    tools: ['the maker’s papers'],
    cautions: ['maker', 'carbon'],
    done: { kind: 'in-window', readings: ['makerApproval', 'makerTorque'] },
    exempt: { makerTorque: { reading: 'makerApproval', is: 'none' } },
    when: (here) => fitting(here) && here.seen('frameMaterial') === 'carbon',
  },
  {
    id: 'mount-wall',
    station: 'mount',
    title: 'wall measured',
    say: 'Measure the wall of the mount through its hole, with a hooked probe.',
    why: 'What may be drilled, and what would be left, hangs on it.',
    tools: ['hooked probe'],
    cautions: [],
    done: { kind: 'measured', readings: ['mountWall'] },
    when: (here) => fitting(here) && here.seen('mountBody') === 'hollow',
  },
  {
    id: 'mount-measured',
    station: 'mount',
    title: 'mount measured',
    say: 'Measure the holes, the mount and its faces, the room behind it, and the bolt.',
    why: 'From these the ways of mounting are worked out, and drawn.',
    tools: ['vernier caliper', 'rule', 'radius card'],
    cautions: [],
    done: {
      kind: 'measured',
      readings: MOUNT_LENGTHS,
      optional: ['drillHead', 'caliperDepth'],
    },
    when: fitting,
  },
  {
    id: 'mount-plan',
    station: 'mount',
    title: 'way of mounting chosen',
    say: 'Choose a way of mounting.',
    why: 'Each way is worked out from what was measured and what the drawer holds; a frame that is drilled cannot be undrilled.',
    cautions: ['bolt-length'],
    done: { kind: 'planned', plan: 'mount' },
    when: fitting,
  },
  {
    id: 'mount-drilled',
    station: 'mount',
    shorthand: 'drilled',
    title: 'one wall opened to 8 mm',
    say: 'Wheel out, depth stop set, far wall and headset protected. Drill that wall only, in stages; ream until the nut just slides; deburr, clear the swarf, coat bare steel.',
    why: 'The sleeve nut lies in this hole; the other wall carries the bolt and stays as it is.',
    tools: [
      'drill with a depth stop',
      '7 and 8 mm bits, or 5/16 in',
      'reamer',
      'cutting oil',
      'scrap to guard the far wall',
    ],
    cautions: ['drilling', 'eyes'],
    done: {
      kind: 'confirmed',
      well: 'Drilled and clean',
      ill: 'Went wrong',
      remedy:
        'Stop here. A hole that ran oversize, ran out of line or went through the far wall goes to a frame builder.',
      stop: true,
    },
    when: (here) => fitting(here) && DRILLED.has(here.way('mount') ?? ''),
  },
  {
    id: 'mount-fitted',
    station: 'mount',
    shorthand: 'mounted',
    title: 'brake mounted, nut started by hand',
    say: 'Washers in their order, bolt through, nut started by hand and its turns counted. Centre the brake roughly.',
    why: 'Too few turns by hand means too little thread; a nut that stops early has bottomed.',
    cautions: ['bolt-length'],
    done: {
      kind: 'confirmed',
      well: 'Mounted',
      ill: 'Nut stops early or takes too few turns',
      remedy:
        'Take it apart: the nut bottoms or holds too little. Measure the bolt and the stack again and choose another nut or way.',
      stop: true,
    },
    when: (here) => fitting(here) && here.way('mount') !== undefined,
  },
  {
    id: 'mount-tight',
    station: 'mount',
    shorthand: 'mountok',
    title: 'mounting bolt tightened',
    say: (here) => `Hold the brake centred and tighten its bolt ${mountTorque(boltOf(here))}. Try to twist the brake.`,
    why: 'A brake that turns on its bolt is loose however the nut feels.',
    tools: ['5 mm hex key or 10 mm spanner', 'torque wrench'],
    cautions: ['maker'],
    mustBeDone: true,
    done: {
      kind: 'confirmed',
      well: 'Tight, does not twist',
      ill: 'Twists or will not tighten',
      remedy: 'It bottoms, shoulders or strips: take it out, and measure bolt, nut and washers again.',
    },
    when: (here) => fitting(here) && here.way('mount') !== undefined,
  },
]
