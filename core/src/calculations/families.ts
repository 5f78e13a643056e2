import { defineCalculation, figure } from '../calculation/calculation.ts'
import { closesFrom } from '../linkages/closes.ts'
import { type Arm, cablePull, type Linkage, linkageRatio, openingForGap } from '../mechanics/linkage.ts'
import { type Point, toDeg } from '../mechanics/vector.ts'
import { ok, refuse } from '../outcome/outcome.ts'
import { lengthAbove0, lengthFrom0 } from './specs.ts'

const VIRTUAL_WORK = {
  kind: 'computed',
  title: 'Plane kinematics; pad force by virtual work without friction',
} as const
const point = (meaning: string) => ({ type: 'point', unit: 'mm', meaning }) as const
const gap = (meaning: string) => lengthFrom0(meaning, 15)

export const cantilever = defineCalculation({
  id: 'cantilever',
  title: 'Cantilever: linkage ratio and yoke height',
  summary: 'What a straddle cable of this length does to the linkage ratio. Symmetric about the wheel.',
  inputs: {
    pivotSpacingMm: lengthAbove0('between the bosses', 200),
    cablePoint: point('left arm’s cable point at contact, relative to its boss; x positive towards the wheel'),
    padFace: point('left arm’s pad face at contact, relative to its boss; x positive towards the wheel'),
    straddleLengthMm: lengthAbove0('straddle cable from anchor to anchor', 600),
  },
  outputs: {
    linkageRatio: { type: 'number', unit: 'mm/mm', meaning: 'd(pull)/d(sum of gaps) at contact' },
    yokeHeightMm: { type: 'number', unit: 'mm', meaning: 'yoke above the cable points' },
    straddleAngleDeg: { type: 'number', unit: '°', meaning: 'straddle cable from horizontal' },
  },
  sources: [VIRTUAL_WORK],
  example: { pivotSpacingMm: 80, cablePoint: [-20, 40], padFace: [28, 28], straddleLengthMm: 170 },
  run({ pivotSpacingMm, cablePoint: [cx, cy], padFace: [, fy], straddleLengthMm }) {
    const half = pivotSpacingMm / 2 - cx
    if (half <= 0)
      return refuse(
        'impossible-geometry',
        'cablePoint',
        `cablePoint lies ${figure(cx)} mm towards the wheel, past its middle. Accepted: less than ${pivotSpacingMm / 2}.`,
      )
    if (straddleLengthMm <= 2 * half) {
      return refuse(
        'impossible-geometry',
        'straddleLengthMm',
        `A straddle of ${straddleLengthMm} mm does not span the ${figure(2 * half)} mm between the cable points. Accepted: more than that.`,
      )
    }
    if (fy <= 0)
      return refuse(
        'impossible-geometry',
        'padFace',
        `padFace lies ${figure(fy)} mm above the boss. Accepted: above 0.`,
      )
    const yokeHeightMm = Math.sqrt((straddleLengthMm / 2) ** 2 - half * half)
    const ratio = (cy * (half / yokeHeightMm) - cx) / (2 * fy)
    if (ratio <= 0)
      return refuse(
        'impossible-geometry',
        'cablePoint',
        'The yoke would sink as the pads close: check the cable point and the straddle.',
      )
    return ok({ linkageRatio: ratio, yokeHeightMm, straddleAngleDeg: toDeg(Math.atan2(yokeHeightMm, half)) })
  },
  working: (i, o) => [
    {
      formula: 'yoke = √((L/2)² − span²), span = spacing/2 − c_x',
      numbers: `${figure(o.yokeHeightMm)} mm, straddle at ${figure(o.straddleAngleDeg)}°`,
    },
    {
      formula: 'κ = (c_y·cot γ − c_x)/(2·f_y)',
      numbers: `(${figure(i.cablePoint[1])} × cot ${figure(o.straddleAngleDeg)}° − ${figure(i.cablePoint[0])})/(2 × ${figure(i.padFace[1])}) = ${figure(o.linkageRatio)}`,
    },
  ],
})

const sideArm = (pivot: Point, padFace: Point, cable: Point): Arm => ({
  pivot,
  padFace,
  cable,
  opens: Math.sign(padFace[0]) * (pivot[1] - padFace[1]) > 0 ? 1 : -1,
})

