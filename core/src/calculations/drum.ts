import { defineCalculation, figure } from '../calculation/calculation.ts'
import { toRad } from '../mechanics/vector.ts'
import { ok, refuse } from '../outcome/outcome.ts'
import { lengthAbove0 } from './specs.ts'

export const drumTorque = defineCalculation({
  id: 'drum-torque',
  title: 'Drum: torque of two internal shoes',
  summary: 'Leading and trailing shoe on one actuating force; pressure goes with sin θ from the hinge.',
  inputs: {
    drumRadiusMm: lengthAbove0('inside radius of the drum', 1000),
    faceWidthMm: lengthAbove0('width of the lining', 500),
    friction: { type: 'number', unit: '', min: 0, max: 1.5, aboveMin: true, meaning: 'lining on drum' },
    pivotRadiusMm: lengthAbove0('hinge from the drum’s centre', 1000),
    leverArmMm: lengthAbove0('hinge to the line of the actuating force', 2000),
    startDeg: { type: 'number', unit: '°', min: 0, max: 180, meaning: 'lining begins, from the hinge' },
    endDeg: { type: 'number', unit: '°', min: 0, max: 180, aboveMin: true, meaning: 'lining ends, from the hinge' },
    maxPressureKpa: {
      type: 'number',
      unit: 'kPa',
      min: 0,
      max: 20000,
      aboveMin: true,
      meaning: 'greatest pressure on the leading shoe',
    },
    cam: {
      type: 'choice',
      unit: '',
      choices: ['floating', 'fixed'],
      default: 'floating',
      meaning: 'a floating cam pushes both shoes alike; a fixed one, bedded in, has both at one pressure',
    },
  },
  outputs: {
    actuatingForceN: {
      type: 'number',
      unit: 'N',
      meaning: 'force on each shoe; the mean of both where the cam is fixed',
    },
    leadingTorqueNm: { type: 'number', unit: 'N·m', meaning: 'torque of the leading shoe' },
    trailingTorqueNm: { type: 'number', unit: 'N·m', meaning: 'torque of the trailing shoe' },
    trailingPressureKpa: { type: 'number', unit: 'kPa', meaning: 'greatest pressure on the trailing shoe' },
    totalTorqueNm: { type: 'number', unit: 'N·m', meaning: 'both shoes' },
  },
  sources: [
    { kind: 'handbook', title: 'Shigley, Mechanical Engineering Design, internal expanding rim brakes (from memory)' },
  ],
  example: {
    drumRadiusMm: 150,
    faceWidthMm: 32,
    friction: 0.32,
    pivotRadiusMm: 122.7,
    leverArmMm: 212,
    startDeg: 0,
    endDeg: 126,
    maxPressureKpa: 1000,
  },
  run({
    drumRadiusMm: r,
    faceWidthMm: b,
    friction,
    pivotRadiusMm: a,
    leverArmMm,
    startDeg,
    endDeg,
    maxPressureKpa,
    cam,
  }) {
    if (a >= r)
      return refuse(
        'out-of-range',
        'pivotRadiusMm',
        `The hinge lies ${a} mm from the axle, in a drum of ${r} mm. Accepted: less than the drum’s radius.`,
      )
    if (endDeg <= startDeg)
      return refuse('out-of-range', 'endDeg', `endDeg is ${endDeg}. Accepted: more than startDeg, ${startDeg}°.`)
    const from = toRad(startDeg)
    const to = toRad(endDeg)
    // The pressure peaks square to the hinge, or at the end of the lining that is nearest to that.
    const peak = Math.sin(Math.min(to, Math.max(from, Math.PI / 2)))
    const pressure = maxPressureKpa / 1000 / peak
    const momentFriction =
      friction *
      pressure *
      b *
      r *
      (r * (Math.cos(from) - Math.cos(to)) - (a / 2) * (Math.sin(to) ** 2 - Math.sin(from) ** 2))
    const momentNormal = pressure * b * r * a * ((to - from) / 2 - (Math.sin(2 * to) - Math.sin(2 * from)) / 4)
    if (momentFriction >= momentNormal) {
      return refuse(
        'self-locking',
        'friction',
        `At a friction of ${friction} the leading shoe locks by itself. Accepted: less.`,
      )
    }
    const leadingTorqueNm = (friction * pressure * b * r * r * (Math.cos(from) - Math.cos(to))) / 1000
    if (cam === 'fixed')
      return ok({
        actuatingForceN: momentNormal / leverArmMm,
        leadingTorqueNm,
        trailingTorqueNm: leadingTorqueNm,
        trailingPressureKpa: maxPressureKpa,
        totalTorqueNm: 2 * leadingTorqueNm,
      })
    const actuatingForceN = (momentNormal - momentFriction) / leverArmMm
    const share = (actuatingForceN * leverArmMm) / (momentNormal + momentFriction)
    return ok({
      actuatingForceN,
      leadingTorqueNm,
      trailingTorqueNm: leadingTorqueNm * share,
      trailingPressureKpa: maxPressureKpa * share,
      totalTorqueNm: leadingTorqueNm * (1 + share),
    })
  },
  working: (i, o) => [
    i.cam === 'fixed'
      ? { formula: 'F = M_N/c, the mean of both', numbers: `${figure(o.actuatingForceN)} N` }
      : { formula: 'F = (M_N − M_f)/c', numbers: `${figure(o.actuatingForceN)} N on each shoe` },
    { formula: 'T = μ·p·b·r²·(cos θ₁ − cos θ₂)/sin θ_a', numbers: `leading ${figure(o.leadingTorqueNm)} N·m` },
    {
      formula: i.cam === 'fixed' ? 'one pressure: p₂ = p; T₂ = T' : 'p₂ = p·F·c/(M_N + M_f); T₂ = T·p₂/p',
      numbers: `${figure(o.trailingPressureKpa)} kPa, ${figure(o.trailingTorqueNm)} N·m; together ${figure(o.totalTorqueNm)} N·m`,
    },
  ],
})

/** What a flat cam lifts one shoe’s tip by, turned so far from where its faces lie against both, mm. */
const camLift = (camHalfMm: number, turnedDeg: number): number =>
  camHalfMm * Math.sin(toRad(Math.min(90, Math.max(0, turnedDeg))))

/** How much lining is worn away until the arm, applied, lies parallel with the ridge. */
export const drumWear = defineCalculation({
  id: 'drum-wear',
  title: 'Drum: lining by the arm’s angle',
  summary: 'What the angle of the applied arm says of the lining that may still wear.',
  inputs: {
    armAppliedDeg: { type: 'number', unit: '°', min: -30, max: 150, meaning: 'arm from the ridge, applied' },
    camHalfMm: lengthAbove0('half of the cam’s width', 50),
  },
  outputs: {
    liningMm: { type: 'number', unit: 'mm', meaning: 'lining, at its middle, that may wear until they are parallel' },
  },
  sources: [
    {
      kind: 'computed',
      title:
        'A cam lifts each tip by its half width times the sine of its turn, at most its half width; a lining’s middle follows by half',
    },
  ],
  example: { armAppliedDeg: 20, camHalfMm: 5.5 },
  run: ({ armAppliedDeg, camHalfMm }) => ok({ liningMm: camLift(camHalfMm, armAppliedDeg) / 2 }),
  working: (i, o) => [
    {
      formula: 'lining = cam half width × sin(angle)/2',
      numbers: `${figure(i.camHalfMm)} × ${figure(camLift(1, i.armAppliedDeg))} / 2 = ${figure(o.liningMm)} mm`,
    },
  ],
})
