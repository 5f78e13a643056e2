import { defineCalculation, figure } from '../calculation/calculation.ts'
import type { Source } from '../calculation/source.ts'
import { GRAVITY, padForce, rearSkidLimit } from '../mechanics/stopping.ts'
import { ok } from '../outcome/outcome.ts'
import { lengthAbove0, lengthFrom0 } from './specs.ts'

const share = (meaning: string, max: number) =>
  ({ type: 'number', unit: '', min: 0, max, aboveMin: true, meaning }) as const

export const leverTravel = defineCalculation({
  id: 'lever-travel',
  title: 'Bite and reserve of a lever',
  summary: 'Where this lever bites on this brake, and its reserve at a hard squeeze.',
  inputs: {
    cablePullMm: lengthFrom0('cable from rest to contact', 80),
    freePlayMm: lengthFrom0('cable pulled before it is taut', 20),
    leverCableArmMm: lengthAbove0('lever pivot to cable end', 100),
    leverFingerArmMm: lengthAbove0('lever pivot to finger', 200),
    leverReachMm: lengthAbove0('bar to blade at the finger, lever at rest', 200),
    cableForceN: { type: 'number', unit: 'N', min: 0, max: 5000, meaning: 'tension at the brake in a hard squeeze' },
    stiffnessNPerMm: {
      type: 'number',
      unit: 'N/mm',
      min: 0,
      max: 5000,
      aboveMin: true,
      meaning: 'wire, housing and brake in series, at the cable',
    },
  },
  outputs: {
    contactTravelMm: { type: 'number', unit: 'mm', meaning: 'bite: finger travel from rest until both pads press' },
    contactShare: { type: 'number', unit: '', meaning: 'the same over the reach' },
    stretchTravelMm: { type: 'number', unit: 'mm', meaning: 'finger travel from the bite to the hard squeeze' },
    reserveMm: { type: 'number', unit: 'mm', meaning: 'reserve, from blade to bar; negative: it meets the bar before' },
  },
  sources: [
    { kind: 'computed', title: 'p = a·θ, s = f·θ: cable and finger turn about the same pivot; T = K·(p − p contact)' },
  ],
  example: {
    cablePullMm: 10.9,
    freePlayMm: 1,
    leverCableArmMm: 30,
    leverFingerArmMm: 75,
    leverReachMm: 60,
    cableForceN: 164,
    stiffnessNPerMm: 24,
  },
  run(i) {
    const leverage = i.leverFingerArmMm / i.leverCableArmMm
    const contactTravelMm = leverage * (i.freePlayMm + i.cablePullMm)
    const stretchTravelMm = (leverage * i.cableForceN) / i.stiffnessNPerMm
    return ok({
      contactTravelMm,
      contactShare: contactTravelMm / i.leverReachMm,
      stretchTravelMm,
      reserveMm: i.leverReachMm - contactTravelMm - stretchTravelMm,
    })
  },
  working: (i, o) => [
    {
      formula: 'contact = (finger arm/cable arm) × (free play + cable pull)',
      numbers: `${figure(i.leverFingerArmMm)}/${figure(i.leverCableArmMm)} × (${figure(i.freePlayMm)} + ${figure(i.cablePullMm)}) = ${figure(o.contactTravelMm)} mm, ${figure(100 * o.contactShare)} % of ${figure(i.leverReachMm)} mm`,
    },
    {
      formula: 'stretch = (finger arm/cable arm) × tension/stiffness',
      numbers: `${figure(i.cableForceN)} N / ${figure(i.stiffnessNPerMm)} N/mm → ${figure(o.stretchTravelMm)} mm`,
    },
    {
      formula: 'reserve = reach − contact − stretch',
      numbers: `${figure(i.leverReachMm)} − ${figure(o.contactTravelMm)} − ${figure(o.stretchTravelMm)} = ${figure(o.reserveMm)} mm`,
    },
  ],
})

