import { defineCalculation, figure } from '../calculation/calculation.ts'
import { toDeg } from '../mechanics/vector.ts'
import { ok, refuse } from '../outcome/outcome.ts'
import { lengthAbove0 } from './specs.ts'

/** Forearm, wrist and finger in one line: the blade points where the arm comes from. */
export const bladeAngle = defineCalculation({
  id: 'blade-angle',
  title: 'Angle of the blade',
  summary: 'How far the blade points below level so that forearm, wrist and finger lie in one line.',
  inputs: {
    shoulderHeightMm: lengthAbove0('shoulder above the ground', 2500),
    barHeightMm: lengthAbove0('grip above the ground', 2000),
    armLengthMm: lengthAbove0('shoulder to grip, along the arm', 1200),
  },
  outputs: { angleDeg: { type: 'number', unit: '°', meaning: 'blade below level' } },
  sources: [{ kind: 'computed', title: 'The arm taken as straight from shoulder to grip' }],
  example: { shoulderHeightMm: 1350, barHeightMm: 1000, armLengthMm: 620 },
  run({ shoulderHeightMm, barHeightMm, armLengthMm }) {
    const drop = shoulderHeightMm - barHeightMm
    if (Math.abs(drop) >= armLengthMm)
      return refuse(
        'out-of-range',
        'armLengthMm',
        `An arm of ${armLengthMm} mm does not reach ${Math.abs(drop)} mm up or down. Accepted: more than that.`,
      )
    return ok({ angleDeg: toDeg(Math.asin(drop / armLengthMm)) })
  },
  working: (i, o) => [
    {
      formula: 'angle = arcsin((shoulder − grip) / arm)',
      numbers: `arcsin(${figure(i.shoulderHeightMm - i.barHeightMm)} / ${figure(i.armLengthMm)}) = ${figure(o.angleDeg)}°`,
    },
  ],
})

/** What moving the lever along the bar gives the finger: the hook comes under it, further from the pivot. */
export const leverageChange = defineCalculation({
  id: 'leverage-change',
  title: 'Leverage after the lever is moved',
  summary: 'A lever moved inboard puts the finger further from its pivot: less force, more travel.',
  inputs: {
    cableArmMm: lengthAbove0('lever pivot to cable end', 100),
    fingerArmMm: lengthAbove0('lever pivot to finger, now', 200),
    shiftInboardMm: {
      type: 'number',
      unit: 'mm',
      min: -150,
      max: 150,
      meaning: 'how far the lever moves, inboard positive',
    },
  },
  outputs: {
    leverage: { type: 'number', unit: '', meaning: 'finger force is multiplied by this now' },
    leverageAfter: { type: 'number', unit: '', meaning: 'and by this after' },
    travelFactor: { type: 'number', unit: '', meaning: 'finger travel after over now, for the same cable' },
  },
  sources: [{ kind: 'computed', title: 'Small travel: finger arm over cable arm' }],
  example: { cableArmMm: 30, fingerArmMm: 60, shiftInboardMm: 20 },
  run({ cableArmMm, fingerArmMm, shiftInboardMm }) {
    const after = fingerArmMm + shiftInboardMm
    if (!(after > 0))
      return refuse(
        'out-of-range',
        'shiftInboardMm',
        `Moved ${shiftInboardMm} mm the finger is past the pivot. Accepted: more than ${-fingerArmMm} mm.`,
      )
    return ok({
      leverage: fingerArmMm / cableArmMm,
      leverageAfter: after / cableArmMm,
      travelFactor: after / fingerArmMm,
    })
  },
  working: (i, o) => [
    {
      formula: 'leverage = finger arm / cable arm',
      numbers: `${figure(i.fingerArmMm)} / ${figure(i.cableArmMm)} = ${figure(o.leverage)}; after (${figure(i.fingerArmMm)} + ${figure(i.shiftInboardMm)}) / ${figure(i.cableArmMm)} = ${figure(o.leverageAfter)}`,
    },
  ],
})

/** Turns of the reach screw, by what a turn of it does. */
export const reachScrew = defineCalculation({
  id: 'reach-screw',
  title: 'Turns of the reach screw',
  summary: 'How far to turn the reach screw to bring the blade to a wanted reach.',
  inputs: {
    reachMm: lengthAbove0('bar to blade now', 150),
    wantedMm: lengthAbove0('bar to blade, wanted', 150),
    mmPerTurn: { type: 'number', unit: 'mm', min: 0.05, max: 10, meaning: 'what one turn in takes off the reach' },
  },
  outputs: { turns: { type: 'number', unit: 'turn', meaning: 'turns in; out where negative' } },
  sources: [
    { kind: 'computed', title: 'One turn as it was learnt on this lever; a book figure from memory until then' },
  ],
  example: { reachMm: 72, wantedMm: 66, mmPerTurn: 1.5 },
  run: ({ reachMm, wantedMm, mmPerTurn }) => ok({ turns: (reachMm - wantedMm) / mmPerTurn }),
  working: (i, o) => [
    {
      formula: 'turns = (reach − wanted) / mm a turn',
      numbers: `(${figure(i.reachMm)} − ${figure(i.wantedMm)}) / ${figure(i.mmPerTurn)} = ${figure(o.turns)}`,
    },
  ],
})
