import { defineCalculation, figure } from '../calculation/calculation.ts'
import { ok, refuse } from '../outcome/outcome.ts'
import { lengthAbove0, lengthFrom0 } from './specs.ts'

/** Where the pad face stands against its pivot after it has closed this much further. */
function riseAt(inMm: number, upMm: number, wornMm: number): number | undefined {
  const square = inMm * inMm + upMm * upMm - (inMm + wornMm) ** 2
  return square < 0 ? undefined : Math.sign(upMm) * Math.sqrt(square) - upMm
}

export const padDrift = defineCalculation({
  id: 'pad-drift',
  title: 'Drift of the pad as it wears',
  summary: 'How far the pad face climbs or sinks on the rim when the arm turns further by what was worn off.',
  inputs: {
    padInMm: { type: 'number', unit: 'mm', min: -200, max: 200, meaning: 'pad face from its pivot, towards the wheel' },
    padUpMm: {
      type: 'number',
      unit: 'mm',
      min: -300,
      max: 300,
      meaning: 'pad face above its pivot; below is negative',
    },
    wornMm: lengthFrom0('worn off the pad', 30),
  },
  outputs: {
    riseMm: { type: 'number', unit: 'mm', meaning: 'pad face up (towards the tyre on a boss brake); negative: down' },
    riseAtOnceMm: { type: 'number', unit: 'mm/mm', meaning: 'the same for each mm at the beginning' },
  },
  sources: [{ kind: 'computed', title: 'The pad face keeps its distance from the pivot' }],
  example: { padInMm: 28, padUpMm: 28, wornMm: 3 },
  run({ padInMm, padUpMm, wornMm }) {
    const riseMm = padUpMm === 0 ? undefined : riseAt(padInMm, padUpMm, wornMm)
    return riseMm === undefined
      ? refuse(
          'impossible-geometry',
          'wornMm',
          `A pad worn by ${wornMm} mm cannot reach the rim any more. Accepted: less wear, or measure pivot and pad again.`,
        )
      : ok({ riseMm, riseAtOnceMm: -padInMm / padUpMm })
  },
  working: (i, o) => [
    {
      formula: 'rise = ±√(in² + up² − (in + worn)²) − up',
      numbers: `in ${figure(i.padInMm)}, up ${figure(i.padUpMm)}, worn ${figure(i.wornMm)} → ${figure(o.riseMm)} mm`,
    },
  ],
})

export const padHeight = defineCalculation({
  id: 'pad-height',
  title: 'Starting height of the pad',
  summary: 'Where to set the pad so that it stays on the track until it is worn out, drifting as it does.',
  inputs: {
    trackMm: lengthAbove0('height of the brake track', 60),
    padMm: lengthAbove0('height of the pad', 60),
    riseMm: { type: 'number', unit: 'mm', min: -40, max: 40, meaning: 'drift over the pad’s life, up positive' },
    arcMm: {
      ...lengthFrom0('how far the ends of a straight pad stand above its middle on the round track', 30),
      default: 0,
    },
  },
  outputs: {
    edgeBestMm: { type: 'number', unit: 'mm', meaning: 'pad’s upper edge below the track’s, at the start: best' },
    edgeLeastMm: { type: 'number', unit: 'mm', meaning: 'least that never meets the tyre' },
    edgeMostMm: { type: 'number', unit: 'mm', meaning: 'most that never overhangs below' },
    staysOn: { type: 'boolean', unit: '', meaning: 'one setting serves the whole life' },
  },
  sources: [
    { kind: 'computed', title: 'The pad’s path laid inside the track' },
    { kind: 'common-practice', title: 'Pad face wholly on the track, or its top edge about 1 mm below the rim’s' },
  ],
  example: { trackMm: 14, padMm: 10, riseMm: -3 },
  run({ trackMm, padMm, riseMm, arcMm }) {
    if (padMm > trackMm)
      return refuse(
        'out-of-range',
        'padMm',
        `padMm is ${padMm}, taller than the track. Accepted: at most ${trackMm} mm.`,
      )
    const edgeLeastMm = arcMm + Math.max(0, riseMm)
    const edgeMostMm = trackMm - padMm + Math.min(0, riseMm)
    return ok({
      edgeLeastMm,
      edgeMostMm,
      edgeBestMm: (edgeLeastMm + edgeMostMm) / 2,
      staysOn: edgeMostMm >= edgeLeastMm,
    })
  },
  working: (i, o) => [
    {
      formula: 'least = arc + max(0, rise); most = track − pad + min(0, rise)',
      numbers: `${figure(o.edgeLeastMm)} to ${figure(o.edgeMostMm)} mm below the track’s edge`,
    },
    { formula: 'best = the middle', numbers: `${figure(o.edgeBestMm)} mm` },
    {
      formula: 'stays on the track if most ≥ least',
      numbers: o.staysOn
        ? `yes: ${figure(o.edgeMostMm - o.edgeLeastMm)} mm to spare`
        : `no: ${figure(o.edgeLeastMm - o.edgeMostMm)} mm too little track`,
    },
    ...(i.riseMm === 0 ? [{ formula: 'no drift', numbers: '0 mm: any height in the range holds' }] : []),
  ],
})

