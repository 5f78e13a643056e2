import { defineCalculation, figure } from '../calculation/calculation.ts'
import { bendEfficiency, wireStiffness } from '../mechanics/cable.ts'
import { toRad } from '../mechanics/vector.ts'
import { ok, refuse } from '../outcome/outcome.ts'
import { lengthAbove0, lengthFrom0 } from './specs.ts'

const sum = (values: readonly number[]) => values.reduce((total, each) => total + each, 0)

export const cableRoute = defineCalculation({
  id: 'cable-route',
  title: 'Cable along its route',
  summary: 'Lengths to cut, and what bends, wire and housing take of the pull.',
  inputs: {
    housingMm: { type: 'list', unit: 'mm', min: 0, max: 3000, meaning: 'each piece of housing, stop to stop' },
    bareMm: { type: 'list', unit: 'mm', min: 0, max: 3000, meaning: 'each bare run of the inner' },
    bendDeg: { type: 'list', unit: '°', min: 0, max: 720, meaning: 'bend of each piece of housing' },
    allowanceMm: lengthFrom0('inner beyond its anchor and at its head', 400),
    friction: { type: 'number', unit: '', min: 0, max: 1, default: 0.1, meaning: 'inner in clean, lined housing' },
    frictionGritty: {
      type: 'number',
      unit: '',
      min: 0,
      max: 2,
      default: 0.25,
      meaning: 'inner in dry, gritty housing',
    },
    tensionN: { type: 'number', unit: 'N', min: 0, max: 5000, meaning: 'tension in a hard squeeze' },
    areaMm2: { type: 'number', unit: 'mm²', min: 0, max: 10, aboveMin: true, meaning: 'metal section of the inner' },
    modulusGpa: { type: 'number', unit: 'GPa', min: 0, max: 300, aboveMin: true, meaning: 'modulus of the strand' },
    housingMmPerMPerN: {
      type: 'number',
      unit: 'mm per m and N',
      min: 0,
      max: 1,
      default: 0.005,
      meaning: 'compression of the housing',
    },
    leverageAtLever: {
      type: 'number',
      unit: '',
      min: 0,
      max: 20,
      aboveMin: true,
      default: 2.5,
      meaning: 'finger arm over cable arm',
    },
  },
  outputs: {
    housingTotalMm: { type: 'number', unit: 'mm', meaning: 'housing in all' },
    innerMm: { type: 'number', unit: 'mm', meaning: 'inner to cut, allowance included' },
    bendTotalDeg: { type: 'number', unit: '°', meaning: 'sum of all bends' },
    efficiencyNew: { type: 'number', unit: '', meaning: 'tension at the brake over tension at the lever, clean' },
    efficiencyGritty: { type: 'number', unit: '', meaning: 'the same, gritty' },
    stretchMm: { type: 'number', unit: 'mm', meaning: 'the wire longer in a hard squeeze' },
    compressionMm: { type: 'number', unit: 'mm', meaning: 'the housing shorter in a hard squeeze' },
    fingerMm: { type: 'number', unit: 'mm', meaning: 'finger travel that both take' },
  },
  sources: [
    { kind: 'textbook', title: 'Euler–Eytelwein over the bends; Hooke along the wire' },
    {
      kind: 'our-choice',
      title: 'Friction 0.10 clean and 0.25 gritty, housing 0.005 mm per metre and newton, until measured',
    },
  ],
  example: {
    housingMm: [450, 260],
    bareMm: [620],
    bendDeg: [110, 120],
    allowanceMm: 120,
    tensionN: 164,
    areaMm2: 1.2,
    modulusGpa: 130,
  },
  run(i) {
    if (i.bendDeg.length !== i.housingMm.length) {
      return refuse(
        'out-of-range',
        'bendDeg',
        `${i.bendDeg.length} bends for ${i.housingMm.length} pieces of housing. Accepted: one bend a piece, 0 where it runs straight.`,
      )
    }
    const housingTotalMm = sum(i.housingMm)
    const inner = housingTotalMm + sum(i.bareMm)
    if (inner <= 0)
      return refuse(
        'out-of-range',
        'housingMm',
        'A route without length. Accepted: at least one piece of housing or one bare run.',
      )
    const bendTotalDeg = sum(i.bendDeg)
    const stretchMm = i.tensionN / wireStiffness(i.modulusGpa, i.areaMm2, inner)
    const compressionMm = (i.housingMmPerMPerN * housingTotalMm * i.tensionN) / 1000
    return ok({
      housingTotalMm,
      innerMm: inner + i.allowanceMm,
      bendTotalDeg,
      efficiencyNew: bendEfficiency(i.friction, toRad(bendTotalDeg)),
      efficiencyGritty: bendEfficiency(i.frictionGritty, toRad(bendTotalDeg)),
      stretchMm,
      compressionMm,
      fingerMm: i.leverageAtLever * (stretchMm + compressionMm),
    })
  },
  working: (i, o) => [
    {
      formula: 'inner = Σ housing + Σ bare + allowance',
      numbers: `${figure(o.housingTotalMm)} + ${figure(sum(i.bareMm))} + ${figure(i.allowanceMm)} = ${figure(o.innerMm)} mm`,
    },
    {
      formula: 'efficiency = e^(−μ·Σ bend)',
      numbers: `${figure(o.bendTotalDeg)}°: ${figure(o.efficiencyNew)} clean, ${figure(o.efficiencyGritty)} gritty`,
    },
    {
      formula: 'stretch = T·L/(E·A); compression = c·L_housing·T',
      numbers: `${figure(o.stretchMm)} mm and ${figure(o.compressionMm)} mm`,
    },
    { formula: 'finger = leverage × (stretch + compression)', numbers: `${figure(o.fingerMm)} mm` },
  ],
})

export const bendSpace = defineCalculation({
  id: 'bend-space',
  title: 'Housing for a bend',
  summary: 'The least housing that makes a bend at a radius.',
  inputs: {
    bendDeg: { type: 'number', unit: '°', min: 0, max: 720, meaning: 'how far it turns' },
    radiusMm: lengthAbove0('radius of the bend', 1000),
  },
  outputs: { leastMm: { type: 'number', unit: 'mm', meaning: 'length of the arc' } },
  sources: [{ kind: 'computed', title: 'Arc: radius × angle' }],
  example: { bendDeg: 90, radiusMm: 80 },
  run: ({ bendDeg, radiusMm }) => ok({ leastMm: radiusMm * toRad(bendDeg) }),
  working: (i, o) => [
    { formula: 'arc = r·β', numbers: `${figure(i.radiusMm)} × ${figure(toRad(i.bendDeg))} = ${figure(o.leastMm)} mm` },
  ],
})
