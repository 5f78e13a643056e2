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
  },
  outputs: {
    actuatingForceN: { type: 'number', unit: 'N', meaning: 'force on each shoe' },
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
  run({ drumRadiusMm: r, faceWidthMm: b, friction, pivotRadiusMm: a, leverArmMm, startDeg, endDeg, maxPressureKpa }) {
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
    const actuatingForceN = (momentNormal - momentFriction) / leverArmMm
    const leadingTorqueNm = (friction * pressure * b * r * r * (Math.cos(from) - Math.cos(to))) / 1000
    const share = (actuatingForceN * leverArmMm) / (momentNormal + momentFriction)
    return ok({
      actuatingForceN,
      leadingTorqueNm,
      trailingTorqueNm: leadingTorqueNm * share,
      trailingPressureKpa: maxPressureKpa * share,
      totalTorqueNm: leadingTorqueNm * (1 + share),
    })
  },
  working: (_, o) => [
    { formula: 'F = (M_N − M_f)/c', numbers: `${figure(o.actuatingForceN)} N on each shoe` },
    { formula: 'T = μ·p·b·r²·(cos θ₁ − cos θ₂)/sin θ_a', numbers: `leading ${figure(o.leadingTorqueNm)} N·m` },
    {
      formula: 'p₂ = p·F·c/(M_N + M_f); T₂ = T·p₂/p',
      numbers: `${figure(o.trailingPressureKpa)} kPa, ${figure(o.trailingTorqueNm)} N·m; together ${figure(o.totalTorqueNm)} N·m`,
    },
  ],
})