/** The stop that is asked for, the pull that makes it, and what comes of both. */
const STOP = {
  massKg: { type: 'number', unit: 'kg', min: 0, max: 1000, aboveMin: true, meaning: 'bicycle, rider and load' },
  decelerationG: { type: 'number', unit: 'g', min: 0, max: 2, meaning: 'deceleration over standard gravity' },
} as const
const PULL = {
  efficiency: share('tension at the brake over tension at the lever', 1),
  leverCableArmMm: lengthAbove0('lever pivot to cable end', 100),
  leverFingerArmMm: lengthAbove0('lever pivot to finger', 200),
} as const
const PULLED = {
  cableForceN: { type: 'number', unit: 'N', meaning: 'tension at the brake' },
  leverage: { type: 'number', unit: '', meaning: 'cable tension at the lever over finger force' },
  handForceN: { type: 'number', unit: 'N', meaning: 'finger force at the lever' },
} as const
const CODE: Source = {
  kind: 'standard',
  title: '16 CFR 1512.5/1512.18: the whole bicycle 0.50 g with at most 178 N (40 lbf) at a lever (from memory)',
}
/** What is asked of one brake, where a rule speaks of all of them together. */
const ONE_BRAKE: Source = {
  kind: 'our-choice',
  title: 'Half a g of this one brake alone is our choice; the published rule is for the whole bicycle',
}

export const handForce = defineCalculation({
  id: 'hand-force',
  title: 'Hand force for a stop',
  summary: 'What the finger must pull at the lever for a deceleration by this one brake.',
  inputs: {
    ...STOP,
    padFriction: share('friction of pad on track', 2),
    trackRadiusMm: lengthAbove0('radius of the brake track', 500),
    tyreRadiusMm: lengthAbove0('radius of the tyre on the road', 600),
    linkageRatio: share('cable pulled over both pads’ closing, local', 20),
    ...PULL,
  },
  outputs: {
    brakingForceN: { type: 'number', unit: 'N', meaning: 'wanted at the road' },
    padForceN: { type: 'number', unit: 'N', meaning: 'each pad on the rim' },
    ...PULLED,
  },
  sources: [
    { kind: 'textbook', title: 'Virtual work without friction in the linkage: N = κ·T; two pads, 2·μ·N at the track' },
    CODE,
    ONE_BRAKE,
  ],
  example: {
    massKg: 90,
    decelerationG: 0.5,
    padFriction: 0.4,
    trackRadiusMm: 311,
    tyreRadiusMm: 340,
    linkageRatio: 3.5,
    efficiency: 0.73,
    leverCableArmMm: 30,
    leverFingerArmMm: 75,
  },
  run(i) {
    const brakingForceN = i.massKg * GRAVITY * i.decelerationG
    const padForceN = padForce(i.massKg, i.decelerationG, i.trackRadiusMm, i.tyreRadiusMm, i.padFriction)
    const cableForceN = padForceN / i.linkageRatio
    const leverage = i.leverFingerArmMm / i.leverCableArmMm
    return ok({
      brakingForceN,
      padForceN,
      cableForceN,
      leverage,
      handForceN: cableForceN / i.efficiency / leverage,
    })
  },
  working: (i, o) => [
    {
      formula: 'at the road F = m·g·(a/g)',
      numbers: `${figure(i.massKg)} × 9.807 × ${figure(i.decelerationG)} = ${figure(o.brakingForceN)} N`,
    },
    {
      formula: 'each pad N = F·(tyre/track)/(2·μ)',
      numbers: `${figure(o.brakingForceN)} × ${figure(i.tyreRadiusMm)}/${figure(i.trackRadiusMm)} / (2 × ${figure(i.padFriction)}) = ${figure(o.padForceN)} N`,
    },
    {
      formula: 'cable T = N/κ',
      numbers: `${figure(o.padForceN)} / ${figure(i.linkageRatio)} = ${figure(o.cableForceN)} N`,
    },
    {
      formula: 'hand = T/efficiency/(finger arm/cable arm)',
      numbers: `${figure(o.cableForceN)} / ${figure(i.efficiency)} / ${figure(o.leverage)} = ${figure(o.handForceN)} N`,
    },
  ],
})

