import type { Mount, Track } from '../families/family.ts'
import { MOUNT_LENGTHS, MOUNT_LOOKED } from '../mount/measured.ts'
import type { WayId } from '../mount/ways.ts'
import type { CautionId } from '../reference/cautions.ts'
import type { JudgeId } from './judges.ts'
import type { StationId } from './stations.ts'

/** What ends a step. */
export type DoneWhen =
  /** The hand says so. */
  | { readonly kind: 'confirmed'; readonly count?: number }
  /** Every reading taken, and in its window or well. */
  | { readonly kind: 'in-window'; readonly readings: readonly string[] }
  /** Every reading taken; `optional` ones may be taken beside them. */
  | { readonly kind: 'measured'; readonly readings: readonly string[]; readonly optional?: readonly string[] }
  /** Every reading taken, and what is computed from them comes out well. */
  | {
      readonly kind: 'judged'
      readonly judge: JudgeId
      readonly readings: readonly string[]
      readonly optional?: readonly string[]
    }
  /** A way chosen, its cautions read. */
  | { readonly kind: 'planned'; readonly plan: string }
  | { readonly kind: 'dialled-in' }
  | { readonly kind: 'signed' }

/** What decides which steps stand on a job’s sheet: the hardware, what the job is for, and what was found. */
export interface Circumstances {
  readonly mount: Mount
  readonly track: Track
  readonly work: string
  readonly body: string | undefined
  readonly way: WayId | undefined
}

export interface Step {
  readonly id: string
  readonly station: StationId
  /** Bench shorthand that confirms it: `wheel ok`. */
  readonly shorthand?: string
  /** The hand's action, as a good foreman would say it. */
  readonly say: string
  readonly title: string
  readonly why: string
  readonly tools?: readonly string[]
  readonly cautions: readonly CautionId[]
  readonly done: DoneWhen
  /** Parts whose replacement puts right what is found wrong here. */
  readonly mends?: readonly string[]
  /** Said when a reading lies outside its window. */
  readonly whenOut?: string
  /** It is never skipped: nobody may ride without it. */
  readonly mustBeDone?: true
  /** Stands on the sheet only then; always if not given. */
  readonly when?: (here: Circumstances) => boolean
}

const wholeSheet = ({ work }: Circumstances) => work !== 'rub'
const onRim = (here: Circumstances) => here.track === 'rim' && wholeSheet(here)
const fitting = ({ work }: Circumstances) => work === 'fit'
const fittingBolt = (here: Circumstances) => fitting(here) && here.mount === 'centre-bolt'
const DRILLED: ReadonlySet<string> = new Set<WayId>(['B', 'C', 'fork'])

