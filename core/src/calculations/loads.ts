import { defineCalculation, figure } from '../calculation/calculation.ts'
import { tipOverLimit as limit, wheelLoads } from '../mechanics/stopping.ts'
import { ok, refuse } from '../outcome/outcome.ts'
import { lengthAbove0 } from './specs.ts'

const SOURCE = {
  kind: 'textbook',
  title:
    'Moments about the wheels’ contact points; Wilson, Bicycling Science, about 0.56 g for an upright rider (from memory)',
} as const

export const tipOverLimit = defineCalculation({
  id: 'tip-over-limit',
  title: 'Deceleration at which the rear wheel lifts',
  summary: 'The hardest stop a front brake can give before bicycle and rider go over.',
  inputs: {
    cgHeightMm: lengthAbove0('height of the common centre of mass', 3000),
    cgBehindFrontMm: lengthAbove0('centre of mass behind the front contact point', 3000),
  },
  outputs: { limitG: { type: 'number', unit: 'g', meaning: 'deceleration over standard gravity' } },
  sources: [SOURCE],
  example: { cgHeightMm: 1140, cgBehindFrontMm: 640 },
  run: ({ cgHeightMm, cgBehindFrontMm }) => ok({ limitG: limit(cgHeightMm, cgBehindFrontMm) }),
  working: (i, o) => [
    { formula: 'a/g = x/h', numbers: `${figure(i.cgBehindFrontMm)}/${figure(i.cgHeightMm)} = ${figure(o.limitG)}` },
  ],
})

export const brakingLoad = defineCalculation({
  id: 'braking-load',
  title: 'Wheel loads while braking',
  summary: 'How the load moves to the front wheel, and whether the rear lifts.',
  inputs: {
    massKg: { type: 'number', unit: 'kg', min: 0, max: 1000, aboveMin: true, meaning: 'bicycle, rider and load' },
    wheelbaseMm: lengthAbove0('front to rear contact point', 4000),
    cgHeightMm: lengthAbove0('height of the common centre of mass', 3000),
    cgBehindFrontMm: lengthAbove0('centre of mass behind the front contact point', 4000),
    decelerationG: { type: 'number', unit: 'g', min: 0, max: 2, meaning: 'deceleration over standard gravity' },
  },
  outputs: {
    frontLoadN: { type: 'number', unit: 'N', meaning: 'load on the front wheel' },
    rearLoadN: { type: 'number', unit: 'N', meaning: 'load on the rear wheel, not below 0' },
    rearLifts: { type: 'boolean', unit: '', meaning: 'the rear wheel carries nothing' },
  },
  sources: [SOURCE],
  example: { massKg: 90, wheelbaseMm: 1050, cgHeightMm: 1140, cgBehindFrontMm: 640, decelerationG: 0.4 },
  run({ massKg, wheelbaseMm, cgHeightMm, cgBehindFrontMm, decelerationG }) {
    if (cgBehindFrontMm > wheelbaseMm) {
      return refuse(
        'out-of-range',
        'cgBehindFrontMm',
        `cgBehindFrontMm is ${cgBehindFrontMm}, behind the rear wheel. Accepted: at most the wheelbase, ${wheelbaseMm} mm.`,
      )
    }
    const { front, rear, rearLifts } = wheelLoads(massKg, wheelbaseMm, cgHeightMm, cgBehindFrontMm, decelerationG)
    return ok({ frontLoadN: front, rearLoadN: rear, rearLifts })
  },
  working: (i, o) => [
    {
      formula: 'N_rear = m·g·(x/L − (a/g)·h/L), N_front = m·g − N_rear',
      numbers: `${figure(i.massKg)} × 9.807 × (${figure(i.cgBehindFrontMm / i.wheelbaseMm)} − ${figure((i.decelerationG * i.cgHeightMm) / i.wheelbaseMm)}) → ${figure(o.rearLoadN)} N behind, ${figure(o.frontLoadN)} N in front`,
    },
  ],
})
