import { defineCalculation, figure } from '../calculation/calculation.ts'
import { toRad } from '../mechanics/vector.ts'
import { ok } from '../outcome/outcome.ts'

export const torqueFromPull = defineCalculation({
  id: 'torque-from-pull',
  title: 'Torque from a pull on a key',
  summary: 'Tightening torque without a torque wrench: a known force at a known length of key.',
  inputs: {
    forceN: { type: 'number', unit: 'N', min: 0, max: 2000, meaning: 'pull of the hand' },
    lengthMm: { type: 'number', unit: 'mm', min: 0, max: 2000, meaning: 'bolt axis to the middle of the hand' },
    angleDeg: { type: 'number', unit: '°', min: 0, max: 180, default: 90, meaning: 'angle between pull and key' },
  },
  outputs: { torqueNm: { type: 'number', unit: 'N·m', meaning: 'tightening torque' } },
  sources: [{ kind: 'textbook', title: 'Moment of a force about an axis' }],
  example: { forceN: 50, lengthMm: 100 },
  run: ({ forceN, lengthMm, angleDeg }) => ok({ torqueNm: (forceN * lengthMm * Math.sin(toRad(angleDeg))) / 1000 }),
  working: (i, o) => [
    {
      formula: 'M = F·L·sin(angle)',
      numbers: `${figure(i.forceN)} N × ${figure(i.lengthMm / 1000)} m × sin ${figure(i.angleDeg)}° = ${figure(o.torqueNm)} N·m`,
    },
  ],
})

/** The same the other way round: what the hand pulls for a figure. */
export const pullForTorque = defineCalculation({
  id: 'pull-for-torque',
  title: 'Pull on a key for a torque',
  summary: 'How hard the hand pulls at a known length of key to come to a tightening torque.',
  inputs: {
    torqueNm: { type: 'number', unit: 'N·m', min: 0, max: 500, meaning: 'tightening torque' },
    lengthMm: {
      type: 'number',
      unit: 'mm',
      min: 0,
      max: 2000,
      aboveMin: true,
      meaning: 'bolt axis to the middle of the hand',
    },
  },
  outputs: { forceN: { type: 'number', unit: 'N', meaning: 'pull of the hand, square to the key' } },
  sources: [{ kind: 'textbook', title: 'Moment of a force about an axis' }],
  example: { torqueNm: 5, lengthMm: 100 },
  run: ({ torqueNm, lengthMm }) => ok({ forceN: (torqueNm * 1000) / lengthMm }),
  working: (i, o) => [
    {
      formula: 'F = M/L',
      numbers: `${figure(i.torqueNm)} N·m / ${figure(i.lengthMm / 1000)} m = ${figure(o.forceN)} N`,
    },
  ],
})
