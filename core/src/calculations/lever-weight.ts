import { defineCalculation, figure } from '../calculation/calculation.ts'
import { ok, refuse } from '../outcome/outcome.ts'
import { lengthAbove0 } from './specs.ts'

const atFinger = (meaning: string) =>
  ({ type: 'number', unit: 'N', min: 0, max: 200, aboveMin: true, meaning }) as const

export const leverWeight = defineCalculation({
  id: 'lever-weight',
  title: 'Lever weight: spring against friction',
  summary:
    'What the springs pull and what the cable takes, told apart by two readings of a spring scale on the blade: as it begins to move, and as it is let back.',
  inputs: {
    pullN: atFinger('finger force that just moves the pads'),
    backN: atFinger('finger force at which they just come back'),
    leverCableArmMm: lengthAbove0('lever pivot to cable end', 100),
    leverFingerArmMm: lengthAbove0('lever pivot to finger', 200),
  },
  outputs: {
    springN: { type: 'number', unit: 'N', meaning: 'pull of the brake’s springs at its end of the cable' },
    efficiency: { type: 'number', unit: '', meaning: 'tension that arrives over tension put in, one way' },
    frictionN: { type: 'number', unit: 'N', meaning: 'finger force lost in the cable as it is pulled' },
  },
  sources: [
    {
      kind: 'textbook',
      title: 'Euler–Eytelwein both ways: pulled S/η, let back S·η; so S² is their product and η² their ratio',
    },
  ],
  example: { pullN: 6, backN: 3, leverCableArmMm: 30, leverFingerArmMm: 75 },
  run({ pullN, backN, leverCableArmMm, leverFingerArmMm }) {
    if (backN > pullN) {
      return refuse(
        'out-of-range',
        'backN',
        `The blade comes back at ${backN} N, more than the ${pullN} N that move it. Accepted: at most ${pullN} N.`,
      )
    }
    const leverage = leverFingerArmMm / leverCableArmMm
    const even = Math.sqrt(pullN * backN)
    return ok({ springN: leverage * even, efficiency: Math.sqrt(backN / pullN), frictionN: pullN - even })
  },
  working: (i, o) => [
    {
      formula: 'η = √(back/pull)',
      numbers: `√(${figure(i.backN)}/${figure(i.pullN)}) = ${figure(o.efficiency)}`,
    },
    {
      formula: 'spring = (finger arm/cable arm)·√(pull·back)',
      numbers: `${figure(i.leverFingerArmMm)}/${figure(i.leverCableArmMm)} × √(${figure(i.pullN)} × ${figure(i.backN)}) = ${figure(o.springN)} N`,
    },
    { formula: 'friction = pull − √(pull·back)', numbers: `${figure(o.frictionN)} N at the finger` },
  ],
})