export const handTorque = defineCalculation({
  id: 'hand-torque',
  title: 'Hand force for a stop, from the brake’s torque',
  summary: 'What the finger must pull for a deceleration by this one brake, whatever presses on whatever.',
  inputs: {
    ...STOP,
    tyreRadiusMm: lengthAbove0('radius of the tyre on the road', 600),
    torqueNmPerN: share('braking torque for each newton of cable tension at the brake', 20),
    ...PULL,
  },
  outputs: {
    brakingForceN: { type: 'number', unit: 'N', meaning: 'wanted at the road' },
    torqueNm: { type: 'number', unit: 'N·m', meaning: 'wanted at the wheel' },
    ...PULLED,
  },
  sources: [
    { kind: 'textbook', title: 'Braking torque over the tyre’s radius is the force at the road; the lever by moments' },
    CODE,
    ONE_BRAKE,
  ],
  example: {
    massKg: 90,
    decelerationG: 0.5,
    tyreRadiusMm: 340,
    torqueNmPerN: 0.87,
    efficiency: 0.73,
    leverCableArmMm: 30,
    leverFingerArmMm: 75,
  },
  run(i) {
    const brakingForceN = i.massKg * GRAVITY * i.decelerationG
    const torqueNm = (brakingForceN * i.tyreRadiusMm) / 1000
    const cableForceN = torqueNm / i.torqueNmPerN
    const leverage = i.leverFingerArmMm / i.leverCableArmMm
    return ok({ brakingForceN, torqueNm, cableForceN, leverage, handForceN: cableForceN / i.efficiency / leverage })
  },
  working: (i, o) => [
    {
      formula: 'at the road F = m·g·(a/g)',
      numbers: `${figure(i.massKg)} × 9.807 × ${figure(i.decelerationG)} = ${figure(o.brakingForceN)} N`,
    },
    {
      formula: 'torque M = F·tyre',
      numbers: `${figure(o.brakingForceN)} × ${figure(i.tyreRadiusMm)}/1000 = ${figure(o.torqueNm)} N·m`,
    },
    {
      formula: 'cable T = M/(torque for each newton)',
      numbers: `${figure(o.torqueNm)} / ${figure(i.torqueNmPerN)} = ${figure(o.cableForceN)} N`,
    },
    {
      formula: 'hand = T/efficiency/(finger arm/cable arm)',
      numbers: `${figure(o.cableForceN)} / ${figure(i.efficiency)} / ${figure(o.leverage)} = ${figure(o.handForceN)} N`,
    },
  ],
})

export const rearSkid = defineCalculation({
  id: 'rear-skid',
  title: 'Deceleration at which the rear wheel skids',
  summary: 'The hardest stop the rear brake alone can give before its tyre lets go.',
  inputs: {
    wheelbaseMm: lengthAbove0('front to rear contact point', 4000),
    cgHeightMm: lengthAbove0('height of the common centre of mass', 3000),
    cgBehindFrontMm: lengthAbove0('centre of mass behind the front contact point', 4000),
    tyreFriction: share('friction of tyre on road', 2),
  },
  outputs: { limitG: { type: 'number', unit: 'g', meaning: 'deceleration over standard gravity' } },
  sources: [{ kind: 'textbook', title: 'Moments about the front contact point: μ·N_rear = m·a' }],
  example: { wheelbaseMm: 1050, cgHeightMm: 1140, cgBehindFrontMm: 640, tyreFriction: 0.8 },
  run: ({ wheelbaseMm, cgHeightMm, cgBehindFrontMm, tyreFriction }) =>
    ok({ limitG: rearSkidLimit(tyreFriction, wheelbaseMm, cgHeightMm, cgBehindFrontMm) }),
  working: (i, o) => [
    {
      formula: 'a/g = μ·x/(L + μ·h)',
      numbers: `${figure(i.tyreFriction)} × ${figure(i.cgBehindFrontMm)} / (${figure(i.wheelbaseMm)} + ${figure(i.tyreFriction)} × ${figure(i.cgHeightMm)}) = ${figure(o.limitG)}`,
    },
  ],
})
