import { defineCalculation, figure } from '../calculation/calculation.ts'
import { closesFrom } from '../linkages/closes.ts'
import { linearPullLinkage } from '../linkages/linear-pull.ts'
import { cableAt, cablePull, linkageRatio, openingForGap, padAt, tieRates } from '../mechanics/linkage.ts'
import { toDeg } from '../mechanics/vector.ts'
import { ok, refuse } from '../outcome/outcome.ts'
import { lengthAbove0 } from './specs.ts'

const gap = (side: string) =>
  ({ type: 'number', unit: 'mm', min: 0, max: 15, meaning: `${side} pad face to rim side` }) as const

export const linearPull = defineCalculation({
  id: 'linear-pull',
  title: 'Linear-pull: cable pull and linkage ratio',
  summary:
    'How much cable closes these gaps, how the cable pull relates to pad movement, and where the pads and arms stand.',
  inputs: {
    pivotSpacingMm: lengthAbove0('between the bosses', 200),
    armMm: lengthAbove0('boss to cable point', 300),
    padHeightMm: lengthAbove0('boss to middle of pad face, along the arm', 150),
    padStandoffMm: { type: 'number', unit: 'mm', min: -50, max: 100, meaning: 'boss to pad face, square to the arm' },
    rimWidthMm: lengthAbove0('outside width of the brake track', 120),
    gapLeftMm: gap('left'),
    gapRightMm: gap('right'),
  },
  outputs: {
    cablePullMm: { type: 'number', unit: 'mm', meaning: 'cable from these gaps to contact of both pads' },
    linkageRatio: { type: 'number', unit: 'mm/mm', meaning: 'local d(pull)/d(sum of gaps), both pads moving alike' },
    padLeftHeightMm: { type: 'number', unit: 'mm', meaning: 'left pad face above the boss, at this gap' },
    padRightHeightMm: { type: 'number', unit: 'mm', meaning: 'right pad face above the boss, at this gap' },
    armLeftDeg: { type: 'number', unit: '°', meaning: 'left arm from vertical, outward positive' },
    armRightDeg: { type: 'number', unit: '°', meaning: 'right arm from vertical, outward positive' },
  },
  sources: [
    {
      kind: 'computed',
      title: 'Plane kinematics of two arms and a straight tie; pad force by virtual work without friction',
    },
    { kind: 'from-memory', title: 'Boss spacing of 80 mm' },
  ],
  example: {
    pivotSpacingMm: 80,
    armMm: 105,
    padHeightMm: 28,
    padStandoffMm: 28,
    rimWidthMm: 24,
    gapLeftMm: 1,
    gapRightMm: 1,
  },
  run(input) {
    const linkage = linearPullLinkage(input)
    if (!linkage.ok) return linkage
    const { left: leftArm, right: rightArm } = linkage.value
    const left = openingForGap(leftArm, input.gapLeftMm)
    const right = openingForGap(rightArm, input.gapRightMm)
    if (left === undefined || right === undefined) {
      const field = left === undefined ? 'gapLeftMm' : 'gapRightMm'
      return refuse('impossible-geometry', field, `${field} of ${input[field]} mm is wider than this arm can open.`)
    }
    const opening = { left, right }
    const rates = tieRates(linkage.value, opening)
    if (!(rates.left > 0 && rates.right > 0 && closesFrom(linkage.value, opening))) {
      return refuse(
        'impossible-geometry',
        'armMm',
        'The cable would lengthen somewhere on the way from these gaps to contact.',
      )
    }
    const lean = (side: 'left' | 'right') => {
      const arm = linkage.value[side]
      const tip = cableAt(arm, opening[side])
      return toDeg(Math.atan2(Math.sign(arm.pivot[0]) * (tip[0] - arm.pivot[0]), tip[1] - arm.pivot[1]))
    }
    return ok({
      cablePullMm: cablePull(linkage.value, opening),
      linkageRatio: linkageRatio(linkage.value, opening).mean,
      padLeftHeightMm: padAt(leftArm, left)[1],
      padRightHeightMm: padAt(rightArm, right)[1],
      armLeftDeg: lean('left'),
      armRightDeg: lean('right'),
    })
  },
  working: (i, o) => [
    {
      formula: 'each arm turns about its boss until its pad stands its gap off the rim',
      numbers: `gaps ${figure(i.gapLeftMm)} and ${figure(i.gapRightMm)} mm → arms ${figure(o.armLeftDeg)}° and ${figure(o.armRightDeg)}° out of vertical`,
    },
    {
      formula: 'p = distance between cable points now − at contact',
      numbers: `p = ${figure(o.cablePullMm)} mm`,
    },
    {
      formula: 'κ = dp/d(gapL + gapR) ≈ arm/(2·pad height) · 2 pads',
      numbers: `κ = ${figure(o.linkageRatio)} at this state (arm/height = ${figure(i.armMm)}/${figure(i.padHeightMm)} = ${figure(i.armMm / i.padHeightMm)})`,
    },
  ],
})
