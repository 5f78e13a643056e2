import { type Circumstances, fitting, type StepSpec } from '../../brake/step.ts'
import { CLAMP, LEVER_PLACE, OUTSIDE } from './fit.ts'
import { forHand, HAND_MEASURES, MEASURED } from './hands.ts'

const clampMoved = (here: Circumstances): boolean =>
  forHand(here) || here.happened(['confirm:lever-loosened', 'turn:leverAlong', 'swap:lever'])
const leverNew = (here: Circumstances): boolean => forHand(here) || fitting(here) || here.swapped('lever')

/** The lever set for a hand: only where one is named. */
export const LEVER_STEPS: readonly StepSpec[] = [
  {
    id: 'lever-outside',
    station: 'lever',
    title: 'over grip and blade',
    say: 'Measure over grip and blade, outside, at the middle of the blade.',
    why: 'The public rule limits what a hand must span, not what lies between bar and blade.',
    tools: ['caliper'],
    cautions: [],
    mayLeave: 'a small hand spans more than the public rule allows',
    done: OUTSIDE,
    when: leverNew,
  },
  {
    id: 'front-hand',
    posture: 'walk-round',
    station: 'lever',
    title: 'which hand works the front brake',
    say: 'Ask which hand works the front brake on this bicycle.',
    more: 'A local rule comes before custom; it is shown on the sheet.',
    why: 'A rider who reaches for the other brake goes over the bar.',
    cautions: ['maker'],
    done: { kind: 'measured', readings: ['frontHand'] },
    when: (here) => (forHand(here) || fitting(here)) && here.trait('frontHand') === 'unknown',
  },
  {
    id: 'hand-measured',
    station: 'lever',
    title: 'the rider’s hand measured',
    say: 'Measure the rider’s hand: across the fingers, the index, and its first crease.',
    more: 'It stays in this job; no name is kept with it.',
    why: 'The lever belongs where the straight index finger lies.',
    tools: ['caliper', 'rule'],
    cautions: [],
    maySkip: 'the lever is not set for this hand',
    done: { kind: 'measured', readings: HAND_MEASURES },
    when: ({ seen }) => seen('rider') === MEASURED,
  },
  {
    id: 'lever-place',
    station: 'lever',
    title: 'lever where the hand wants it',
    say: 'Mark where the lever sits, then measure hand, clamp and blade along the bar.',
    more: 'All from the bar’s outer end, the hand as when riding; inboard, the room that shifter or bend leaves. Shoulder, grip and arm give the blade’s angle.',
    why: 'Far enough inboard that one straight finger lies in the hook: more leverage, the grip kept whole, no knuckle under the blade.',
    tools: ['rule', 'felt pen'],
    cautions: [],
    loosens: 'lever-loosened',
    maySkip: 'the lever stays where it is',
    mayLeave: 'the lever stands where it stood',
    done: LEVER_PLACE,
    when: forHand,
  },
  {
    id: 'lever-tried',
    station: 'lever',
    title: 'lever tried with the hand',
    say: 'Clamp snug: hands off and back as when riding, wiggle, squeeze fully.',
    more: 'Again until the finger is straight, on its first joint, and no knuckle meets the blade. Then the other lever alike.',
    why: 'A rule finds the place; only the hand says that it is right.',
    cautions: [],
    loosens: 'lever-loosened',
    mayLeave: 'the finger is bent',
    done: { kind: 'in-window', readings: ['leverHand', 'otherLever'] },
    when: forHand,
  },
  {
    id: 'lever-clamped',
    station: 'lever',
    title: 'how the lever’s clamp is tightened',
    say: 'Look what the bar is made of, and by which school its clamp is tightened.',
    more: 'To the maker’s figure; or firm, yet a crash turns the lever rather than snapping it. Carbon: torque wrench, no exception.',
    why: 'Both are schools; on carbon only one of them is.',
    cautions: ['carbon'],
    done: CLAMP,
    when: clampMoved,
  },
]