export const caliper = defineCalculation({
  id: 'caliper',
  title: 'Caliper: cable pull and linkage ratio',
  summary: 'Side-pull arms, single or dual pivot. A cable point belongs to the arm that carries that pad.',
  inputs: {
    pivotLeft: point('pivot of the arm with the left pad, origin at the mounting bolt'),
    pivotRight: point('pivot of the arm with the right pad'),
    padFaceLeft: point('left pad face at contact'),
    padFaceRight: point('right pad face at contact'),
    cableLeft: point('cable point of the arm with the left pad, at contact'),
    cableRight: point('cable point of the arm with the right pad, at contact'),
    gapLeftMm: gap('left pad face to rim side'),
    gapRightMm: gap('right pad face to rim side'),
  },
  outputs: {
    cablePullMm: { type: 'number', unit: 'mm', meaning: 'cable from these gaps to contact of both pads' },
    linkageRatio: { type: 'number', unit: 'mm/mm', meaning: 'local d(pull)/d(sum of gaps), both pads moving alike' },
  },
  sources: [VIRTUAL_WORK],
  example: {
    pivotLeft: [0, 0],
    pivotRight: [0, 0],
    padFaceLeft: [-12, -50],
    padFaceRight: [12, -50],
    cableLeft: [45, -20],
    cableRight: [45, 20],
    gapLeftMm: 1.5,
    gapRightMm: 1.5,
  },
  run(i) {
    if (!(i.padFaceLeft[0] < 0 && i.padFaceRight[0] > 0)) {
      return refuse(
        'impossible-geometry',
        'padFaceLeft',
        'The left pad must stand left of the middle and the right pad right of it.',
      )
    }
    const linkage: Linkage = {
      left: sideArm(i.pivotLeft, i.padFaceLeft, i.cableLeft),
      right: sideArm(i.pivotRight, i.padFaceRight, i.cableRight),
      tie: { kind: 'direct' },
    }
    const left = openingForGap(linkage.left, i.gapLeftMm)
    const right = openingForGap(linkage.right, i.gapRightMm)
    if (left === undefined || right === undefined) {
      const field = left === undefined ? 'gapLeftMm' : 'gapRightMm'
      return refuse('impossible-geometry', field, `${field} of ${i[field]} mm is wider than this arm can open.`)
    }
    const ratio = linkageRatio(linkage, { left, right }).mean
    if (!(ratio > 0 && closesFrom(linkage, { left, right }))) {
      return refuse(
        'impossible-geometry',
        'cableLeft',
        'The cable would lengthen somewhere on the way as the pads close: a cable point belongs to the arm that carries that pad.',
      )
    }
    return ok({
      cablePullMm: cablePull(linkage, { left, right }),
      linkageRatio: ratio,
    })
  },
  working: (i, o) => [
    {
      formula: 'p = distance between cable points now − at contact',
      numbers: `gaps ${figure(i.gapLeftMm)} and ${figure(i.gapRightMm)} mm → p = ${figure(o.cablePullMm)} mm`,
    },
    { formula: 'κ = dp/d(gapL + gapR)', numbers: `${figure(o.linkageRatio)} at this state` },
  ],
})

export const discCaliper = defineCalculation({
  id: 'disc-caliper',
  title: 'Mechanical disc: cable pull and rub',
  summary: 'Cable to clamp the rotor, one pad moving: the rotor is bent onto the fixed pad.',
  inputs: {
    armMm: lengthAbove0('arm, axis to cable', 100),
    leadMmPerRad: {
      type: 'number',
      unit: 'mm/rad',
      min: 0,
      max: 50,
      aboveMin: true,
      meaning: 'pad travel for a radian of the arm',
    },
    gapMovingMm: gap('moving pad to rotor'),
    gapFixedMm: gap('fixed pad to rotor'),
    runoutMm: {
      type: 'number',
      unit: 'mm',
      min: 0,
      max: 10,
      default: 0,
      meaning: 'total indicated runout of the rotor',
    },
  },
  outputs: {
    cablePullMm: { type: 'number', unit: 'mm', meaning: 'cable from these gaps to clamping' },
    linkageRatio: {
      type: 'number',
      unit: 'mm/mm',
      meaning: 'cable for a mm of the moving pad; pad force over cable tension',
    },
    rubs: { type: 'boolean', unit: '', meaning: 'half the runout exceeds the smaller gap' },
  },
  sources: [VIRTUAL_WORK],
  example: { armMm: 30, leadMmPerRad: 3, gapMovingMm: 0.4, gapFixedMm: 0.2, runoutMm: 0.2 },
  run({ armMm, leadMmPerRad, gapMovingMm, gapFixedMm, runoutMm }) {
    const ratio = armMm / leadMmPerRad
    return ok({
      cablePullMm: ratio * (gapMovingMm + gapFixedMm),
      linkageRatio: ratio,
      rubs: runoutMm / 2 > Math.min(gapMovingMm, gapFixedMm),
    })
  },
  working: (i, o) => [
    { formula: 'κ = L/λ', numbers: `${figure(i.armMm)}/${figure(i.leadMmPerRad)} = ${figure(o.linkageRatio)}` },
    {
      formula: 'p = κ·(moving + fixed)',
      numbers: `${figure(o.linkageRatio)} × ${figure(i.gapMovingMm + i.gapFixedMm)} = ${figure(o.cablePullMm)} mm`,
    },
  ],
})
