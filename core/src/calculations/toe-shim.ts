import { defineCalculation, figure } from '../calculation/calculation.ts'
import { toDeg } from '../mechanics/vector.ts'
import { ok, refuse } from '../outcome/outcome.ts'

export const toeShim = defineCalculation({
  id: 'toe-shim',
  title: 'Toe-in from a shim',
  summary: 'What a shim under the rear of the pad leaves as toe-in when its front edge touches.',
  inputs: {
    padLengthMm: { type: 'number', unit: 'mm', min: 0, max: 200, aboveMin: true, meaning: 'length of the pad face' },
    shimThicknessMm: { type: 'number', unit: 'mm', min: 0, max: 10, meaning: 'thickness of the shim' },
    shimFromFrontMm: {
      type: 'number',
      unit: 'mm',
      min: 0,
      max: 200,
      aboveMin: true,
      meaning: 'front edge of the pad to the shim’s edge',
    },
  },
  outputs: {
    toeDeg: { type: 'number', unit: '°', meaning: 'angle between pad face and rim' },
    rearGapMm: { type: 'number', unit: 'mm', meaning: 'gap at the rear edge with the front touching' },
  },
  sources: [
    { kind: 'computed', title: 'Similar triangles; the pad turns about its front edge' },
    { kind: 'standard', title: 'ISO/IEC 7810 ID-1: a bank card is 0.76 mm thick' },
  ],
  example: { padLengthMm: 55, shimThicknessMm: 0.76, shimFromFrontMm: 50 },
  run({ padLengthMm, shimThicknessMm, shimFromFrontMm }) {
    if (shimFromFrontMm > padLengthMm) {
      return refuse(
        'out-of-range',
        'shimFromFrontMm',
        `shimFromFrontMm is ${shimFromFrontMm}, behind the end of a ${padLengthMm} mm pad. Accepted: at most ${padLengthMm} mm.`,
      )
    }
    if (shimThicknessMm >= shimFromFrontMm) {
      return refuse(
        'out-of-range',
        'shimThicknessMm',
        `shimThicknessMm is ${shimThicknessMm}. Accepted: less than the ${shimFromFrontMm} mm from the front edge.`,
      )
    }
    const toe = Math.asin(shimThicknessMm / shimFromFrontMm)
    return ok({ toeDeg: toDeg(toe), rearGapMm: (shimThicknessMm * padLengthMm) / shimFromFrontMm })
  },
  working: (i, o) => [
    {
      formula: 'rear gap = shim · pad length / shim from front',
      numbers: `${figure(i.shimThicknessMm)} × ${figure(i.padLengthMm)} / ${figure(i.shimFromFrontMm)} = ${figure(o.rearGapMm)} mm, ${figure(o.toeDeg)}°`,
    },
  ],
})