/** Every step there is, in working order; which of them stand on a job’s sheet depends on its circumstances. */
export const STEPS: readonly Step[] = [
  {
    id: 'dead-first',
    station: 'wheel',
    shorthand: 'closed',
    title: 'quick-release closed, guide pipe hooked',
    say: 'Before anything else: close the brake’s quick-release, hook the guide pipe, and see that the cable’s head sits in the lever.',
    why: 'A dead brake is most often only open or unhooked (common practice). Show whoever rides it how it opens and closes.',
    cautions: ['maker'],
    done: { kind: 'confirmed' },
    when: ({ work }) => work === 'dead',
  },
  {
    id: 'wheel-seated',
    station: 'wheel',
    shorthand: 'wheel',
    title: 'wheel seated',
    say: 'Loosen the wheel, push it fully home in the dropouts, close it. Look again before touching the brake.',
    why: 'A wheel cocked in the dropouts is often the whole complaint, and usually the cause of a rub that comes suddenly after a knock (common practice).',
    cautions: ['maker'],
    done: { kind: 'confirmed' },
  },
  {
    id: 'hub-play',
    station: 'wheel',
    shorthand: 'hub',
    title: 'hub without play',
    say: 'Push the rim from side to side at the brake. The hub must have no play.',
    why: 'A loose hub moves the rim further than any pad can be set.',
    cautions: [],
    done: { kind: 'confirmed' },
  },
  {
    id: 'wheel-true',
    station: 'wheel',
    title: 'wheel true',
    say: 'Spin the wheel. Measure the runout side to side and up and down, and how far the rim stands from the middle.',
    why: 'Half the runout is the closest a pad can stand without rubbing: it sets the rub wall.',
    cautions: [],
    done: { kind: 'in-window', readings: ['lateralRunout', 'radialRunout', 'wheelOffset'] },
    whenOut: 'Seat the wheel again; if it stays so, true or dish it. No screw of the brake is touched before.',
  },
  {
    id: 'rim-sound',
    station: 'wheel',
    title: 'rim sound',
    say: 'Measure the rim’s wall, and look at its wear line and its track.',
    why: 'A rim worn through bursts under the tyre; a step in the track comes from a pad set wrong.',
    tools: ['hooked probe or outside caliper'],
    mends: ['wheel'],
    cautions: [],
    done: { kind: 'in-window', readings: ['rimWall', 'wearLine', 'trackStep'] },
    whenOut: 'The rim is near its end: think of replacing it before any work on the brake.',
    when: onRim,
  },
  {
    id: 'rotor-sound',
    station: 'wheel',
    title: 'rotor sound',
    say: 'Measure the rotor’s thickness and its runout.',
    why: 'A thin or bent rotor leaves no setting that neither rubs nor fades.',
    tools: ['caliper', 'feeler'],
    mends: ['rotor'],
    cautions: ['rotor'],
    done: { kind: 'in-window', readings: ['rotorThickness', 'rotorRunout'] },
    whenOut: 'Replace a thin rotor; bend a bent one back a little at a time, with clean hands.',
    when: (here) => here.track === 'rotor' && wholeSheet(here),
  },
  {
    id: 'lever-match',
    station: 'match',
    title: 'lever and brake belong together',
    say: 'Measure in the lever: pivot to cable end, pivot to finger, and its reach; and ask what must be stopped.',
    why: 'A long-pull lever on a short-pull brake feels firm and has too little force; the other way round it comes to the bar. Here it is computed.',
    tools: ['caliper', 'rule'],
    mends: ['lever'],
    cautions: ['heavy', 'hydraulic'],
    done: { kind: 'judged', judge: 'lever-match', readings: ['leverPull', 'leverFinger', 'leverReach', 'ridersMass'] },
    when: wholeSheet,
  },
  {
    id: 'cable-match',
    station: 'match',
    title: 'housing and inner fit for a brake',
    say: 'Look at the housing, its ends and the inner, at the anchor and at its head in the lever.',
    why: 'Gear housing may burst under brake load; a broken strand is the start of a snapped cable.',
    tools: ['caliper'],
    mends: ['housing', 'cable'],
    cautions: ['housing', 'frayed'],
    done: { kind: 'in-window', readings: ['housingKind', 'housingOuter', 'housingEnds', 'innerAnchor', 'innerHead'] },
    whenOut: 'Put it right before going on.',
    when: wholeSheet,
  },
  {
    id: 'pad-match',
    station: 'match',
    title: 'pads made for this rim',
    say: 'Look what the rim is made of, and what the pads are made for.',
    why: 'The wrong compound tears a carbon track, wears an alloy one, or does not brake.',
    mends: ['pads', 'wheel'],
    cautions: ['clean'],
    done: {
      kind: 'judged',
      judge: 'pad-match',
      readings: ['rimMaterial', 'padCompound'],
      optional: ['padDeep', 'armSpace'],
    },
    when: onRim,
  },
  {
    id: 'untouched',
    station: 'mount',
    shorthand: 'bolts',
    title: 'mounting bolts, pivots, anchor and guide pipe',
    say: 'Look at what nobody has touched: mounting bolts and anchor tight, pivots free, guide pipe hooked where there is one.',
    why: 'A dead brake is often just an unhooked guide pipe; a loose bolt undoes every setting.',
    cautions: ['frayed'],
    done: { kind: 'confirmed' },
  },
  {
    id: 'reach',
    station: 'mount',
    title: 'pads reach the track',
    say: 'Measure from the mounting hole or boss to the middle of the track, and the brake’s slot from end to end.',
    why: 'Before anything is bolted or cut: a brake whose pads do not reach is the wrong brake. Half the change in bead seat diameter is added or taken.',
    tools: ['rule'],
    mends: ['brake', 'wheel'],
    cautions: [],
    done: { kind: 'judged', judge: 'reach', readings: ['trackReach', 'slotLow', 'slotHigh'], optional: ['beadFitted'] },
    when: fitting,
  },
  {
    id: 'boss-measured',
    station: 'mount',
    title: 'boss spacing measured',
    say: 'Measure from the middle of one boss to the middle of the other.',
    why: 'The arms lean in or out with it, and their leverage with them.',
    tools: ['caliper'],
    cautions: [],
    done: { kind: 'measured', readings: ['bossSpacing'] },
    when: (here) => fitting(here) && here.mount === 'boss',
  },
  {
    id: 'mount-looked',
    station: 'mount',
    title: 'mount looked over',
    say: 'Clean the mount and look at it: what it is made of, cracks, corrosion, a tube or solid; and at the brake’s bolt.',
    why: 'Carbon, cracks, pits and thin walls decide at once what may be done here.',
    cautions: [],
    done: { kind: 'in-window', readings: MOUNT_LOOKED },
    whenOut: 'A cracked frame carries no brake: to a frame builder.',
    when: fittingBolt,
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
    when: (here) => fittingBolt(here) && here.body === 'hollow',
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
    when: fittingBolt,
  },
  {
    id: 'mount-plan',
    station: 'mount',
    title: 'way of mounting chosen',
    say: 'Choose a way of mounting.',
    why: 'Each way is worked out from what was measured and what the drawer holds; a frame that is drilled cannot be undrilled.',
    cautions: ['bolt-length'],
    done: { kind: 'planned', plan: 'mount' },
    when: fittingBolt,
  },
  {
    id: 'mount-drilled',
    station: 'mount',
    shorthand: 'drilled',
    title: 'one wall opened to 8 mm',
    say: 'Drill that wall only, in stages, oil on the bit. Ream until the nut just slides; deburr, clear the swarf, coat bare steel.',
    why: 'The sleeve nut lies in this hole; the other wall carries the bolt and stays as it is.',
    tools: ['drill', '7 and 8 mm bits, or 5/16 in', 'reamer', 'cutting oil'],
    cautions: ['drilling', 'eyes'],
    done: { kind: 'confirmed' },
    when: (here) => fittingBolt(here) && here.way !== undefined && DRILLED.has(here.way),
  },
  {
    id: 'mount-fitted',
    station: 'mount',
    shorthand: 'mounted',
    title: 'brake mounted, nut started by hand',
    say: 'Washers in their order, bolt through, nut started by hand and its turns counted. Centre the brake roughly.',
    why: 'Too few turns by hand means too little thread; a nut that stops early has bottomed.',
    cautions: ['bolt-length'],
    done: { kind: 'confirmed' },
    when: (here) => fittingBolt(here) && here.way !== undefined,
  },
  {
    id: 'mount-tight',
    station: 'mount',
    shorthand: 'mountok',
    title: 'mounting bolt tightened',
    say: 'Hold the brake centred and tighten its bolt: 8–10 N·m, light oil on the thread. Try to twist the brake.',
    why: 'From memory; the maker’s figure comes first. A brake that turns on its bolt is loose however the nut feels.',
    tools: ['5 mm hex key or 10 mm spanner', 'torque wrench'],
    cautions: ['maker'],
    done: { kind: 'confirmed' },
    when: (here) => fittingBolt(here) && here.way !== undefined,
  },
  {
    id: 'boss-ready',
    station: 'mount',
    shorthand: 'boss',
    title: 'bosses clean and greased, springs in',
    say: 'Clean and grease the bosses. Spring pin into the middle hole; mounting bolt snug only.',
    why: 'Over-tightened, the bolt swells the boss and the arm binds. The upper hole adds tension and holds the pad further out, the lower less (common practice).',
    tools: ['grease', '5 mm hex key'],
    cautions: ['clean'],
    done: { kind: 'confirmed' },
    when: (here) => fitting(here) && here.mount === 'boss',
  },
  {
    id: 'arms-free',
    station: 'mount',
    shorthand: 'arms',
    title: 'arms swing freely',
    say: 'Unhook the springs and swing each arm: no play, no binding.',
    why: 'A stiff pivot leaves a pad on the rim, whatever the screws say. A little oil under the bolt’s head, none on the track.',
    cautions: ['clean'],
    done: { kind: 'confirmed' },
    when: (here) => wholeSheet(here) && here.mount === 'boss',
  },
  {
    id: 'lever-reach',
    station: 'lever',
    title: 'lever reach',
    say: 'Measure the lever’s reach: bar to blade at the finger, lever at rest.',
    why: 'The bite is judged as a share of the reach, and the bar wall stands at its end.',
    cautions: [],
    done: { kind: 'measured', readings: ['leverReach'] },
  },
  {
    id: 'pads-sound',
    station: 'pads',
    title: 'pads sound and evenly worn',
    say: 'Measure the compound on both pads and look at their faces.',
    why: 'A worn pad brakes on metal; one thinner than the other says that the brake stood off centre.',
    tools: ['caliper'],
    cautions: ['clean'],
    mends: ['pads'],
    done: { kind: 'judged', judge: 'pad-wear', readings: ['padLeft', 'padRight', 'padFace'] },
    when: onRim,
  },
  {
    id: 'pads-direction',
    station: 'pads',
    title: 'closed ends of the shoes forward',
    say: 'Look at each shoe: its closed end must face forward, the way the rim runs.',
    why: 'The rim pushes the pad against the closed end; the retaining screw carries no braking load.',
    cautions: ['shoe'],
    mustBeDone: true,
    done: { kind: 'in-window', readings: ['shoeLeft', 'shoeRight'] },
    when: onRim,
  },
  {
    id: 'pads-height',
    station: 'pads',
    title: 'pads at their height on the track',
    say: 'Brake applied, measure the track, the pad, how far each pad’s upper edge stands below the track’s, and look along them.',
    why: 'Too high cuts the tyre; too low overhangs, dives under the rim as it wears, and brakes less. The pad drifts on its arc as it wears.',
    tools: ['rule'],
    cautions: ['tyre'],
    done: {
      kind: 'judged',
      judge: 'pad-height',
      readings: ['trackTall', 'padTall', 'padEdgeLeft', 'padEdgeRight', 'padArc'],
      optional: ['padShape', 'padLength', 'washersNow', 'washerStep'],
    },
    when: onRim,
  },
  {
    id: 'pads-toe',
    station: 'pads',
    title: 'pads toed in',
    say: 'Squeeze until the front of each pad touches and measure the gap at its rear edge.',
    why: 'The front of the pad meets the rim first, or all of it at once; rear first never. Checked after tightening.',
    tools: ['feeler', 'a shim for the rear edge'],
    cautions: ['clean'],
    done: { kind: 'judged', judge: 'toe', readings: ['toeLeft', 'toeRight', 'padsSet'], optional: ['padLength'] },
    when: onRim,
  },
  {
    id: 'pads-tight',
    station: 'pads',
    shorthand: 'pads',
    title: 'pads tight',
    say: 'Take hold of each shoe and try to twist it. Both pads must be tight, whole on the track and off the tyre.',
    why: 'The bite is never set on a pad that can still move.',
    cautions: ['tyre', 'clean'],
    done: { kind: 'confirmed' },
  },
  {
    id: 'cable-run',
    station: 'cable',
    shorthand: 'run',
    title: 'cable run fair, ends seated',
    say: 'Follow the housing from the lever: shortest fair curves, no kink, one straight run at the anchor, every end seated in its stop.',
    why: 'A kink or an end out of its seat gives way under the hand and takes the bite with it.',
    cautions: ['tension'],
    done: { kind: 'confirmed' },
    when: wholeSheet,
  },
  {
    id: 'cable-smooth',
    station: 'cable',
    title: 'inner runs smoothly',
    say: 'Unhook the cable and draw the inner to and fro. Look whether the housing is lined.',
    why: 'Friction takes from the hand on the way in and holds the pads on the way back.',
    cautions: ['frayed', 'housing'],
    mends: ['cable', 'housing'],
    done: { kind: 'judged', judge: 'cable-feel', readings: ['cableFeel', 'cableLined'] },
    when: wholeSheet,
  },
  {
    id: 'cable-clamped',
    station: 'cable',
    shorthand: 'clamp',
    title: 'cable clamped right',
    say: 'Barrel fully in, its slot and the lock ring’s turned apart. The anchor’s own bolt and shaped washer, the right way round; the inner straight in it. Cap the end, crimped in two or three places.',
    why: 'All the barrel’s thread is left for wear. A plain bolt and washer in the anchor’s place strips or slips; too tight flattens the strands.',
    tools: ['5 mm hex key', 'cable puller', 'end cap'],
    cautions: ['tension', 'eyes'],
    done: { kind: 'confirmed' },
    when: wholeSheet,
  },
  {
    id: 'dial-in',
    station: 'bite',
    title: 'gaps and bite in their windows',
    say: 'Squeeze ten times, then measure both gaps and the bite.',
    why: 'From these readings the next turn is worked out; each one teaches how this brake answers.',
    cautions: ['tension'],
    done: { kind: 'dialled-in' },
  },
  {
    id: 'pads-back',
    station: 'centre',
    title: 'pads come back by themselves',
    say: 'Squeeze, let go at once, and watch both pads. A spring scale on the blade tells the lever’s weight both ways.',
    why: 'Springs must overcome the friction of cable and pivots, or a pad stays on the rim; more spring than that only makes the lever heavy.',
    tools: ['spring scale'],
    cautions: ['clean'],
    done: { kind: 'judged', judge: 'pads-back', readings: ['padsBack'], optional: ['leverWeight', 'leverBack'] },
    when: wholeSheet,
  },
  {
    id: 'fasteners',
    station: 'tighten',
    shorthand: 'tight',
    title: 'every fastener tight',
    say: 'Go over every fastener of the brake, touched or not: mounting, pads, anchor, lever clamp. Log the figure of each that was turned.',
    why: 'A loose bolt undoes every setting. The maker’s figures come first.',
    tools: ['torque wrench'],
    cautions: ['maker'],
    done: { kind: 'confirmed' },
    when: wholeSheet,
  },
  {
    id: 'hard-squeezes',
    station: 'prove',
    shorthand: 'squeeze',
    title: 'ten hard squeezes, no slip',
    say: 'Squeeze hard ten times. The cable must not slip and no pad may move.',
    why: 'Cables settle and clamps slip on the first hard squeezes: better here than on the road.',
    cautions: ['slip'],
    done: { kind: 'confirmed', count: 10 },
  },
  {
    id: 'reserve',
    station: 'prove',
    title: 'reserve at a hard squeeze',
    say: 'Squeeze hard and hold. Measure what is left between blade and bar at the finger.',
    why: 'Never to the bar: a brake that reaches it has no more to give.',
    cautions: [],
    done: { kind: 'in-window', readings: ['reserve'] },
    whenOut:
      'The blade comes too near the bar. Choose a shorter throw, or look for a soft housing or a slipping clamp.',
  },
  {
    id: 'spin',
    station: 'prove',
    title: 'wheel spins free',
    say: 'Spin the wheel: no rub anywhere, and it runs free after the brake is let go.',
    why: 'The pads must come back off the rim by themselves. A rub that the gauge did not show says where to look.',
    cautions: [],
    done: { kind: 'in-window', readings: ['spin'] },
  },
  {
    id: 'walk-test',
    station: 'prove',
    shorthand: 'walk',
    title: 'walk test',
    say: 'Walk beside the bicycle and brake hard. The wheel must lock or lift, with no judder and nothing moving.',
    why: 'The first real load is put on at walking pace.',
    cautions: ['walking'],
    done: { kind: 'confirmed' },
  },
  {
    id: 'release',
    station: 'release',
    title: 'released',
    say: 'Sign the job with your initials or number. The sheet keeps what was found and what was done.',
    why: 'Whoever rides it next can see that it was checked.',
    cautions: ['maker', 'heavy'],
    done: { kind: 'signed' },
  },
]

/** The steps that stand on a job’s sheet. */
export const stepsFor = (here: Circumstances): readonly Step[] => STEPS.filter((step) => step.when?.(here) ?? true)

/** Confirmations that are acts of the bench rather than steps of the sheet. */
export const SQUEEZES = 'squeezes'

export const findStep = (id: string): Step | undefined => STEPS.find((step) => step.id === id)

export const stepTitle = (id: string): string => (id === SQUEEZES ? 'squeezed' : (findStep(id)?.title ?? id))
