import { COMMON_DIMENSIONS } from '../bench/dimensions.ts'
import { COMMON_READINGS } from '../bench/readings.ts'
import type { Family } from '../brake/family.ts'
import type { BrakeModel } from '../brake/model.ts'
import { NOTHING } from '../brake/observation.ts'
import { limitsOf, windowOf } from '../brake/window.ts'
import type { Source } from '../calculation/source.ts'
import { fingerTravel } from '../mechanics/lever.ts'
import { ok } from '../outcome/outcome.ts'

/**
 * A brake that exists in tests only: one shoe that a cable draws against a band, set by one knob that clicks. It proves
 * that a family is all there is to a brake; nothing outside the tests knows of it.
 */
const MADE_UP: Source = { kind: 'our-choice', title: 'Made up for a test' }

/** Clearance between shoe and band, mm, and finger travel until it touches, mm. */
const READINGS = ['shoeClear', 'shoeBite'] as const
const SHOWN: Family['readings'] = [
  {
    id: 'shoeClear',
    title: 'shoe clearance',
    shorthand: 'clear',
    unit: 'mm',
    min: 0,
    max: 5,
    sd: 0.05,
    instrument: 'feeler',
    how: 'Between shoe and band.',
    gauge: ['bite'],
  },
  {
    id: 'shoeBite',
    title: 'shoe bite',
    shorthand: 'shoe',
    unit: 'mm',
    min: 0,
    max: 100,
    sd: 1,
    instrument: 'rule',
    how: 'Pull until the shoe touches.',
    gauge: ['bite'],
  },
]

const LEVER = { cableArmMm: 20, fingerArmMm: 80, reachMm: 60 }
/** Cable to clearance: the shoe’s own lever. */
const RATIO = 2
const WANTED = { usual: 0.6, wide: 1.2 } as const

