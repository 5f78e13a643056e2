import { type Circumstances, fitting, type StepSpec, wheelLoosened, wholeOr, wholeSheet } from '../brake/step.ts'
import { judgeCableFeel } from '../features/cable/judge.ts'
import { LEVER_STEPS } from '../features/lever-fit/steps.ts'
import { judgeLever } from '../features/match/judge.ts'
import { judgeTorques } from './fasteners.ts'
import { assisted, motorAsked } from './motor.ts'
import { stopsWithAsked } from './stops-with.ts'
import { ANCHOR_LOOSE, MOVED } from './unsettled.ts'

/** Parts of the cable’s run: with one of them it is laid anew. */
const RUN_PARTS = ['swap:cable', 'swap:housing', 'swap:lever'] as const

/** The cable is clamped anew in this job, or was; one that nobody loosened is only looked at, with its bolt. */
const clampedAnew = (here: Circumstances): boolean =>
  here.cableAnew ||
  fitting(here) ||
  here.loosened('anchor') ||
  here.happened(['confirm:cable-clamped']) ||
  here.shaken('confirm:cable-clamped')

/** What is done at every cable-pulled brake, in working order; families put theirs between them. */
export const COMMON_STEPS: readonly StepSpec[] = [
  {
    id: 'dead-first',
    station: 'wheel',
    standsOn: ['swap:cable', 'swap:brake', 'swap:lever'],
    shorthand: 'closed',
    title: 'nothing open, nothing unhooked',
    say: 'First see that nothing is open or unhooked, and look at the cable’s head.',
    more: 'The head of the inner must sit in its pocket in the lever.',
    why: 'A dead brake is most often only open or unhooked (common practice). Show whoever rides it how it opens and closes.',
    cautions: ['maker'],
    done: {
      kind: 'confirmed',
      well: 'Closed and hooked',
      ill: 'Does not hold',
      remedy:
        'See what holds it open: a worn slot, a cable’s head out of its pocket, a lever that does not stay shut. Put that right first.',
      stop: true,
    },
    when: ({ work }) => work === 'dead',
  },
  motorAsked,
  {
    id: 'battery-out',
    station: 'wheel',
    standsOn: ['swap:wheel', 'reading:cutOff'],
    shorthand: 'battery',
    title: 'battery out',
    say: 'Switch the motor off and take the battery out before any hand goes near.',
    more: 'It stays out until the lever’s motor cut-off is tried.',
    why: 'A motor that starts under the hand drives the wheel.',
    cautions: ['motor'],
    againForWork: true,
    done: {
      kind: 'confirmed',
      well: 'Out',
      ill: 'Cannot be taken out',
      remedy:
        'Switch it off, pull the motor’s plug, and let nobody touch pedals or lever. Its maker’s instructions come first.',
      stop: true,
    },
    when: assisted,
  },
  {
    id: 'wheel-fast',
    station: 'wheel',
    standsOn: ['swap:wheel'],
    shorthand: 'fast',
    title: 'wheel fast and straight',
    say: 'Look: wheel straight in its dropouts, nuts tight or quick-release closed; pull at it.',
    more: 'Nothing is loosened to be looked at. A quick-release: its lever lies where it is seen.',
    why: 'Whatever is set is set to the wheel as it stands; one that is loose or cocked is put right first.',
    cautions: ['maker'],
    beforeRiding: true,
    done: {
      kind: 'confirmed',
      well: 'Fast and straight',
      ill: 'Loose or cocked',
      remedy: 'Loosen the wheel, push it fully home in the dropouts, and close it.',
    },
    when: (here) => !wheelLoosened(here),
  },
  {
    id: 'wheel-seated',
    station: 'wheel',
    standsOn: ['swap:wheel'],
    shorthand: 'wheel',
    title: 'wheel seated',
    say: 'Loosen the wheel, push it fully home in the dropouts, close it.',
    more: 'Look again before touching the brake. A quick-release: small end of each spring towards the hub, closed with real force, its lever lying where it is seen.',
    why: 'A wheel cocked in the dropouts is often the whole complaint, and usually the cause of a rub that comes suddenly after a knock (common practice).',
    cautions: ['maker'],
    beforeRiding: true,
    done: {
      kind: 'confirmed',
      well: 'Seated',
      ill: 'Does not seat',
      remedy:
        'Look for a bent axle, a dropout out of line, a wheel of another width. The brake is not set on a wheel that does not sit.',
      stop: true,
    },
    unasked: true,
    when: wheelLoosened,
  },
  {
    id: 'hub-play',
    station: 'wheel',
    standsOn: ['confirm:wheel-seated'],
    shorthand: 'hub',
    title: 'hub without play',
    say: 'Push the wheel from side to side at its top. The hub must have no play.',
    why: 'A loose hub moves the wheel further than any brake can be set.',
    cautions: [],
    done: {
      kind: 'confirmed',
      well: 'No play',
      ill: 'Has play',
      remedy: 'Adjust the hub’s bearings until the play is just gone and the axle still turns freely, then push again.',
      stop: true,
    },
  },
  stopsWithAsked,
  {
    id: 'lever-match',
    station: 'match',
    title: 'lever and brake belong together',
    say: 'Measure the lever, and ask what bicycle, rider and load weigh.',
    more: 'From its pivot to the cable’s end, from its pivot to the finger, and from bar to blade.',
    why: 'A long-pull lever on a short-pull brake feels firm and has too little force; the other way round it comes to the bar. Here it is computed.',
    tools: ['caliper', 'rule'],
    mends: ['lever'],
    cautions: ['heavy', 'hydraulic'],
    mayLeave: 'the stop it gives stands on the sheet',
    done: { kind: 'judged', judge: judgeLever, readings: ['leverPull', 'leverFinger', 'leverReach', 'ridersMass'] },
    when: wholeOr('swap:lever', 'swap:rotor'),
  },
  {
    id: 'cable-match',
    station: 'match',
    title: 'housing and inner fit for a brake',
    say: 'Look at the housing, its ends, and the inner at the anchor and in the lever.',
    more: 'Follow it from end to end; bend it a little to see into a split.',
    why: 'Gear housing may burst under brake load, split or rusty housing gives way; a broken strand is the start of a snapped cable.',
    tools: ['caliper'],
    mends: ['housing', 'cable'],
    cautions: ['housing', 'frayed'],
    beforeRiding: true,
    done: {
      kind: 'in-window',
      readings: ['housingKind', 'housingOuter', 'housingState', 'housingEnds', 'innerAnchor', 'innerHead'],
    },
    whenOut: 'Put it right before going on.',
    when: wholeOr(...RUN_PARTS),
  },
  {
    id: 'own-hardware',
    station: 'match',
    title: 'nothing stands in for the brake’s own parts',
    say: 'Look at the anchor: are bolt and washer the brake’s own, the inner straight?',
    why: 'A plain bolt and washer in the anchor’s place strips or lets the cable slip.',
    cautions: ['maker'],
    done: { kind: 'in-window', readings: ['anchorBolt'] },
    when: wholeOr('swap:cable'),
  },
  {
    id: 'untouched',
    station: 'mount',
    standsOn: ['swap:cable', 'swap:brake', 'swap:lever'],
    shorthand: 'bolts',
    title: 'mounting bolts, pivots and anchor',
    say: 'Look at what nobody has touched: bolts and anchor tight, pivots free.',
    more: 'Nothing cracked where it hangs.',
    why: 'A loose bolt undoes every setting; a crack ends the ride.',
    cautions: ['frayed'],
    beforeRiding: true,
    done: {
      kind: 'confirmed',
      well: 'Tight, free, whole',
      ill: 'Something is not',
      remedy:
        'Tighten what is loose to its figure, free what is stiff; what is cracked goes to a frame builder. Then look at all of it again.',
      stop: true,
    },
    when: (here) => !fitting(here),
  },
  {
    id: 'lever-reach',
    station: 'lever',
    title: 'lever reach',
    say: 'Measure the lever’s reach: bar to blade at the finger, lever at rest.',
    why: 'The bite is judged as a share of the reach, and the bar wall stands at its end.',
    cautions: [],
    mayLeave: 'a hand that must reach far brakes late',
    done: { kind: 'in-window', readings: ['leverReach'], optional: ['frontHand'] },
    whenOut: 'The blade stands further off than a hand should have to reach: reach screw in, then measure again.',
  },
  ...LEVER_STEPS,
  {
    id: 'cable-run',
    station: 'cable',
    standsOn: ['swap:cable', 'swap:housing', 'swap:lever', 'swap:brake'],
    shorthand: 'run',
    title: 'cable run fair, ends seated',
    say: 'Follow the housing from the lever: fair curves, no kink, every end seated.',
    more: 'The shortest way that turns with the bar, and one straight run at the anchor.',
    why: 'A kink or an end out of its seat gives way under the hand and takes the bite with it.',
    cautions: [],
    done: {
      kind: 'confirmed',
      well: 'Fair and seated',
      ill: 'Kinked or unseated',
      remedy: 'Replace kinked housing; cut it square, and seat every end in its stop before going on.',
      stop: true,
    },
    when: wholeOr(...RUN_PARTS),
  },
  {
    id: 'cable-smooth',
    station: 'cable',
    title: 'inner runs smoothly',
    say: ({ cableAnew }) =>
      cableAnew
        ? 'Draw the inner to and fro in its housing. Look whether the housing is lined.'
        : 'Squeeze slowly and let go: the inner runs smoothly. Look whether the housing is lined.',
    why: 'Friction takes from the hand on the way in and holds the brake on after it is let go.',
    cautions: ['frayed', 'housing'],
    mends: ['cable', 'housing'],
    mayLeave: 'the lever is heavy and lets go slowly',
    done: { kind: 'judged', judge: judgeCableFeel, readings: ['cableFeel', 'cableLined'] },
    when: wholeOr(...RUN_PARTS),
  },
  {
    id: 'barrel-in',
    station: 'cable',
    standsOn: ['swap:cable', 'swap:brake', 'swap:lever', 'swap:housing'],
    shorthand: 'barin',
    title: 'barrel fully in',
    say: 'Screw the barrel fully in before the cable is clamped anew.',
    more: 'At the lever too, where it has one; slot and lock ring’s slot turned apart, so that the inner cannot jump out.',
    why: 'All its thread then remains for wear.',
    cautions: [],
    done: {
      kind: 'confirmed',
      well: 'Fully in',
      ill: 'Stiff or stripped',
      remedy: 'Clean and oil its thread; a stripped barrel is replaced.',
    },
    when: (here) => here.cableAnew && !fitting(here),
  },
  {
    id: 'barrel-left',
    station: 'cable',
    title: 'barrel’s turns to go',
    say: 'Count how many turns the barrel stands out from fully in.',
    why: 'What remains of it is for wear; the next turns count on it.',
    cautions: [],
    maySkip: 'the turns that are left for wear are not counted',
    done: { kind: 'measured', readings: ['barrelOut'] },
    when: (here) => !here.cableAnew && wholeSheet(here),
  },
  {
    id: 'cable-clamped',
    station: 'cable',
    standsOn: ['swap:cable', 'swap:brake', ...ANCHOR_LOOSE],
    shorthand: 'clamp',
    title: 'cable clamped right',
    say: 'Clamp the inner straight under the anchor’s own bolt and shaped washer.',
    more: 'The washer the right way round, the bolt tight. Cap the end and crimp it in two or three places.',
    why: 'A plain bolt and washer in the anchor’s place strips or slips; too tight flattens the strands. Its figure stands with the fasteners.',
    tools: ['5 mm hex key', 'cable puller', 'end cap'],
    cautions: ['tension', 'eyes'],
    done: {
      kind: 'confirmed',
      well: 'Clamped right',
      ill: 'Slips or strands flattened',
      remedy:
        'Clamp a fresh length, or a new inner, under the anchor’s own bolt and washer. A stripped bolt is replaced.',
      stop: true,
    },
    unasked: true,
    when: clampedAnew,
  },
  {
    id: 'dial-in',
    station: 'bite',
    title: 'everything in its window',
    say: 'Squeeze ten times, then measure.',
    why: 'From these readings the next turn is worked out; each one teaches how this brake answers.',
    cautions: [],
    mayLeave: 'bite and gaps stand as they were found',
    done: { kind: 'dialled-in' },
  },
  {
    id: 'fasteners',
    station: 'tighten',
    standsOn: ['swap:brake', 'confirm:mount-fitted'],
    shorthand: 'tight',
    title: 'every fastener tight',
    say: 'Go over every fastener of the brake, touched or not.',
    more: 'The list says thread, tool and figure of each. What was loosened in this job is ticked off by itself; the rest is one answer.',
    why: 'A loose bolt undoes every setting. The maker’s figures come first.',
    tools: ['torque wrench'],
    cautions: ['maker'],
    done: {
      kind: 'confirmed',
      well: 'All tight',
      ill: 'One does not tighten',
      remedy:
        'A bolt that does not come up to its figure is stripped, too long or too short: replace it, then go over all of them again.',
      unless: judgeTorques,
      stop: true,
    },
  },
  {
    id: 'hard-squeezes',
    station: 'prove',
    standsOn: MOVED,
    shorthand: 'squeeze',
    title: 'ten hard squeezes, no slip',
    say: 'Squeeze hard ten times. The cable must not slip, and nothing may move.',
    why: 'Cables settle and clamps slip on the first hard squeezes: better here than on the road.',
    cautions: ['slip'],
    done: {
      kind: 'confirmed',
      count: 10,
      well: 'Nothing slipped',
      ill: 'Something slipped or moved',
      remedy:
        'Do not ride. Find what gave way: clamp the cable anew under its own bolt and washer, tighten what moved, then squeeze again.',
      stop: true,
    },
  },
  {
    id: 'reserve',
    station: 'prove',
    title: 'reserve at a hard squeeze',
    say: 'Squeeze hard and hold. Measure between blade and bar at the finger.',
    why: 'Never to the bar: a brake that reaches it has no more to give.',
    cautions: [],
    mayLeave: 'it stands as it was found',
    beforeRiding: true,
    done: { kind: 'in-window', readings: ['reserve'] },
    whenOut:
      'The blade comes too near the bar. Choose a school that bites earlier, or look for a soft housing or a slipping clamp.',
  },
  {
    id: 'wheel-home',
    station: 'prove',
    standsOn: ['confirm:axle-loosened'],
    shorthand: 'home',
    title: 'wheel back as it stood',
    say: 'Push the wheel fully home, close it, squeeze hard: it stands as it did before.',
    more: 'Seen along the brake: nothing touches at rest, and both sides are met together.',
    why: 'Its fastening was loosened after the brake was set; only a wheel that stands as before keeps the setting.',
    cautions: ['maker'],
    done: {
      kind: 'confirmed',
      well: 'Stands as before',
      ill: 'Stands otherwise',
      remedy:
        'Loosen it, push it home and close it again. Where it still stands otherwise, measure the gaps and the bite anew: the next turn is told from them.',
      stop: true,
    },
    when: (here) => here.happened(['confirm:axle-loosened']),
  },
  {
    id: 'wheel-fastened',
    station: 'prove',
    standsOn: ['confirm:wheel-seated', 'swap:wheel', 'confirm:axle-loosened'],
    shorthand: 'fastened',
    title: 'wheel fastening, once more',
    say: 'Look at the wheel’s fastening again: nuts tight, or quick-release closed.',
    more: 'Closed with real force, its lever lying where it is seen.',
    why: 'The wheel was loosened in this job; this is the last hand on it before it is ridden.',
    cautions: ['maker'],
    beforeRiding: true,
    done: {
      kind: 'confirmed',
      well: 'Fast',
      ill: 'Loose or worn',
      remedy:
        'Seat the wheel and close it again; worn nuts, a bent lever or a quick-release that closes without force are replaced.',
      stop: true,
    },
    unasked: true,
    when: (here) => wheelLoosened(here) || here.happened(['confirm:axle-loosened', 'confirm:wheel-fastened']),
  },
  {
    id: 'cut-off',
    station: 'prove',
    title: 'lever cuts the motor off',
    say: 'Battery in, wheel lifted: run the motor, squeeze the lever, it must stop.',
    more: 'Then spin the wheel under power and brake it. Stand to the side, nobody in front of the wheel.',
    why: 'A motor that pushes against the brake lengthens every stop.',
    cautions: ['motor'],
    done: { kind: 'in-window', readings: ['cutOff'] },
    when: assisted,
  },
  {
    id: 'walk-test',
    station: 'prove',
    standsOn: [...MOVED, 'confirm:axle-loosened'],
    shorthand: 'walk',
    title: 'walk test',
    say: 'Walk beside the bicycle and brake hard: no judder, nothing moving.',
    more: 'The wheel must lock or lift.',
    why: 'The first real load is put on at walking pace.',
    cautions: ['walking'],
    beforeRiding: true,
    done: {
      kind: 'confirmed',
      well: 'Holds, no judder',
      ill: 'Judders, moves or does not hold',
      remedy:
        'Judder, mostly in front: look at centring, mount and wheel. Weak although firm: lever and brake, glaze, oil. Then walk it again.',
      stop: true,
    },
  },
  {
    id: 'release',
    station: 'release',
    title: 'released',
    say: 'Sign the job with your initials or number.',
    more: 'The sheet keeps what was found and what was done.',
    why: 'Whoever rides it next can see that it was checked.',
    cautions: ['maker', 'heavy'],
    done: { kind: 'signed' },
  },
]

/** A common step in the words of one family’s own trade. */
export function retold(
  id: string,
  {
    done,
    ...words
  }: Partial<Pick<StepSpec, 'title' | 'say' | 'more' | 'why' | 'cautions'>> & {
    readonly done?: Partial<Pick<Extract<StepSpec['done'], { kind: 'confirmed' }>, 'well' | 'ill' | 'remedy'>>
  },
): StepSpec {
  const step = COMMON_STEPS.find((each) => each.id === id)
  if (!step) throw new Error(`There is no common step “${id}”.`)
  const told = { ...step, ...words }
  return done && step.done.kind === 'confirmed' ? { ...told, done: { ...step.done, ...done } } : told
}
