import { defineCalculation, figure } from '../calculation/calculation.ts'
import { equalStrengthEngagement, preloadFromTorque } from '../mechanics/bolts.ts'
import { ok, refuse } from '../outcome/outcome.ts'
import { lengthAbove0, lengthFrom0 } from './specs.ts'

const MEASURED = {
  kind: 'computed',
  title: 'Lengths as measured on the parts; washers at their seated centre',
} as const

const PROTRUSION = lengthAbove0('bolt standing out behind the caliper', 200)
const DEPTH = lengthAbove0('bridge or crown, front to back at the hole', 100)
const STRESS_AREA = {
  type: 'number',
  unit: 'mm²',
  min: 0,
  max: 5000,
  aboveMin: true,
  meaning: 'tensile stress area of the thread',
} as const
const THREADED = {
  type: 'number',
  unit: 'mm',
  min: 0,
  max: 200,
  optional: true,
  meaning: 'threaded part of the protrusion, from its end; all of it if not given',
} as const

export const boltPreload = defineCalculation({
  id: 'bolt-preload',
  title: 'Bolt preload from torque',
  summary: 'How hard a tightening torque pulls a bolt, and how near its proof load that is.',
  inputs: {
    torqueNm: { type: 'number', unit: 'N·m', min: 0, max: 500, meaning: 'tightening torque' },
    diameterMm: lengthAbove0('nominal diameter of the thread', 100),
    nutFactor: {
      type: 'number',
      unit: '',
      min: 0,
      max: 1,
      aboveMin: true,
      default: 0.2,
      meaning: 'nut factor K; about 0.20 dry',
    },
    stressAreaMm2: STRESS_AREA,
    proofStressMpa: {
      type: 'number',
      unit: 'MPa',
      min: 0,
      max: 2000,
      aboveMin: true,
      meaning: 'proof stress of the bolt’s class',
    },
  },
  outputs: {
    preloadN: { type: 'number', unit: 'N', meaning: 'tension in the bolt' },
    proofFraction: { type: 'number', unit: '', meaning: 'preload over proof load' },
  },
  sources: [
    { kind: 'handbook', title: 'Shigley, Mechanical Engineering Design, and Machinery’s Handbook: T = K·F·d' },
    { kind: 'standard', title: 'ISO 898-1, stress areas and proof stresses (from memory)' },
  ],
  example: { torqueNm: 8, diameterMm: 6, stressAreaMm2: 20.1, proofStressMpa: 580 },
  run({ torqueNm, diameterMm, nutFactor, stressAreaMm2, proofStressMpa }) {
    const preloadN = preloadFromTorque(torqueNm, diameterMm, nutFactor)
    return ok({ preloadN, proofFraction: preloadN / (stressAreaMm2 * proofStressMpa) })
  },
  working: (i, o) => [
    {
      formula: 'F = T/(K·d)',
      numbers: `${figure(i.torqueNm * 1000)} N·mm / (${figure(i.nutFactor)} × ${figure(i.diameterMm)} mm) = ${figure(o.preloadN)} N`,
    },
    {
      formula: 'share = F/(As·Sp)',
      numbers: `${figure(o.preloadN)} / (${figure(i.stressAreaMm2)} × ${figure(i.proofStressMpa)}) = ${figure(o.proofFraction)}`,
    },
  ],
})

