import { defineCalculation, figure } from '../calculation/calculation.ts'
import { GRAVITY, metresPerSecond, stopDeceleration } from '../mechanics/stopping.ts'
import { ok } from '../outcome/outcome.ts'

export const stopTest = defineCalculation({
  id: 'stop-test',
  title: 'Stop test',
  summary: 'Deceleration from a speed and a stopping distance, with its uncertainty.',
  inputs: {
    speedKmh: {
      type: 'number',
      unit: 'km/h',
      min: 0,
      max: 150,
      aboveMin: true,
      meaning: 'speed when the brake was applied',
    },
    distanceM: {
      type: 'number',
      unit: 'm',
      min: 0,
      max: 1000,
      aboveMin: true,
      meaning: 'distance from brake applied to standstill',
    },
    nominalSpeedKmh: {
      type: 'number',
      unit: 'km/h',
      min: 0,
      max: 150,
      aboveMin: true,
      optional: true,
      meaning: 'speed the distance is corrected to; the measured speed if not given',
    },
    speedUncertaintyKmh: {
      type: 'number',
      unit: 'km/h',
      min: 0,
      max: 50,
      default: 0,
      meaning: 'standard uncertainty of the speed',
    },
    distanceUncertaintyM: {
      type: 'number',
      unit: 'm',
      min: 0,
      max: 100,
      default: 0,
      meaning: 'standard uncertainty of the distance',
    },
  },
  outputs: {
    decelerationMs2: { type: 'number', unit: 'm/s²', meaning: 'mean deceleration' },
    decelerationG: { type: 'number', unit: 'g', meaning: 'mean deceleration over standard gravity' },
    correctedDistanceM: {
      type: 'number',
      unit: 'm',
      meaning: 'distance from the nominal speed at the same deceleration',
    },
    decelerationUncertaintyMs2: { type: 'number', unit: 'm/s²', meaning: 'standard uncertainty of the deceleration' },
  },
  sources: [
    { kind: 'textbook', title: 'Constant deceleration, a = v²/2d; first-order propagation of uncertainty' },
    { kind: 'standard', title: 'ISO 4210-4, speed-corrected braking distance (from memory)' },
  ],
  example: { speedKmh: 25, distanceM: 5.5, nominalSpeedKmh: 25, speedUncertaintyKmh: 1, distanceUncertaintyM: 0.2 },
  run({ speedKmh, distanceM, nominalSpeedKmh = speedKmh, speedUncertaintyKmh, distanceUncertaintyM }) {
    const deceleration = stopDeceleration(metresPerSecond(speedKmh), distanceM)
    return ok({
      decelerationMs2: deceleration,
      decelerationG: deceleration / GRAVITY,
      correctedDistanceM: distanceM * (nominalSpeedKmh / speedKmh) ** 2,
      decelerationUncertaintyMs2:
        deceleration * Math.hypot((2 * speedUncertaintyKmh) / speedKmh, distanceUncertaintyM / distanceM),
    })
  },
  working: (i, o) => [
    {
      formula: 'a = v²/2d',
      numbers: `(${figure(metresPerSecond(i.speedKmh))} m/s)² / (2 × ${figure(i.distanceM)} m) = ${figure(o.decelerationMs2)} m/s² = ${figure(o.decelerationG)} g`,
    },
    {
      formula: 'd₀ = d·(v₀/v)²',
      numbers: `${figure(i.distanceM)} × (${figure(i.nominalSpeedKmh ?? i.speedKmh)}/${figure(i.speedKmh)})² = ${figure(o.correctedDistanceM)} m`,
    },
    {
      formula: 'u(a) = a·√((2·u(v)/v)² + (u(d)/d)²)',
      numbers: `± ${figure(o.decelerationUncertaintyMs2)} m/s²`,
    },
  ],
})