export const padArc = defineCalculation({
  id: 'pad-arc',
  title: 'Straight pad on a round track',
  summary: 'How far the ends of a straight pad stand above its middle, measured from the track’s upper edge.',
  inputs: {
    padLengthMm: lengthAbove0('length of the pad’s face', 200),
    trackRadiusMm: lengthAbove0('radius of the track’s upper edge', 400),
  },
  outputs: { arcMm: { type: 'number', unit: 'mm', meaning: 'middle to end, towards the tyre' } },
  sources: [{ kind: 'textbook', title: 'Height of an arc over its chord' }],
  example: { padLengthMm: 55, trackRadiusMm: 311 },
  run: ({ padLengthMm, trackRadiusMm }) =>
    padLengthMm >= 2 * trackRadiusMm
      ? refuse(
          'out-of-range',
          'padLengthMm',
          `padLengthMm is ${padLengthMm}, longer than the wheel is wide. Accepted: less than ${2 * trackRadiusMm} mm.`,
        )
      : ok({ arcMm: trackRadiusMm - Math.sqrt(trackRadiusMm ** 2 - (padLengthMm / 2) ** 2) }),
  working: (i, o) => [
    {
      formula: 'arc = R − √(R² − (length/2)²)',
      numbers: `R ${figure(i.trackRadiusMm)}, length ${figure(i.padLengthMm)} → ${figure(o.arcMm)} mm`,
    },
  ],
})

export const padSpace = defineCalculation({
  id: 'pad-space',
  title: 'Room for the pad',
  summary: 'Whether a pad with its shoe goes between arm and rim, and what gap there is when the arm is fully open.',
  inputs: {
    padDeepMm: lengthAbove0('pad’s face to its seat on the arm', 80),
    armSpaceMm: lengthAbove0('seat on the arm to rim, arm fully open', 100),
  },
  outputs: { leftMm: { type: 'number', unit: 'mm', meaning: 'most gap the arm can give this pad' } },
  sources: [{ kind: 'computed', title: 'Room less pad' }],
  example: { padDeepMm: 18, armSpaceMm: 24 },
  run: ({ padDeepMm, armSpaceMm }) =>
    padDeepMm >= armSpaceMm
      ? refuse(
          'out-of-range',
          'padDeepMm',
          `The pad is ${padDeepMm} mm from face to seat, the room between arm and rim ${armSpaceMm} mm. Accepted: a pad thinner than ${armSpaceMm} mm.`,
        )
      : ok({ leftMm: armSpaceMm - padDeepMm }),
  working: (i, o) => [
    {
      formula: 'left = room − pad',
      numbers: `${figure(i.armSpaceMm)} − ${figure(i.padDeepMm)} = ${figure(o.leftMm)} mm`,
    },
  ],
})