export const toyModel: BrakeModel = {
  throw: { lever: LEVER, freePlayMm: 0.5, squeezeTensionN: 300, stiffnessNPerMm: 100, stretchTravelMm: 12 },
  inputs: [
    { id: 'clearance', title: 'clearance', mean: 1, sd: 0.6, lasting: false },
    { id: 'freePlay', title: 'free play', mean: 0.5, sd: 0.3, lasting: true },
  ],
  readings: READINGS,
  adjusters: [
    {
      id: 'knob',
      title: 'knob',
      shorthand: 'knob',
      unit: 'click',
      step: 1,
      plus: 'Knob in',
      minus: 'Knob out',
      input: 'clearance',
      book: -0.1,
      effectSpread: 0.2,
      settingSd: 0,
      travel: 30,
      contact: { inward: 1, at: { ear: 0, feel: 0 }, sd: { ear: 0.03, feel: 0.1 } },
      price: 0.001,
      screw: true,
    },
  ],
  predict(q, y) {
    y[0] = Math.max(0, q[0] as number)
    y[1] = fingerTravel(LEVER, (q[1] as number) + RATIO * (y[0] as number))
  },
  slopes(q, y, jacobian) {
    toyModel.predict(q, y)
    const open = (q[0] as number) > 0 ? 1 : 0
    jacobian.set([open, 0, open * fingerTravel(LEVER, RATIO), fingerTravel(LEVER, 1)])
  },
  steered: READINGS,
  needed: READINGS,
  derived: [],
  noTurnHelps: 'Look at the shoe again.',
  observe(id, value, spec) {
    const reading = READINGS.indexOf(id as (typeof READINGS)[number])
    if (reading < 0 || !spec || typeof value !== 'number') return undefined
    return { kind: 'value', reading, value, sd: spec.sd, ...(value <= NOTHING && { atMost: true as const }) }
  },
  disturbs: (fact) =>
    fact === 'swap:pads' ? { spread: { clearance: 0.5 } } : fact === 'swap:brake' ? 'forget' : undefined,
  windows(schools) {
    const target = WANTED[(schools.clear?.option ?? 'usual') as keyof typeof WANTED]
    const because = { text: `The shoe stands ${target} mm off.`, source: MADE_UP }
    const bite = fingerTravel(LEVER, 0.5 + RATIO * target)
    return {
      of: {
        ...limitsOf(COMMON_READINGS),
        shoeClear: windowOf('shoeClear', { low: target - 0.15, high: target + 0.15, ...because }),
        shoeBite: windowOf('shoeBite', { low: bite - 4, high: bite + 4, ...because }),
      },
    }
  },
  setting: () => ({ cableMm: 1.2, travelMm: 6.8, share: 0.11, words: 'shoe 0.6 mm off' }),
  torqueNm: (tensionN, frictionShare) => 0.3 * frictionShare * tensionN,
  frame(q, { travelMm, focus }) {
    const y = new Float64Array(2)
    toyModel.predict(q, y)
    const clear = Math.max(0, (y[0] as number) * (1 - travelMm / Math.max(1, y[1] as number)))
    return {
      still: [{ kind: 'circle', role: 'cut', centre: [0, 0], radius: 40 }],
      moving: [{ kind: 'circle', role: 'shoe', centre: [44 + clear, 0], radius: 4 }],
      cable: [
        {
          kind: 'line',
          role: 'cable',
          points: [
            [44, 0],
            [60, 30],
          ],
        },
      ],
      leaders: [{ reading: 'shoeClear', side: 'right', to: [40, 0], drawn: clear }],
      dimensions: [
        {
          id: 'shoeClear',
          from: [40, 0],
          to: [40 + clear, 0],
          ...(focus === 'shoeClear' && { strong: true as const }),
        },
      ],
      insets: [{ id: 'shoeClear', title: 'clearance', side: 'right', apartMm: clear }],
      handles: [{ adjuster: 'knob', at: [60, 30], side: 'right' }],
      fasteners: [],
      labels: [{ text: 'shoe', at: [48, 0], side: 'right' }],
      bounds: { min: [-50, -50], max: [70, 50] },
      tensionN: Math.max(0, 10 * (travelMm - (y[1] as number))),
    }
  },
  ghost: ({ shoeClear = 0 }) => [{ kind: 'circle', role: 'pad', centre: [44 + shoeClear, 0], radius: 4 }],
}

export const toyFamily: Family = {
  id: 'toy',
  title: 'band',
  mount: 'axle',
  track: 'drum',
  dimensions: COMMON_DIMENSIONS,
  traits: [],
  works: [{ id: 'adjust', title: 'adjusting', says: 'The whole sheet.' }],
  readings: SHOWN,
  seen: [
    {
      id: 'shoeSmell',
      title: 'shoe smells',
      shorthand: 'smell',
      how: 'With the nose.',
      options: [
        { id: 'clean', title: 'of nothing' },
        { id: 'burnt', title: 'burnt', remedy: 'Let it cool, then look at the shoe.' },
      ],
    },
  ],
  schools: [
    {
      id: 'clear',
      title: 'clearance',
      options: [
        { id: 'usual', title: 'usual', source: MADE_UP },
        { id: 'wide', title: 'wide', source: MADE_UP },
      ],
    },
  ],
  steps: [
    {
      id: 'shoe-smelt',
      station: 'pads',
      title: 'shoe smelt at',
      say: 'Smell the shoe.',
      why: 'A burnt shoe has lost its bite.',
      cautions: ['clean'],
      done: { kind: 'in-window', readings: ['shoeSmell'] },
    },
  ],
  fasteners: [],
  standsOn: {
    'reading:shoeSmell': ['swap:pads'],
    'reading:shoeClear': ['turn:any', 'swap:pads', 'confirm:hard-squeezes'],
    'reading:shoeBite': ['turn:any', 'swap:pads', 'confirm:hard-squeezes'],
  },
  dial: { bite: ['shoeBite'], centre: [], say: 'the clearance and the bite' },
  plans: [],
  fit: () => ok(toyModel),
}
