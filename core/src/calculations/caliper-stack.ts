import { defineCalculation, figure } from '../calculation/calculation.ts'
import { ok } from '../outcome/outcome.ts'
import { lengthAbove0, lengthFrom0 } from './specs.ts'

const MEASURED = { kind: 'computed', title: 'Lengths as measured on the parts, along the rotor’s radius' } as const
const apart = (meaning: string) => ({ type: 'number', unit: 'mm', min: -30, max: 30, meaning }) as const

/** Where a caliper comes to stand over another rotor, on another bracket or other spacers. */
export const caliperStack = defineCalculation({
  id: 'caliper-stack',
  title: 'Caliper on bracket and spacers',
  summary:
    'How body and pads lie over a rotor when bracket or spacers lift the caliper, reckoned from how they lie now.',
  inputs: {
    rotorBeforeMm: lengthAbove0('diameter of the rotor that was measured', 300),
    rotorAfterMm: lengthAbove0('diameter of the rotor that is to run', 300),
    liftBeforeMm: lengthFrom0('bracket and spacers under the caliper as it was measured', 80),
    liftAfterMm: lengthFrom0('bracket and spacers under it as planned', 80),
    topMm: apart('rotor’s edge to the body above it, as it was measured'),
    bottomMm: apart('rotor’s arms to the lower edge of the body, as it was measured'),
    padEdgeMm: apart('pad’s outer edge inside the rotor’s edge, as it was measured; below 0 it stands past it'),
    padHeightMm: lengthAbove0('pad, from its outer edge to its inner one', 40),
    trackBeforeMm: lengthAbove0('depth of the track of the rotor that was measured', 40),
    trackAfterMm: lengthAbove0('depth of the track of the rotor that is to run', 40),
  },
  outputs: {
    topAfterMm: { type: 'number', unit: 'mm', meaning: 'rotor’s edge to the body above it; touching is 0 or less' },
    bottomAfterMm: {
      type: 'number',
      unit: 'mm',
      meaning: 'rotor’s arms to the lower edge of the body; touching is 0 or less',
    },
    padEdgeAfterMm: {
      type: 'number',
      unit: 'mm',
      meaning: 'pad’s outer edge inside the rotor’s edge; below 0 past it',
    },
    coverMm: { type: 'number', unit: 'mm', meaning: 'height of the pad that lies on the track' },
    hungMm: { type: 'number', unit: 'mm', meaning: 'height of the pad that hangs past the track, at either edge' },
  },
  sources: [MEASURED, { kind: 'our-choice', title: 'The lift is taken along the radius at the pads’ middle' }],
  example: {
    rotorBeforeMm: 160,
    rotorAfterMm: 180,
    liftBeforeMm: 0,
    liftAfterMm: 10,
    topMm: 1.5,
    bottomMm: 1.5,
    padEdgeMm: 0.5,
    padHeightMm: 15,
    trackBeforeMm: 16,
    trackAfterMm: 16,
  },
  run(i) {
    const out = (i.rotorAfterMm - i.rotorBeforeMm) / 2
    const moved = i.liftAfterMm - i.liftBeforeMm - out
    const edge = i.padEdgeMm - moved
    const coverMm = Math.max(0, Math.min(i.trackAfterMm, edge + i.padHeightMm) - Math.max(0, edge))
    return ok({
      topAfterMm: i.topMm + moved,
      bottomAfterMm: i.bottomMm + moved + (i.trackAfterMm - i.trackBeforeMm),
      padEdgeAfterMm: edge,
      coverMm,
      hungMm: i.padHeightMm - coverMm,
    })
  },
  working: (i, o) => [
    {
      formula: 'moved = lift after − lift before − (rotor after − rotor before)/2',
      numbers: `${figure(i.liftAfterMm)} − ${figure(i.liftBeforeMm)} − (${figure(i.rotorAfterMm)} − ${figure(i.rotorBeforeMm)})/2 = ${figure(o.topAfterMm - i.topMm)} mm outwards over the rotor’s edge`,
    },
    {
      formula: 'above = top + moved; below = bottom + moved + track after − track before',
      numbers: `${figure(o.topAfterMm)} mm above, ${figure(o.bottomAfterMm)} mm below`,
    },
    {
      formula: 'on the track = least(track, edge + pad) − greatest(0, edge), edge = pad’s edge − moved',
      numbers: `edge ${figure(o.padEdgeAfterMm)} mm: ${figure(o.coverMm)} mm of ${figure(i.padHeightMm)} mm on it, ${figure(o.hungMm)} mm past it`,
    },
  ],
})

/** How much of a bolt holds in the thread it goes into. */
export const boltHold = defineCalculation({
  id: 'bolt-hold',
  title: 'Bolt in a threaded seat',
  summary: 'How much thread a bolt holds by after what it clamps, and whether it meets the end of the hole first.',
  inputs: {
    underHeadMm: lengthAbove0('bolt, from under its head to its end', 150),
    clampedMm: lengthFrom0('what lies between its head and the thread: ear, washers, spacers, foot', 120),
    threadDepthMm: lengthAbove0('depth of thread in the seat', 80),
    diameterMm: lengthAbove0('nominal diameter of the thread', 30),
    engagementFactor: {
      type: 'number',
      unit: '',
      min: 0.2,
      max: 5,
      default: 1.5,
      meaning: 'engagement wanted over the diameter: 1 in steel, 1.5 in aluminium',
    },
  },
  outputs: {
    engagementMm: { type: 'number', unit: 'mm', meaning: 'thread that holds' },
    wantedMm: { type: 'number', unit: 'mm', meaning: 'thread that is wanted' },
    bottoms: { type: 'boolean', unit: '', meaning: 'the bolt meets the end of the thread before it clamps' },
    fits: { type: 'boolean', unit: '', meaning: 'enough thread holds, and it does not bottom' },
  },
  sources: [
    MEASURED,
    { kind: 'common-practice', title: 'One diameter of thread in steel, one and a half in solid aluminium' },
  ],
  example: { underHeadMm: 20, clampedMm: 9, threadDepthMm: 14, diameterMm: 6 },
  run({ underHeadMm, clampedMm, threadDepthMm, diameterMm, engagementFactor }) {
    const reaches = underHeadMm - clampedMm
    const engagementMm = Math.max(0, Math.min(threadDepthMm, reaches))
    const wantedMm = engagementFactor * diameterMm
    const bottoms = reaches > threadDepthMm
    return ok({ engagementMm, wantedMm, bottoms, fits: !bottoms && engagementMm >= wantedMm })
  },
  working: (i, o) => [
    {
      formula: 'holds = under the head − clamped, at most the thread’s depth',
      numbers: `${figure(i.underHeadMm)} − ${figure(i.clampedMm)} = ${figure(i.underHeadMm - i.clampedMm)} mm; ${figure(o.engagementMm)} mm hold`,
    },
    {
      formula: 'wanted = factor · diameter',
      numbers: `${figure(i.engagementFactor)} × ${figure(i.diameterMm)} = ${figure(o.wantedMm)} mm`,
    },
  ],
})
