import { defineCalculation, figure } from '../calculation/calculation.ts'
import { bendEfficiency, wireStiffness } from '../mechanics/cable.ts'
import { toRad } from '../mechanics/vector.ts'
import { ok } from '../outcome/outcome.ts'

export const cableFriction = defineCalculation({
  id: 'cable-friction',
  title: 'Cable friction over bends',
  summary: 'What share of the pull at the lever arrives at the brake.',
  inputs: {
    friction: { type: 'number', unit: '', min: 0, max: 2, meaning: 'coefficient of friction, inner on liner' },
    bendDeg: { type: 'number', unit: '°', min: 0, max: 3600, meaning: 'sum of all bend angles of the housing' },
  },
  outputs: { efficiency: { type: 'number', unit: '', meaning: 'tension out over tension in, 0 to 1' } },
  sources: [{ kind: 'textbook', title: 'Euler–Eytelwein belt equation' }],
  example: { friction: 0.1, bendDeg: 180 },
  run: ({ friction, bendDeg }) => ok({ efficiency: bendEfficiency(friction, toRad(bendDeg)) }),
  working: (i, o) => [
    {
      formula: 'T_out/T_in = e^(−μβ)',
      numbers: `e^(−${figure(i.friction)} × ${figure(toRad(i.bendDeg))} rad) = ${figure(o.efficiency)}`,
    },
  ],
})

export const cableStretch = defineCalculation({
  id: 'cable-stretch',
  title: 'Cable stretch',
  summary: 'How much an inner lengthens under tension.',
  inputs: {
    tensionN: { type: 'number', unit: 'N', min: 0, max: 5000, meaning: 'tension in the inner' },
    lengthMm: {
      type: 'number',
      unit: 'mm',
      min: 0,
      max: 10000,
      aboveMin: true,
      meaning: 'length of inner under tension',
    },
    areaMm2: {
      type: 'number',
      unit: 'mm²',
      min: 0,
      max: 50,
      aboveMin: true,
      meaning: 'metal cross-section of the inner',
    },
    modulusGpa: {
      type: 'number',
      unit: 'GPa',
      min: 0,
      max: 1000,
      aboveMin: true,
      meaning: 'elastic modulus of the strand',
    },
  },
  outputs: { stretchMm: { type: 'number', unit: 'mm', meaning: 'lengthening' } },
  sources: [{ kind: 'textbook', title: 'Hooke’s law for a bar in tension' }],
  example: { tensionN: 200, lengthMm: 1500, areaMm2: 1.2, modulusGpa: 130 },
  run: ({ tensionN, lengthMm, areaMm2, modulusGpa }) =>
    ok({ stretchMm: tensionN / wireStiffness(modulusGpa, areaMm2, lengthMm) }),
  working: (i, o) => [
    {
      formula: 'ΔL = F·L/(E·A)',
      numbers: `${figure(i.tensionN)} × ${figure(i.lengthMm)} / (${figure(i.modulusGpa * 1000)} × ${figure(i.areaMm2)}) = ${figure(o.stretchMm)} mm`,
    },
  ],
})