export const threadEngagement = defineCalculation({
  id: 'thread-engagement',
  title: 'Least thread engagement',
  summary: 'How much thread must be engaged for the bolt to break before the thread strips.',
  inputs: {
    stressAreaMm2: STRESS_AREA,
    internalMinorMaxMm: lengthAbove0('largest minor diameter of the internal thread', 100),
    externalPitchMinMm: lengthAbove0('smallest pitch diameter of the external thread', 100),
    pitchMm: lengthAbove0('pitch', 10),
  },
  outputs: {
    minimumLengthMm: { type: 'number', unit: 'mm', meaning: 'length of engagement at equal strength, same material' },
  },
  sources: [
    { kind: 'handbook', title: 'FED-STD-H28/2; Machinery’s Handbook, length of thread engagement (from memory)' },
  ],
  example: { stressAreaMm2: 20.1, internalMinorMaxMm: 5.153, externalPitchMinMm: 5.212, pitchMm: 1 },
  run({ stressAreaMm2, internalMinorMaxMm, externalPitchMinMm, pitchMm }) {
    const minimumLengthMm = equalStrengthEngagement(stressAreaMm2, internalMinorMaxMm, externalPitchMinMm, pitchMm)
    return minimumLengthMm > 0
      ? ok({ minimumLengthMm })
      : refuse(
          'impossible-geometry',
          'externalPitchMinMm',
          `externalPitchMinMm is ${externalPitchMinMm}: these threads do not meet. Accepted: near or above ${internalMinorMaxMm} mm.`,
        )
  },
  working: (i, o) => [
    {
      formula: 'Le = 2·As/(π·Kn·(½ + (Es − Kn)/(√3·p)))',
      numbers: `2 × ${figure(i.stressAreaMm2)}/(π × ${figure(i.internalMinorMaxMm)} × (0.5 + ${figure(i.externalPitchMinMm - i.internalMinorMaxMm)}/(1.732 × ${figure(i.pitchMm)}))) = ${figure(o.minimumLengthMm)} mm`,
    },
  ],
})

export const throughBolt = defineCalculation({
  id: 'through-bolt',
  title: 'Long bolt right through',
  summary: 'Whether a nut behind the frame gets enough thread, and does not meet the plain shank first.',
  inputs: {
    boltProtrusionMm: PROTRUSION,
    frameDepthMm: DEPTH,
    washersMm: {
      type: 'list',
      unit: 'mm',
      min: 0,
      max: 30,
      meaning: 'thickness of each washer, saddle washers at their seated centre',
    },
    nutHeightMm: lengthAbove0('height of the nut', 40),
    pitchMm: lengthAbove0('pitch of the thread', 5),
    threadedLengthMm: THREADED,
  },
  outputs: {
    engagementMm: { type: 'number', unit: 'mm', meaning: 'thread inside the nut' },
    threadsShowing: { type: 'number', unit: '', meaning: 'threads beyond the nut' },
    shoulders: { type: 'boolean', unit: '', meaning: 'the plain shank reaches the nut before it clamps' },
    fits: { type: 'boolean', unit: '', meaning: 'at least one thread shows and it does not shoulder' },
  },
  sources: [MEASURED, { kind: 'common-practice', title: 'At least one thread shows beyond the nut' }],
  example: { boltProtrusionMm: 38, frameDepthMm: 22, washersMm: [3, 3, 1], nutHeightMm: 5, pitchMm: 1 },
  run({ boltProtrusionMm, frameDepthMm, washersMm, nutHeightMm, pitchMm, threadedLengthMm = boltProtrusionMm }) {
    const clamped = frameDepthMm + washersMm.reduce((sum, each) => sum + each, 0)
    const over = boltProtrusionMm - clamped
    const threadsShowing = Math.max(0, over - nutHeightMm) / pitchMm
    const shoulders = boltProtrusionMm - threadedLengthMm > clamped
    return ok({
      engagementMm: Math.min(nutHeightMm, Math.max(0, over)),
      threadsShowing,
      shoulders,
      fits: threadsShowing >= 1 && !shoulders,
    })
  },
  working: (i, o) => [
    {
      formula: 'over = protrusion − depth − Σ washers',
      numbers: `${figure(i.boltProtrusionMm)} − ${figure(i.frameDepthMm)} − ${figure(i.washersMm.reduce((sum, each) => sum + each, 0))} = ${figure(i.boltProtrusionMm - i.frameDepthMm - i.washersMm.reduce((sum, each) => sum + each, 0))} mm`,
    },
    {
      formula: 'engaged = min(nut, over); showing = (over − nut)/pitch',
      numbers: `${figure(o.engagementMm)} mm engaged, ${figure(o.threadsShowing)} threads show`,
    },
  ],
})

