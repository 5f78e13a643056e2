import { defineCalculation, figure } from '../calculation/calculation.ts'
import { drilledTube as drilled } from '../mechanics/tube.ts'
import { ok, refuse } from '../outcome/outcome.ts'
import { lengthAbove0 } from './specs.ts'

export const drilledTube = defineCalculation({
  id: 'drilled-tube',
  title: 'What a hole leaves of a tube',
  summary: 'Section and bending stiffness that remain at the hole. Drilling weakens a frame and cannot be undone.',
  inputs: {
    outerDiameterMm: lengthAbove0('outside diameter of the tube', 100),
    wallMm: lengthAbove0('wall thickness', 20),
    holeMm: lengthAbove0('hole in the drilled wall', 50),
    oppositeHoleMm: {
      type: 'number',
      unit: 'mm',
      min: 0,
      max: 50,
      optional: true,
      meaning: 'hole in the opposite wall; none if not given',
    },
  },
  outputs: {
    sectionRemaining: {
      type: 'number',
      unit: '',
      meaning: 'share of the wall’s area that remains at the hole, 0 to 1',
    },
    bendingRemaining: {
      type: 'number',
      unit: '',
      meaning: 'share of the bending stiffness that remains about the axis the holes weaken',
    },
    edgeRatio: { type: 'number', unit: '', meaning: 'radius of the tube over the hole; information only' },
  },
  sources: [{ kind: 'computed', title: 'Thin-walled tube, neutral axis kept at the middle' }],
  example: { outerDiameterMm: 16, wallMm: 1, holeMm: 8, oppositeHoleMm: 6 },
  run({ outerDiameterMm, wallMm, holeMm, oppositeHoleMm = 0 }) {
    if (wallMm > outerDiameterMm / 2) {
      return refuse(
        'out-of-range',
        'wallMm',
        `wallMm is ${wallMm}, thicker than the tube. Accepted: at most ${outerDiameterMm / 2} mm.`,
      )
    }
    const widest = outerDiameterMm - wallMm
    const tooLarge = holeMm > widest ? 'holeMm' : oppositeHoleMm > widest ? 'oppositeHoleMm' : undefined
    if (tooLarge) {
      const hole = tooLarge === 'holeMm' ? holeMm : oppositeHoleMm
      return refuse(
        'out-of-range',
        tooLarge,
        `${tooLarge} is ${hole}, larger than the tube. Accepted: at most ${widest} mm.`,
      )
    }
    const { section, bending } = drilled(outerDiameterMm, wallMm, [holeMm, oppositeHoleMm])
    return ok({ sectionRemaining: section, bendingRemaining: bending, edgeRatio: outerDiameterMm / 2 / holeMm })
  },
  working: (i, o) => [
    {
      formula: 'r = (OD − wall)/2; α = asin(hole/2r); section = 1 − Σα/π',
      numbers: `r = ${figure((i.outerDiameterMm - i.wallMm) / 2)} mm; section ${figure(o.sectionRemaining)}`,
    },
    { formula: 'bending = 1 − Σ(α + ½·sin 2α)/π', numbers: `${figure(o.bendingRemaining)}` },
  ],
})
