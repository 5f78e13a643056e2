import type { StepSpec } from './step.ts'

export const PROVE_STEPS: readonly StepSpec[] = [
  {
    id: 'fasteners',
    station: 'tighten',
    shorthand: 'tight',
    title: 'every fastener tight',
    say: 'Go over every fastener of the brake, touched or not: mounting, pads, anchor, lever clamp. Log the figure of each that was turned.',
    why: 'A loose bolt undoes every setting. The maker’s figures come first.',
    tools: ['torque wrench'],
    cautions: ['maker'],
    mustBeDone: true,
    done: {
      kind: 'confirmed',
      well: 'All tight',
      ill: 'One does not tighten',
      remedy:
        'A bolt that does not come up to its figure is stripped, too long or too short: replace it, then go over all of them again.',
    },
  },
  {
    id: 'hard-squeezes',
    station: 'prove',
    shorthand: 'squeeze',
    title: 'ten hard squeezes, no slip',
    say: 'Squeeze hard ten times. The cable must not slip and no pad may move.',
    why: 'Cables settle and clamps slip on the first hard squeezes: better here than on the road.',
    cautions: ['slip'],
    mustBeDone: true,
    done: {
      kind: 'confirmed',
      count: 10,
      well: 'Nothing slipped',
      ill: 'Cable slipped or a pad moved',
      remedy:
        'Do not ride. Find what gave way: clamp the cable anew under its own bolt and washer, set and tighten the pad, then squeeze again.',
    },
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
    id: 'wheel-fastened',
    station: 'prove',
    shorthand: 'fastened',
    title: 'wheel fastening, once more',
    say: 'Look at the wheel’s fastening again: nuts tight, or the quick-release closed with real force and lying where it is seen.',
    why: 'The wheel was loosened at the beginning; this is the last hand on it before it is ridden.',
    cautions: ['maker'],
    mustBeDone: true,
    done: {
      kind: 'confirmed',
      well: 'Fast',
      ill: 'Loose or worn',
      remedy:
        'Seat the wheel and close it again; worn nuts, a bent lever or a quick-release that closes without force are replaced.',
    },
  },
  {
    id: 'walk-test',
    station: 'prove',
    shorthand: 'walk',
    title: 'walk test',
    say: 'Walk beside the bicycle and brake hard. The wheel must lock or lift, with no judder and nothing moving.',
    why: 'The first real load is put on at walking pace.',
    cautions: ['walking'],
    mustBeDone: true,
    done: {
      kind: 'confirmed',
      well: 'Holds, no judder',
      ill: 'Judders, moves or does not hold',
      remedy:
        'Judder, mostly in front: look at centring, mount and rim. Weak although firm: lever and brake, glaze, oil, pads low on the track. Then walk it again.',
    },
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