export const sleeveNut = defineCalculation({
  id: 'sleeve-nut',
  title: 'Sleeve nut let into the rear wall',
  summary: 'Whether this nut length holds the bolt by enough thread and neither bottoms nor shoulders.',
  inputs: {
    boltProtrusionMm: PROTRUSION,
    frameDepthMm: DEPTH,
    frontWasherMm: lengthFrom0('washer between caliper and frame, at its seated centre', 30),
    rearWasherMm: lengthFrom0('washer under the nut’s head, at its seated centre', 30),
    frontWallMm: lengthFrom0('front wall that the nut’s tip must clear', 100),
    shankLengthMm: lengthAbove0('nut, from under its head to its tip', 100),
    threadDepthMm: lengthAbove0('thread in the nut, from its tip', 100),
    diameterMm: lengthAbove0('nominal diameter of the thread', 30),
    threadedLengthMm: THREADED,
    engagementFactor: {
      type: 'number',
      unit: '',
      min: 0.2,
      max: 5,
      default: 1,
      meaning: 'engagement wanted over the diameter: 1 for a steel nut, 2 for aluminium',
    },
  },
  outputs: {
    engagementMm: { type: 'number', unit: 'mm', meaning: 'bolt engaged in the nut' },
    tipClearanceMm: { type: 'number', unit: 'mm', meaning: 'nut’s tip to the front wall' },
    bottoms: { type: 'boolean', unit: '', meaning: 'the bolt reaches the end of the nut’s thread before it clamps' },
    shoulders: { type: 'boolean', unit: '', meaning: 'the plain shank reaches the nut before it clamps' },
    fits: {
      type: 'boolean',
      unit: '',
      meaning: 'enough engaged, clear of the front wall, neither bottoming nor shouldering',
    },
  },
  sources: [
    MEASURED,
    { kind: 'handbook', title: 'One diameter of engagement in steel, two in aluminium (common practice)' },
  ],
  example: {
    boltProtrusionMm: 16,
    frameDepthMm: 24,
    frontWasherMm: 2,
    rearWasherMm: 2,
    frontWallMm: 2,
    shankLengthMm: 20,
    threadDepthMm: 14,
    diameterMm: 6,
  },
  run(i) {
    const tip = i.frontWasherMm + i.frameDepthMm + i.rearWasherMm - i.shankLengthMm
    const overlap = i.boltProtrusionMm - tip
    const engagementMm = Math.max(0, Math.min(i.threadDepthMm, overlap))
    const tipClearanceMm = i.frameDepthMm + i.rearWasherMm - i.shankLengthMm - i.frontWallMm
    const bottoms = overlap > i.threadDepthMm
    const shoulders = i.boltProtrusionMm - (i.threadedLengthMm ?? i.boltProtrusionMm) > tip
    const holds = engagementMm >= i.engagementFactor * i.diameterMm
    return ok({
      engagementMm,
      tipClearanceMm,
      bottoms,
      shoulders,
      fits: holds && tipClearanceMm >= 0 && !bottoms && !shoulders,
    })
  },
  working: (i, o) => [
    {
      formula: 'tip = front washer + depth + rear washer − shank, behind the caliper',
      numbers: `${figure(i.frontWasherMm)} + ${figure(i.frameDepthMm)} + ${figure(i.rearWasherMm)} − ${figure(i.shankLengthMm)} = ${figure(i.frontWasherMm + i.frameDepthMm + i.rearWasherMm - i.shankLengthMm)} mm`,
    },
    {
      formula: 'engaged = protrusion − tip, at most the thread’s depth',
      numbers: `${figure(o.engagementMm)} mm; wanted ${figure(i.engagementFactor * i.diameterMm)} mm`,
    },
    { formula: 'clearance = depth + rear washer − shank − front wall', numbers: `${figure(o.tipClearanceMm)} mm` },
  ],
})
